import type { Changes, Tables } from "@/core/garden/changes";
import { firstAmounts } from "@/core/garden/recipeAmounts";
import { solver } from "../solver/highs";

/** Amounts for recipes that have none yet, as they are saved for the first time. */
export async function withFirstAmounts(tables: Tables): Promise<Changes> {
  return firstAmounts(tables, await solver());
}
