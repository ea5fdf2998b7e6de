import type { StandFinding } from "../findings";
import { floodBench } from "../floodBench";
import { plasticBetweenHoles } from "../lineSites";
import { raftPoints, raftSites, type Packing, type RaftShape } from "../raft";
import {
  ACCESS,
  AISLE,
  EDGE_MARGIN,
  LINES_PER_VALVE,
  MIX,
  PACKING,
  count,
  mixLitres,
  number,
  parallelLines,
  material,
  pieces,
  pitch,
  reachWarnings,
  valves,
  type MixPart,
} from "./shared";
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
  /** Benches that one flow goes through, one feeding the next. */
  readonly linesPerRun: number;
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

/** Beds of coarse medium that are flooded and drained, or kept in water. */
export interface MediaBed extends Tables {
  readonly kind: "media-bed";
  readonly mediumDepthM: number;
  readonly waterDepthM: number;
  readonly voidShare: number;
  readonly drains: "empties" | "stays-full";
  readonly bedFlowLph: number;
  readonly mix: readonly MixPart[];
}

/** Sharp-edged drain holes, and the depth at which a bench counts as empty. */
const DISCHARGE = 0.62;
const EMPTY_AT_M = 0.001;
/** Filling or draining that takes longer leaves roots wet, or without air. */
const SLOW_MIN = 15;

const shape = (spec: Tables): RaftShape => ({ ...spec, lengthM: spec.lineLengthM, widthM: spec.bedWidthM });
const layout = (spec: Tables) => parallelLines(spec.lines, spec.lineLengthM, spec.bedWidthM, () => spec.aisleM);
const sitePoints = (spec: Tables) => raftPoints(shape(spec));
const STRETCH = { along: { measure: "lineLengthM", by: "length" }, across: { measure: "lines", by: "count" } } as const;

function tableCounts(spec: Tables, facts: readonly StandFact[], more: readonly StandFinding[]): StandCounts {
  const { sites } = raftSites(shape(spec));
  const warnings = [...more, ...reachWarnings(spec.bedWidthM, spec.aisleM, spec.lines > 1)];
  if (sites === 0) warnings.unshift({ kind: "no-site", part: "bench" });
  return {
    lines: spec.lines,
    sitesPerLine: sites,
    sites: spec.lines * sites,
    lineAreaM2: spec.lineLengthM * spec.bedWidthM,
    slackM: null,
    evenedPitchM: null,
    facts,
    warnings,
  };
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
  number("linesPerRun", `${line === "bench" ? "Benches" : "Beds"} in series, one feeding the next`, "count", 1, 200, {
    whole: true,
    initial: 1,
    hint: "1: each is fed by itself",
  }),
];

/** One bench: what it takes, how long it fills where it is fed alone, how long it empties. */
export function flood(spec: FloodBenches) {
  return floodBench({
    ...spec,
    areaM2: spec.lineLengthM * spec.bedWidthM,
    dischargeCoefficient: DISCHARGE,
    drainedAtDepthM: EMPTY_AT_M,
  });
}

export const FLOOD_BENCH: StandModel<FloodBenches> = {
  words: {
    name: "Flood bench",
    line: "bench",
    site: "pot place",
    about: "Pots and trays watered from below, all at once: seedlings, herbs in pots.",
  },
  example: {
    kind: "flood-bench",
    lines: 2,
    lineLengthM: 2.4,
    bedWidthM: 1.2,
    edgeMarginM: 0.08,
    pitchM: 0.15,
    packing: "square",
    aisleM: 0.6,
    accessM: 0,
    linesPerValve: 1,
    linesPerRun: 1,
    potMm: 110,
    floodDepthM: 0.04,
    displacedShare: 0.2,
    fillFlowLph: 1200,
    drainHoleMm: 20,
    drainHoles: 2,
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
    const more: StandFinding[] =
      plasticBetweenHoles(spec.pitchM, spec.potMm).plasticLeftMm < 0 ? [{ kind: "wide-pots" }] : [];
    // Benches of a run fill one after another.
    const fillTimeMin = one.fillTimeMin * Math.min(spec.lines, spec.linesPerRun);
    if (fillTimeMin > SLOW_MIN) more.push({ kind: "slow-fill", minutes: fillTimeMin });
    if (one.drainTimeMin > SLOW_MIN) more.push({ kind: "slow-drain", minutes: one.drainTimeMin });
    return tableCounts(
      spec,
      [
        { kind: "flood", value: one.floodVolumeL, dimension: "volume" },
        { kind: "fill-time", value: fillTimeMin, dimension: "minutes" },
        { kind: "drain-time", value: one.drainTimeMin, dimension: "minutes" },
      ],
      more,
    );
  },
  layout,
  sitePoints,
  flow: ({ fillFlowLph, linesPerValve, linesPerRun }) => ({
    ...{ lineFlowLph: fillFlowLph, linesPerValve, linesPerRun, limited: false },
  }),
  water: (spec) => ({
    heldL: 0,
    drainBackL: flood(spec).floodVolumeL * Math.min(spec.lines, spec.linesPerValve),
    how: "benches",
  }),
  materials: (spec) => [
    pieces("pot", raftSites(shape(spec)).sites * spec.lines, { value: spec.potMm, dimension: "bore" }),
    material("bench tray", spec.lines * spec.lineLengthM * spec.bedWidthM, "m²"),
    pieces("fill and drain fitting", spec.lines),
    pieces("overflow fitting", spec.lines),
    valves(spec.lines, spec.linesPerValve),
  ],
};

const waterL = (spec: MediaBed) => spec.lineLengthM * spec.bedWidthM * spec.waterDepthM * spec.voidShare * 1000;

export const MEDIA_BED: StandModel<MediaBed> = {
  words: {
    name: "Media bed",
    line: "bed",
    site: "site",
    about: "Coarse medium, flooded and drained: roots and mixed crops, forgiving of a stopped pump.",
    caution: [
      "Water weighs a kilogram a litre.",
      "Have floor and frame looked at by somebody who builds before it is filled, and keep plugs and pumps off the wet side.",
    ],
  },
  example: {
    kind: "media-bed",
    lines: 2,
    lineLengthM: 3,
    bedWidthM: 0.9,
    edgeMarginM: 0.15,
    pitchM: 0.25,
    packing: "hexagonal",
    aisleM: 0.6,
    accessM: 0,
    linesPerValve: 1,
    linesPerRun: 1,
    mediumDepthM: 0.3,
    waterDepthM: 0.22,
    voidShare: 0.4,
    drains: "empties",
    bedFlowLph: 500,
    mix: [{ name: "expanded clay", parts: 1 }],
  },
  measures: [
    ...tableMeasures("bed"),
    number("mediumDepthM", "Medium, depth", "smallLength", 0.05, 2),
    number("waterDepthM", "Flooded to", "smallLength", 0.01, 2, {
      atMost: { measure: "mediumDepthM", times: 1, words: "it must not be deeper than the medium" },
    }),
    number("voidShare", "Void share", "share", 0.05, 0.95, { hint: "gravel about 40 %" }),
    {
      type: "choice",
      name: "drains",
      label: "When the pump stops",
      options: ["empties", "stays-full"],
      labels: { empties: "it drains after each flood", "stays-full": "it stays full" },
    },
    number("bedFlowLph", "Flow of a bed", "flow", 0, 100_000),
    MIX,
  ],
  stretch: STRETCH,
  counts: (spec) =>
    tableCounts(
      spec,
      [
        {
          kind: "medium-per-bed",
          value: spec.lineLengthM * spec.bedWidthM * spec.mediumDepthM * 1000,
          dimension: "volume",
        },
      ],
      spec.mediumDepthM - spec.waterDepthM < 0.02 ? [{ kind: "wet-top" }] : [],
    ),
  layout,
  sitePoints,
  flow: ({ bedFlowLph, linesPerValve, linesPerRun }) => ({
    ...{ lineFlowLph: bedFlowLph, linesPerValve, linesPerRun, limited: false },
  }),
  water: (spec) =>
    spec.drains === "stays-full"
      ? {
          heldL: spec.lines * waterL(spec),
          drainBackL: 0,
          how: "media-full",
        }
      : {
          heldL: 0,
          drainBackL: waterL(spec) * Math.min(spec.lines, spec.linesPerValve),
          how: "media-drains",
        },
  materials: (spec) => [
    ...mixLitres(spec.lines * spec.lineLengthM * spec.bedWidthM * spec.mediumDepthM * 1000, spec.mix),
    material(
      "liner",
      spec.lines * (spec.lineLengthM + 2 * spec.mediumDepthM) * (spec.bedWidthM + 2 * spec.mediumDepthM),
      "m²",
    ),
    pieces("outlet fitting", spec.lines),
    pieces("medium guard", spec.lines),
    valves(spec.lines, spec.linesPerValve),
  ],
};
