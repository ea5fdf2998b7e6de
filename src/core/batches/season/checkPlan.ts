import type { SeasonPlan, SeasonProblem } from "./problem";

/** A limit that a plan breaks, by how much. */
export interface Broken {
  readonly kind: "sites" | "water" | "labour" | "stock" | "order" | "lot" | "window" | "variety" | "units";
  readonly what: string;
  readonly day: number | null;
  readonly over: number;
}

export interface CheckedPlan {
  readonly broken: readonly Broken[];
  readonly money: {
    readonly orders: number;
    readonly sowing: number;
    readonly waste: number;
    readonly water: number;
    readonly total: number;
  };
  readonly unitsGiven: number;
  readonly unitsWasted: number;
}

const DUST = 1e-5;

/**
 * Walks a plan day by day and works its money out, knowing nothing of how it was found.
 *
 * @returns every limit that it breaks, and what it brings: value of what is given × weight − sowing − waste − water
 * @source the definition of the problem; tests/reference/batches/season
 */
export function checkPlan(problem: SeasonProblem, plan: SeasonPlan): CheckedPlan {
  const { days, areas, sowings, orders, varieties } = problem;
  const broken: Broken[] = [];
  const say = (kind: Broken["kind"], what: string, day: number | null, over: number) => {
    if (over > DUST) broken.push({ kind, what, day, over });
  };
  const plants = areas.map(() => new Float64Array(days));
  const litres = new Float64Array(days);
  const minutes = new Float64Array(Math.ceil(days / 7));
  const stocks = (problem.stocks ?? []).map(() => 0);
  const over = (from: number, to: number, each: (day: number) => void) => {
    for (let day = Math.max(0, from); day < Math.min(days, to); day++) each(day);
  };
  const work = (day: number, amount: number) => {
    if (day >= 0 && day < days) minutes[Math.floor(day / 7)]! += amount;
  };
  let sowingCost = 0;
  sowings.forEach((sowing, index) => {
    const units = plan.units[index]!;
    if (sowing.fixed !== null) say("units", `sowing ${index}`, sowing.day, Math.abs(units - sowing.fixed));
    else {
      say("units", `sowing ${index}`, sowing.day, Math.abs(units - Math.round(units)));
      if (units > DUST)
        say("units", `sowing ${index}`, sowing.day, Math.max(sowing.least - units, units - sowing.most));
      say("units", `sowing ${index}`, sowing.day, -units);
      sowingCost += sowing.cost * units;
    }
    for (const stay of sowing.stays) {
      over(stay.from, stay.to, (day) => (plants[stay.area]![day]! += units * stay.plants));
      over(stay.from, stay.leave ?? stay.to, (day) => {
        litres[day]! += units * stay.litres;
        stay.stocks?.forEach((amount, at) => (stocks[at]! += units * amount));
      });
    }
    for (const { day, minutes: each } of sowing.work) work(day, units * each);
  });
  const takenOf = sowings.map(({ lots }) => lots.map(() => 0));
  const met = orders.map(() => 0);
  let value = 0;
  for (const { sowing: index, lot: at, order: to, units } of plan.given) {
    const [sowing, order] = [sowings[index]!, orders[to]!];
    const lot = sowing.lots[at]!;
    say("units", `given of sowing ${index}`, order.day, -units);
    if (sowing.variety !== order.variety) say("variety", `order ${to}`, order.day, units);
    if (order.day < lot.from || order.day > lot.until) say("window", `order ${to}`, order.day, units);
    takenOf[index]![at]! += units;
    met[to]! += units;
    value += units * order.valueEach * order.weight;
    work(order.day, units * sowing.pickMinutesPerUnit);
    const { held } = sowing;
    if (held)
      over(lot.from, order.day, (day) => {
        plants[held.area]![day]! += units * held.plants;
        litres[day]! += units * held.litres;
      });
  }
  let [waste, wasted, given] = [0, 0, 0];
  sowings.forEach((sowing, index) =>
    sowing.lots.forEach(({ units }, at) => {
      const all = units * plan.units[index]!;
      const taken = takenOf[index]![at]!;
      say("lot", `sowing ${index}`, sowing.lots[at]!.from, taken - all);
      given += taken;
      wasted += all - taken;
      waste += (all - taken) * varieties[sowing.variety]!.wastePerUnit;
    }),
  );
  orders.forEach(({ units, day }, index) => say("order", `order ${index}`, day, met[index]! - units));
  areas.forEach(({ id, sites }, index) =>
    plants[index]!.forEach((count, day) =>
      say("sites", id, day, count - (typeof sites === "number" ? sites : sites[day]!)),
    ),
  );
  if (problem.labourMinutes)
    minutes.forEach((amount, week) => say("labour", "hours", 7 * week, amount - problem.labourMinutes![week]!));
  problem.stocks?.forEach(({ id, amount }, at) => say("stock", id, null, stocks[at]! - amount));
  if (problem.water) {
    let stored = problem.water.startL;
    for (let day = 0; day < days; day++) {
      const there = stored + problem.water.inflowL[day]!;
      const wanted = Math.max(0, litres[day]! - (problem.water.dailyL?.[day] ?? 0));
      say("water", "water", day, wanted - there);
      stored = Math.max(0, Math.min(problem.water.mostL, there - wanted));
    }
  }
  const water = litres.reduce((sum, one) => sum + one, 0) * problem.waterPricePerL;
  const total = value - sowingCost - waste - water;
  return {
    ...{ broken, unitsGiven: given, unitsWasted: wasted },
    money: { orders: value, sowing: sowingCost, waste, water, total },
  };
}
