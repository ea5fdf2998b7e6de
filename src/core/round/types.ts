import type { LoopChangeRule } from "../feed/changeRule";
import type { CautionKey } from "../feed/cautions";
import type { FeedSheet } from "../feed/feedSheet";
import type { Lot, Salt, StockLetter } from "../feed/salts";
import type { StepKind } from "../growth/steps";
import type { HarvestUnit } from "../growth/harvestUnit";
import type { Plan } from "../batches/plan";
import type { PlacedStay } from "../batches/places/areaPlaces";
import type { Shortage } from "../batches/shortages";
import type { GrowingAreaStand } from "../place/lineWords";
import type { Dimension } from "../units/dimensions";
import type { Day } from "../units/day";
import type { CatchCanTest } from "../water/catchCans";

/** A stop of the walk: the gate, the tanks, or a house by its name. */
export interface Stop {
  readonly key: string;
  /** Of a house; empty for the gate and the tanks. */
  readonly name: string;
  /** Place in the walk, small first. */
  readonly order: number;
}

/** Lines of a growing area, in the words of their kind: "channels 7–9 and 11". */
export interface Where {
  readonly growingArea: string;
  readonly lines: string;
}

export interface Amount {
  /** What it is taken from; water comes from no shelf. */
  readonly of:
    { readonly kind: "stock"; readonly letter: StockLetter } | { readonly kind: "salt"; readonly saltId: number };
  readonly name: string;
  readonly value: number;
  readonly dimension: Dimension;
  /** Of a liquid, which is measured and not weighed. */
  readonly litres?: number;
  /** Of a salt that is weighed: its lots that are not used up, the one in use first. */
  readonly lots?: readonly string[];
}

interface OfTank {
  readonly loopId: number;
  /** "Leaf tank" */
  readonly tank: string;
}

/** A piece of work, with the figures that tell it. Names are those of the day: the log keeps them. */
export type RoundTask =
  | { readonly kind: "store"; readonly storeId: number; readonly store: string; readonly lastRead: Day }
  | {
      readonly kind: "order";
      readonly saltId: number | null;
      readonly salt: string;
      readonly grams: number;
      readonly emptyFrom: Day;
      /** The last day to order; unknown in logs of before. */
      readonly orderBy?: Day;
    }
  | ({ readonly kind: "reading"; readonly lastRead: Day | null } & OfTank)
  /** After the dose of this log entry. */
  | ({ readonly kind: "read-again"; readonly entryId: number } & OfTank)
  /** As the slip of the reading of this log entry says. */
  | ({ readonly kind: "bring-back"; readonly entryId: number; readonly readOn: Day } & OfTank)
  | ({ readonly kind: "top-up"; readonly litres: number; readonly expectedL: number } & OfTank)
  | {
      readonly kind: "mix";
      readonly loopId: number;
      readonly loop: string;
      readonly letter: StockLetter;
      readonly tankL: number;
      /** Still in it: fresh stock comes onto it up to the mark. Unknown in logs of before. */
      readonly leftL?: number;
      readonly daysLeft: number;
    }
  | {
      readonly kind: "sow";
      readonly batchId: number;
      readonly variety: string;
      readonly where: Where;
      /** Cells, or trays sown broadcast. */
      readonly cells: number;
      readonly inTrays: boolean;
      readonly seedsPerCell: number;
      readonly targetPlants: number;
      readonly readyDay: Day;
      /** The lot in use; unknown in logs of before, and where none is kept. */
      readonly lot?: string;
    }
  /** A step of raising young plants. */
  | {
      readonly kind: "step";
      readonly batchId: number;
      readonly step: StepKind | "soak";
      readonly variety: string;
      readonly sownOn: Day;
      readonly where: Where;
      readonly plants: number;
      /** What is counted; plants where it is not told. */
      readonly counts?: "trays" | "cells" | "plants";
      /** Plants that stay in a cell when it is thinned; days left to the end of the stage when they are hardened. */
      readonly thinTo: number;
      readonly daysLeft: number;
      /** Of seed that soaks before it is sown: how much of it, for how long. */
      readonly soak?: { readonly seedG: number; readonly soakH: number };
      /** On a graded line: the zone that plants move on from, to the next. */
      readonly fromZone?: number;
      readonly note: string;
    }
  /** Whether what was sown is up. */
  | {
      readonly kind: "count-seedlings";
      readonly batchId: number;
      readonly variety: string;
      readonly where: Where;
      readonly sownOn: Day;
      readonly seeds: number;
      readonly upBy: Day;
    }
  | {
      readonly kind: "move";
      readonly batchId: number;
      readonly stage: number;
      readonly variety: string;
      readonly sownOn: Day;
      readonly from: Where | null;
      readonly where: Where;
      readonly plants: number;
    }
  | {
      readonly kind: "wash";
      readonly batchId: number;
      readonly stage: number;
      readonly variety: string;
      readonly sownOn: Day;
      readonly where: Where;
      /** The batch is over; otherwise its plants moved on. */
      readonly clears: boolean;
      readonly cleaningDays: number;
      /** Units that no order has taken, which are to be picked or thrown away. */
      readonly unitsLeft: { readonly units: number; readonly unit: HarvestUnit } | null;
    }
  | {
      readonly kind: "pick";
      readonly batchId: number;
      readonly orderId: number;
      readonly variety: string;
      readonly customer: string;
      readonly where: Where | null;
      readonly units: number;
      readonly unit: HarvestUnit;
      /** The market day. */
      readonly day: Day;
    }
  /** Emitters that the catch-can test of this log entry found blocked or blown, counted from the inlet. */
  | {
      readonly kind: "flush";
      readonly entryId: number;
      readonly stand: string;
      readonly line: number;
      readonly testedOn: Day;
      readonly blocked: readonly number[];
      readonly blown: readonly number[];
    }
  /** The whole solution of a tank is let out and made anew. */
  | {
      readonly kind: "change-solution";
      readonly loopId: number;
      readonly tank: string;
      readonly litres: number;
      /** What its EC was worked out to; unknown in logs of before, and where it has no strength. */
      readonly computedMsPerCm?: number;
      /** The last time; null where the log does not know of one. */
      readonly since: Day | null;
      readonly rule: LoopChangeRule;
    }
  /** Stock drawn against water metered. */
  | {
      readonly kind: "calibrate";
      readonly loopId: number;
      readonly loop: string;
      readonly ratioR: number;
      /** The last time; null where the log does not know of one. */
      readonly since: Day | null;
    };
export type RoundKind = RoundTask["kind"];

export interface RoundItem {
  /** The same for the same piece of work on every day until it is done. */
  readonly key: string;
  readonly stop: Stop;
  readonly task: RoundTask;
  readonly amounts: readonly Amount[];
  readonly cautions: readonly CautionKey[];
  /** The day it was due, and the days since; 0 is today. */
  readonly due: Day;
  readonly ageDays: number;
  /** Not before this time of today. */
  readonly from?: Date;
}

/** An item without amounts or cautions. */
export const BARE = { amounts: [], cautions: [] } as const;

export interface RoundGrowingArea {
  readonly id: number;
  readonly name: string;
  readonly houseName: string;
  readonly houseOrder: number;
  readonly order: number;
  readonly cleaningDays: number;
  readonly stands: readonly GrowingAreaStand[];
  readonly sitesPerLine: readonly number[];
  readonly placed: readonly PlacedStay[];
}

export interface RoundLoop {
  readonly id: number;
  readonly name: string;
  readonly kind: "recirculating" | "run-to-waste";
  readonly feeding: "injector" | "stocks" | "dry";
  readonly normalFillL: number;
  readonly readEveryDays: number;
  readonly needLpd: number;
  /** The last reading by hand: what it was, and whether its slip asked for something that was not done yet. */
  readonly lastReading: { readonly day: Day; readonly levelL: number | null } | null;
  /** The reading whose slip is still to be followed. */
  readonly outOfBand: { readonly entryId: number; readonly day: Day } | null;
  /** A dose after which nobody has read. */
  readonly dosed: { readonly entryId: number; readonly day: Day; readonly at: Date } | null;
  /** The solution is to be changed by the rule that was chosen for it. */
  readonly changeDue: { readonly due: Day; readonly since: Day | null; readonly rule: LoopChangeRule } | null;
  /** Its injector is to be calibrated. */
  readonly calibrationDue: { readonly due: Day; readonly since: Day | null; readonly ratioR: number } | null;
  readonly feed: FeedSheet | null;
  readonly salts: readonly (Pick<Salt, "form" | "densityKgPerL"> & {
    readonly id: number;
    readonly name: string;
    readonly lots: readonly Lot[];
  })[];
}

/** A catch-can test whose finds were not put right yet. */
export interface RoundCatchCans {
  readonly entryId: number;
  readonly day: Day;
  readonly stand: string;
  readonly houseName: string;
  readonly houseOrder: number;
  readonly line: number;
  readonly test: CatchCanTest;
}

export interface RoundSeedOrder {
  readonly varietyId: number;
  readonly variety: string;
  readonly gramsToBuy: number;
  readonly shortOn: Day;
  readonly orderBy: Day;
}

export interface RoundInput {
  readonly catchCans: readonly RoundCatchCans[];
  readonly today: Day;
  readonly plan: Plan;
  readonly growingAreas: readonly RoundGrowingArea[];
  readonly loops: readonly RoundLoop[];
  readonly store: { readonly id: number; readonly name: string; readonly readOn: Day } | null;
  readonly shortages: readonly Shortage[];
  /** Seed that planned sowings will miss. */
  readonly seedOrders: readonly RoundSeedOrder[];
  /** Keys of what was done or skipped today, and of picks and washes done before. */
  readonly settledKeys: ReadonlySet<string>;
  /** Units that were really picked of each batch. */
  readonly pickedByBatch: ReadonlyMap<number, number>;
}
