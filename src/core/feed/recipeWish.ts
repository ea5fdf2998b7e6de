import { requireEach, requireRange } from "../units/range";
import { NUTRIENTS, type Nutrient, type NutrientAmounts } from "./nutrients";

/** What a recipe may aim at: each nutrient, and nitrogen of all forms together. */
export const AIMS = ["N", ...NUTRIENTS] as const;
export type Aim = (typeof AIMS)[number];
export type AimAmounts = Readonly<Partial<Record<Aim, number>>>;

/** Nutrients that plants take by the gram. */
export const MACRO_AIMS: readonly Aim[] = ["N", "NO3-N", "NH4-N", "urea-N", "unstated-N", "P", "K", "Ca", "Mg", "S"];

/** What a recipe is to come to, and from what. All amounts in mg/L of the element in the ready feed. */
export interface RecipeWish {
  /** A nutrient without a target is neither rewarded nor punished; a target of 0 is a limit. */
  readonly targetsMgPerL: AimAmounts;
  /** Held before anything else, as far as the water and the salts allow. */
  readonly leastMgPerL?: AimAmounts;
  readonly greatestMgPerL?: AimAmounts;
  /** Ammonium, of all nitrogen, at most; 0–1. */
  readonly ammoniumShareMost?: number;
  readonly waterMgPerL: NutrientAmounts;
  readonly salts: readonly WishedSalt[];
}

export interface WishedSalt {
  /** By mass. */
  readonly percent: NutrientAmounts;
  readonly pricePerKg: number;
}

/** A target or a least amount under this is none, mg/L. */
export const TRACE_MG_PER_L = 1e-4;

const NITROGEN: readonly Nutrient[] = ["NO3-N", "NH4-N", "urea-N", "unstated-N"];

/** Of an aim in given amounts of nutrients. */
export function amountOf(aim: Aim, amounts: NutrientAmounts): number {
  return aim === "N" ? NITROGEN.reduce((sum, one) => sum + (amounts[one] ?? 0), 0) : (amounts[aim] ?? 0);
}

/**
 * A recipe at a strength: what it aims at and at least wants goes with it; what it may hold at most is a limit of the ready
 * feed, and the water stays.
 */
export function atStrength(wish: RecipeWish, strength: number): RecipeWish {
  requireRange("atStrength", "strength", strength, 0, 1000);
  const times = (amounts: AimAmounts): AimAmounts =>
    Object.fromEntries(Object.entries(amounts).map(([aim, mgPerL]) => [aim, mgPerL * strength]));
  return { ...wish, targetsMgPerL: times(wish.targetsMgPerL), leastMgPerL: times(wish.leastMgPerL ?? {}) };
}

/** @throws RangeError that names the first amount out of its range */
export function requireWish(where: string, wish: RecipeWish): void {
  requireEach(where, "targetsMgPerL", wish.targetsMgPerL, 0, 100_000);
  requireEach(where, "leastMgPerL", wish.leastMgPerL ?? {}, 0, 100_000);
  requireEach(where, "greatestMgPerL", wish.greatestMgPerL ?? {}, 0, 100_000);
  requireEach(where, "waterMgPerL", wish.waterMgPerL, 0, 100_000);
  requireRange(where, "ammoniumShareMost", wish.ammoniumShareMost ?? 1, 0, 1);
  for (const { percent, pricePerKg } of wish.salts) {
    requireEach(where, "percent", percent, 0, 100);
    requireRange(where, "pricePerKg", pricePerKg, 0, 1_000_000);
  }
}
