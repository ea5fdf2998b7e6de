import { requireRange } from "../units/range";
import { leastWhole } from "../numeric/leastWhole";
import { hydraulicPowerW } from "../water/pumpDuty";
import type { KnownPump } from "../water/pumpCurve";
import { solveLoop } from "../water/network/loopNetwork";
import { solveBanks, wantedBy, type BankAnswer, type LoopAnswer, type LoopPipes } from "./loopPipes";

export type PumpVerdict = "cannot-lift" | "short" | "fits" | "ample" | "past-end";

/** A pump on the pipes of a loop. */
export interface PumpTrial {
  readonly low: LoopAnswer;
  readonly high: LoopAnswer;
  /** By the open banks together. */
  readonly wantedLph: number;
  /** The open bank that gets least of what it wants, at the lowest water: what the verdict is of. */
  readonly worst: BankAnswer;
  readonly shareOfWanted: number;
  readonly verdict: PumpVerdict;
  /** The figures of a label are too near to a limit to decide. */
  readonly measureIt: boolean;
  readonly inputW: number;
  readonly kwhPerDay: number;
}

/** What becomes water power of what a small pump takes from its socket. @source common practice, 0.2 to 0.5 */
export const PUMP_EFFICIENCY = 0.35;
const AMPLE_FROM = 1.5;
const CLOSE_SHARE = 0.15;
/** Less than this is no flow worth the name. */
const NO_FLOW_SHARE = 0.001;

/**
 * A pump on the pipes of a loop, or what gives it pressure without one, at the lowest and the highest water, judged by the
 * bank that gets least.
 *
 * @param isOpen which banks are open, at least one
 * @param minutesPerDay that it runs, 0–1440
 * @throws RangeError when a figure is outside its range
 * @source solveLoop; power = ρ·g·Q·H ÷ efficiency
 */
export function tryPump(
  pipes: LoopPipes,
  pump: KnownPump | null,
  isOpen: (key: string) => boolean,
  minutesPerDay: number,
): PumpTrial {
  requireRange("tryPump", "minutesPerDay", minutesPerDay, 0, 1440);
  const low = solveBanks(pipes, pipes.lowWaterM, isOpen, pump);
  const high = pipes.highWaterM > pipes.lowWaterM ? solveBanks(pipes, pipes.highWaterM, isOpen, pump) : low;
  const wantedLph = wantedBy(low);
  const worst = low.banks.reduce((a, b) => ((b.share ?? Infinity) < (a.share ?? Infinity) ? b : a));
  const shareOfWanted = worst.share ?? 0;
  const inputW = hydraulicPowerW(low.flow.flowLph, low.flow.pumpHeadM) / PUMP_EFFICIENCY;
  const verdict = verdictOf(shareOfWanted, low.flow.isPastCurve);
  return {
    ...{ low, high, wantedLph, worst, shareOfWanted, verdict, inputW },
    measureIt: pump?.kind === "label" && verdict !== "cannot-lift" && Math.abs(shareOfWanted - 1) <= CLOSE_SHARE + 1e-9,
    kwhPerDay: (inputW * minutesPerDay) / 60_000,
  };
}

function verdictOf(share: number, isPastCurve: boolean): PumpVerdict {
  if (share < NO_FLOW_SHARE) return "cannot-lift";
  if (share < 1 - 1e-9) return "short";
  if (isPastCurve) return "past-end";
  return share <= AMPLE_FROM + 1e-9 ? "fits" : "ample";
}

const MOST_HEAD_M = 100;
/** Nobody chooses a pump closer than by a centimetre of head. */
const HEAD_STEP_M = 0.005;

/**
 * Head that a pump has to give at the lowest water for every open bank to get what it wants.
 * @returns m, or null where no head up to 100 m does
 * @source solveLoop without a pump, the head of its source sought by halving
 */
export function neededHeadM(pipes: LoopPipes, isOpen: (key: string) => boolean): number | null {
  const enough = (headM: number) =>
    solveBanks(pipes, pipes.lowWaterM + headM, isOpen, null).banks.every(
      ({ share }) => share === null || share >= 0.999,
    );
  if (!enough(MOST_HEAD_M)) return null;
  return HEAD_STEP_M * leastWhole(0, MOST_HEAD_M / HEAD_STEP_M, (steps) => enough(steps * HEAD_STEP_M));
}

/** What the pipes take of a pump: flow against head, from the least head that moves any water. */
export interface SystemPoint {
  readonly flowLph: number;
  readonly headM: number;
}

const STEPS = 28;

/** The curve of a loop's pipes at a water level, up to a head. @param mostHeadM 0.01–500 @source solveLoop without a pump */
export function systemCurve(
  pipes: LoopPipes,
  waterM: number,
  isOpen: (key: string) => boolean,
  mostHeadM: number,
): SystemPoint[] {
  requireRange("systemCurve", "mostHeadM", mostHeadM, 0.01, 500);
  return Array.from({ length: STEPS + 1 }, (_, step) => {
    const headM = (mostHeadM * step) / STEPS;
    return { headM, flowLph: solveLoop(pipes.networkAt(waterM + headM, isOpen, null)).flowLph };
  });
}
