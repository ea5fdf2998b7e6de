import type { SolveProgram } from "../numeric/solveProgram";
import type { RecipeWish, WishedSalt } from "./recipeWish";
import { solveRecipe, USUAL_WEIGHTS, type SolvedRecipe } from "./solveRecipe";

/** What one salt more on the shelf would do. */
export interface MissingSalt<Salt extends WishedSalt> {
  readonly salt: Salt;
  /** The worst miss with it, as a share of its target. */
  readonly worstMiss: number;
  readonly missSum: number;
}

/** Less of a gain is none. */
const LEAST_GAIN = 1e-3;

/**
 * Which of the salts that are not on the shelf would close most of what is missed, the best first; those that close nothing
 * are left out.
 *
 * @param solved without them
 * @source solveRecipe with each of them in turn
 */
export function missingSalts<Salt extends WishedSalt>(
  wish: RecipeWish,
  solved: SolvedRecipe,
  candidates: readonly Salt[],
  solve: SolveProgram,
  weights = USUAL_WEIGHTS,
): MissingSalt<Salt>[] {
  const worstOf = ({ worst }: SolvedRecipe) => Math.abs(worst?.miss ?? 0);
  return candidates
    .map((salt) => {
      const own = solveRecipe({ ...wish, salts: [...wish.salts, salt] }, solve, weights);
      return { salt, worstMiss: worstOf(own), missSum: own.missSum };
    })
    .filter(({ missSum }) => missSum < solved.missSum - LEAST_GAIN)
    .sort((one, other) => one.worstMiss - other.worstMiss || one.missSum - other.missSum);
}
