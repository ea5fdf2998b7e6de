import { requireRange, requireWhole } from "../units/range";
import {
  bestPlan,
  EPSILON,
  firstPatterns,
  generate,
  shorterBars,
  worth,
  type Chosen,
  type Goal,
  type Model,
  type SolveProgram,
} from "./cutPlan";

/** Pieces wanted, the bars on sale, and what the saw takes. */
export interface CutProblem {
  readonly kerfMm: number;
  readonly stockLengthsMm: readonly number[];
  readonly pieces: readonly { readonly lengthMm: number; readonly count: number }[];
}

export interface CutBar {
  readonly stockMm: number;
  /** In the order in which they are cut, the longest first. */
  readonly cutsMm: readonly number[];
  readonly offcutMm: number;
}

/** A plan with its proof, or the pieces that no bar can give. */
export type CutList =
  | { readonly kind: "too-long"; readonly lengthsMm: readonly number[] }
  | {
      readonly kind: "plan";
      readonly bars: readonly CutBar[];
      readonly stockLengthMm: number;
      /** No plan has fewer bars, and none of so many bars buys less. */
      readonly leastBars: number;
      readonly leastStockLengthMm: number;
      readonly proved: boolean;
    };

export const MOST_PIECES = 2000;

/**
 * Cuts pieces out of stock bars: the fewest bars first, then the least length bought, each with the bound that proves it.
 * Pieces fit a bar when Σ length + kerf·(pieces − 1) ≤ bar. Bounds come from the linear program over all patterns, solved by
 * column generation and rounded up to a total that can be had; the plan from the integer program over its columns.
 *
 * @param problem lengths in mm: pieces and stock over 0 to 100 000, kerf 0–50; 2000 pieces, 3 stock lengths at most
 * @param solve solves the programs; core has no solver of its own
 * @returns the plan, its bounds and whether they meet; or the lengths that fit no bar
 * @throws RangeError when an argument is outside its range
 * @source Gilmore and Gomory 1961, A linear programming approach to the cutting-stock problem, Operations Research 9(6);
 *   cases in tests/reference/place/cutlist.json
 */
export function cutList(problem: CutProblem, solve: SolveProgram): CutList {
  const { stocks, types, kerf, scale } = inWholeSteps(problem);
  const longest = Math.max(...stocks);
  const tooLong = types.filter(({ length }) => length > longest).map(({ length }) => length / scale);
  if (tooLong.length > 0) return { kind: "too-long", lengthsMm: tooLong };
  if (types.length === 0)
    return { kind: "plan", bars: [], stockLengthMm: 0, leastBars: 0, leastStockLengthMm: 0, proved: true };
  const model = { types, kerf, solve };

  const patterns = firstPatterns(longest, model);
  const byBar: Goal = { lengths: [longest], cost: () => 1, mostBars: null };
  const leastBars = Math.ceil(generate(patterns, byBar, model).objective - EPSILON);
  const fewest = bestPlan(patterns, byBar, leastBars, model);
  const bars = worth(fewest, byBar);

  const lengths = [...new Set(stocks)].sort((a, b) => a - b);
  if (lengths.length === 1)
    return plan(fewest, { leastBars, leastLength: bars * longest, exact: bars === leastBars, scale, model });
  patterns.push(...shorterBars(patterns, lengths, model));
  const byLength: Goal = { lengths, cost: (stock) => stock, mostBars: bars };
  const bound = generate(patterns, byLength, model).objective - EPSILON * longest;
  const leastLength = leastTotal(lengths, bars, bound);
  const cheapest = bestPlan(patterns, byLength, leastLength, model);
  const bought = worth(cheapest, byLength);
  return plan(cheapest, { leastBars, leastLength, exact: bars === leastBars && bought === leastLength, scale, model });
}

/** Whole numbers of the coarsest step of 1, 0.1 or 0.01 mm that holds all lengths exactly. */
function inWholeSteps(problem: CutProblem) {
  const { kerfMm, stockLengthsMm, pieces } = problem;
  requireRange("cutList", "kerfMm", kerfMm, 0, 50);
  requireWhole("cutList", "number of stock lengths", stockLengthsMm.length, 1, 3);
  for (const stockMm of stockLengthsMm) requireRange("cutList", "stockLengthMm", stockMm, 1, 100_000);
  for (const piece of pieces) {
    requireRange("cutList", "lengthMm", piece.lengthMm, 0.01, 100_000);
    requireWhole("cutList", "count", piece.count, 0, MOST_PIECES);
  }
  requireWhole(
    "cutList",
    "pieces in all",
    pieces.reduce((sum, { count }) => sum + count, 0),
    0,
    MOST_PIECES,
  );
  const all = [kerfMm, ...stockLengthsMm, ...pieces.map(({ lengthMm }) => lengthMm)];
  const scale = [1, 10].find((step) => all.every((mm) => Math.abs(mm * step - Math.round(mm * step)) < 1e-7)) ?? 100;
  const counts = new Map<number, number>();
  // A piece is never cut shorter than asked for, a bar never taken for longer than it is.
  for (const { lengthMm, count } of pieces) {
    const length = Math.ceil(lengthMm * scale - 1e-7);
    if (count > 0) counts.set(length, (counts.get(length) ?? 0) + count);
  }
  const types = [...counts].map(([length, count]) => ({ length, count })).sort((a, b) => b.length - a.length);
  const stocks = stockLengthsMm.map((mm) => Math.floor(mm * scale + 1e-7));
  return { types, stocks, kerf: Math.ceil(kerfMm * scale - 1e-7), scale };
}

/** The least total of so many bars that is not under the bound. */
function leastTotal(lengths: readonly number[], bars: number, bound: number): number {
  let best = Infinity;
  const walk = (index: number, left: number, sum: number) => {
    if (index === lengths.length - 1) {
      const all = sum + left * lengths[index]!;
      if (all >= bound && all < best) best = all;
      return;
    }
    for (let times = 0; times <= left; times++) walk(index + 1, left - times, sum + times * lengths[index]!);
  };
  walk(0, bars, 0);
  return best;
}

function plan(
  found: readonly Chosen[],
  proof: { leastBars: number; leastLength: number; exact: boolean; scale: number; model: Model },
): CutList {
  const { types, kerf } = proof.model;
  const left = types.map(({ count }) => count);
  // A pattern may hold more than is still wanted; what is over is not cut.
  const bars = found.flatMap(({ pattern, times }) =>
    Array.from({ length: times }, (): CutBar => {
      const cuts = pattern.counts.flatMap((count, type) => {
        const taken = Math.min(count, left[type]!);
        left[type]! -= taken;
        return Array<number>(taken).fill(types[type]!.length);
      });
      const used = cuts.reduce((sum, length) => sum + length + kerf, 0);
      return {
        stockMm: pattern.stock / proof.scale,
        cutsMm: cuts.map((length) => length / proof.scale),
        offcutMm: Math.max(0, pattern.stock - used) / proof.scale,
      };
    }),
  );
  return {
    kind: "plan",
    bars,
    stockLengthMm: bars.reduce((sum, { stockMm }) => sum + stockMm, 0),
    leastBars: proof.leastBars,
    leastStockLengthMm: proof.leastLength / proof.scale,
    proved: proof.exact,
  };
}
