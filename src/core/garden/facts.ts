import type { PickedUnits } from "../batches/deliveryStates";
import type { CalibrationRun } from "../feed/calibration";
import type { StockLetter } from "../feed/salts";
import type { MixedSalt } from "../round/log";
import type { EcPair } from "../feed/learnedEc";
import type { DosePair } from "../feed/learnedResponse";
import type { TankAcid } from "../feed/phDose";
import type { DoseSlip } from "../feed/slip";
import type { Day } from "../units/day";
import type { CatchCanTest } from "../water/catchCans";

/** Units that were really picked for a market day of an order, out of one batch. */
export interface Picked extends PickedUnits {
  readonly batchId: number;
}

/** The last reading of a tank by hand. */
export interface HandReading {
  readonly loopId: number;
  readonly day: Day;
  readonly levelL: number | null;
}

/** How a tank stands since its last reading by hand. */
export interface TankState {
  readonly loopId: number;
  readonly readingId: number;
  readonly readingDay: Day;
  readonly verdict: DoseSlip["verdict"] | null;
  /** Somebody said why the slip was not followed. */
  readonly skipped: boolean;
  /** The dose that followed the reading, if any. */
  readonly doseId: number | null;
  readonly doseAt: Date | null;
  readonly doseDay: Day | null;
}

/** A catch-can test of a line; the last one of each line, unless what it found was put right. */
export interface CatchCanFact extends CatchCanTest {
  readonly entryId: number;
  readonly day: Day;
  readonly standId: number;
  readonly line: number;
}

/** The last time that the whole solution of a tank was changed. */
export interface SolutionChange {
  readonly loopId: number;
  readonly day: Day;
}

/** A calibration of a loop's injector. */
export interface CalibrationFact extends CalibrationRun {
  readonly entryId: number;
  readonly loopId: number;
  readonly day: Day;
}

/** A dose of acid with the readings before and within three hours after it. */
export interface AcidPair extends DosePair {
  readonly loopId: number;
  readonly acid: TankAcid;
  readonly massPercent: number;
}

/** A fresh feed of a loop, as it was worked out and as it was read. */
export interface LoopEcPair extends EcPair {
  readonly loopId: number;
}

/** A batch of stock that was mixed. */
export interface MixFact {
  readonly entryId: number;
  readonly day: Day;
  readonly personName: string;
  readonly letter: StockLetter;
  readonly madeL: number;
  /** In the tank before. */
  readonly beforeL: number;
  readonly salts: readonly MixedSalt[];
  /** Drawn by hand since. */
  readonly usedL: number;
  readonly note: string;
}

/** What happened lately, handed over beside the garden: the rows of the plan do not hold it. */
export interface Facts {
  readonly picked: readonly Picked[];
  readonly readings: readonly HandReading[];
  readonly tanks: readonly TankState[];
  readonly catchCans: readonly CatchCanFact[];
  readonly solutionChanges: readonly SolutionChange[];
  /** The last one of each loop. */
  readonly calibrations: readonly CalibrationFact[];
  /** Of each loop the last ones, newest first. */
  readonly acidPairs: readonly AcidPair[];
  /** Of each loop the last ones, newest first. */
  readonly ecPairs: readonly LoopEcPair[];
  /** Keys of what was done or skipped today, and of picks and washes done before. */
  readonly settledKeys: ReadonlySet<string>;
}

export const NO_FACTS: Facts = {
  ...{ picked: [], readings: [], tanks: [], catchCans: [], solutionChanges: [], calibrations: [] },
  ...{ acidPairs: [], ecPairs: [] },
  settledKeys: new Set(),
};
