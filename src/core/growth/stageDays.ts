import { civilDate, daysInMonth, type Day } from "../units/day";
import { requireRange } from "../units/range";

/** Days that a stage takes, by month, January first: shorter in bright months, longer in dark ones. */
export type DaysByMonth = readonly number[];

const COMPLETE = 1 - 1e-9;
const GIVE_UP_AFTER_DAYS = 731;

/**
 * A monthly figure at a date, linear between month middles; the middle of a month of N days is day number (N + 1)/2.
 *
 * @param byMonth twelve values, January first
 * @source tests/reference/growth/stages.json, monthlyValue
 * @example monthlyValue([45, 40, 34, 28, 24, 22, 21, 23, 27, 33, 40, 45], dayFromIso("2027-01-16")) // 45
 */
export function monthlyValue(byMonth: readonly number[], day: Day): number {
  const { year, month, dayOfMonth } = civilDate(day);
  const middle = middleOf(year, month);
  const forward = dayOfMonth >= middle;
  const otherMonth = forward ? (month % 12) + 1 : ((month + 10) % 12) + 1;
  const otherYear = forward && month === 12 ? year + 1 : !forward && month === 1 ? year - 1 : year;
  const otherMiddle = middleOf(otherYear, otherMonth);
  const distance = forward
    ? daysInMonth(year, month) - middle + otherMiddle
    : middle + daysInMonth(otherYear, otherMonth) - otherMiddle;
  const part = Math.abs(dayOfMonth - middle) / distance;
  return byMonth[month - 1]! * (1 - part) + byMonth[otherMonth - 1]! * part;
}

function middleOf(year: number, month: number): number {
  return (daysInMonth(year, month) + 1) / 2;
}

/**
 * The first day on which a stage is complete, calendar school: each day adds 1/days-by-month, and nothing is carried
 * over to the next stage. Used as daily progress, so that sowing later is never ready earlier.
 *
 * @param start first day of the stage
 * @param byMonth days the stage takes, by month; each over 0 and at most 400
 * @returns the day on which the plants move on or are ready
 * @throws RangeError when a month's length is out of range
 * @source tests/reference/growth/stages.json
 * @example stageEnd(dayFromIso("2027-05-07"), Array(12).fill(10)) // 2027-05-17
 */
export function stageEnd(start: Day, byMonth: DaysByMonth): Day {
  if (byMonth.length !== 12) throw new RangeError(`stageEnd: byMonth has ${byMonth.length} values; it must have 12`);
  byMonth.forEach((days) => requireRange("stageEnd", "byMonth", days, 0.01, 400));
  let progress = 0;
  let day = start;
  while (progress < COMPLETE) {
    if (day - start > GIVE_UP_AFTER_DAYS) throw new RangeError("stageEnd: not complete within two years");
    progress += 1 / monthlyValue(byMonth, day);
    day += 1;
  }
  return day;
}

/**
 * Boundaries of a crop's stages sown on a day: the sow day, then the end of each stage.
 * @example stageBoundaries(day, [soak, germinate, grow]) // [sow, …, ready]
 */
export function stageBoundaries(sowDay: Day, stages: readonly DaysByMonth[]): Day[] {
  const boundaries = [sowDay];
  for (const byMonth of stages) boundaries.push(stageEnd(boundaries.at(-1)!, byMonth));
  return boundaries;
}

/**
 * `stageEnd` for many starts: progress is summed once over a span of days, and each end is then found by halving.
 * Starts outside the span fall back to `stageEnd`; both give the same days (tested).
 *
 * @param from first day of the span
 * @param to day after its last
 */
export function stageClock(byMonth: DaysByMonth, from: Day, to: Day): (start: Day) => Day {
  const span = Math.max(0, to - from);
  const daily = monthlyValues(byMonth, from, span);
  const progress = new Float64Array(span + 1);
  for (let i = 0; i < span; i++) progress[i + 1] = progress[i]! + 1 / daily[i]!;
  return (start) => {
    const offset = start - from;
    if (offset < 0 || offset >= span || progress[span]! - progress[offset]! < 1) return stageEnd(start, byMonth);
    const wanted = progress[offset]! + COMPLETE;
    let low = offset;
    let high = span;
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      // Summing from another start moves the last digits; a picoday is far under the 1e-9 that COMPLETE forgives.
      if (progress[middle]! >= wanted - 1e-12) high = middle;
      else low = middle;
    }
    return from + high;
  };
}

/** `monthlyValue` of every day of a span, month middle to month middle. */
function monthlyValues(byMonth: readonly number[], from: Day, span: number): Float64Array {
  const values = new Float64Array(span);
  let { year, month } = civilDate(from - 31);
  let at = firstOfMonth(year, month) + middleOf(year, month) - 1;
  while (at < from + span) {
    const here = byMonth[month - 1]!;
    [year, month] = month === 12 ? [year + 1, 1] : [year, month + 1];
    const next = firstOfMonth(year, month) + middleOf(year, month) - 1;
    const there = byMonth[month - 1]!;
    const end = Math.min(from + span, Math.ceil(next));
    for (let day = Math.max(from, Math.ceil(at)); day < end; day++)
      values[day - from] = here + ((there - here) * (day - at)) / (next - at);
    at = next;
  }
  return values;
}

function firstOfMonth(year: number, month: number): Day {
  return Date.UTC(year, month - 1, 1) / 86_400_000;
}
