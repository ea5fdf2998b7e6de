import { requireRange } from "../../units/range";
import type { StandFinding } from "../findings";
import { bedPlants } from "../bedPlants";
import { lineSites } from "../lineSites";
import {
  ACCESS,
  AISLE,
  DRIP_LINE,
  DRIP_LINE_MEASURES,
  EDGE_MARGIN,
  END_MARGIN,
  FLOAT_VALVE,
  FLOAT_VALVE_MEASURES,
  LINES_PER_VALVE,
  MIX,
  NO_FLOW,
  count,
  mixLitres,
  number,
  parallelLines,
  material,
  mm,
  pieces,
  pitch,
  points,
  reachWarnings,
  valves,
  type DripLine,
  type FloatValve,
  type MixPart,
} from "./shared";
import type { Measure, PointM, StandCounts, StandModel } from "./model";

interface RowBeds {
  readonly lines: number;
  readonly lineLengthM: number;
  readonly bedWidthM: number;
  readonly endMarginM: number;
  readonly edgeMarginM: number;
  readonly rows: number;
  readonly pitchM: number;
  readonly pattern: "square" | "staggered";
  readonly aisleM: number;
  readonly accessM: number;
}

/** Beds with drip lines. */
export interface DripBeds extends RowBeds, DripLine {
  readonly kind: "drip-beds";
  readonly linesPerValve: number;
  readonly lateralsPerBed: number;
  readonly emitterSpacingM: number;
  readonly emitterFlowLph: number;
  /** How far from an emitter the ground is wet: by the medium. */
  readonly wettedRadiusM: number;
}

/** Beds over a reservoir of their own, which the medium draws from below. */
export interface WickingBed extends RowBeds, FloatValve {
  readonly kind: "wicking-bed";
  readonly mediumDepthM: number;
  readonly reservoirDepthM: number;
  /** Of the reservoir, what gravel or crates leave for water. */
  readonly voidShare: number;
  readonly mix: readonly MixPart[];
}

/** Water rises in common mixes about so far against the pull of the ground. */
const MOST_RISE_M = 0.3;

function rowCounts(spec: RowBeds, more: readonly StandFinding[] = []): StandCounts {
  const bed = bedPlants({ ...spec, lengthM: spec.lineLengthM, widthM: spec.bedWidthM });
  const line = lineSites(spec.lineLengthM, spec.endMarginM, spec.pitchM);
  const warnings = [...reachWarnings(spec.bedWidthM, spec.aisleM, spec.lines > 1), ...more];
  if (bed.plants === 0) warnings.unshift({ kind: "no-site", part: "bed" });
  const nearestM = bed.nearestNeighbourM;
  if (nearestM !== null && nearestM < spec.pitchM * 0.6)
    warnings.push({ kind: "near-rows", acrossM: nearestM, pitchM: spec.pitchM });
  return {
    lines: spec.lines,
    sitesPerLine: bed.plants,
    sites: spec.lines * bed.plants,
    lineAreaM2: spec.lineLengthM * spec.bedWidthM,
    slackM: line.slackM,
    evenedPitchM: line.evenedPitchM,
    facts: [
      ...(bed.rowGapM === null
        ? []
        : [{ kind: "row-gap" as const, value: bed.rowGapM, dimension: "smallLength" as const }]),
      ...(nearestM === null
        ? []
        : [{ kind: "nearest-neighbour" as const, value: nearestM, dimension: "smallLength" as const }]),
    ],
    warnings,
  };
}

function rowPoints(spec: RowBeds): PointM[] {
  const bed = bedPlants({ ...spec, lengthM: spec.lineLengthM, widthM: spec.bedWidthM });
  const gapM = bed.rowGapM ?? 0;
  return bed.plantsByRow.flatMap((plants, row) => {
    const shiftM = spec.pattern === "staggered" && row % 2 === 1 ? spec.pitchM / 2 : 0;
    const yM = bed.rowGapM === null ? spec.bedWidthM / 2 : spec.edgeMarginM + row * gapM;
    return points(plants, (site) => ({ xM: spec.endMarginM + shiftM + site * spec.pitchM, yM }));
  });
}

const rowLayout = (spec: RowBeds) => parallelLines(spec.lines, spec.lineLengthM, spec.bedWidthM, () => spec.aisleM);

const ROW_MEASURES: readonly Measure[] = [
  count("lines", "Beds", 2000),
  number("lineLengthM", "Bed length", "length", 0.1, 500),
  number("bedWidthM", "Bed width", "length", 0.05, 20),
  count("rows", "Rows in a bed", 200),
  { type: "choice", name: "pattern", label: "Pattern", options: ["square", "staggered"] },
  pitch("lineLengthM", "it must not be wider than the bed is long"),
  END_MARGIN,
  {
    ...number("edgeMarginM", EDGE_MARGIN.label, "smallLength", 0, 10),
    atMost: { measure: "bedWidthM", times: 0.5, words: "two of it must not be wider than the bed" },
  },
  AISLE,
  ACCESS,
];

const STRETCH = { along: { measure: "lineLengthM", by: "length" }, across: { measure: "lines", by: "count" } } as const;

/** Emitters on a lateral as long as its bed, one every spacing. @example emittersPerLateral(10, 0.3) // 33 */
export function emittersPerLateral(lengthM: number, spacingM: number): number {
  requireRange("emittersPerLateral", "lengthM", lengthM, 0, 5000);
  requireRange("emittersPerLateral", "spacingM", spacingM, 0.01, 100);
  return Math.floor(lengthM / spacingM + 1e-9);
}

export const DRIP_BEDS: StandModel<DripBeds> = {
  words: {
    name: "Drip beds",
    line: "bed",
    site: "site",
    about: "Soil or substrate with drip lines: roots, fruit, cut flowers, anything that wants ground.",
  },
  rotates: true,
  example: {
    kind: "drip-beds",
    lines: 2,
    lineLengthM: 10,
    bedWidthM: 1,
    endMarginM: 0.15,
    edgeMarginM: 0.2,
    rows: 3,
    pitchM: 0.3,
    pattern: "staggered",
    aisleM: 0.6,
    accessM: 0,
    linesPerValve: 2,
    lateralsPerBed: 2,
    emitterSpacingM: 0.3,
    emitterFlowLph: 1.6,
    wettedRadiusM: 0.25,
    ...DRIP_LINE,
  },
  measures: [
    ...ROW_MEASURES,
    LINES_PER_VALVE,
    count("lateralsPerBed", "Drip lines in a bed", 100, undefined, 0),
    number("emitterSpacingM", "Emitter spacing", "length", 0.02, 10),
    number("emitterFlowLph", "Emitter flow", "flow", 0, 1000),
    number("wettedRadiusM", "Wet round an emitter, to each side", "smallLength", 0.02, 2, {
      initial: 0.25,
      hint: "coarse medium {15 cm}, loam or coir {25 cm}, fine {35 cm}",
    }),
    ...DRIP_LINE_MEASURES,
  ],
  stretch: STRETCH,
  counts: (spec) => rowCounts(spec),
  layout: rowLayout,
  sitePoints: rowPoints,
  flow: (spec) => ({
    lineFlowLph: emittersPerLateral(spec.lineLengthM, spec.emitterSpacingM) * spec.lateralsPerBed * spec.emitterFlowLph,
    linesPerValve: spec.linesPerValve,
    limited: true,
  }),
  water: () => ({ heldL: 0, drainBackL: 0, how: "drip" }),
  materials: (spec) => {
    const laterals = spec.lines * spec.lateralsPerBed;
    return [
      material("drip line, emitters every", laterals * spec.lineLengthM, "m", mm(spec.emitterSpacingM)),
      pieces("drip line start", laterals),
      pieces("drip line end", laterals),
      pieces("drip line stake", laterals * (Math.floor(spec.lineLengthM) + 1)),
      valves(spec.lines, spec.linesPerValve),
    ];
  },
};

export const WICKING_BED: StandModel<WickingBed> = {
  words: {
    name: "Wicking beds",
    line: "bed",
    site: "site",
    about: "A reservoir under the medium, filled by hand or hose: days without watering.",
    caution: [
      "Water weighs a kilogram a litre.",
      "Have floor and frame looked at by somebody who builds before it is filled, and keep plugs and pumps off the wet side.",
    ],
  },
  rotates: true,
  example: {
    kind: "wicking-bed",
    lines: 4,
    lineLengthM: 2.4,
    bedWidthM: 1.2,
    endMarginM: 0.15,
    edgeMarginM: 0.15,
    rows: 4,
    pitchM: 0.3,
    pattern: "staggered",
    aisleM: 0.6,
    accessM: 0,
    mediumDepthM: 0.3,
    reservoirDepthM: 0.2,
    voidShare: 0.4,
    ...FLOAT_VALVE,
    mix: [
      { name: "compost", parts: 2 },
      { name: "coir", parts: 1 },
      { name: "perlite", parts: 1 },
    ],
  },
  measures: [
    ...ROW_MEASURES,
    number("mediumDepthM", "Medium, depth", "smallLength", 0.05, 2),
    number("reservoirDepthM", "Reservoir, depth", "smallLength", 0.02, 2),
    number("voidShare", "Void share", "share", 0.05, 1, { hint: "gravel about 40 %, crates 95 %" }),
    MIX,
    ...FLOAT_VALVE_MEASURES,
  ],
  stretch: STRETCH,
  counts: (spec) =>
    rowCounts(
      spec,
      spec.mediumDepthM > MOST_RISE_M + 1e-9
        ? [{ kind: "dry-top", riseM: MOST_RISE_M, mediumDepthM: spec.mediumDepthM }]
        : [],
    ),
  layout: rowLayout,
  sitePoints: rowPoints,
  flow: () => NO_FLOW,
  water: (spec) => ({
    heldL: spec.lines * spec.lineLengthM * spec.bedWidthM * spec.reservoirDepthM * spec.voidShare * 1000,
    drainBackL: 0,
    how: "wicking",
  }),
  materials: (spec) => {
    const bedL = spec.lineLengthM * spec.bedWidthM * 1000;
    const depthM = spec.mediumDepthM + spec.reservoirDepthM;
    return [
      ...mixLitres(spec.lines * bedL * spec.mediumDepthM, spec.mix),
      material("reservoir filling", spec.lines * bedL * spec.reservoirDepthM, "L"),
      material("liner", spec.lines * (spec.lineLengthM + 2 * depthM) * (spec.bedWidthM + 2 * depthM), "m²"),
      material("separating fleece", spec.lines * spec.lineLengthM * spec.bedWidthM, "m²"),
      pieces("filling pipe", spec.lines),
      pieces("overflow fitting", spec.lines),
    ];
  },
};
