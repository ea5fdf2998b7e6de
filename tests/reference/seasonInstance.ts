import type { SeasonPlan, SeasonProblem, Sowing } from "../../src/core/batches/season/problem";

/** An instance of tests/reference/batches/season. */
export interface Instance {
  readonly name: string;
  readonly horizonDays: number;
  readonly pools: readonly { readonly id: string; readonly sites: number }[];
  readonly water: { readonly inflowLitresPerDay: readonly number[]; readonly maxLitres: number; readonly startLitres: number };
  readonly costs: { readonly wastePerPlant: number; readonly waterPerLitre: number };
  readonly labour: {
    readonly minutesPerWeek: readonly number[];
    readonly sowMinutesPerTray: number;
    readonly moveMinutesPerPlant: number;
    readonly pickMinutesPerPlant: number;
  } | null;
  readonly varieties: readonly {
    readonly id: string;
    readonly cellsPerTray: number;
    readonly costPerTray: number;
    readonly minTrays: number;
    readonly maxTrays: number;
    readonly holdWeeks: number;
    readonly stages: readonly { readonly pool: string; readonly survival: number; readonly litresPerPlantDay: number }[];
    readonly sowings: readonly { readonly day: number; readonly stageDays: readonly number[] }[];
    readonly orders: readonly {
      readonly day: number;
      readonly plants: number;
      readonly valueEach: number;
      readonly priorityWeight: number;
    }[];
  }[];
  readonly fixedBatches: readonly {
    readonly variety: string;
    readonly sowDay: number;
    readonly stageDays: readonly number[];
    readonly trays: number;
  }[];
  readonly reference: { readonly objective: number; readonly provenUpperBound: number };
}

/** An instance as the solver's own problem. */
export function problemOf(instance: Instance): SeasonProblem {
  const areaAt = new Map(instance.pools.map(({ id }, index) => [id, index]));
  const varietyAt = new Map(instance.varieties.map(({ id }, index) => [id, index]));
  const { labour } = instance;
  const sowing = (variety: number, day: number, stageDays: readonly number[], fixed: number | null): Sowing => {
    const { cellsPerTray, stages, holdWeeks, minTrays, maxTrays, costPerTray } = instance.varieties[variety]!;
    let [from, plants] = [day, cellsPerTray];
    const work = labour && fixed === null ? [{ day, minutes: labour.sowMinutesPerTray }] : [];
    const stays = stages.map(({ pool, survival, litresPerPlantDay }, index) => {
      const stay = { area: areaAt.get(pool)!, from, to: from + stageDays[index]!, plants, litres: plants * litresPerPlantDay };
      if (labour && index > 0) work.push({ day: from, minutes: plants * labour.moveMinutesPerPlant });
      from = stay.to;
      plants *= survival;
      return stay;
    });
    const last = stages.at(-1)!;
    return {
      ...{ variety, day, fixed, least: minTrays, most: maxTrays, cost: costPerTray, stays, work },
      lots: [{ from, until: from + 6 + 7 * holdWeeks, units: plants }],
      pickMinutesPerUnit: labour?.pickMinutesPerPlant ?? 0,
      held: { area: areaAt.get(last.pool)!, plants: 1, litres: last.litresPerPlantDay },
    };
  };
  return {
    days: instance.horizonDays,
    areas: instance.pools,
    water: {
      inflowL: instance.water.inflowLitresPerDay,
      mostL: instance.water.maxLitres,
      startL: instance.water.startLitres,
    },
    labourMinutes: labour?.minutesPerWeek ?? null,
    waterPricePerL: instance.costs.waterPerLitre,
    varieties: instance.varieties.map(({ id }) => ({ id, wastePerUnit: instance.costs.wastePerPlant })),
    sowings: [
      ...instance.fixedBatches.map(({ variety, sowDay, stageDays, trays }) =>
        sowing(varietyAt.get(variety)!, sowDay, stageDays, trays),
      ),
      ...instance.varieties.flatMap(({ sowings }, variety) =>
        sowings.map(({ day, stageDays }) => sowing(variety, day, stageDays, null)),
      ),
    ],
    orders: instance.varieties.flatMap(({ orders }, variety) =>
      orders.map(({ day, plants, valueEach, priorityWeight }) => ({
        ...{ variety, day, units: plants, valueEach, weight: priorityWeight },
      })),
    ),
  };
}

export interface InstancePlan {
  readonly trays: readonly { readonly variety: string; readonly sowDay: number; readonly trays: number }[];
  readonly allocations: readonly {
    readonly variety: string;
    readonly sowDay: number;
    readonly orderDay: number;
    readonly plants: number;
  }[];
}

/** A plan of an instance as a plan of the problem. */
export function planOf(instance: Instance, problem: SeasonProblem, plan: InstancePlan): SeasonPlan {
  const varietyAt = new Map(instance.varieties.map(({ id }, index) => [id, index]));
  const key = (variety: number, day: number) => `${variety}/${day}`;
  const sowingAt = new Map(problem.sowings.map(({ variety, day }, index) => [key(variety, day), index]));
  const orderAt = new Map(problem.orders.map(({ variety, day }, index) => [key(variety, day), index]));
  const units = problem.sowings.map(({ fixed }) => fixed ?? 0);
  for (const { variety, sowDay, trays } of plan.trays) units[sowingAt.get(key(varietyAt.get(variety)!, sowDay))!] = trays;
  return {
    units,
    given: plan.allocations.map(({ variety, sowDay, orderDay, plants }) => ({
      sowing: sowingAt.get(key(varietyAt.get(variety)!, sowDay))!,
      ...{ lot: 0, order: orderAt.get(key(varietyAt.get(variety)!, orderDay))!, units: plants },
    })),
  };
}
