import { told } from "../../units/told";
import { floodBench } from "../heldWater";
import { webBetweenHoles } from "../lineSites";
import { raftPoints, raftSites, type Packing, type RaftShape } from "../raft";
import { ACCESS, AISLE, EDGE_MARGIN, LINES_PER_VALVE, MIX, PACKING, count, mixLitres, number, parallelLines, pieces, pitch, reachWarnings, valves, type MixPart } from "./shared"; // prettier-ignore
import type { StandCounts, StandFact, StandModel } from "./model";

interface Tables {
  readonly lines: number;
  readonly lineLengthM: number;
  readonly bedWidthM: number;
  readonly edgeMarginM: number;
  readonly pitchM: number;
  readonly packing: Packing;
  readonly aisleM: number;
  readonly accessM: number;
  readonly linesPerValve: number;
}

/** Benches that are flooded and drain back. */
export interface FloodBenches extends Tables {
  readonly kind: "flood-bench";
  readonly potMm: number;
  readonly floodDepthM: number;
  /** Of the flooded volume, taken up by pots and medium. */
  readonly displacedShare: number;
  readonly fillFlowLph: number;
  readonly drainHoleMm: number;
  readonly drainHoles: number;
}

/** Beds of coarse medium that are flooded and drained, or stand in water. */
export interface MediaBed extends Tables {
  readonly kind: "media-bed";
  readonly mediumDepthM: number;
  readonly waterDepthM: number;
  readonly voidShare: number;
  readonly drains: "after each flood" | "stays full";
  readonly bedFlowLph: number;
  readonly mix: readonly MixPart[];
}

/** Sharp-edged drain holes, and the depth at which a bench counts as empty. */
const DISCHARGE = 0.62;
const EMPTY_AT_M = 0.001;

const shape = (spec: Tables): RaftShape => ({ ...spec, lengthM: spec.lineLengthM, widthM: spec.bedWidthM });
const layout = (spec: Tables) => parallelLines(spec.lines, spec.lineLengthM, spec.bedWidthM, () => spec.aisleM);
const sitePoints = (spec: Tables) => raftPoints(shape(spec));
const STRETCH = { along: { measure: "lineLengthM", by: "length" }, across: { measure: "lines", by: "count" } } as const;

function tableCounts(spec: Tables, facts: readonly StandFact[], more: readonly string[]): StandCounts {
  const { sites } = raftSites(shape(spec));
  const warnings = [...more, ...reachWarnings(spec.bedWidthM, spec.aisleM, spec.lines > 1)];
  if (sites === 0) warnings.unshift("It is smaller than its margins: no site fits.");
  return {
    lines: spec.lines, sitesPerLine: sites, sites: spec.lines * sites, lineAreaM2: spec.lineLengthM * spec.bedWidthM,
    slackM: null, evenedPitchM: null, facts, warnings,
  }; // prettier-ignore
}

const tableMeasures = (line: string) => [
  count("lines", `${line === "bench" ? "Benches" : "Beds"}`, 2000),
  number("lineLengthM", `${line === "bench" ? "Bench" : "Bed"} length`, "length", 0.1, 500),
  number("bedWidthM", `${line === "bench" ? "Bench" : "Bed"} width`, "length", 0.05, 20),
  pitch("lineLengthM", `it must not be wider than the ${line} is long`),
  PACKING,
  EDGE_MARGIN,
  AISLE,
  ACCESS,
  LINES_PER_VALVE,
];

/** One bench: what it takes, how long it fills, how long it empties. */
function flood(spec: FloodBenches) {
  return floodBench({
    ...spec,
    areaM2: spec.lineLengthM * spec.bedWidthM,
    dischargeCoefficient: DISCHARGE,
    drainedAtDepthM: EMPTY_AT_M,
  });
}

export const FLOOD_BENCH: StandModel<FloodBenches> = {
  words: { name: "Flood bench", line: "bench", site: "pot place", about: "Pots and trays watered from below, all at once: seedlings, herbs in pots." },
  example: {
    kind: "flood-bench", lines: 2, lineLengthM: 2.4, bedWidthM: 1.2, edgeMarginM: 0.08, pitchM: 0.15, packing: "square", aisleM: 0.6, accessM: 0, linesPerValve: 1,
    potMm: 110, floodDepthM: 0.04, displacedShare: 0.2, fillFlowLph: 1200, drainHoleMm: 20, drainHoles: 2,
  },
  measures: [
    ...tableMeasures("bench"),
    number("potMm", "Pot", "bore", 5, 1000),
    number("floodDepthM", "Flood depth", "smallLength", 0.002, 1),
    number("displacedShare", "Taken up by pots", "share", 0, 0.95),
    number("fillFlowLph", "Flow while it fills", "flow", 1, 1_000_000),
    number("drainHoleMm", "Drain hole", "bore", 1, 500),
    count("drainHoles", "Drain holes", 50),
  ],
  stretch: STRETCH,
  counts: (spec) => {
    const one = flood(spec);
    const more = webBetweenHoles(spec.pitchM, spec.potMm).webMm < 0 ? ["The pots are wider than their pitch."] : [];
    if (one.fillTimeMin > 15) more.push("It takes over a quarter of an hour to fill: plants near the drain stand wet much longer.");
    if (one.drainTimeMin > 15) more.push("It takes over a quarter of an hour to drain: roots are without air that long.");
    return tableCounts(spec, [
      { label: "One flood takes", value: one.floodVolumeL, dimension: "volume", how: "Area × depth, less what pots and medium take up." },
      { label: "Fills in", value: one.fillTimeMin, dimension: "minutes", how: "One flood over the flow." },
      { label: "Drains in", value: one.drainTimeMin, dimension: "minutes", how: "Sharp-edged holes: 2·A·(√h₀ − √h₁) over C·a·√(2g), down to a millimetre." },
    ], more);
  },
  layout,
  sitePoints,
  flow: ({ fillFlowLph, linesPerValve }) => ({ lineFlowLph: fillFlowLph, linesPerValve, limited: false }),
  water: (spec) => ({
    heldL: 0,
    drainBackL: flood(spec).floodVolumeL * Math.min(spec.lines, spec.linesPerValve),
    how: "One flood × the benches that are flooded at once: it all comes back.",
  }),
  materials: (spec) => [
    pieces(`pot, ${told(spec.potMm, "bore")}`, raftSites(shape(spec)).sites * spec.lines),
    { item: "bench tray", quantity: spec.lines * spec.lineLengthM * spec.bedWidthM, unit: "m²" },
    pieces("fill and drain fitting", spec.lines),
    pieces("overflow fitting", spec.lines),
    valves(spec.lines, spec.linesPerValve),
  ],
}; // prettier-ignore

const waterL = (spec: MediaBed) => spec.lineLengthM * spec.bedWidthM * spec.waterDepthM * spec.voidShare * 1000;

export const MEDIA_BED: StandModel<MediaBed> = {
  words: { name: "Media bed", line: "bed", site: "site", about: "Coarse medium, flooded and drained: roots and mixed crops, forgiving of a stopped pump.", caution: ["Water weighs a kilogram a litre.", "Have floor and frame looked at by somebody who builds before it is filled, and keep plugs and pumps off the wet side."] },
  example: {
    kind: "media-bed", lines: 2, lineLengthM: 3, bedWidthM: 0.9, edgeMarginM: 0.15, pitchM: 0.25, packing: "hexagonal", aisleM: 0.6, accessM: 0, linesPerValve: 1,
    mediumDepthM: 0.3, waterDepthM: 0.22, voidShare: 0.4, drains: "after each flood", bedFlowLph: 500, mix: [{ name: "expanded clay", parts: 1 }],
  },
  measures: [
    ...tableMeasures("bed"),
    number("mediumDepthM", "Medium, depth", "smallLength", 0.05, 2),
    number("waterDepthM", "Flooded to", "smallLength", 0.01, 2, { atMost: { measure: "mediumDepthM", times: 1, words: "it must not be deeper than the medium" } }),
    number("voidShare", "Room for water in it", "share", 0.05, 0.95, { hint: "gravel about 40 %" }),
    { type: "choice", name: "drains", label: "When the pump stops", options: ["after each flood", "stays full"] },
    number("bedFlowLph", "Flow of a bed", "flow", 0, 100_000),
    MIX,
  ],
  stretch: STRETCH,
  counts: (spec) =>
    tableCounts(
      spec,
      [{ label: "Medium in a bed", value: spec.lineLengthM * spec.bedWidthM * spec.mediumDepthM * 1000, dimension: "volume", how: "Length × width × depth." }],
      spec.mediumDepthM - spec.waterDepthM < 0.02 ? ["Water up to the top of the medium grows algae and rots stems; 2 to 5 cm stay dry in most beds."] : [],
    ),
  layout,
  sitePoints,
  flow: ({ bedFlowLph, linesPerValve }) => ({ lineFlowLph: bedFlowLph, linesPerValve, limited: false }),
  water: (spec) =>
    spec.drains === "stays full"
      ? { heldL: spec.lines * waterL(spec), drainBackL: 0, how: "Length × width × water depth × the room between the medium, of all beds." }
      : { heldL: 0, drainBackL: waterL(spec) * Math.min(spec.lines, spec.linesPerValve), how: "Length × width × water depth × the room between the medium, of the beds flooded at once: it all comes back." },
  materials: (spec) => [
    ...mixLitres(spec.lines * spec.lineLengthM * spec.bedWidthM * spec.mediumDepthM * 1000, spec.mix),
    { item: "liner", quantity: spec.lines * (spec.lineLengthM + 2 * spec.mediumDepthM) * (spec.bedWidthM + 2 * spec.mediumDepthM), unit: "m²" },
    pieces("outlet fitting", spec.lines),
    pieces("medium guard", spec.lines),
    valves(spec.lines, spec.linesPerValve),
  ],
}; // prettier-ignore
