import { amountOf, type Aim, type RecipeWish } from "./recipeWish";
import type { AimResult, RecipeResult } from "./recipeResult";

/** Why a target is missed. `salt` is its place among the salts of the wish. */
export type RecipeLimit =
  | { readonly kind: "nothing-brings"; readonly aim: Aim }
  /** What brings it would bring more of what is enough already. */
  | { readonly kind: "brings-too"; readonly aim: Aim; readonly salt: number; readonly too: readonly Aim[] }
  | { readonly kind: "water-brings"; readonly aim: Aim }
  /** It comes with a salt that is wanted for something else. */
  | { readonly kind: "comes-with"; readonly aim: Aim; readonly salt: number; readonly wanted: readonly Aim[] };

/** A miss this small needs no reason. */
const LEAST_MISS = 0.02;
const NEAR = 1e-3;

/** Why each target is missed that is, the worst first. */
export function whatLimits(wish: RecipeWish, result: RecipeResult): RecipeLimit[] {
  return result.aims
    .filter(({ miss }) => Math.abs(miss) > LEAST_MISS)
    .sort((one, other) => Math.abs(other.miss) - Math.abs(one.miss))
    .map((one) => (one.miss < 0 ? whyUnder(wish, result, one) : whyOver(wish, result, one)));
}

function whyUnder({ salts }: RecipeWish, result: RecipeResult, { aim }: AimResult): RecipeLimit {
  // The salt that brings most of it now; where none does, the one that could.
  const inUse = mostOf(salts.map(({ percent }, at) => result.gPer1000L[at]! * amountOf(aim, percent)));
  const salt = inUse ?? mostOf(salts.map(({ percent }) => amountOf(aim, percent)));
  if (salt === null) return { kind: "nothing-brings", aim };
  const full = new Set([
    ...result.aims.filter(({ miss }) => miss > -NEAR).map((one) => one.aim),
    ...result.atLimit.map((one) => one.aim),
  ]);
  const too = [...full].filter((other) => other !== aim && amountOf(other, salts[salt]!.percent) > 0);
  return { kind: "brings-too", aim, salt, too };
}

function whyOver({ salts }: RecipeWish, { gPer1000L, aims }: RecipeResult, over: AimResult): RecipeLimit {
  const { aim } = over;
  if (over.waterMgPerL > over.targetMgPerL) return { kind: "water-brings", aim };
  const salt = mostOf(salts.map(({ percent }, at) => gPer1000L[at]! * amountOf(aim, percent)));
  if (salt === null) return { kind: "water-brings", aim };
  const wanted = aims.filter((other) => other.aim !== aim && amountOf(other.aim, salts[salt]!.percent) > 0);
  return { kind: "comes-with", aim, salt, wanted: wanted.map((other) => other.aim) };
}

/** Where most of something is; null where nothing is. */
function mostOf(amounts: readonly number[]): number | null {
  const at = amounts.reduce((best, amount, index) => (amount > (amounts[best] ?? 0) ? index : best), -1);
  return at < 0 ? null : at;
}
