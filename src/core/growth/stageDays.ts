import { civilDate, dayOfYear, requireDay, type Day } from "../units/day";
import { requireEach, requireRange, requireWhole } from "../units/range";
import { monthlyValues, requireByMonth, valueAt } from "./monthly";

/** Days that a stage takes, by month, January first: shorter in bright months, longer in dark ones. */
export type DaysByMonth = readonly number[];

/** How long a stage takes. */
export interface StageLength {
  readonly daysByMonth: DaysByMonth;
  /** "daily": each day counts by its own month; "start": the table is read once, on the first day of the stage. */
  readonly daysRead?: "daily" | "start";
  /** Share of the stage that each day of the year brings, 1 January first, 366 of them: in place of the days by month. */
  readonly progressByDay?: readonly number[];
  /** How much longer it takes here than worked out; 1 where nothing was learned. */
  readonly learnedRatio?: number;
}

const COMPLETE = 1 - 1e-9;
/** What is not complete within two years never is. */
const LONGEST_DAYS = 731;
/** What `stageEnd` adds to the start of a stage that is never complete: past all that is planned. */
export const NEVER_DAYS = LONGEST_DAYS + 1;

/** Lengths that were found sound are not looked at again. */
const sound = new WeakSet<StageLength>();

/** Refuses a length with a figure outside its range. */
export function requireLength(where: string, length: StageLength): void {
  if (sound.has(length)) return;
  requireByMonth(where, length.daysByMonth, 0.01, 400);
  requireRange(where, "learnedRatio", length.learnedRatio ?? 1, 0.1, 10);
  if (length.progressByDay) {
    requireWhole(where, "days of progressByDay", length.progressByDay.length, 366, 366);
    requireEach(where, "progressByDay", length.progressByDay, 0, 20);
  }
  sound.add(length);
}

/** Whether a later start is never complete earlier: not where a table is read once. */
export function keepsOrder(length: StageLength): boolean {
  return length.progressByDay !== undefined || length.daysRead !== "start";
}

/**
 * The first day on which a stage is complete. Each day adds its share: one over the days of its month (the calendar
 * school), or what its warmth and light bring; nothing is carried over to the next stage. Where the table is read at the
 * start, it takes that many days, rounded half up.
 *
 * @param start first day of the stage
 * @param length days by month each over 0 and at most 400
 * @returns the day on which the plants move on or are ready; `NEVER_DAYS` after the start where two years do not do
 * @throws RangeError when a figure is out of range
 * @source tests/reference/growth/stages.json
 * @example stageEnd(dayFromIso("2027-05-07"), { daysByMonth: Array(12).fill(10) }) // dayFromIso("2027-05-17")
 */
export function stageEnd(start: Day, length: StageLength): Day {
  requireDay("stageEnd", "start", start);
  requireLength("stageEnd", length);
  if (!keepsOrder(length)) return start + daysFromStart(length, start);
  const end = endByProgress(start, (day) => progressOn(length, day));
  return end === "never" ? start + NEVER_DAYS : end;
}

/**
 * The first day on which a stage is complete, by what each day brings.
 *
 * @param progressOf a day, 0 or more
 * @returns "never" where two years do not complete it
 * @source tests/reference/growth/stages.json
 */
export function endByProgress(start: Day, progressOf: (day: Day) => number): Day | "never" {
  requireDay("endByProgress", "start", start);
  let progress = 0;
  for (let day = start; day <= start + LONGEST_DAYS; day++) {
    if (progress >= COMPLETE) return day;
    progress += progressOf(day);
  }
  return "never";
}

/**
 * The first day on which a share of a stage is past, by its clock.
 *
 * @param share 0–1; at 1 it is the day on which the stage is complete
 * @throws RangeError when a figure is out of range
 */
export function dayOfShare(start: Day, length: StageLength, share: number): Day {
  requireDay("dayOfShare", "start", start);
  requireLength("dayOfShare", length);
  requireRange("dayOfShare", "share", share, 0, 1);
  if (share === 0) return start;
  if (!keepsOrder(length)) return start + Math.ceil(daysFromStart(length, start) * share - 1e-9);
  const end = endByProgress(start, (day) => progressOn(length, day) / share);
  return end === "never" ? start + NEVER_DAYS : end;
}

function progressOn({ daysByMonth, progressByDay, learnedRatio = 1 }: StageLength, day: Day): number {
  return (progressByDay ? progressByDay[dayOfYear(day) - 1]! : 1 / valueAt(daysByMonth, day)) / learnedRatio;
}

function daysFromStart({ daysByMonth, learnedRatio = 1 }: StageLength, start: Day): number {
  const days = Math.max(1, Math.floor(valueAt(daysByMonth, start) * learnedRatio + 0.5));
  return days > LONGEST_DAYS ? NEVER_DAYS : days;
}

/**
 * Boundaries of a crop's stages sown on a day: the sow day, then the end of each stage.
 * @example stageBoundaries(20000, [3, 20].map((days) => ({ daysByMonth: Array(12).fill(days) }))) // [20000, 20003, 20023]
 */
export function stageBoundaries(sowDay: Day, stages: readonly StageLength[]): Day[] {
  requireDay("stageBoundaries", "sowDay", sowDay);
  const boundaries = [sowDay];
  for (const stage of stages) boundaries.push(stageEnd(boundaries.at(-1)!, stage));
  return boundaries;
}

/** Where a crop stands still for good. */
export interface Stall {
  /** Stage, counted from 0. */
  readonly stage: number;
  /** Month in which it does not get on, 1 January … 12 December. */
  readonly month: number;
}

/**
 * The stage that is never complete, and the month in which it stands still: the first that brings next to nothing, else the one
 * that brings least.
 *
 * @param boundaries from `stageBoundaries`
 * @returns null where every stage is complete within two years
 */
export function stallOf(boundaries: readonly Day[], stages: readonly StageLength[]): Stall | null {
  for (const day of boundaries) requireDay("stallOf", "boundaries", day);
  for (const stage of stages) requireLength("stallOf", stage);
  const stage = stages.findIndex((_, at) => boundaries[at + 1]! - boundaries[at]! >= NEVER_DAYS);
  if (stage < 0) return null;
  const start = boundaries[stage]!;
  const sums = new Map<number, number>();
  for (let day = start; day < start + 365; day++) {
    const { month } = civilDate(day);
    sums.set(month, (sums.get(month) ?? 0) + progressOn(stages[stage]!, day));
  }
  const months = [...sums];
  const still = months.find(([, progress]) => progress < 1e-3);
  const least = months.reduce((best, one) => (one[1] < best[1] ? one : best));
  return { stage, month: (still ?? least)[0] };
}

interface Clock {
  readonly from: Day;
  readonly to: Day;
  readonly end: (start: Day) => Day;
}

/** The last clock of each length: plans are worked out over and over from the same ones. */
const clocks = new WeakMap<StageLength, Clock>();

/**
 * `stageEnd` for many starts: the ends of all days of a span are found in one pass. Starts outside the span fall back to
 * `stageEnd`; both give the same days (tested).
 *
 * @param from first day of the span
 * @param to day after its last
 */
export function stageClock(length: StageLength, from: Day, to: Day): (start: Day) => Day {
  requireDay("stageClock", "from", from);
  requireDay("stageClock", "to", to);
  const known = clocks.get(length);
  if (known?.from === from && known.to === to) return known.end;
  requireLength("stageClock", length);
  const span = Math.max(0, to - from);
  const ends = keepsOrder(length) ? endsOf(dailyProgress(length, from, span)) : endsByStart(length, from, span);
  const end = (start: Day) => {
    const offset = start - from;
    const days = offset < 0 || !(offset < ends.length) ? -1 : ends[offset]!;
    return days < 0 ? stageEnd(start, length) : from + days;
  };
  clocks.set(length, { from, to, end });
  return end;
}

function dailyProgress({ daysByMonth, progressByDay, learnedRatio = 1 }: StageLength, from: Day, span: number) {
  if (!progressByDay) return monthlyValues(daysByMonth, from, span).map((daysThen) => 1 / daysThen / learnedRatio);
  const progress = new Float64Array(span);
  let { year } = civilDate(from);
  let newYear = Date.UTC(year + 1, 0, 1) / 86_400_000;
  for (let at = 0, ofYear = dayOfYear(from); at < span; at++, ofYear++) {
    if (from + at === newYear) {
      ofYear = 1;
      newYear = Date.UTC(++year + 1, 0, 1) / 86_400_000;
    }
    progress[at] = progressByDay[ofYear - 1]! / learnedRatio;
  }
  return progress;
}

/** For each day of a span the day on which a stage begun then is complete, or −1 where that lies past the span. */
function endsOf(daily: Float64Array): Int32Array {
  const span = daily.length;
  const progress = new Float64Array(span + 1);
  for (let i = 0; i < span; i++) progress[i + 1] = progress[i]! + daily[i]!;
  const ends = new Int32Array(span);
  let end = 0;
  for (let start = 0; start < span; start++) {
    // Summing from another start moves the last digits; a picoday is far under the 1e-9 that COMPLETE forgives.
    const wanted = progress[start]! + COMPLETE - 1e-12;
    while (end <= span && progress[end]! < wanted) end++;
    ends[start] = end > span ? -1 : end - start > LONGEST_DAYS ? start + NEVER_DAYS : end;
  }
  return ends;
}

function endsByStart(length: StageLength, from: Day, span: number): Int32Array {
  return Int32Array.from({ length: span }, (_, at) => at + daysFromStart(length, from + at));
}
