import { bestPattern } from "./cutPattern";

/** A linear or integer program in the LP text format, and its solution by names; duals only of a linear one. */
export type SolveProgram = (text: string) => {
  readonly objective: number;
  readonly values: Readonly<Record<string, number>>;
  readonly duals: Readonly<Record<string, number>>;
};

export const EPSILON = 1e-6;
const MOST_ROUNDS = 400;

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
  readonly kerf: number;
  readonly solve: SolveProgram;
}

export const isBought = ({ bars }: Model, bar: number) => bars[bar]!.limit === null;

/** Patterns to begin with: bars filled with the longest pieces that still fit; with no limit on the kind, that is a plan. */
export function firstPatterns(bar: number, { types, bars, kerf }: Model): Pattern[] {
  const stock = bars[bar]!.length;
  const left = types.map(({ length, count }) => (length <= stock ? count : 0));
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
    patterns.push({ bar, counts });
    counts.forEach((count, type) => (left[type]! -= times * count));
  }
  return patterns;
}

/** The same cuts from the shortest kind of bar, of those given, that holds them. */
export function shorterBars(patterns: readonly Pattern[], kinds: readonly number[], model: Model): Pattern[] {
  const { types, bars, kerf } = model;
  const byLength = [...kinds].sort((a, b) => bars[a]!.length - bars[b]!.length);
  return patterns.flatMap(({ counts, bar }) => {
    const used = counts.reduce((sum, count, type) => sum + count * (types[type]!.length + kerf), 0) - kerf;
    const shortest = byLength.find((kind) => bars[kind]!.length >= used);
    return shortest !== undefined && bars[shortest]!.length < bars[bar]!.length ? [{ bar: shortest, counts }] : [];
  });
}

interface Relaxed {
  readonly objective: number;
  readonly values: Readonly<Record<string, number>>;
}

/** Adds patterns until none could better the linear program. @returns its optimum, a bound for every plan */
export function generate(patterns: Pattern[], goal: Goal, model: Model): Relaxed {
  const { types, bars, kerf, solve } = model;
  const weights = types.map(({ length }) => length + kerf);
  const most = types.map(({ count }) => count);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const { objective, values: taken, duals } = solve(program(patterns, goal, model, false));
    const values = types.map((_, type) => Math.max(0, duals[`c${type}`] ?? 0));
    const found = bestPattern(
      weights,
      values,
      most,
      goal.bars.map((bar) => bars[bar]!.length + kerf),
    );
    const added = goal.bars.flatMap((bar, index) => {
      const { counts, value } = found[index]!;
      const price = goal.cost(bar) - (isBought(model, bar) ? (duals.bars ?? 0) : 0) - (duals[`s${bar}`] ?? 0);
      const betters = value > price + EPSILON * Math.max(1, goal.cost(bar)) && counts.some((count) => count > 0);
      return betters && !known(patterns, bar, counts) ? [{ bar, counts }] : [];
    });
    if (added.length === 0) return { objective, values: taken };
    patterns.push(...added);
  }
  // Not all patterns were tried: only the plain bound is sure then.
  const needed = weights.reduce((sum, weight, type) => sum + weight * most[type]!, 0);
  const objective = Math.min(...goal.bars.map((bar) => (goal.cost(bar) * needed) / (bars[bar]!.length + kerf)));
  return { objective, values: {} };
}

function known(patterns: readonly Pattern[], bar: number, counts: readonly number[]): boolean {
  return patterns.some((pattern) => pattern.bar === bar && pattern.counts.every((count, type) => count === counts[type])); // prettier-ignore
}

export interface Chosen {
  readonly pattern: Pattern;
  readonly times: number;
}

/** Times that patterns are looked for by diving before the best plan so far is taken. */
const MOST_DIVES = 12;
/** Before the dives of these rounds the integer program has its turn. */
const INTEGER_ROUNDS = [1, 5, 9];

/**
 * The best whole numbers of the patterns found. A dive makes a plan of its own, and finds patterns that the linear program
 * had no need of; it costs a fraction of the integer program and often meets the bound at once.
 *
 * @param onBetter hears of each better plan's worth
 */
export function bestPlan(
  patterns: Pattern[],
  goal: Goal,
  bound: number,
  model: Model,
  onBetter?: (worth: number) => void,
): readonly Chosen[] {
  let best: readonly Chosen[] = [];
  let least = Infinity;
  const take = (plan: readonly Chosen[] | null) => {
    if (!plan || worth(plan, goal, model) >= least) return;
    best = plan;
    least = worth(plan, goal, model);
    onBetter?.(least);
  };
  for (let round = 0; round < MOST_DIVES && least > bound + EPSILON; round++) {
    if (INTEGER_ROUNDS.includes(round)) take(wholePlan(patterns, goal, model));
    if (least > bound + EPSILON) take(dive(patterns, goal, model, round));
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
  const usedOf = (bar: number) => found.reduce((sum, { pattern, times }) => sum + (pattern.bar === bar ? times : 0), 0);
  while (left.some((count) => count > 0)) {
    const kinds = left.flatMap((count, type) => (count > 0 ? [type] : []));
    const rest: Model = {
      ...model,
      types: kinds.map((type) => ({ length: model.types[type]!.length, count: left[type]! })),
      bars: model.bars.map(({ length, limit }, bar) => ({
        length,
        limit: limit === null ? null : limit - usedOf(bar),
      })),
    };
    const bought = found.reduce((sum, { pattern, times }) => sum + (isBought(model, pattern.bar) ? times : 0), 0);
    const mostBought = goal.mostBought === null ? null : goal.mostBought - bought;
    if (mostBought !== null && mostBought < 0) return null;
    const restGoal: Goal = {
      ...goal,
      mostBought,
      bars: goal.bars.filter((bar) => rest.bars[bar]!.limit === null || rest.bars[bar]!.limit! > 0),
    };
    const own = startOf(patterns, kinds, left, rest, restGoal);
    const relaxed = tryGenerate(own, restGoal, rest);
    if (!relaxed) return null;
    const wished = own.map((pattern, index) => ({ pattern, wish: relaxed.values[`x${index}`] ?? 0 })).filter(({ wish }) => wish > EPSILON).sort((a, b) => b.wish - a.wish); // prettier-ignore
    const taken = wished[found.length === 0 && wished.length > 0 ? round % wished.length : 0];
    // Nothing is left that a bar could give: the rest stays uncut.
    if (!taken) return goal.uncutCost === null ? null : found;
    const limit = rest.bars[taken.pattern.bar]!.limit ?? Infinity;
    const times = Math.min(limit, Math.max(1, Math.floor(taken.wish + EPSILON)));
    const counts = model.types.map((_, type) =>
      kinds.includes(type) ? taken.pattern.counts[kinds.indexOf(type)]! : 0,
    );
    if (!known(patterns, taken.pattern.bar, counts)) patterns.push({ bar: taken.pattern.bar, counts });
    found.push({ pattern: { bar: taken.pattern.bar, counts }, times });
    counts.forEach((count, type) => (left[type] = Math.max(0, left[type]! - times * count)));
  }
  return found;
}

/** Patterns for what is left: those known, without what is not wanted any more, and enough to cut all of it. */
function startOf(patterns: readonly Pattern[], kinds: readonly number[], left: readonly number[], rest: Model, goal: Goal): Pattern[] {
  const own = goal.bars.length > 0 ? firstPatterns(longestOf(goal.bars, rest), rest) : [];
  for (const { bar, counts } of patterns) {
    if (!goal.bars.includes(bar)) continue;
    const part = kinds.map((type) => Math.min(left[type]!, counts[type]!));
    if (part.some((count) => count > 0) && !known(own, bar, part)) own.push({ bar, counts: part });
  }
  return own;
} // prettier-ignore

/** The longest kind of those given, one that does not run out before one that does. */
export function longestOf(kinds: readonly number[], { bars }: Model): number {
  const rank = (bar: number) => (bars[bar]!.limit === null ? 1e12 : 0) + bars[bar]!.length;
  return kinds.reduce((best, bar) => (rank(bar) > rank(best) ? bar : best));
}

function tryGenerate(patterns: Pattern[], goal: Goal, model: Model): Relaxed | null {
  try {
    return generate(patterns, goal, model);
  } catch {
    // No solution: the bars that are left do not reach.
    return null;
  }
}

/** What a plan comes to: its bars, and the pieces that it leaves uncut. */
export function worth(plan: readonly Chosen[], { cost, uncutCost }: Goal, model: Model): number {
  const bars = plan.reduce((sum, { pattern, times }) => sum + cost(pattern.bar) * times, 0);
  if (uncutCost === null) return bars;
  const uncut = model.types.reduce((sum, { count }, type) => sum + Math.max(0, count - plan.reduce((cut, { pattern, times }) => cut + times * pattern.counts[type]!, 0)), 0); // prettier-ignore
  return bars + uncut * uncutCost;
}

function program(patterns: readonly Pattern[], goal: Goal, model: Model, whole: boolean): string {
  const { cost, mostBought, uncutCost } = goal;
  const { types, bars } = model;
  const terms = (factor: (pattern: Pattern) => number) =>
    patterns.flatMap((pattern, index) => (factor(pattern) > 0 ? [`${factor(pattern)} x${index}`] : []));
  const uncut = uncutCost === null ? [] : types.map((_, type) => `${uncutCost} u${type}`);
  const limited = goal.bars.filter((bar) => bars[bar]!.limit !== null);
  const names = [...patterns.map((_, index) => `x${index}`), ...(uncutCost === null ? [] : types.map((_, type) => `u${type}`))]; // prettier-ignore
  const rows = [
    ...types.map(({ count }, type) => ` c${type}: ${[...terms(({ counts }) => counts[type]!), ...(uncutCost === null ? [] : [`1 u${type}`])].join(" + ")} >= ${count}`), // prettier-ignore
    ...limited.map((bar) => [` s${bar}`, terms((pattern) => (pattern.bar === bar ? 1 : 0)), bars[bar]!.limit!] as const).filter(([, own]) => own.length > 0).map(([name, own, limit]) => `${name}: ${own.join(" + ")} <= ${limit}`), // prettier-ignore
  ];
  const bought = terms(({ bar }) => (isBought(model, bar) ? 1 : 0));
  if (mostBought !== null && bought.length > 0) rows.push(` bars: ${bought.join(" + ")} <= ${mostBought}`);
  const objective = [...terms(({ bar }) => cost(bar)), ...uncut];
  return [
    "Minimize",
    ` obj: ${objective.length > 0 ? objective.join(" + ") : `0 ${names[0]}`}`,
    "Subject To",
    ...rows,
    ...(whole ? ["General", ` ${names.join(" ")}`] : []),
    "End",
  ].join("\n");
}
