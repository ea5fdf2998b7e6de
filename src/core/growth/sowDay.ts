import { leastWhole } from "../numeric/leastWhole";
import { requireDay, weekdayOf, type Day } from "../units/day";
import { requireWhole } from "../units/range";
import { keepsOrder, NEVER_DAYS, stageClock, type StageLength } from "./stageDays";

export interface SowDay {
  readonly sowDay: Day;
  readonly boundaries: readonly Day[];
  /** Days that the crop is ready before it is wanted. */
  readonly daysEarly: number;
}

/** Four years before the day that it is wanted: what is not ready by then never is. */
const SEARCH_DAYS = 2 * NEVER_DAYS;
/** Clocks are set for whole blocks of days, so that they serve every day wanted of a year. */
const BLOCK_DAYS = 366;
const EVERY_DAY = [1, 2, 3, 4, 5, 6, 7] as const;

/**
 * The latest sow day, on an allowed weekday, whose ready day is not after the wanted one. One allowed day later would
 * be late.
 *
 * @param wanted the day the crop has to be ready
 * @param stages how long each stage takes
 * @param weekdays allowed weekdays, 1 Monday … 7 Sunday; all when left out
 * @returns "never" where no sowing of the four years before is ready by then
 * @throws RangeError when no weekday is allowed or a figure is out of range
 * @source forward function tried from the far end; tests/reference/growth/stages.json, backward and everyDay
 */
export function sowDayFor(
  wanted: Day,
  stages: readonly StageLength[],
  weekdays: readonly number[] = EVERY_DAY,
): SowDay | { readonly kind: "never" } {
  if (weekdays.length === 0) throw new RangeError("sowDayFor: weekdays is empty; it must name at least one");
  requireDay("sowDayFor", "wanted", wanted);
  for (const weekday of weekdays) requireWhole("sowDayFor", "weekdays", weekday, 1, 7);
  const block = Math.floor(wanted / BLOCK_DAYS) * BLOCK_DAYS;
  const clocks = stages.map((stage) => stageClock(stage, block - 2 * BLOCK_DAYS, block + 2 * BLOCK_DAYS));
  const isLate = (day: Day) => {
    let at = day;
    for (const clock of clocks) {
      const end = clock(at);
      if (end > wanted || end - at >= NEVER_DAYS) return true;
      at = end;
    }
    return at > wanted;
  };
  const earliest = wanted - SEARCH_DAYS;
  let sowDay = stages.every(keepsOrder) ? lastInTime(wanted, isLate) : wanted;
  while (sowDay >= earliest && (!weekdays.includes(weekdayOf(sowDay)) || isLate(sowDay))) sowDay -= 1;
  if (sowDay < earliest) return { kind: "never" };
  const boundaries = [sowDay];
  for (const clock of clocks) boundaries.push(clock(boundaries.at(-1)!));
  return { sowDay, boundaries, daysEarly: wanted - boundaries.at(-1)! };
}

/** The last day that is not late: the ready day never falls as the sow day grows, so it is found by halving. */
function lastInTime(wanted: Day, isLate: (day: Day) => boolean): Day {
  let back = 16;
  while (back < SEARCH_DAYS && isLate(wanted - back)) back *= 2;
  return leastWhole(wanted - back, wanted + 1, isLate) - 1;
}
