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
  const begun = new Map(batch.begun.map((event) => [event.position, event]));
  const starts: Day[] = [];
  const plants: number[] = [];
  const plannedEnds: Day[] = [];
  let due = batch.sowDay;
  variety.stages.forEach((_, stage) => {
    const event = begun.get(stage);
    const start = event?.day ?? Math.max(due, today);
    starts.push(start);
    plants.push(
      event?.plants ?? Math.min(planned[stage]!, stage > 0 && begun.has(stage - 1) ? plants[stage - 1]! : Infinity),
    );
    due = clocks[stage]!(start);
    plannedEnds.push(due);
  });
  const harvest = harvestPlan(variety.pattern, due, plants.at(-1) ?? 0);
  const end = batch.clearedDay ?? harvest.latestFree;
  const stays = variety.stages.map((stage, index) => ({
    batchId: batch.id,
    stage: index,
    poolId: stage.poolId,
    plants: plants[index]!,
    from: starts[index]!,
    to: starts[index + 1] ?? Math.max(starts[index]!, end),
    begun: begun.has(index),
  }));
  const lots = WEIGHED.has(variety.unit)
    ? harvest.lots
    : harvest.lots.map((lot) => ({ ...lot, units: Math.floor(lot.units + 1e-9) }));
  return {
    batch,
    stays,
    plannedEnds,
    readyDay: due,
    lots,
    earliestFree: harvest.earliestFree,
    latestFree: end,
  };
}

/**
 * Plants that a batch needs in each stage: the cells sown first, then just enough that the losses of the stages still
 * to come leave the target. Spare seedlings are not moved on. A plant that is lost keeps its site until the move.
 */
export function plantsByStage(batch: Pick<PlanBatch, "cells" | "targetPlants">, variety: PlanVariety): number[] {
  let needed = batch.targetPlants;
  const counts: number[] = [];
  for (let stage = variety.stages.length - 1; stage > 0; stage--) {
    const survival = variety.stages[stage]!.survival;
    needed = survival > 0 ? Math.ceil(needed / survival - 1e-9) : needed;
    counts.unshift(Math.min(needed, batch.cells));
  }
  return [batch.cells, ...counts];
}
