import { civilDate, daysInMonth, requireDay, type Day } from "../units/day";
import { GREATEST, requireEach, requireWhole } from "../units/range";

/** Days that a stage takes, by month, January first: shorter in bright months, longer in dark ones. */
export type DaysByMonth = readonly number[];

const COMPLETE = 1 - 1e-9;

/**
 * A monthly figure at a date, linear between month middles; the middle of a month of N days is day number (N + 1)/2.
 *
 * @param byMonth twelve values, January first
 * @source tests/reference/growth/stages.json, monthlyValue
 * @example monthlyValue([45, 40, 34, 28, 24, 22, 21, 23, 27, 33, 40, 45], dayFromIso("2027-01-16")) // 45
 */
export function monthlyValue(byMonth: readonly number[], day: Day): number {
  requireByMonth("monthlyValue", byMonth, -GREATEST, GREATEST);
  return valueAt(byMonth, day);
}

/** Twelve values in a range, January first. */
function requireByMonth(where: string, byMonth: readonly number[], least: number, greatest: number): void {
  requireWhole(where, "months of byMonth", byMonth.length, 12, 12);
  requireEach(where, "byMonth", byMonth, least, greatest);
}

function requireStage(where: string, byMonth: DaysByMonth): void {
  requireByMonth(where, byMonth, 0.01, 400);
}

function valueAt(byMonth: readonly number[], day: Day): number {
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
 * @example stageEnd(dayFromIso("2027-05-07"), Array(12).fill(10)) // dayFromIso("2027-05-17")
 */
export function stageEnd(start: Day, byMonth: DaysByMonth): Day {
  requireDay("stageEnd", "start", start);
  requireStage("stageEnd", byMonth);
  let progress = 0;
  let day = start;
  while (progress < COMPLETE) {
    progress += 1 / valueAt(byMonth, day);
    day += 1;
  }
  return day;
}

/**
 * Boundaries of a crop's stages sown on a day: the sow day, then the end of each stage.
 * @example stageBoundaries(20000, [Array(12).fill(3), Array(12).fill(20)]) // [20000, 20003, 20023]
 */
export function stageBoundaries(sowDay: Day, stages: readonly DaysByMonth[]): Day[] {
  requireDay("stageBoundaries", "sowDay", sowDay);
  const boundaries = [sowDay];
  for (const byMonth of stages) boundaries.push(stageEnd(boundaries.at(-1)!, byMonth));
  return boundaries;
}

interface Clock {
  readonly from: Day;
  readonly to: Day;
  readonly end: (start: Day) => Day;
}

/** The last clock of each list of lengths: plans are worked out over and over from the same ones. */
const clocks = new WeakMap<DaysByMonth, Clock>();

/**
 * `stageEnd` for many starts: the ends of all days of a span are found in one pass. Starts outside the span fall back to
 * `stageEnd`; both give the same days (tested).
 *
 * @param from first day of the span
 * @param to day after its last
 */
export function stageClock(byMonth: DaysByMonth, from: Day, to: Day): (start: Day) => Day {
  requireDay("stageClock", "from", from);
  requireDay("stageClock", "to", to);
  const known = clocks.get(byMonth);
  if (known?.from === from && known.to === to) return known.end;
  requireStage("stageClock", byMonth);
  const ends = endsOf(monthlyValues(byMonth, from, Math.max(0, to - from)));
  const end = (start: Day) => {
    requireDay("stageClock", "start", start);
    const offset = start - from;
    const days = offset < 0 || offset >= ends.length ? -1 : ends[offset]!;
    return days < 0 ? stageEnd(start, byMonth) : from + days;
  };
  clocks.set(byMonth, { from, to, end });
  return end;
}

/** For each day of a span the day on which a stage begun then is complete, or −1 where that lies past the span. */
function endsOf(daily: Float64Array): Int32Array {
  const span = daily.length;
  const progress = new Float64Array(span + 1);
  for (let i = 0; i < span; i++) progress[i + 1] = progress[i]! + 1 / daily[i]!;
  const ends = new Int32Array(span);
  let end = 0;
  for (let start = 0; start < span; start++) {
    // Summing from another start moves the last digits; a picoday is far under the 1e-9 that COMPLETE forgives.
    const wanted = progress[start]! + COMPLETE - 1e-12;
    while (end <= span && progress[end]! < wanted) end++;
    ends[start] = end <= span ? end : -1;
  }
  return ends;
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
