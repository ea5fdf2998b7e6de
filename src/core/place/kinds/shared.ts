import type { StandFinding } from "../findings";
import { ACCESSIBLE_AISLE_M, LEAST_AISLE_M } from "../linesIntoHouse";
import { LEAST_PLASTIC_MM } from "../lineSites";
import type { LineFlow, MaterialNeed, MaterialSize, Measure, NumberMeasure, PointM, StandLayout, RectM } from "./model";

/** Widest block that two arms reach from its two aisles; from one side half of it. */
const REACH_FROM_TWO_SIDES_M = 1.2;
const REACH_FROM_ONE_SIDE_M = 0.6;

/** Doubts about aisles and reach. */
export function reachWarnings(blockM: number, aisleM: number, hasAisles: boolean): StandFinding[] {
  const warnings: StandFinding[] = [];
  if (hasAisles && aisleM < LEAST_AISLE_M - 1e-9)
    warnings.push({ kind: "narrow-aisle", leastM: LEAST_AISLE_M, accessibleM: ACCESSIBLE_AISLE_M });
  if (blockM > REACH_FROM_TWO_SIDES_M + 1e-9)
    warnings.push({ kind: "past-reach", blockM, twoSidesM: REACH_FROM_TWO_SIDES_M, oneSideM: REACH_FROM_ONE_SIDE_M });
  return warnings;
}

export function thinPlasticWarning(plasticLeftMm: number, tooThin: boolean, part: "channel" | "raft"): StandFinding[] {
  return tooThin ? [{ kind: "thin-plastic", part, plasticLeftMm, leastMm: LEAST_PLASTIC_MM }] : [];
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
  more: Partial<Pick<NumberMeasure, "hint" | "whole" | "atMost" | "initial">> = {},
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
  return mix.map(({ name, parts }) => material(name, (volumeL * parts) / all, "L"));
}

export const NO_FLOW: LineFlow = { lineFlowLph: 0, linesPerValve: 1, limited: true };

/** What a drip line is beside its spacing and its flow. */
export interface DripLine {
  /** Head at which an emitter gives its nominal flow. */
  readonly emitterHeadM: number;
  /** x of q = k·H^x; 0 is pressure compensating. */
  readonly emitterExponent: number;
  /** A pressure-compensating one gives its flow from this head on. */
  readonly emitterLeastHeadM: number;
  readonly manufacturingCv: number;
  readonly lateralBoreMm: number;
  /** What an emitter narrows the line, as so much more pipe. */
  readonly equivalentLengthM: number;
  /** How much lower its far end lies than its inlet. */
  readonly fallM: number;
  readonly linePricePerM: number;
  readonly lineSeasons: number;
}

export const DRIP_LINE: DripLine = {
  emitterHeadM: 10,
  emitterExponent: 0.5,
  emitterLeastHeadM: 5,
  manufacturingCv: 0.05,
  lateralBoreMm: 13.6,
  equivalentLengthM: 0.1,
  fallM: 0,
  linePricePerM: 0,
  lineSeasons: 3,
};

/** Still water that a float valve may keep up. */
export interface FloatValve {
  /** At its rated head; 0: filled by hand. */
  readonly floatRatedLph: number;
  readonly floatRatedHeadM: number;
  readonly headAtFloatM: number;
  /** Shallower than this roots or wick run dry. */
  readonly leastDepthM: number;
}

export const FLOAT_VALVE: FloatValve = { floatRatedLph: 0, floatRatedHeadM: 10, headAtFloatM: 10, leastDepthM: 0.05 };

export const FLOAT_VALVE_MEASURES = [
  number("floatRatedLph", "Float valve, rated flow", "flow", 0, 100_000, {
    initial: FLOAT_VALVE.floatRatedLph,
    hint: "0: filled by hand",
  }),
  number("floatRatedHeadM", "Its rated head, as metres of water", "length", 0.1, 150, {
    initial: FLOAT_VALVE.floatRatedHeadM,
  }),
  number("headAtFloatM", "Head there is at the float", "length", 0, 150, { initial: FLOAT_VALVE.headAtFloatM }),
  number("leastDepthM", "Least depth of water", "smallLength", 0, 2, {
    initial: FLOAT_VALVE.leastDepthM,
    hint: "shallower, roots or wick run dry",
  }),
] as const;

export const DRIP_LINE_MEASURES: readonly Measure[] = [
  number("emitterHeadM", "Emitter gives that flow at, as metres of water", "length", 0.1, 150, {
    initial: DRIP_LINE.emitterHeadM,
    hint: "{10 m} is 1 bar, what most labels mean",
  }),
  number("emitterExponent", "Emitter exponent", "ratio", 0, 1.5, {
    initial: DRIP_LINE.emitterExponent,
    hint: "0.5 for most; 0 for pressure compensating; 0.7 to 1 for micro-tubes and porous hose",
  }),
  number("emitterLeastHeadM", "Pressure compensating from", "length", 0.1, 150, {
    initial: DRIP_LINE.emitterLeastHeadM,
    hint: "counts where the exponent is 0",
  }),
  number("manufacturingCv", "Spread of new emitters (coefficient of variation)", "ratio", 0, 0.5, {
    initial: DRIP_LINE.manufacturingCv,
    hint: "0.03 is good, 0.07 fair",
  }),
  number("lateralBoreMm", "Drip line, inside diameter", "bore", 0.5, 200, {
    initial: DRIP_LINE.lateralBoreMm,
    hint: "of {16 mm} line about {13.6 mm}",
  }),
  number("equivalentLengthM", "An emitter narrows the line like so much more pipe", "smallLength", 0, 10, {
    initial: DRIP_LINE.equivalentLengthM,
    hint: "tape {1 cm}, moulded in {10 cm}, pushed in from outside {20 cm}; porous hose nothing",
  }),
  number("fallM", "Fall from the inlet to the far end", "smallLength", -50, 50, {
    initial: DRIP_LINE.fallM,
    hint: "less than 0 where the far end is higher",
  }),
  number("linePricePerM", "Price of the line, for a metre", "money", 0, 10_000, { initial: DRIP_LINE.linePricePerM }),
  number("lineSeasons", "Seasons it lasts", "count", 0.5, 50, { initial: DRIP_LINE.lineSeasons }),
];
/** So much of a material; its id is made from what it is and the sizes by which it is bought. */
export function material(
  what: string,
  quantity: number,
  unit: MaterialNeed["unit"],
  ...sizes: readonly MaterialSize[]
): MaterialNeed {
  const slug = what
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]+/gu, "-")
    .replaceAll(/^-|-$/gu, "");
  const figures = sizes.map(({ value }) => Number(value.toPrecision(6))).join("x");
  return { id: figures ? `${slug}:${figures}` : slug, what, sizes, quantity, unit };
}

export const pieces = (what: string, quantity: number, ...sizes: readonly MaterialSize[]): MaterialNeed =>
  material(what, quantity, "pieces", ...sizes);
export const mm = (metres: number): MaterialSize => ({ value: Math.round(metres * 1000), dimension: "bore" });
export const valves = (lines: number, linesPerValve: number) => pieces("valve", Math.ceil(lines / linesPerValve));
