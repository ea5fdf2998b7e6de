import { requireRange } from "../units/range";
import { requireDay, type Day } from "../units/day";
import type { SupplyHorizon } from "../water/supply";
import type { Plan } from "./plan";
import type { PlanGrowingArea } from "./types";

/** Something that runs short: what, when first, and by how much on that day (salts: from then to the plan's end). */
export interface Shortage {
  readonly kind: "water" | "sites" | "salt";
  /** Of the growing area or the salt; water is one for the garden. */
  readonly id: number | null;
  readonly name: string;
  readonly day: Day;
  readonly amount: number;
  readonly dimension: "volume" | "count" | "mass";
  /** Of a salt: the last day on which an order still comes in time. */
  readonly orderBy?: Day;
}

/** A salt on the shelf and in the stock tanks, and how many grams of it a litre of each loop's feed takes. */
export interface SaltStore {
  readonly id: number;
  readonly name: string;
  readonly onHandG: number;
  /** From the order to the shelf. */
  readonly leadDays: number;
  readonly gPerLByLoop: ReadonlyMap<number, number>;
}

export interface SaltUse {
  readonly salt: SaltStore;
  /** Grams used from today to the end of the plan. */
  readonly wantedG: number;
  /** The first day that is not covered, what is missing until the plan ends, and the last day to order. */
  readonly firstShort: { readonly day: Day; readonly grams: number; readonly orderBy: Day } | null;
}

/**
 * The last day on which an order comes before the shelf is empty.
 *
 * @source today + whole days covered − lead time; tests/reference/feed/stocks.json, "order-by date"
 * @example orderByDay(140, 10) // 130
 */
export function orderByDay(firstShortDay: Day, leadDays: number): Day {
  requireDay("orderByDay", "firstShortDay", firstShortDay);
  requireRange("orderByDay", "leadDays", leadDays, 0, 365);
  return firstShortDay - leadDays;
}

/** Grams of each salt that the plan takes from today on, and the first day the shelf is empty. */
export function saltUse(plan: Plan, salts: readonly SaltStore[]): SaltUse[] {
  for (const { onHandG, leadDays, gPerLByLoop } of salts) {
    requireRange("saltUse", "onHandG", onHandG, 0);
    requireRange("saltUse", "leadDays", leadDays, 0, 365);
    for (const gPerL of gPerLByLoop.values()) requireRange("saltUse", "gPerLByLoop", gPerL, 0, 1000);
  }
  return salts.map((salt) => {
    const needs = [...salt.gPerLByLoop].flatMap(([loopId, gPerL]) => {
      const litres = plan.needLByLoop.get(loopId);
      return litres ? [{ gPerL, litres }] : [];
    });
    let wantedG = 0;
    let firstDay: Day | null = null;
    for (let day = plan.today; day < plan.to; day++) {
      for (const { gPerL, litres } of needs) wantedG += gPerL * litres[day - plan.from]!;
      if (wantedG > salt.onHandG + 1e-6) firstDay ??= day;
    }
    return {
      salt,
      wantedG,
      firstShort:
        firstDay === null
          ? null
          : { day: firstDay, grams: wantedG - salt.onHandG, orderBy: orderByDay(firstDay, salt.leadDays) },
    };
  });
}

/**
 * Everything that runs short from today on, first day first: the same facts wherever they are shown.
 * @param supply of the days from `plan.today`
 */
export function shortages(
  plan: Plan,
  growingAreas: readonly PlanGrowingArea[],
  supply: SupplyHorizon,
  salts: readonly SaltUse[],
): Shortage[] {
  const found: Shortage[] = [];
  if (supply.firstShort)
    found.push({
      kind: "water",
      id: null,
      name: "Water",
      day: supply.firstShort.day,
      amount: supply.firstShort.litres,
      dimension: "volume",
    });
  for (const growingArea of plan.growingAreas) {
    const name = growingAreas.find((candidate) => candidate.id === growingArea.growingAreaId)?.name ?? "";
    for (let day = plan.today; day < plan.to; day++) {
      const over = growingArea.plants[day - plan.from]! + growingArea.blocked[day - plan.from]! - growingArea.sites;
      if (over <= 0) continue;
      found.push({ kind: "sites", id: growingArea.growingAreaId, name, day, amount: over, dimension: "count" });
      break;
    }
  }
  for (const { salt, firstShort } of salts)
    if (firstShort)
      found.push({
        kind: "salt",
        id: salt.id,
        name: salt.name,
        day: firstShort.day,
        amount: firstShort.grams,
        dimension: "mass",
        orderBy: firstShort.orderBy,
      });
  return found.sort((a, b) => a.day - b.day);
}
