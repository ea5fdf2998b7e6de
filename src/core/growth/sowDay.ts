import { weekdayOf, type Day } from "../units/day";
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
 * @throws RangeError when no weekday is allowed or the crop takes more than two years
 * @source forward function tried from the far end; tests/reference/growth/stages.json, backward and everyDay
 */
export function sowDayFor(
  wanted: Day,
  stages: readonly DaysByMonth[],
  weekdays: readonly number[] = [1, 2, 3, 4, 5, 6, 7],
): SowDay {
  if (weekdays.length === 0) throw new RangeError("sowDayFor: weekdays is empty; it must name at least one");
  // Ready day never falls as the sow day grows, so the last day that is not late is found by halving.
  let early = wanted - SEARCH_DAYS;
  let late = wanted + 1;
  while (late - early > 1) {
    const middle = Math.floor((early + late) / 2);
    if (stageBoundaries(middle, stages).at(-1)! <= wanted) early = middle;
    else late = middle;
  }
  let sowDay = early;
  while (!weekdays.includes(weekdayOf(sowDay))) sowDay -= 1;
  const boundaries = stageBoundaries(sowDay, stages);
  return { sowDay, boundaries, daysEarly: wanted - boundaries.at(-1)! };
}
