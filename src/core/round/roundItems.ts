import { GREATEST, requireFigures } from "../units/range";
import type { PlacedStay } from "../batches/places/areaPlaces";
import { isSownInTrays } from "../growth/cropKind";
import { judgeCatchCans } from "../water/catchCans";
import { requireDay, type Day } from "../units/day";
import { GATE } from "./log";
import { raisingItems } from "./raisingItems";
import { tankItems } from "./tankItems";
import { growingAreaStop, houseStop, whereOf, type IndexedInput } from "./where";
import { BARE, type RoundCatchCans, type RoundGrowingArea, type RoundInput, type RoundItem } from "./types";

/** A salt comes onto the round so many days before the last day to order it. */
const ORDER_AHEAD_DAYS = 7;
/** A missed pick or wash rolls over for this long. */
export const ROLL_OVER_DAYS = 7;

/**
 * Today's work in walking order: store and tanks first, then house by house and growing area by growing area, then packing. Made from
 * the plan, the last readings and what is left in the stocks; what was done or skipped today is left out.
 *
 * @returns items by stop, missed ones first within their stop
 */
export function roundItems(given: RoundInput): RoundItem[] {
  requireDay("roundItems", "today", given.today);
  for (const loop of given.loops) {
    requireFigures("roundItems", loop, {
      normalFillL: [0, GREATEST],
      readEveryDays: [1, 366, "whole"],
      needLpd: [0, GREATEST],
    });
    if (loop.lastReading) {
      requireDay("roundItems", "day", loop.lastReading.day);
      requireFigures("roundItems", loop.lastReading, { levelL: [0, GREATEST] });
    }
  }
  const input = {
    ...given,
    batchById: new Map(given.plan.batches.map((batch) => [batch.batch.id, batch])),
    toPick: new Set(picksDue(given).map(({ part }) => part.batchId)),
  };
  const items = [
    ...storeItems(input),
    ...orderItems(input),
    ...seedItems(input),
    ...input.loops.flatMap((loop) => tankItems(loop, input.today)),
    ...input.growingAreas.flatMap((growingArea) => growingAreaItems(growingArea, input)),
    ...input.catchCans.flatMap((one) => flushItems(one, input.today)),
    ...pickItems(input),
  ];
  return items
    .filter((item) => !input.settledKeys.has(item.key))
    .sort((a, b) => a.stop.order - b.stop.order || rankOf(a) - rankOf(b) || b.ageDays - a.ageDays);
}

/** At a stop: what is alive first, lines that are over last. */
const rankOf = ({ task }: RoundItem) => (task.kind === "wash" ? 1 : 0);

function storeItems({ store, today }: RoundInput): RoundItem[] {
  if (!store || store.readOn >= today) return [];
  return [
    {
      ...BARE,
      key: `store:${store.id}`,
      stop: GATE,
      task: { kind: "store", storeId: store.id, store: store.name, lastRead: store.readOn },
      due: Math.min(today, store.readOn + 1),
      ageDays: Math.max(0, today - store.readOn - 1),
    },
  ];
}

function orderItems({ shortages, today }: RoundInput): RoundItem[] {
  return shortages.flatMap(({ kind, id, name, amount, day, orderBy = day }) => {
    if (kind !== "salt" || orderBy - today > ORDER_AHEAD_DAYS) return [];
    return [
      {
        key: `order:${id}`,
        stop: GATE,
        task: { kind: "order" as const, saltId: id, salt: name, grams: amount, emptyFrom: day, orderBy },
        amounts: [],
        cautions: ["salts" as const],
        due: Math.min(today, orderBy),
        ageDays: Math.max(0, today - orderBy),
      },
    ];
  });
}

/** Seed that is missing for what is planned, from a week before the last day to order it. */
function seedItems({ seedOrders, today }: RoundInput): RoundItem[] {
  return seedOrders
    .filter(({ orderBy }) => orderBy - today <= ORDER_AHEAD_DAYS)
    .map(({ varietyId, variety, gramsToBuy, shortOn, orderBy }) => ({
      ...BARE,
      key: `order-seed:${varietyId}`,
      stop: GATE,
      task: { kind: "order", saltId: null, salt: `${variety} seed`, grams: gramsToBuy, emptyFrom: shortOn, orderBy },
      due: Math.min(today, orderBy),
      ageDays: Math.max(0, today - orderBy),
    }));
}

function flushItems(
  { entryId, day, stand, line, houseName, houseOrder, test }: RoundCatchCans,
  today: Day,
): RoundItem[] {
  const { blocked, blown } = judgeCatchCans(test);
  if (blocked.length + blown.length === 0) return [];
  return [
    {
      ...BARE,
      key: `flush:${entryId}`,
      stop: houseStop(houseName, houseOrder),
      task: { kind: "flush", entryId, stand, line, testedOn: day, blocked, blown },
      due: day,
      ageDays: today - day,
    },
  ];
}

function growingAreaItems(growingArea: RoundGrowingArea, input: IndexedInput): RoundItem[] {
  return growingArea.placed.flatMap((placed) => [
    ...beginItems(growingArea, placed, input),
    ...raisingItems(growingArea, placed, input),
    ...washItems(growingArea, placed, input),
  ]);
}

/** Sowing and moving: a stage that is due and has not begun. Plants move only once they are in the stage before. */
function beginItems(growingArea: RoundGrowingArea, placed: PlacedStay, input: IndexedInput): RoundItem[] {
  const { stay } = placed;
  const batch = input.batchById.get(stay.batchId);
  if (!batch || stay.begun || stay.from > input.today) return [];
  const before = batch.stays[stay.stage - 1];
  if (before && !before.begun) return [];
  const where = whereOf(growingArea, placed);
  const due = Math.min(input.today, before ? before.plannedEnd : batch.batch.sowDay);
  const common = { ...BARE, stop: growingAreaStop(growingArea), due, ageDays: input.today - due };
  const { variety } = batch;
  if (stay.stage === 0)
    return [
      {
        ...common,
        key: `sow:${stay.batchId}`,
        task: {
          kind: "sow",
          batchId: stay.batchId,
          variety: variety.name,
          where,
          cells: stay.plants,
          inTrays: isSownInTrays(variety.kind),
          seedsPerCell: variety.seedsPerCell,
          targetPlants: batch.batch.targetPlants,
          readyDay: batch.readyDay,
          ...lotOf(variety),
        },
        cautions: foodSafety(variety),
      },
    ];
  const from = input.growingAreas.find((candidate) => candidate.id === before!.growingAreaId);
  const fromPlaced = from?.placed.find(
    (candidate) => candidate.stay.batchId === stay.batchId && candidate.stay.stage === stay.stage - 1,
  );
  return [
    {
      ...common,
      key: `move:${stay.batchId}:${stay.stage}`,
      task: {
        kind: "move",
        batchId: stay.batchId,
        stage: stay.stage,
        variety: variety.name,
        sownOn: batch.stays[0]!.from,
        from: from && fromPlaced ? whereOf(from, fromPlaced) : null,
        where,
        plants: stay.plants,
      },
    },
  ];
}

/**
 * A stay that is over leaves lines to clear and wash: asked for until it is done, and for a week where plants only moved on.
 * Nothing is cleared while a pick of it is still to be done.
 */
function washItems(growingArea: RoundGrowingArea, placed: PlacedStay, input: IndexedInput): RoundItem[] {
  const { stay } = placed;
  const batch = input.batchById.get(stay.batchId);
  const ageDays = input.today - stay.to;
  if (!batch || !stay.begun || ageDays < 0) return [];
  const clears = stay.stage === batch.stays.length - 1;
  const due = clears
    ? batch.batch.clearedDay === null && !input.toPick.has(stay.batchId)
    : growingArea.cleaningDays > 0 && ageDays <= ROLL_OVER_DAYS && batch.stays[stay.stage + 1]!.begun;
  if (!due) return [];
  return [
    {
      ...BARE,
      key: `wash:${stay.batchId}:${stay.stage}`,
      stop: growingAreaStop(growingArea),
      task: {
        kind: "wash",
        batchId: stay.batchId,
        stage: stay.stage,
        variety: batch.variety.name,
        sownOn: batch.stays[0]!.from,
        where: whereOf(growingArea, placed),
        clears,
        cleaningDays: growingArea.cleaningDays,
        unitsLeft: clears ? { units: unitsLeftOf(batch, input), unit: batch.variety.unit } : null,
      },
      cautions: growingArea.cleaningDays > 0 ? ["cleaning" as const] : [],
      due: stay.to,
      ageDays,
    },
  ];
}

/** What a batch gave and nobody picked: still on the plants, or lost. */
function unitsLeftOf({ batch, unitsInAll, variety }: RoundInput["plan"]["batches"][number], input: RoundInput): number {
  const left = Math.max(0, unitsInAll - (input.pickedByBatch.get(batch.id) ?? 0));
  return variety.unit.divisible ? Number(left.toFixed(1)) : Math.floor(left + 1e-9);
}

/** Market days whose picking is due: today's, and those missed in the last days. */
function picksDue({ plan, today, settledKeys }: RoundInput) {
  return plan.deliveries
    .filter((delivery) => delivery.day <= today && delivery.day > today - ROLL_OVER_DAYS)
    .flatMap((delivery) => delivery.parts.map((part) => ({ delivery, part, key: pickKey(delivery, part.batchId) })))
    .filter(({ key }) => !settledKeys.has(key));
}

function pickKey(delivery: { readonly orderId: number; readonly day: Day }, batchId: number): string {
  return `pick:${delivery.orderId}:${batchId}:${delivery.day}`;
}

/** The oldest lot with seed left is sown from. */
function lotOf({ lots = [] }: RoundInput["plan"]["batches"][number]["variety"]): { readonly lot?: string } {
  const inUse = lots.find(({ onHandG }) => onHandG > 0);
  return inUse ? { lot: inUse.name } : {};
}

const foodSafety = ({ foodSafetySensitive }: { readonly foodSafetySensitive: boolean }) =>
  foodSafetySensitive ? (["sprouts"] as const) : [];

function pickItems(input: IndexedInput): RoundItem[] {
  return picksDue(input).flatMap(({ delivery, part, key }) => {
    const batch = input.batchById.get(part.batchId);
    const last = batch?.stays.at(-1);
    const growingArea = input.growingAreas.find((candidate) => candidate.id === last?.growingAreaId);
    if (!batch || !last?.begun || !growingArea || batch.batch.clearedDay !== null) return [];
    const placed = growingArea.placed.find(
      (candidate) => candidate.stay.batchId === part.batchId && candidate.stay.stage === last.stage,
    );
    return [
      {
        ...BARE,
        key,
        stop: growingAreaStop(growingArea),
        task: {
          kind: "pick" as const,
          batchId: part.batchId,
          orderId: delivery.orderId,
          variety: batch.variety.name,
          customer: delivery.customerName,
          where: placed ? whereOf(growingArea, placed) : null,
          units: part.units,
          unit: batch.variety.unit,
          day: delivery.day,
        },
        cautions: [...foodSafety(batch.variety), "eaten" as const],
        due: delivery.day,
        ageDays: input.today - delivery.day,
      },
    ];
  });
}
