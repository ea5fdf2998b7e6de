import type { SolveProgram } from "../../numeric/solveProgram";
import { requireRange, requireWhole } from "../../units/range";
import {
  EPSILON,
  isBought,
  longestOf,
  uncutOf,
  worth,
  type Chosen,
  type Goal,
  type Model,
  type Pattern,
} from "./cutModel";
import { firstPatterns, generate, onOtherBars, type Relaxed } from "./cutPatterns";
import { bestPlan } from "./cutPlan";
import { leastSum, leastTotal } from "./cutTotals";
import { oneLargeOffcut } from "./largeOffcut";

/** A length that bars are had in: on sale, or so many on hand. */
export interface BarKind {
  readonly lengthMm: number;
  /** Of one; what is on hand costs nothing. */
  readonly price: number;
  /** How many lie there; null is bought, as many as it takes. */
  readonly onHand: number | null;
}

export interface WantedPiece {
  readonly lengthMm: number;
  readonly count: number;
  readonly label?: string;
}

/** Pieces wanted, the bars there are, and what the saw takes. */
export interface CutProblem {
  readonly sawCutMm: number;
  /** Taken off each end of a bought bar, the saw's cut included: ends come damaged. */
  readonly trimMm: number;
  readonly bars: readonly BarKind[];
  readonly pieces: readonly WantedPiece[];
  /** Least money; or fewest bars bought, and of so many the least length. */
  readonly objective: "money" | "bars";
}

export interface CutBar {
  readonly stockMm: number;
  readonly onHand: boolean;
  /** In the order in which they are cut, the longest first. */
  readonly cuts: readonly { readonly lengthMm: number; readonly label: string }[];
  readonly offcutMm: number;
}

/** A plan with its proof, or the pieces that no bar can give. */
export type CutList =
  | { readonly kind: "too-long"; readonly lengthsMm: readonly number[] }
  | {
      readonly kind: "plan";
      readonly bars: readonly CutBar[];
      readonly boughtBars: number;
      readonly boughtMm: number;
      readonly cost: number;
      /** No plan does with less: money, or bars and then length. */
      readonly least: { readonly cost: number } | { readonly bars: number; readonly lengthMm: number };
      /** Whether every piece is cut and nothing does with less. */
      readonly proved: boolean;
      /** Pieces for which the bars on hand do not reach, when none are on sale that give them. */
      readonly uncut: readonly { readonly lengthMm: number; readonly count: number }[];
    };

export const MOST_PIECES = 2000;
/** Lengths on sale that one list takes, and lengths on hand. */
export const MOST_BOUGHT_KINDS = 3;
export const MOST_HAND_KINDS = 40;
const CENTS = 100;
/** Dearer than any plan, so that a piece is left out only when it must be. */
const UNCUT_TIMES = MOST_PIECES;

export interface CutProgress {
  readonly best: number;
  readonly bound: number;
}

/**
 * Cuts pieces out of bars, with the bound that proves the plan. Pieces fit a bar when Σ length + saw cut·(pieces − 1) ≤ bar.
 * Bounds come from the linear program over all patterns, solved by column generation and rounded up to a total that can be
 * had; the plan from dives and the integer program over its columns. Of the plan found, what is left over is pushed into
 * one bar.
 *
 * @param problem lengths in mm: pieces and bars over 0 to 100 000, saw cut 0–50, trim 0–1000; 2000 pieces, 3 lengths on sale
 * @param solve solves the programs; core has no solver of its own
 * @param onProgress hears of better plans and the bound
 * @returns the plan, its bounds and whether they meet; or the lengths that fit no bar
 * @throws RangeError when an argument is outside its range
 * @source Gilmore and Gomory 1961, A linear programming approach to the cutting-stock problem, Operations Research 9(6);
 *   cases in tests/reference/place/cutlist.json
 */
export function cutList(
  problem: CutProblem,
  solve: SolveProgram,
  onProgress?: (progress: CutProgress) => void,
): CutList {
  const { types, bars, sawCut, scale } = inWholeSteps(problem);
  const longest = Math.max(...bars.map(({ length }) => length));
  const tooLong = types.filter(({ length }) => length > longest).map(({ length }) => length / scale);
  if (tooLong.length > 0) return { kind: "too-long", lengthsMm: tooLong };
  const model: Model = { types, bars, sawCut, solve };
  const found =
    types.length === 0
      ? NOTHING
      : problem.objective === "money"
        ? cheapest(problem, model, onProgress)
        : fewest(problem, model, scale, onProgress);
  return plan(found, problem, model, scale);
}

interface Found {
  readonly chosen: readonly Chosen[];
  readonly least: { readonly cost: number } | { readonly bars: number; readonly lengthMm: number };
  /** Whether what was found comes to no more than that. */
  readonly meetsBound: boolean;
}
const NOTHING: Found = { chosen: [], least: { bars: 0, lengthMm: 0 }, meetsBound: true };

const kindsOf = ({ bars }: Model) => bars.map((_, bar) => bar);

/** When bars on hand may run out and none on sale is as long, pieces may have to be left out. */
function mayLackBars({ bars, types }: Model): boolean {
  const longestBought = Math.max(0, ...bars.filter(({ limit }) => limit === null).map(({ length }) => length));
  return longestBought < Math.max(...types.map(({ length }) => length));
}

/** The linear program's optimum for a goal that can be reached: pieces may stay uncut where bars run out. */
function relaxedOf(patterns: Pattern[], goal: Goal, model: Model): Relaxed {
  const relaxed = generate(patterns, goal, model);
  if (!relaxed) throw new Error("cutList: the linear program of a list that can be cut has no solution");
  return relaxed;
}

function cheapest({ bars }: CutProblem, model: Model, onProgress?: (progress: CutProgress) => void): Found {
  const cost = (bar: number) => Math.round(bars[bar]!.price * CENTS);
  const costs = kindsOf(model).map(cost);
  const most = Math.max(1, ...costs);
  const uncutCost = mayLackBars(model) ? most * UNCUT_TIMES : null;
  const goal: Goal = { bars: kindsOf(model), cost, mostBought: null, uncutCost };
  const patterns = kindsOf(model).flatMap((bar) => firstPatterns(bar, model));
  const relaxed = relaxedOf(patterns, goal, model);
  const prices = [...new Set(costs.filter((price) => price > 0))];
  const least = roundedUp(relaxed.objective - EPSILON * most, goal, (rest) => leastSum(prices, rest));
  const search = { patterns, goal, relaxed, bound: least };
  const { chosen, bound } = bestPlan(search, model, (best) =>
    onProgress?.({ best: best / CENTS, bound: least / CENTS }),
  );
  const cents = Math.max(0, Math.ceil(bound - uncutShare(chosen, goal, model) - EPSILON));
  return {
    chosen,
    least: { cost: cents / CENTS },
    meetsBound: worth(chosen, goal, model) <= bound + 2 * EPSILON * most,
  };
}

function fewest(problem: CutProblem, model: Model, scale: number, onProgress?: (progress: CutProgress) => void): Found {
  const bought = kindsOf(model).filter((bar) => isBought(model, bar));
  const onHand = kindsOf(model).filter((bar) => !isBought(model, bar));
  const uncut = mayLackBars(model);
  // Of what is bought, the longest does best when only bars are counted.
  const longest = bought.length > 0 ? [longestOf(bought, model)] : [];
  const byBar: Goal = {
    bars: [...longest, ...onHand],
    cost: (bar) => (isBought(model, bar) ? 1 : 0),
    mostBought: null,
    uncutCost: uncut ? MOST_PIECES : null,
  };
  const patterns = byBar.bars.flatMap((bar) => firstPatterns(bar, model));
  const relaxed = relaxedOf(patterns, byBar, model);
  const barBound = Math.ceil(relaxed.objective - EPSILON);
  const fewestBars = bestPlan({ patterns, goal: byBar, relaxed, bound: barBound }, model, (best) =>
    onProgress?.({ best, bound: barBound }),
  );
  const left = uncutShare(fewestBars.chosen, byBar, model);
  const count = worth(fewestBars.chosen, byBar, model) - left;
  const leastBars = Math.max(0, Math.ceil(fewestBars.bound - EPSILON) - left);
  const meetsBars = count <= leastBars;
  // Bought is the whole bar, its damaged ends too.
  const stock = (bar: number) => Math.round(problem.bars[bar]!.lengthMm * scale);
  if (bought.length < 2) {
    const lengthMm = longest.length > 0 ? (leastBars * stock(longest[0]!)) / scale : 0;
    return { chosen: fewestBars.chosen, least: { bars: leastBars, lengthMm }, meetsBound: meetsBars };
  }
  const most = Math.max(...bought.map(stock));
  const byLength: Goal = {
    bars: kindsOf(model),
    cost: (bar) => (isBought(model, bar) ? stock(bar) : 0),
    mostBought: count,
    uncutCost: uncut ? most * MOST_PIECES : null,
  };
  patterns.push(...onOtherBars(patterns, bought, model));
  const byLengthRelaxed = relaxedOf(patterns, byLength, model);
  const stocks = [...new Set(bought.map(stock))];
  const lengthBound = roundedUp(byLengthRelaxed.objective - EPSILON * most, byLength, (rest) =>
    leastTotal(stocks, count, rest),
  );
  const search = { patterns, goal: byLength, relaxed: byLengthRelaxed, bound: lengthBound, known: fewestBars.chosen };
  const { chosen, bound } = bestPlan(search, model);
  const leastLength = Math.max(0, Math.ceil(bound - uncutShare(chosen, byLength, model) - EPSILON));
  return {
    chosen,
    least: { bars: leastBars, lengthMm: leastLength / scale },
    meetsBound: meetsBars && worth(chosen, byLength, model) <= bound + 2 * EPSILON * most,
  };
}

/** A bound raised to a total that can be had: whole pieces uncut, and for the rest what bars can come to. */
function roundedUp(bound: number, { uncutCost }: Goal, leastOfBars: (rest: number) => number): number {
  if (uncutCost === null) return leastOfBars(bound);
  const uncut = Math.max(0, Math.floor(bound / uncutCost));
  return Math.min(uncut * uncutCost + leastOfBars(bound - uncut * uncutCost), (uncut + 1) * uncutCost);
}

/** What part of a plan's worth is for the pieces that it leaves uncut. */
function uncutShare(chosen: readonly Chosen[], { uncutCost }: Goal, model: Model): number {
  return (uncutCost ?? 0) * uncutOf(chosen, model).reduce((sum, count) => sum + count, 0);
}

/** Whole numbers of the coarsest step of 1, 0.1 or 0.01 mm that holds all lengths exactly. */
function inWholeSteps({ sawCutMm, trimMm, bars, pieces }: CutProblem) {
  requireRange("cutList", "sawCutMm", sawCutMm, 0, 50);
  requireRange("cutList", "trimMm", trimMm, 0, 1000);
  requireWhole(
    "cutList",
    "number of stock lengths on sale",
    bars.filter(({ onHand }) => onHand === null).length,
    0,
    MOST_BOUGHT_KINDS,
  );
  requireWhole("cutList", "number of bar lengths", bars.length, 1, MOST_BOUGHT_KINDS + MOST_HAND_KINDS);
  for (const { lengthMm, price, onHand } of bars) {
    requireRange("cutList", "stockLengthMm", lengthMm, 1, 100_000);
    requireRange("cutList", "price", price, 0, 1_000_000);
    if (onHand !== null) requireWhole("cutList", "onHand", onHand, 0, 10_000);
  }
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
  const all = [sawCutMm, trimMm, ...bars.map(({ lengthMm }) => lengthMm), ...pieces.map(({ lengthMm }) => lengthMm)];
  const scale = [1, 10].find((step) => all.every((mm) => Math.abs(mm * step - Math.round(mm * step)) < 1e-7)) ?? 100;
  const counts = new Map<number, number>();
  // A piece is never cut shorter than asked for, a bar never taken for longer than it is.
  for (const { lengthMm, count } of pieces) {
    const length = Math.ceil(lengthMm * scale - 1e-7);
    if (count > 0) counts.set(length, (counts.get(length) ?? 0) + count);
  }
  const types = [...counts].map(([length, count]) => ({ length, count })).sort((a, b) => b.length - a.length);
  const usable = bars.map(({ lengthMm, onHand }) => ({
    length: Math.max(0, Math.floor((lengthMm - (onHand === null ? 2 * trimMm : 0)) * scale + 1e-7)),
    limit: onHand,
  }));
  return { types, bars: usable, sawCut: Math.ceil(sawCutMm * scale - 1e-7), scale };
}

function plan(found: Found, problem: CutProblem, { types, bars, sawCut }: Model, scale: number): CutList {
  const left = types.map(({ count }) => count);
  // A pattern may hold more than is still wanted; what is over is not cut.
  const cutUp = found.chosen.flatMap(({ pattern, times }) =>
    Array.from({ length: times }, () => ({
      bar: pattern.bar,
      cuts: pattern.counts.flatMap((count, type) => {
        const taken = Math.min(count, left[type]!);
        left[type]! -= taken;
        return Array<number>(taken).fill(types[type]!.length);
      }),
    })),
  );
  const used = oneLargeOffcut(
    cutUp.filter(({ cuts }) => cuts.length > 0),
    bars.map(({ length }) => length),
    sawCut,
  );
  const labels = labelsByLength(problem, scale);
  const made = used.map(({ bar, cuts }): CutBar => {
    const spent = cuts.reduce((sum, length) => sum + length + sawCut, 0);
    return {
      stockMm: problem.bars[bar]!.lengthMm,
      onHand: problem.bars[bar]!.onHand !== null,
      cuts: cuts.map((length) => ({ lengthMm: length / scale, label: labels.get(length)?.shift() ?? "" })),
      offcutMm: Math.max(0, bars[bar]!.length - spent) / scale,
    };
  });
  const bought = used.filter(({ bar }) => problem.bars[bar]!.onHand === null);
  return {
    kind: "plan",
    bars: made,
    boughtBars: bought.length,
    boughtMm: bought.reduce((sum, { bar }) => sum + problem.bars[bar]!.lengthMm, 0),
    cost: bought.reduce((sum, { bar }) => sum + problem.bars[bar]!.price, 0),
    least: found.least,
    proved: found.meetsBound && left.every((count) => count === 0),
    uncut: types.flatMap(({ length }, type) =>
      left[type]! > 0 ? [{ lengthMm: length / scale, count: left[type]! }] : [],
    ),
  };
}

/** What the pieces of a length are for, one after the other. */
function labelsByLength({ pieces }: CutProblem, scale: number): Map<number, string[]> {
  const labels = new Map<number, string[]>();
  for (const { lengthMm, count, label = "" } of pieces) {
    const length = Math.ceil(lengthMm * scale - 1e-7);
    labels.set(length, [...(labels.get(length) ?? []), ...Array<string>(count).fill(label)]);
  }
  return labels;
}
