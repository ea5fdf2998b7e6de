import { number } from "@/core/place/kinds/shared";
import { STAND_MODELS } from "@/core/place/kinds";
import type { NumberMeasure } from "@/core/place/kinds/model";
import type { DrippedSpec } from "@/core/water/dripLine";
import type { UnitPreferences } from "@/core/units/dimensions";
import { editText } from "@/core/units/format";

export const HEAD = number("inletHeadM", "Head at the inlet, as metres of water", "length", 0.05, 150);
const ASKED = ["lateralBoreMm", "emitterFlowLph", "emitterSpacingM", "fallM"];

/** What the sentence of a drip line asks for. */
export function lineMeasures(spec: DrippedSpec): NumberMeasure[] {
  const measures = STAND_MODELS[spec.kind].measures.filter(
    (one): one is NumberMeasure => one.type === "number" && ASKED.includes(one.name),
  );
  // Without water or spacing there is no line to look at.
  return [...measures.map((one) => (one.name === "emitterFlowLph" ? { ...one, least: 0.01 } : one)), HEAD];
}

/** What stands in its blanks at first. */
export function firstTexts(spec: DrippedSpec, headM: number, units: UnitPreferences): Record<string, string> {
  return Object.fromEntries(
    lineMeasures(spec).map(({ name, dimension }) => [
      name,
      editText(name === HEAD.name ? headM : (spec[name as keyof DrippedSpec] as unknown as number), dimension, units),
    ]),
  );
}

/** The stand with what was typed. */
export function specOf<Spec extends DrippedSpec>(spec: Spec, good: Readonly<Record<string, number>>): Spec {
  const own = Object.fromEntries(
    lineMeasures(spec).flatMap(({ name }) =>
      name === HEAD.name || good[name] === undefined ? [] : [[name, good[name]]],
    ),
  );
  // A figure in another unit comes back a hair away from what is kept.
  const changed = Object.entries(own).filter(([name, value]) => {
    const before = spec[name as keyof Spec] as unknown as number;
    return Math.abs(value! - before) > 1e-3 * Math.max(1e-6, Math.abs(before));
  });
  return changed.length > 0 ? { ...spec, ...Object.fromEntries(changed) } : spec;
}
