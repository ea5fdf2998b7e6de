import { requireWhole } from "../units/range";
import { requireVariety } from "./requirePlan";
import type { Day } from "../units/day";
import { eachLot, latestFree } from "../growth/harvestPattern";
import { stageClock } from "../growth/stageDays";
import type { Lots } from "./lots";
import type { PlanBatch, PlanVariety } from "./types";

/** A stay of a batch in a growing area, [from, to): on the day of a move plants count only where they go. */
export interface Stay {
  readonly batchId: number;
  readonly stage: number;
  readonly growingAreaId: number;
  readonly plants: number;
  readonly from: Day;
  readonly to: Day;
  readonly begun: boolean;
  /** The day the stage is complete by its own length, whether or not the plants were moved by then. */
  readonly plannedEnd: Day;
}

export type Clocks = readonly ((start: Day) => Day)[];

/** Stage clocks of a variety over a span of days, made once for all its batches. */
export function varietyClocks(variety: PlanVariety, from: Day, to: Day): Clocks {
  requireVariety("varietyClocks", variety);
  return variety.stages.map((stage) => stageClock(stage, from, to));
}

/** A stay whose end can still be set: a large plan makes ten thousands of them, and copies cost more than their sums. */
export type OpenStay = { -readonly [Key in keyof Stay]: Stay[Key] };

/**
 * Where a batch is from sowing to its last harvest, of rows that were checked. What really happened goes before what was
 * planned; a move that is overdue is taken as done today, so that the plan slips with the garden. The last stay ends as
 * late as it may.
 *
 * @param clocks from `varietyClocks`
 * @source stage arithmetic of stageDays.ts; plants by `plantsByStage`
 */
export function staysOf(batch: PlanBatch, variety: PlanVariety, clocks: Clocks, today: Day): OpenStay[] {
  const planned = countsByStage(batch, variety);
  const count = variety.stages.length;
  const stays = new Array<OpenStay>(count);
  let due = batch.sowDay;
  for (let stage = 0; stage < count; stage++) {
    const { growingAreaId } = variety.stages[stage]!;
    const event = batch.begun.length === 0 ? undefined : batch.begun.find(({ position }) => position === stage);
    const before = stage > 0 ? stays[stage - 1]! : null;
    const from = event?.day ?? Math.max(due, today);
    // No more plants move on than are really in the stage before.
    const plants = event?.plants ?? (before?.begun ? Math.min(planned[stage]!, before.plants) : planned[stage]!);
    if (before) before.to = from;
    due = clocks[stage]!(from);
    const begun = event !== undefined;
    stays[stage] = { batchId: batch.id, stage, growingAreaId, plants, from, to: from, begun, plannedEnd: due };
  }
  const last = stays[count - 1]!;
  last.to = Math.max(last.from, lastDay(batch, variety, due));
  return stays;
}

/** The day on which a batch has left its last site at the latest. */
export function lastDay(batch: PlanBatch, variety: PlanVariety, readyDay: Day): Day {
  return batch.clearedDay ?? latestFree(variety.pattern, readyDay);
}

/**
 * Adds the lots of a batch: what is cleared gives nothing any more from the day after, and what is sold whole is whole.
 *
 * @returns units of all of them
 */
export function addLotsOf(
  { id, clearedDay }: PlanBatch,
  { pattern, unit }: PlanVariety,
  stays: readonly Stay[],
  lots: Lots,
): number {
  const { plannedEnd, plants } = stays[stays.length - 1]!;
  let inAll = 0;
  eachLot(pattern, plannedEnd, plants, (from, until, units) => {
    if (clearedDay !== null && from > clearedDay) return;
    const sold = unit.divisible ? units : Math.floor(units + 1e-9);
    lots.add(id, from, clearedDay === null ? until : Math.min(until, clearedDay), sold);
    inAll += sold;
  });
  return inAll;
}

/**
 * Plants that a batch needs in each stage: the cells sown first, then just enough that the losses of the stages still
 * to come leave the target. Spare seedlings are not moved on. A plant that is lost keeps its site until the move.
 */
export function plantsByStage(batch: Pick<PlanBatch, "cells" | "targetPlants">, variety: PlanVariety): number[] {
  requireVariety("plantsByStage", variety);
  requireWhole("plantsByStage", "cells", batch.cells, 0, 10_000_000);
  requireWhole("plantsByStage", "targetPlants", batch.targetPlants, 0, 10_000_000);
  return countsByStage(batch, variety);
}

function countsByStage(batch: Pick<PlanBatch, "cells" | "targetPlants">, variety: PlanVariety): number[] {
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
