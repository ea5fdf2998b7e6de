import { linearProgram, type ProgramRow, type Terms } from "../numeric/linearProgram";
import type { SolveProgram } from "../numeric/solveProgram";
import type { NutrientAmounts } from "./nutrients";
import { recipeResult, type RecipeResult } from "./recipeResult";
import {
  AIMS,
  amountOf,
  MACRO_AIMS,
  requireWish,
  TRACE_MG_PER_L,
  type AimAmounts,
  type RecipeWish,
} from "./recipeWish";

/** How a miss is weighed. */
export interface MissWeights {
  readonly under: AimAmounts;
  /** Where it differs from that of too little. */
  readonly over: AimAmounts;
  /** Whether the worst of the macronutrients goes before the sum of all. */
  readonly worstFirst: boolean;
}

const MICRO_WEIGHT = 0.5;
const S_WEIGHT = 0.2;
/** Of what too little counts, too much sulfur: plants leave it. */
const S_OVER = 0.1;

/** Sulfur follows from the others and is let go first. */
export const USUAL_WEIGHTS: MissWeights = {
  under: {
    ...Object.fromEntries(AIMS.map((aim) => [aim, MICRO_WEIGHT])),
    ...{ N: 2, "NO3-N": 2, "NH4-N": 2, "urea-N": 2, "unstated-N": 2, P: 2, K: 2, Ca: 1.5, Mg: 1, S: S_WEIGHT },
  },
  over: { S: S_WEIGHT * S_OVER },
  worstFirst: true,
};

export interface SolvedRecipe extends RecipeResult {
  /** Σ weight × miss. */
  readonly missSum: number;
}

/** Beside the worst miss, too much of a micronutrient: its salts are no source of sulfur. */
const MICRO_OVER = 0.05;
/** The worst miss is made no smaller than this for the price of other misses: salts and scales are not that good. */
const FINE_MISS = 0.01;
/** What is fixed by a stage may be passed by this much in the next, in thousandths of what it counts in. */
const STAGE_SLACK = 1e-6;
const THOUSAND = 1000;
const MOST_SLACK = 0.1;
/** Amounts that differ by less, of themselves or of a gram, are the same. */
const SAME = 3e-3;
/** Of a salt, less than this in 1000 L is none, g. */
const NONE_G = 1e-6;

/**
 * Amounts of the salts on the shelf that come nearest to a recipe, the source water counted in. One after the other, each as
 * good as it can be without spoiling those before: limits, the worst relative miss down to 1 %, the weighted sum of all
 * misses, the cost (the mass, where no salt has a price). For the worst miss counts what salts can help: too little of a
 * macronutrient that one of them brings, and too much that they bring, not what the water alone has too much of.
 *
 * @param solve of linear programs
 * @throws RangeError when an amount is outside its range
 * @source lexicographic linear program; tests/reference/feed/recipe-solve.json
 */
export function solveRecipe(wish: RecipeWish, solve: SolveProgram, weights = USUAL_WEIGHTS): SolvedRecipe {
  requireWish("solveRecipe", wish);
  const { values, missSum } = solveInStages(wish, solve, weights);
  const gPer1000L = wish.salts.map((_, at) => grams(values, at));
  return { ...recipeResult(wish, gPer1000L), missSum };
}

/** Σ weight × miss of what amounts come to. */
export function missSumOf({ aims }: RecipeResult, { under, over } = USUAL_WEIGHTS): number {
  return aims.reduce((sum, { aim, miss }) => {
    const weight = under[aim] ?? 1;
    return sum + Math.abs(miss) * (miss < 0 ? weight : (over[aim] ?? weight));
  }, 0);
}

/**
 * Whether the amount of each salt follows from what is asked, or could be another just as well.
 *
 * @source least and greatest amount on the face of all best answers
 */
export function uniqueAmounts(wish: RecipeWish, solve: SolveProgram, weights = USUAL_WEIGHTS): boolean[] {
  requireWish("uniqueAmounts", wish);
  const { rows } = solveInStages(wish, solve, weights);
  return wish.salts.map((_, at) => {
    const [least, greatest] = [1, -1].map((factor) => {
      const found = solve(linearProgram({ [saltName(at)]: factor }, rows));
      return found.kind === "solved" ? grams(found.values, at) : 0;
    }) as [number, number];
    return greatest - least <= SAME * Math.max(1, greatest);
  });
}

const saltName = (at: number) => `a${at}`;
const grams = (values: Readonly<Record<string, number>>, at: number) => {
  const amount = values[saltName(at)] ?? 0;
  return amount > NONE_G ? amount : 0;
};

function solveInStages(wish: RecipeWish, solve: SolveProgram, weights: MissWeights) {
  const { rows, missed, worst, sum } = programOf(wish, weights);
  const hasPrice = wish.salts.some(({ pricePerKg }) => pricePerKg > 0);
  const costs = termsOf(wish, ({ pricePerKg }) => (hasPrice ? pricePerKg : 1));
  const stages = [missed, ...(weights.worstFirst ? [worst] : []), sum, costs];
  let values: Readonly<Record<string, number>> = {};
  let missSum = 0;
  const fixed: { row: ProgramRow; least: number }[] = [];
  const within = (slack: number) => fixed.map(({ row, least }) => ({ ...row, value: least + slack }));
  let slack = STAGE_SLACK;
  stages.forEach((terms, stage) => {
    if (Object.keys(terms).length === 0) return;
    let found = solve(linearProgram(terms, [...rows, ...within(slack)]));
    // What rounding takes in one stage must not leave the next without an answer.
    for (; found.kind === "none" && slack < MOST_SLACK; slack *= 10)
      found = solve(linearProgram(terms, [...rows, ...within(10 * slack)]));
    if (found.kind === "none") throw new Error("Any recipe can be missed by enough: its program must have an answer");
    values = found.values;
    if (terms === sum) missSum = found.objective / THOUSAND;
    fixed.push({ row: { name: `stage${stage}`, terms, is: "<=", value: 0 }, least: found.objective });
  });
  return { rows: [...rows, ...within(slack)], values, missSum };
}

/** Rows for targets and limits; what counts limits that are passed, the worst miss, all misses. */
function programOf(wish: RecipeWish, weights: MissWeights) {
  const { targetsMgPerL, leastMgPerL = {}, greatestMgPerL = {}, ammoniumShareMost = 1, waterMgPerL } = wish;
  const rows: ProgramRow[] = [];
  const missed: Record<string, number> = {};
  const worst: Record<string, number> = { z: THOUSAND };
  const sum: Record<string, number> = {};
  AIMS.forEach((aim, at) => {
    const brought = (scale: number) => termsOf(wish, ({ percent }) => amountOf(aim, percent) / 100 / scale);
    const isBroughtBySalt = Object.keys(brought(1)).length > 0;
    const water = amountOf(aim, waterMgPerL);
    const target = targetsMgPerL[aim] ?? 0;
    const least = leastMgPerL[aim] ?? 0;
    const greatest = greatestMgPerL[aim] ?? (targetsMgPerL[aim] === 0 ? 0 : null);
    if (target >= TRACE_MG_PER_L) {
      const [over, under] = [`o${at}`, `u${at}`];
      const terms = { ...brought(target), [over]: -1, [under]: 1 };
      rows.push({ name: `t${at}`, terms, is: "=", value: 1 - water / target });
      const underWeight = weights.under[aim] ?? 1;
      sum[under] = THOUSAND * underWeight;
      sum[over] = THOUSAND * (weights.over[aim] ?? underWeight);
      if (weights.worstFirst && isBroughtBySalt) {
        const isMacro = MACRO_AIMS.includes(aim);
        if (isMacro) rows.push({ name: `zu${at}`, terms: { z: 1, [under]: -1 }, is: ">=", value: 0 });
        const least = Math.max(0, 1 - water / target);
        const excess = isMacro ? { z: -1 / (aim === "S" ? S_OVER : 1) } : { [`y${at}`]: -1 };
        rows.push({ name: `zo${at}`, terms: { ...brought(target), ...excess }, is: "<=", value: least });
        if (!isMacro) worst[`y${at}`] = THOUSAND * MICRO_OVER;
      }
    }
    if (least >= TRACE_MG_PER_L) {
      missed[`v${at}`] = THOUSAND;
      rows.push({ name: `l${at}`, terms: { ...brought(least), [`v${at}`]: 1 }, is: ">=", value: 1 - water / least });
    }
    if (greatest !== null && isBroughtBySalt) {
      const scale = Math.max(greatest, 1e-3);
      missed[`x${at}`] = THOUSAND;
      const terms = { ...brought(scale), [`x${at}`]: -1 };
      rows.push({ name: `g${at}`, terms, is: "<=", value: (greatest - water) / scale });
    }
  });
  if (weights.worstFirst) rows.push({ name: "fine", terms: { z: 1 }, is: ">=", value: FINE_MISS });
  if (ammoniumShareMost < 1) {
    const excess = (amounts: NutrientAmounts) => (amounts["NH4-N"] ?? 0) - ammoniumShareMost * amountOf("N", amounts);
    missed.q = THOUSAND / 10;
    const terms = { ...termsOf(wish, ({ percent }) => excess(percent) / 100), q: -1 };
    rows.push({ name: "ammonium", terms, is: "<=", value: -excess(waterMgPerL) });
  }
  return { rows, missed, worst, sum };
}

/** Smaller ones are nothing to a solver. */
const LEAST_FACTOR = 1e-12;

/** Of each salt so much of something, where it is not nothing. */
function termsOf({ salts }: RecipeWish, of: (salt: RecipeWish["salts"][number]) => number): Terms {
  return Object.fromEntries(
    salts.flatMap((salt, at) => {
      const factor = of(salt);
      return Math.abs(factor) < LEAST_FACTOR ? [] : [[saltName(at), factor]];
    }),
  );
}
