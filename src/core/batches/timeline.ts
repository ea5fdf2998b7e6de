import type { Day } from "../units/day";
import { harvestPlan, type HarvestLot } from "../growth/harvestPattern";
import { stageClock } from "../growth/stageDays";
import type { PlanBatch, PlanVariety } from "./types";

/** A stay of a batch in a pool, [from, to): on the day of a move plants count only where they go. */
export interface Stay {
  readonly batchId: number;
  readonly stage: number;
  readonly poolId: number;
  readonly plants: number;
  readonly from: Day;
  readonly to: Day;
  readonly begun: boolean;
}

export interface Timeline {
  readonly batch: PlanBatch;
  readonly stays: readonly Stay[];
  /** The day each stage is complete by its own length, whether or not the plants were moved by then. */
  readonly plannedEnds: readonly Day[];
  readonly readyDay: Day;
  readonly lots: readonly HarvestLot[];
  readonly earliestFree: Day;
  readonly latestFree: Day;
}

/** Units that may be given in parts; heads, bunches and trays are whole. */
const WEIGHED: ReadonlySet<string> = new Set(["kg", "g", "lb", "oz"]);

type Clocks = readonly ((start: Day) => Day)[];

/** Stage clocks of a variety over a span of days, made once for all its batches. */
export function varietyClocks(variety: PlanVariety, from: Day, to: Day): Clocks {
  return variety.stages.map((stage) => stageClock(stage.daysByMonth, from, to));
}

/**
 * Where a batch stands from sowing to its last harvest. What really happened goes before what was planned; a move that
 * is overdue is taken as done today, so that the plan slips with the garden.
 *
 * @param clocks from `varietyClocks`
 * @source stage arithmetic of stageDays.ts; plants by `plantsByStage`
 */
export function timeline(batch: PlanBatch, variety: PlanVariety, clocks: Clocks, today: Day): Timeline {
  const planned = plantsByStage(batch, variety);
  // Ends are set in place: a large plan makes ten thousands of stays, and what it throws away costs more than its sums.
  const stays: { -readonly [Key in keyof Stay]: Stay[Key] }[] = [];
  const plannedEnds: Day[] = [];
  let due = batch.sowDay;
  for (let stage = 0; stage < variety.stages.length; stage++) {
    const { poolId } = variety.stages[stage]!;
    const event = batch.begun.find(({ position }) => position === stage);
    const before = stays[stage - 1];
    const from = event?.day ?? Math.max(due, today);
    // No more plants move on than really stand in the stage before.
    const plants = event?.plants ?? Math.min(planned[stage]!, before?.begun ? before.plants : Infinity);
    if (before) before.to = from;
    stays.push({ batchId: batch.id, stage, poolId, plants, from, to: from, begun: event !== undefined });
    due = clocks[stage]!(from);
    plannedEnds.push(due);
  }
  const last = stays.at(-1)!;
  const harvest = harvestPlan(variety.pattern, due, last.plants);
  const latestFree = batch.clearedDay ?? harvest.latestFree;
  last.to = Math.max(last.from, latestFree);
  const lots = WEIGHED.has(variety.unit) ? harvest.lots : harvest.lots.map(wholeUnits);
  return { batch, stays, plannedEnds, readyDay: due, lots, earliestFree: harvest.earliestFree, latestFree };
}

function wholeUnits({ from, until, units }: HarvestLot): HarvestLot {
  return { from, until, units: Math.floor(units + 1e-9) };
}

/**
 * Plants that a batch needs in each stage: the cells sown first, then just enough that the losses of the stages still
 * to come leave the target. Spare seedlings are not moved on. A plant that is lost keeps its site until the move.
 */
export function plantsByStage(batch: Pick<PlanBatch, "cells" | "targetPlants">, variety: PlanVariety): number[] {
  let needed = batch.targetPlants;
  const counts = new Array<number>(variety.stages.length);
  counts[0] = batch.cells;
  for (let stage = variety.stages.length - 1; stage > 0; stage--) {
    const survival = variety.stages[stage]!.survival;
    needed = survival > 0 ? Math.ceil(needed / survival - 1e-9) : needed;
    counts[stage] = Math.min(needed, batch.cells);
  }
  return counts;
}
