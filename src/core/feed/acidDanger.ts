import { requireFigures, requireRange } from "../units/range";
import type { TankAcid } from "./phDose";
import type { SlipStep } from "./slip";

/** Why a dose of acid is asked about before it is shown. */
export type AcidDanger =
  /** A slip of the hand in so little water is a burn for roots and people. */
  | { readonly kind: "strong-in-small-tank"; readonly massPercent: number; readonly volumeL: number }
  /** Far more than water commonly takes. */
  | { readonly kind: "much"; readonly meqPerL: number }
  /** The log of the tank asks for several times what the charge balance does. */
  | { readonly kind: "far-from-worked-out"; readonly times: number };

const STRONG_PERCENT = 60;
const SMALL_TANK_L = 100;
const MUCH_MEQ_PER_L = 8;
const FAR_TIMES = 3;

/**
 * What is dangerous in a dose of acid.
 *
 * @param dose massPercent 0.1–100; volumeL of the tank; meqPerL of acid for each litre
 * @returns null where nothing is
 * @throws RangeError when a figure is outside its range
 * @source common practice of handling acids; it defers to the label and the safety data sheet
 */
export function acidDanger(dose: {
  readonly acid: TankAcid;
  readonly massPercent: number;
  readonly volumeL: number;
  readonly meqPerL: number;
}): AcidDanger | null {
  const { acid, massPercent, volumeL, meqPerL } = dose;
  requireFigures(
    "acidDanger",
    { massPercent, volumeL, meqPerL },
    { massPercent: [0.1, 100], volumeL: [0, 100_000_000], meqPerL: [0, 100_000] },
  );
  if (meqPerL > MUCH_MEQ_PER_L) return { kind: "much", meqPerL };
  // Citric acid is a solid, and weak.
  if (acid !== "citric" && massPercent >= STRONG_PERCENT && volumeL > 0 && volumeL < SMALL_TANK_L)
    return { kind: "strong-in-small-tank", massPercent, volumeL };
  return null;
}

/** The same of a slip: its acid against its tank. @param volumeL of the tank; null where it was not read */
export function slipDanger(steps: readonly SlipStep[], volumeL: number | null): AcidDanger | null {
  if (volumeL !== null) requireRange("slipDanger", "volumeL", volumeL, 0, 100_000_000);
  for (const step of steps) {
    if (step.do !== "acid") continue;
    const { acid, massPercent = 0.1, learned, amount } = step;
    if (learned && learned.workedOut > 0 && amount / learned.workedOut >= FAR_TIMES)
      return { kind: "far-from-worked-out", times: amount / learned.workedOut };
    const found = volumeL === null ? null : acidDanger({ acid, massPercent, volumeL, meqPerL: 0 });
    if (found) return found;
  }
  return null;
}
