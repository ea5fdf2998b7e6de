import type { Unmet } from "../../batches/season/explain";
import { sharedBest, type SharedBest } from "../../batches/season/sharedBest";
import type { OpenProgram } from "../../numeric/warmProgram";
import type { Garden, OrderRow } from "../garden";
import type { Worked } from "../worked";
import { LEAST_WORTH, type Tried } from "./remedy";
import type { GardenSeason } from "./seasonProblem";

const WEEK_DAYS = 7;
const MOST_WEEKS = 12;
/** Weeks that an order is solved with, and orders that are tried. */
const MOST_SOLVED = 2;
const MOST_ORDERS = 2;

interface LaterWish {
  readonly open: OpenProgram;
  /** The season of a garden with other orders. */
  readonly seasonOf: (garden: Garden) => GardenSeason;
}

/**
 * Orders for one day that go short, each taken on the first of the weeks after it for which a sowing is ready and the season
 * is worth more: the bound is worked out anew, with other sowings and other orders.
 *
 * @param groups short orders, the dearest first
 * @returns for each of them what it would bring; null where it is not for one day, is not tried or brings nothing
 */
export function laterDays(
  { garden }: Worked,
  season: GardenSeason,
  groups: readonly (readonly Unmet[])[],
  { open, seasonOf }: LaterWish,
): (Tried | null)[] {
  let tried = 0;
  let asItIs: SharedBest | null = null;
  return groups.map((group) => {
    const [unmet] = group;
    const { orderIds, day } = season.orders[unmet!.order]!;
    const order = garden.orders.find(({ id, from, to }) => orderIds.includes(id) && to - from < WEEK_DAYS);
    if (!order || tried >= MOST_ORDERS) return null;
    tried++;
    let solved = 0;
    for (let weeks = 1; weeks <= MOST_WEEKS && solved < MOST_SOLVED; weeks++) {
      const later = day + weeks * WEEK_DAYS;
      // Orders of the last week are taken to go on: there one day would count for many.
      if (later >= season.from + season.days - WEEK_DAYS) break;
      const there = seasonOf(movedBy(garden, order, later - day));
      if (!isReachable(there, order.id)) continue;
      solved++;
      asItIs ??= sharedBest(season.problem, open);
      const best = sharedBest(there.problem, open);
      if (!asItIs || !best || best.value - asItIs.value <= LEAST_WORTH) continue;
      const { variety } = season.problem.orders[unmet!.order]!;
      const { name, unit } = garden.varieties.find(({ id }) => id === order.varietyId)!;
      const units = best.given[variety]! - asItIs.given[variety]!;
      return {
        remedy: { kind: "later", orderId: order.id, name: order.customerName, from: order.from + later - day },
        worth: best.value - asItIs.value,
        gains: units >= LEAST_WORTH ? { variety: name, unit: unit.name, units, from: later, until: later } : null,
      };
    }
    return null;
  });
}

const movedBy = (garden: Garden, order: OrderRow, days: number): Garden => ({
  ...garden,
  orders: garden.orders.map((one) => (one === order ? { ...one, from: one.from + days, to: one.to + days } : one)),
});

function isReachable({ orders, problem }: GardenSeason, orderId: number): boolean {
  const at = orders.findIndex(({ orderIds }) => orderIds.includes(orderId));
  const order = problem.orders[at];
  return (
    order !== undefined &&
    problem.sowings.some(
      ({ variety, fixed, lots }) =>
        variety === order.variety &&
        fixed === null &&
        lots.some(({ from, until }) => from <= order.day && order.day <= until),
    )
  );
}
