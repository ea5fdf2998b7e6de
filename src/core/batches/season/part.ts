import type { SeasonColumns } from "./columns";
import type { Given, SeasonPlan, SeasonProblem, Sowing } from "./problem";
import { usageOf, type Usage } from "./usage";

/** A part of a season as a problem of its own: some sowings and the orders that they can serve, with what all else leaves. */
export interface Part {
  readonly problem: SeasonProblem;
  /** Its part of the plan that it was taken from. */
  readonly plan: SeasonPlan;
  /** Places of its sowings and orders in the whole problem. */
  readonly sowings: readonly number[];
  readonly orders: readonly number[];
}

/**
 * Some sowings of a season that are open, with the orders that they can serve. Other planned sowings that can serve these
 * orders stand, and what they give to them is settled anew.
 *
 * @param columns of the whole problem
 * @param whole what the whole plan takes
 */
export function partOf(
  problem: SeasonProblem,
  { giftsOf, giftsTo }: SeasonColumns,
  plan: SeasonPlan,
  whole: Usage,
  open: ReadonlySet<number>,
): Part {
  const orders = inOrder([...open].flatMap((sowing) => giftsOf[sowing]!.map(({ order }) => order)));
  const serving = orders.flatMap((order) => giftsTo[order]!.map(({ sowing }) => sowing));
  const sowings = inOrder([...open, ...serving.filter((sowing) => plan.units[sowing]! > 0)]);
  const sowingAt = new Map(sowings.map((index, at) => [index, at]));
  const orderAt = new Map(orders.map((index, at) => [index, at]));
  const elsewhere = sowings.map((index) => problem.sowings[index]!.lots.map(() => 0));
  const given: Given[] = [];
  for (const gift of plan.given) {
    const [sowing, order] = [sowingAt.get(gift.sowing), orderAt.get(gift.order)];
    if (order !== undefined) given.push({ ...gift, sowing: sowing!, order });
    else if (sowing !== undefined) elsewhere[sowing]![gift.lot]! += gift.units;
  }
  const own = {
    ...problem,
    sowings: sowings.map((index, at) => {
      const sowing = problem.sowings[index]!;
      return open.has(index) ? sowing : standing(sowing, plan.units[index]!, elsewhere[at]!);
    }),
    orders: orders.map((index) => problem.orders[index]!),
  };
  const ownPlan = { units: sowings.map((index) => plan.units[index]!), given };
  return { problem: { ...own, ...limitsLeft(problem, whole, usageOf(own, ownPlan)) }, plan: ownPlan, sowings, orders };
}

const inOrder = (places: readonly number[]) => [...new Set(places)].sort((a, b) => a - b);

/** A sowing that stands: its sites, water and work are counted with all else, and so is what it gives elsewhere. */
function standing(sowing: Sowing, units: number, elsewhere: readonly number[]): Sowing {
  return {
    ...sowing,
    ...{ fixed: units, stays: [], work: [] },
    lots: sowing.lots.map((lot, at) => ({ ...lot, units: Math.max(0, lot.units - elsewhere[at]! / units) })),
  };
}

/** What all else leaves of each limit. Rounding must not make the plan as it is too large for its own room. */
function limitsLeft(problem: SeasonProblem, whole: Usage, own: Usage) {
  const { areas, water, labourMinutes, stocks } = problem;
  return {
    areas: areas.map(({ id, sites }, area) => ({
      id,
      sites: Array.from(own.sites[area]!, (mine, day) =>
        Math.max(mine, (typeof sites === "number" ? sites : sites[day]!) - (whole.sites[area]![day]! - mine)),
      ),
    })),
    water: water && waterLeft(water, (day) => whole.litres[day]! - own.litres[day]!),
    labourMinutes:
      labourMinutes &&
      labourMinutes.map((most, week) =>
        Math.max(own.minutes[week]!, most - (whole.minutes[week]! - own.minutes[week]!)),
      ),
    ...(stocks && {
      stocks: stocks.map(({ id, amount }, at) => ({
        id,
        amount: Math.max(own.stocks[at]!, amount - (whole.stocks[at]! - own.stocks[at]!)),
      })),
    }),
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
  plan: SeasonPlan,
  { sowings, orders }: Pick<Part, "sowings" | "orders">,
  part: SeasonPlan,
): SeasonPlan {
  const units = [...plan.units];
  sowings.forEach((index, at) => (units[index] = part.units[at]!));
  const settled = new Set(orders);
  return {
    units,
    given: [
      ...plan.given.filter(({ order }) => !settled.has(order)),
      ...part.given.map((gift) => ({ ...gift, sowing: sowings[gift.sowing]!, order: orders[gift.order]! })),
    ],
  };
}
