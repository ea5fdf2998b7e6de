import { requireFigures, requireRange } from "../units/range";
import { timerMinutes, timerRuns, type TimerProgram } from "./timer";

export interface Watering {
  /** What flows to one plant while it runs. */
  readonly perPlantLph: number;
  readonly plants: number;
  readonly timer: TimerProgram;
}

/** What a plant is given by a timer. */
export interface PlantWater {
  readonly runs: number;
  readonly minutesPerDay: number;
  /** Of a run as long as the longest; all day long it is the day's. */
  readonly perRunL: number;
  readonly perDayL: number;
  readonly allPerRunL: number;
  readonly allPerDayL: number;
}

/**
 * Water for each plant, per run and per day: flow × time. That a line fills and empties with each run is not counted.
 *
 * @throws RangeError when a figure is outside its range
 * @source flow × time
 * @example plantWater({ perPlantLph: 4, plants: 9, timer: { kind: "times", timesMin: [480, 780, 1020], runMin: 12 } }).perDayL // 2.4
 */
export function plantWater({ perPlantLph, plants, timer }: Watering): PlantWater {
  requireFigures(
    "plantWater",
    { perPlantLph, plants },
    { perPlantLph: [0, 100_000], plants: [0, 10_000_000, "whole"] },
  );
  const runs = timerRuns(timer);
  const minutesPerDay = timerMinutes(timer);
  const longestMin = runs.reduce((most, { lengthMin }) => Math.max(most, lengthMin), 0);
  const perRunL = (perPlantLph * longestMin) / 60;
  const perDayL = (perPlantLph * minutesPerDay) / 60;
  return {
    runs: runs.length,
    minutesPerDay,
    perRunL,
    perDayL,
    allPerRunL: perRunL * plants,
    allPerDayL: perDayL * plants,
  };
}

/** Whether a tank that is refilled lasts from run to run. */
export type TankLasts =
  /** It is never empty, and as full after a day as before it. */
  | { readonly kind: "keeps-up"; readonly leastL: number }
  /** It is used up sooner or later: so many whole days from full, 366 at most. */
  | { readonly kind: "lasts-days"; readonly days: number }
  /** Not even one run. */
  | { readonly kind: "too-small"; readonly missingL: number };

const MINUTES_PER_DAY = 1440;
/** Nobody plans a tank further ahead. */
const MOST_DAYS = 366;

/**
 * Follows a tank from full, run by run: each run draws, and the refill flows all the time up to the rim.
 *
 * @param tankL 0.1–10 000 000
 * @param drawLph drawn while it runs, L/h
 * @param refillLph 0 for none
 * @throws RangeError when a figure is outside its range
 * @source mass balance, run by run
 */
export function tankLasts(tankL: number, drawLph: number, refillLph: number, timer: TimerProgram): TankLasts {
  requireRange("tankLasts", "tankL", tankL, 0.1, 10_000_000);
  requireRange("tankLasts", "drawLph", drawLph, 0, 100_000_000);
  requireRange("tankLasts", "refillLph", refillLph, 0, 10_000_000);
  const runs = timerRuns(timer);
  const netLph = drawLph - refillLph;
  const longestL = runs.reduce((most, { lengthMin }) => Math.max(most, (netLph * lengthMin) / 60), 0);
  if (longestL > tankL + 1e-9) return { kind: "too-small", missingL: longestL - tankL };
  let levelL = tankL;
  let leastL = tankL;
  for (let day = 0; day < MOST_DAYS; day++) {
    const atDawnL = levelL;
    let atMin = 0;
    for (const { startMin, lengthMin } of runs) {
      levelL = Math.min(tankL, levelL + (refillLph * Math.max(0, startMin - atMin)) / 60);
      levelL = Math.min(tankL, levelL - (netLph * lengthMin) / 60);
      atMin = startMin + lengthMin;
      if (levelL < -1e-9) return { kind: "lasts-days", days: day };
      leastL = Math.min(leastL, levelL);
    }
    levelL = Math.min(tankL, levelL + (refillLph * Math.max(0, MINUTES_PER_DAY - atMin)) / 60);
    if (levelL >= atDawnL - 1e-9 && day > 0) return { kind: "keeps-up", leastL: Math.max(0, leastL) };
  }
  return { kind: "lasts-days", days: MOST_DAYS };
}
