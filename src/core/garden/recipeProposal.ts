import type { RecipeSalt } from "../feed/feedSheet";
import { missingSalts } from "../feed/missingSalt";
import { atStrength } from "../feed/recipeWish";
import { SALT_LIBRARY, stockFor } from "../feed/salts";
import type { SolvedForEc } from "../feed/solveForEc";
import { missSumOf, uniqueAmounts, USUAL_WEIGHTS } from "../feed/solveRecipe";
import { whatLimits, type RecipeLimit } from "../feed/whatLimits";
import type { SolveProgram } from "../numeric/solveProgram";
import type { Garden, Recipe, Source } from "./garden";
import type { LoopFeed } from "./fed";
import { memo } from "./memo";
import { recipeSaltsOf, solvedWith, wishOf } from "./recipeAmounts";

/** Which salts may be taken: those of the recipe, or all on the shelf of which some is left. */
export type SaltsFrom = "recipe" | "shelf";

/** What is made small first: the worst miss, or all misses together. */
export type SolvedBy = "worst" | "sum";

/** What a recipe would come to if it were solved again. */
export interface RecipeProposal {
  /** Those that may be taken, with what is accepted of them now; null for one that the recipe does not have. */
  readonly salts: readonly RecipeSalt[];
  readonly found: SolvedForEc | "water-too-strong" | "recipe-too-weak";
  readonly limits: readonly RecipeLimit[];
  /** Whether each amount follows, or another would do as well. */
  readonly unique: readonly boolean[];
  /** Salts of the library, not on the shelf, that would close most, with the worst miss that would be left. */
  readonly missing: readonly { readonly name: string; readonly worstMiss: number }[];
}

const MOST_MISSING = 3;

/** The salts of a recipe, or all that are left on the shelf, each with the stock it has or belongs in. */
export function saltsFor({ salts: shelf }: Pick<Garden, "salts">, recipe: Recipe, from: SaltsFrom): RecipeSalt[] {
  const own = recipeSaltsOf(recipe, shelf);
  if (from === "recipe") return own;
  const others = shelf.filter(({ id, onHandG, alone }) => onHandG > 0 && !alone && !own.some((salt) => salt.id === id));
  return [...own, ...others.map((salt) => ({ ...salt, stock: stockOf(salt), gPer1000L: null }))];
}

function stockOf(salt: Parameters<typeof stockFor>[0]) {
  const belongs = stockFor(salt);
  return belongs === "either" ? "A" : belongs;
}

/** Solves a recipe again with a water. @param solve of linear programs @source solvedWith, missingSalts, uniqueAmounts */
export function recipeProposal(
  garden: Pick<Garden, "salts">,
  recipe: Recipe,
  source: Source | null,
  from: SaltsFrom,
  by: SolvedBy,
  solve: SolveProgram,
): RecipeProposal {
  // A page asks for it each time that it is looked at.
  return memo("recipe proposal", [recipe, garden.salts, source, from, by], () => {
    const weights = { ...USUAL_WEIGHTS, worstFirst: by === "worst" };
    const salts = saltsFor(garden, recipe, from);
    const found = solvedWith(recipe, salts, source, solve, weights);
    if (typeof found === "string") return { salts, found, limits: [], unique: salts.map(() => true), missing: [] };
    const run = atStrength({ ...wishOf(recipe, source), salts }, found.strength);
    const there = new Set(garden.salts.map(({ name }) => name));
    const candidates = SALT_LIBRARY.filter(({ name, acid }) => !acid && !there.has(name)).map((salt) => ({
      ...salt,
      pricePerKg: 0,
    }));
    return {
      salts,
      found,
      limits: whatLimits(run, found.solved),
      unique: uniqueAmounts(run, solve, weights),
      missing: missingSalts(run, found.solved, candidates, solve, weights)
        .slice(0, MOST_MISSING)
        .map(({ salt, worstMiss }) => ({ name: salt.name, worstMiss })),
    };
  });
}

/** Misses that differ by less are the same. */
const SAME_MISS = 0.02;

/** What speaks for solving a recipe again: it never was, a salt of it is used up, or its salts could come nearer. */
export type SolveAgain =
  | { readonly kind: "never-solved" }
  | { readonly kind: "used-up"; readonly salts: readonly string[] }
  | { readonly kind: "nearer"; readonly worstMiss: number; readonly couldBe: number };

/** @source solvedWith with the salts of the recipe, held against what was accepted */
export function solveAgain(feed: LoopFeed, source: Source | null, solve: SolveProgram): SolveAgain | null {
  return memo("solve again", [feed, source], () => whySolveAgain(feed, source, solve));
}

function whySolveAgain(feed: LoopFeed, source: Source | null, solve: SolveProgram): SolveAgain | null {
  const { recipe, salts, sheet } = feed;
  if (recipe.byLabel || salts.length === 0) return null;
  if (salts.every(({ gPer1000L }) => gPer1000L === null)) return { kind: "never-solved" };
  const usedUp = salts.filter(({ onHandG, gPer1000L }) => onHandG === 0 && (gPer1000L ?? 0) > 0);
  if (usedUp.length > 0) return { kind: "used-up", salts: usedUp.map(({ name }) => name) };
  const found = solvedWith(recipe, salts, source, solve);
  if (typeof found === "string" || sheet.strength === null) return null;
  const worst = (result: { readonly worst: { readonly miss: number } | null }) => Math.abs(result.worst?.miss ?? 0);
  return missSumOf(found.solved) < missSumOf(sheet.result) - SAME_MISS
    ? { kind: "nearer", worstMiss: worst(sheet.result), couldBe: worst(found.solved) }
    : null;
}
