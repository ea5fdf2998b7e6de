import { leastWhole } from "../numeric/leastWhole";
import { requireDay, weekdayOf, type Day } from "../units/day";
import { requireWhole } from "../units/range";
import { stageBoundaries, type DaysByMonth } from "./stageDays";

export interface SowDay {
  readonly sowDay: Day;
  readonly boundaries: readonly Day[];
  /** Days that the crop is ready before it is wanted. */
  readonly daysEarly: number;
}

const SEARCH_DAYS = 800;

/**
 * The latest sow day, on an allowed weekday, whose ready day is not after the wanted one. One allowed day later would
 * be late.
 *
 * @param wanted the day the crop has to be ready
 * @param stages days by month of each stage
 * @param weekdays allowed weekdays, 1 Monday … 7 Sunday; all when left out
 * @throws RangeError when no weekday is allowed or the crop takes more than 800 days
 * @source forward function tried from the far end; tests/reference/growth/stages.json, backward and everyDay
 */
export function sowDayFor(
  wanted: Day,
  stages: readonly DaysByMonth[],
  weekdays: readonly number[] = [1, 2, 3, 4, 5, 6, 7],
): SowDay {
  if (weekdays.length === 0) throw new RangeError("sowDayFor: weekdays is empty; it must name at least one");
  requireDay("sowDayFor", "wanted", wanted);
  for (const weekday of weekdays) requireWhole("sowDayFor", "weekdays", weekday, 1, 7);
  if (stageBoundaries(wanted - SEARCH_DAYS, stages).at(-1)! > wanted)
    throw new RangeError(
      `sowDayFor: stages take more than ${SEARCH_DAYS} days; they must take from 0 to ${SEARCH_DAYS}`,
    );
  // Ready day never falls as the sow day grows, so the last day that is not late is found by halving.
  const isLate = (day: Day) => stageBoundaries(day, stages).at(-1)! > wanted;
  let sowDay = leastWhole(wanted - SEARCH_DAYS, wanted + 1, isLate) - 1;
  while (!weekdays.includes(weekdayOf(sowDay))) sowDay -= 1;
  const boundaries = stageBoundaries(sowDay, stages);
  return { sowDay, boundaries, daysEarly: wanted - boundaries.at(-1)! };
}
