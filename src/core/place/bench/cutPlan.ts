import { EPSILON, isBought, longestOf, worth, type Chosen, type Goal, type Model, type Pattern } from "./cutModel";
import { filledLongestFirst, firstPatterns, generate, isKnown, patternsWithin, type Relaxed } from "./cutPatterns";
import { cutProgram } from "./cutProgram";

/** Times that patterns are looked for by diving before the best plan so far is taken. */
const MOST_DIVES = 12;
/** Before the dives of these rounds the integer program has its turn. */
const INTEGER_ROUNDS = [1, 5, 9];

export interface Planned {
  readonly chosen: readonly Chosen[];
  /** What no plan can come to less than. */
  readonly bound: number;
}

/** What the search for whole numbers starts from. */
export interface Search {
  readonly patterns: Pattern[];
  readonly goal: Goal;
  /** The linear program's optimum, and the same rounded up to a total that can be had. */
  readonly relaxed: Relaxed;
  readonly bound: number;
  /** A plan found before, if any. */
  readonly known?: readonly Chosen[];
}

/**
 * The best whole numbers of the patterns found, and a bound for every plan. A dive makes a plan of its own, and finds
 * patterns that the linear program had no need of; it costs a fraction of the integer program and often meets the bound at
 * once. Where it does not, all patterns that could make a better plan are listed, if they are few enough, and the integer
 * program over them settles it.
 *
 * @param onBetter hears of each better plan's worth
 */
export function bestPlan(
  { patterns, goal, relaxed, bound, known }: Search,
  model: Model,
  onBetter?: (worth: number) => void,
): Planned {
  let best: readonly Chosen[] = [];
  let least = Infinity;
  const take = (plan: readonly Chosen[] | null) => {
    if (!plan || worth(plan, goal, model) >= least) return;
    best = plan;
    least = worth(plan, goal, model);
    onBetter?.(least);
  };
  take(known ?? null);
  take(longestFirst(goal, model));
  const meetsBound = () => least <= bound + EPSILON;
  for (let round = 0; round < MOST_DIVES && !meetsBound(); round++) {
    take(dive(patterns, goal, model, round));
    if (!meetsBound() && INTEGER_ROUNDS.includes(round)) {
      take(wholePlan(patterns, goal, model).plan);
      if (meetsBound()) break;
      const all = patternsWithin(least - relaxed.objective, relaxed, goal, model);
      if (!all) continue;
      const settled = wholePlan(all, goal, model);
      take(settled.plan);
      // Nothing better than the plan at hand is left out of them: their optimum is everybody's, or that plan is.
      if (settled.optimal) return { chosen: best, bound: least };
    }
  }
  return { chosen: best, bound: Math.min(bound, least) };
}

/** The best plan of given patterns that the solver finds in its time, and whether there is no better one of them. */
function wholePlan(patterns: readonly Pattern[], goal: Goal, model: Model) {
  if (patterns.length === 0) return { plan: null, optimal: false };
  const solution = model.solve(cutProgram(patterns, goal, model, true));
  if (solution.kind === "none") return { plan: null, optimal: false };
  const plan = patterns.flatMap((pattern, index) => {
    const times = Math.round(solution.values[`x${index}`] ?? 0);
    return times > 0 ? [{ pattern, times }] : [];
  });
  return { plan, optimal: solution.optimal && worth(plan, goal, model) < Infinity };
}

/** Bars filled one after the other with the longest pieces first: what lies there, the shortest first, then what is bought. */
function longestFirst(goal: Goal, model: Model): Chosen[] {
  const { types, bars, sawCut } = model;
  const left = types.map(({ count }) => count);
  const plan: Chosen[] = [];
  const fill = (bar: number) => {
    const counts = filledLongestFirst(left, bars[bar]!.length, types, sawCut);
    if (counts.every((count) => count === 0)) return false;
    plan.push({ pattern: { bar, counts }, times: 1 });
    counts.forEach((count, type) => (left[type]! -= count));
    return true;
  };
  const onHand = goal.bars.filter((bar) => !isBought(model, bar));
  for (const bar of onHand.sort((a, b) => bars[a]!.length - bars[b]!.length))
    for (let used = 0; used < bars[bar]!.limit! && fill(bar);) used += 1;
  const bought = goal.bars.filter((bar) => isBought(model, bar));
  while (bought.length > 0 && fill(longestOf(bought, model)));
  return plan;
}

/**
 * Takes the pattern that the linear program wants most, solves again for what is left, and so on. Later rounds begin with
 * another pattern. @returns a plan, or null when the bars allowed do not reach
 */
function dive(patterns: Pattern[], goal: Goal, model: Model, round: number): Chosen[] | null {
  const left = model.types.map(({ count }) => count);
  const found: Chosen[] = [];
  while (left.some((count) => count > 0)) {
    const kinds = left.flatMap((count, type) => (count > 0 ? [type] : []));
    const rest = whatIsLeft(found, kinds, left, goal, model);
    if (!rest) return null;
    const own = startOf(patterns, kinds, left, rest.model, rest.goal);
    const relaxed = generate(own, rest.goal, rest.model);
    if (!relaxed) return null;
    const wished = own
      .map((pattern, index) => ({ pattern, wish: relaxed.values[`x${index}`] ?? 0 }))
      .filter(({ wish }) => wish > EPSILON)
      .sort((a, b) => b.wish - a.wish);
    const taken = wished[found.length === 0 && wished.length > 0 ? round % wished.length : 0];
    // Nothing is left that a bar could give: the rest stays uncut.
    if (!taken) return goal.uncutCost === null ? null : found;
    const { bar } = taken.pattern;
    const limit = rest.model.bars[bar]!.limit ?? Infinity;
    const times = Math.min(limit, Math.max(1, Math.floor(taken.wish + EPSILON)));
    const counts = model.types.map((_, type) =>
      kinds.includes(type) ? taken.pattern.counts[kinds.indexOf(type)]! : 0,
    );
    if (!isKnown(patterns, bar, counts)) patterns.push({ bar, counts });
    found.push({ pattern: { bar, counts }, times });
    counts.forEach((count, type) => (left[type] = Math.max(0, left[type]! - times * count)));
  }
  return found;
}

/** The problem that is left when some bars are cut. @returns null when more were bought than may be */
function whatIsLeft(
  found: readonly Chosen[],
  kinds: readonly number[],
  left: readonly number[],
  goal: Goal,
  model: Model,
): { readonly model: Model; readonly goal: Goal } | null {
  const sum = (chosen: readonly Chosen[]) => chosen.reduce((all, { times }) => all + times, 0);
  const used = (bar: number) => sum(found.filter(({ pattern }) => pattern.bar === bar));
  const bought = sum(found.filter(({ pattern }) => isBought(model, pattern.bar)));
  const mostBought = goal.mostBought === null ? null : goal.mostBought - bought;
  if (mostBought !== null && mostBought < 0) return null;
  const bars = model.bars.map(({ length, limit }, bar) => ({
    length,
    limit: limit === null ? null : limit - used(bar),
  }));
  return {
    model: { ...model, types: kinds.map((type) => ({ length: model.types[type]!.length, count: left[type]! })), bars },
    goal: { ...goal, mostBought, bars: goal.bars.filter((bar) => bars[bar]!.limit !== 0) },
  };
}

/** Patterns for what is left: those known, without what is not wanted any more, and enough to cut all of it. */
function startOf(
  patterns: readonly Pattern[],
  kinds: readonly number[],
  left: readonly number[],
  rest: Model,
  goal: Goal,
): Pattern[] {
  const own = goal.bars.length > 0 ? firstPatterns(longestOf(goal.bars, rest), rest) : [];
  for (const { bar, counts } of patterns) {
    if (!goal.bars.includes(bar)) continue;
    const part = kinds.map((type) => Math.min(left[type]!, counts[type]!));
    if (part.some((count) => count > 0) && !isKnown(own, bar, part)) own.push({ bar, counts: part });
  }
  return own;
}
