import fc from "fast-check";
import reference from "../../../tests/reference/place/cutlist.json";
import { cutList, type CutProblem } from "@/core/place/cutList";
import type { SolveProgram } from "@/core/place/cutPlan";
import { solver } from "../solver/highs";

let solve: SolveProgram;
beforeAll(async () => {
  solve = await solver();
});

interface Case {
  readonly name: string;
  readonly given: CutProblem;
  readonly expect: { readonly feasible: boolean; readonly bars?: number; readonly stockLengthMm?: number; readonly tooLongMm?: number[] };
} // prettier-ignore

/** Every piece is cut once, from bars that are on sale, and each bar holds what is cut from it. */
function checkPlan({ kerfMm, stockLengthsMm, pieces }: CutProblem, plan: ReturnType<typeof cutList>) {
  if (plan.kind !== "plan") throw new Error("no plan");
  const wanted = pieces.flatMap(({ lengthMm, count }) => Array<number>(count).fill(lengthMm)).sort((a, b) => a - b);
  const cut = plan.bars.flatMap(({ cutsMm }) => cutsMm).sort((a, b) => a - b);
  expect(cut).toEqual(wanted);
  for (const { stockMm, cutsMm, offcutMm } of plan.bars) {
    expect(stockLengthsMm).toContain(stockMm);
    const used = cutsMm.reduce((sum, mm) => sum + mm, 0);
    expect(used + kerfMm * (cutsMm.length - 1)).toBeLessThanOrEqual(stockMm + 1e-6);
    expect(offcutMm).toBeCloseTo(Math.max(0, stockMm - used - kerfMm * cutsMm.length), 6);
  }
  return plan;
}

test.each(reference.cases as Case[])("cut list: $name", ({ given, expect: want }) => {
  const found = cutList(given, solve);
  if (!want.feasible) return expect(found).toEqual({ kind: "too-long", lengthsMm: want.tooLongMm });
  const plan = checkPlan(given, found);
  expect([plan.bars.length, plan.stockLengthMm, plan.proved]).toEqual([want.bars, want.stockLengthMm, true]);
  expect([plan.leastBars, plan.leastStockLengthMm]).toEqual([want.bars, want.stockLengthMm]);
}); // prettier-ignore

test("a plan never uses more than its stock, at least its bound, and no more than first fit does", () => {
  const lengths = fc.integer({ min: 100, max: 3000 });
  fc.assert(
    fc.property(fc.array(fc.record({ lengthMm: lengths, count: fc.integer({ min: 1, max: 8 }) }), { minLength: 1, maxLength: 8 }), fc.integer({ min: 0, max: 5 }), (pieces, kerfMm) => {
      const problem = { kerfMm, stockLengthsMm: [3000, 6000], pieces };
      const plan = checkPlan(problem, cutList(problem, solve));
      const volume = pieces.reduce((sum, { lengthMm, count }) => sum + (lengthMm + kerfMm) * count, 0) / (6000 + kerfMm);
      expect(plan.bars.length).toBeGreaterThanOrEqual(Math.ceil(volume - 1e-9));
      expect(plan.bars.length).toBeGreaterThanOrEqual(plan.leastBars);
      expect(plan.stockLengthMm).toBeGreaterThanOrEqual(plan.leastStockLengthMm);
      expect(plan.bars.length).toBeLessThanOrEqual(firstFit(problem));
    }),
    { seed: 7, numRuns: 40 },
  ); // prettier-ignore
});

/** Bars of 6 m that first fit, the longest first, takes. */
function firstFit({ kerfMm, pieces }: CutProblem): number {
  const rooms: number[] = [];
  const sorted = pieces.flatMap(({ lengthMm, count }) => Array<number>(count).fill(lengthMm)).sort((a, b) => b - a);
  for (const mm of sorted) {
    const bar = rooms.findIndex((room) => room >= mm + kerfMm);
    if (bar < 0) rooms.push(6000 - mm);
    else rooms[bar]! -= mm + kerfMm;
  }
  return rooms.length;
}

test.each([
  [{ kerfMm: -1 }, /kerfMm is -1; it must be from 0 to 50/u],
  [{ stockLengthsMm: [] }, /stock lengths/u],
  [{ stockLengthsMm: [NaN] }, /stockLengthMm is NaN/u],
  [{ pieces: [{ lengthMm: 0, count: 1 }] }, /lengthMm is 0/u],
  [{ pieces: [{ lengthMm: 10, count: 1.5 }] }, /count is 1.5; it must be a whole number/u],
])("a cut list refuses %j by name and range", (change, message) => {
  const problem = { kerfMm: 3, stockLengthsMm: [6000], pieces: [{ lengthMm: 100, count: 1 }], ...change };
  expect(() => cutList(problem, solve)).toThrow(message);
});
