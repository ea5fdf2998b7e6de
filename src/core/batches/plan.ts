import type { Day } from "../units/day";
import { demandsOf, serveAll, type Delivery, type OpenLot } from "./allocate";
import { occupancy, type PoolOccupancy } from "./occupancy";
import { timeline, varietyClocks, type Timeline } from "./timeline";
import type { PlanInput, PlanVariety } from "./types";

/** Stages that began before the window or end after it are clocked this far out without being walked day by day. */
const CLOCK_MARGIN_DAYS = 200;

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
  const { batches, deliveries } = followBatches(input);
  const needLByLoop = waterNeed(input, batches);
  const needL = new Float64Array(input.to - input.from);
  for (const need of needLByLoop.values()) for (let day = 0; day < needL.length; day++) needL[day]! += need[day]!;
  return {
    from: input.from,
    to: input.to,
    today: input.today,
    batches,
    pools: occupancy(input.pools, staysOf(batches), input.from, input.to),
    deliveries,
    needLByLoop,
    needL,
  };
}

function* staysOf(batches: readonly WorkedBatch[]) {
  for (const batch of batches) yield* batch.stays;
}

/** Variety by variety: batches and orders of one have nothing to do with those of another. */
function followBatches(input: PlanInput): { batches: WorkedBatch[]; deliveries: Delivery[] } {
  const batchesBy = groupBy(input.batches.map((batch, index) => ({ batch, index })), ({ batch }) => batch.varietyId); // prettier-ignore
  const ordersBy = groupBy(input.orders, (order) => order.varietyId);
  const batches = new Array<WorkedBatch>(input.batches.length);
  const deliveries: Delivery[] = [];
  for (const variety of input.varieties) {
    const clocks = varietyClocks(variety, input.from - CLOCK_MARGIN_DAYS, input.to + CLOCK_MARGIN_DAYS);
    const own = batchesBy.get(variety.id) ?? [];
    batchesBy.delete(variety.id);
    const lines = own.map(({ batch }) => timeline(batch, variety, clocks, input.today));
    const served = serveAll(demandsOf(ordersBy.get(variety.id) ?? [], input.from, input.to), openLots(lines));
    const use = takenByBatch(served);
    lines.forEach((line, i) => {
      batches[own[i]!.index] = settleEnd(line, variety, use.get(line.batch.id), input.today);
    });
    for (const delivery of served) deliveries.push(delivery);
  }
  for (const [varietyId, [first]] of batchesBy)
    throw new RangeError(`workOutPlan: batch ${first!.batch.id} names variety ${varietyId}, which is not there`);
  return { batches, deliveries: deliveries.sort((a, b) => a.day - b.day || a.orderId - b.orderId) };
}

function openLots(lines: readonly Timeline[]): OpenLot[] {
  const lots: OpenLot[] = [];
  for (const line of lines)
    for (const { from, until, units } of line.lots)
      lots.push({ from, until, units, batchId: line.batch.id, left: units });
  return lots;
}

interface BatchTaken {
  units: number;
  lastDay: Day;
}

function takenByBatch(deliveries: readonly Delivery[]): Map<number, BatchTaken> {
  const use = new Map<number, BatchTaken>();
  for (const { day, parts } of deliveries)
    for (const { batchId, units } of parts) {
      const found = use.get(batchId);
      if (!found) use.set(batchId, { units, lastDay: day });
      else {
        found.units += units;
        found.lastDay = Math.max(found.lastDay, day);
      }
    }
  return use;
}

/** A batch stands until its last plant is taken: the last market day it serves, or as long as it holds. */
function settleEnd(line: Timeline, variety: PlanVariety, use: BatchTaken | undefined, today: Day): WorkedBatch {
  const { batch, plannedEnds, readyDay, lots, earliestFree, latestFree } = line;
  let unitsInAll = 0;
  for (const lot of lots) unitsInAll += lot.units;
  const unitsOrdered = use?.units ?? 0;
  const allTaken = unitsOrdered >= unitsInAll - 1e-6;
  const free = allTaken ? Math.max(earliestFree, use?.lastDay ?? 0) : latestFree;
  // What is ripe and not cleared still stands there today.
  const standing = readyDay <= today ? Math.min(today, latestFree) : 0;
  const end = batch.clearedDay ?? Math.max(free, standing);
  const last = line.stays.at(-1)!;
  const to = Math.max(last.from, end);
  const stays = to === last.to ? line.stays : line.stays.with(-1, { ...last, to });
  return { batch, stays, plannedEnds, readyDay, lots, earliestFree, latestFree, variety, unitsOrdered, unitsInAll };
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
