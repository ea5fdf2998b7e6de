import { told } from "../../units/told";
import { ACCESSIBLE_AISLE_M, LEAST_AISLE_M } from "../linesIntoHouse";
import type { LineFlow, MaterialNeed, Measure, NumberMeasure, PointM, StandLayout, RectM } from "./model";

/** Widest block that two arms reach from its two aisles; from one side half of it. */
const REACH_FROM_TWO_SIDES_M = 1.2;
const REACH_FROM_ONE_SIDE_M = 0.6;

/** Doubts about aisles and reach. */
export function reachWarnings(blockM: number, aisleM: number, hasAisles: boolean): string[] {
  const warnings: string[] = [];
  if (hasAisles && aisleM < LEAST_AISLE_M - 1e-9)
    warnings.push(
      `An aisle under ${told(LEAST_AISLE_M, "length")} is hard to work in; ${told(ACCESSIBLE_AISLE_M, "length")} is accessible.`,
    );
  if (blockM > REACH_FROM_TWO_SIDES_M + 1e-9)
    warnings.push(
      `A block ${told(blockM, "length")} wide is past the ${told(REACH_FROM_TWO_SIDES_M, "length")} that arms reach from its two sides; from one side they reach ${told(REACH_FROM_ONE_SIDE_M, "length")}.`,
    );
  return warnings;
}

export function thinWebWarning(webMm: number, tooThin: boolean, what: string): string[] {
  return tooThin
    ? [`Only ${told(webMm, "bore")} of ${what} is left between holes; ${told(25, "bore")} keeps it from tearing.`]
    : [];
}

/** Lines side by side, with what lies between a line and the one before it. */
export function parallelLines(
  count: number,
  lengthM: number,
  widthM: number,
  gapBefore: (line: number) => number,
): StandLayout {
  const lines: RectM[] = [];
  let yM = 0;
  for (let line = 0; line < count; line++) {
    if (line > 0) yM += gapBefore(line);
    lines.push({ xM: 0, yM, lengthM, widthM });
    yM += widthM;
  }
  return { lengthM, widthM: yM, lines };
}

export function points(count: number, at: (site: number) => PointM): PointM[] {
  return Array.from({ length: count }, (_, site) => at(site));
}

export const number = (
  name: string,
  label: string,
  dimension: NumberMeasure["dimension"],
  least: number,
  greatest: number,
  more: Partial<Pick<NumberMeasure, "hint" | "whole" | "atMost">> = {},
): NumberMeasure => ({ type: "number", name, label, dimension, least, greatest, ...more });

export const count = (name: string, label: string, greatest: number, hint?: string, least = 1): NumberMeasure =>
  number(name, label, "count", least, greatest, { whole: true, hint });

export const AISLE = number("aisleM", "Aisle", "length", 0, 20);
export const ACCESS = number("accessM", "Access strip on each side", "length", 0, 20, {
  hint: "counts in the density of the stand",
});
export const LINES_PER_VALVE = count("linesPerValve", "Lines on one valve", 2000);
export const END_MARGIN = number("endMarginM", "End margin", "smallLength", 0, 50, {
  hint: "from the end to the first plant",
});
export const EDGE_MARGIN = number("edgeMarginM", "Side margin", "smallLength", 0, 10);
export const PACKING: Measure = { type: "choice", name: "packing", label: "Pattern", options: ["square", "hexagonal"] };
export const pitch = (measure: string, words: string) =>
  number("pitchM", "Pitch, plant to plant", "smallLength", 0.005, 50, {
    atMost: { measure, times: 1, words },
  });
export const MIX: Measure = {
  type: "list",
  name: "mix",
  label: "Medium, by parts",
  most: 6,
  addWords: "Add a part",
  fresh: { name: "compost", parts: 1 },
  columns: [{ type: "text", name: "name", label: "Medium" }, number("parts", "Parts", "ratio", 0.1, 100)],
};

/** A medium of so many parts. */
export interface MixPart {
  readonly name: string;
  readonly parts: number;
}

/** Litres of each part of a mix. Loose parts settle into one another; that is what the spare is for. */
export function mixLitres(volumeL: number, mix: readonly MixPart[]): MaterialNeed[] {
  const all = mix.reduce((sum, { parts }) => sum + parts, 0);
  return mix.map(({ name, parts }) => ({ item: name, quantity: (volumeL * parts) / all, unit: "L" }));
}

export const NO_FLOW: LineFlow = { lineFlowLph: 0, linesPerValve: 1, limited: true };
export const pieces = (item: string, quantity: number): MaterialNeed => ({ item, quantity, unit: "pieces" });
export const valves = (lines: number, linesPerValve: number) => pieces("valve", Math.ceil(lines / linesPerValve));
