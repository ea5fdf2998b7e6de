import type { SeasonPlan, SeasonProblem } from "./problem";

/** What a plan, or a part of it, takes of each limit. */
export interface Usage {
  /** Of each area, by day. */
  readonly sites: readonly Float64Array[];
  readonly litres: Float64Array;
  /** By week. */
  readonly minutes: Float64Array;
  readonly stocks: Float64Array;
}

export function usageOf(problem: SeasonProblem, plan: SeasonPlan): Usage {
  const { days, areas, sowings, orders, stocks = [] } = problem;
  const sites = areas.map(() => new Float64Array(days + 1));
  const litres = new Float64Array(days + 1);
  const minutes = new Float64Array(Math.ceil(days / 7));
  const used = new Float64Array(stocks.length);
  const within = (day: number) => Math.min(days, Math.max(0, day));
  const over = (changes: Float64Array, from: number, to: number, amount: number) => {
    changes[within(from)]! += amount;
    changes[within(to)]! -= amount;
  };
  const work = (day: number, amount: number) => {
    if (day >= 0 && day < days) minutes[Math.floor(day / 7)]! += amount;
  };
  sowings.forEach((sowing, index) => {
    const units = plan.units[index]!;
    if (units === 0) return;
    for (const { area, from, to, leave, plants, litres: daily, stocks: own } of sowing.stays) {
      over(sites[area]!, from, to, units * plants);
      over(litres, from, leave ?? to, units * daily);
      own?.forEach((amount, at) => (used[at]! += units * amount * (within(leave ?? to) - within(from))));
    }
    for (const { day, minutes: each } of sowing.work) work(day, units * each);
  });
  for (const { sowing: index, lot, order, units } of plan.given) {
    const { held, lots, pickMinutesPerUnit } = sowings[index]!;
    const { day } = orders[order]!;
    work(day, units * pickMinutesPerUnit);
    if (!held || day <= lots[lot]!.from) continue;
    over(sites[held.area]!, lots[lot]!.from, day, units * held.plants);
    over(litres, lots[lot]!.from, day, units * held.litres);
  }
  return { sites: sites.map(summed), litres: summed(litres), minutes, stocks: used };
}

/** Changes from day to day as what there is on each day. */
function summed(changes: Float64Array): Float64Array {
  const totals = new Float64Array(changes.length - 1);
  let sum = 0;
  for (let day = 0; day < totals.length; day++) totals[day] = sum += changes[day]!;
  return totals;
}
