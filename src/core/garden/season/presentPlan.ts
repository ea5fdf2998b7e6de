import type { SeasonPlan } from "../../batches/season/problem";
import type { Day } from "../../units/day";
import type { Worked } from "../worked";
import type { GardenSeason } from "./seasonProblem";

/**
 * The plan as it stands as a plan of the problem: what is planned of each batch, and what the orders take of it.
 * @returns null where it cannot be said in its terms
 */
export function presentPlan({ plan, today }: Worked, season: GardenSeason): SeasonPlan | null {
  const { problem, sowings, orders } = season;
  const units = problem.sowings.map(({ fixed }) => fixed ?? 0);
  const given: { sowing: number; lot: number; order: number; units: number }[] = [];
  const orderAt = new Map(
    orders.flatMap(({ day, orderIds }, at) => orderIds.map((id) => [`${id}/${day}`, at] as const)),
  );
  const keptAt = new Map(sowings.flatMap((one, at) => ("batchId" in one ? [[one.batchId, at] as const] : [])));
  const takenOf = new Map<number, { day: Day; units: number; order: number }[]>();
  for (const { day, orderId, parts } of plan.deliveries)
    for (const { batchId, units: taken } of parts) {
      const order = orderAt.get(`${orderId}/${day}`);
      if (order === undefined) continue;
      const own = takenOf.get(batchId) ?? [];
      own.push({ day, units: taken, order });
      takenOf.set(batchId, own);
    }
  for (const { batch, variety } of plan.batches) {
    if (batch.clearedDay !== null) continue;
    const taken = takenOf.get(batch.id) ?? [];
    const end = taken.reduce((last, { day }) => Math.max(last, day), 0);
    const at =
      keptAt.get(batch.id) ??
      sowings.findIndex(
        (one) =>
          "sowDay" in one &&
          one.varietyId === variety.id &&
          one.sowDay === batch.sowDay &&
          (one.endDay === end || variety.pattern.kind !== "once"),
      );
    if (at < 0 && (taken.length > 0 || batch.sowDay < today)) return null;
    if (at < 0) continue;
    if (!keptAt.has(batch.id)) units[at]! += batch.targetPlants;
    for (const { day, units: own, order } of taken) {
      const lot = problem.sowings[at]!.lots.findIndex(({ from, until }) => day - today >= from && day - today <= until);
      if (lot < 0) return null;
      given.push({ sowing: at, lot, order, units: own });
    }
  }
  return { units, given };
}
