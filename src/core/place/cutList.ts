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

/** What makes one plan better than another, and from which bars it may be cut. */
interface Goal {
  readonly lengths: readonly number[];
  readonly cost: (stock: number) => number;
  readonly mostBars: number | null;
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

interface Relaxed {
  readonly objective: number;
  readonly values: Readonly<Record<string, number>>;
}

/** Adds patterns until none could better the linear program. @returns its optimum, a bound for every plan */
function generate(patterns: Pattern[], goal: Goal, model: Model): Relaxed {
  const { types, kerf, solve } = model;
  const { lengths, cost } = goal;
  const weights = types.map(({ length }) => length + kerf);
  const most = types.map(({ count }) => count);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const { objective, values: taken, duals } = solve(program(patterns, goal, model, false));
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
    if (added.length === 0) return { objective, values: taken };
    patterns.push(...added);
  }
  // Not all patterns were tried: only the plain bound is sure then.
  const needed = weights.reduce((sum, weight, type) => sum + weight * most[type]!, 0);
  const objective = Math.min(...lengths.map((length) => (cost(length) * needed) / (length + kerf)));
  return { objective, values: {} };
}

function known(patterns: readonly Pattern[], stock: number, counts: readonly number[]): boolean {
  return patterns.some((pattern) => pattern.stock === stock && pattern.counts.every((count, type) => count === counts[type])); // prettier-ignore
}

interface Chosen {
  readonly pattern: Pattern;
  readonly times: number;
}

/** Times that patterns are looked for by diving before the best plan so far is taken. */
const MOST_DIVES = 12;

/**
 * The best whole numbers of the patterns found. Where they miss the bound, diving makes plans of its own and finds patterns
 * that the linear program had no need of.
 */
function bestPlan(patterns: Pattern[], goal: Goal, bound: number, model: Model): readonly Chosen[] {
  let best = wholePlan(patterns, goal, model);
  for (let round = 0; round < MOST_DIVES && worth(best, goal) > bound; round++) {
    const dived = dive(patterns, goal, model, round);
    if (dived && worth(dived, goal) < worth(best, goal)) best = dived;
    if (worth(best, goal) <= bound || round % 4 !== 3) continue;
    const again = wholePlan(patterns, goal, model);
    if (worth(again, goal) < worth(best, goal)) best = again;
  }
  return best;
}

function wholePlan(patterns: readonly Pattern[], goal: Goal, model: Model): Chosen[] {
  const { values } = model.solve(program(patterns, goal, model, true));
  return patterns.flatMap((pattern, index) => {
    const times = Math.round(values[`x${index}`] ?? 0);
    return times > 0 ? [{ pattern, times }] : [];
  });
}

/**
 * Takes the pattern that the linear program wants most, solves anew for what is left, and so on. Later rounds begin with
 * another pattern. @returns a plan, or null when the bars allowed do not reach
 */
function dive(patterns: Pattern[], goal: Goal, model: Model, round: number): Chosen[] | null {
  const left = model.types.map(({ count }) => count);
  const found: Chosen[] = [];
  while (left.some((count) => count > 0)) {
    const kinds = left.flatMap((count, type) => (count > 0 ? [type] : []));
    const rest: Model = {
      ...model,
      types: kinds.map((type) => ({ length: model.types[type]!.length, count: left[type]! })),
    };
    const barsLeft = goal.mostBars === null ? null : goal.mostBars - found.reduce((sum, { times }) => sum + times, 0);
    if (barsLeft !== null && barsLeft <= 0) return null;
    const restGoal: Goal = { ...goal, mostBars: barsLeft };
    const own = startOf(patterns, kinds, left, rest, Math.max(...goal.lengths));
    const relaxed = tryGenerate(own, restGoal, rest);
    if (!relaxed) return null;
    const wished = own.map((pattern, index) => ({ pattern, wish: relaxed.values[`x${index}`] ?? 0 })).filter(({ wish }) => wish > EPSILON).sort((a, b) => b.wish - a.wish); // prettier-ignore
    const taken = wished[found.length === 0 ? round % wished.length : 0]!;
    const times = Math.max(1, Math.floor(taken.wish + EPSILON));
    const counts = model.types.map((_, type) =>
      kinds.includes(type) ? taken.pattern.counts[kinds.indexOf(type)]! : 0,
    );
    if (!known(patterns, taken.pattern.stock, counts)) patterns.push({ stock: taken.pattern.stock, counts });
    found.push({ pattern: { stock: taken.pattern.stock, counts }, times });
    counts.forEach((count, type) => (left[type] = Math.max(0, left[type]! - times * count)));
  }
  return found;
}

/** Patterns for what is left: those known, without what is not wanted any more, and enough to cut all of it. */
function startOf(
  patterns: readonly Pattern[],
  kinds: readonly number[],
  left: readonly number[],
  rest: Model,
  longest: number,
): Pattern[] {
  const own = firstPatterns(longest, rest);
  for (const { stock, counts } of patterns) {
    const part = kinds.map((type) => Math.min(left[type]!, counts[type]!));
    if (part.some((count) => count > 0) && !known(own, stock, part)) own.push({ stock, counts: part });
  }
  return own;
}

function tryGenerate(patterns: Pattern[], goal: Goal, model: Model): Relaxed | null {
  try {
    return generate(patterns, goal, model);
  } catch {
    // No solution: the bars that are left do not reach.
    return null;
  }
}

function worth(plan: readonly Chosen[], { cost }: Goal): number {
  return plan.reduce((sum, { pattern, times }) => sum + cost(pattern.stock) * times, 0);
}

function program(patterns: readonly Pattern[], { cost, mostBars }: Goal, { types }: Model, whole: boolean): string {
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
