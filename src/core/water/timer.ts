import { wholeUp } from "../numeric/whole";
import { requireRange } from "../units/range";

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
  | { readonly kind: "times"; readonly timesMin: readonly number[]; readonly runMin: number };

export interface TimerRun {
  readonly startMin: number;
  readonly lengthMin: number;
}

const MINUTES_PER_DAY = 1440;

/**
 * The runs of one day, by their start. A run starts only inside the window and is cut off by the next start.
 *
 * @throws RangeError when a time is outside the day or a run is longer than its interval
 * @example timerRuns({ kind: "every", everyMin: 90, runMin: 15, fromMin: 420, toMin: 1140 }).length // 8
 */
export function timerRuns(program: TimerProgram): TimerRun[] {
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
    case "times": {
      requireRange("timerRuns", "runMin", program.runMin, 0.05, MINUTES_PER_DAY);
      const starts = [...program.timesMin].sort((a, b) => a - b);
      return starts.map((startMin, index) => {
        requireRange("timerRuns", "timesMin", startMin, 0, MINUTES_PER_DAY - 1);
        const next = starts[index + 1] ?? MINUTES_PER_DAY;
        return { startMin, lengthMin: Math.min(program.runMin, next - startMin) };
      });
    }
  }
}

/** Minutes that a window lasts; one that ends at or before its begin goes on over midnight. */
function timerWindowMin({ fromMin, toMin }: { readonly fromMin: number; readonly toMin: number }): number {
  return toMin > fromMin ? toMin - fromMin : toMin + MINUTES_PER_DAY - fromMin;
}

/** Minutes a day that the pump runs. */
export function timerMinutes(program: TimerProgram): number {
  return timerRuns(program).reduce((sum, run) => sum + run.lengthMin, 0);
}
