import type { OpenProgram } from "../../numeric/warmProgram";
import { columnsOfPlan, seasonColumns, type SeasonColumns } from "./columns";
import { dive } from "./dive";
import { partOf, withPart } from "./part";
import type { SeasonPlan, SeasonProblem } from "./problem";
import { Relaxation } from "./relaxation";
import { usageOf } from "./usage";

/** Sowings that are freed at once: enough to trade among, few enough to be settled in a moment. */
const FREED = 30;
const MOST_VARIETIES = 4;
/** How far chance leads a dive from the nearest whole units, at the most. */
const MOST_LUCK = 0.6;

/** The best plan so far, with what it brings. */
export interface Best {
  readonly value: number;
  readonly plan: SeasonPlan;
}

/**
 * One try to make a plan better: some weeks of some varieties are freed, all else stands, and what was freed is settled anew
 * with a little luck.
 *
 * @returns a plan that is worth more, or null
 */
export function improveOnce(problem: SeasonProblem, open: OpenProgram, best: Best, chance: () => number): Best | null {
  const freed = freedSowings(problem, best, chance);
  if (freed.size === 0) return null;
  const part = partOf(problem, best.plan, usageOf(problem, best.plan), freed);
  const relaxation = new Relaxation(part.problem, open);
  try {
    const before = worthOfColumns(relaxation.columns, part.plan);
    const least = before + Math.max(1e-6, 1e-8 * Math.abs(best.value));
    const start = relaxation.tighten();
    if (!start || start.value <= least) return null;
    const left = part.problem.sowings.flatMap(({ fixed }, index) => (fixed === null ? [index] : []));
    const found = dive(relaxation, start, left, { luck: MOST_LUCK * chance(), chance, atLeast: least });
    if (!found) return null;
    return {
      value: best.value + found.value - before,
      plan: withPart(best.plan, part, relaxation.planOf(found)),
    };
  } finally {
    relaxation.free();
  }
}

/** What a plan brings, as the relaxation counts it. */
export function valueOf(problem: SeasonProblem, plan: SeasonPlan): number {
  return worthOfColumns(seasonColumns(problem), plan);
}

function worthOfColumns(columns: SeasonColumns, plan: SeasonPlan): number {
  const values = columnsOfPlan(columns, plan);
  return columns.worth.reduce((sum, worth, at) => sum + worth * values[at]!, 0);
}

/** Sowings of some varieties whose harvest falls near one day, as many as are freed at once; often near an order that misses something. */
function freedSowings({ sowings, varieties, orders, days }: SeasonProblem, { plan }: Best, chance: () => number) {
  const count = 1 + Math.floor(chance() * Math.min(MOST_VARIETIES, varieties.length));
  const chosen = new Set<number>();
  const missed = chance() < 0.5 ? missedOrders(orders, plan) : [];
  const order = missed[Math.floor(chance() * missed.length)];
  if (order) chosen.add(order.variety);
  while (chosen.size < (order ? Math.ceil(count / 2) : count)) chosen.add(Math.floor(chance() * varieties.length));
  const middle = order?.day ?? chance() * days;
  const near = sowings
    .flatMap(({ fixed, variety, lots, day }, index) => {
      if (fixed !== null || !chosen.has(variety)) return [];
      return [{ index, distance: Math.abs((lots[0]?.from ?? day) - middle) }];
    })
    .sort((a, b) => a.distance - b.distance)
    .slice(0, FREED);
  return new Set(near.map(({ index }) => index));
}

function missedOrders(orders: SeasonProblem["orders"], { given }: SeasonPlan) {
  const met = new Float64Array(orders.length);
  for (const { order, units } of given) met[order]! += units;
  return orders.filter(({ units }, index) => units - met[index]! > 1e-6);
}
