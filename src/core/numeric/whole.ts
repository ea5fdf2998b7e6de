import { requireRange } from "../units/range";

/** Less than this over a whole number is the rounding of binary fractions, not a plant more. */
const SLACK = 1e-9;

/** The next whole number up, with 1e-9 of slack. @example wholeUp(7 * 0.1 * 10) // 7 */
export function wholeUp(value: number): number {
  return Math.ceil(requireRange("wholeUp", "value", value, -1e12, 1e12) - SLACK) + 0;
}

/** The next whole number down, with 1e-9 of slack. @example wholeDown(0.1 * 3 * 10) // 3 */
export function wholeDown(value: number): number {
  return Math.floor(requireRange("wholeDown", "value", value, -1e12, 1e12) + SLACK);
}
