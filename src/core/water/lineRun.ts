import type { StandSpec } from "../place/kinds";
import { fullPipeL } from "../place/segmentArea";
import { standCounts } from "../place/standCounts";
import { requireRange } from "../units/range";
import { linesOf, type DrippedSpec, type DripLineAnswer } from "./dripLine";
import { shortRun, type ShortRunAnswer } from "./shortRun";
import { timerRuns, type TimerProgram } from "./timer";
import { waterHolding, type HoldingAnswer } from "./waterHolding";
import { PEAK_HOUR_SHARE } from "./stillTank";

/** What the runs of a timer bring to the plants of a stand that drips. */
export interface LineRunAnswer {
  readonly runs: number;
  readonly longestRunMin: number;
  /** Of one line, in the longest run. */
  readonly run: ShortRunAnswer;
  readonly lineVolumeL: number;
  readonly perPlantLpd: number;
  /** By day: the night is left out. */
  readonly longestGapHours: number;
  /** Of a bucket; null where plants stand in open ground. */
  readonly holding: HoldingAnswer | null;
}

/** Of a mix's volume, what plants can draw, and how much of that may be gone before the next run. @source common mixes */
export const AVAILABLE_SHARE = 0.25;
export const ALLOWED_SHARE = 0.3;
/** A longer rest is the night. */
const NIGHT_HOURS = 8;

/**
 * What a plant of a stand gets in a run and in a day, lines filling first and draining after, and whether its container holds it.
 *
 * @param answer of one of its lines
 * @param staysFull whether water stands in the line between runs
 * @param needLpd of one plant, L/day
 * @returns null where the timer never runs or no plant stands there
 * @throws RangeError when a figure is outside its range
 * @source shortRun, waterHolding
 */
export function lineRun(
  spec: DrippedSpec,
  answer: DripLineAnswer,
  timer: TimerProgram,
  staysFull: boolean,
  needLpd: number,
  drainShare: number,
): LineRunAnswer | null {
  requireRange("lineRun", "needLpd", needLpd, 0, 1000);
  const runs = timerRuns(timer);
  const { sites } = standCounts(spec as StandSpec);
  const plants = sites / linesOf(spec);
  const { lateral, flow } = answer;
  if (runs.length === 0 || plants === 0 || flow.totalLph <= 0) return null;
  const lengthM = 2 * lateral.firstSpacingM + (lateral.count - 1) * lateral.spacingM;
  const lineVolumeL = fullPipeL(lateral.pipe.boreMm, lengthM);
  const one = (lengthMin: number) =>
    shortRun({
      ...{ lineVolumeL, inletLph: flow.totalLph, emittersLph: flow.totalLph },
      ...{ runS: lengthMin * 60, staysFull, plants },
    });
  const longestRunMin = Math.max(...runs.map(({ lengthMin }) => lengthMin));
  const run = one(longestRunMin);
  const longestGapHours = gapHours(timer);
  const perPlantLpd = runs.reduce((sum, { lengthMin }) => sum + one(lengthMin).perPlantL, 0);
  return {
    ...{ runs: runs.length, longestRunMin, run, lineVolumeL, perPlantLpd, longestGapHours },
    holding:
      spec.kind === "bucket-line"
        ? waterHolding({
            ...{ containerL: spec.bucketVolumeL, availableShare: AVAILABLE_SHARE, allowedShare: ALLOWED_SHARE },
            ...{ runL: run.perPlantL * spec.plantsPerBucket, drainShare, needLpd: needLpd * spec.plantsPerBucket },
            ...{ peakHourShare: PEAK_HOUR_SHARE, longestGapHours, runsPerDay: runs.length },
          })
        : null,
  };
}

/** The longest time between the end of a run and the begin of the next one, nights left out; 0 for one run a day. */
function gapHours(timer: TimerProgram): number {
  const runs = timerRuns(timer);
  const gaps = runs.slice(1).map(({ startMin }, at) => (startMin - runs[at]!.startMin - runs[at]!.lengthMin) / 60);
  return Math.max(0, ...gaps.filter((gap) => gap <= NIGHT_HOURS));
}
