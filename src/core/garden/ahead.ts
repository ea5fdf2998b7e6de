import type { DeliveryState } from "../batches/deliveryStates";
import { standFlow } from "../place/standFlow";
import { requireDay, type Day } from "../units/day";
import { requireWhole } from "../units/range";
import type { Garden } from "./garden";
import type { HouseView } from "./placeView";
import type { Worked } from "./worked";

/** What a store holds, what is drawn today, and how many whole days that lasts without rain. */
export interface StoreInHand {
  readonly name: string;
  readonly storedL: number;
  readonly needLpd: number;
  /** null where nothing is drawn today. */
  readonly days: number | null;
}

/** The first store with the days that it lasts; null where there is none. @source stored ÷ drawn today, rounded down */
export function storeInHand({ garden, plan }: Worked): StoreInHand | null {
  const store = garden.stores[0];
  if (!store) return null;
  const needLpd = plan.needL[plan.today - plan.from] ?? 0;
  const days = needLpd > 0 ? Math.floor(store.storedL / needLpd + 1e-9) : null;
  return { name: store.name, storedL: store.storedL, needLpd, days };
}

/** What shortages are worked out from, for who reads that there are none. */
export interface Counted {
  /** Whether any batch is in the ground or still to come. */
  readonly isPlanned: boolean;
  /** Loops whose plants drink in the days ahead, and whose salts are not known: no recipe, or one without salts. */
  readonly loopsWithoutSalts: readonly string[];
  /** Whether plants drink in the days ahead that stand on no loop: that is counted as water without salts. */
  readonly byHand: boolean;
  /** Whether salts were counted for any plants. */
  readonly salted: boolean;
  /** Whether any plant drinks in the days ahead: else water was not counted. */
  readonly drinks: boolean;
}

export function countedInShortages({ garden, plan, feeds }: Worked): Counted {
  const drinks = (key: number | "hand") =>
    plan.needLByLoop
      .get(key)
      ?.subarray(plan.today - plan.from)
      .some((litres) => litres > 0) ?? false;
  const isFed = (loopId: number) => feeds.get(loopId)?.sheet.gPer1000L.some((grams) => grams > 0) ?? false;
  return {
    isPlanned: plan.batches.some(({ stays }) => stays.some(({ to }) => to > plan.today)),
    loopsWithoutSalts: garden.loops.filter(({ id }) => drinks(id) && !isFed(id)).map(({ name }) => name),
    byHand: drinks("hand"),
    salted: garden.loops.some(({ id }) => drinks(id) && isFed(id)),
    drinks: [...plan.needLByLoop.keys()].some(drinks),
  };
}

/** What one valve of each stand on a loop takes while it is open. */
export function banksOf(garden: Garden, loopId: number): { readonly name: string; readonly flowLph: number }[] {
  return garden.stands
    .filter((stand) => stand.loopId === loopId)
    .map((stand) => ({ name: stand.name, flow: standFlow(stand.spec) }))
    .filter(({ flow }) => flow.lineFlowLph > 0)
    .map(({ name, flow }) => ({
      name,
      flowLph: flow.lineFlowLph * Math.min(flow.feeds, Math.ceil(flow.linesPerValve / flow.linesPerRun)),
    }));
}

/** Batches of each variety that stand in the garden today, in the order of the varieties. */
export function growingByVariety({ garden, plan }: Worked): number[] {
  const growing = plan.batches.filter(({ stays, batch }) => stays[0]!.begun && batch.clearedDay === null);
  return garden.varieties.map(({ id }) => growing.filter(({ variety }) => variety.id === id).length);
}

/** How far the plan meets a standing order from today on. */
export interface OrderAhead {
  readonly orderId: number;
  readonly days: number;
  readonly missed: number;
  /** The first market day that is not met. */
  readonly first: { readonly day: Day; readonly state: DeliveryState } | null;
}

/** Every standing order with its market days ahead. */
export function ordersAhead({ garden, deliveries, today }: Worked): OrderAhead[] {
  return garden.orders.map(({ id }) => {
    const days = deliveries.filter((delivery) => delivery.orderId === id && delivery.day >= today);
    const missed = days.filter(({ state }) => state.kind !== "met");
    const first = missed[0];
    return {
      orderId: id,
      days: days.length,
      missed: missed.length,
      first: first ? { day: first.day, state: first.state } : null,
    };
  });
}

/** Sites of houses, and how many plants stand on them today. */
export function sitesOf(houses: readonly HouseView[]): { readonly sites: number; readonly planted: number } {
  const stands = houses.flatMap((house) => house.stands);
  return {
    sites: stands.reduce((sum, { counts }) => sum + counts.sites, 0),
    planted: stands.reduce((sum, { planted }) => sum + planted, 0),
  };
}

/** Days shown before today where no first day is asked for. */
const DAYS_BEFORE_TODAY = 24;

/** The window of so many weeks on a plan: from the day asked for, moved so that it lies within the plan. */
export function weeksOf(
  plan: { readonly from: Day; readonly to: Day; readonly today: Day },
  weeks: number,
  asked: Day | null,
): { readonly from: Day; readonly to: Day } {
  requireWhole("weeksOf", "weeks", weeks, 1, 520);
  for (const [name, day] of Object.entries({ from: plan.from, to: plan.to, today: plan.today, asked }))
    if (day !== null) requireDay("weeksOf", name, day);
  const days = 7 * weeks;
  const from = Math.min(plan.to - days, Math.max(plan.from, asked ?? plan.today - DAYS_BEFORE_TODAY));
  return { from, to: from + days };
}
