import { requireRange } from "../units/range";

/**
 * Strength of a feed by the age of the plants: a straight line from the start to maturity, level before and after.
 *
 * @param ageDays −3650–3650; under 0 counts as the start
 * @param strengthAtStart share of the full strength, or an EC
 * @param strengthAtMaturity in the same measure
 * @param maturityDays 0.5–3650
 * @throws RangeError when an argument is outside its range
 * @source straight line; tests/reference/feed/label.json, "ramp"
 * @example strengthAtAge(14, 0.25, 1, 28) // 0.625
 */
export function strengthAtAge(
  ageDays: number,
  strengthAtStart: number,
  strengthAtMaturity: number,
  maturityDays: number,
): number {
  requireRange("strengthAtAge", "ageDays", ageDays, -3650, 3650);
  requireRange("strengthAtAge", "strengthAtStart", strengthAtStart, 0, 20);
  requireRange("strengthAtAge", "strengthAtMaturity", strengthAtMaturity, 0, 20);
  requireRange("strengthAtAge", "maturityDays", maturityDays, 0.5, 3650);
  const share = Math.min(1, Math.max(0, ageDays / maturityDays));
  return strengthAtStart + (strengthAtMaturity - strengthAtStart) * share;
}
