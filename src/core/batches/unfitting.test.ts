import { dayFromIso } from "../units/day";
import { workOutPlan } from "./plan";
import type { PlanInput } from "./types";
import { sownForAlone, unfitting } from "./unfitting";

const today = dayFromIso("2027-03-01");
const variety = {
  id: 1,
  name: "Lettuce",
  kind: "leaf",
  unit: { id: 1, name: "heads", divisible: false },
  foodSafetySensitive: false,
  germination: 1,
  seedsPerCell: 1,
  pattern: { kind: "once", unitsPerPlant: 1, keepsDays: 2 },
  stages: [
    { name: "nursery", growingAreaId: 1, daysByMonth: Array(12).fill(10), survival: 1, needLpd: 0.1 },
    { name: "grow", growingAreaId: 2, daysByMonth: Array(12).fill(30), survival: 1, needLpd: 0.1 },
  ],
} as const;
const area = (id: number, name: string, sites: number) => ({
  id,
  name,
  sites,
  cleaningDays: 0,
  sitesPerLine: [sites],
  loops: [],
});
const batch = (id: number, sowDay: number, plants: number) => ({
  id,
  varietyId: 1,
  sowDay,
  cells: plants,
  targetPlants: plants,
  begun: [],
  clearedDay: null,
});
const input: PlanInput = {
  today,
  from: today - 30,
  to: today + 200,
  growingAreas: [area(1, "Nursery", 50), area(2, "Bed", 60)],
  varieties: [variety],
  batches: [batch(1, today + 5, 40)],
  orders: [],
  drainShareByLoop: {},
};
const wished = (sowDay: number, plants: number) => ({
  varietyId: 1,
  sowDay,
  readyDay: sowDay + 40,
  cells: plants,
  targetPlants: plants,
});

test("what does not fit is told by area, from when to when and by how many, before it is added", () => {
  expect(unfitting(input, [wished(today + 30, 20)])).toEqual([]);
  // With the 40 that stand in the bed from day 15 to 47: 30 more from day 30 to 60 are 10 too many.
  expect(unfitting(input, [wished(today + 20, 30)])).toMatchObject([
    { name: "Bed", sites: 60, from: today + 30, most: 10, to: today + 46 },
  ]);
  expect(unfitting(input, [wished(today + 20, 2000)])).toMatchObject([
    { name: "Nursery", from: today + 20, most: 1950 },
    { name: "Bed", from: today + 30, most: 1980 },
  ]);
});

test("what is too full already counts only so far as it gets worse; a day past the plan is looked at too", () => {
  const full = { ...input, batches: [batch(1, today + 5, 100)] };
  expect(unfitting(full, [wished(today + 5, 10)]).map(({ name, most }) => [name, most])).toEqual([
    ["Nursery", 10],
    ["Bed", 10],
  ]);
  expect(unfitting(input, [wished(today + 400, 70)]).map(({ name, most }) => [name, most])).toEqual([
    ["Nursery", 20],
    ["Bed", 10],
  ]);
});

test("batches that an order alone takes go with it; those that stand or serve others stay", () => {
  const order = (id: number, from: number) => ({
    id,
    customerName: "",
    varietyId: 1,
    weekday: 1,
    quantity: 10,
    from,
    to: from + 3,
  });
  const plan = workOutPlan({
    ...input,
    batches: [
      batch(1, today + 2, 10),
      batch(2, today + 30, 10),
      { ...batch(3, today - 5, 10), begun: [{ position: 0, day: today - 5, plants: 10 }] },
    ],
    orders: [order(7, today + 42), order(8, today + 70)],
  });
  expect([sownForAlone(plan, 7), sownForAlone(plan, 8)]).toEqual([[1], [2]]);
});
