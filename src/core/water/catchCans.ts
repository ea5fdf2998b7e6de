import { requireEach, requireRange } from "../units/range";
import { uniformity, type Uniformity } from "./uniformity";

/** Volumes caught under emitters of a line, over a time. */
export interface CatchCanTest {
  readonly volumesMl: readonly number[];
  readonly durationS: number;
  readonly nominalFlowLph: number;
  readonly runHoursPerDay: number;
}

/** What a test says; emitters are counted from 1, as they were caught. */
export interface CatchCanAnswer {
  readonly flowsLph: readonly number[];
  readonly uniformity: Uniformity;
  readonly medianLph: number;
  readonly meanToNominal: number;
  /** Under half, and over one and a half, of the median. */
  readonly blocked: readonly number[];
  readonly blown: readonly number[];
  /** The same against what is printed: a tape that is worn all along passes the median. */
  readonly underHalfNominal: readonly number[];
  readonly overNominal: readonly number[];
  /** By those far over what is printed. */
  readonly lostLpd: number;
}

const HALF = 0.5;
const FAR_OVER = 1.5;

/**
 * Judges a catch-can test.
 *
 * @param test volumes mL, at least 4 cans; duration s; nominal flow L/h; hours a day that it runs
 * @throws RangeError when a figure is outside its range
 * @source tests/reference/water/field-test.json; uniformity as there
 */
export function judgeCatchCans(test: CatchCanTest): CatchCanAnswer {
  const { volumesMl, durationS, nominalFlowLph, runHoursPerDay } = test;
  requireRange("judgeCatchCans", "cans", volumesMl.length, 4, 10_000);
  requireEach("judgeCatchCans", "volumesMl", volumesMl, 0, 1_000_000);
  requireRange("judgeCatchCans", "durationS", durationS, 1, 86_400);
  requireRange("judgeCatchCans", "nominalFlowLph", nominalFlowLph, 0.001, 10_000);
  requireRange("judgeCatchCans", "runHoursPerDay", runHoursPerDay, 0, 24);
  const flowsLph = volumesMl.map((volume) => (volume / 1000) * (3600 / durationS));
  const medianLph = medianOf(flowsLph);
  const even = uniformity(flowsLph, 0, 1);
  const where = (holds: (flowLph: number) => boolean) =>
    flowsLph.flatMap((flowLph, at) => (holds(flowLph) ? [at + 1] : []));
  const overNominal = where((flow) => flow > FAR_OVER * nominalFlowLph * (1 + NEAR));
  return {
    flowsLph,
    uniformity: even,
    medianLph,
    meanToNominal: even.meanLph / nominalFlowLph,
    blocked: where((flow) => flow < HALF * medianLph * (1 - NEAR)),
    blown: where((flow) => flow > FAR_OVER * medianLph * (1 + NEAR)),
    underHalfNominal: where((flow) => flow < HALF * nominalFlowLph * (1 - NEAR)),
    overNominal,
    lostLpd: overNominal.reduce((sum, can) => sum + (flowsLph[can - 1]! - nominalFlowLph) * runHoursPerDay, 0),
  };
}

/** Exactly half is not under half, whatever its last digit. */
const NEAR = 1e-9;

function medianOf(values: readonly number[]): number {
  const sorted = [...values].sort((one, other) => one - other);
  const middle = sorted.length >> 1;
  return sorted.length % 2 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}
