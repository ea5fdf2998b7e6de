import type { SeasonPlan, SeasonProblem, Sowing } from "./problem";
import { usageOf, type Usage } from "./usage";

/** A part of a season as a problem of its own: some varieties, with what the others leave of each limit. */
export interface Part {
  readonly problem: SeasonProblem;
  /** Its part of the plan that it was taken from. */
  readonly plan: SeasonPlan;
  /** Places of its sowings and orders in the whole problem. */
  readonly sowings: readonly number[];
  readonly orders: readonly number[];
}

/**
 * Some varieties of a season, of which some sowings are open and all others stand as they are planned.
 *
 * @param whole what the whole plan takes
 */
export function partOf(
  problem: SeasonProblem,
  plan: SeasonPlan,
  whole: Usage,
  varieties: ReadonlySet<number>,
  open: ReadonlySet<number>,
): Part {
  const isOwn = (sowing: number) => varieties.has(problem.sowings[sowing]!.variety);
  const sowings = problem.sowings.flatMap((_, index) =>
    isOwn(index) && (open.has(index) || plan.units[index]! > 0) ? [index] : [],
  );
  const orders = problem.orders.flatMap(({ variety }, index) => (varieties.has(variety) ? [index] : []));
  const sowingAt = new Map(sowings.map((index, at) => [index, at]));
  const orderAt = new Map(orders.map((index, at) => [index, at]));
  const own = usageOf(problem, plan, isOwn);
  return {
    problem: {
      ...problem,
      // Rounding must not make the plan as it is too large for its own room.
      areas: problem.areas.map(({ id, sites }, area) => ({
        id,
        sites: Array.from(own.sites[area]!, (mine, day) =>
          Math.max(mine, (typeof sites === "number" ? sites : sites[day]!) - (whole.sites[area]![day]! - mine)),
        ),
      })),
      water: problem.water && waterLeft(problem.water, (day) => whole.litres[day]! - own.litres[day]!),
      labourMinutes:
        problem.labourMinutes &&
        problem.labourMinutes.map((most, week) =>
          Math.max(own.minutes[week]!, most - (whole.minutes[week]! - own.minutes[week]!)),
        ),
      ...(problem.stocks && {
        stocks: problem.stocks.map(({ id, amount }, at) => ({
          id,
          amount: Math.max(own.stocks[at]!, amount - (whole.stocks[at]! - own.stocks[at]!)),
        })),
      }),
      sowings: sowings.map((index): Sowing => {
        const sowing = problem.sowings[index]!;
        return open.has(index) ? sowing : { ...sowing, fixed: plan.units[index]! };
      }),
      orders: orders.map((index) => problem.orders[index]!),
    },
    plan: {
      units: sowings.map((index) => plan.units[index]!),
      given: plan.given.flatMap((gift) =>
        isOwn(gift.sowing) ? [{ ...gift, sowing: sowingAt.get(gift.sowing)!, order: orderAt.get(gift.order)! }] : [],
      ),
    },
    ...{ sowings, orders },
  };
}

/** What others leave of the water: they drink what comes daily first. */
function waterLeft(
  water: NonNullable<SeasonProblem["water"]>,
  others: (day: number) => number,
): NonNullable<SeasonProblem["water"]> {
  const net = water.inflowL.map((_, day) => (water.dailyL?.[day] ?? 0) - others(day));
  return {
    ...water,
    ...(water.dailyL && { dailyL: net.map((litres) => Math.max(0, litres)) }),
    inflowL: water.inflowL.map((inflow, day) => inflow + (water.dailyL ? Math.min(0, net[day]!) : net[day]!)),
  };
}

/** The whole plan with a part of it replaced. */
export function withPart(
  { sowings: all }: SeasonProblem,
  plan: SeasonPlan,
  { sowings, orders }: Pick<Part, "sowings" | "orders">,
  part: SeasonPlan,
  varieties: ReadonlySet<number>,
): SeasonPlan {
  const units = [...plan.units];
  sowings.forEach((index, at) => (units[index] = part.units[at]!));
  return {
    units,
    given: [
      ...plan.given.filter(({ sowing }) => !varieties.has(all[sowing]!.variety)),
      ...part.given.map((gift) => ({ ...gift, sowing: sowings[gift.sowing]!, order: orders[gift.order]! })),
    ],
  };
}
