/**
 * Exact fits must not be lost to rounding or to a saw: what is a millimetre too long still fits.
 * @source this project's tolerance (docs/formulas.md)
 */
export const FIT_TOLERANCE_M = 0.001;
/** Float dust must not decide over a site: a picometre of length, a billionth of a step. */
const DUST_M = 1e-12;
const DUST_STEPS = 1e-9;

/** Whether a size fits a room to the millimetre. @example fitsIn(6.0005, 6) // true */
export function fitsIn(sizeM: number, roomM: number): boolean {
  return sizeM <= roomM + FIT_TOLERANCE_M + DUST_M;
}

/** Whole steps that a room takes; 0 in a room under nothing. @example stepsIn(1.2, 0.3) // 4 */
export function stepsIn(roomM: number, stepM: number): number {
  return Math.max(0, Math.floor((roomM + FIT_TOLERANCE_M) / stepM + DUST_STEPS));
}

/** Sites from one end of a room to the other, a step apart; none in a room under nothing. @example sitesIn(1, 0.25) // 5 */
export function sitesIn(roomM: number, stepM: number): number {
  return fitsIn(0, roomM) ? stepsIn(roomM, stepM) + 1 : 0;
}
