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

/** The order in which lots are taken: the one that ends first goes first, so that nothing spoils while fresher stands. */
export function byEnd(a: OpenLot, b: OpenLot): number {
  return a.until - b.until || a.from - b.from || a.batchId - b.batchId;
}

/**
 * Serves one market day from the lots of its variety.
 *
 * @param lots in the order of `byEnd`; changed: what is taken is deducted from `left`
 * @source earliest-deadline-first
 */
export function serve(demand: Demand, lots: readonly OpenLot[]): Delivery {
  const parts: { batchId: number; units: number }[] = [];
  let missing = demand.wanted;
  for (const lot of lots) {
    if (missing <= 1e-9) break;
    if (lot.from > demand.day || lot.until < demand.day || lot.left <= 1e-9) continue;
    const units = Math.min(missing, lot.left);
    lot.left -= units;
    missing -= units;
    parts.push({ batchId: lot.batchId, units });
  }
  const { orderId, outletName, varietyId, day, wanted } = demand;
  return { orderId, outletName, varietyId, day, wanted, given: wanted - Math.max(0, missing), parts };
}

/**
 * Serves all market days in order of date. Lots come in as they ripen and are dropped once they have ended or are empty,
 * which keeps the work in step with the number of lots and days.
 */
export function serveAll(demands: readonly Demand[], lots: readonly OpenLot[]): Delivery[] {
  const ripening = lots.toSorted((a, b) => a.from - b.from);
  let open: OpenLot[] = [];
  let next = 0;
  return demands.map((demand) => {
    const before = next;
    while (next < ripening.length && ripening[next]!.from <= demand.day) open.push(ripening[next++]!);
    if (next > before) open = open.filter((lot) => lot.until >= demand.day && lot.left > 1e-9).sort(byEnd);
    return serve(demand, open);
  });
}
