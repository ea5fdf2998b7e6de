import { requireRange } from "../units/range";
import { requireOrder, requireSpan } from "./requirePlan";
import { nextWeekday, requireDay, type Day } from "../units/day";
import type { Lots } from "./lots";
import type { PlanOrder } from "./types";

/** One market day of one order. */
export interface Demand {
  readonly orderId: number;
  readonly customerName: string;
  readonly varietyId: number;
  readonly day: Day;
  readonly wanted: number;
}

export interface Delivery extends Demand {
  readonly given: number;
  readonly parts: readonly Part[];
}

interface Part {
  readonly batchId: number;
  readonly units: number;
}

/** Market days of orders in [from, to), by day. @param noMarket days on which none is held */
export function demandsOf(orders: readonly PlanOrder[], from: Day, to: Day, noMarket: readonly Day[] = []): Demand[] {
  requireSpan("demandsOf", from, to);
  for (const order of orders) requireOrder("demandsOf", order);
  const demands: Demand[] = [];
  for (const order of orders) {
    const last = Math.min(order.to, to - 1);
    for (let day = nextWeekday(Math.max(order.from, from), order.weekday); day <= last; day += 7) {
      if (noMarket.includes(day)) continue;
      demands.push({
        orderId: order.id,
        customerName: order.customerName,
        varietyId: order.varietyId,
        day,
        wanted: order.quantity,
      });
    }
  }
  return demands.sort((a, b) => a.day - b.day || a.orderId - b.orderId);
}

/** The order in which lots are taken: the one that ends first goes first, so that nothing spoils while a fresher one is taken. */
export function soonest(lots: Lots): (a: number, b: number) => number {
  return (a, b) =>
    lots.until[a]! - lots.until[b]! || lots.from[a]! - lots.from[b]! || lots.batchId[a]! - lots.batchId[b]!;
}

/**
 * Serves one market day from the lots of its variety.
 *
 * @param lots changed: what is taken is deducted from `left`
 * @param order numbers of the lots to take from, by `soonest`
 * @source earliest-deadline-first
 */
export function serve(demand: Demand, lots: Lots, order: readonly number[]): Delivery {
  requireDay("serve", "day", demand.day);
  requireRange("serve", "wanted", demand.wanted, 0);
  return taken(demand, lots, order, []);
}

/** @param gathered where parts are put, and copied from: an array that grows keeps room for many more */
function taken(demand: Demand, lots: Lots, order: readonly number[], gathered: Part[]): Delivery {
  const { orderId, customerName, varietyId, day, wanted } = demand;
  let missing = wanted;
  let count = 0;
  for (const lot of order) {
    if (missing <= 1e-9) break;
    if (lots.from[lot]! > day || lots.until[lot]! < day || lots.left[lot]! <= 1e-9) continue;
    const units = Math.min(missing, lots.left[lot]!);
    lots.left[lot]! -= units;
    lots.taken[lot] = day;
    missing -= units;
    gathered[count++] = { batchId: lots.batchId[lot]!, units };
  }
  const parts = gathered.slice(0, count);
  return { orderId, customerName, varietyId, day, wanted, given: wanted - Math.max(0, missing), parts };
}

/**
 * Serves all market days in order of date. Lots come in as they ripen and are dropped once they have ended or are empty,
 * which keeps the work in step with the number of lots and days.
 *
 * @param lots changed: what is taken is deducted from `left`
 * @source earliest-deadline-first
 */
export function serveAll(demands: readonly Demand[], lots: Lots): Delivery[] {
  for (const { day, wanted } of demands) {
    requireDay("serveAll", "day", day);
    requireRange("serveAll", "wanted", wanted, 0);
  }
  const { from, until, left } = lots;
  const inOrder = soonest(lots);
  const ripening = byRipening(lots);
  const open: number[] = [];
  const gathered: Part[] = [];
  let next = 0;
  return demands.map((demand) => {
    if (next < ripening.length && from[ripening[next]!]! <= demand.day) {
      keepOnly(open, (lot) => until[lot]! >= demand.day && left[lot]! > 1e-9);
      while (next < ripening.length && from[ripening[next]!]! <= demand.day) insert(open, ripening[next++]!, inOrder);
    }
    return taken(demand, lots, open, gathered);
  });
}

/** Numbers of the lots in the order in which they ripen; batches are mostly kept in that order already. */
function byRipening({ count, from }: Lots): Int32Array {
  const order = new Int32Array(count);
  let isSorted = true;
  for (let lot = 0; lot < count; lot++) {
    order[lot] = lot;
    if (lot > 0 && from[lot]! < from[lot - 1]!) isSorted = false;
  }
  return isSorted ? order : order.sort((a, b) => from[a]! - from[b]!);
}

function keepOnly(list: number[], wanted: (item: number) => boolean): void {
  let kept = 0;
  for (const item of list) if (wanted(item)) list[kept++] = item;
  list.length = kept;
}

/** Into a sorted list, looked at from its end: what ripens last mostly ends last. */
function insert(list: number[], item: number, compare: (a: number, b: number) => number): void {
  let at = list.length;
  while (at > 0 && compare(list[at - 1]!, item) > 0) at--;
  list.splice(at, 0, item);
}
