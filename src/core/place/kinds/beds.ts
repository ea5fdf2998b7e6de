import { told } from "../../units/told";
import { bedPlants } from "../bedPlants";
import { lineSites } from "../lineSites";
import { ACCESS, AISLE, EDGE_MARGIN, END_MARGIN, LINES_PER_VALVE, MIX, count, mixLitres, number, parallelLines, pieces, pitch, points, reachWarnings, valves, type MixPart } from "./shared"; // prettier-ignore
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
export interface DripBeds extends RowBeds {
  readonly kind: "drip-beds";
  readonly linesPerValve: number;
  readonly lateralsPerBed: number;
  readonly emitterSpacingM: number;
  readonly emitterFlowLph: number;
}

/** Beds over a reservoir of their own, which the medium draws from below. */
export interface WickingBed extends RowBeds {
  readonly kind: "wicking-bed";
  readonly mediumDepthM: number;
  readonly reservoirDepthM: number;
  /** Of the reservoir, what gravel or crates leave for water. */
  readonly voidShare: number;
  readonly mix: readonly MixPart[];
}

/** Water rises in common mixes about so far against the pull of the ground. */
const MOST_RISE_M = 0.3;

function rowCounts(spec: RowBeds, more: readonly string[] = []): StandCounts {
  const bed = bedPlants({ ...spec, lengthM: spec.lineLengthM, widthM: spec.bedWidthM });
  const line = lineSites(spec.lineLengthM, spec.endMarginM, spec.pitchM);
  const warnings = [...reachWarnings(spec.bedWidthM, spec.aisleM, spec.lines > 1), ...more];
  if (bed.plants === 0) warnings.unshift("The bed is shorter than its two end margins: no plant fits.");
  const nearestM = bed.nearestNeighbourM;
  if (nearestM !== null && nearestM < spec.pitchM * 0.6)
    warnings.push(
      `Rows are so near that plants stand ${told(nearestM, "smallLength")} apart across them, ${told(spec.pitchM, "smallLength")} along.`,
    );
  return {
    lines: spec.lines,
    sitesPerLine: bed.plants,
    sites: spec.lines * bed.plants,
    lineAreaM2: spec.lineLengthM * spec.bedWidthM,
    slackM: line.slackM,
    evenedPitchM: line.evenedPitchM,
    facts: [
      ...(bed.rowGapM === null ? [] : [{ label: "Row gap", value: bed.rowGapM, dimension: "smallLength" as const, how: "Width of the bed less both side margins, over the rows less one." }]),
      ...(nearestM === null ? [] : [{ label: "Nearest neighbour", value: nearestM, dimension: "smallLength" as const, how: "The least of pitch, row gap and, staggered, the slanting distance to the next row." }]),
    ],
    warnings,
  }; // prettier-ignore
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
  { ...number("edgeMarginM", EDGE_MARGIN.label, "smallLength", 0, 10), atMost: { measure: "bedWidthM", times: 0.5, words: "two of it must not be wider than the bed" } },
  AISLE,
  ACCESS,
]; // prettier-ignore

const STRETCH = { along: { measure: "lineLengthM", by: "length" }, across: { measure: "lines", by: "count" } } as const;

/** Emitters on a lateral as long as its bed, one every spacing. @example emittersPerLateral(10, 0.3) // 33 */
export function emittersPerLateral(lengthM: number, spacingM: number): number {
  return Math.floor(lengthM / spacingM + 1e-9);
}

export const DRIP_BEDS: StandModel<DripBeds> = {
  words: { name: "Drip beds", line: "bed", site: "site", about: "Soil or substrate with drip lines: roots, fruit, cut flowers, anything that wants ground." },
  example: {
    kind: "drip-beds", lines: 2, lineLengthM: 10, bedWidthM: 1, endMarginM: 0.15, edgeMarginM: 0.2, rows: 3, pitchM: 0.3, pattern: "staggered",
    aisleM: 0.6, accessM: 0, linesPerValve: 2, lateralsPerBed: 2, emitterSpacingM: 0.3, emitterFlowLph: 1.6,
  },
  measures: [
    ...ROW_MEASURES,
    LINES_PER_VALVE,
    count("lateralsPerBed", "Drip lines in a bed", 100, undefined, 0),
    number("emitterSpacingM", "Emitter spacing", "length", 0.02, 10),
    number("emitterFlowLph", "Emitter flow", "flow", 0, 1000),
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
  water: () => ({ heldL: 0, drainBackL: 0, how: "Drip lines run to waste or into the ground; nothing comes back." }),
  materials: (spec) => {
    const laterals = spec.lines * spec.lateralsPerBed;
    return [
      { item: `drip line, emitters every ${told(Math.round(spec.emitterSpacingM * 1000), "bore")}`, quantity: laterals * spec.lineLengthM, unit: "m" },
      pieces("drip line start", laterals),
      pieces("drip line end", laterals),
      pieces("drip line stake", laterals * (Math.floor(spec.lineLengthM) + 1)),
      valves(spec.lines, spec.linesPerValve),
    ];
  },
}; // prettier-ignore

export const WICKING_BED: StandModel<WickingBed> = {
  words: { name: "Wicking beds", line: "bed", site: "site", about: "A reservoir under the medium, filled by hand or hose: days without watering.", caution: ["Water weighs a kilogram a litre.", "Have floor and frame looked at by somebody who builds before it is filled, and keep plugs and pumps off the wet side."] },
  example: {
    kind: "wicking-bed", lines: 4, lineLengthM: 2.4, bedWidthM: 1.2, endMarginM: 0.15, edgeMarginM: 0.15, rows: 4, pitchM: 0.3, pattern: "staggered",
    aisleM: 0.6, accessM: 0, mediumDepthM: 0.3, reservoirDepthM: 0.2, voidShare: 0.4, mix: [{ name: "compost", parts: 2 }, { name: "coir", parts: 1 }, { name: "perlite", parts: 1 }],
  },
  measures: [
    ...ROW_MEASURES,
    number("mediumDepthM", "Medium, depth", "smallLength", 0.05, 2),
    number("reservoirDepthM", "Reservoir, depth", "smallLength", 0.02, 2),
    number("voidShare", "Room for water in it", "share", 0.05, 1, { hint: "gravel about 40 %, crates 95 %" }),
    MIX,
  ],
  stretch: STRETCH,
  counts: (spec) =>
    rowCounts(
      spec,
      spec.mediumDepthM > MOST_RISE_M + 1e-9
        ? [`Water rises about ${told(MOST_RISE_M, "length")} in common mixes; the top of ${told(spec.mediumDepthM, "length")} stays dry until roots reach down.`]
        : [],
    ),
  layout: rowLayout,
  sitePoints: rowPoints,
  flow: () => ({ lineFlowLph: 0, linesPerValve: 1, limited: true }),
  water: (spec) => ({
    heldL: spec.lines * spec.lineLengthM * spec.bedWidthM * spec.reservoirDepthM * spec.voidShare * 1000,
    drainBackL: 0,
    how: "Length × width × depth of the reservoirs × the room that the filling leaves. What the medium itself holds comes on top.",
  }),
  materials: (spec) => {
    const bedL = spec.lineLengthM * spec.bedWidthM * 1000;
    const depthM = spec.mediumDepthM + spec.reservoirDepthM;
    return [
      ...mixLitres(spec.lines * bedL * spec.mediumDepthM, spec.mix),
      { item: "reservoir filling", quantity: spec.lines * bedL * spec.reservoirDepthM, unit: "L" },
      { item: "liner", quantity: spec.lines * (spec.lineLengthM + 2 * depthM) * (spec.bedWidthM + 2 * depthM), unit: "m²" },
      { item: "separating fleece", quantity: spec.lines * spec.lineLengthM * spec.bedWidthM, unit: "m²" },
      pieces("filling pipe", spec.lines),
      pieces("overflow fitting", spec.lines),
    ];
  },
}; // prettier-ignore
