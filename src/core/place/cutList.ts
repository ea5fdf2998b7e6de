import { requireRange, requireWhole } from "../units/range";
import { bestPattern } from "./cutPattern";

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

/** A linear or integer program in the LP text format, and its solution by names; duals only of a linear one. */
export type SolveProgram = (text: string) => {
  readonly objective: number;
  readonly values: Readonly<Record<string, number>>;
  readonly duals: Readonly<Record<string, number>>;
};

export const MOST_PIECES = 2000;
const EPSILON = 1e-6;
const MOST_ROUNDS = 400;

/** One way to cut a bar: how many of each length. */
interface Pattern {
  readonly stock: number;
  readonly counts: readonly number[];
}

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
  const barsLp = generate(patterns, [longest], () => 1, null, model);
  const leastBars = Math.ceil(barsLp - EPSILON);
  const fewest = chosen(patterns, () => 1, null, model);
  const bars = total(fewest);

  const lengths = [...new Set(stocks)].sort((a, b) => a - b);
  if (lengths.length === 1)
    return plan(fewest, { leastBars, leastLength: bars * longest, exact: bars === leastBars, scale, model });
  patterns.push(...shorterBars(patterns, lengths, model));
  const lengthLp = generate(patterns, lengths, (stock) => stock, bars, model);
  const leastLength = leastTotal(lengths, bars, lengthLp - EPSILON * longest);
  const cheapest = chosen(patterns, (stock) => stock, bars, model);
  const bought = cheapest.reduce((sum, { pattern, times }) => sum + pattern.stock * times, 0);
  return plan(cheapest, { leastBars, leastLength, exact: bars === leastBars && bought === leastLength, scale, model });
}

interface Model {
  readonly types: readonly { readonly length: number; readonly count: number }[];
  readonly kerf: number;
  readonly solve: SolveProgram;
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

/** Patterns to begin with: bars filled with the longest pieces that still fit, which is also a plan. */
function firstPatterns(stock: number, { types, kerf }: Model): Pattern[] {
  const left = types.map(({ count }) => count);
  const patterns: Pattern[] = [];
  while (left.some((count) => count > 0)) {
    let room = stock + kerf;
    const counts = types.map(({ length }, type) => {
      const times = Math.min(left[type]!, Math.floor(room / (length + kerf)));
      room -= times * (length + kerf);
      return times;
    });
    const times = Math.max(
      1,
      Math.min(...counts.flatMap((count, type) => (count > 0 ? [Math.floor(left[type]! / count)] : []))),
    );
    patterns.push({ stock, counts });
    counts.forEach((count, type) => (left[type]! -= times * count));
  }
  return patterns;
}

/** The same cuts from the shortest bar that holds them. */
function shorterBars(patterns: readonly Pattern[], lengths: readonly number[], { types, kerf }: Model): Pattern[] {
  return patterns.flatMap(({ counts, stock }) => {
    const used = counts.reduce((sum, count, type) => sum + count * (types[type]!.length + kerf), 0) - kerf;
    const shortest = lengths.find((length) => length >= used);
    return shortest !== undefined && shortest < stock ? [{ stock: shortest, counts }] : [];
  });
}

/**
 * Adds patterns until none could better the linear program. @returns its optimum, a bound for every plan
 */
function generate(
  patterns: Pattern[],
  lengths: readonly number[],
  cost: (stock: number) => number,
  mostBars: number | null,
  model: Model,
): number {
  const { types, kerf, solve } = model;
  const weights = types.map(({ length }) => length + kerf);
  const most = types.map(({ count }) => count);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const { objective, duals } = solve(program(patterns, cost, mostBars, model, false));
    const values = types.map((_, type) => Math.max(0, duals[`c${type}`] ?? 0));
    const perBar = duals.bars ?? 0;
    const found = bestPattern(
      weights,
      values,
      most,
      lengths.map((length) => length + kerf),
    );
    const added = lengths.flatMap((stock, index) => {
      const { counts, value } = found[index]!;
      const betters = value > cost(stock) - perBar + EPSILON * Math.max(1, cost(stock));
      return betters && !known(patterns, stock, counts) ? [{ stock, counts }] : [];
    });
    if (added.length === 0) return objective;
    patterns.push(...added);
  }
  // Not all patterns were tried: only the plain bound is sure then.
  const needed = weights.reduce((sum, weight, type) => sum + weight * most[type]!, 0);
  return Math.min(...lengths.map((length) => (cost(length) * needed) / (length + kerf)));
}

function known(patterns: readonly Pattern[], stock: number, counts: readonly number[]): boolean {
  return patterns.some((pattern) => pattern.stock === stock && pattern.counts.every((count, type) => count === counts[type])); // prettier-ignore
}

interface Chosen {
  readonly pattern: Pattern;
  readonly times: number;
}

/** The best whole numbers of the patterns found. */
function chosen(
  patterns: readonly Pattern[],
  cost: (stock: number) => number,
  mostBars: number | null,
  model: Model,
): Chosen[] {
  const { values } = model.solve(program(patterns, cost, mostBars, model, true));
  return patterns.flatMap((pattern, index) => {
    const times = Math.round(values[`x${index}`] ?? 0);
    return times > 0 ? [{ pattern, times }] : [];
  });
}

function total(chosenPatterns: readonly Chosen[]): number {
  return chosenPatterns.reduce((sum, { times }) => sum + times, 0);
}

function program(
  patterns: readonly Pattern[],
  cost: (stock: number) => number,
  mostBars: number | null,
  { types }: Model,
  whole: boolean,
): string {
  const terms = (factor: (pattern: Pattern) => number) =>
    patterns.flatMap((pattern, index) => (factor(pattern) > 0 ? [`${factor(pattern)} x${index}`] : [])).join(" + ");
  const names = patterns.map((_, index) => `x${index}`);
  return [
    "Minimize",
    ` obj: ${terms(({ stock }) => cost(stock))}`,
    "Subject To",
    ...types.map(({ count }, type) => ` c${type}: ${terms(({ counts }) => counts[type]!)} >= ${count}`),
    ...(mostBars === null ? [] : [` bars: ${terms(() => 1)} <= ${mostBars}`]),
    ...(whole ? ["General", ` ${names.join(" ")}`] : []),
    "End",
  ].join("\n");
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
