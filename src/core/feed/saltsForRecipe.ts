import { Matrix, solve } from "ml-matrix";
import { requireEach } from "../units/range";
import type { Salt } from "./salts";
import { NUTRIENTS, type Nutrient, type NutrientAmounts } from "./nutrients";

export interface RecipeSolution {
  /** Grams of each salt per 1000 L of ready feed, in the order of the salts given. */
  readonly gPer1000L: readonly number[];
  readonly nutrients: readonly {
    readonly nutrient: Nutrient;
    readonly targetMgPerL: number;
    readonly reachedMgPerL: number;
    /** (reached − target)/target. */
    readonly miss: number;
  }[];
}

/** How much a miss counts: sulfur follows from the others and is let go first. */
const WEIGHTS: Partial<Record<Nutrient, number>> = {
  "NO3-N": 2,
  "NH4-N": 2,
  P: 2,
  K: 2,
  Ca: 1.5,
  Mg: 1,
  S: 0.2,
};
const MICRO_WEIGHT = 0.5;
const GRADIENT_TOLERANCE = 1e-10;

/**
 * Amounts of the salts on the shelf that come nearest to a recipe, the source water counted in: least squares of the
 * weighted relative misses with no amount below zero (Lawson–Hanson active set). A nutrient without a target, or
 * with a target of 0, is not steered.
 *
 * @param targetsMgPerL recipe in mg/L of the element in the ready feed
 * @param salts salts with percent by mass
 * @param waterMgPerL what the source water brings
 * @returns grams per 1000 L and what each nutrient comes to
 * @source Lawson and Hanson 1974, Solving Least Squares Problems, ch. 23; tests/reference/feed/stocks.json
 */
export function saltsForRecipe(
  targetsMgPerL: NutrientAmounts,
  salts: readonly Pick<Salt, "percent">[],
  waterMgPerL: NutrientAmounts = {},
): RecipeSolution {
  requireEach("saltsForRecipe", "targetsMgPerL", targetsMgPerL, 0, 100_000);
  requireEach("saltsForRecipe", "waterMgPerL", waterMgPerL, 0, 100_000);
  for (const { percent } of salts) requireEach("saltsForRecipe", "percent", percent, 0, 100);
  const wanted = NUTRIENTS.filter((nutrient) => (targetsMgPerL[nutrient] ?? 0) > 0);
  const scale = wanted.map((nutrient) => (WEIGHTS[nutrient] ?? MICRO_WEIGHT) / targetsMgPerL[nutrient]!);
  // 1 g in 1000 L is 1 mg/L of salt, so percent/100 turns grams into mg/L of the element.
  const columns = salts.map((salt) =>
    wanted.map((nutrient, row) => ((salt.percent[nutrient] ?? 0) / 100) * scale[row]!),
  );
  const rightSide = wanted.map(
    (nutrient, row) => (targetsMgPerL[nutrient]! - (waterMgPerL[nutrient] ?? 0)) * scale[row]!,
  );
  const gPer1000L = nonNegativeLeastSquares(columns, rightSide);
  return {
    gPer1000L,
    nutrients: wanted.map((nutrient) => {
      const targetMgPerL = targetsMgPerL[nutrient]!;
      const reachedMgPerL =
        (waterMgPerL[nutrient] ?? 0) +
        salts.reduce((sum, salt, i) => sum + (gPer1000L[i]! * (salt.percent[nutrient] ?? 0)) / 100, 0);
      return { nutrient, targetMgPerL, reachedMgPerL, miss: reachedMgPerL / targetMgPerL - 1 };
    }),
  };
}

/** What a set of salt amounts brings, mg/L of each element. */
export function elementsOfSalts(
  salts: readonly Pick<Salt, "percent">[],
  gPer1000L: readonly number[],
): NutrientAmounts {
  requireEach("elementsOfSalts", "gPer1000L", gPer1000L, 0);
  for (const { percent } of salts) requireEach("elementsOfSalts", "percent", percent, 0, 100);
  const sum: Partial<Record<Nutrient, number>> = {};
  salts.forEach((salt, index) => {
    for (const [nutrient, percent] of Object.entries(salt.percent) as [Nutrient, number][])
      sum[nutrient] = (sum[nutrient] ?? 0) + (gPer1000L[index]! * percent) / 100;
  });
  return sum;
}

function nonNegativeLeastSquares(columns: readonly (readonly number[])[], rightSide: readonly number[]): number[] {
  const x = columns.map(() => 0);
  const passive = new Set<number>();
  for (let round = 0; round < 10 * (columns.length + 1); round++) {
    const residual = rightSide.map(
      (value, row) => value - columns.reduce((sum, column, j) => sum + column[row]! * x[j]!, 0),
    );
    const gradient = columns.map((column) => dot(column, residual));
    const entering = argMax(gradient, (j) => !passive.has(j));
    if (entering < 0 || gradient[entering]! <= GRADIENT_TOLERANCE) return x;
    passive.add(entering);
    for (;;) {
      const members = [...passive].sort((a, b) => a - b);
      const solved = leastSquares(
        members.map((j) => columns[j]!),
        rightSide,
      );
      const step = Math.min(1, ...members.map((j, i) => (solved[i]! <= 0 ? x[j]! / (x[j]! - solved[i]!) : 1)));
      members.forEach((j, i) => (x[j] = x[j]! + step * (solved[i]! - x[j]!)));
      const leaving = members.filter((j, i) => x[j]! <= 1e-12 && solved[i]! <= 0);
      leaving.forEach((j) => {
        passive.delete(j);
        x[j] = 0;
      });
      if (leaving.length === 0) break;
    }
  }
  return x;
}

/** Normal equations with a ridge far below weighing accuracy: two salts of the same make-up stay solvable. */
function leastSquares(columns: readonly (readonly number[])[], rightSide: readonly number[]): number[] {
  const matrix = columns.map((a, i) => columns.map((b, j) => dot(a, b) + (i === j ? 1e-16 + 1e-13 * dot(a, a) : 0)));
  const vector = columns.map((column) => dot(column, rightSide));
  return solve(new Matrix(matrix), Matrix.columnVector(vector)).to1DArray();
}

function dot(a: readonly number[], b: readonly number[]): number {
  return a.reduce((sum, value, index) => sum + value * b[index]!, 0);
}

function argMax(values: readonly number[], allowed: (index: number) => boolean): number {
  return values.reduce(
    (best, value, index) => (allowed(index) && (best < 0 || value > values[best]!) ? index : best),
    -1,
  );
}
