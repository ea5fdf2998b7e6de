import { demandsOf, type Demand } from "../../batches/allocate";
import type { SeasonOrder } from "../../batches/season/problem";
import type { PlanInput, PlanOrder } from "../../batches/types";
import { groupBy } from "../../numeric/groupBy";
import type { Day } from "../../units/day";
import type { Garden } from "../garden";
import { householdOrders } from "../household";

/** A unit that no price is told of is counted as worth this much. */
const UNTOLD_PRICE = 1;
/** How much an order counts against others. */
const WEIGHTS = { first: 3, usual: 1, spare: 0.4 } as const;

/** A market day of a variety, with the orders that it is made of. */
export interface WantedDay {
  readonly varietyId: number;
  readonly day: Day;
  readonly orderIds: readonly number[];
}

/** What a garden's orders want of a season. */
export interface Wanted {
  readonly demands: readonly Demand[];
  /** Market days with what the same crop is wanted for alike drawn together, and as orders of the problem. */
  readonly days: readonly WantedDay[];
  readonly orders: readonly SeasonOrder[];
  /** Money of a unit, by variety. */
  readonly priceOf: ReadonlyMap<number, number>;
}

/**
 * What is wanted on the days planned, and behind them: orders that still run when they end are taken to go on.
 *
 * @param end the day after the last that is planned
 * @param all the day after the last that is looked at
 * @param pickCost money for the work of picking a unit
 */
export function wantedDays(garden: Garden, input: PlanInput, end: Day, all: Day, pickCost: number): Wanted {
  const { today, noMarket } = input;
  const varietyAt = new Map(input.varieties.map(({ id }, index) => [id, index]));
  const priceOf = new Map(garden.varieties.map(({ id, pricePerUnit }) => [id, pricePerUnit ?? UNTOLD_PRICE]));
  const weightOf = new Map(garden.orders.map(({ id, matters }) => [id, WEIGHTS[matters]]));
  const atHome = householdOrders(garden.varieties, today, end);
  for (const { id } of atHome) weightOf.set(id, WEIGHTS.usual);
  const demands = demandsOf(repeated([...garden.orders, ...atHome], end, all), today, all, noMarket);
  const alike = [
    ...groupBy(demands, ({ varietyId, day, orderId }) => `${varietyId}/${day}/${weightOf.get(orderId)!}`).values(),
  ];
  return {
    ...{ demands, priceOf },
    days: alike.map((own) => {
      const { varietyId, day } = own[0]!;
      return { varietyId, day, orderIds: own.map(({ orderId }) => orderId) };
    }),
    orders: alike.map((own): SeasonOrder => {
      const { varietyId, day, orderId } = own[0]!;
      const weight = weightOf.get(orderId)!;
      return {
        ...{ variety: varietyAt.get(varietyId)!, day: day - today, weight },
        units: own.reduce((sum, { wanted }) => sum + wanted, 0),
        valueEach: priceOf.get(varietyId)! - pickCost / weight,
      };
    }),
  };
}

function repeated(orders: readonly PlanOrder[], end: Day, all: Day): PlanOrder[] {
  return orders.map((order) =>
    order.to >= end - 7 && order.from < end ? { ...order, to: Math.max(order.to, all) } : order,
  );
}
