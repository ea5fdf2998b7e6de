import { riseToZero } from "../numeric/riseToZero";
import { requireRange } from "../units/range";
import { ecNearLast, ecOfIons } from "./ec";
import { mixIons, type IonAmounts } from "./nutrients";

const GREATEST_STRENGTH = 8;

/**
 * The factor on a recipe that, on top of the source water, gives a wanted EC; ratios stay as they are.
 *
 * @param recipe ions of the recipe's salts at full strength, mmol/L
 * @param water ions of the source water, mmol/L
 * @param ecMsPerCm wanted EC, mS/cm
 * @returns the factor; "water-too-strong" when the water alone is at or over the wanted EC, "recipe-too-weak" when even
 *   eight-fold strength stays under it
 * @throws RangeError when the EC or an amount is outside its range
 * @source bisection on ecOfIons; tests/reference/feed/ec.json, "scale"
 */
export function strengthForEc(
  recipe: IonAmounts,
  water: IonAmounts,
  ecMsPerCm: number,
): number | "water-too-strong" | "recipe-too-weak" {
  requireRange("strengthForEc", "ecMsPerCm", ecMsPerCm, 0, 20);
  const ecAt = (factor: number) =>
    ecNearLast(
      mixIons([
        [1, water],
        [factor, recipe],
      ]),
    );
  if (ecOfIons(water) >= ecMsPerCm) return "water-too-strong";
  // By doubling: a strong recipe many times over is past what activities are known for.
  let greatest = 1;
  while (ecAt(greatest) < ecMsPerCm) {
    if (greatest >= GREATEST_STRENGTH) return "recipe-too-weak";
    greatest *= 2;
  }
  return riseToZero(0, greatest, (factor) => ecAt(factor) - ecMsPerCm);
}
