import type { SolveProgram } from "../../numeric/solveProgram";

/** What solvers leave in the last digits, as a share of the largest cost. */
export const EPSILON = 1e-6;

/** A kind of bar, in whole steps; `limit` when only so many lie there. */
export interface Bar {
  readonly length: number;
  readonly limit: number | null;
}

/** One way to cut a bar of a kind: how many of each length. */
export interface Pattern {
  readonly bar: number;
  readonly counts: readonly number[];
}

export interface Chosen {
  readonly pattern: Pattern;
  readonly times: number;
}

/** What makes one plan better than another, and from which bars it may be cut. */
export interface Goal {
  /** Kinds of bars that may be used. */
  readonly bars: readonly number[];
  readonly cost: (bar: number) => number;
  /** At most so many bars that are bought. */
  readonly mostBought: number | null;
  /** What a piece costs that no bar is left for; null when bars never run out. */
  readonly uncutCost: number | null;
}

export interface Model {
  readonly types: readonly { readonly length: number; readonly count: number }[];
  readonly bars: readonly Bar[];
  readonly sawCut: number;
  readonly solve: SolveProgram;
}

export const isBought = ({ bars }: Model, bar: number) => bars[bar]!.limit === null;

/** The longest kind of those given; one that does not run out goes before one that does. */
export function longestOf(kinds: readonly number[], { bars }: Model): number {
  const rank = (bar: number) => (bars[bar]!.limit === null ? 1e12 : 0) + bars[bar]!.length;
  return kinds.reduce((best, bar) => (rank(bar) > rank(best) ? bar : best));
}

/** Pieces of each length that a plan leaves uncut. */
export function uncutOf(plan: readonly Chosen[], { types }: Model): number[] {
  return types.map(({ count }, type) =>
    Math.max(0, count - plan.reduce((cut, { pattern, times }) => cut + times * pattern.counts[type]!, 0)),
  );
}

/**
 * What a plan comes to: its bars, and the pieces that it leaves uncut.
 * @returns Infinity when it leaves pieces uncut that must be cut, or takes more bars than there are
 */
export function worth(plan: readonly Chosen[], { cost, uncutCost, mostBought }: Goal, model: Model): number {
  const taken = new Map<number, number>();
  for (const { pattern, times } of plan) taken.set(pattern.bar, (taken.get(pattern.bar) ?? 0) + times);
  let bars = 0;
  let bought = 0;
  for (const [bar, times] of taken) {
    if (times > (model.bars[bar]!.limit ?? Infinity)) return Infinity;
    if (isBought(model, bar)) bought += times;
    bars += cost(bar) * times;
  }
  if (bought > (mostBought ?? Infinity)) return Infinity;
  const uncut = uncutOf(plan, model).reduce((sum, count) => sum + count, 0);
  return uncut > 0 ? (uncutCost === null ? Infinity : bars + uncut * uncutCost) : bars;
}
