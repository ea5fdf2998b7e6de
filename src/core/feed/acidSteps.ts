import { requireRange } from "../units/range";
import {
  acidAmount,
  acidMeqPerL,
  aeratedAlkalinityMeqPerL,
  bicarbonateG,
  PH_RANGE,
  phAfterAcid,
  TANK_ACIDS,
  type TankBuffer,
} from "./phDose";
import { learnedAmount } from "./learnedResponse";
import type { DoseSlipInput, SlipStep } from "./slip";

export { PH_RANGE };

/** Where a tank without a recipe is brought to: most crops' nutrients stay soluble there. */
export const GENERAL_PH_BAND = { phLow: 5.5, phHigh: 6.5 } as const;

/**
 * Acid or base for half the way to the middle of the pH band. Without a recipe only the carbonate is known to buffer.
 *
 * @param ph as read
 * @param volumeL of the tank, with what the slip adds
 * @source phDose.ts
 */
export function acidSteps(
  ph: number,
  volumeL: number,
  { recipe, reading, acid, acidStrength, response }: DoseSlipInput,
): SlipStep[] {
  requireRange("acidSteps", "ph", ph, 0, 14);
  requireRange("acidSteps", "volumeL", volumeL, 0);
  const { phLow, phHigh } = recipe?.bands ?? GENERAL_PH_BAND;
  if (ph >= phLow && ph <= phHigh) return [];
  if (ph < PH_RANGE.least || ph > PH_RANGE.greatest) return [];
  const waterC = Math.min(60, Math.max(0, reading.waterC ?? 25));
  const targetPh = (phLow + phHigh) / 2;
  const strength = recipe?.feed.strength ?? 0;
  const tank: TankBuffer = {
    ph,
    carbonateAlkalinityMeqPerL: aeratedAlkalinityMeqPerL(ph, waterC),
    waterC,
    phosphorusMmolPerL: (recipe?.feed.recipeIons.H2PO4 ?? 0) * strength,
    ammoniumMmolPerL: (recipe?.feed.recipeIons.NH4 ?? 0) * strength,
  };
  const meqPerL = acidMeqPerL(tank, targetPh);
  const halfwayPh = phAfterAcid(tank, meqPerL / 2);
  // Half of what leads from one pH inside the range to another ends between them.
  if (halfwayPh === "past-range") return [];
  const meq = (meqPerL * volumeL) / 2;
  if (meq > 0) {
    const { massPercent, densityGPerMl } = acidStrength ?? TANK_ACIDS[acid];
    const workedOut = acidAmount(acid, meq, targetPh, massPercent, densityGPerMl);
    const step = { do: "acid", acid, unit: TANK_ACIDS[acid].unit, halfwayPh, massPercent } as const;
    if (!response) return [{ ...step, amount: workedOut }];
    const half = (median: number) => learnedAmount({ median }, volumeL, ph - targetPh) / 2;
    const { pairs, least, greatest, median } = response;
    const learned = { pairs, least: half(least), greatest: half(greatest), workedOut };
    return [{ ...step, amount: half(median), learned }];
  }
  return [{ do: "base", grams: bicarbonateG(-meq), halfwayPh }];
}
