import { requireFigures } from "../units/range";

/** A container of medium that is watered in runs. */
export interface Holding {
  readonly containerL: number;
  /** Of its volume, what plants can draw: 0.15 to 0.3 in common mixes. */
  readonly availableShare: number;
  /** Of the available water, what may be gone before the next run. */
  readonly allowedShare: number;
  /** What each run gives to the container. */
  readonly runL: number;
  /** Of a run, what should drain. */
  readonly drainShare: number;
  /** Drawn from the container on a day, and by its peak hour. */
  readonly needLpd: number;
  readonly peakHourShare: number;
  /** From the end of a run to the begin of the next one, by day. */
  readonly longestGapHours: number;
  readonly runsPerDay: number;
}

export interface HoldingAnswer {
  readonly availableL: number;
  /** A run as a share of the container: 3 to 8 % suits many small runs. */
  readonly runShare: number;
  /** A run brings more than what was drawn since the last one and may drain. */
  readonly overfills: boolean;
  readonly drawnInGapL: number;
  /** So much of the available water is gone after the longest gap of the peak hours. */
  readonly deficitShare: number;
  readonly driesOut: boolean;
  readonly givenLpd: number;
}

/** Of a container's volume, for many small runs a day. @source practice of drip in bags and buckets */
export const USUAL_RUN_SHARE = { least: 0.03, greatest: 0.08 } as const;
const DAY_HOURS = 24;

/**
 * Whether the runs of a timer suit what a container holds.
 *
 * @throws RangeError when a figure is outside its range
 * @source water balance of the container; the gap is taken in the thirstiest hours
 */
export function waterHolding(holding: Holding): HoldingAnswer {
  requireFigures("waterHolding", holding, {
    containerL: [0.01, 10_000],
    availableShare: [0.01, 0.9],
    allowedShare: [0.05, 1],
    runL: [0, 1000],
    drainShare: [0, 0.95],
    needLpd: [0, 1000],
    peakHourShare: [1 / DAY_HOURS, 1],
    longestGapHours: [0, DAY_HOURS],
    runsPerDay: [0, 1440, "whole"],
  });
  const {
    containerL,
    availableShare,
    allowedShare,
    runL,
    drainShare,
    needLpd,
    peakHourShare,
    longestGapHours,
    runsPerDay,
  } = holding;
  const availableL = containerL * availableShare;
  const drawnInGapL = Math.min(needLpd, needLpd * peakHourShare * longestGapHours);
  // The night before the first run draws little; by day a run meets what was drawn since the last one.
  const meanDrawnL = runsPerDay > 0 ? needLpd / runsPerDay : needLpd;
  return {
    availableL,
    runShare: runL / containerL,
    overfills: runL * (1 - drainShare) > Math.min(availableL, meanDrawnL) * (1 + 1e-9),
    drawnInGapL,
    deficitShare: drawnInGapL / availableL,
    driesOut: drawnInGapL > availableL * allowedShare * (1 + 1e-9),
    givenLpd: runL * runsPerDay,
  };
}

/**
 * How long a nutrient film may stand still before plants wilt: what film and root mats hold ÷ what they draw in the peak hour.
 *
 * @param heldL in film and root mats of a line, 0–10 000 L
 * @param needLpd of its plants, 0–100 000 L/day
 * @param peakHourShare of a day's draw, 1/24–1
 * @returns minutes; null where nothing is drawn
 * @throws RangeError when a figure is outside its range
 * @source water balance
 */
export function longestPauseMin(heldL: number, needLpd: number, peakHourShare: number): number | null {
  requireFigures(
    "longestPauseMin",
    { heldL, needLpd, peakHourShare },
    { heldL: [0, 10_000], needLpd: [0, 100_000], peakHourShare: [1 / DAY_HOURS, 1] },
  );
  return needLpd > 0 ? (heldL / (needLpd * peakHourShare)) * 60 : null;
}
