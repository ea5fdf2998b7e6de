import { wholeUp } from "../numeric/whole";
import { requireRange, requireWhole } from "../units/range";

/**
 * When a pump runs. Minutes of the day count from midnight; a window that ends at or before its begin goes on over
 * midnight, and 1440 is 24:00.
 */
export type TimerProgram =
  | { readonly kind: "continuous" }
  | {
      readonly kind: "every";
      readonly everyMin: number;
      readonly runMin: number;
      readonly fromMin: number;
      readonly toMin: number;
    }
  | { readonly kind: "times"; readonly timesMin: readonly number[]; readonly runMin: number }
  /** So many runs, evenly from so long after sunrise to as long before sunset. */
  | { readonly kind: "daylight"; readonly runs: number; readonly runMin: number; readonly marginMin: number };

/** From sunrise to sunset, minutes of the day counted from midnight by the sun. */
export interface Daylight {
  readonly riseMin: number;
  readonly setMin: number;
}

/** Where the day is not known: as long as the night. */
export const EVEN_DAY: Daylight = { riseMin: 360, setMin: 1080 };

export interface TimerRun {
  readonly startMin: number;
  readonly lengthMin: number;
}

const MINUTES_PER_DAY = 1440;

/**
 * The runs of one day, by their start. A run starts only inside the window and is cut off by the next start.
 *
 * @param daylight of the day, for runs that follow the sun
 * @throws RangeError when a time is outside the day or a run is longer than its interval
 * @example timerRuns({ kind: "every", everyMin: 90, runMin: 15, fromMin: 420, toMin: 1140 }).length // 8
 */
export function timerRuns(program: TimerProgram, daylight: Daylight = EVEN_DAY): TimerRun[] {
  switch (program.kind) {
    case "continuous":
      return [{ startMin: 0, lengthMin: MINUTES_PER_DAY }];
    case "every": {
      requireRange("timerRuns", "everyMin", program.everyMin, 1, MINUTES_PER_DAY);
      requireRange("timerRuns", "runMin", program.runMin, 0.05, program.everyMin);
      requireRange("timerRuns", "fromMin", program.fromMin, 0, MINUTES_PER_DAY);
      requireRange("timerRuns", "toMin", program.toMin, 0, MINUTES_PER_DAY);
      const starts = wholeUp(timerWindowMin(program) / program.everyMin);
      return Array.from({ length: starts }, (_, run) => ({
        startMin: (program.fromMin + run * program.everyMin) % MINUTES_PER_DAY,
        lengthMin: program.runMin,
      })).sort((a, b) => a.startMin - b.startMin);
    }
    case "daylight":
      return daylightRuns(program, daylight);
    case "times": {
      requireRange("timerRuns", "runMin", program.runMin, 0.05, MINUTES_PER_DAY);
      const starts = [...program.timesMin].sort((a, b) => a - b);
      return starts.map((startMin, index) => {
        requireRange("timerRuns", "timesMin", startMin, 0, MINUTES_PER_DAY - 1);
        // The last one may go on over midnight, until the first of the next day.
        const next = starts[index + 1] ?? starts[0]! + MINUTES_PER_DAY;
        return { startMin, lengthMin: Math.min(program.runMin, next - startMin) };
      });
    }
  }
}

/** Runs by the sun. Where they do not fit into the daylight they follow one another, in the middle of the day. */
function daylightRuns(
  { runs, runMin: asked, marginMin }: Extract<TimerProgram, { kind: "daylight" }>,
  { riseMin, setMin }: Daylight,
): TimerRun[] {
  requireWhole("timerRuns", "runs", runs, 1, 200);
  requireRange("timerRuns", "runMin", asked, 0.05, MINUTES_PER_DAY);
  requireRange("timerRuns", "marginMin", marginMin, 0, 720);
  requireRange("timerRuns", "riseMin", riseMin, 0, MINUTES_PER_DAY);
  requireRange("timerRuns", "setMin", setMin, riseMin, MINUTES_PER_DAY);
  // A run is cut off by the next start.
  const runMin = Math.min(asked, MINUTES_PER_DAY / runs);
  const lengthMin = Math.max(setMin - riseMin - 2 * marginMin, runs * runMin);
  const middleMin = (riseMin + setMin) / 2;
  const firstMin = Math.min(Math.max(0, middleMin - lengthMin / 2), MINUTES_PER_DAY - lengthMin);
  const stepMin = runs > 1 ? (lengthMin - runMin) / (runs - 1) : 0;
  const alone = runs > 1 ? 0 : (lengthMin - runMin) / 2;
  return Array.from({ length: runs }, (_, run) => ({ startMin: firstMin + alone + run * stepMin, lengthMin: runMin }));
}

/** Minutes that a window lasts; one that ends at or before its begin goes on over midnight. */
function timerWindowMin({ fromMin, toMin }: { readonly fromMin: number; readonly toMin: number }): number {
  return toMin > fromMin ? toMin - fromMin : toMin + MINUTES_PER_DAY - fromMin;
}

/** Minutes a day that the pump runs. */
export function timerMinutes(program: TimerProgram): number {
  return timerRuns(program).reduce((sum, run) => sum + run.lengthMin, 0);
}

/**
 * The longest stretch of daylight without a run, minutes: a pause at night counts only as far as it is light.
 * @throws RangeError when a time is outside the day
 */
export function longestPauseByDayMin(program: TimerProgram, daylight: Daylight = EVEN_DAY): number {
  requireRange("longestPauseByDayMin", "riseMin", daylight.riseMin, 0, MINUTES_PER_DAY);
  requireRange("longestPauseByDayMin", "setMin", daylight.setMin, daylight.riseMin, MINUTES_PER_DAY);
  const runs = timerRuns(program, daylight);
  // What runs over midnight is over early in the day, and the pause after it is the last one of the day before, too.
  const pauses = runs.map(({ startMin, lengthMin }, at) => {
    const next = runs[at + 1]?.startMin ?? runs[0]!.startMin + MINUTES_PER_DAY;
    return [startMin + lengthMin, next] as const;
  });
  const light = [0, MINUTES_PER_DAY].map((day) => [daylight.riseMin + day, daylight.setMin + day] as const);
  return Math.max(
    0,
    ...pauses.flatMap(([from, to]) => light.map(([rise, set]) => Math.min(to, set) - Math.max(from, rise))),
  );
}
