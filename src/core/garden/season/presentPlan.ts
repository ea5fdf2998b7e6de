import type { Given, SeasonPlan } from "../../batches/season/problem";
import { groupBy } from "../../numeric/groupBy";
import type { Worked } from "../worked";
import type { GardenSeason } from "./seasonProblem";

/**
 * The plan as it stands as a plan of the problem: what is planned of each batch, and what the orders take of it. What cannot be
 * said in its terms is left out.
 */
export function presentPlan({ plan, today }: Worked, { problem, sowings, orders }: GardenSeason): SeasonPlan {
  const units = problem.sowings.map(({ fixed }) => fixed ?? 0);
  const given: Given[] = [];
  const orderAt = new Map(
    orders.flatMap(({ day, orderIds }, at) => orderIds.map((id) => [`${id}/${day}`, at] as const)),
  );
  const keptAt = new Map(sowings.flatMap((one, at) => ("batchId" in one ? [[one.batchId, at] as const] : [])));
  const options = groupBy(
    sowings.flatMap((one, at) => ("sowDay" in one ? [{ ...one, at }] : [])),
    ({ varietyId, sowDay }) => `${varietyId}/${sowDay}`,
  );
  const takenOf = groupBy(
    plan.deliveries.flatMap(({ day, orderId, parts }) => {
      const order = orderAt.get(`${orderId}/${day}`);
      return order === undefined ? [] : parts.map((part) => ({ ...part, day, order }));
    }),
    ({ batchId }) => batchId,
  );
  for (const { batch, variety } of plan.batches) {
    if (batch.clearedDay !== null) continue;
    const taken = takenOf.get(batch.id) ?? [];
    const end = taken.reduce((last, { day }) => Math.max(last, day), 0);
    // It stands to the last market day that it serves; of crops that stand to their own end there is one way only.
    const ways = options.get(`${variety.id}/${batch.sowDay}`) ?? [];
    const at = keptAt.get(batch.id) ?? (ways.find(({ endDay }) => endDay >= end) ?? ways.at(-1))?.at;
    if (at === undefined) continue;
    if (!keptAt.has(batch.id)) units[at]! += batch.targetPlants;
    for (const { day, units: own, order } of taken) {
      const lot = problem.sowings[at]!.lots.findIndex(({ from, until }) => day - today >= from && day - today <= until);
      if (lot >= 0) given.push({ sowing: at, lot, order, units: own });
    }
  }
  return { units, given };
}
