import { dayFromIso } from "../units/day";
import { deliveryStates } from "./deliveryStates";
import { areaPlaces } from "./places/areaPlaces";
import { workOutPlan } from "./plan";
import type { PlanBatch, PlanInput, PlanGrowingArea } from "./types";

const today = dayFromIso("2027-03-01");
const flat = (days: number) => new Array<number>(12).fill(days);
const input = (batch: Partial<PlanBatch>, sites = 60): PlanInput => {
  const areas: PlanGrowingArea[] = [
    { id: 1, name: "Bank", sites, cleaningDays: 0, sitesPerLine: [sites], loops: [{ loopId: null, share: 1 }] },
  ];
  const stages = [{ name: "grow", growingAreaId: 1, daysByMonth: flat(20), survival: 1, needLpd: 0.1 }];
  return {
    today,
    from: today - 40,
    to: today + 60,
    growingAreas: areas,
    varieties: [
      {
        id: 1,
        name: "lettuce",
        kind: "leaf",
        unit: { id: 1, name: "heads", divisible: false },
        foodSafetySensitive: false,
        germination: 1,
        seedsPerCell: 1,
        pattern: { kind: "once", unitsPerPlant: 1, keepsDays: 4 },
        stages,
      },
    ],
    batches: [
      { id: 1, varietyId: 1, sowDay: today - 18, cells: 30, targetPlants: 30, begun: [], clearedDay: null, ...batch },
    ],
    orders: [
      { id: 5, customerName: "Stall", varietyId: 1, weekday: 4, quantity: 10, from: today - 40, to: today + 60 },
    ],
    drainShareByLoop: {},
  };
};
const sown = [{ position: 0, day: today - 18, plants: 30 }];
const states = (given: PlanInput, picked: Parameters<typeof deliveryStates>[2] = []) => {
  const plan = workOutPlan(given);
  const placed = given.growingAreas.map((growingArea) =>
    areaPlaces(
      growingArea,
      plan.batches.flatMap(({ stays }) => stays),
      { today: given.today },
    ),
  );
  return new Map(deliveryStates(plan, placed, picked).map(({ day, state }) => [day - today, state]));
};

test("a delivery is met when its plants are sown, have sites and give enough", () => {
  // Ready on Wednesday 3 March; Thursday is served, a week later nothing is left.
  const found = states(input({ begun: sown }));
  expect(found.get(3)).toEqual({ kind: "met" });
  expect(found.get(10)).toEqual({ kind: "short", missing: 10 });
});

test("plants without sites, a sowing that is past and a pick that was lost are not met", () => {
  expect(states(input({ begun: sown }, 12)).get(3)).toEqual({
    kind: "no-sites",
    batchId: 1,
    growingAreaId: 1,
    plants: 30,
  });
  // Sown today at the earliest: Thursday in three weeks and a half could be served, if it were.
  expect(states(input({ sowDay: today - 1 })).get(24)).toEqual({ kind: "not-sown", batchId: 1, due: today - 1 });
  const old = { begun: [{ position: 0, day: today - 25, plants: 30 }], sowDay: today - 25 };
  expect(states(input(old)).get(-4)).toEqual({ kind: "not-picked", missing: 10 });
  expect(states(input(old), [{ orderId: 5, day: today - 4, units: 7 }]).get(-4)).toEqual({
    kind: "not-picked",
    missing: 3,
  });
  expect(states(input(old), [{ orderId: 5, day: today - 4, units: 10 }]).get(-4)).toEqual({ kind: "met" });
});

test("a line that was cleared gives nothing any more", () => {
  expect(states(input({ begun: sown, clearedDay: today })).get(3)).toEqual({ kind: "short", missing: 10 });
});
