import { placeStays } from "../batches/lanes";
import { workOutPlan } from "../batches/plan";
import type { PlanBatch, PlanInput } from "../batches/types";
import { poolSitesPerLine, type PoolStand } from "../place/lineWords";
import { STAND_MODELS } from "../place/kinds";
import type { ChannelBank, TrayRack } from "../place/stand";
import { dayFromIso } from "../units/day";
import { roundItems } from "./roundItems";
import type { RoundInput, RoundLoop, RoundPool } from "./types";

const today = dayFromIso("2027-05-06");
const flat = (days: number) => new Array<number>(12).fill(days);
const rack: TrayRack = {
  ...STAND_MODELS["tray-rack"].example,
  kind: "tray-rack",
  racks: 1,
  shelvesPerRack: 1,
  shelfLengthM: 1.1,
  shelfWidthM: 0.3,
  trayLengthM: 0.54,
  trayWidthM: 0.28,
  cellsPerTray: 50,
  aisleM: 0.8,
};
const bank: ChannelBank = {
  ...STAND_MODELS["channel-bank"].example,
  kind: "channel-bank", lines: 6, lineLengthM: 6, channelWidthM: 0.1, channelDepthM: 0.05, endMarginM: 0.125, pitchM: 0.25, holeMm: 50,
  gapM: 0.1, linesPerBlock: 6, aisleM: 0.6, linesPerValve: 6, fallOneIn: 40, lineFlowLph: 90,
}; // prettier-ignore
const stands: readonly (readonly PoolStand[])[] = [
  [{ id: 1, name: "Rack", spec: rack }],
  [{ id: 2, name: "Bank", spec: bank }],
];

function input(batches: readonly PlanBatch[], more: Partial<RoundInput> = {}): RoundInput {
  const pools = stands.map((own, index) => {
    const sitesPerLine = poolSitesPerLine(own);
    return {
      id: index + 1,
      name: ["Seed rack", "Leaf bank"][index]!,
      sites: sitesPerLine.reduce((a, b) => a + b, 0),
      cleaningDays: index,
      sitesPerLine,
      loops: [],
    };
  });
  const planInput: PlanInput = {
    today, from: today - 60, to: today + 60, pools, batches, drainShareByLoop: {},
    varieties: [{
      id: 1, name: "Lettuce", unit: "heads", germination: 0.9, seedsPerCell: 2, pattern: { kind: "once", unitsPerPlant: 1, holdDays: 5 },
      stages: [{ name: "sprout", poolId: 1, daysByMonth: flat(10), survival: 1, needLpd: 0 }, { name: "grow", poolId: 2, daysByMonth: flat(20), survival: 1, needLpd: 0.1 }],
    }],
    orders: [{ id: 5, outletName: "Stall", varietyId: 1, weekday: 4, quantity: 10, from: today - 60, to: today + 60 }],
  }; // prettier-ignore
  const plan = workOutPlan(planInput);
  const roundPools = pools.map((pool, index): RoundPool => ({
    ...pool, houseName: "Tunnel", houseOrder: 1, order: index, stands: stands[index]!, placed: placeStays(pool, plan.batches.flatMap((batch) => batch.stays).filter((stay) => stay.poolId === pool.id)),
  })); // prettier-ignore
  return { today, plan, pools: roundPools, loops: [], store: null, shortages: [], settledKeys: new Set(), ...more };
}

const batch = (id: number, sowDay: number, begun: readonly (readonly [number, number, number])[] = [], clearedDay: number | null = null): PlanBatch => ({
  id, varietyId: 1, sowDay, cells: 30, targetPlants: 24, begun: begun.map(([position, day, plants]) => ({ position, day, plants })), clearedDay,
}); // prettier-ignore
const summary = (given: RoundInput) =>
  roundItems(given).map((item) => [item.key, item.title, item.figure?.value, item.ageDays]);

test("a sowing that is due stands on the round with its cells and place; one that was missed says how late it is", () => {
  expect(summary(input([batch(1, today), batch(2, today - 3), batch(3, today + 1)]))).toEqual([
    ["sow:2", "Sow Lettuce, seed rack, shelf 1, tray 2", 30, 3],
    ["sow:1", "Sow Lettuce, seed rack, shelf 1, tray 1", 30, 0],
  ]);
});

test("plants move from line to line once they stand in the stage before, and not before they are ready", () => {
  const ready = roundItems(input([batch(1, today - 12, [[0, today - 12, 30]])]));
  expect(ready.map((item) => [item.key, item.title, item.detail, item.figure?.value, item.ageDays])).toEqual([
    ["move:1:1", "Move Lettuce of 24 Apr to leaf bank, channel 1", "from seed rack, shelf 1, tray 1", 24, 2],
  ]);
  expect(roundItems(input([batch(1, today - 9, [[0, today - 9, 30]])]))).toEqual([]);
});

test("what is ripe is picked for whom it is wanted; afterwards its lines are cleared and washed until that is done", () => {
  const standing = [[0, today - 30, 30], [1, today - 20, 24]] as const; // prettier-ignore
  expect(summary(input([batch(1, today - 30, standing)]))).toEqual([
    [`pick:5:1:${today}`, "Pick Lettuce for Stall, leaf bank, channel 1", 10, 0],
  ]);
  const over = [[0, today - 50, 30], [1, today - 40, 24]] as const; // prettier-ignore
  expect(summary(input([batch(1, today - 50, over)])).filter(([key]) => String(key).startsWith("wash"))).toEqual([
    ["wash:1:1", "Clear and wash leaf bank, channel 1", undefined, 15],
  ]);
  expect(summary(input([batch(1, today - 50, over, today - 2)]))).toEqual([]);
});

test("what was done or put off today is not asked again", () => {
  expect(summary(input([batch(1, today)], { settledKeys: new Set(["sow:1"]) }))).toEqual([]);
});

const stock = (exact: number) => ({
  tank: { letter: "A" as const, volumeL: 50, leftL: 5 }, salts: [{ id: 1, name: "potassium nitrate", tankG: 900 }], conflict: null,
  solubility: { fractions: [], verdict: "clear" as const, highestRatioR: 200, words: "" }, litresPerDay: 1, daysLeft: { exact, whole: Math.floor(exact) },
}); // prettier-ignore
const loop = (more: Partial<RoundLoop> = {}): RoundLoop => ({
  id: 3, name: "Leaf", kind: "recirculating", feeding: "stocks", workingL: 600, readEveryDays: 2, needLpd: 50, lastReading: { day: today - 3, levelL: 590 }, saltNames: ["potassium nitrate"],
  feed: { factor: 100, strength: 1, gPer1000L: [300], stocks: [stock(5)] } as unknown as RoundLoop["feed"], ...more,
}); // prettier-ignore

test("tanks: read when due, topped up by what the days have drunk, stocks mixed before they run out", () => {
  const items = roundItems(input([], { loops: [loop()] }));
  expect(items.map((item) => [item.key, item.figure?.value, item.ageDays])).toEqual([["reading:3", undefined, 1], ["top-up:3", 160, 0], ["mix:3:A", 50, 0]]); // prettier-ignore
  expect(items[1]!.amounts).toEqual([{ name: "stock A", value: 1.6, dimension: "dose" }, { name: "stock B", value: 1.6, dimension: "dose" }]); // prettier-ignore
  expect(items[2]!.cautions).toEqual(["salts", "lifting"]);
  const dry = roundItems(input([], { loops: [loop({ feeding: "dry" })] }));
  expect(dry.find((item) => item.kind === "top-up")!.amounts).toEqual([
    { name: "potassium nitrate", value: 48, dimension: "mass" },
  ]);
  expect(roundItems(input([], { loops: [loop({ lastReading: { day: today, levelL: 400 }, feed: null })] }))).toEqual(
    [],
  );
});

test("the store is read, a salt is ordered in time; the walk begins at the gate", () => {
  const shortage = {
    kind: "salt" as const,
    name: "potassium nitrate",
    day: today + 20,
    amount: 4000,
    dimension: "mass" as const,
  };
  const given = input([batch(1, today)], {
    store: { id: 2, name: "Cistern", readOn: today - 1 },
    loops: [loop()],
    shortages: [shortage, { ...shortage, name: "far off", day: today + 60 }],
  });
  expect(roundItems(given).map((item) => item.stop.name)).toEqual([
    "Gate and store",
    "Gate and store",
    "Tanks",
    "Tanks",
    "Tanks",
    "Tunnel",
  ]);
  expect(roundItems(given).slice(0, 2).map((item) => item.key)).toEqual(["store:2", "order:potassium nitrate"]); // prettier-ignore
});
