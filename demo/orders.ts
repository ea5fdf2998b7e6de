import { civilDate, dayFromIso, isoFromDay, nextWeekday, type Day } from "../src/core/units/day";
import type { Db } from "../src/server/db/pool";
import { saveRow } from "../src/server/db/save";
import growth from "./growth.json" with { type: "json" };
import { idsOf } from "./idsOf";
import type { Ids } from "./load";

/** Orders begin this long ago and run as far as the plan looks ahead. */
const ORDERS_FROM = -84;
const ORDERS_TO = 426;

/** What the season is solved by, and a Saturday without a market. */
export async function loadSeason(db: Db, gardenId: number, day: Day) {
  await saveRow(db, "season", gardenId, null, { horizon_days: 182 });
  const saturday = nextWeekday(day + 45, 6);
  await saveRow(db, "closed_day", gardenId, null, {
    ...{ day: isoFromDay(saturday), kind: "no-market", note: "the quay is closed" },
  });
}

export async function loadOrders(db: Db, ids: Ids, day: Day) {
  const customer = await idsOf(
    growth.customers.map((name) => ({ name })),
    (entry) => saveRow(db, "customer", ids.garden, null, entry),
  );
  for (const order of growth.orders)
    for (const [from, to] of orderSpans(day, "months" in order ? order.months : undefined))
      await saveRow(db, "order_line", ids.garden, null, {
        customer_id: customer.get(order.customer),
        variety_id: ids.variety.get(order.variety),
        weekday: order.weekday,
        quantity: order.quantity,
        from_day: isoFromDay(from),
        to_day: isoFromDay(to),
      });
}

/** The whole span, or the part of each year from the first to the last month named. */
function orderSpans(day: Day, months?: readonly number[]): [Day, Day][] {
  const [from, to] = [day + ORDERS_FROM, day + ORDERS_TO];
  if (!months) return [[from, to]];
  const [first, last] = months as [number, number];
  const years = [-1, 0, 1].map((offset) => civilDate(day).year + offset);
  return years
    .map((year): [Day, Day] => [
      Math.max(from, dayFromIso(`${year}-${String(first).padStart(2, "0")}-01`)),
      Math.min(
        to,
        dayFromIso(last === 12 ? `${year + 1}-01-01` : `${year}-${String(last + 1).padStart(2, "0")}-01`) - 1,
      ),
    ])
    .filter(([a, b]) => a <= b);
}
