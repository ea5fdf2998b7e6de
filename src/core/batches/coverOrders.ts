import type { Day } from "../units/day";
import { cellsToSow } from "../growth/cellsToSow";
import { serveDays, unitsAtFirst } from "../growth/harvestPattern";
import { sowDayFor } from "../growth/sowDay";
import { byEnd, demandsOf, serve, type Demand, type OpenLot } from "./allocate";
import { timeline, varietyClocks } from "./timeline";
import type { PlanBatch, PlanOrder, PlanVariety } from "./types";

export interface CoverWish {
  readonly variety: PlanVariety;
  readonly orders: readonly PlanOrder[];
  /** Batches of the variety that stand or are planned already. */
  readonly batches: readonly PlanBatch[];
  readonly today: Day;
  /** Market days from here on are served; before today none gets a new batch. */
  readonly from: Day;
  readonly to: Day;
  /** Weekdays on which sowing is done, 1 Monday … 7 Sunday. */
  readonly sowWeekdays: readonly number[];
  /** Chance with which each batch shall reach its plants. */
  readonly confidence: number;
}

export interface ProposedBatch {
  readonly sowDay: Day;
  readonly readyDay: Day;
  readonly daysEarly: number;
  readonly cells: number;
  readonly targetPlants: number;
}

export interface Cover {
  readonly batches: readonly ProposedBatch[];
  /** Market days that no batch sown from today on can reach any more. */
  readonly tooLate: readonly Demand[];
}

/**
 * Batches that meet the orders of a variety: market days are walked in order, what stands already is used first, and at
 * each market day still short a batch is proposed that is ready for it and large enough for all the market days that its
 * first harvest can serve.
 *
 * @throws RangeError when the variety gives nothing per plant or its seed never comes up
 * @source backward sow day (sowDay.ts), binomial sizes (cellsToSow.ts)
 */
export function coverOrders(wish: CoverWish): Cover {
  const { variety } = wish;
  const perPlant = unitsAtFirst(variety.pattern);
  if (!(perPlant > 0))
    throw new RangeError(`coverOrders: ${variety.name} gives ${perPlant} per plant; it must be over 0`);
  const clocks = varietyClocks(variety, wish.from - 400, wish.to + 400);
  const stageDays = variety.stages.map((stage) => stage.daysByMonth);
  const lotsOf = (batch: PlanBatch): OpenLot[] =>
    timeline(batch, variety, clocks, wish.today).lots.map((lot) => ({
      ...lot,
      batchId: batch.id,
      left: lot.units,
    }));
  const lots = wish.batches.flatMap(lotsOf).sort(byEnd);
  const demands = demandsOf(
    wish.orders.filter((order) => order.varietyId === variety.id),
    wish.from,
    wish.to,
  );
  const batches: ProposedBatch[] = [];
  const tooLate: Demand[] = [];
  demands.forEach((demand, index) => {
    const missing = demand.wanted - serve(demand, lots).given;
    // Market days that are over only take their share of what stands.
    if (missing <= 1e-6 || demand.day < wish.today) return;
    const onWeekday = sowDayFor(demand.day, stageDays, wish.sowWeekdays);
    // A crop that would not hold from the nearest sowing weekday is sown on the very day it needs.
    const sow = onWeekday.daysEarly > serveDays(variety.pattern) ? sowDayFor(demand.day, stageDays) : onWeekday;
    if (sow.sowDay < wish.today) {
      tooLate.push({ ...demand, wanted: missing });
      return;
    }
    const readyDay = sow.boundaries.at(-1)!;
    const reach = demands.slice(index + 1).filter((later) => later.day <= readyDay + serveDays(variety.pattern));
    const units = missing + unmet(reach, lots);
    const targetPlants = Math.ceil(units / perPlant - 1e-9);
    const proposed = {
      sowDay: sow.sowDay,
      readyDay,
      daysEarly: sow.daysEarly,
      targetPlants,
      cells: cellsFor(variety, targetPlants, wish.confidence),
    };
    batches.push(proposed);
    lots.push(...lotsOf({ id: -batches.length, varietyId: variety.id, ...proposed, begun: [], clearedDay: null }));
    lots.sort(byEnd);
    serve({ ...demand, wanted: missing }, lots);
  });
  return { batches, tooLate };
}

/** Cells to sow for a number of plants at the last stage, at a confidence. */
export function cellsFor(variety: PlanVariety, targetPlants: number, confidence: number): number {
  const answer = cellsToSow({
    targetPlants,
    germination: variety.germination,
    seedsPerCell: variety.seedsPerCell,
    laterSurvival: variety.stages.slice(1).map((stage) => stage.survival),
    confidence,
  });
  if ("kind" in answer)
    throw new RangeError(`cellsFor: the seed of ${variety.name} never comes up; its germination or survival is 0`);
  return answer.cells;
}

/** What later market days would still miss if they were served from a copy of the lots. */
function unmet(demands: readonly Demand[], lots: readonly OpenLot[]): number {
  const copy = lots.map((lot) => ({ ...lot }));
  return demands.reduce((sum, demand) => sum + demand.wanted - serve(demand, copy).given, 0);
}
