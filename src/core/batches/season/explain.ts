import type { Limit } from "./limitRows";
import type { SeasonPlan, SeasonProblem, Sowing } from "./problem";
import { usageOf, type Usage } from "./usage";

/** What one more sowing would take over: of a limit, so much is free and so much is needed on its worst day. */
export interface Short {
  readonly limit: Limit;
  readonly free: number;
  readonly needed: number;
}

/** Why an order is not met in full. */
export type UnmetWhy =
  /** No sowing that may still be made is ready on its day. */
  | { readonly kind: "no-sowing" }
  /** The sowing that comes nearest would take more than there is. */
  | { readonly kind: "limits"; readonly sowing: number; readonly limits: readonly Short[] }
  /** There would be room; what it costs is more than it brings. */
  | { readonly kind: "cost" }
  /** There would be room, and it would pay: it is within the gap that was left open. */
  | { readonly kind: "gap" };

export interface Unmet {
  readonly order: number;
  readonly wanted: number;
  readonly given: number;
  readonly why: UnmetWhy;
}

const DUST = 1e-4;

/**
 * For each order that a plan does not meet in full, what keeps it from being met: the limits that the nearest further sowing
 * would break, found by walking them with it.
 *
 * @param plan that keeps the limits
 * @returns in the order of the problem's orders
 * @source each limit walked day by day, as in checkPlan
 */
export function explainPlan(problem: SeasonProblem, plan: SeasonPlan): Unmet[] {
  const given = problem.orders.map(() => 0);
  for (const { order, units } of plan.given) given[order]! += units;
  const used = usageOf(problem, plan);
  return problem.orders.flatMap(({ units }, order): Unmet[] => {
    const missing = units - given[order]!;
    if (missing <= Math.max(DUST, units * DUST)) return [];
    return [{ order, wanted: units, given: given[order]!, why: whyUnmet(problem, plan, used, order, missing) }];
  });
}

function whyUnmet(problem: SeasonProblem, plan: SeasonPlan, used: Usage, order: number, missing: number): UnmetWhy {
  const { day, variety, valueEach, weight } = problem.orders[order]!;
  const tries = problem.sowings.flatMap((sowing, index) => {
    const lot = sowing.lots.find(({ from, until, units }) => day >= from && day <= until && units > 0);
    if (sowing.variety !== variety || sowing.fixed !== null || !lot) return [];
    const now = plan.units[index]!;
    const wished = Math.max(now > 0 ? 1 : sowing.least, Math.ceil(missing / lot.units - 1e-9));
    const more = Math.min(wished, Math.floor(sowing.most - now + 1e-9));
    return more < 1 ? [] : [{ index, more, lot, limits: shortOf(problem, used, sowing, more, day) }];
  });
  if (tries.length === 0) {
    const isWhole = problem.sowings.some(
      ({ variety: own, fixed, lots }) =>
        own === variety && fixed === null && lots.some(({ from, until }) => day >= from && day <= until),
    );
    return { kind: isWhole ? "gap" : "no-sowing" };
  }
  const nearest = tries.reduce((best, one) => (lack(one.limits) < lack(best.limits) ? one : best));
  if (nearest.limits.length > 0) return { kind: "limits", sowing: nearest.index, limits: nearest.limits };
  const pays = tries.some(({ index, more, lot, limits }) => {
    const taken = Math.min(missing, more * lot.units);
    return limits.length === 0 && taken * valueEach * weight > more * problem.sowings[index]!.cost;
  });
  return { kind: pays ? "gap" : "cost" };
}

/** How much is lacking, as shares of what is needed. */
const lack = (limits: readonly Short[]) =>
  limits.reduce((sum, { free, needed }) => sum + 1 + (needed - free) / needed, 0);

/** The limits that so many more units of a sowing would break. @param day on which they are picked */
function shortOf(problem: SeasonProblem, used: Usage, sowing: Sowing, more: number, day: number): Short[] {
  return [
    ...shortSites(problem, used, sowing, more),
    ...shortLabour(problem, used, sowing, more, day),
    ...shortStocks(problem, used, sowing, more),
    ...shortWater(problem, used, sowing, more),
  ];
}

function shortSites({ areas, days }: SeasonProblem, used: Usage, { stays }: Sowing, more: number): Short[] {
  return stays.flatMap(({ area, from, to, plants }): Short[] => {
    const { sites } = areas[area]!;
    const needed = more * plants;
    let [first, last, free] = [-1, -1, Infinity];
    for (let day = Math.max(0, from); day < Math.min(days, to); day++) {
      const left = (typeof sites === "number" ? sites : sites[day]!) - used.sites[area]![day]!;
      if (left >= needed - DUST) continue;
      if (first < 0) first = day;
      last = day;
      free = Math.min(free, left);
    }
    if (first < 0) return [];
    return [{ limit: { kind: "sites", area, from: first, to: last + 1 }, free: Math.max(0, free), needed }];
  });
}

function shortLabour(
  { labourMinutes }: SeasonProblem,
  used: Usage,
  sowing: Sowing,
  more: number,
  day: number,
): Short[] {
  if (!labourMinutes) return [];
  const weeks = new Map<number, number>();
  const add = (at: number, minutes: number) => {
    if (at >= 0) weeks.set(Math.floor(at / 7), (weeks.get(Math.floor(at / 7)) ?? 0) + minutes);
  };
  for (const one of sowing.work) add(one.day, one.minutes * more);
  const units = sowing.lots[0]?.units ?? 0;
  add(day, more * units * sowing.pickMinutesPerUnit);
  return [...weeks].flatMap(([week, needed]): Short[] => {
    const free = (labourMinutes[week] ?? Infinity) - (used.minutes[week] ?? 0);
    return free < needed - DUST ? [{ limit: { kind: "labour", week }, free: Math.max(0, free), needed }] : [];
  });
}

function shortStocks({ stocks = [], days }: SeasonProblem, used: Usage, { stays }: Sowing, more: number): Short[] {
  return stocks.flatMap(({ amount }, stock): Short[] => {
    const needed = stays.reduce((sum, { from, to, leave, stocks: own }) => {
      const there = Math.min(days, leave ?? to) - Math.max(0, from);
      return sum + more * (own?.[stock] ?? 0) * Math.max(0, there);
    }, 0);
    const free = amount - used.stocks[stock]!;
    return needed > 0 && free < needed - DUST
      ? [{ limit: { kind: "stock", stock }, free: Math.max(0, free), needed }]
      : [];
  });
}

/** The store walked with it: the first run of days, from when it was last full, on which it would run dry. */
function shortWater({ water, days }: SeasonProblem, used: Usage, { stays }: Sowing, more: number): Short[] {
  if (!water) return [];
  const extra = new Float64Array(days);
  for (const { from, to, leave, litres } of stays)
    for (let day = Math.max(0, from); day < Math.min(days, leave ?? to); day++) extra[day]! += more * litres;
  let [stored, since] = [water.startL, 0];
  for (let day = 0; day < days; day++) {
    if (stored >= water.mostL - 1e-9 && day > 0) since = day;
    const drawn = Math.max(0, used.litres[day]! + extra[day]! - (water.dailyL?.[day] ?? 0));
    const left = stored + water.inflowL[day]! - drawn;
    if (left < -DUST) {
      const needed = extra.subarray(since, day + 1).reduce((sum, litres) => sum + litres, 0);
      return [
        {
          limit: { kind: "water", from: since, to: day + 1, days: day + 1 - since },
          free: Math.max(0, needed + left),
          needed,
        },
      ];
    }
    stored = Math.min(water.mostL, left);
  }
  return [];
}
