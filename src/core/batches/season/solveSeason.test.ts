import fc from "fast-check";
import { readFileSync } from "node:fs";
import { warmSolver } from "../../../../tests/engines/highs";
import { problemOf, type Instance } from "../../../../tests/reference/seasonInstance";
import type { OpenProgram } from "../../numeric/warmProgram";
import { checkPlan } from "./checkPlan";
import type { SeasonPlan, SeasonProblem, Sowing } from "./problem";
import { explainPlan } from "./explain";
import { solveSeason, type SeasonResult } from "./solveSeason";
import { worthOfMore } from "./worthOfMore";

let open: OpenProgram;
beforeAll(async () => {
  open = await warmSolver();
});

/** Solves with so many looks at the most. */
function solved(problem: SeasonProblem, { gap = 0, looks = 60, start = null as SeasonPlan | null } = {}) {
  let count = 0;
  const result = solveSeason(problem, { open, gap, start, look: () => (++count > looks ? "enough" : undefined) });
  return result as Extract<SeasonResult, { kind: "plan" }>;
}

const FOLDER = "tests/reference/batches/season";
test.each([
  ["a-small-3x12", 0, 1e-6],
  ["b-6x26", 0.01, 0.015],
  ["c-8x26-labour-minbatch", 0.02, 0.02],
])("%s: the bound holds what is proved, and the plan comes near it", (name, gap, within) => {
  const instance = JSON.parse(readFileSync(`${FOLDER}/${name}.json`, "utf8")) as Instance;
  const { plan, value, bound } = solved(problemOf(instance), { gap, looks: 400 });
  expect(checkPlan(problemOf(instance), plan).broken).toEqual([]);
  expect(bound).toBeGreaterThanOrEqual(instance.reference.objective - 1e-4);
  expect(value).toBeLessThanOrEqual(instance.reference.provenUpperBound + 1e-4);
  expect(bound - value).toBeLessThanOrEqual(within * bound);
  expect(value).toBeGreaterThan(0.99 * instance.reference.objective);
});

const count = (most: number) => fc.integer({ min: 0, max: most });
const sowingOf = (days: number) =>
  fc
    .record({
      day: count(days - 4),
      first: fc.integer({ min: 1, max: 3 }),
      second: fc.integer({ min: 1, max: 4 }),
      least: fc.integer({ min: 1, max: 2 }),
    })
    .map(({ day, first, second, least }): Sowing => ({
      ...{ variety: 0, day, fixed: null, least, most: 3, cost: 1.5, pickMinutesPerUnit: 0.5 },
      stays: [
        { area: 0, from: day, to: day + first, plants: 6, litres: 0.6 },
        { area: 1, from: day + first, to: day + first + second, plants: 5, litres: 1.5 },
      ],
      lots: [{ from: day + first + second, until: day + first + second + 4, units: 4.5 }],
      work: [{ day, minutes: 4 }],
      held: { area: 1, plants: 1, litres: 0.3 },
    }));
const smallProblem = fc
  .record({
    sowings: fc.array(sowingOf(16), { minLength: 1, maxLength: 5 }),
    orders: fc.array(fc.record({ day: fc.integer({ min: 3, max: 15 }), units: fc.integer({ min: 1, max: 12 }) }), {
      minLength: 1,
      maxLength: 4,
    }),
    sites: fc.tuple(fc.integer({ min: 0, max: 20 }), fc.integer({ min: 0, max: 20 })),
    inflow: count(4),
    minutes: count(30),
  })
  .map(({ sowings, orders, sites, inflow, minutes }): SeasonProblem => ({
    days: 16,
    areas: [
      { id: "nursery", sites: sites[0] },
      { id: "bank", sites: sites[1] },
    ],
    water: { inflowL: new Array<number>(16).fill(inflow), mostL: 12, startL: 6 },
    labourMinutes: [minutes, minutes, minutes],
    waterPricePerL: 0.01,
    varieties: [{ id: "lettuce", wastePerUnit: 0.2 }],
    sowings,
    orders: orders.map(({ day, units }) => ({ variety: 0, day, units, valueEach: 2, weight: 1 })),
  }));

/** The best value of all whole units, each settled by the relaxation. */
function bestOfAll(problem: SeasonProblem): number {
  const choices = problem.sowings.map(({ least, most }) => [
    0,
    ...Array.from({ length: most - least + 1 }, (_, i) => least + i),
  ]);
  let best = -Infinity;
  const walk = (at: number, units: number[]) => {
    if (at === choices.length) {
      const fixed = {
        ...problem,
        sowings: problem.sowings.map((sowing, index) => ({ ...sowing, fixed: units[index]! })),
      };
      const found = solveSeason(fixed, { open, gap: 0, look: () => "enough" });
      const cost = units.reduce((sum, count, index) => sum + count * problem.sowings[index]!.cost, 0);
      if (found.kind === "plan") best = Math.max(best, found.value - cost);
      return;
    }
    for (const choice of choices[at]!) walk(at + 1, [...units, choice]);
  };
  walk(0, []);
  return best;
}

test("a plan never breaks its limits, no plan is over its bound, and a small one is as good as trying all (seed 5)", () => {
  fc.assert(
    fc.property(smallProblem, (problem) => {
      const { plan, value, bound } = solved(problem);
      expect(checkPlan(problem, plan).broken).toEqual([]);
      expect(value).toBeLessThanOrEqual(bound + 1e-6);
      const best = bestOfAll(problem);
      expect(bound).toBeGreaterThanOrEqual(best - 1e-6);
      expect(value).toBeCloseTo(best, 4);
    }),
    { seed: 5, numRuns: 25, endOnFailure: true },
  );
});

test("more of a limit lowers neither the bound nor the best plan of a small problem (seed 6)", () => {
  fc.assert(
    fc.property(
      smallProblem,
      fc.integer({ min: 1, max: 6 }),
      fc.constantFrom("sites", "water", "minutes"),
      (problem, more, what) => {
        const larger: SeasonProblem = {
          ...problem,
          ...(what === "sites" && {
            areas: problem.areas.map(({ id, sites }) => ({ id, sites: (sites as number) + more })),
          }),
          ...(what === "water" && {
            water: { ...problem.water!, inflowL: problem.water!.inflowL.map((one) => one + more) },
          }),
          ...(what === "minutes" && { labourMinutes: problem.labourMinutes!.map((one) => one + more) }),
        };
        const [before, after] = [solved(problem), solved(larger)];
        expect(after.bound).toBeGreaterThanOrEqual(before.bound - 1e-6);
        expect(after.value).toBeGreaterThanOrEqual(before.value - 1e-6);
      },
    ),
    { seed: 6, numRuns: 40, endOnFailure: true },
  );
});

test("solved again from its own plan, nothing changes", () => {
  const instance = JSON.parse(readFileSync(`${FOLDER}/b-6x26.json`, "utf8")) as Instance;
  const problem = problemOf(instance);
  const first = solved(problem, { gap: 0.01, looks: 300 });
  const again = solved(problem, { gap: 0.01, looks: 300, start: first.plan });
  expect(again.isUnchanged).toBe(true);
  expect(again.plan).toEqual(first.plan);
});

test("what is in the ground alone may be too much", () => {
  const instance = JSON.parse(readFileSync(`${FOLDER}/a-small-3x12.json`, "utf8")) as Instance;
  const problem = problemOf(instance);
  const none = { ...problem, areas: problem.areas.map(({ id }) => ({ id, sites: 0 })) };
  expect(solveSeason(none, { open, gap: 0.01, look: () => undefined }).kind).toBe("no-room");
});

test("an order that goes short names limits that one more sowing really breaks (seed 8)", () => {
  let limited = 0;
  fc.assert(
    fc.property(smallProblem, (problem) => {
      const { plan } = solved(problem);
      for (const { order, wanted, given, why } of explainPlan(problem, plan)) {
        expect(given).toBeLessThan(wanted);
        if (why.kind !== "limits") continue;
        limited += 1;
        // As many more as the orders could ask for.
        const units = plan.units.map((own, at) => (at === why.sowing ? problem.sowings[at]!.most : own));
        const { broken } = checkPlan(problem, { units, given: plan.given });
        expect(why.limits.every(({ free, needed }) => free < needed)).toBe(true);
        expect(problem.orders[order]!.units).toBe(wanted);
        expect(broken.length).toBeGreaterThan(0);
      }
    }),
    { seed: 8, numRuns: 40, endOnFailure: true },
  );
  expect(limited).toBeGreaterThan(10);
});

test("more of a limit is worth nothing or something, a smaller order nothing or less (seed 9)", () => {
  fc.assert(
    fc.property(smallProblem, (problem) => {
      const asked = [
        { kind: "sites", area: 0, sites: 6 },
        { kind: "sites", area: 1, sites: 6 },
        { kind: "labour", minutesPerWeek: 10 },
        { kind: "water", litresPerDay: 3 },
        { kind: "orders", orders: [0], most: 1 },
      ] as const;
      const worth = worthOfMore(problem, asked, open).map((one) => one.worth);
      for (const more of worth.slice(0, 4)) expect(more).toBeGreaterThanOrEqual(-1e-6);
      expect(worth[4]).toBeLessThanOrEqual(1e-6);
    }),
    { seed: 9, numRuns: 25, endOnFailure: true },
  );
});
