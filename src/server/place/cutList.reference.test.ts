import fc from "fast-check";
import reference from "../../../tests/reference/place/cutlist.json";
import { cutList, type CutProblem } from "@/core/place/bench/cutList";
import type { SolveProgram } from "@/core/numeric/solveProgram";
import { solver } from "../solver/highs";

let solve: SolveProgram;
beforeAll(async () => {
  solve = await solver();
});

interface Case {
  readonly name: string;
  readonly given: Pick<CutProblem, "pieces"> & { readonly kerfMm: number; readonly stockLengthsMm: readonly number[] };
  readonly expect: {
    readonly feasible: boolean;
    readonly bars?: number;
    readonly stockLengthMm?: number;
    readonly tooLongMm?: number[];
  };
}

/** A case of the reference file as the application asks it. */
const asked = ({ stockLengthsMm, kerfMm, pieces }: Case["given"]): CutProblem => ({
  sawCutMm: kerfMm,
  trimMm: 0,
  pieces,
  objective: "bars",
  bars: stockLengthsMm.map((lengthMm) => ({ lengthMm, price: 0, onHand: null })),
});

/** Every piece is cut once, from bars that are on sale, and each bar holds what is cut from it. */
function checkPlan({ sawCutMm, trimMm, bars, pieces }: CutProblem, plan: ReturnType<typeof cutList>) {
  if (plan.kind !== "plan") throw new Error("no plan");
  const wanted = pieces.flatMap(({ lengthMm, count }) => Array<number>(count).fill(lengthMm)).sort((a, b) => a - b);
  const left = plan.uncut.flatMap(({ lengthMm, count }) => Array<number>(count).fill(lengthMm));
  const cut = [...plan.bars.flatMap(({ cuts }) => cuts.map(({ lengthMm }) => lengthMm)), ...left].sort((a, b) => a - b);
  expect(cut).toEqual(wanted);
  for (const { stockMm, onHand, cuts, offcutMm } of plan.bars) {
    expect(bars.map(({ lengthMm }) => lengthMm)).toContain(stockMm);
    const used = cuts.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
    const usable = stockMm - (onHand ? 0 : 2 * trimMm);
    expect(used + sawCutMm * (cuts.length - 1)).toBeLessThanOrEqual(usable + 1e-6);
    expect(offcutMm).toBeCloseTo(Math.max(0, usable - used - sawCutMm * cuts.length), 6);
  }
  for (const { lengthMm, onHand } of bars)
    if (onHand !== null)
      expect(plan.bars.filter((bar) => bar.onHand && bar.stockMm === lengthMm).length).toBeLessThanOrEqual(onHand);
  return plan;
}

test.each(reference.cases as Case[])("cut list: $name", ({ given, expect: want }) => {
  const problem = asked(given);
  const found = cutList(problem, solve);
  if (!want.feasible) return expect(found).toEqual({ kind: "too-long", lengthsMm: want.tooLongMm });
  const plan = checkPlan(problem, found);
  expect([plan.bars.length, plan.boughtMm, plan.proved]).toEqual([want.bars, want.stockLengthMm, true]);
  expect(plan.least).toEqual({ bars: want.bars, lengthMm: want.stockLengthMm });
});

test("a plan never uses more than its stock, at least its bound, and no more than first fit does", () => {
  const lengths = fc.integer({ min: 100, max: 3000 });
  fc.assert(
    fc.property(
      fc.array(fc.record({ lengthMm: lengths, count: fc.integer({ min: 1, max: 8 }) }), { minLength: 1, maxLength: 8 }),
      fc.integer({ min: 0, max: 5 }),
      (pieces, sawCutMm) => {
        const problem = asked({ kerfMm: sawCutMm, stockLengthsMm: [3000, 6000], pieces });
        const plan = checkPlan(problem, cutList(problem, solve));
        const volume =
          pieces.reduce((sum, { lengthMm, count }) => sum + (lengthMm + sawCutMm) * count, 0) / (6000 + sawCutMm);
        expect(plan.bars.length).toBeGreaterThanOrEqual(Math.ceil(volume - 1e-9));
        const { bars, lengthMm } = plan.least as { bars: number; lengthMm: number };
        expect(plan.bars.length).toBeGreaterThanOrEqual(bars);
        expect(plan.boughtMm).toBeGreaterThanOrEqual(lengthMm);
        expect(plan.bars.length).toBeLessThanOrEqual(firstFit(problem));
      },
    ),
    { seed: 7, numRuns: 40 },
  );
});

/** Bars of 6 m that first fit, the longest first, takes. */
function firstFit({ sawCutMm, pieces }: CutProblem): number {
  const rooms: number[] = [];
  const sorted = pieces.flatMap(({ lengthMm, count }) => Array<number>(count).fill(lengthMm)).sort((a, b) => b - a);
  for (const mm of sorted) {
    const bar = rooms.findIndex((room) => room >= mm + sawCutMm);
    if (bar < 0) rooms.push(6000 - mm);
    else rooms[bar]! -= mm + sawCutMm;
  }
  return rooms.length;
}

test.each([
  [{ sawCutMm: -1 }, /sawCutMm is -1; it must be from 0 to 50/u],
  [{ bars: [] }, /number of bar lengths is 0/u],
  [{ bars: [{ lengthMm: NaN, price: 0, onHand: null }] }, /stockLengthMm is NaN/u],
  [{ trimMm: -5 }, /trimMm is -5/u],
  [{ pieces: [{ lengthMm: 0, count: 1 }] }, /lengthMm is 0/u],
  [{ pieces: [{ lengthMm: 10, count: 1.5 }] }, /count is 1.5; it must be a whole number/u],
])("a cut list refuses %j by name and range", (change, message) => {
  const problem = { ...asked({ kerfMm: 3, stockLengthsMm: [6000], pieces: [{ lengthMm: 100, count: 1 }] }), ...change };
  expect(() => cutList(problem, solve)).toThrow(message);
});

const money = (bars: CutProblem["bars"], pieces: CutProblem["pieces"], more: Partial<CutProblem> = {}): CutProblem => ({
  sawCutMm: 0,
  trimMm: 0,
  objective: "money",
  bars,
  pieces,
  ...more,
});

test("least money takes what lies on the shelf first, and the cheaper of two lengths where it serves", () => {
  const problem = money(
    [
      { lengthMm: 3000, price: 10, onHand: null },
      { lengthMm: 6000, price: 24, onHand: null },
      { lengthMm: 2100, price: 0, onHand: 2 },
    ],
    [{ lengthMm: 1000, count: 10, label: "rail" }],
  );
  const plan = checkPlan(problem, cutList(problem, solve));
  // Two offcuts give four pieces, two bars of 3 m the other six.
  expect([plan.cost, plan.boughtBars, plan.proved, plan.least]).toEqual([20, 2, true, { cost: 20 }]);
  expect(plan.bars.flatMap(({ cuts }) => cuts.map(({ label }) => label))).toEqual(Array(10).fill("rail"));
});

test("damaged ends are trimmed off bought bars, and bars on hand that do not reach leave pieces uncut", () => {
  const trimmed = money([{ lengthMm: 3000, price: 10, onHand: null }], [{ lengthMm: 1000, count: 3 }], { trimMm: 5 });
  expect(checkPlan(trimmed, cutList(trimmed, solve)).boughtBars).toBe(2);
  for (const objective of ["money", "bars"] as const) {
    const short = money([{ lengthMm: 2500, price: 0, onHand: 2 }], [{ lengthMm: 1200, count: 6 }], { objective });
    const plan = checkPlan(short, cutList(short, solve));
    expect([plan.bars.length, plan.uncut, plan.proved]).toEqual([2, [{ lengthMm: 1200, count: 2 }], false]);
    // Nothing is on sale: no plan buys less than nothing.
    expect(plan.least).toEqual(objective === "money" ? { cost: 0 } : { bars: 0, lengthMm: 0 });
  }
});

test("a long bar on the shelf gives what no bar on sale does, and the rest is bought", () => {
  for (const objective of ["money", "bars"] as const) {
    const bars = [
      { lengthMm: 3000, price: 12, onHand: null },
      { lengthMm: 2000, price: 9, onHand: null },
      { lengthMm: 5000, price: 0, onHand: 1 },
    ];
    const problem = money(
      bars,
      [
        { lengthMm: 4500, count: 2 },
        { lengthMm: 1500, count: 4 },
      ],
      { objective },
    );
    const plan = checkPlan(problem, cutList(problem, solve));
    // One long piece is cut and one is not; the short ones share bars of 3 m, two and two.
    expect([plan.uncut, plan.boughtBars, plan.boughtMm, plan.cost, plan.proved]).toEqual([
      [{ lengthMm: 4500, count: 1 }],
      2,
      6000,
      24,
      false,
    ]);
    expect(plan.least).toEqual(objective === "money" ? { cost: 24 } : { bars: 2, lengthMm: 6000 });
  }
});

test("the bound counts whole bars, their damaged ends too", () => {
  const bars = [
    { lengthMm: 3000, price: 0, onHand: null },
    { lengthMm: 4000, price: 0, onHand: null },
  ];
  const problem = money(bars, [{ lengthMm: 1490, count: 4 }], { objective: "bars", trimMm: 10 });
  const plan = checkPlan(problem, cutList(problem, solve));
  expect([plan.boughtBars, plan.boughtMm, plan.least, plan.proved]).toEqual([
    2,
    6000,
    { bars: 2, lengthMm: 6000 },
    true,
  ]);
});

test("with bars on hand no more is bought than without, every limit holds, and money meets its bound (seed 11)", () => {
  const lengths = fc.integer({ min: 200, max: 2900 });
  const pieces = fc.array(fc.record({ lengthMm: lengths, count: fc.integer({ min: 1, max: 6 }) }), {
    minLength: 1,
    maxLength: 6,
  });
  const shelf = fc.array(fc.record({ lengthMm: lengths, onHand: fc.integer({ min: 1, max: 3 }) }), { maxLength: 4 });
  fc.assert(
    fc.property(pieces, shelf, (wanted, offcuts) => {
      const sale = [
        { lengthMm: 3000, price: 11, onHand: null },
        { lengthMm: 6000, price: 19.5, onHand: null },
      ];
      const bare = money(sale, wanted, { sawCutMm: 3 });
      const helped = money([...sale, ...offcuts.map((one) => ({ ...one, price: 0 }))], wanted, { sawCutMm: 3 });
      const [without, withThem] = [checkPlan(bare, cutList(bare, solve)), checkPlan(helped, cutList(helped, solve))];
      for (const plan of [without, withThem]) {
        expect(plan.cost).toBeGreaterThanOrEqual((plan.least as { cost: number }).cost - 1e-6);
        expect(plan.uncut).toEqual([]);
      }
      if (withThem.proved) expect(withThem.cost).toBeLessThanOrEqual(without.cost + 1e-6);
    }),
    { seed: 11, numRuns: 20 },
  );
});

test("where the integer program runs out of time, every piece is cut all the same and nothing is called proved by it", () => {
  const outOfTime: SolveProgram = (text) => (text.includes("\nGeneral\n") ? { kind: "none" } : solve(text));
  for (const objective of ["money", "bars"] as const)
    for (const { given, expect: want } of reference.cases as Case[]) {
      if (!want.feasible || given.pieces.reduce((sum, { count }) => sum + count, 0) > 50) continue;
      const problem = { ...asked(given), objective };
      const plan = checkPlan(problem, cutList(priced(problem), outOfTime));
      expect(plan.uncut).toEqual([]);
      if (objective === "bars" && plan.proved)
        expect([plan.bars.length, plan.boughtMm]).toEqual([want.bars, want.stockLengthMm]);
    }
});

test("a solver that takes nothing for a plan does not get it proved", () => {
  const nothing: SolveProgram = (text) =>
    text.includes("\nGeneral\n") ? { kind: "solved", optimal: true, objective: 0, values: {}, duals: {} } : solve(text);
  const problem = asked({ kerfMm: 4, stockLengthsMm: [4000, 6000], pieces: [{ lengthMm: 1990, count: 4 }] });
  expect(checkPlan(problem, cutList(problem, nothing)).uncut).toEqual([]);
});

const priced = (problem: CutProblem): CutProblem => ({
  ...problem,
  bars: problem.bars.map((bar) => ({ ...bar, price: bar.lengthMm / 1000 + 1 })),
});

test("four pieces that go in twos on the shorter bar are not cut from a longer one", () => {
  const problem = asked({ kerfMm: 4, stockLengthsMm: [4000, 6000], pieces: [{ lengthMm: 1990, count: 4 }] });
  const plan = checkPlan(problem, cutList(problem, solve));
  expect([plan.boughtBars, plan.boughtMm, plan.proved]).toEqual([2, 8000, true]);
});

/** The least bars and then length, or the least money, by trying every way to fill bar after bar. */
function leastByTrying({ sawCutMm, bars, pieces, objective }: CutProblem): number {
  const cost = (bar: number) => (objective === "money" ? bars[bar]!.price : 1_000_000 + bars[bar]!.lengthMm);
  const fillings = bars.flatMap((bar, index) => {
    const found: { counts: number[]; bar: number }[] = [];
    const fill = (type: number, room: number, counts: number[]) => {
      if (type === pieces.length) return void (counts.some((count) => count > 0) && found.push({ counts, bar: index }));
      const { lengthMm, count } = pieces[type]!;
      for (let times = 0; times <= count && times * (lengthMm + sawCutMm) <= room; times++)
        fill(type + 1, room - times * (lengthMm + sawCutMm), [...counts, times]);
    };
    fill(0, bar.lengthMm + sawCutMm, []);
    return found;
  });
  const known = new Map<string, number>();
  const least = (left: readonly number[]): number => {
    if (left.every((count) => count === 0)) return 0;
    const key = left.join();
    if (!known.has(key)) {
      const first = left.findIndex((count) => count > 0);
      const fitting = fillings.filter(
        ({ counts }) => counts[first]! > 0 && counts.every((count, type) => count <= left[type]!),
      );
      known.set(
        key,
        Math.min(
          ...fitting.map(({ counts, bar }) => cost(bar) + least(left.map((count, type) => count - counts[type]!))),
        ),
      );
    }
    return known.get(key)!;
  };
  return least(pieces.map(({ count }) => count));
}

test.each(["bars", "money"] as const)(
  "with mixed stock lengths a plan is the least there is, by %s (seed 17)",
  (objective) => {
    const pieces = fc.uniqueArray(
      fc.record({
        lengthMm: fc.integer({ min: 3, max: 39 }).map((step) => step * 50 - 10),
        count: fc.integer({ min: 1, max: 5 }),
      }),
      { minLength: 1, maxLength: 3, selector: ({ lengthMm }) => lengthMm },
    );
    const stocks = fc.uniqueArray(fc.constantFrom(2000, 2500, 3000, 4000, 5000, 6000), { minLength: 2, maxLength: 3 });
    fc.assert(
      fc.property(pieces, stocks, fc.constantFrom(0, 3, 4), (wanted, stockLengthsMm, sawCutMm) => {
        const problem = { ...priced(asked({ kerfMm: sawCutMm, stockLengthsMm, pieces: wanted })), objective };
        const plan = checkPlan(problem, cutList(problem, solve));
        const came = objective === "money" ? plan.cost : plan.boughtBars * 1_000_000 + plan.boughtMm;
        expect(came).toBeCloseTo(leastByTrying(problem), 6);
        expect(plan.proved).toBe(true);
      }),
      { seed: 17, numRuns: 100 },
    );
  },
);
