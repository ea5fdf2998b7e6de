import { civilDate, daysInMonth, type Day } from "../units/day";
import { GREATEST, requireEach, requireWhole } from "../units/range";

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
export function requireByMonth(where: string, byMonth: readonly number[], least: number, greatest: number): void {
  requireWhole(where, "months of byMonth", byMonth.length, 12, 12);
  requireEach(where, "byMonth", byMonth, least, greatest);
}

/** `monthlyValue` of twelve values that were checked. */
export function valueAt(byMonth: readonly number[], day: Day): number {
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

/** `monthlyValue` of every day of a span, month middle to month middle, of twelve values that were checked. */
export function monthlyValues(byMonth: readonly number[], from: Day, span: number): Float64Array {
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
