import { requireEach, requireRange, requireWhole } from "../../units/range";

/** Nearer to the equator seasons say nothing of the hemisphere. */
const TROPIC_DEG = 23.5;
/** So much warmer the wrong half of the year must be to be no chance. */
const CLEARLY_C = 3;

/**
 * Whether the warm months are those of the other half of the world: January warmer than July in the north, or colder in the
 * south. The months have been turned, or the latitude has the wrong sign.
 *
 * @param warmestCByMonth twelve, January first
 * @param latitudeDeg −90 to 90, south under 0
 * @throws RangeError when a figure is outside its range
 */
export function seasonsAreTurned(warmestCByMonth: readonly number[], latitudeDeg: number): boolean {
  requireWhole("seasonsAreTurned", "months", warmestCByMonth.length, 12, 12);
  requireEach("seasonsAreTurned", "warmestCByMonth", warmestCByMonth, -70, 70);
  requireRange("seasonsAreTurned", "latitudeDeg", latitudeDeg, -90, 90);
  if (Math.abs(latitudeDeg) < TROPIC_DEG) return false;
  const mean = (months: readonly number[]) => months.reduce((sum, month) => sum + warmestCByMonth[month]!, 0) / 3;
  const [turnOfYear, midYear] = [mean([11, 0, 1]), mean([5, 6, 7])];
  return latitudeDeg > 0 ? turnOfYear > midYear + CLEARLY_C : midYear > turnOfYear + CLEARLY_C;
}
