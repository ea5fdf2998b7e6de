import type { SolveProgram } from "../numeric/solveProgram";
import { ionsFromElements } from "./nutrients";
import { elementsOfSalts } from "./elementsOfSalts";
import { atStrength, type RecipeWish } from "./recipeWish";
import { strengthForEc } from "./scaleToEc";
import { solveRecipe, USUAL_WEIGHTS, type SolvedRecipe } from "./solveRecipe";

/** A recipe solved at the strength that it is run at. */
export interface SolvedForEc {
  readonly solved: SolvedRecipe;
  /** Of the recipe as written. */
  readonly strength: number;
  /** Of each salt for the recipe as written, in 1000 L. */
  readonly writtenGPer1000L: readonly number[];
}

const MOST_ROUNDS = 12;
const NEAR = 1e-3;

/**
 * Solves a recipe for the EC that its feed is to have: what the water brings counts the more, the weaker the feed. The
 * strength follows from the salts, and they from the strength, until both stay.
 *
 * @param alkalinityMgCaco3PerL of the water
 * @param ecMsPerCm wanted
 * @returns "water-too-strong" where the water alone has that EC, "recipe-too-weak" where no strength reaches it
 * @throws RangeError when a figure is outside its range
 * @source solveRecipe and strengthForEc in turns
 */
export function solveForEc(
  wish: RecipeWish,
  alkalinityMgCaco3PerL: number,
  ecMsPerCm: number,
  solve: SolveProgram,
  weights = USUAL_WEIGHTS,
): SolvedForEc | "water-too-strong" | "recipe-too-weak" {
  const water = ionsFromElements(wish.waterMgPerL, alkalinityMgCaco3PerL);
  let strength = 1;
  for (let round = 1; ; round++) {
    const solved = solveRecipe(atStrength(wish, strength), solve, weights);
    const salts = ionsFromElements(elementsOfSalts(wish.salts, solved.gPer1000L));
    const factor = Object.keys(salts).length > 0 ? strengthForEc(salts, water, ecMsPerCm) : "recipe-too-weak";
    if (typeof factor !== "number") return factor;
    if (Math.abs(factor - 1) < NEAR || round === MOST_ROUNDS)
      return { solved, strength, writtenGPer1000L: solved.gPer1000L.map((grams) => grams / strength) };
    strength *= factor;
  }
}
