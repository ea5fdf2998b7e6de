import type { NumberMeasure } from "@/core/place/kinds/model";
import { DIMENSIONS, systemOf, type Dimension, type UnitPreferences } from "@/core/units/dimensions";
import { editText, formatIn, quantityText } from "@/core/units/format";
import { parseQuantity } from "@/core/units/parse";
import type { BlankProblem } from "@/ui/blank/Sentence";

/** A measure that a blank asks for. */
export type BlankMeasure = Pick<
  NumberMeasure,
  "name" | "label" | "dimension" | "least" | "greatest" | "whole" | "atMost"
> & {
  /** May stay empty: what is not told. */
  readonly optional?: true;
};

/** What stands in the blanks of a sentence: texts as typed, and what they come to. */
export interface BlankState {
  readonly texts: Readonly<Record<string, string>>;
  /** Of the last texts without a fault; a blank that was left empty is not among them. */
  readonly good: Readonly<Record<string, number>>;
  readonly problems: readonly BlankProblem[];
  /** The garden's units, in the system that was typed last. */
  readonly units: UnitPreferences;
  /** Units as they were typed, by blank. */
  readonly typedUnits: Readonly<Record<string, string>>;
}

/** The blanks with texts to begin with. */
export function startBlanks(
  measures: readonly BlankMeasure[],
  texts: Readonly<Record<string, string>>,
  units: UnitPreferences,
): BlankState {
  return read(measures, { texts, good: {}, problems: [], units, typedUnits: {} });
}

/** With other texts in them; where those are wrong, the figures of before stay. */
export function withTexts(
  measures: readonly BlankMeasure[],
  state: BlankState,
  texts: Readonly<Record<string, string>>,
): BlankState {
  return read(measures, { ...state, texts: { ...state.texts, ...texts } });
}

/** After something was typed into one of them. */
export function typeBlank(
  measures: readonly BlankMeasure[],
  state: BlankState,
  name: string,
  text: string,
): BlankState {
  const measure = measures.find((one) => one.name === name);
  if (!measure) return state;
  const parsed = parseQuantity(text, measure.dimension, state.units);
  const system = parsed.kind === "value" && parsed.unit !== undefined ? systemOf(parsed.unit) : null;
  const units = system ? { ...state.units, system } : state.units;
  return read(measures, { ...state, units, texts: { ...state.texts, [name]: text } });
}

/** A blank that is left: a bare number gets its unit. */
export function leaveBlank(measures: readonly BlankMeasure[], state: BlankState, name: string): BlankState {
  const measure = measures.find((one) => one.name === name);
  const text = state.texts[name] ?? "";
  if (!measure) return state;
  const parsed = parseQuantity(text, measure.dimension, state.units);
  if (parsed.kind !== "value" || parsed.unit !== undefined) return state;
  if (DIMENSIONS[measure.dimension][0]!.symbol === "") return state;
  return typeBlank(measures, state, name, editText(parsed.value, measure.dimension, state.units));
}

function read(measures: readonly BlankMeasure[], state: BlankState): BlankState {
  const { texts, units } = state;
  const found: Record<string, number> = {};
  const problems: BlankProblem[] = [];
  const typedUnits: Record<string, string> = {};
  for (const measure of measures) {
    const { name, label, dimension } = measure;
    const parsed = parseQuantity(texts[name] ?? "", dimension, units);
    if (parsed.kind === "value") {
      found[name] = parsed.value;
      if (parsed.unit !== undefined) typedUnits[name] = parsed.unit;
    } else if (parsed.kind === "unreadable") problems.push({ name, words: `${label}: ${parsed.message}` });
    else if (!measure.optional) problems.push({ name, words: `${label} is missing.` });
  }
  const inRange = new Map<string, number>();
  for (const measure of measures) {
    const value = found[measure.name];
    if (value === undefined) continue;
    const words = outOfRange(measure, value, state.units, typedUnits[measure.name]);
    if (words) problems.push({ name: measure.name, words });
    else inRange.set(measure.name, value);
  }
  // A limit by another measure holds only where that one is right itself.
  for (const { name, label, dimension, atMost } of measures) {
    const [value, limit] = [inRange.get(name), atMost && inRange.get(atMost.measure)];
    if (value !== undefined && limit !== undefined && value > limit * atMost!.times + 1e-9)
      problems.push({
        name,
        words: `${label} is ${inUnit(value, dimension, typedUnits[name], state.units)}; ${atMost!.words}.`,
      });
  }
  return { ...state, problems, typedUnits, good: problems.length === 0 ? found : state.good };
}

function outOfRange(
  { label, dimension, least, greatest, whole }: BlankMeasure,
  value: number,
  units: UnitPreferences,
  unit: string | undefined,
): string | null {
  const text = (quantity: number) => inUnit(quantity, dimension, unit, units);
  if (value < least - 1e-9 || value > greatest + 1e-9)
    return `${label} is ${text(value)}; it must be from ${text(least)} to ${text(greatest)}.`;
  return whole && !Number.isInteger(value) ? `${label} is ${value}; it must be a whole number.` : null;
}

/** A quantity in the unit in which something was typed, else in the garden's. */
export function inUnit(value: number, dimension: Dimension, unit: string | undefined, units: UnitPreferences): string {
  if (unit === undefined) return quantityText(value, dimension, units);
  const { figure, unit: symbol } = formatIn(value, dimension, unit);
  return symbol ? `${figure} ${symbol}` : figure;
}

/** A round figure as one says it: centimetres for what is small, inches and feet in a US garden. */
export function spokenText(value: number, dimension: Dimension, units: UnitPreferences): string {
  if (dimension === "smallLength" && units.system === "metric") return inUnit(value, dimension, "cm", units);
  return editText(value, dimension, units);
}
