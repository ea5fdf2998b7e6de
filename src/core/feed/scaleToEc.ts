import { requireRange } from "../units/range";
import { ecOfIons } from "./ec";
import { mixIons, type IonAmounts } from "./nutrients";

const GREATEST_STRENGTH = 8;

/**
 * The factor on a recipe that, on top of the source water, gives a wanted EC; ratios stay as they are.
 *
 * @param recipe ions of the recipe's salts at full strength, mmol/L
 * @param water ions of the source water, mmol/L
 * @param ecMsPerCm wanted EC, mS/cm
 * @returns the factor, or "water-too-strong" when the water alone is at or over the wanted EC
 * @throws RangeError when even eight-fold strength stays under it
 * @source bisection on ecOfIons; tests/reference/feed/ec.json, "scale"
 */
export function strengthForEc(recipe: IonAmounts, water: IonAmounts, ecMsPerCm: number): number | "water-too-strong" {
  requireRange("strengthForEc", "ecMsPerCm", ecMsPerCm, 0, 20);
  const ecAt = (factor: number) => ecOfIons(mixIons([[1, water], [factor, recipe]])); // prettier-ignore
  if (ecAt(0) >= ecMsPerCm) return "water-too-strong";
  if (ecAt(GREATEST_STRENGTH) < ecMsPerCm)
    throw new RangeError(
      `strengthForEc: ecMsPerCm is ${ecMsPerCm}; the recipe does not reach it at ${GREATEST_STRENGTH} times strength`,
    );
  return riseToZero(0, GREATEST_STRENGTH, (factor) => ecAt(factor) - ecMsPerCm);
}

/**
 * Zero of a rising function between two ends, to 1e-9 of the span: false position with the Illinois rule, which halves
 * the weight of an end that stays put. The caller has checked that the function changes sign between the ends.
 *
 * @source Dowell and Jarratt 1971, BIT 11
 */
export function riseToZero(low: number, high: number, f: (x: number) => number): number {
  const tolerance = 1e-9 * (high - low);
  let [atLow, atHigh] = [f(low), f(high)];
  let side = 0;
  for (let round = 0; round < 200 && high - low > tolerance; round++) {
    // Straight halving now and then keeps a bent function from creeping.
    const middle =
      round % 4 === 3 || !(atHigh > atLow)
        ? (low + high) / 2
        : Math.min(high, Math.max(low, (low * atHigh - high * atLow) / (atHigh - atLow)));
    const value = f(middle);
    if (value === 0 || Math.abs(value) < 1e-13) return middle;
    if (value < 0) {
      [low, atLow] = [middle, value];
      if (side === -1) atHigh /= 2;
      side = -1;
    } else {
      [high, atHigh] = [middle, value];
      if (side === 1) atLow /= 2;
      side = 1;
    }
  }
  return (low + high) / 2;
}
