/** A civil date as whole days since 1970-01-01. Arithmetic on days is plain integer arithmetic. */
export type Day = number;

const MS_PER_DAY = 86_400_000;
const ISO_DAY = /^(\d{4})-(\d{2})-(\d{2})$/;

/** A date taken apart: month 1–12, weekday 1 (Monday) – 7 (Sunday). */
export interface CivilDate {
  readonly year: number;
  readonly month: number;
  readonly dayOfMonth: number;
  readonly weekday: number;
}

/**
 * Reads `YYYY-MM-DD`.
 * @throws RangeError when the text is not a date that exists
 * @example dayFromIso("1970-01-02") // 1
 */
export function dayFromIso(iso: string): Day {
  const match = ISO_DAY.exec(iso);
  const ms = match ? Date.UTC(Number(match[1]), Number(match[2]) - 1, Number(match[3])) : Number.NaN;
  const day = ms / MS_PER_DAY;
  if (!match || isoFromDay(day) !== iso) throw new RangeError(`dayFromIso: "${iso}" is not a date YYYY-MM-DD`);
  return day;
}

/** Writes a day as `YYYY-MM-DD`. */
export function isoFromDay(day: Day): string {
  return Number.isFinite(day) ? new Date(day * MS_PER_DAY).toISOString().slice(0, 10) : "invalid";
}

/** Takes a day apart into year, month, day of month and weekday. */
export function civilDate(day: Day): CivilDate {
  const date = new Date(day * MS_PER_DAY);
  return {
    year: date.getUTCFullYear(),
    month: date.getUTCMonth() + 1,
    dayOfMonth: date.getUTCDate(),
    weekday: weekdayOf(day),
  };
}

/** Weekday of a day: 1 Monday … 7 Sunday (1970-01-01 was a Thursday). */
export function weekdayOf(day: Day): number {
  return ((((day + 3) % 7) + 7) % 7) + 1;
}

/** Days in a month, leap years included. */
export function daysInMonth(year: number, month: number): number {
  return new Date(Date.UTC(year, month, 0)).getUTCDate();
}

/** The first day on or after `day` that falls on `weekday` (1 Monday … 7 Sunday). */
export function nextWeekday(day: Day, weekday: number): Day {
  return day + ((weekday - weekdayOf(day) + 7) % 7);
}

export const WEEKDAYS = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"] as const;
export const MONTHS = [
  "January", "February", "March", "April", "May", "June",
  "July", "August", "September", "October", "November", "December",
] as const; // prettier-ignore

/** A day in words: "7 May", "Thu 7 May", "Thursday 7 May" or with the year. */
export function dayInWords(day: Day, form: "short" | "weekday" | "long" | "year" = "short"): string {
  const { year, month, dayOfMonth, weekday } = civilDate(day);
  const monthName = MONTHS[month - 1]!;
  const weekdayName = WEEKDAYS[weekday - 1]!;
  switch (form) {
    case "short":
      return `${dayOfMonth} ${monthName.slice(0, 3)}`;
    case "weekday":
      return `${weekdayName.slice(0, 3)} ${dayOfMonth} ${monthName.slice(0, 3)}`;
    case "long":
      return `${weekdayName} ${dayOfMonth} ${monthName}`;
    case "year":
      return `${dayOfMonth} ${monthName.slice(0, 3)} ${year}`;
  }
}
