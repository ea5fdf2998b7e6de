import { randomLcg } from "d3-random";
import { logGamma, noncentralTail, normalQuantile, studentQuantile, studentTwoSided } from "../numeric/distributions";
import { leastWhole } from "../numeric/leastWhole";
import { requireEach, requireRange, requireWhole } from "../units/range";

const MOST_VALUES = 10_000;
const GREATEST = 1e9;

/** Two groups of weights or days, compared. */
export interface MeansCompared {
  readonly meanA: number;
  readonly meanB: number;
  readonly difference: number;
  readonly sdA: number;
  readonly sdB: number;
  readonly t: number;
  readonly df: number;
  /** How often chance alone gives such a difference. */
  readonly p: number;
  /** The difference lies between these, at the confidence asked for. */
  readonly low: number;
  readonly high: number;
}

/** Why means cannot be compared. */
export type NotComparable = { readonly kind: "too-few" } | { readonly kind: "no-spread"; readonly difference: number };

/**
 * Two means with their own spreads, by Welch's t test.
 *
 * @param a, b values of each group, up to 10 000
 * @param confidence of the interval, 0.5–0.999
 * @throws RangeError when a figure is outside its range
 * @source Welch 1947; tests/reference/growth/trials.json, welch
 */
export function compareMeans(
  a: readonly number[],
  b: readonly number[],
  confidence: number,
): MeansCompared | NotComparable {
  requireRange("compareMeans", "confidence", confidence, 0.5, 0.999);
  for (const group of [a, b]) {
    requireWhole("compareMeans", "values", group.length, 0, MOST_VALUES);
    requireEach("compareMeans", "values", group, -GREATEST, GREATEST);
  }
  if (a.length < 2 || b.length < 2) return { kind: "too-few" };
  const [one, other] = [summary(a), summary(b)];
  const difference = one.mean - other.mean;
  const [shareA, shareB] = [one.variance / a.length, other.variance / b.length];
  const variance = shareA + shareB;
  if (variance === 0) return { kind: "no-spread", difference };
  const t = difference / Math.sqrt(variance);
  const df = variance ** 2 / (shareA ** 2 / (a.length - 1) + shareB ** 2 / (b.length - 1));
  const half = studentQuantile(1 - confidence, df) * Math.sqrt(variance);
  return {
    ...{ meanA: one.mean, meanB: other.mean, difference, t, df },
    ...{ sdA: Math.sqrt(one.variance), sdB: Math.sqrt(other.variance), p: studentTwoSided(held(t), df) },
    ...{ low: difference - half, high: difference + half },
  };
}

/** Past it the probability is 0 to all digits. */
const MOST_T = 1e8;
const held = (t: number) => Math.min(MOST_T, Math.max(-MOST_T, t));

function summary(values: readonly number[]) {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  const variance = values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (values.length - 1);
  return { mean, variance };
}

/** Two counts, compared. */
export interface SharesCompared {
  readonly pTwoSided: number;
  /** That A comes off no better, and no worse, by chance alone. */
  readonly pLess: number;
  readonly pGreater: number;
}

/** A table no likelier than the one seen counts with it; this much is the rounding of floats. */
const AS_LIKELY = 1 + 1e-7;

/**
 * Two shares by their counts, by Fisher's exact test.
 *
 * @param a, b how many did and did not, whole, together at most a million
 * @throws RangeError when a count is not whole
 * @source Fisher 1935; tests/reference/growth/trials.json, fisher
 */
export function compareShares(
  a: { readonly yes: number; readonly no: number },
  b: { readonly yes: number; readonly no: number },
): SharesCompared {
  for (const [name, count] of Object.entries({ aYes: a.yes, aNo: a.no, bYes: b.yes, bNo: b.no }))
    requireWhole("compareShares", name, count, 0, 250_000);
  const [rowA, rowB, yes] = [a.yes + a.no, b.yes + b.no, a.yes + b.yes];
  const [least, most] = [Math.max(0, yes - rowB), Math.min(rowA, yes)];
  const logOf = (count: number) => logChoose(rowA, count) + logChoose(rowB, yes - count) - logChoose(rowA + rowB, yes);
  const seen = Math.exp(logOf(a.yes));
  const sums = { pTwoSided: 0, pLess: 0, pGreater: 0 };
  for (let count = least; count <= most; count++) {
    const chance = Math.exp(logOf(count));
    if (count <= a.yes) sums.pLess += chance;
    if (count >= a.yes) sums.pGreater += chance;
    if (chance <= seen * AS_LIKELY) sums.pTwoSided += chance;
  }
  return {
    pTwoSided: Math.min(1, sums.pTwoSided),
    pLess: Math.min(1, sums.pLess),
    pGreater: Math.min(1, sums.pGreater),
  };
}

const logChoose = (n: number, k: number) => logGamma(n + 1) - logGamma(k + 1) - logGamma(n - k + 1);

/** What a trial shall be able to show. */
export interface Power {
  /** How often a difference as large shall be found, 0.5–0.99. */
  readonly power: number;
  /** How often chance alone may be taken for one, 0.001–0.2. */
  readonly alpha: number;
}

function requirePower(where: string, { power, alpha }: Power): void {
  requireRange(where, "power", power, 0.5, 0.99);
  requireRange(where, "alpha", alpha, 0.001, 0.2);
}

/**
 * Plants a side that a trial of two means needs.
 *
 * @param difference between the means that shall be found, over 0
 * @param sd of a single value, over 0
 * @returns whole number a side, at least 2
 * @throws RangeError when a figure is outside its range
 * @source power of the two-sample t test by the noncentral t; tests/reference/growth/trials.json, sampleSizeMeans
 */
export function sizeForMeans(difference: number, sd: number, wish: Power): number {
  requireRange("sizeForMeans", "difference", difference, 1e-9, GREATEST);
  requireRange("sizeForMeans", "sd", sd, 1e-9, GREATEST);
  requirePower("sizeForMeans", wish);
  const effect = requireRange("sizeForMeans", "difference ÷ sd", difference / sd, 0.02, 1000);
  const z = normalQuantile(1 - wish.alpha / 2) + normalQuantile(wish.power);
  const near = Math.ceil(2 * (z / effect) ** 2);
  return leastWhole(1, near + 10, (size) => powerOfMeans(size, effect, wish.alpha) >= wish.power);
}

/** How often a trial with so many a side finds a difference of so many standard deviations. */
export function powerOfMeans(size: number, effect: number, alpha: number): number {
  requireWhole("powerOfMeans", "size", size, 2, 1_000_000);
  requireRange("powerOfMeans", "effect", effect, 0.02, 1000);
  requireRange("powerOfMeans", "alpha", alpha, 0.001, 0.2);
  const df = 2 * (size - 1);
  const shift = Math.min(100, effect * Math.sqrt(size / 2));
  return noncentralTail(studentQuantile(alpha, df), df, shift);
}

/**
 * Seeds or plants a side that a trial of two shares needs.
 *
 * @param shareA, shareB 0.001–0.999, not the same
 * @returns the exact figure; the next whole number up is needed
 * @throws RangeError when a figure is outside its range
 * @source normal approximation, pooled under no difference; tests/reference/growth/trials.json, sampleSizeShares
 */
export function sizeForShares(shareA: number, shareB: number, wish: Power): number {
  requireRange("sizeForShares", "shareA", shareA, 0.001, 0.999);
  requireRange("sizeForShares", "shareB", shareB, 0.001, 0.999);
  const difference = requireRange("sizeForShares", "difference", Math.abs(shareA - shareB), 0.001, 1);
  requirePower("sizeForShares", wish);
  const mean = (shareA + shareB) / 2;
  const pooled = normalQuantile(1 - wish.alpha / 2) * Math.sqrt(2 * mean * (1 - mean));
  const apart = normalQuantile(wish.power) * Math.sqrt(shareA * (1 - shareA) + shareB * (1 - shareB));
  return ((pooled + apart) / difference) ** 2;
}

/** As many as a screen that follows the typing can wait for. */
const MOST_RESAMPLES = 20_000;
const LEAST_RESAMPLES = 2000;
const MOST_DRAWS = 2_000_000;

/**
 * The interval of a mean by resampling: no distribution is taken for granted.
 *
 * @param values 2–10 000
 * @param confidence of the interval, 0.5–0.99
 * @throws RangeError when a figure is outside its range
 * @source Efron 1979, percentile interval; up to 20 000 resamples from a fixed seed
 */
export function resampledMean(
  values: readonly number[],
  confidence: number,
): { readonly mean: number; readonly low: number; readonly high: number } {
  requireWhole("resampledMean", "values", values.length, 2, MOST_VALUES);
  requireEach("resampledMean", "values", values, -GREATEST, GREATEST);
  requireRange("resampledMean", "confidence", confidence, 0.5, 0.99);
  const random = randomLcg(0.5);
  const resamples = Math.round(Math.min(MOST_RESAMPLES, Math.max(LEAST_RESAMPLES, MOST_DRAWS / values.length)));
  const means = Float64Array.from({ length: resamples }, () => {
    let sum = 0;
    for (let at = 0; at < values.length; at++) sum += values[Math.floor(random() * values.length)]!;
    return sum / values.length;
  }).sort();
  const at = (share: number) => means[Math.min(resamples - 1, Math.floor(share * resamples))]!;
  return { mean: summary(values).mean, low: at((1 - confidence) / 2), high: at((1 + confidence) / 2) };
}
