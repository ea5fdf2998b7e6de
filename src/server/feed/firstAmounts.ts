import type { Changes, Tables } from "@/core/garden/changes";
import { firstAmounts } from "@/core/garden/recipeAmounts";
import { solver } from "../solver/highs";

/** Amounts for a recipe that has none yet, as it is saved. */
export async function withFirstAmounts(tables: Tables, recipeId: number): Promise<Changes> {
  return firstAmounts(tables, await solver(), recipeId);
}
