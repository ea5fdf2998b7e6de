import { requireRange } from "../units/range";

/**
 * Zero of a rising function between two ends, to 1e-9 of the span: false position with the Illinois rule, which halves
 * the weight of an end that stays put. The caller has checked that the function changes sign between the ends.
 *
 * @param low end where the function is not over zero
 * @param high end where it is not under zero; over `low`
 * @throws RangeError for an end that is no number or ends the wrong way round
 * @source Dowell and Jarratt 1971, BIT 11
 */
export function riseToZero(low: number, high: number, f: (x: number) => number): number {
  requireRange("riseToZero", "low", low, -1e12, 1e12);
  requireRange("riseToZero", "high", high, low, 1e12);
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
