import type { RecipeSalt } from "../feed/feedSheet";
import type { RecipeWish } from "../feed/recipeWish";
import { solveForEc } from "../feed/solveForEc";
import type { MissWeights } from "../feed/solveRecipe";
import type { SolveProgram } from "../numeric/solveProgram";
import { feedWater } from "./feedWater";
import { between, type Changes, type Tables } from "./changes";
import type { Garden, Recipe, SaltRow, Source } from "./garden";
import { gardenOf } from "./gardenOf";

/** What a recipe is to come to, as written, with a water; pure water where there is none. */
export function wishOf(recipe: Recipe, source: Source | null): Omit<RecipeWish, "salts"> {
  const { targetsMgPerL, leastMgPerL, greatestMgPerL, ammoniumShareMost } = recipe;
  return { targetsMgPerL, leastMgPerL, greatestMgPerL, ammoniumShareMost, waterMgPerL: source?.analysisMgPerL ?? {} };
}

/** The salts of a recipe with all that the shelf tells of them. */
export function recipeSaltsOf(recipe: Recipe, shelf: readonly SaltRow[]): RecipeSalt[] {
  return recipe.salts.flatMap(({ saltId, stock, gPer1000L }): RecipeSalt[] => {
    const salt = shelf.find((candidate) => candidate.id === saltId);
    return salt ? [{ ...salt, stock, gPer1000L }] : [];
  });
}

/** The water that a recipe is made with: that of the first loop that is fed it; null, pure water, where there is none. */
export function waterOf({ loops, sources }: Pick<Garden, "loops" | "sources">, recipe: Recipe): Source | null {
  const loop = loops.find(({ recipeId }) => recipeId === recipe.id);
  return loop ? feedWater({ sources }, loop, recipe) : null;
}

/** Solves a recipe with its own EC, from some salts and a water. @param solve of linear programs @source solveForEc */
export function solvedWith(
  recipe: Recipe,
  salts: readonly RecipeSalt[],
  source: Source | null,
  solve: SolveProgram,
  weights?: MissWeights,
): ReturnType<typeof solveForEc> {
  const wish = { ...wishOf(recipe, source), salts };
  return solveForEc(wish, source?.alkalinityMgCaco3PerL ?? 0, recipe.ecMsPerCm, solve, weights);
}

/**
 * Amounts for recipes that have salts but none of them an amount: those that were just made or taken over.
 *
 * @param solve of linear programs
 * @param only the one that is meant; without it, all
 * @source solvedWith
 */
export function firstAmounts(tables: Tables, solve: SolveProgram, only?: number): Changes {
  const garden = gardenOf(tables, { latitudeDeg: 0 });
  const parts = { ...tables.recipe_salt };
  for (const recipe of garden.recipes) {
    if (only !== undefined && recipe.id !== only) continue;
    if (recipe.byLabel || recipe.salts.length === 0 || recipe.salts.some(({ gPer1000L }) => gPer1000L !== null))
      continue;
    const salts = recipeSaltsOf(recipe, garden.salts);
    const found = solvedWith(recipe, salts, waterOf(garden, recipe), solve);
    if (typeof found === "string") continue;
    for (const [id, part] of Object.entries(parts)) {
      const at = part.recipeId === recipe.id ? salts.findIndex((salt) => salt.id === part.saltId) : -1;
      if (at >= 0) parts[Number(id)] = { ...part, gPer1000L: found.writtenGPer1000L[at]! };
    }
  }
  return between({ recipe_salt: tables.recipe_salt ?? {} }, { recipe_salt: parts });
}
