import { bestPattern } from "./cutPattern";
import { EPSILON, isBought, type Goal, type Model, type Pattern } from "./cutModel";
import { cutProgram } from "./cutProgram";

const MOST_ROUNDS = 400;

/** Patterns to begin with: bars filled with the longest pieces that still fit; with no limit on the kind, that is a plan. */
export function firstPatterns(bar: number, { types, bars, sawCut }: Model): Pattern[] {
  const stock = bars[bar]!.length;
  const left = types.map(({ length, count }) => (length <= stock ? count : 0));
  const patterns: Pattern[] = [];
  while (left.some((count) => count > 0)) {
    const counts = filledLongestFirst(left, stock, types, sawCut);
    const bars = counts.flatMap((count, type) => (count > 0 ? [Math.floor(left[type]! / count)] : []));
    const times = Math.max(1, Math.min(...bars));
    patterns.push({ bar, counts });
    counts.forEach((count, type) => (left[type]! -= times * count));
  }
  return patterns;
}

/** One bar filled with what is wanted, the longest pieces first. */
export function filledLongestFirst(
  wanted: readonly number[],
  stock: number,
  types: Model["types"],
  sawCut: number,
): number[] {
  let room = stock + sawCut;
  return types.map(({ length }, type) => {
    const times = Math.min(wanted[type]!, Math.floor(room / (length + sawCut)));
    room -= times * (length + sawCut);
    return times;
  });
}

/** The same cuts on every other kind of bar, of those given: all of them where they fit, else as many as do, the longest first. */
export function onOtherBars(patterns: readonly Pattern[], kinds: readonly number[], model: Model): Pattern[] {
  const { types, bars, sawCut } = model;
  const found: Pattern[] = [];
  for (const { counts, bar } of patterns)
    for (const kind of kinds) {
      if (bars[kind]!.length >= bars[bar]!.length) continue;
      const fitting = filledLongestFirst(counts, bars[kind]!.length, types, sawCut);
      if (fitting.some((count) => count > 0) && !isKnown([...patterns, ...found], kind, fitting))
        found.push({ bar: kind, counts: fitting });
    }
  return found;
}

/** The optimum of the linear program over all patterns: a bound for every plan. */
export interface Relaxed {
  readonly objective: number;
  readonly values: Readonly<Record<string, number>>;
  /** None where not all patterns were tried, and the bound is only that of the lengths. */
  readonly duals: Readonly<Record<string, number>> | null;
}

/**
 * Adds patterns until none could better the linear program.
 * @returns its optimum; null when the bars there are do not reach
 */
export function generate(patterns: Pattern[], goal: Goal, model: Model): Relaxed | null {
  const { types, bars, sawCut, solve } = model;
  const weights = types.map(({ length }) => length + sawCut);
  const most = types.map(({ count }) => count);
  const rooms = goal.bars.map((bar) => bars[bar]!.length + sawCut);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const solution = solve(cutProgram(patterns, goal, model, false));
    if (solution.kind === "none") return null;
    const values = types.map((_, type) => Math.max(0, solution.duals[`c${type}`] ?? 0));
    const found = bestPattern(weights, values, most, rooms);
    const added = goal.bars.flatMap((bar, index) => {
      const { counts, value } = found[index]!;
      const price = priceOf(bar, goal, model, solution.duals);
      const betters = value > price + EPSILON * Math.max(1, goal.cost(bar)) && counts.some((count) => count > 0);
      return betters && !isKnown(patterns, bar, counts) ? [{ bar, counts }] : [];
    });
    if (added.length === 0) return solution;
    patterns.push(...added);
  }
  // Not all patterns were tried: only the plain bound is sure then.
  const needed = weights.reduce((sum, weight, type) => sum + weight * most[type]!, 0);
  const objective = Math.min(...goal.bars.map((bar) => (goal.cost(bar) * needed) / (bars[bar]!.length + sawCut)));
  return { objective, values: {}, duals: null };
}

/** What a bar of a kind has to bring in at the linear program's prices. */
function priceOf(bar: number, goal: Goal, model: Model, duals: Readonly<Record<string, number>>): number {
  return goal.cost(bar) - (isBought(model, bar) ? (duals.bars ?? 0) : 0) - (duals[`s${bar}`] ?? 0);
}

/** More patterns than this make an integer program that takes too long. */
const MOST_PATTERNS = 2500;
const MOST_STEPS = 400_000;

/**
 * Every full pattern that a plan better than a known one could use: those whose reduced cost is no more than what lies
 * between the bound and that plan.
 *
 * @param gap between the linear program's optimum and what a better plan may come to
 * @returns null when there are too many to list
 * @source Gilmore and Gomory 1961; fixing of columns by reduced cost
 */
export function patternsWithin(gap: number, relaxed: Relaxed, goal: Goal, model: Model): Pattern[] | null {
  const { types, bars, sawCut } = model;
  const { duals } = relaxed;
  if (!duals) return null;
  const values = types.map((_, type) => Math.max(0, duals[`c${type}`] ?? 0));
  // What the best of the kinds from here on brings a step of length.
  const rates = types.map((_, from) =>
    Math.max(...types.slice(from).map(({ length }, index) => values[from + index]! / (length + sawCut))),
  );
  const found: Pattern[] = [];
  let steps = 0;
  for (const bar of goal.bars) {
    const least = priceOf(bar, goal, model, duals) - gap - EPSILON * Math.max(1, goal.cost(bar));
    const counts = types.map(() => 0);
    const fill = (type: number, room: number, value: number): boolean => {
      steps += 1;
      if (steps > MOST_STEPS || found.length > MOST_PATTERNS) return false;
      if (type === types.length) {
        const isFull = types.every(({ length, count }, at) => counts[at] === count || length + sawCut > room);
        if (isFull && value >= least) found.push({ bar, counts: [...counts] });
        return true;
      }
      if (value + room * rates[type]! < least) return true;
      const weight = types[type]!.length + sawCut;
      for (let times = Math.min(types[type]!.count, Math.floor(room / weight)); times >= 0; times--) {
        counts[type] = times;
        if (!fill(type + 1, room - times * weight, value + times * values[type]!)) return false;
      }
      counts[type] = 0;
      return true;
    };
    if (!fill(0, bars[bar]!.length + sawCut, 0)) return null;
  }
  return found;
}

export function isKnown(patterns: readonly Pattern[], bar: number, counts: readonly number[]): boolean {
  return patterns.some(
    (pattern) => pattern.bar === bar && pattern.counts.every((count, type) => count === counts[type]),
  );
}
