import { chargeDifference } from "./chargeBalance";
import { ecOfIons } from "./ec";
import { ionsFromElements, type NutrientAmounts } from "./nutrients";
import { amountOf, type AimAmounts } from "./recipeWish";
import { strengthForEc } from "./scaleToEc";

/** A recipe by its targets alone, in pure water. */
export interface RecipeFacts {
  /** null where its nitrogen is not told by form: nothing conducts by name alone. */
  readonly ecMsPerCm: number | null;
  readonly chargeDifference: number | null;
  readonly ammoniumShare: number | null;
  /** Potassium for each nitrogen, by mass. */
  readonly potassiumToNitrogen: number | null;
}

/** What a recipe's targets say of it. @source ecOfIons, chargeDifference */
export function recipeFacts(targets: AimAmounts): RecipeFacts {
  const ions = ionsFromElements(nutrientsOf(targets));
  const nitrogen = amountOf("N", nutrientsOf(targets)) || (targets.N ?? 0);
  const byForm = targets["NO3-N"] !== undefined || nitrogen === 0;
  const isTold = byForm && Object.keys(ions).length > 0;
  return {
    ecMsPerCm: isTold ? ecOfIons(ions) : null,
    chargeDifference: isTold ? chargeDifference(ions) : null,
    ammoniumShare: byForm && nitrogen > 0 ? (targets["NH4-N"] ?? 0) / nitrogen : null,
    potassiumToNitrogen: nitrogen > 0 ? (targets.K ?? 0) / nitrogen : null,
  };
}

/** What a recipe may be out of balance by before it is asked about; half of it is doubtful. */
export const OUT_OF_BALANCE = 0.1;

/** By how much the charges of whole targets differ; null where nitrate, potassium or calcium is not told. */
export function targetsOutBy(targets: AimAmounts): number | null {
  const isWhole = targets["NO3-N"] !== undefined && targets.K !== undefined && targets.Ca !== undefined;
  return isWhole ? recipeFacts(targets).chargeDifference : null;
}

/**
 * The factor that brings a recipe's targets, in pure water, to an EC; its ratios stay.
 *
 * @returns null where its nitrogen is not told by form, or no factor does
 * @source strengthForEc
 */
export function factorForEc(targets: AimAmounts, ecMsPerCm: number): number | null {
  if (recipeFacts(targets).ecMsPerCm === null) return null;
  const factor = strengthForEc(ionsFromElements(nutrientsOf(targets)), {}, ecMsPerCm);
  return typeof factor === "number" ? factor : null;
}

/** Targets by nutrient; nitrogen of all forms together is none of its own. */
function nutrientsOf({ N: _all, ...targets }: AimAmounts): NutrientAmounts {
  return targets;
}
