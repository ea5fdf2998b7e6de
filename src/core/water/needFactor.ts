import { requireDay, type Day } from "../units/day";
import { requireRange } from "../units/range";

/** A level of a tank at an instant. */
export interface TankLevel {
  readonly atMs: number;
  readonly day: Day;
  readonly levelL: number;
}

/** What was put into a tank, or let out of it, at an instant. */
export interface TankChange {
  readonly atMs: number;
  readonly addedL: number;
  /** The solution was changed, in part or whole. */
  readonly drains: boolean;
}

/** What left a tank on a day by being drunk. */
export interface DrunkDay {
  readonly day: Day;
  readonly litres: number;
}

const HOUR_MS = 3_600_000;
/** Between readings further apart a top-up may have been forgotten. */
const LONGEST_GAP_H = 36;
/** A day that was followed for fewer hours says little. */
const FEWEST_H = 12;
/** A tank that rises by more than this share of it was topped up without a word. */
const UNTOLD_RISE_SHARE = 0.02;

/**
 * What was drunk on each day, from the levels of a tank and what was put in between: level before + added − level after. Left
 * out are stretches with a change of solution, with a rise that nobody wrote down, and without readings for 36 h.
 *
 * @param levels in the order of their time
 * @param changes in any order
 * @param tankL to tell a top-up from the ripples of a reading
 * @returns days that were followed for 12 h at least, brought up to 24 h
 * @throws RangeError when a figure is outside its range
 */
export function drunkByDay(levels: readonly TankLevel[], changes: readonly TankChange[], tankL: number): DrunkDay[] {
  requireRange("drunkByDay", "tankL", tankL, 1);
  for (const { levelL, day } of levels) {
    requireRange("drunkByDay", "levelL", levelL, 0);
    requireDay("drunkByDay", "day", day);
  }
  for (const { addedL } of changes) requireRange("drunkByDay", "addedL", addedL, 0);
  const byDay = new Map<Day, { litres: number; hours: number }>();
  levels.forEach((after, index) => {
    const before = levels[index - 1];
    if (!before) return;
    const hours = (after.atMs - before.atMs) / HOUR_MS;
    if (!(hours > 0 && hours <= LONGEST_GAP_H)) return;
    const between = changes.filter(({ atMs }) => atMs > before.atMs && atMs <= after.atMs);
    if (between.some(({ drains }) => drains)) return;
    const addedL = between.reduce((sum, change) => sum + change.addedL, 0);
    if (after.levelL - before.levelL - addedL > UNTOLD_RISE_SHARE * tankL) return;
    // A night's drop is the day's on which it ends.
    const day = byDay.get(after.day) ?? { litres: 0, hours: 0 };
    byDay.set(after.day, {
      litres: day.litres + before.levelL + addedL - after.levelL,
      hours: day.hours + hours,
    });
  });
  return [...byDay].flatMap(([day, { litres, hours }]) =>
    hours >= FEWEST_H ? [{ day, litres: Math.max(0, (litres * 24) / hours) }] : [],
  );
}

export interface NeedFactor {
  /** Drunk ÷ worked out. */
  readonly factor: number;
  /** Days that it comes from. */
  readonly days: number;
  /** Days on which far more left the tank than plants can drink. */
  readonly leaks: readonly Day[];
}

/** So many days of "as worked out" stand against the log: one odd day does not decide. */
const HELD_DAYS = 3;
/** More than this times what is worked out is a leak. */
const LEAK_TIMES = 4;
/** Under this nothing can be said of a day, L. */
const LEAST_WORKED_OUT_L = 0.5;

/**
 * What plants of a loop really drink of what is worked out, learned from its log: (3 + Σ real ÷ worked out) ÷ (3 + n) over n
 * days. Days with a leak and days on which next to nothing is worked out are left out.
 *
 * @param workedOutL litres of a day, by the day; what it is asked for and does not know is 0
 * @throws RangeError when a figure is outside its range
 * @source shrinkage of a mean towards 1 with the weight of three days
 */
export function needFactor(days: readonly DrunkDay[], workedOutL: (day: Day) => number): NeedFactor {
  const leaks: Day[] = [];
  let [sum, counted] = [0, 0];
  for (const { day, litres } of days) {
    requireDay("needFactor", "day", day);
    requireRange("needFactor", "litres", litres, 0);
    const worked = requireRange("needFactor", "workedOutL", workedOutL(day), 0);
    if (worked < LEAST_WORKED_OUT_L) continue;
    if (litres > LEAK_TIMES * worked) leaks.push(day);
    else {
      sum += litres / worked;
      counted += 1;
    }
  }
  return { factor: (HELD_DAYS + sum) / (HELD_DAYS + counted), days: counted, leaks };
}
