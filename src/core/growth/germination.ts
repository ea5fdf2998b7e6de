import { requireRange, requireWhole } from "../units/range";

/** Two-sided normal quantiles of the confidences that are offered. */
const Z = { 80: 1.2815515655446004, 90: 1.6448536269514722, 95: 1.959963984540054, 99: 2.5758293035489004 } as const;
export type ConfidencePercent = keyof typeof Z;

/** A share that was counted, with the interval that it lies in. */
export interface CountedShare {
  readonly estimate: number;
  readonly low: number;
  readonly high: number;
}

/**
 * Germination from a count, with its Wilson score interval: it stays within 0 and 1, and is honest for few seeds.
 *
 * @param germinated of the seeds that were sown, whole
 * @param sown whole, 1–1 000 000
 * @param confidencePercent of the interval
 * @throws RangeError when a count is not whole or more came up than were sown
 * @source Wilson 1927; Newcombe 1998; tests/reference/growth/sowing.json, wilson
 * @example countedGermination(46, 50, 95).estimate // 0.92
 */
export function countedGermination(
  germinated: number,
  sown: number,
  confidencePercent: ConfidencePercent,
): CountedShare {
  requireWhole("countedGermination", "sown", sown, 1, 1_000_000);
  requireWhole("countedGermination", "germinated", germinated, 0, sown);
  const z2 = Z[confidencePercent] ** 2;
  const estimate = germinated / sown;
  const middle = (estimate + z2 / (2 * sown)) / (1 + z2 / sown);
  const half =
    (Z[confidencePercent] / (1 + z2 / sown)) * Math.sqrt((estimate * (1 - estimate)) / sown + z2 / (4 * sown * sown));
  return {
    estimate,
    low: germinated === 0 ? 0 : Math.max(0, middle - half),
    high: germinated === sown ? 1 : Math.min(1, middle + half),
  };
}

/** Seedlings counted on a day after sowing, all that had come up by then. */
export interface GerminationCount {
  readonly day: number;
  readonly up: number;
}

/**
 * Days until half of the seeds were up: of those that came up at all, and of those that were sown; linear between counts,
 * with none up on the day of sowing.
 *
 * @param counts in the order of their days; up to as many as were sown
 * @returns null where half was never reached
 * @throws RangeError when days or counts fall, or more came up than were sown
 * @source tests/reference/growth/sowing.json, daysToHalf
 */
export function daysToHalf(
  counts: readonly GerminationCount[],
  sown: number,
): { readonly ofGerminated: number | null; readonly ofSown: number | null } {
  requireWhole("daysToHalf", "sown", sown, 1, 1_000_000);
  let [lastDay, lastUp] = [0, 0];
  for (const { day, up } of counts) {
    requireRange("daysToHalf", "day", day, lastDay, 1000);
    requireRange("daysToHalf", "up", up, lastUp, sown);
    [lastDay, lastUp] = [day, up];
  }
  return { ofGerminated: lastUp === 0 ? null : reachedOn(counts, lastUp / 2), ofSown: reachedOn(counts, sown / 2) };
}

function reachedOn(counts: readonly GerminationCount[], wanted: number): number | null {
  let before: GerminationCount = { day: 0, up: 0 };
  for (const count of counts) {
    if (count.up >= wanted)
      return before.day + ((count.day - before.day) * (wanted - before.up)) / (count.up - before.up);
    before = count;
  }
  return null;
}
