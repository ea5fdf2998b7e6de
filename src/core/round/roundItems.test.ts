import { areaPlaces } from "../batches/places/areaPlaces";
import { workOutPlan } from "../batches/plan";
import type { PlanBatch, PlanInput } from "../batches/types";
import { growingAreaSitesPerLine, type GrowingAreaStand } from "../place/lineWords";
import { STAND_MODELS } from "../place/kinds";
import type { ChannelBank, TrayRack } from "../place/stand";
import { dayFromIso } from "../units/day";
import { roundItems } from "./roundItems";
import { plannedFigure } from "./log";
import type { RoundInput, RoundItem, RoundLoop, RoundGrowingArea } from "./types";

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
  kind: "channel-bank",
  lines: 6,
  lineLengthM: 6,
  channelWidthM: 0.1,
  channelDepthM: 0.05,
  endMarginM: 0.125,
  pitchM: 0.25,
  holeMm: 50,
  gapM: 0.1,
  linesPerBlock: 6,
  aisleM: 0.6,
  linesPerValve: 6,
  fallOneIn: 40,
  lineFlowLph: 90,
};
const stands: readonly (readonly GrowingAreaStand[])[] = [
  [{ id: 1, name: "Rack", spec: rack }],
  [{ id: 2, name: "Bank", spec: bank }],
];

function input(batches: readonly PlanBatch[], more: Partial<RoundInput> = {}): RoundInput {
  const growingAreas = stands.map((own, index) => {
    const sitesPerLine = growingAreaSitesPerLine(own);
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
    today,
    from: today - 60,
    to: today + 60,
    growingAreas,
    batches,
    drainShareByLoop: {},
    varieties: [
      {
        id: 1,
        name: "Lettuce",
        kind: "leaf",
        unit: { id: 1, name: "heads", divisible: false },
        foodSafetySensitive: false,
        germination: 0.9,
        seedsPerCell: 2,
        pattern: { kind: "once", unitsPerPlant: 1, keepsDays: 5 },
        stages: [
          { name: "sprout", growingAreaId: 1, daysByMonth: flat(10), survival: 1, needLpd: 0 },
          { name: "grow", growingAreaId: 2, daysByMonth: flat(20), survival: 1, needLpd: 0.1 },
        ],
      },
    ],
    orders: [
      { id: 5, customerName: "Stall", varietyId: 1, weekday: 4, quantity: 10, from: today - 60, to: today + 60 },
    ],
  };
  const plan = workOutPlan(planInput);
  const roundGrowingAreas = growingAreas.map((growingArea, index): RoundGrowingArea => ({
    ...growingArea,
    houseName: "Tunnel",
    houseOrder: 1,
    order: index,
    stands: stands[index]!,
    placed: areaPlaces(
      growingArea,
      plan.batches.flatMap((batch) => batch.stays).filter((stay) => stay.growingAreaId === growingArea.id),
      { today },
    ),
  }));
  return {
    today,
    plan,
    growingAreas: roundGrowingAreas,
    loops: [],
    store: null,
    shortages: [],
    seedOrders: [],
    catchCans: [],
    settledKeys: new Set(),
    pickedByBatch: new Map(),
    ...more,
  };
}

const batch = (
  id: number,
  sowDay: number,
  begun: readonly (readonly [number, number, number])[] = [],
  clearedDay: number | null = null,
): PlanBatch => ({
  id,
  varietyId: 1,
  sowDay,
  cells: 30,
  targetPlants: 24,
  begun: begun.map(([position, day, plants]) => ({ position, day, plants })),
  clearedDay,
});
const figureOf = ({ task }: RoundItem) =>
  task.kind === "sow" || task.kind === "pick" || task.kind === "top-up" || task.kind === "mix"
    ? plannedFigure(task)
    : null;
const summary = (given: RoundInput) => roundItems(given).map((item) => [item.key, figureOf(item), item.ageDays]);

test("a sowing that is due is on the round with its cells and place; one that was missed says how late it is", () => {
  expect(summary(input([batch(1, today), batch(2, today - 3), batch(3, today + 1)]))).toEqual([
    ["sow:2", 30, 3],
    ["sow:1", 30, 0],
  ]);
  expect(roundItems(input([batch(1, today)]))[0]!.task).toEqual({
    kind: "sow",
    batchId: 1,
    variety: "Lettuce",
    where: { growingArea: "Seed rack", lines: "shelf 1, tray 1" },
    cells: 30,
    inTrays: false,
    seedsPerCell: 2,
    targetPlants: 24,
    readyDay: today + 30,
  });
});

test("plants move from line to line once they are in the stage before, and not before they are ready", () => {
  const ready = roundItems(input([batch(1, today - 12, [[0, today - 12, 30]])]));
  expect(ready.map(({ key, ageDays }) => [key, ageDays])).toEqual([["move:1:1", 2]]);
  expect(ready[0]!.task).toMatchObject({
    sownOn: today - 12,
    plants: 24,
    from: { growingArea: "Seed rack", lines: "shelf 1, tray 1" },
    where: { growingArea: "Leaf bank", lines: "channel 1" },
  });
  expect(roundItems(input([batch(1, today - 9, [[0, today - 9, 30]])]))).toEqual([]);
});

test("what is ripe is picked for whom it is wanted; afterwards its lines are cleared and washed until that is done", () => {
  const standing = [
    [0, today - 30, 30],
    [1, today - 20, 24],
  ] as const;
  expect(summary(input([batch(1, today - 30, standing)]))).toEqual([[`pick:5:1:${today}`, 10, 0]]);
  const over = [
    [0, today - 50, 30],
    [1, today - 40, 24],
  ] as const;
  expect(summary(input([batch(1, today - 50, over)])).filter(([key]) => String(key).startsWith("wash"))).toEqual([
    ["wash:1:1", null, 15],
  ]);
  expect(summary(input([batch(1, today - 50, over, today - 2)]))).toEqual([]);
});

test("clearing comes after the last pick, and says how much was never picked", () => {
  // Ripe today, Thursday, and over today: the pick is due and so is the line.
  const standing = [
    [0, today - 34, 30],
    [1, today - 24, 24],
  ] as const;
  const given = input([batch(1, today - 34, standing), batch(2, today - 50, [[0, today - 50, 30]])]);
  const stay = given.plan.batches[0]!.stays[1]!;
  const over = {
    ...given,
    growingAreas: given.growingAreas.map((growingArea) => ({
      ...growingArea,
      placed: growingArea.placed.map((placed) =>
        placed.stay === stay ? { ...placed, stay: { ...stay, to: today } } : placed,
      ),
    })),
  };
  const keys = (more: Partial<RoundInput>) =>
    roundItems({ ...over, ...more })
      .map(({ key }) => key)
      .filter((key) => /:1/u.test(key));
  const pickKey = `pick:5:1:${today}`;
  expect(keys({})).toContain(pickKey);
  expect(keys({})).not.toContain("wash:1:1");
  const picked = { settledKeys: new Set([pickKey]), pickedByBatch: new Map([[1, 10]]) };
  expect(keys(picked)).toContain("wash:1:1");
  const clearing = roundItems({ ...over, ...picked }).find(({ key }) => key === "wash:1:1")!;
  expect(clearing.task).toMatchObject({
    clears: true,
    unitsLeft: { units: 14, unit: { id: 1, name: "heads", divisible: false } },
  });
  // The line of a stay is washed after everything that is alive at the stop.
  expect(roundItems({ ...over, ...picked }).at(-1)!.task.kind).toBe("wash");
});

test("a reading out of band asks to be brought back until that is done; a dose asks to be read again", () => {
  const kinds = (more: Partial<RoundLoop>) =>
    roundItems(input([], { loops: [loop({ lastReading: { day: today, levelL: 590 }, feed: null, ...more })] })).map(
      ({ task, key }) => [task.kind, key],
    );
  expect(kinds({})).toEqual([]);
  expect(kinds({ outOfBand: { entryId: 9, day: today } })).toEqual([["bring-back", "bring-back:9"]]);
  const dosed = { entryId: 12, day: today, at: new Date("2027-05-06T08:00:00Z") };
  expect(kinds({ dosed })).toEqual([["read-again", "read-again:12"]]);
  const [again] = roundItems(input([], { loops: [loop({ dosed, feed: null })] }));
  expect(again!.from).toEqual(new Date("2027-05-06T08:20:00Z"));
});

test("what was done or skipped today is not asked again", () => {
  expect(summary(input([batch(1, today)], { settledKeys: new Set(["sow:1"]) }))).toEqual([]);
});

const stock = (exact: number) => ({
  tank: { letter: "A" as const, volumeL: 50, leftL: 5 },
  salts: [{ id: 1, name: "potassium nitrate", tankG: 900 }],
  conflict: null,

  litresPerDay: 1,
  daysLeft: { exact, whole: Math.floor(exact) },
});
const loop = (more: Partial<RoundLoop> = {}): RoundLoop => ({
  id: 3,
  name: "Leaf",
  kind: "recirculating",
  feeding: "stocks",
  normalFillL: 600,
  readEveryDays: 2,
  needLpd: 50,
  lastReading: { day: today - 3, levelL: 590 },
  salts: [
    {
      ...{ id: 1, name: "potassium nitrate" },
      lots: [
        { name: "next", receivedOn: today - 90, openedOn: null, usedUpOn: null },
        { name: "gone", receivedOn: today - 200, openedOn: today - 190, usedUpOn: today - 60 },
        { name: "open", receivedOn: today - 70, openedOn: today - 60, usedUpOn: null },
      ],
    },
  ],
  outOfBand: null,
  dosed: null,
  changeDue: null,
  calibrationDue: null,
  feed: { factor: 100, strength: 1, gPer1000L: [300], stocks: [stock(5)] } as unknown as RoundLoop["feed"],
  ...more,
});

test("an injector is calibrated when that is due", () => {
  const calibrationDue = { due: today - 3, since: today - 93, ratioR: 100 };
  const items = roundItems(input([], { loops: [loop({ calibrationDue, lastReading: null, feed: null })] }));
  expect(items.find(({ key }) => key === "calibrate:3")).toMatchObject({
    ageDays: 3,
    task: { loop: "Leaf", ratioR: 100 },
  });
});

test("a solution that is due is changed with a fresh fill, and not topped up before", () => {
  const changeDue = { due: today - 2, since: today - 30, rule: { kind: "weeks", weeks: 4 } } as const;
  const items = roundItems(input([], { loops: [loop({ changeDue, lastReading: { day: today, levelL: 500 } })] }));
  expect(items.map(({ key, ageDays }) => [key, ageDays])).toEqual([
    ["change-solution:3", 2],
    ["mix:3:A", 0],
  ]);
  // 600 L at 1:100 of each stock.
  expect(items[0]!.amounts.map(({ value }) => value)).toEqual([6, 6]);
  expect(items[0]!.cautions).toEqual(["discharge", "electric"]);
});

test("tanks: read when due, topped up by what the days have drunk, stocks mixed before they run out", () => {
  const items = roundItems(input([], { loops: [loop()] }));
  expect(items.map((item) => [item.key, figureOf(item), item.ageDays])).toEqual([
    ["reading:3", null, 1],
    ["top-up:3", 160, 0],
    ["mix:3:A", 45, 0],
  ]);
  expect(items[1]!.amounts).toEqual([
    { of: { kind: "stock", letter: "A" }, name: "stock A", value: 1.6, dimension: "dose" },
    { of: { kind: "stock", letter: "B" }, name: "stock B", value: 1.6, dimension: "dose" },
  ]);
  expect(items[2]!.cautions).toEqual(["salts", "lifting"]);
  // Salts for the 45 L that come onto 5 L at strength; the bag that is open goes first.
  expect(items[2]!.amounts).toMatchObject([{ value: 810, lots: ["open", "next"] }]);
  const dry = roundItems(input([], { loops: [loop({ feeding: "dry" })] }));
  expect(dry.find(({ task }) => task.kind === "top-up")!.amounts).toEqual([
    { of: { kind: "salt", saltId: 1 }, name: "potassium nitrate", value: 48, dimension: "mass" },
  ]);
  expect(roundItems(input([], { loops: [loop({ lastReading: { day: today, levelL: 400 }, feed: null })] }))).toEqual(
    [],
  );
});

test("the store is read, a salt is ordered in time; the walk begins at the gate", () => {
  const shortage = {
    kind: "salt" as const,
    id: 1,
    name: "potassium nitrate",
    day: today + 20,
    orderBy: today + 6,
    amount: 4000,
    dimension: "mass" as const,
  };
  const given = input([batch(1, today)], {
    store: { id: 2, name: "Cistern", readOn: today - 1 },
    loops: [loop()],
    shortages: [shortage, { ...shortage, name: "far off", day: today + 60, orderBy: today + 8 }],
  });
  expect(roundItems(given).map((item) => item.stop.key)).toEqual([
    "gate",
    "gate",
    "tanks",
    "tanks",
    "tanks",
    "house:Tunnel",
  ]);
  expect(
    roundItems(given)
      .slice(0, 2)
      .map((item) => item.key),
  ).toEqual(["store:2", "order:1"]);
});

test("emitters that the catch cans found are flushed where they are, until that was done", () => {
  const test = { volumesMl: [80, 79, 0, 81, 150, 80], durationS: 180, nominalFlowLph: 1.6, runHoursPerDay: 1 };
  const found = { entryId: 7, day: today - 2, stand: "Beds", houseName: "Net house", houseOrder: 0, line: 8, test };
  const given = input([], {
    catchCans: [found, { ...found, entryId: 8, test: { ...test, volumesMl: [80, 81, 80, 79] } }],
  });
  expect(roundItems(given)).toEqual([
    expect.objectContaining({
      key: "flush:7",
      stop: expect.objectContaining({ name: "Net house" }),
      ageDays: 2,
      task: expect.objectContaining({ kind: "flush", line: 8, blocked: [3], blown: [5] }),
    }),
  ]);
  expect(roundItems({ ...given, settledKeys: new Set(["flush:7"]) })).toEqual([]);
});

test("a sowing that must be up is counted shortly before, goes on being missed, and is over once it is counted or moved on", () => {
  const due = (days: number, begun: readonly (readonly [number, number, number])[], count: object = {}) => {
    const sown = batch(1, today - days, begun);
    const counted = { ...sown, begun: sown.begun.map((stage) => ({ ...stage, ...count })) };
    const given = input([counted]);
    const plan = {
      ...given.plan,
      batches: given.plan.batches.map((one) => ({ ...one, variety: { ...one.variety, upWithinDays: 8 } })),
    };
    return roundItems({ ...given, plan }).filter(({ key }) => key.startsWith("count:"));
  };
  expect(due(5, [[0, today - 5, 30]])).toEqual([]);
  expect(due(6, [[0, today - 6, 30]])).toMatchObject([{ task: { seeds: 60, upBy: today + 2 }, ageDays: 0 }]);
  expect(due(9, [[0, today - 9, 30]])).toMatchObject([{ ageDays: 1, due: today - 1 }]);
  expect(due(9, [[0, today - 9, 30]], { countedOf: 60, countedUp: 50, countedOn: today })).toEqual([]);
  expect(
    due(12, [
      [0, today - 12, 30],
      [1, today - 1, 28],
    ]),
  ).toEqual([]);
});

test("seed that runs short stands at the gate from a week before the last day to order it", () => {
  const order = { varietyId: 1, variety: "Lettuce", gramsToBuy: 3, shortOn: today + 20, orderBy: today + 7 };
  const found = (orderBy: number) =>
    roundItems(input([], { seedOrders: [{ ...order, orderBy }] })).filter(({ key }) => key === "order-seed:1");
  expect(found(today + 8)).toEqual([]);
  expect(found(today + 7)).toMatchObject([{ task: { kind: "order", salt: "Lettuce seed", grams: 3 } }]);
  expect(found(today - 2)).toMatchObject([{ ageDays: 2 }]);
});

test("steps of a stage come on their day, by days or by the clock, and go once they are done or the plants have moved on", () => {
  const step = (id: number, kind: "thin" | "harden", due: object) => ({ id, kind, stageNumber: 2, due, note: "" });
  const steps = [step(7, "thin", { kind: "days", days: 3 }), step(8, "harden", { kind: "share", share: 0.75 })];
  const keys = (daysAgo: number, more: Partial<RoundInput> = {}, asItStood = false) => {
    const raised = batch(1, today - 40, [
      [0, today - 40, 30],
      [1, today - daysAgo, 28],
    ]);
    const begun = raised.begun.map((stage) => ({ ...stage, asItStood }));
    const given = input([{ ...raised, begun }], more);
    const batches = given.plan.batches.map((one) => ({ ...one, variety: { ...one.variety, steps } as never }));
    return roundItems({ ...given, plan: { ...given.plan, batches } }).flatMap(({ key }) =>
      key.startsWith("step:") ? [key] : [],
    );
  };
  expect(keys(2)).toEqual([]);
  expect(keys(3)).toEqual(["step:1:7"]);
  // The stage takes 20 days: three quarters are past after 15.
  expect(keys(15)).toEqual(["step:1:7", "step:1:8"]);
  expect(keys(15, { settledKeys: new Set(["step:1:7"]) })).toEqual(["step:1:8"]);
  expect(keys(18)).toEqual(["step:1:8"]);
  // What was entered as it stood is asked for from today on only.
  expect([keys(3, {}, true), keys(4, {}, true)]).toEqual([["step:1:7"], []]);
});

test("on graded lines plants move on from zone to zone, an even part of the stage in each; a sowing names its lot", () => {
  const along = (daysAgo: number) => {
    const given = input([
      batch(1, today - 40, [
        [0, today - 40, 30],
        [1, today - daysAgo, 28],
      ]),
    ]);
    const spec = {
      ...STAND_MODELS["channel-bank"].example,
      zones: [1, 2, 3].map((part) => ({ lengthM: 2, pitchM: part / 10, weeks: 1 })),
    };
    const growingAreas = given.growingAreas.map((area, at) =>
      at === 1 ? { ...area, stands: [{ id: 1, name: "Bank", spec }] } : area,
    );
    return roundItems({ ...given, growingAreas }).flatMap(({ key, task }) =>
      key.startsWith("along:") && task.kind === "step" ? [[task.fromZone, task.plants]] : [],
    );
  };
  // The stage takes 20 days, in each zone a third of them as its week is a third of all weeks.
  expect(along(6)).toEqual([]);
  expect(along(7)).toEqual([[1, 28]]);
  expect(along(14)).toEqual([
    [1, 28],
    [2, 28],
  ]);
  const sown = input([batch(1, today)]);
  const lots = [
    { name: "L 1", onHandG: 0 },
    { name: "L 2", onHandG: 3 },
  ];
  const batches = sown.plan.batches.map((one) => ({ ...one, variety: { ...one.variety, lots } }));
  const [sow] = roundItems({ ...sown, plan: { ...sown.plan, batches } });
  expect(sow!.task).toMatchObject({ kind: "sow", lot: "L 2" });
});

test("seed that soaks stands on the round so long before its sowing, whole days up, until it is sown", () => {
  const soaked = (sowDay: number, soakH: number, begun: readonly (readonly [number, number, number])[] = []) => {
    const given = input([batch(1, sowDay, begun)]);
    const batches = given.plan.batches.map((one) => ({ ...one, variety: { ...one.variety, soakH, seedsPerG: 10 } }));
    return roundItems({ ...given, plan: { ...given.plan, batches } }).filter(({ key }) => key === "soak:1");
  };
  expect(soaked(today + 2, 10)).toEqual([]);
  expect(soaked(today + 1, 10)).toMatchObject([{ ageDays: 0, task: { step: "soak", soak: { seedG: 6, soakH: 10 } } }]);
  expect(soaked(today + 2, 30)).toMatchObject([{ due: today }]);
  expect(soaked(today, 10)).toMatchObject([{ ageDays: 1 }]);
  expect(soaked(today, 0)).toEqual([]);
  expect(soaked(today, 10, [[0, today, 30]])).toEqual([]);
});
