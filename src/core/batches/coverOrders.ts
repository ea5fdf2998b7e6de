import { requireBatch, requireConfidence, requireOrder, requireSpan, requireVariety } from "./requirePlan";
import { requireDay, type Day } from "../units/day";
import { cellsToSow, keptInCell } from "../growth/cellsToSow";
import { serveDays, unitsAtFirst } from "../growth/harvestPattern";
import { sowDayFor } from "../growth/sowDay";
import { demandsOf, serve, soonest, type Demand } from "./allocate";
import { Lots } from "./lots";
import { addLotsOf, staysOf, varietyClocks } from "./timeline";
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

/** Why no batch can cover the orders. */
export interface NoCover {
  readonly kind: "never";
  readonly why: "gives-nothing" | "never-comes-up";
}

export interface Cover {
  readonly kind: "cover";
  readonly batches: readonly ProposedBatch[];
  /** Market days that no batch sown from today on can reach any more. */
  readonly tooLate: readonly Demand[];
}

/**
 * Batches that meet the orders of a variety: market days are walked in order, what stands already is used first, and at
 * each market day still short a batch is proposed that is ready for it and large enough for all the market days that its
 * first harvest can serve.
 *
 * @returns the batches, or why none can be proposed
 * @throws RangeError when a figure is outside its range
 * @source backward sow day (sowDay.ts), binomial sizes (cellsToSow.ts)
 */
export function coverOrders(wish: CoverWish): Cover | NoCover {
  requireVariety("coverOrders", wish.variety);
  for (const order of wish.orders) requireOrder("coverOrders", order);
  for (const batch of wish.batches) requireBatch("coverOrders", batch);
  requireDay("coverOrders", "today", wish.today);
  requireSpan("coverOrders", wish.from, wish.to);
  requireConfidence("coverOrders", wish.confidence);
  const { variety } = wish;
  const perPlant = unitsAtFirst(variety.pattern);
  if (perPlant === 0) return { kind: "never", why: "gives-nothing" };
  if (cellsFor(variety, 1, wish.confidence) === "never") return { kind: "never", why: "never-comes-up" };
  const clocks = varietyClocks(variety, wish.from - 400, wish.to + 400);
  const lots = new Lots();
  const order: number[] = [];
  const add = (batch: PlanBatch) => {
    addLotsOf(batch, variety, staysOf(batch, variety, clocks, wish.today), lots);
    while (order.length < lots.count) order.push(order.length);
  };
  wish.batches.forEach(add);
  order.sort(soonest(lots));
  const demands = demandsOf(
    wish.orders.filter((order) => order.varietyId === variety.id),
    wish.from,
    wish.to,
  );
  const batches: ProposedBatch[] = [];
  const tooLate: Demand[] = [];
  demands.forEach((demand, index) => {
    const missing = demand.wanted - serve(demand, lots, order).given;
    // Market days that are over only take their share of what stands.
    if (missing <= 1e-6 || demand.day < wish.today) return;
    const onWeekday = sowDayFor(demand.day, variety.stages, wish.sowWeekdays);
    if ("kind" in onWeekday) {
      tooLate.push({ ...demand, wanted: missing });
      return;
    }
    // A crop that would not hold from the nearest sowing weekday is sown on the very day it needs.
    const onAnyDay =
      onWeekday.daysEarly > serveDays(variety.pattern) ? sowDayFor(demand.day, variety.stages) : onWeekday;
    const sow = "kind" in onAnyDay ? onWeekday : onAnyDay;
    if (sow.sowDay < wish.today) {
      tooLate.push({ ...demand, wanted: missing });
      return;
    }
    const readyDay = sow.boundaries.at(-1)!;
    const reach = demands.slice(index + 1).filter((later) => later.day <= readyDay + serveDays(variety.pattern));
    const units = missing + unmet(reach, lots, order);
    const targetPlants = Math.ceil(units / perPlant - 1e-9);
    const proposed = {
      sowDay: sow.sowDay,
      readyDay,
      daysEarly: sow.daysEarly,
      targetPlants,
      cells: cellsFor(variety, targetPlants, wish.confidence) as number,
    };
    batches.push(proposed);
    add({ id: -batches.length, varietyId: variety.id, ...proposed, begun: [], clearedDay: null });
    order.sort(soonest(lots));
    serve({ ...demand, wanted: missing }, lots, order);
  });
  return { kind: "cover", batches, tooLate };
}

/** Cells to sow for a number of plants at the last stage, at a confidence; "never" when its seed never comes up. */
export function cellsFor(variety: PlanVariety, targetPlants: number, confidence: number): number | "never" {
  requireVariety("cellsFor", variety);
  const answer = cellsToSow({
    targetPlants,
    germination: variety.germination,
    seedsPerCell: variety.seedsPerCell,
    thinTo: keptInCell(variety),
    laterSurvival: variety.stages.slice(1).map((stage) => stage.survival),
    confidence,
  });
  return "kind" in answer ? "never" : answer.cells;
}

/** What later market days would still miss if they were served from the lots, which stay as they are. */
function unmet(demands: readonly Demand[], lots: Lots, order: readonly number[]): number {
  const left = lots.left.slice();
  const missing = demands.reduce((sum, demand) => sum + demand.wanted - serve(demand, lots, order).given, 0);
  lots.left.set(left);
  return missing;
}
