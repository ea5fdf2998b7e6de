import { requireWhole } from "./range";
/** A civil date as whole days since 1970-01-01. Arithmetic on days is plain integer arithmetic. */
export type Day = number;

/** The years 1700 to 2500: what lies outside them is a slip. */
const LEAST_DAY = -98_614;
const GREATEST_DAY = 193_935;

/**
 * Refuses what is no day.
 * @throws RangeError that names the function, the argument and the value
 */
export function requireDay(where: string, name: string, day: number): Day {
  return requireWhole(where, name, day, LEAST_DAY, GREATEST_DAY);
}

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
  if (!Number.isFinite(ms) || new Date(ms).toISOString().slice(0, 10) !== iso)
    throw new RangeError(`dayFromIso: "${iso}" is not a date YYYY-MM-DD`);
  return requireDay("dayFromIso", "iso", ms / MS_PER_DAY);
}

/** Writes a day as `YYYY-MM-DD`. @throws RangeError for what is no day */
export function isoFromDay(day: Day): string {
  return new Date(requireDay("isoFromDay", "day", day) * MS_PER_DAY).toISOString().slice(0, 10);
}

/** Takes a day apart into year, month, day of month and weekday. */
export function civilDate(day: Day): CivilDate {
  requireDay("civilDate", "day", day);
  const date = new Date(day * MS_PER_DAY);
  return {
    year: date.getUTCFullYear(),
    month: date.getUTCMonth() + 1,
    dayOfMonth: date.getUTCDate(),
    weekday: weekdayOf(day),
  };
}

/** Which day of the year it is, 1 on 1 January. */
export function dayOfYear(day: Day): number {
  return day - Date.UTC(civilDate(day).year, 0, 1) / 86_400_000 + 1;
}

/** Weekday of a day: 1 Monday … 7 Sunday (1970-01-01 was a Thursday). */
export function weekdayOf(day: Day): number {
  requireDay("weekdayOf", "day", day);
  return ((((day + 3) % 7) + 7) % 7) + 1;
}

/** Days in a month, leap years included. */
export function daysInMonth(year: number, month: number): number {
  requireWhole("daysInMonth", "year", year, 1699, 2501);
  requireWhole("daysInMonth", "month", month, 1, 12);
  return new Date(Date.UTC(year, month, 0)).getUTCDate();
}

/** The first day on or after `day` that falls on `weekday` (1 Monday … 7 Sunday). */
export function nextWeekday(day: Day, weekday: number): Day {
  requireWhole("nextWeekday", "weekday", weekday, 1, 7);
  return day + ((weekday - weekdayOf(day) + 7) % 7);
}

export const WEEKDAYS = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"] as const;
export const MONTHS = [
  "January",
  "February",
  "March",
  "April",
  "May",
  "June",
  "July",
  "August",
  "September",
  "October",
  "November",
  "December",
] as const;

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
