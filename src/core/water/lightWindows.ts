import { requireFigures } from "../units/range";
import type { Daylight, TimerRun } from "./timer";

/** What lights a house: the sun, unless its roof is solid, and lamps between two times, which may go on over midnight. */
export interface HouseLight {
  readonly isSolid: boolean;
  readonly lampsFromMin: number | null;
  readonly lampsToMin: number | null;
}

/** A stretch of a day that is light, minutes from midnight; the end is after its begin. */
export interface LightWindow {
  readonly fromMin: number;
  readonly toMin: number;
}

const MINUTES_PER_DAY = 1440;

/**
 * When it is light in a house.
 * @returns stretches within the day in no order; they may overlap. None: no lamps are told and the roof is solid
 * @throws RangeError when a time is outside the day
 */
export function lightWindows(house: HouseLight, daylight: Daylight): LightWindow[] {
  const { isSolid, lampsFromMin, lampsToMin } = house;
  requireFigures("lightWindows", house, { lampsFromMin: [0, MINUTES_PER_DAY], lampsToMin: [0, MINUTES_PER_DAY] });
  requireFigures("lightWindows", daylight, { riseMin: [0, MINUTES_PER_DAY], setMin: [0, MINUTES_PER_DAY] });
  const sun = isSolid ? [] : [{ fromMin: daylight.riseMin, toMin: daylight.setMin }];
  if (lampsFromMin === null || lampsToMin === null) return sun;
  const lamps =
    lampsToMin > lampsFromMin
      ? [{ fromMin: lampsFromMin, toMin: lampsToMin }]
      : [
          { fromMin: lampsFromMin, toMin: MINUTES_PER_DAY },
          { fromMin: 0, toMin: lampsToMin },
        ];
  return [...sun, ...lamps];
}

/** Runs that begin in the dark: they are pointed out, not forbidden. */
export function runsInTheDark(runs: readonly TimerRun[], windows: readonly LightWindow[]): TimerRun[] {
  for (const run of runs) requireFigures("runsInTheDark", run, { startMin: [0, MINUTES_PER_DAY] });
  return runs.filter(({ startMin }) => !windows.some(({ fromMin, toMin }) => startMin >= fromMin && startMin < toMin));
}
