import { requireEach } from "../units/range";
import { NUTRIENTS, type Nutrient, type NutrientAmounts } from "./nutrients";
import { AIMS, amountOf, requireWish, TRACE_MG_PER_L, type Aim, type RecipeWish } from "./recipeWish";

/** What given amounts of salts come to against a recipe. */
export interface RecipeResult {
  readonly gPer1000L: readonly number[];
  /** Salts and water together. */
  readonly mgPerL: NutrientAmounts;
  readonly aims: readonly AimResult[];
  /** The target that is missed by most, by its share; null where nothing is aimed at. */
  readonly worst: AimResult | null;
  /** Least and greatest amounts that are not held. */
  readonly notHeld: readonly LimitResult[];
  /** Limits that leave no room for more. */
  readonly atLimit: readonly LimitResult[];
  readonly costPer1000L: number;
}

export interface AimResult {
  readonly aim: Aim;
  readonly targetMgPerL: number;
  readonly reachedMgPerL: number;
  /** Of that, from the water. */
  readonly waterMgPerL: number;
  /** (reached − target) ÷ target. */
  readonly miss: number;
}

export interface LimitResult {
  readonly kind: "least" | "greatest" | "ammonium";
  readonly aim: Aim;
  readonly limitMgPerL: number;
  readonly reachedMgPerL: number;
}

/** Nearer than this, of the limit, is at it. */
const AT = 1e-4;

/**
 * Works out what amounts of salts come to.
 *
 * @param gPer1000L of each salt of the wish, in 1000 L of ready feed
 * @throws RangeError when an amount is outside its range
 * @source 1 g in 1000 L is 1 mg/L; percent by mass; mass balance
 */
export function recipeResult(wish: RecipeWish, gPer1000L: readonly number[]): RecipeResult {
  requireWish("recipeResult", wish);
  requireEach("recipeResult", "gPer1000L", gPer1000L, 0, 1_000_000);
  const mgPerL = total(wish, gPer1000L);
  const { targetsMgPerL, waterMgPerL } = wish;
  const aims = AIMS.flatMap((aim): AimResult[] => {
    const targetMgPerL = targetsMgPerL[aim] ?? 0;
    if (targetMgPerL < TRACE_MG_PER_L) return [];
    const reachedMgPerL = amountOf(aim, mgPerL);
    const water = amountOf(aim, waterMgPerL);
    return [{ aim, targetMgPerL, reachedMgPerL, waterMgPerL: water, miss: reachedMgPerL / targetMgPerL - 1 }];
  });
  const limits = limitsOf(wish, mgPerL);
  return {
    gPer1000L,
    mgPerL,
    aims,
    worst: aims.reduce<AimResult | null>(
      (worst, one) => (worst && Math.abs(worst.miss) >= Math.abs(one.miss) ? worst : one),
      null,
    ),
    notHeld: limits.filter((limit) => isBroken(limit)),
    atLimit: limits.filter((limit) => !isBroken(limit) && isAt(limit)),
    costPer1000L: wish.salts.reduce((sum, { pricePerKg }, at) => sum + (gPer1000L[at]! / 1000) * pricePerKg, 0),
  };
}

function total({ salts, waterMgPerL }: RecipeWish, gPer1000L: readonly number[]): NutrientAmounts {
  const amounts: Partial<Record<Nutrient, number>> = {};
  for (const nutrient of NUTRIENTS) {
    const brought = salts.reduce((sum, { percent }, at) => sum + (gPer1000L[at]! * (percent[nutrient] ?? 0)) / 100, 0);
    const all = brought + (waterMgPerL[nutrient] ?? 0);
    if (all > 0) amounts[nutrient] = all;
  }
  return amounts;
}

function limitsOf(wish: RecipeWish, mgPerL: NutrientAmounts): LimitResult[] {
  const { leastMgPerL = {}, greatestMgPerL = {}, targetsMgPerL, ammoniumShareMost = 1 } = wish;
  const limits = AIMS.flatMap((aim): LimitResult[] => {
    const reachedMgPerL = amountOf(aim, mgPerL);
    const [least, greatest] = [leastMgPerL[aim], greatestMgPerL[aim] ?? (targetsMgPerL[aim] === 0 ? 0 : undefined)];
    return [
      ...(least === undefined ? [] : [{ kind: "least" as const, aim, limitMgPerL: least, reachedMgPerL }]),
      ...(greatest === undefined ? [] : [{ kind: "greatest" as const, aim, limitMgPerL: greatest, reachedMgPerL }]),
    ];
  });
  if (ammoniumShareMost >= 1) return limits;
  const limitMgPerL = ammoniumShareMost * amountOf("N", mgPerL);
  return [...limits, { kind: "ammonium", aim: "NH4-N", limitMgPerL, reachedMgPerL: mgPerL["NH4-N"] ?? 0 }];
}

const sign = ({ kind }: LimitResult) => (kind === "least" ? -1 : 1);
/** By how much it is passed, as a share of the limit. */
const passed = (limit: LimitResult) =>
  (sign(limit) * (limit.reachedMgPerL - limit.limitMgPerL)) / Math.max(limit.limitMgPerL, 1e-3);
const isBroken = (limit: LimitResult) => passed(limit) > AT;
const isAt = (limit: LimitResult) => limit.reachedMgPerL > 0 && passed(limit) > -AT;
