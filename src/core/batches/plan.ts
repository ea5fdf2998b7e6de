import type { Day } from "../units/day";
import { demandsOf, serveAll, type Delivery, type Demand, type OpenLot } from "./allocate";
import { occupancy, type PoolOccupancy } from "./occupancy";
import { timeline, varietyClocks, type Stay, type Timeline } from "./timeline";
import type { PlanInput, PlanVariety } from "./types";

export interface WorkedBatch extends Timeline {
  readonly variety: PlanVariety;
  /** Units taken for orders, of all its lots together. */
  readonly unitsOrdered: number;
  readonly unitsInAll: number;
}

export interface Plan {
  readonly from: Day;
  readonly to: Day;
  readonly today: Day;
  readonly batches: readonly WorkedBatch[];
  readonly pools: readonly PoolOccupancy[];
  readonly deliveries: readonly Delivery[];
  /** Litres a day wanted by each loop; key "hand" is watered by hand. */
  readonly needLByLoop: ReadonlyMap<number | "hand", Float64Array>;
  readonly needL: Float64Array;
}

/**
 * Works a whole plan out: where each batch stands and when, which order it serves, how full each pool is, and what each
 * loop drinks a day. Work grows with batches and with days, not with their product.
 *
 * @throws RangeError when a batch names a variety that is not there
 */
export function workOutPlan(input: PlanInput): Plan {
  const timelines = timelinesOf(input);
  const deliveries = deliver(input, timelines);
  const batches = settleEnds(timelines, deliveries, input);
  const stays = batches.flatMap((batch) => batch.stays);
  const needLByLoop = waterNeed(input, batches);
  const needL = new Float64Array(input.to - input.from);
  for (const need of needLByLoop.values()) need.forEach((litres, day) => (needL[day]! += litres));
  return {
    from: input.from,
    to: input.to,
    today: input.today,
    batches,
    pools: occupancy(input.pools, stays, input.from, input.to),
    deliveries,
    needLByLoop,
    needL,
  };
}

function timelinesOf(input: PlanInput): { variety: PlanVariety; line: Timeline }[] {
  const clocks = new Map(
    input.varieties.map((variety) => [
      variety.id,
      { variety, clocks: varietyClocks(variety, input.from - 200, input.to + 200) },
    ]),
  );
  return input.batches.map((batch) => {
    const found = clocks.get(batch.varietyId);
    if (!found)
      throw new RangeError(`workOutPlan: batch ${batch.id} names variety ${batch.varietyId}, which is not there`);
    return { variety: found.variety, line: timeline(batch, found.variety, found.clocks, input.today) };
  });
}

function deliver(input: PlanInput, timelines: readonly { line: Timeline }[]): Delivery[] {
  const lotsByVariety = groupBy(
    timelines.flatMap(({ line }) =>
      line.lots.map((lot): OpenLot => ({ ...lot, batchId: line.batch.id, left: lot.units })),
    ),
    // A batch has one variety, so its lots are found through it.
    (() => {
      const varietyOf = new Map(input.batches.map((batch) => [batch.id, batch.varietyId]));
      return (lot: OpenLot) => varietyOf.get(lot.batchId)!;
    })(),
  );
  const demandsByVariety = groupBy(demandsOf(input.orders, input.from, input.to), (demand: Demand) => demand.varietyId);
  const deliveries = [...demandsByVariety].flatMap(([varietyId, demands]) =>
    serveAll(demands, lotsByVariety.get(varietyId) ?? []),
  );
  return deliveries.sort((a, b) => a.day - b.day || a.orderId - b.orderId);
}

/** A batch stands until its last plant is taken: the last market day it serves, or as long as it holds. */
function settleEnds(
  timelines: readonly { variety: PlanVariety; line: Timeline }[],
  deliveries: readonly Delivery[],
  input: PlanInput,
): WorkedBatch[] {
  const ordered = new Map<number, number>();
  const lastServed = new Map<number, Day>();
  for (const delivery of deliveries)
    for (const part of delivery.parts) {
      ordered.set(part.batchId, (ordered.get(part.batchId) ?? 0) + part.units);
      lastServed.set(part.batchId, Math.max(lastServed.get(part.batchId) ?? 0, delivery.day));
    }
  return timelines.map(({ variety, line }) => {
    const unitsInAll = line.lots.reduce((sum, lot) => sum + lot.units, 0);
    const unitsOrdered = ordered.get(line.batch.id) ?? 0;
    const allTaken = unitsOrdered >= unitsInAll - 1e-6;
    const free = allTaken ? Math.max(line.earliestFree, lastServed.get(line.batch.id) ?? 0) : line.latestFree;
    const end =
      line.batch.clearedDay ??
      Math.max(free, line.readyDay <= input.today ? Math.min(input.today, line.latestFree) : 0);
    const stays = line.stays.map((stay, i): Stay =>
      i === line.stays.length - 1 ? { ...stay, to: Math.max(stay.from, end) } : stay,
    );
    return { ...line, stays, variety, unitsOrdered, unitsInAll };
  });
}

function waterNeed(input: PlanInput, batches: readonly WorkedBatch[]): Map<number | "hand", Float64Array> {
  const days = input.to - input.from;
  const pools = new Map(input.pools.map((pool) => [pool.id, pool]));
  const changes = new Map<number | "hand", Float64Array>();
  for (const batch of batches)
    for (const stay of batch.stays) {
      const litresPerDay = stay.plants * batch.variety.stages[stay.stage]!.needLpd;
      const start = Math.min(days, Math.max(0, stay.from - input.from));
      const end = Math.min(days, Math.max(0, stay.to - input.from));
      for (const { loopId, share } of pools.get(stay.poolId)?.loops ?? []) {
        const key = loopId ?? "hand";
        const drained = loopId === null ? 0 : (input.drainShareByLoop[loopId] ?? 0);
        let change = changes.get(key);
        if (!change) changes.set(key, (change = new Float64Array(days + 1)));
        change[start]! += (litresPerDay * share) / (1 - drained);
        change[end]! -= (litresPerDay * share) / (1 - drained);
      }
    }
  return new Map([...changes].map(([key, change]) => [key, runningSum(change)]));
}

function runningSum(changes: Float64Array): Float64Array {
  const totals = new Float64Array(changes.length - 1);
  let sum = 0;
  // Float dust below a microlitre must not leave an empty loop thirsty.
  for (let i = 0; i < totals.length; i++) totals[i] = Math.abs((sum += changes[i]!)) < 1e-6 ? 0 : sum;
  return totals;
}

function groupBy<T, K>(items: readonly T[], key: (item: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const item of items) {
    const group = groups.get(key(item));
    if (group) group.push(item);
    else groups.set(key(item), [item]);
  }
  return groups;
}
