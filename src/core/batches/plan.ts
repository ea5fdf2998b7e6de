import { groupBy } from "../numeric/groupBy";
import { requirePlanInput } from "./requirePlan";
import type { Day } from "../units/day";
import { earliestFree } from "../growth/harvestPattern";
import { demandsOf, serveAll, type Delivery } from "./allocate";
import { Lots } from "./lots";
import { addStay, areaTallies, occupancyOf, type AreaTally, type GrowingAreaOccupancy } from "./occupancy";
import { addLotsOf, lastDay, staysOf, varietyClocks, type Clocks, type OpenStay, type Stay } from "./timeline";
import { needPerMmL } from "./plantNeed";
import type { PlanBatch, PlanInput, PlanVariety } from "./types";

/** Stages that began before the window or end after it are clocked this far out without being walked day by day. */
const CLOCK_MARGIN_DAYS = 200;

/** A batch with its stays, and what it gives. */
export interface WorkedBatch {
  readonly batch: PlanBatch;
  readonly variety: PlanVariety;
  readonly stays: readonly Stay[];
  readonly readyDay: Day;
  /** Units taken for orders, of all its lots together. */
  readonly unitsOrdered: number;
  readonly unitsInAll: number;
}

export interface Plan {
  readonly from: Day;
  readonly to: Day;
  readonly today: Day;
  readonly batches: readonly WorkedBatch[];
  readonly growingAreas: readonly GrowingAreaOccupancy[];
  readonly deliveries: readonly Delivery[];
  /** Litres a day wanted by each loop; key "hand" is watered by hand. */
  readonly needLByLoop: ReadonlyMap<number | "hand", Float64Array>;
  readonly needL: Float64Array;
  /** Of that, what is worked out from the climate. */
  readonly needByClimateL: Float64Array;
}

/**
 * Works a whole plan out: where each batch stands and when, which order it serves, how full each growing area is, and what each
 * loop drinks a day. Work grows with batches and with days, not with their product.
 *
 * @throws RangeError when a batch names a variety that is not there
 */
export function workOutPlan(input: PlanInput): Plan {
  requirePlanInput("workOutPlan", input);
  const days = input.to - input.from;
  const batches = new Array<WorkedBatch>(input.batches.length);
  const deliveries: Delivery[][] = Array.from({ length: days }, () => []);
  const tallies = areaTallies(input.growingAreas, days);
  const water = drinkingByArea(input, days);
  const ordersBy = groupBy(input.orders, (order) => order.varietyId);
  const indicesBy = indicesByVariety(input);
  const lots = new Lots();
  // Variety by variety: batches and orders of one have nothing to do with those of another.
  for (const variety of input.varieties) {
    const indices = indicesBy.get(variety.id)!;
    lots.clear();
    const clocks = varietyClocks(variety, input.from - CLOCK_MARGIN_DAYS, input.to + CLOCK_MARGIN_DAYS);
    const own = indices.map((index) => follow(input.batches[index]!, variety, clocks, input.today, lots));
    for (const delivery of serveAll(
      demandsOf(ordersBy.get(variety.id) ?? [], input.from, input.to, input.noMarket),
      lots,
    ))
      deliveries[delivery.day - input.from]!.push(delivery);
    settleEnds(own, lots, input.today);
    addStays(own, variety, input, tallies, water);
    indices.forEach((index, at) => (batches[index] = own[at]!));
  }
  const needByClimateL = new Float64Array(days);
  const needLByLoop = needByLoop(input, water, needByClimateL);
  const needL = new Float64Array(days);
  for (const need of needLByLoop.values()) for (let day = 0; day < days; day++) needL[day]! += need[day]!;
  return {
    from: input.from,
    to: input.to,
    today: input.today,
    batches,
    growingAreas: occupancyOf(tallies, input.from),
    deliveries: deliveries.flatMap((ofDay) => ofDay.sort((a, b) => a.orderId - b.orderId)),
    needLByLoop,
    needL,
    needByClimateL,
  };
}

/** Where the batches of each variety are in the table. @throws RangeError for a batch of a variety that is not there */
function indicesByVariety({ batches, varieties }: PlanInput): Map<number, number[]> {
  const indices = new Map<number, number[]>(varieties.map(({ id }) => [id, []]));
  batches.forEach(({ id, varietyId }, index) => {
    const own = indices.get(varietyId);
    if (!own) throw new RangeError(`workOutPlan: batch ${id} names variety ${varietyId}, which is not there`);
    own.push(index);
  });
  return indices;
}

type OpenBatch = Omit<WorkedBatch, "stays" | "unitsOrdered"> & {
  readonly stays: readonly OpenStay[];
  unitsOrdered: number;
};

/** A batch until nobody has taken from it yet; its lots are added to those of its variety. */
function follow(batch: PlanBatch, variety: PlanVariety, clocks: Clocks, today: Day, lots: Lots): OpenBatch {
  const stays = staysOf(batch, variety, clocks, today);
  const unitsInAll = addLotsOf(batch, variety, stays, lots);
  return { batch, variety, stays, readyDay: stays[stays.length - 1]!.plannedEnd, unitsOrdered: 0, unitsInAll };
}

/** A batch stands until its last plant is taken: the last market day it serves, or as long as it keeps. */
function settleEnds(own: readonly OpenBatch[], lots: Lots, today: Day): void {
  let lot = 0;
  for (const worked of own) {
    const { batch, variety, stays, readyDay } = worked;
    let lastTaken = 0;
    for (; lot < lots.count && lots.batchId[lot] === batch.id; lot++) {
      worked.unitsOrdered += lots.units[lot]! - lots.left[lot]!;
      lastTaken = Math.max(lastTaken, lots.taken[lot]!);
    }
    if (batch.clearedDay !== null) continue;
    const latest = lastDay(batch, variety, readyDay);
    const allTaken = worked.unitsOrdered >= worked.unitsInAll - 1e-6;
    const free = allTaken ? Math.max(earliestFree(variety.pattern, readyDay), lastTaken) : latest;
    // What is ripe and not cleared is still there today.
    const standing = readyDay <= today ? Math.min(today, latest) : 0;
    const last = stays[stays.length - 1]!;
    last.to = Math.max(last.from, free, standing);
  }
}

/** Adds the stays of a variety to the plants of its growing areas, and what they drink to what is drunk there. */
function addStays(
  own: readonly OpenBatch[],
  variety: PlanVariety,
  input: PlanInput,
  tallies: ReadonlyMap<number, AreaTally>,
  water: ReadonlyMap<number, Drinking>,
): void {
  if (own.length === 0) return;
  const days = input.to - input.from;
  const stages = variety.stages.map((stage) => {
    const perMmL = needPerMmL(stage, input);
    const drinking = water.get(stage.growingAreaId)?.[perMmL === null ? "figures" : "climate"];
    return { tally: tallies.get(stage.growingAreaId), drinking, perPlantL: perMmL ?? stage.needLpd };
  });
  for (const { stays } of own)
    for (const { stage, plants, from, to } of stays) {
      const { tally, drinking, perPlantL } = stages[stage]!;
      const start = from - input.from;
      const end = to - input.from;
      if (tally) addStay(tally, plants, start, end);
      if (!drinking) continue;
      drinking[Math.min(days, Math.max(0, start))]! += plants * perPlantL;
      drinking[Math.min(days, Math.max(0, end))]! -= plants * perPlantL;
    }
}

/** What the plants of a growing area drink, as it changes from day to day: litres by figures, litres a millimetre of ET0. */
interface Drinking {
  readonly figures: Float64Array;
  readonly climate: Float64Array;
}

function drinkingByArea({ growingAreas }: PlanInput, days: number): Map<number, Drinking> {
  const none = (): Drinking => ({ figures: new Float64Array(days + 1), climate: new Float64Array(days + 1) });
  return new Map(growingAreas.map(({ id }) => [id, none()]));
}

/**
 * Litres a day that each loop has to bring: what is drunk on it and what the air takes, as the loop's log has taught, and
 * what drains.
 * @param byClimateL of all loops, is added to
 */
function needByLoop(
  input: PlanInput,
  water: ReadonlyMap<number, Drinking>,
  byClimateL: Float64Array,
): Map<number | "hand", Float64Array> {
  const needs = new Map<number | "hand", Float64Array>();
  const factorOf = (loopId: number | null) => (loopId === null ? 1 : (input.needFactorByLoop?.[loopId] ?? 1));
  for (const area of input.growingAreas) {
    const figures = runningSum(water.get(area.id)!.figures);
    const climate = runningSum(water.get(area.id)!.climate);
    const et0Mm = input.et0MmByArea?.[area.id];
    for (const { loopId, share } of area.loops) {
      const key = loopId ?? "hand";
      const need = needs.get(key) ?? new Float64Array(figures.length);
      needs.set(key, need);
      const drained = loopId === null ? 0 : (input.drainShareByLoop[loopId] ?? 0);
      const times = (share * factorOf(loopId)) / (1 - drained);
      for (let day = 0; day < need.length; day++) {
        const weatherL = times * climate[day]! * (et0Mm?.[day] ?? 0);
        need[day]! += times * figures[day]! + weatherL;
        byClimateL[day]! += weatherL;
      }
    }
  }
  for (const [id, openWaterL] of Object.entries(input.openWaterLByLoop ?? {})) {
    const loopId = Number(id);
    const need = needs.get(loopId) ?? new Float64Array(openWaterL.length);
    needs.set(loopId, need);
    for (let day = 0; day < need.length; day++) {
      const litres = factorOf(loopId) * openWaterL[day]!;
      need[day]! += litres;
      byClimateL[day]! += litres;
    }
  }
  return needs;
}

function runningSum(changes: Float64Array): Float64Array {
  const totals = new Float64Array(changes.length - 1);
  let sum = 0;
  // Rounding below a microlitre must not leave an empty loop short of water.
  for (let i = 0; i < totals.length; i++) totals[i] = Math.abs((sum += changes[i]!)) < 1e-6 ? 0 : sum;
  return totals;
}
