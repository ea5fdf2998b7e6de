import { told } from "../../units/told";
import { ACCESS, AISLE, LINES_PER_VALVE, MIX, count, mixLitres, number, parallelLines, pieces, points, reachWarnings, valves, type MixPart } from "./shared"; // prettier-ignore
import type { PointM, StandCounts, StandModel } from "./model";

/** Buckets in one or more rows. */
export interface BucketLine {
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

/** Spaghetti tube from the lateral to an emitter's stake. */
const TUBE_PER_EMITTER_M = 0.6;

/**
 * Sites of bucket lines: buckets × plants in each.
 * @source domain rules of counting; case in tests/reference/place/counts.json
 * @example bucketSites(24, 2) // 48
 */
export function bucketSites(buckets: number, plantsPerBucket: number): number {
  return buckets * plantsPerBucket;
}

function counts(spec: BucketLine): StandCounts {
  const sitesPerLine = bucketSites(spec.bucketsPerLine, spec.plantsPerBucket);
  const warnings = spec.lines > 1 ? reachWarnings(0, spec.aisleM, true) : [];
  if (spec.bucketDiameterM > spec.bucketSpacingM) warnings.unshift("The buckets are wider than their spacing.");
  return {
    lines: spec.lines,
    sitesPerLine,
    sites: spec.lines * sitesPerLine,
    lineAreaM2: spec.bucketsPerLine * spec.bucketSpacingM * spec.bucketDiameterM,
    slackM: null,
    evenedPitchM: null,
    facts: [
      { label: "Medium for a plant", value: spec.bucketVolumeL / spec.plantsPerBucket, dimension: "volume", how: "Volume of a bucket over the plants in it." },
    ],
    warnings,
  }; // prettier-ignore
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
  words: { name: "Bucket line", line: "row", site: "bucket place", about: "Buckets of medium on drip: tall fruit crops on strings." },
  example: {
    kind: "bucket-line", lines: 1, bucketsPerLine: 12, bucketSpacingM: 0.5, bucketDiameterM: 0.3, bucketVolumeL: 15, plantsPerBucket: 1,
    aisleM: 0.9, accessM: 0, linesPerValve: 1, emittersPerBucket: 2, emitterFlowLph: 2, mix: [{ name: "coir", parts: 7 }, { name: "perlite", parts: 3 }],
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
  water: () => ({ heldL: 0, drainBackL: 0, how: "The medium holds the water; nothing comes back to a tank." }),
  materials: (spec) => {
    const buckets = spec.lines * spec.bucketsPerLine;
    const emitters = buckets * spec.emittersPerBucket;
    return [
      pieces(`bucket, ${told(spec.bucketVolumeL, "volume")}`, buckets),
      ...mixLitres(buckets * spec.bucketVolumeL, spec.mix),
      pieces(`emitter, ${told(spec.emitterFlowLph, "flow")}`, emitters),
      { item: "spaghetti tube", quantity: emitters * TUBE_PER_EMITTER_M, unit: "m" },
      pieces("emitter stake", emitters),
      { item: `lateral tube, ${told(16, "bore")}`, quantity: spec.lines * spec.bucketsPerLine * spec.bucketSpacingM, unit: "m" },
      pieces("lateral end", spec.lines),
      pieces("string with clips", spec.lines * spec.bucketsPerLine * spec.plantsPerBucket),
      valves(spec.lines, spec.linesPerValve),
    ];
  },
}; // prettier-ignore
