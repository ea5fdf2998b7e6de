import type { SupplyHorizon } from "../water/supply";
import type { Plan } from "./plan";
import { saltUse, shortages } from "./shortages";

const today = 21_000;
const plan = {
  from: today - 2,
  to: today + 4,
  today,
  needLByLoop: new Map<number | "hand", Float64Array>([
    [1, new Float64Array([900, 900, 10, 10, 20, 20])],
    [2, new Float64Array([0, 0, 5, 5, 5, 5])],
  ]),
  growingAreas: [
    {
      growingAreaId: 1,
      sites: 10,
      plants: new Int32Array([50, 50, 8, 9, 12, 15]),
      blocked: new Int32Array([0, 0, 2, 2, 0, 0]),
    },
    { growingAreaId: 2, sites: 10, plants: new Int32Array([50, 50, 10, 10, 10, 10]), blocked: new Int32Array(6) },
  ],
} as unknown as Plan;
const growingAreas = [
  { id: 1, name: "Nursery" },
  { id: 2, name: "Leaf bank" },
] as never;
const supply = (firstShort: SupplyHorizon["firstShort"]) => ({ firstShort }) as SupplyHorizon;
const salt = (onHandG: number) => ({
  id: 1,
  name: "potassium nitrate",
  onHandG,
  leadDays: 10,
  gPerLByLoop: new Map([
    [1, 0.4],
    [2, 1],
  ]),
});

test("a salt runs out on the day its use from today passes what is there; the past is not counted again", () => {
  // Day by day 4 + 5, 4 + 5, 8 + 5, 8 + 5.
  const [use] = saltUse(plan, [salt(20)]);
  expect(use!.wantedG).toBeCloseTo(44, 9);
  expect(use!.firstShort).toEqual({ day: today + 2, grams: expect.closeTo(24, 9), orderBy: today - 8 });
  expect(saltUse(plan, [salt(44)])[0]!.firstShort).toBeNull();
});

test("shortages come first day first, each with what and by how much; what fits exactly is none", () => {
  const found = shortages(plan, growingAreas, supply({ day: today + 3, litres: 12 }), saltUse(plan, [salt(20)]));
  expect(found).toEqual([
    { kind: "sites", id: 1, name: "Nursery", day: today + 1, amount: 1, dimension: "count" },
    {
      kind: "salt",
      id: 1,
      name: "potassium nitrate",
      day: today + 2,
      amount: expect.closeTo(24, 9),
      dimension: "mass",
      orderBy: today - 8,
    },
    { kind: "water", id: null, name: "Water", day: today + 3, amount: 12, dimension: "volume" },
  ]);
  expect(shortages(plan, [], supply(null), [])).toHaveLength(1);
});
