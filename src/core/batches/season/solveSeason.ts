import type { OpenProgram } from "../../numeric/warmProgram";
import { requireRange } from "../../units/range";
import { checkPlan, type CheckedPlan } from "./checkPlan";
import { dive } from "./dive";
import { improvePlan, valueOf, type Best } from "./improve";
import type { SeasonPlan, SeasonProblem } from "./problem";
import { Relaxation } from "./relaxation";
import { randomLcg } from "d3-random";

/** How far the solving is. */
export interface SeasonProgress {
  /** What the best plan so far brings; null before there is one. */
  readonly value: number | null;
  /** No plan can bring more; null before it is known. */
  readonly bound: number | null;
  /** The best plan so far, where it is new. */
  readonly plan: SeasonPlan | null;
}

export interface SeasonWish {
  readonly open: OpenProgram;
  /** The plan as it is, kept unless a better one is found. */
  readonly start?: SeasonPlan | null;
  /** Good enough: so much of the bound may be missing. For less than that nothing that is planned is changed. */
  readonly gap: number;
  /** Told how far it is, over and over; when it answers "enough", the best so far is taken. What it throws ends the solving. */
  readonly look: (progress: SeasonProgress) => "enough" | void;
}

export type SeasonResult =
  /** What is in the ground alone is more than the limits allow. */
  | { readonly kind: "no-room" }
  | {
      readonly kind: "plan";
      readonly plan: SeasonPlan;
      readonly checked: CheckedPlan;
      readonly value: number;
      readonly bound: number;
      /** The plan that was there is as good: nothing is changed. */
      readonly isUnchanged: boolean;
    };

/** Tries without success, up to so many open sowings: the fewer they are, the sooner branching comes to its end. */
const TRIES = [
  { most: 150, tries: 12 },
  { most: 300, tries: 40 },
  { most: Infinity, tries: 600 },
] as const;

/**
 * Solves a season: the bound by the linear relaxation with rounding cuts, a first plan by a guided dive, then better ones by
 * diving again in parts of it, until the gap is small enough or whoever looks has enough.
 *
 * @returns the plan, walked by a checker that knows nothing of the solving, and what no plan can be better than
 * @throws RangeError for a gap outside 0 to 1; an Error when the checker finds a plan wrong
 * @source Pochet and Wolsey 2006 (lot sizing), relaxation induced search; tests/reference/batches/season
 */
export function solveSeason(problem: SeasonProblem, { open, start = null, gap, look }: SeasonWish): SeasonResult {
  requireRange("solveSeason", "gap", gap, 0, 1);
  const chance = randomLcg(0.4321);
  const given = start && checkPlan(problem, start).broken.length === 0 ? start : null;
  let best: Best | null = given && { value: valueOf(problem, given), plan: given };
  const from = best;
  const relaxation = new Relaxation(problem, open);
  try {
    look({ value: best?.value ?? null, bound: null, plan: null });
    const relaxed = relaxation.tighten((bound) => void look({ value: best?.value ?? null, bound, plan: null }));
    if (!relaxed) return { kind: "no-room" };
    let bound = relaxed.value;
    const isGood = (one: Best | null) => one !== null && bound - one.value <= gap * Math.abs(bound) + 1e-6;
    let enough = false;
    const say = (plan: SeasonPlan | null) => {
      enough = look({ value: best?.value ?? null, bound, plan }) === "enough" || enough;
    };
    say(null);
    const all = problem.sowings.flatMap(({ fixed }, index) => (fixed === null ? [index] : []));
    if (!isGood(best)) {
      const found = dive(relaxation, relaxed, all);
      if (found && (!best || found.value > best.value)) best = { value: found.value, plan: relaxation.planOf(found) };
      say(best?.plan ?? null);
    }
    best ??= nothingSown(problem, relaxation);
    if (!best) return { kind: "no-room" };
    if (!enough)
      best = improvePlan(problem, best, {
        ...{ open, chance, isGood },
        tries: TRIES.find(({ most }) => all.length <= most)!.tries,
        look: (better, plan) => {
          best = better;
          say(plan);
          return enough ? "enough" : undefined;
        },
      });
    if (!isGood(best) && !enough) {
      const branched = relaxation.branch(best.plan, {
        gap,
        look: (least) => {
          bound = Math.min(bound, least);
          return look({ value: best!.value, bound, plan: null });
        },
      });
      bound = Math.min(bound, branched.best.bound);
      if (branched.plan && branched.best.kind === "solved" && branched.best.value > best.value)
        best = { value: branched.best.value, plan: branched.plan };
      say(best.plan);
    }
    const isUnchanged = from !== null && best.value - from.value <= gap * Math.abs(bound) + 1e-6;
    return result(problem, isUnchanged ? from : best, Math.max(bound, best.value), isUnchanged);
  } finally {
    relaxation.free();
  }
}

/** Where no dive came to an end: what is in the ground, and nothing new. */
function nothingSown(problem: SeasonProblem, relaxation: Relaxation): Best | null {
  const all = problem.sowings.flatMap(({ fixed }, index) => (fixed === null ? [index] : []));
  const none = all.map(() => 0);
  relaxation.setUnits(all, none, none);
  const found = relaxation.solve();
  return found && { value: found.value, plan: relaxation.planOf(found) };
}

function result(problem: SeasonProblem, { plan: found }: Best, bound: number, isUnchanged: boolean): SeasonResult {
  const plan = { ...found, units: found.units.map((units) => Math.round(units * 1e6) / 1e6) };
  const checked = checkPlan(problem, plan);
  const [wrong] = checked.broken;
  if (wrong)
    throw new Error(`solveSeason: the plan breaks ${wrong.kind} of ${wrong.what} on day ${wrong.day} by ${wrong.over}`);
  return {
    kind: "plan",
    plan,
    checked,
    value: checked.money.total,
    bound: Math.max(bound, checked.money.total),
    isUnchanged,
  };
}
