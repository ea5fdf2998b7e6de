import { requireEach } from "../units/range";
import type { Nutrient, NutrientAmounts } from "./nutrients";
import type { Salt } from "./salts";

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
