import { linesTouched, type PlacedStay } from "../batches/lanes";
import { lineWords } from "../place/lineWords";
import { dayInWords, type Day } from "../units/day";
import { stockMl } from "../feed/stocks";
import type { Amount, RoundInput, RoundItem, RoundLoop, RoundPool, Stop } from "./types";
import { told } from "../units/told";

/** A stock tank with fewer days left than this is mixed on the next round. */
const MIX_BELOW_DAYS = 7;
/** A salt is ordered when it runs out within this time. */
const ORDER_AHEAD_DAYS = 21;
/** A missed pick or wash rolls over for this long. */
const ROLL_OVER_DAYS = 7;
/** A tank is topped up when this share of its working volume is missing. */
const TOP_UP_SHARE = 0.05;

interface IndexedInput extends RoundInput {
  readonly batchById: ReadonlyMap<number, RoundInput["plan"]["batches"][number]>;
}

/**
 * Today's work in walking order: store and tanks first, then house by house and pool by pool, then packing. Made from
 * the plan, the last readings and what is left in the stocks; what was done or skipped today is left out.
 *
 * @returns items by stop, missed ones first within their stop
 */
export function roundItems(given: RoundInput): RoundItem[] {
  const input = { ...given, batchById: new Map(given.plan.batches.map((batch) => [batch.batch.id, batch])) };
  const items = [
    ...storeItems(input),
    ...orderItems(input),
    ...input.loops.flatMap((loop) => tankItems(loop, input.today)),
    ...input.pools.flatMap((pool) => poolItems(pool, input)),
    ...pickItems(input),
  ];
  return items
    .filter((item) => !input.settledKeys.has(item.key))
    .sort((a, b) => a.stop.order - b.stop.order || b.ageDays - a.ageDays);
}

export const GATE: Stop = { key: "gate", name: "Gate and store", order: 0 };
export const TANKS: Stop = { key: "tanks", name: "Tanks", order: 100 };

function storeItems({ store, today }: RoundInput): RoundItem[] {
  if (!store || store.readOn >= today) return [];
  return [
    {
      key: `store:${store.id}`,
      kind: "store",
      stop: GATE,
      title: `Read the level of ${store.name}`,
      figure: null,
      detail: `last read ${dayInWords(store.readOn)}`,
      amounts: [],
      cautions: [],
      ageDays: Math.max(0, today - store.readOn - 1),
      refs: { storeId: store.id, due: Math.min(today, store.readOn + 1) },
    },
  ];
}

function orderItems({ shortages, today }: RoundInput): RoundItem[] {
  return shortages
    .filter((shortage) => shortage.kind === "salt" && shortage.day - today <= ORDER_AHEAD_DAYS)
    .map((shortage) => ({
      key: `order:${shortage.name}`,
      kind: "order" as const,
      stop: GATE,
      title: `Order ${shortage.name}`,
      figure: { value: shortage.amount, dimension: "mass" as const, word: "" },
      detail: `the shelf is empty from ${dayInWords(shortage.day)}; the amount carries the whole plan`,
      amounts: [],
      cautions: ["salts" as const],
      ageDays: 0,
      refs: { due: today },
    }));
}

function tankItems(loop: RoundLoop, today: Day): RoundItem[] {
  const stop = TANKS;
  const items: RoundItem[] = [];
  const due = loop.lastReading ? loop.lastReading.day + loop.readEveryDays : today;
  if (due <= today)
    items.push({
      key: `reading:${loop.id}`,
      kind: "reading",
      stop,
      title: `${loop.name} tank: read and bring back into band`,
      figure: null,
      detail: loop.lastReading ? `last read ${dayInWords(loop.lastReading.day)}` : "never read yet",
      amounts: [],
      cautions: [],
      ageDays: today - due,
      refs: { loopId: loop.id, due },
    });
  const topUp = topUpItem(loop, stop, today);
  if (topUp) items.push(topUp);
  return [...items, ...mixItems(loop, stop, today)];
}

/** Due where the last reading and the days since say that the tank is low; today's reading brings a slip of its own. */
function topUpItem(loop: RoundLoop, stop: Stop, today: Day): RoundItem | null {
  const last = loop.lastReading;
  if (loop.feeding === "injector" || !last || last.levelL === null || last.day >= today || !loop.feed?.strength)
    return null;
  const expectedL = Math.max(0, last.levelL - loop.needLpd * (today - last.day));
  const litres = loop.workingL - expectedL;
  if (litres < loop.workingL * TOP_UP_SHARE) return null;
  return {
    key: `top-up:${loop.id}`,
    kind: "top-up",
    stop,
    title: `${loop.name} tank: top up with feed`,
    figure: { value: litres, dimension: "volume", word: "" },
    detail: `the tank should stand near ${told(Math.round(expectedL), "volume")}; read it first if the meter is at hand`,
    amounts: feedAmounts(loop, litres),
    cautions: ["salts"],
    ageDays: 0,
    refs: { loopId: loop.id, due: today, units: litres },
  };
}

/** Stock or salts for a volume of feed at full strength. */
export function feedAmounts(loop: Pick<RoundLoop, "feeding" | "feed" | "saltNames">, litres: number): Amount[] {
  const { feed } = loop;
  if (!feed) return [];
  if (loop.feeding !== "dry")
    return (["A", "B"] as const).map((letter) => ({
      name: `stock ${letter}`,
      value: stockMl(litres, feed.factor) / 1000,
      dimension: "dose" as const,
    }));
  return feed.gPer1000L
    .map((grams, i) => ({
      name: loop.saltNames[i]!,
      value: (grams * litres) / 1000,
      dimension: "mass" as const,
    }))
    .filter((amount) => amount.value > 0.005);
}

function mixItems(loop: RoundLoop, stop: Stop, today: Day): RoundItem[] {
  if (loop.feeding === "dry" || !loop.feed) return [];
  return loop.feed.stocks
    .filter((stock) => stock.daysLeft.exact < MIX_BELOW_DAYS && stock.salts.length > 0)
    .map((stock) => ({
      key: `mix:${loop.id}:${stock.tank.letter}`,
      kind: "mix" as const,
      stop,
      title: `${loop.name} stock ${stock.tank.letter}: mix a full tank`,
      figure: { value: stock.tank.volumeL, dimension: "volume" as const, word: "" },
      detail: `${stock.daysLeft.whole} days left; 70 % warm water first, salts in this order, make up to the mark`,
      amounts: stock.salts.map((salt) => ({
        name: salt.name,
        value: salt.tankG,
        dimension: "mass" as const,
      })),
      cautions: ["salts" as const, "lifting" as const],
      ageDays: 0,
      refs: { loopId: loop.id, stock: stock.tank.letter, due: today },
    }));
}

/** Pools of one house are one stop: the walk goes from house to house. */
function poolStop(pool: RoundPool): Stop {
  return {
    key: `house:${pool.houseName || pool.name}`,
    name: pool.houseName || pool.name,
    order: 1000 + pool.houseOrder,
  };
}

function placeWords(pool: RoundPool, placed: PlacedStay): string {
  return `${pool.name.toLowerCase()}, ${lineWords(pool.stands, linesTouched(pool.sitesPerLine, placed.runs))}`;
}

function poolItems(pool: RoundPool, input: IndexedInput): RoundItem[] {
  return pool.placed.flatMap((placed) => [...beginItems(pool, placed, input), ...washItems(pool, placed, input)]);
}

/** Sowing and moving: a stage that is due and has not begun. Plants move only once they stand in the stage before. */
function beginItems(pool: RoundPool, placed: PlacedStay, input: IndexedInput): RoundItem[] {
  const { stay } = placed;
  const batch = input.batchById.get(stay.batchId);
  if (!batch || stay.begun || stay.from > input.today) return [];
  const before = batch.stays[stay.stage - 1];
  if (before && !before.begun) return [];
  const where = placeWords(pool, placed);
  const due = Math.min(input.today, before ? batch.plannedEnds[before.stage]! : batch.batch.sowDay);
  const common = {
    stop: poolStop(pool),
    ageDays: input.today - due,
    refs: { batchId: stay.batchId, stage: stay.stage, plants: stay.plants, due },
  };
  if (stay.stage === 0) {
    const seeds = stay.plants * batch.variety.seedsPerCell;
    const shoots = batch.variety.stages[0]!.name === "soak" || batch.variety.unit.includes("tray");
    return [
      {
        ...common,
        key: `sow:${stay.batchId}`,
        kind: "sow",
        title: `Sow ${batch.variety.name}, ${where}`,
        figure: { value: stay.plants, dimension: "count", word: shoots ? "trays" : "cells" },
        detail: `${seeds} seeds, ${batch.variety.seedsPerCell} a cell; ${batch.batch.targetPlants} plants wanted by ${dayInWords(batch.readyDay)}`,
        amounts: [],
        cautions: shoots ? ["sprouts"] : [],
      },
    ];
  }
  const from = input.pools.find((candidate) => candidate.id === before!.poolId);
  const fromPlaced = from?.placed.find(
    (candidate) => candidate.stay.batchId === stay.batchId && candidate.stay.stage === stay.stage - 1,
  );
  const fromWords = from && fromPlaced ? placeWords(from, fromPlaced) : "where they stand";
  return [
    {
      ...common,
      key: `move:${stay.batchId}:${stay.stage}`,
      kind: "move",
      title: `Move ${batch.variety.name} of ${dayInWords(batch.stays[0]!.from)} to ${where}`,
      figure: { value: stay.plants, dimension: "count", word: "plants" },
      detail: `from ${fromWords}`,
      amounts: [],
      cautions: [],
    },
  ];
}

/** A stay that is over leaves lines to clear and wash: asked for until it is done, and for a week where plants only moved on. */
function washItems(pool: RoundPool, placed: PlacedStay, input: IndexedInput): RoundItem[] {
  const { stay } = placed;
  const batch = input.batchById.get(stay.batchId);
  const ageDays = input.today - stay.to;
  if (!batch || !stay.begun || ageDays < 0) return [];
  const isLast = stay.stage === batch.stays.length - 1;
  const due = isLast
    ? batch.batch.clearedDay === null
    : pool.cleaningDays > 0 && ageDays <= ROLL_OVER_DAYS && batch.stays[stay.stage + 1]!.begun;
  if (!due) return [];
  const where = placeWords(pool, placed);
  const wash = pool.cleaningDays > 0 ? `; the next crop may come after ${pool.cleaningDays} days` : "";
  return [
    {
      key: `wash:${stay.batchId}:${stay.stage}`,
      kind: "wash",
      stop: poolStop(pool),
      title: `${isLast ? "Clear and wash" : "Wash and sanitise"} ${where}`,
      figure: null,
      detail: `${batch.variety.name} of ${dayInWords(batch.stays[0]!.from)} ${isLast ? "is over" : "moved on"}${wash}`,
      amounts: [],
      cautions: [],
      ageDays,
      refs: { batchId: stay.batchId, stage: stay.stage, due: stay.to },
    },
  ];
}

function pickItems(input: IndexedInput): RoundItem[] {
  const recent = input.plan.deliveries.filter((d) => d.day <= input.today && d.day > input.today - ROLL_OVER_DAYS);
  return recent.flatMap((delivery) =>
    delivery.parts.flatMap((part) => {
      const batch = input.batchById.get(part.batchId);
      const last = batch?.stays.at(-1);
      const pool = input.pools.find((candidate) => candidate.id === last?.poolId);
      if (!batch || !last?.begun || !pool || batch.batch.clearedDay !== null) return [];
      const placed = pool.placed.find(
        (candidate) => candidate.stay.batchId === part.batchId && candidate.stay.stage === last.stage,
      );
      const where = placed ? `, ${placeWords(pool, placed)}` : "";
      return [
        {
          key: `pick:${delivery.orderId}:${part.batchId}:${delivery.day}`,
          kind: "pick" as const,
          stop: poolStop(pool),
          title: `Pick ${batch.variety.name} for ${delivery.outletName}${where}`,
          figure: { value: part.units, dimension: "ratio" as const, word: batch.variety.unit },
          detail: delivery.day === input.today ? "for today" : `was for ${dayInWords(delivery.day, "weekday")}`,
          amounts: [],
          cautions: batch.variety.unit.includes("tray") ? (["sprouts"] as const) : [],
          ageDays: input.today - delivery.day,
          refs: { batchId: part.batchId, orderId: delivery.orderId, units: part.units, due: delivery.day },
        },
      ];
    }),
  );
}
