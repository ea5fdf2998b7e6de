import { requireEach, requireRange } from "../units/range";

/**
 * How a salt that plants hardly take gathers in a recirculating tank: every litre that is drunk is topped up with water that
 * brings some, and nothing goes out. Day by day, mass ÷ volume, the tank begun with its first water. Plants do take a little:
 * it rises no faster than this.
 *
 * @param tankL water in the tank, L
 * @param drawnL topped up on each day, L
 * @param waterMgPerL of the salt in the water of each day, mg/L; the first is that of the first fill as well
 * @returns mg/L at the end of each day
 * @throws RangeError when a figure is outside its range, or there is not one water a day
 * @source mass balance; the closed form c0 + n·L·c0/V of tests/reference/feed/loop.json with no uptake
 */
export function saltRise(tankL: number, drawnL: readonly number[], waterMgPerL: readonly number[]): number[] {
  requireRange("saltRise", "tankL", tankL, 0.1, 100_000_000);
  requireEach("saltRise", "drawnL", drawnL, 0);
  requireEach("saltRise", "waterMgPerL", waterMgPerL, 0);
  if (waterMgPerL.length !== drawnL.length)
    throw new RangeError(`saltRise: ${drawnL.length} days are drawn but ${waterMgPerL.length} waters are told`);
  let mgPerL = waterMgPerL[0] ?? 0;
  return drawnL.map((litres, day) => (mgPerL += (litres * waterMgPerL[day]!) / tankL));
}
