import { requireFigures, requireRange } from "../units/range";
import { sharedEc, type EcWish } from "./sharedEc";
import { strengthAtAge } from "./strengthByAge";

/** A school of how strong a loop is fed, as the loop has it. */
export type StrengthSchool =
  /** The strength of the recipe, whatever stands there. */
  | { readonly kind: "constant" }
  /** Weak for seedlings, rising to full. */
  | {
      readonly kind: "age";
      readonly ecAtStart: number;
      readonly ecAtMaturity: number;
      readonly maturityDays: number;
    }
  /** Weaker in bright months, when plants drink much; stronger in dark ones. */
  | { readonly kind: "season"; readonly ecBright: number; readonly ecDark: number }
  /** What leaves the fewest plants outside the bands of their crops. */
  | { readonly kind: "bands" };
export const STRENGTH_KINDS = ["constant", "age", "season", "bands"] as const;

/** Usual figures: a quarter of the strength for seedlings; a tenth weaker in the brightest weeks, stronger in the darkest. */
export function usualSchool(kind: StrengthSchool["kind"], recipeEcMsPerCm: number): StrengthSchool {
  requireRange("usualSchool", "recipeEcMsPerCm", recipeEcMsPerCm, 0.05, 10);
  const rounded = (share: number) => Math.max(0.05, Math.round(recipeEcMsPerCm * share * 20) / 20);
  switch (kind) {
    case "age":
      return { kind, ecAtStart: rounded(0.25), ecAtMaturity: rounded(1), maturityDays: 28 };
    case "season":
      return { kind, ecBright: rounded(0.9), ecDark: rounded(1.1) };
    default:
      return { kind };
  }
}

/**
 * Strength by season: a straight line between the darkest and the brightest day of the year, by the sun over the place.
 *
 * @param lightShare 0 on the darkest day, 1 on the brightest; where all days are alike 0.5
 * @throws RangeError when a figure is outside its range
 * @source straight line in daily extraterrestrial radiation
 * @example ecBySeason(1.4, 1.8, 0.5) // 1.6
 */
export function ecBySeason(ecBright: number, ecDark: number, lightShare: number): number {
  requireFigures(
    "ecBySeason",
    { ecBright, ecDark, lightShare },
    { ecBright: [0, 20], ecDark: [0, 20], lightShare: [0, 1] },
  );
  return ecDark + (ecBright - ecDark) * lightShare;
}

/** What a school is judged by on a loop. */
export interface StrengthBasis {
  /** Of the recipe. */
  readonly ecMsPerCm: number;
  readonly ecLow: number;
  readonly ecHigh: number;
  /** What stands there today. */
  readonly aged: readonly { readonly name: string; readonly ageDays: number; readonly plants: number }[];
  /** Plant-days of each crop in the weeks ahead, with the band that it tells. */
  readonly wishes: readonly EcWish[];
  /** Where today lies between the darkest day of the year, 0, and the brightest, 1. */
  readonly lightShare: number;
}

/**
 * The strength that a school gives a loop today. A tank that ages share gets the one value that leaves the fewest plants outside
 * what the ramp gives each, give or take the recipe's band.
 *
 * @returns what is missing where nothing that stands there tells what the school asks for
 * @source strengthAtAge, ecBySeason, sharedEc
 */
export function schoolEc(school: StrengthSchool, basis: StrengthBasis): number | "plants" | "bands" {
  requireFigures("schoolEc", basis, { ecMsPerCm: [0.05, 10], ecLow: [0, 20], ecHigh: [0, 20], lightShare: [0, 1] });
  switch (school.kind) {
    case "constant":
      return basis.ecMsPerCm;
    case "season":
      return ecBySeason(school.ecBright, school.ecDark, basis.lightShare);
    case "bands":
      return sharedEc(basis.wishes)?.ecMsPerCm ?? "bands";
    case "age": {
      const { ecAtStart, ecAtMaturity, maturityDays } = school;
      const wishes = basis.aged.map(({ name, ageDays, plants }): EcWish => {
        const scale = strengthAtAge(ageDays, ecAtStart, ecAtMaturity, maturityDays) / basis.ecMsPerCm;
        return { name, plants, ecLow: basis.ecLow * scale, ecHigh: basis.ecHigh * scale, phLow: null, phHigh: null };
      });
      return sharedEc(wishes)?.ecMsPerCm ?? "plants";
    }
  }
}
