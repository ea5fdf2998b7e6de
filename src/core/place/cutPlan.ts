import { bestPattern } from "./cutPattern";

/** A linear or integer program in the LP text format, and its solution by names; duals only of a linear one. */
export type SolveProgram = (text: string) => {
  readonly objective: number;
  readonly values: Readonly<Record<string, number>>;
  readonly duals: Readonly<Record<string, number>>;
};

export const EPSILON = 1e-6;
const MOST_ROUNDS = 400;

/** One way to cut a bar: how many of each length. */
export interface Pattern {
  readonly stock: number;
  readonly counts: readonly number[];
}

/** What makes one plan better than another, and from which bars it may be cut. */
export interface Goal {
  readonly lengths: readonly number[];
  readonly cost: (stock: number) => number;
  readonly mostBars: number | null;
}

export interface Model {
  readonly types: readonly { readonly length: number; readonly count: number }[];
  readonly kerf: number;
  readonly solve: SolveProgram;
}

/** Patterns to begin with: bars filled with the longest pieces that still fit, which is also a plan. */
export function firstPatterns(stock: number, { types, kerf }: Model): Pattern[] {
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
export function shorterBars(
  patterns: readonly Pattern[],
  lengths: readonly number[],
  { types, kerf }: Model,
): Pattern[] {
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
export function generate(patterns: Pattern[], goal: Goal, model: Model): Relaxed {
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

export interface Chosen {
  readonly pattern: Pattern;
  readonly times: number;
}

/** Times that patterns are looked for by diving before the best plan so far is taken. */
const MOST_DIVES = 12;

/**
 * The best whole numbers of the patterns found. Where they miss the bound, diving makes plans of its own and finds patterns
 * that the linear program had no need of.
 */
export function bestPlan(patterns: Pattern[], goal: Goal, bound: number, model: Model): readonly Chosen[] {
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

export function worth(plan: readonly Chosen[], { cost }: Goal): number {
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
