import { Lots } from "../../batches/lots";
import type { WorkedBatch } from "../../batches/plan";
import { needPerMmL } from "../../batches/plantNeed";
import type { Sowing } from "../../batches/season/problem";
import { addLotsOf, lastDay } from "../../batches/timeline";
import type { PlanInput, PlanVariety } from "../../batches/types";
import type { Day } from "../../units/day";
import type { SeasonSettings } from "../garden";
import type { OptionsOf } from "./sowingOptions";
import type { SupplyPrices } from "./supplyPrices";

/** What a plant of a stage takes of the water and the stocks a day, on the mean of the days of a stay. */
type Drinks = (variety: PlanVariety, ...stay: Parameters<OptionsOf["litresOn"]>) => ReturnType<OptionsOf["litresOn"]>;

/**
 * Litres a day that a plant of a stage takes from its loops over some days, on the mean; with what drains and what was
 * learned, and what both water and salts cost.
 */
export function drinking(
  input: PlanInput,
  gPerL: readonly ReadonlyMap<number, number>[],
  { waterOn, saltsByLoop }: SupplyPrices,
): Drinks {
  const areas = new Map(
    input.growingAreas.map(({ id, loops }) => {
      const parts = loops.map(({ loopId, share }) => {
        const drained = loopId === null ? 0 : (input.drainShareByLoop[loopId] ?? 0);
        const factor = loopId === null ? 1 : (input.needFactorByLoop?.[loopId] ?? 1);
        return { loopId, times: (share * factor) / (1 - drained) };
      });
      const times = parts.reduce((sum, part) => sum + part.times, 0);
      const inFeed = (perL: ReadonlyMap<number, number>) =>
        parts.reduce((sum, { loopId, times: part }) => sum + part * (loopId === null ? 0 : (perL.get(loopId) ?? 0)), 0);
      return [id, { times, grams: gPerL.map(inFeed), salts: inFeed(saltsByLoop) }] as const;
    }),
  );
  return (variety, stage, from, to) => {
    const one = variety.stages[stage]!;
    const area = areas.get(one.growingAreaId);
    if (!area) return { litres: 0, stocks: gPerL.map(() => 0), money: 0 };
    const perMmL = needPerMmL(one, input);
    const et0Mm = input.et0MmByArea?.[one.growingAreaId];
    const days = Math.max(1, to - from);
    let drunkL = 0;
    let water = 0;
    for (let day = from; day < to; day++) {
      const litres =
        perMmL === null ? one.needLpd : perMmL * (et0Mm?.[Math.min(et0Mm.length - 1, day - input.from)] ?? 0);
      drunkL += litres;
      water += litres * waterOn(day);
    }
    return {
      litres: (drunkL / days) * area.times,
      stocks: area.grams.map((grams) => (grams * drunkL) / days),
      money: (water * area.times + drunkL * area.salts) / days,
    };
  };
}

/** What stands or is pinned, with its own counts; it gives up to its last day. */
export function keptSowing(
  { batch, variety, stays, readyDay }: WorkedBatch,
  varietyAt: ReadonlyMap<number, number>,
  areaAt: OptionsOf["areaAt"],
  drinks: Drinks,
  today: Day,
  settings: SeasonSettings,
): Sowing {
  const lots = new Lots();
  addLotsOf(batch, variety, stays, lots);
  const last = stays.length - 1;
  return {
    ...{ variety: varietyAt.get(variety.id)!, day: batch.sowDay - today, fixed: 1, least: 1, most: 1, cost: 0 },
    stays: stays.flatMap(({ stage, growingAreaId, plants, from, to }) => {
      const area = areaAt.get(growingAreaId);
      const leave = stage === last ? Math.max(to, lastDay(batch, variety, readyDay)) : to;
      if (!area || leave <= from || leave + area.cleaningDays <= today) return [];
      const { litres, stocks } = drinks(variety, stage, Math.max(from, today), Math.max(today + 1, leave));
      return [
        {
          ...{ area: area.index, from: from - today, to: leave + area.cleaningDays - today, leave: leave - today },
          ...{ plants, litres: litres * plants },
          ...(stocks.length > 0 && { stocks: stocks.map((grams) => grams * plants) }),
        },
      ];
    }),
    lots: Array.from({ length: lots.count }, (_, at) => ({
      ...{ from: lots.from[at]! - today, until: lots.until[at]! - today, units: lots.units[at]! },
    })),
    work: stays
      .filter(({ stage, begun }) => stage > 0 && !begun)
      .map(({ from, plants }) => ({ day: from - today, minutes: (plants * settings.moveSecondsPerPlant) / 60 })),
    pickMinutesPerUnit: settings.pickSecondsPerUnit / 60,
    held: null,
  };
}
