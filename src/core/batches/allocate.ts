import { nextWeekday, type Day } from "../units/day";
import type { HarvestLot } from "../growth/harvestPattern";
import type { PlanOrder } from "./types";

/** One market day of one order. */
export interface Demand {
  readonly orderId: number;
  readonly outletName: string;
  readonly varietyId: number;
  readonly day: Day;
  readonly wanted: number;
}

export interface Delivery extends Demand {
  readonly given: number;
  readonly parts: readonly { readonly batchId: number; readonly units: number }[];
}

/** A lot of a batch, with what is left of it. */
export interface OpenLot extends HarvestLot {
  readonly batchId: number;
  left: number;
}

/** Market days of orders in [from, to), by day. */
export function demandsOf(orders: readonly PlanOrder[], from: Day, to: Day): Demand[] {
  const demands: Demand[] = [];
  for (const order of orders) {
    const last = Math.min(order.to, to - 1);
    for (let day = nextWeekday(Math.max(order.from, from), order.weekday); day <= last; day += 7)
      demands.push({
        orderId: order.id,
        outletName: order.outletName,
        varietyId: order.varietyId,
        day,
        wanted: order.quantity,
      });
  }
  return demands.sort((a, b) => a.day - b.day || a.orderId - b.orderId);
}

/**
 * Serves one market day from the lots of its variety: the lot that ends first is taken first, so that nothing spoils
 * while fresher stands.
 *
 * @param lots changed: what is taken is deducted from `left`
 * @source earliest-deadline-first
 */
export function serve(demand: Demand, lots: readonly OpenLot[]): Delivery {
  const usable = lots
    .filter((lot) => lot.from <= demand.day && demand.day <= lot.until && lot.left > 1e-9)
    .sort((a, b) => a.until - b.until || a.from - b.from || a.batchId - b.batchId);
  const parts: { batchId: number; units: number }[] = [];
  let missing = demand.wanted;
  for (const lot of usable) {
    if (missing <= 1e-9) break;
    const units = Math.min(missing, lot.left);
    lot.left -= units;
    missing -= units;
    parts.push({ batchId: lot.batchId, units });
  }
  return { ...demand, given: demand.wanted - Math.max(0, missing), parts };
}

/**
 * Serves all market days in order of date. Lots that ended are passed over once and for all, which keeps the work in
 * step with the number of lots and days.
 */
export function serveAll(demands: readonly Demand[], lots: readonly OpenLot[]): Delivery[] {
  const sorted = [...lots].sort((a, b) => a.from - b.from);
  let open: OpenLot[] = [];
  let next = 0;
  return demands.map((demand) => {
    while (next < sorted.length && sorted[next]!.from <= demand.day) open.push(sorted[next++]!);
    open = open.filter((lot) => lot.until >= demand.day && lot.left > 1e-9);
    return serve(demand, open);
  });
}
