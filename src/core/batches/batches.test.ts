import { dayFromIso } from "../units/day";
import { linesTouched } from "./places/siteRuns";
import { workOutPlan } from "./plan";
import { plantsByStage } from "./timeline";
import type { PlanBatch, PlanInput, PlanOrder, PlanGrowingArea, PlanVariety } from "./types";
import { mendingSowDay, whatIfMove } from "./whatIfMove";

const today = dayFromIso("2027-03-01");
const flat = (days: number) => new Array<number>(12).fill(days);
const growingArea = (id: number, sites: number, cleaningDays = 0): PlanGrowingArea => ({
  id,
  name: `growing area ${id}`,
  sites,
  cleaningDays,
  sitesPerLine: new Array(Math.ceil(sites / 10)).fill(10),
  loops: [{ loopId: 7, share: 1 }],
});
const lettuce: PlanVariety = {
  id: 1,
  name: "lettuce",
  kind: "leaf",
  unit: { id: 1, name: "heads", divisible: false },
  foodSafetySensitive: false,
  germination: 1,
  seedsPerCell: 1,
  pattern: { kind: "once", unitsPerPlant: 1, keepsDays: 4 },
  stages: [
    { name: "nursery", growingAreaId: 1, daysByMonth: flat(10), survival: 1, needLpd: 0.05 },
    { name: "grow", growingAreaId: 2, daysByMonth: flat(20), survival: 0.8, needLpd: 0.2 },
  ],
};
const batch = (id: number, sowDay: number, targetPlants: number, more: Partial<PlanBatch> = {}): PlanBatch => ({
  id,
  varietyId: 1,
  sowDay,
  cells: Math.ceil(targetPlants / 0.8),
  targetPlants,
  begun: [],
  clearedDay: null,
  ...more,
});
const order = (id: number, weekday: number, quantity: number): PlanOrder => ({
  id,
  customerName: `customer ${id}`,
  varietyId: 1,
  weekday,
  quantity,
  from: today,
  to: today + 100,
});
const input = (batches: PlanBatch[], more: Partial<PlanInput> = {}): PlanInput => ({
  today,
  from: today - 10,
  to: today + 120,
  growingAreas: [growingArea(1, 60), growingArea(2, 60)],
  varieties: [lettuce],
  batches,
  orders: [],
  drainShareByLoop: {},
  ...more,
});

test("plants of a stage are those that the later losses leave the target of", () => {
  expect(plantsByStage({ cells: 60, targetPlants: 40 }, lettuce)).toEqual([60, 50]);
});

test("a plan follows a batch through its growing areas, serves the orders and counts the water", () => {
  const plan = workOutPlan(input([batch(1, today + 2, 40)], { orders: [order(1, 5, 25), order(2, 6, 10)] }));
  const [worked] = plan.batches;
  expect(worked!.stays.map(({ from, to, plants }) => [from - today, to - today, plants])).toEqual([
    [2, 12, 50],
    [12, 36, 50],
  ]);
  expect(worked!.readyDay - today).toBe(32);
  // Ready on Friday 2 April: Friday and Saturday are served that week, nothing before and after.
  expect(plan.deliveries.filter((d) => d.given > 0).map((d) => [d.day - today, d.orderId, d.given])).toEqual([
    [32, 1, 25],
    [33, 2, 10],
  ]);
  expect(plan.needLByLoop.get(7)![2 + 10]).toBeCloseTo(50 * 0.05, 9);
  expect(plan.needLByLoop.get(7)![12 + 10]).toBeCloseTo(50 * 0.2, 9);
  expect(plan.needL[40 + 10]).toBe(0);
});

test("what really happened goes before the plan, and an overdue move slips to today", () => {
  const plan = workOutPlan(
    input([batch(1, today - 30, 40, { begun: [{ position: 0, day: today - 20, plants: 45 }] })]),
  );
  const [nursery, grow] = plan.batches[0]!.stays;
  expect([nursery!.from, nursery!.to, nursery!.plants]).toEqual([today - 20, today, 45]);
  expect([grow!.from, grow!.plants]).toEqual([today, 45]);
});

test("a run-to-waste loop is given what drains on top of what is drunk", () => {
  const plan = workOutPlan(input([batch(1, today, 40)], { drainShareByLoop: { 7: 0.2 } }));
  expect(plan.needLByLoop.get(7)![10]).toBeCloseTo((50 * 0.05) / 0.8, 9);
});

test("what the air takes from open water belongs to the need of its loop, and is learned with it", () => {
  const openWaterLByLoop = { 7: new Float64Array(400).fill(3) };
  const more = { openWaterLByLoop, needFactorByLoop: { 7: 1.5 } };
  const [without, plan] = [{ needFactorByLoop: { 7: 1.5 } }, more].map((own) =>
    workOutPlan(input([batch(1, today, 40)], own)),
  );
  expect(plan!.needLByLoop.get(7)![10]! - without!.needLByLoop.get(7)![10]!).toBeCloseTo(4.5, 9);
  expect(plan!.needByClimateL[10]! - without!.needByClimateL[10]!).toBeCloseTo(4.5, 9);
});

test("where the climate is told a plant drinks by it, as the log has taught; a figure that was told to stand stands", () => {
  const et0MmByArea = {
    1: new Float64Array(400).fill(4),
    2: Float64Array.from({ length: 400 }, (_, day) => day / 100),
  };
  const follows = lettuce.stages.map(
    (stage) => ({ ...stage, needFrom: "climate", kc: 1, areaPerPlantM2: 0.05 }) as const,
  );
  const planned = (stages: PlanVariety["stages"], more: Partial<PlanInput> = {}) =>
    workOutPlan(input([batch(1, today + 2, 40)], { varieties: [{ ...lettuce, stages }], et0MmByArea, ...more }));
  const byClimate = planned(follows);
  expect(byClimate.needLByLoop.get(7)![2 + 10]).toBeCloseTo(50 * 4 * 0.05, 9);
  for (const at of [24, 30]) expect(byClimate.needLByLoop.get(7)![at]).toBeCloseTo(50 * (at / 100) * 0.05, 9);
  expect(planned(follows, { needFactorByLoop: { 7: 1.5 } }).needLByLoop.get(7)![30]).toBeCloseTo(
    50 * 0.3 * 0.05 * 1.5,
    9,
  );
  const figures = planned(follows.map((stage) => ({ ...stage, needFrom: "figure" })));
  expect(figures.needLByLoop.get(7)![12 + 10]).toBeCloseTo(50 * 0.2, 9);
  expect(planned(follows.map((stage) => ({ ...stage, kc: null }))).needL).toEqual(figures.needL);
});

test("moving a batch shows what breaks before the act, and a day that mends it", () => {
  const plan = input([batch(1, today + 2, 44), batch(2, today + 40, 40)], { orders: [order(1, 5, 25)] });
  const now = workOutPlan(plan);
  const held = whatIfMove(plan, now, 2, today + 10);
  expect(held.growingAreas).toEqual([
    expect.objectContaining({ growingAreaId: 1, sitesOver: 50 + 55 - 60, firstDay: today + 10 }),
    expect.objectContaining({ growingAreaId: 2 }),
  ]);
  expect(held.breaks).toBe(true);
  expect(mendingSowDay(plan, now, 2, today + 38)?.breaks).toBe(false);
  expect(mendingSowDay(plan, now, 2, today + 40)?.sowDay).not.toBe(today + 40);
});

test("the lines that a placement touches", () => {
  expect(linesTouched([10, 10, 10], [{ start: 9, end: 11 }])).toEqual([0, 1]);
  expect(linesTouched([10, 10, 10], [{ start: 30, end: 40 }])).toEqual([]);
});
