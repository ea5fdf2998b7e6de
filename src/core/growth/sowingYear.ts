import { requireDay, type Day } from "../units/day";
import { requireWhole } from "../units/range";
import { NEVER_DAYS, stageClock, type StageLength } from "./stageDays";

/** A sowing of the year: the days until each stage is over, from sowing; null where it is never ready. */
export interface YearSowing {
  readonly sowDay: Day;
  readonly daysAtEnds: readonly number[] | null;
}

/**
 * What becomes of a sowing on each day of a year.
 *
 * @param from the first sow day
 * @param days how many, 1–800
 * @throws RangeError when an argument is out of range
 */
export function sowingYear(stages: readonly StageLength[], from: Day, days: number): YearSowing[] {
  requireDay("sowingYear", "from", from);
  requireWhole("sowingYear", "days", days, 1, 800);
  const clocks = stages.map((stage) => stageClock(stage, from, from + days + NEVER_DAYS));
  return Array.from({ length: days }, (_, at) => {
    const ends: number[] = [];
    let start = from + at;
    for (const clock of clocks) {
      const end = clock(start);
      if (end - start >= NEVER_DAYS) return { sowDay: from + at, daysAtEnds: null };
      ends.push(end - from - at);
      start = end;
    }
    return { sowDay: from + at, daysAtEnds: ends };
  });
}
