import { requireRange, requireWhole } from "../../units/range";
import { modelOf, type StandSpec } from ".";
import type { NumberMeasure } from "./model";

/** Specifications that were found sound are not looked at again. */
const sound = new WeakSet<object>();

/**
 * Refuses a stand with a measure outside the range that its kind describes.
 * @throws RangeError that names the function, the measure, its value and its range
 */
export function requireSpec(where: string, spec: StandSpec): void {
  if (sound.has(spec)) return;
  const values = spec as unknown as Readonly<Record<string, unknown>>;
  for (const measure of modelOf(spec).measures) {
    const value = values[measure.name];
    if (measure.type === "number") requireMeasure(where, measure, value);
    if (measure.type !== "list") continue;
    for (const row of value as readonly Readonly<Record<string, unknown>>[])
      for (const column of measure.columns)
        if (column.type === "number") requireMeasure(where, column, row[column.name]);
  }
  sound.add(spec);
}

function requireMeasure(where: string, { name, least, greatest, whole }: NumberMeasure, value: unknown): void {
  if (whole) requireWhole(where, name, value as number, least, greatest);
  else requireRange(where, name, value as number, least, greatest);
}
