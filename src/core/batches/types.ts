import type { Day } from "../units/day";
import type { CropKind } from "../growth/cropKind";
import type { HarvestPattern } from "../growth/harvestPattern";
import type { HarvestUnit } from "../growth/harvestUnit";
import type { StageLength } from "../growth/stageDays";
import type { Step } from "../growth/steps";
import type { KeptPlace } from "./places/types";

/** A stage of a variety and where it is spent. */
export interface PlanStage extends StageLength {
  readonly name: string;
  readonly growingAreaId: number;
  /** Share that comes through the stage, 0–1. */
  readonly survival: number;
  /** Litres a plant drinks a day in this stage: where the climate is not told, or whatever it is. */
  readonly needLpd: number;
  readonly needFrom?: "climate" | "figure";
  /** Crop coefficient: what it drinks, of what short grass would on the same ground. */
  readonly kc?: number | null;
  readonly areaPerPlantM2?: number | null;
}

export interface PlanVariety {
  readonly id: number;
  readonly name: string;
  readonly kind: CropKind;
  readonly unit: HarvestUnit;
  /** Eaten raw and sprouted, or another crop that wants the food-safety caution at sowing and picking. */
  readonly foodSafetySensitive: boolean;
  readonly stages: readonly PlanStage[];
  readonly germination: number;
  readonly seedsPerCell: number;
  /** Plants kept in a cell; one where it is not told. */
  readonly thinTo?: number | null;
  readonly pattern: HarvestPattern;
  /** Days from sowing by which seedlings must be up; null: nobody is warned. */
  readonly upWithinDays?: number | null;
  /** Hours that its seed soaks before it is sown; 0 or nothing told: not at all. */
  readonly soakH?: number;
  readonly seedsPerG?: number;
  /** Of what is sown by weight. */
  readonly tray?: { readonly seedGPerTray: number } | null;
  /** Its seed, the oldest lot first. */
  readonly lots?: readonly { readonly name: string; readonly onHandG: number }[];
  /** Plants of one family do not follow one another where families rotate. */
  readonly family?: string;
  /** Loops whose water is not for it, and stands whose lines are not. */
  readonly unsuited?: { readonly loopIds: readonly number[]; readonly standIds: readonly number[] };
  /** How its plants are raised between the moves. */
  readonly steps?: readonly (Step & { readonly id: number })[];
}

/** A stage that really began: who moves plants writes the day and the count down. */
export interface StageBegun {
  readonly position: number;
  readonly day: Day;
  readonly plants: number;
  /** It was entered as it stood, not by the round: what came before was not asked for. */
  readonly asItStood?: boolean;
  /** Of the first stage: seeds that were looked at, how many were up, and when. */
  readonly countedOf?: number | null;
  readonly countedUp?: number | null;
  readonly countedOn?: Day | null;
  /** The day on which the plants were found to have completed the stage, whether or not they were moved then. */
  readonly readyOn?: Day | null;
}

export interface PlanBatch {
  readonly id: number;
  readonly varietyId: number;
  readonly sowDay: Day;
  readonly cells: number;
  readonly targetPlants: number;
  readonly begun: readonly StageBegun[];
  /** The day the last plants left, once they have. */
  readonly clearedDay: Day | null;
}

/** All sites that can serve one stage, in the order of their lines, and which loops water them. */
export interface PlanGrowingArea {
  readonly id: number;
  readonly name: string;
  readonly sites: number;
  readonly cleaningDays: number;
  readonly sitesPerLine: readonly number[];
  /** Of each line: the stand that it belongs to, its number there from 1, what waters it, and whether families rotate on it. */
  readonly lines?: readonly {
    readonly standId: number;
    readonly line: number;
    readonly loopId: number | null;
    /** Lines of one bank are washed together: those of a valve, or of a stand. */
    readonly bank: string;
    readonly rotates: boolean;
  }[];
  /** Share of the sites on each loop; null is watered by hand. Shares sum to one. */
  readonly loops: readonly { readonly loopId: number | null; readonly share: number }[];
}

export interface PlanOrder {
  readonly id: number;
  readonly customerName: string;
  readonly varietyId: number;
  /** 1 Monday … 7 Sunday. */
  readonly weekday: number;
  readonly quantity: number;
  readonly from: Day;
  readonly to: Day;
}

export interface PlanInput {
  readonly today: Day;
  /** First day looked at, and the day after the last. */
  readonly from: Day;
  readonly to: Day;
  readonly growingAreas: readonly PlanGrowingArea[];
  readonly varieties: readonly PlanVariety[];
  readonly batches: readonly PlanBatch[];
  readonly orders: readonly PlanOrder[];
  /** Days on which no market is held. */
  readonly noMarket?: readonly Day[];
  /** Places that are kept for stages of batches. */
  readonly places?: readonly KeptPlace[];
  /** Share of the feed that drains from a run-to-waste loop, by loop id. */
  readonly drainShareByLoop: Readonly<Record<number, number>>;
  /** What plants really drink of what is worked out, by loop id; 1 where none is named. */
  readonly needFactorByLoop?: Readonly<Record<number, number>>;
  /** Reference evapotranspiration of each day in a growing area, mm; none where its climate is not told. */
  readonly et0MmByArea?: Readonly<Record<number, Float64Array>>;
  /** What the air takes each day from water that a loop keeps open, L, by loop id; none where it keeps none. */
  readonly openWaterLByLoop?: Readonly<Record<number, Float64Array>>;
}
