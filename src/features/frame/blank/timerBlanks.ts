import type { TimerProgram } from "@/core/water/timer";
import type { BlankMeasure } from "./blanks";

/** How a timer is told; "spread" is so many runs between two hours, kept as fixed times. */
export const TIMER_MODES = ["continuous", "every", "spread"] as const;
export type TimerMode = (typeof TIMER_MODES)[number];

export const TIMER_MODE_WORDS: Readonly<Record<TimerMode, string>> = {
  continuous: "all the time",
  every: "again and again",
  spread: "a few times a day",
};

/** Names in braces are blanks. */
export const TIMER_SENTENCES: Readonly<Record<TimerMode, string>> = {
  continuous: "",
  every: ", {runMin} every {everyMin}, from {fromMin} to {toMin}",
  spread: ", {runMin} at a time, {times} times between {fromMin} and {toMin}",
};

const RUN: BlankMeasure = { name: "runMin", label: "Run", dimension: "minutes", least: 0.05, greatest: 1440 };
const FROM: BlankMeasure = { name: "fromMin", label: "From", dimension: "clock", least: 0, greatest: 1439 };
const TO: BlankMeasure = { name: "toMin", label: "To", dimension: "clock", least: 1, greatest: 1440 };

export const TIMER_MEASURES: Readonly<Record<TimerMode, readonly BlankMeasure[]>> = {
  continuous: [],
  every: [
    {
      ...RUN,
      atMost: { measure: "everyMin", times: 1, words: "it must not be longer than the time between two starts" },
    },
    { name: "everyMin", label: "Every", dimension: "minutes", least: 1, greatest: 1440 },
    FROM,
    TO,
  ],
  spread: [
    RUN,
    { name: "times", label: "Times a day", dimension: "count", least: 1, greatest: 200, whole: true },
    FROM,
    TO,
  ],
};

/** What stands in them at first. */
export const TIMER_FIRST: Readonly<Record<TimerMode, Readonly<Record<string, string>>>> = {
  continuous: {},
  every: { runMin: "15 min", everyMin: "2 h", fromMin: "6:00", toMin: "20:00" },
  spread: { runMin: "12 min", times: "3", fromMin: "8:00", toMin: "17:00" },
};

/** The program that was told; null while a blank of it is missing. */
export function timerOf(mode: TimerMode, good: Readonly<Record<string, number>>): TimerProgram | null {
  if (mode === "continuous") return { kind: "continuous" };
  const { runMin, everyMin, fromMin, toMin, times } = good;
  if (runMin === undefined || fromMin === undefined || toMin === undefined) return null;
  if (mode === "every")
    return everyMin === undefined || runMin > everyMin ? null : { kind: "every", runMin, everyMin, fromMin, toMin };
  return times === undefined ? null : { kind: "times", runMin, timesMin: spreadTimes(times, fromMin, toMin) };
}

/** So many starts from one hour to another, both ends included; over midnight where the end lies before. */
export function spreadTimes(times: number, fromMin: number, toMin: number): number[] {
  const spanMin = toMin > fromMin ? toMin - fromMin : toMin + 1440 - fromMin;
  return Array.from(
    { length: times },
    (_, index) => Math.round(fromMin + (times === 1 ? 0 : (spanMin * index) / (times - 1))) % 1440,
  ).sort((a, b) => a - b);
}
