import { requireWhole } from "../../units/range";
import {
  ACCESS,
  AISLE,
  DRIP_LINE,
  DRIP_LINE_MEASURES,
  LINES_PER_VALVE,
  MIX,
  count,
  mixLitres,
  number,
  parallelLines,
  material,
  pieces,
  points,
  reachWarnings,
  valves,
  type DripLine,
  type MixPart,
} from "./shared";
import type { PointM, StandCounts, StandModel } from "./model";

/** Buckets in one or more rows. */
export interface BucketLine extends DripLine {
  readonly kind: "bucket-line";
  readonly lines: number;
  readonly bucketsPerLine: number;
  readonly bucketSpacingM: number;
  readonly bucketDiameterM: number;
  readonly bucketVolumeL: number;
  readonly plantsPerBucket: number;
  readonly aisleM: number;
  readonly accessM: number;
  readonly linesPerValve: number;
  readonly emittersPerBucket: number;
  readonly emitterFlowLph: number;
  readonly mix: readonly MixPart[];
}

/** Emitters pushed in from outside narrow their line like so much more pipe. */
const PUSHED_IN_M = 0.2;
/** Spaghetti tube from the lateral to an emitter's stake. */
const TUBE_PER_EMITTER_M = 0.6;

/**
 * Sites of bucket lines: buckets × plants in each.
 * @source domain rules of counting; case in tests/reference/place/counts.json
 * @example bucketSites(24, 2) // 48
 */
export function bucketSites(buckets: number, plantsPerBucket: number): number {
  requireWhole("bucketSites", "buckets", buckets, 0, 1_000_000);
  requireWhole("bucketSites", "plantsPerBucket", plantsPerBucket, 0, 1000);
  return buckets * plantsPerBucket;
}

function counts(spec: BucketLine): StandCounts {
  const sitesPerLine = bucketSites(spec.bucketsPerLine, spec.plantsPerBucket);
  const warnings = spec.lines > 1 ? reachWarnings(0, spec.aisleM, true) : [];
  if (spec.bucketDiameterM > spec.bucketSpacingM) warnings.unshift({ kind: "wide-buckets" });
  return {
    lines: spec.lines,
    sitesPerLine,
    sites: spec.lines * sitesPerLine,
    lineAreaM2: spec.bucketsPerLine * spec.bucketSpacingM * spec.bucketDiameterM,
    slackM: null,
    evenedPitchM: null,
    facts: [{ kind: "medium-per-plant", value: spec.bucketVolumeL / spec.plantsPerBucket, dimension: "volume" }],
    warnings,
  };
}

function sitePoints(spec: BucketLine): PointM[] {
  const { plantsPerBucket: plants, bucketDiameterM: diameterM } = spec;
  return points(spec.bucketsPerLine * plants, (site) => {
    const inBucket = (site % plants) - (plants - 1) / 2;
    return {
      xM: (Math.floor(site / plants) + 0.5) * spec.bucketSpacingM + (inBucket * diameterM) / (plants + 1),
      yM: diameterM / 2,
    };
  });
}

export const BUCKET_LINE: StandModel<BucketLine> = {
  words: {
    name: "Bucket line",
    line: "row",
    site: "bucket place",
    about: "Buckets of medium on drip: tall fruit crops on strings.",
  },
  example: {
    kind: "bucket-line",
    lines: 1,
    bucketsPerLine: 12,
    bucketSpacingM: 0.5,
    bucketDiameterM: 0.3,
    bucketVolumeL: 15,
    plantsPerBucket: 1,
    aisleM: 0.9,
    accessM: 0,
    linesPerValve: 1,
    emittersPerBucket: 2,
    emitterFlowLph: 2,
    ...DRIP_LINE,
    equivalentLengthM: PUSHED_IN_M,
    mix: [
      { name: "coir", parts: 7 },
      { name: "perlite", parts: 3 },
    ],
  },
  measures: [
    count("lines", "Rows", 2000),
    count("bucketsPerLine", "Buckets in a row", 2000),
    number("bucketSpacingM", "Bucket spacing", "length", 0.05, 20),
    number("bucketDiameterM", "Bucket diameter", "length", 0.02, 5),
    number("bucketVolumeL", "Bucket volume", "volume", 0.1, 2000),
    count("plantsPerBucket", "Plants in a bucket", 50),
    AISLE,
    ACCESS,
    LINES_PER_VALVE,
    count("emittersPerBucket", "Emitters on a bucket", 50, undefined, 0),
    number("emitterFlowLph", "Emitter flow", "flow", 0, 1000),
    ...DRIP_LINE_MEASURES.map((one) => (one.name === "equivalentLengthM" ? { ...one, initial: PUSHED_IN_M } : one)),
    MIX,
  ],
  stretch: { along: { measure: "bucketsPerLine", by: "count" }, across: { measure: "lines", by: "count" } },
  counts,
  layout: (spec) =>
    parallelLines(spec.lines, spec.bucketsPerLine * spec.bucketSpacingM, spec.bucketDiameterM, () => spec.aisleM),
  sitePoints,
  flow: (spec) => ({
    lineFlowLph: spec.bucketsPerLine * spec.emittersPerBucket * spec.emitterFlowLph,
    linesPerValve: spec.linesPerValve,
    limited: true,
  }),
  water: () => ({ heldL: 0, drainBackL: 0, how: "buckets" }),
  materials: (spec) => {
    const buckets = spec.lines * spec.bucketsPerLine;
    const emitters = buckets * spec.emittersPerBucket;
    return [
      pieces("bucket", buckets, { value: spec.bucketVolumeL, dimension: "volume" }),
      ...mixLitres(buckets * spec.bucketVolumeL, spec.mix),
      pieces("emitter", emitters, { value: spec.emitterFlowLph, dimension: "flow" }),
      material("spaghetti tube", emitters * TUBE_PER_EMITTER_M, "m"),
      pieces("emitter stake", emitters),
      material("lateral tube", spec.lines * spec.bucketsPerLine * spec.bucketSpacingM, "m", {
        value: 16,
        dimension: "bore",
      }),
      pieces("lateral end", spec.lines),
      pieces("string with clips", spec.lines * spec.bucketsPerLine * spec.plantsPerBucket),
      valves(spec.lines, spec.linesPerValve),
    ];
  },
};
