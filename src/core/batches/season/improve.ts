import type { OpenProgram } from "../../numeric/warmProgram";
import { columnsOfPlan, seasonColumns, type SeasonColumns } from "./columns";
import { dive } from "./dive";
import { partOf, withPart } from "./part";
import type { SeasonPlan, SeasonProblem } from "./problem";
import { Relaxation } from "./relaxation";
import { usageOf, type Usage } from "./usage";

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

/** An order that is not met in full, with the money that it misses. */
type Missed = SeasonProblem["orders"][number] & { readonly short: number };

/** A season of which the plan is made better. */
interface Improving {
  readonly problem: SeasonProblem;
  readonly columns: SeasonColumns;
  readonly best: Best;
  readonly openOf: readonly (readonly { readonly sowing: number; readonly day: number }[])[];
  /** What the best plan takes, and orders that it does not meet in full. */
  readonly used: Usage;
  readonly missed: readonly Missed[];
}

/**
 * One try to make a plan better: some weeks of some varieties are freed, all else stands, and what was freed is settled anew
 * with a little luck.
 *
 * @returns a plan that is worth more, or null
 */
function improveOnce(improving: Improving, open: OpenProgram, chance: () => number): Best | null {
  const { problem, columns, best, used } = improving;
  const freed = freedSowings(improving, chance);
  if (freed.size === 0) return null;
  const part = partOf(problem, columns, best.plan, used, freed);
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

/** When improving ends. */
export interface ImprovingWish {
  readonly open: OpenProgram;
  readonly chance: () => number;
  /** Tries without success after which no more is hoped for. */
  readonly tries: number;
  readonly isGood: (best: Best) => boolean;
  /** Told after each try, with a plan where it is new. */
  readonly look: (best: Best, plan: SeasonPlan | null) => "enough" | void;
}

/** Makes a plan better until it is good enough, whoever looks has enough, or one try after the other fails. */
export function improvePlan(problem: SeasonProblem, from: Best, { open, chance, tries, isGood, look }: ImprovingWish) {
  const whole = { problem, columns: seasonColumns(problem), openOf: openSowings(problem) };
  const about = (best: Best): Improving => ({
    ...{ ...whole, best },
    used: usageOf(problem, best.plan),
    missed: missedOrders(problem, best.plan),
  });
  let now = about(from);
  for (let left = tries; left > 0 && !isGood(now.best); left--) {
    const better = improveOnce(now, open, chance);
    if (better) {
      now = about(better);
      left = tries;
    }
    if (look(now.best, better?.plan ?? null) === "enough") break;
  }
  return now.best;
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
function freedSowings({ problem: { varieties, days }, openOf, missed }: Improving, chance: () => number) {
  const count = 1 + Math.floor(chance() * Math.min(MOST_VARIETIES, varieties.length));
  const chosen = new Set<number>();
  const order = chance() < 0.5 ? drawn(missed, chance) : undefined;
  if (order) chosen.add(order.variety);
  while (chosen.size < (order ? Math.ceil(count / 2) : count)) chosen.add(Math.floor(chance() * varieties.length));
  const middle = order?.day ?? chance() * days;
  const near = [...chosen]
    .flatMap((variety) => openOf[variety]!)
    .map(({ sowing, day }) => ({ sowing, distance: Math.abs(day - middle) }))
    .sort((a, b) => a.distance - b.distance);
  return new Set(near.slice(0, FREED).map(({ sowing }) => sowing));
}

/** Sowings of each variety that are open, with their first day of harvest. */
function openSowings({ sowings, varieties }: SeasonProblem): Improving["openOf"] {
  const found: { sowing: number; day: number }[][] = varieties.map(() => []);
  sowings.forEach(({ fixed, variety, lots, day }, sowing) => {
    if (fixed === null) found[variety]!.push({ sowing, day: lots[0]?.from ?? day });
  });
  return found;
}

function missedOrders({ orders }: SeasonProblem, { given }: SeasonPlan): Missed[] {
  const met = new Float64Array(orders.length);
  for (const { order, units } of given) met[order]! += units;
  return orders.flatMap((order, index): Missed[] => {
    const short = order.units - met[index]!;
    return short > 1e-6 ? [{ ...order, short: short * order.valueEach * order.weight }] : [];
  });
}

/** One of the orders that miss something; the more it misses the likelier. */
function drawn(missed: readonly Missed[], chance: () => number): Missed | undefined {
  let luck = chance() * missed.reduce((sum, { short }) => sum + short, 0);
  return missed.find(({ short }) => (luck -= short) < 0);
}
