import { requireEach, requireRange } from "../units/range";

/** How evenly emitters give, as shares of 1. */
export interface Uniformity {
  readonly meanLph: number;
  readonly leastLph: number;
  readonly greatestLph: number;
  /** (greatest − least) ÷ greatest. */
  readonly flowVariation: number;
  /** Christiansen's uniformity: 1 − mean deviation ÷ mean; may be negative, null when all is dry. */
  readonly cu: number | null;
  /** Mean of the lowest quarter ÷ mean; null when all is dry. */
  readonly duLowQuarter: number | null;
  /** Emission uniformity: what manufacture and line together leave to the plant that gets least; null when all is dry. */
  readonly eu: number | null;
}

export type EuVerdict = "excellent" | "good" | "fair" | "poor";

/**
 * Uniformity of emitters along a line or of catch cans.
 *
 * @param flowsLph one for each emitter, 0 or more; at least one
 * @param manufacturingCv coefficient of variation of new emitters, 0–1
 * @param emittersPerPlant 1 or more
 * @returns shares; the lowest quarter counts the emitter at its edge by its fraction
 * @throws RangeError when a figure is outside its range
 * @source Christiansen 1942; Keller and Karmeli 1974, Trans. ASAE 17(4); ASABE EP405
 */
export function uniformity(flowsLph: ArrayLike<number>, manufacturingCv: number, emittersPerPlant: number): Uniformity {
  requireRange("uniformity", "flows", flowsLph.length, 1, 1_000_000);
  requireEach("uniformity", "flowsLph", Array.from(flowsLph), 0, 1e9);
  requireRange("uniformity", "manufacturingCv", manufacturingCv, 0, 1);
  requireRange("uniformity", "emittersPerPlant", emittersPerPlant, 0.01, 10_000);
  const sorted = Float64Array.from(flowsLph).sort();
  const count = sorted.length;
  const meanLph = sorted.reduce((sum, flow) => sum + flow, 0) / count;
  const [leastLph, greatestLph] = [sorted[0]!, sorted[count - 1]!];
  if (greatestLph === 0)
    return { meanLph, leastLph, greatestLph, flowVariation: 0, cu: null, duLowQuarter: null, eu: null };
  const deviation = sorted.reduce((sum, flow) => sum + Math.abs(flow - meanLph), 0) / count;
  return {
    meanLph,
    leastLph,
    greatestLph,
    flowVariation: (greatestLph - leastLph) / greatestLph,
    cu: 1 - deviation / meanLph,
    duLowQuarter: meanOfLowest(sorted, count / 4) / meanLph,
    eu: ((1 - (1.27 * manufacturingCv) / Math.sqrt(emittersPerPlant)) * leastLph) / meanLph,
  };
}

/** Mean of the lowest of sorted values, the last of them by its fraction. */
function meanOfLowest(sorted: Float64Array, howMany: number): number {
  let sum = 0;
  for (let at = 0; at < howMany; at++) sum += sorted[at]! * Math.min(1, howMany - at);
  return sum / howMany;
}

/** What an emission uniformity is called. @source ASABE EP405: 90 % and over excellent, 80 good, 70 fair */
export function euVerdict(eu: number): EuVerdict {
  requireRange("euVerdict", "eu", eu, -10, 1.000001);
  if (eu >= 0.9) return "excellent";
  if (eu >= 0.8) return "good";
  return eu >= 0.7 ? "fair" : "poor";
}

/** What a flow variation is called. @source design rule: 10 % is good, 20 % acceptable */
export function flowVariationVerdict(flowVariation: number): "good" | "acceptable" | "too-much" {
  requireRange("flowVariationVerdict", "flowVariation", flowVariation, 0, 1);
  if (flowVariation <= 0.1) return "good";
  return flowVariation <= 0.2 ? "acceptable" : "too-much";
}
