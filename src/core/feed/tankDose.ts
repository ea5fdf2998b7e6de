import { requireRange } from "../units/range";
import { dosePerL, PER_L, type LabelDose } from "./label";

/** An amount in the measure of the label, and in grams and millilitres where those can be told. */
export interface DoseAmount {
  readonly measures: number;
  readonly grams: number | null;
  readonly mL: number | null;
}

/**
 * What goes into a tank of fresh water by a label.
 *
 * @param volumeL of finished feed, 0.01–1 000 000
 * @param strength share of the label's dose, 0–10
 * @throws RangeError when a figure is outside its range
 * @source dose × volume; tests/reference/feed/label.json, "dose"
 * @example tankDose(100, { amount: 5, unit: "mL", per: "L", form: "liquid" }, 0.5).measures // 250
 */
export function tankDose(volumeL: number, dose: LabelDose, strength: number): DoseAmount {
  requireRange("tankDose", "volumeL", volumeL, 0.01, 1_000_000);
  requireRange("tankDose", "strength", strength, 0, 10);
  const { gramsPerL, mLPerL } = dosePerL(dose);
  const litres = volumeL * strength;
  return {
    measures: (dose.amount / PER_L[dose.per]) * litres,
    grams: gramsPerL === null ? null : gramsPerL * litres,
    mL: mLPerL === null ? null : mLPerL * litres,
  };
}

/** How to bring a tank to a wanted EC with a product by its label. */
export type TankTopUp =
  | { readonly kind: "in-place" }
  | { readonly kind: "add"; readonly amount: DoseAmount; readonly strength: number }
  | { readonly kind: "dilute"; readonly waterL: number }
  /** The water alone is at or over what is wanted. */
  | { readonly kind: "water-too-strong" };

/**
 * Amount of a product, or of water, that brings a tank from the EC that was read to the one wanted. A straight line: 3 to
 * 11 % short for a strong correction, so that half goes in first and it is read again.
 *
 * @param readMsPerCm EC of the tank
 * @param wantedMsPerCm EC wanted
 * @param labelMsPerCm what the label's dose adds to the EC, as the pack or a trial says
 * @param waterMsPerCm EC of the water
 * @throws RangeError when a figure is outside its range
 * @source linear rule of conservation of ions; the exact rule needs the ions (bringBack.ts)
 */
export function tankTopUp(
  volumeL: number,
  dose: LabelDose,
  {
    readMsPerCm,
    wantedMsPerCm,
    labelMsPerCm,
    waterMsPerCm,
  }: {
    readonly readMsPerCm: number;
    readonly wantedMsPerCm: number;
    readonly labelMsPerCm: number;
    readonly waterMsPerCm: number;
  },
): TankTopUp {
  requireRange("tankTopUp", "readMsPerCm", readMsPerCm, 0, 20);
  requireRange("tankTopUp", "wantedMsPerCm", wantedMsPerCm, 0, 20);
  requireRange("tankTopUp", "labelMsPerCm", labelMsPerCm, 0.01, 20);
  requireRange("tankTopUp", "waterMsPerCm", waterMsPerCm, 0, 20);
  requireRange("tankTopUp", "volumeL", volumeL, 0.01, 1_000_000);
  const differenceMsPerCm = wantedMsPerCm - readMsPerCm;
  if (Math.abs(differenceMsPerCm) < 0.005) return { kind: "in-place" };
  if (differenceMsPerCm > 0) {
    const strength = differenceMsPerCm / labelMsPerCm;
    return strength > 10
      ? { kind: "add", strength: 10, amount: tankDose(volumeL, dose, 10) }
      : { kind: "add", strength, amount: tankDose(volumeL, dose, strength) };
  }
  if (waterMsPerCm >= wantedMsPerCm) return { kind: "water-too-strong" };
  return { kind: "dilute", waterL: (-volumeL * differenceMsPerCm) / (wantedMsPerCm - waterMsPerCm) };
}
