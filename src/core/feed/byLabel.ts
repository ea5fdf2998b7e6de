import { ecOfIons } from "./ec";
import { elementsOfSalts } from "./elementsOfSalts";
import { MOST_OUT_BY, saltsOutBy } from "./labelEc";
import { ionsFromElements, type IonAmounts } from "./nutrients";
import type { Salt } from "./salts";
import { strengthForEc } from "./scaleToEc";
import { requireRange } from "../units/range";

/** What conducts where a label tells nothing: the course of EC with strength is that of potassium nitrate. */
const PLAIN: IonAmounts = { K: 10, NO3: 10 };

/** All ions of a litre together; over it no EC is worked out. */
const MOST_MMOL = 250;

/** Why no EC can be worked out from labels. */
export type LabelEcMissing =
  | "nitrogen-forms-missing"
  | "not-balanced"
  /** Stronger than activities are known for: no feed, but a stock. */
  | "too-strong";

/** Ions that products bring at their label's dose, and where the EC is from. */
export type ByLabel =
  /** From what the labels print. */
  | { readonly kind: "worked-out"; readonly ions: IonAmounts; readonly ecMsPerCm: number }
  /** The ions are scaled to what the pack or a trial says; worked out from the labels it would be another, or none. */
  | {
      readonly kind: "told";
      readonly ions: IonAmounts;
      readonly ecMsPerCm: number;
      readonly workedOutMsPerCm: number | null;
    }
  /** The labels do not tell it, and neither does the pack. */
  | { readonly kind: "not-told"; readonly why: LabelEcMissing };

/**
 * What products dosed by their labels come to: ions worked out from the labels where the forms of nitrogen are printed and
 * charges balance within 10 %, and else taken as the EC of the pack says.
 *
 * @param gPer1000L of each product at the label's dose, g in 1000 L of feed
 * @param labelEcMsPerCm what the label's dose adds to the EC by the pack or a trial, mS/cm; null where it is not told
 * @throws RangeError when a figure is outside its range
 * @source labelEc; tests/reference/feed/label.json. Between nothing and the label's dose EC follows ecOfIons; where no
 *   ions are known, those of potassium nitrate.
 */
export function byLabel(
  products: readonly Pick<Salt, "percent">[],
  gPer1000L: readonly number[],
  labelEcMsPerCm: number | null,
): ByLabel {
  if (labelEcMsPerCm !== null) requireRange("byLabel", "labelEcMsPerCm", labelEcMsPerCm, 0.01, 20);
  const elements = elementsOfSalts(products, gPer1000L);
  const why =
    (elements["unstated-N"] ?? 0) > 0
      ? "nitrogen-forms-missing"
      : Math.abs(saltsOutBy(elements) ?? 1) > MOST_OUT_BY
        ? "not-balanced"
        : null;
  const ions = ionsFromElements(elements);
  if (Object.values(ions).reduce((sum, mmol) => sum + mmol, 0) > MOST_MMOL)
    return { kind: "not-told", why: "too-strong" };
  const workedOutMsPerCm = why === null ? ecOfIons(ions) : null;
  if (labelEcMsPerCm === null)
    return why === null ? { kind: "worked-out", ions, ecMsPerCm: workedOutMsPerCm! } : { kind: "not-told", why };
  const base = why === null ? ions : PLAIN;
  const factor = strengthForEc(base, {}, labelEcMsPerCm);
  // The strongest potassium nitrate that EC is worked out for is far stronger than any feed.
  if (typeof factor !== "number") return { kind: "not-told", why: "not-balanced" };
  const scaled = Object.fromEntries(Object.entries(base).map(([ion, mmol]) => [ion, mmol * factor]));
  return { kind: "told", ions: scaled, ecMsPerCm: labelEcMsPerCm, workedOutMsPerCm };
}

/** How a dose may have been mistaken, by how far two figures of it are apart. */
export type DoseSlipOf = "spoons" | "us-gallon" | "imperial-gallon" | "oxides" | "ten";

const SLIPS: readonly (readonly [DoseSlipOf, number])[] = [
  ["spoons", 3],
  ["us-gallon", 3.785411784],
  ["imperial-gallon", 4.54609],
  ["oxides", 2.2914],
  ["ten", 10],
];
/** Figures that are nearer together than this are the same, for a label; and a known slip is recognised within it. */
const SAME_TIMES = 1.5;
const RECOGNISED = 0.12;

/**
 * What an EC worked out from a dose, far from the EC that the pack tells, may come of: teaspoons for tablespoons (3 times),
 * a litre for a gallon, an oxide read as its element, a decimal point.
 *
 * @param workedOutMsPerCm from label and dose, mS/cm
 * @param toldMsPerCm by the pack or a trial, mS/cm
 * @returns null where they are near each other; "unknown" where they are not and no known slip explains it
 * @source exact ratios of the measures; P2O5 ÷ P = 2.291
 */
export function doseDoubt(workedOutMsPerCm: number, toldMsPerCm: number): DoseSlipOf | "unknown" | null {
  requireRange("doseDoubt", "workedOutMsPerCm", workedOutMsPerCm, 0, 1000);
  requireRange("doseDoubt", "toldMsPerCm", toldMsPerCm, 0.01, 1000);
  const times = workedOutMsPerCm / toldMsPerCm;
  const apart = Math.max(times, 1 / Math.max(times, 1e-9));
  if (apart < SAME_TIMES) return null;
  const near = SLIPS.map(([slip, ratio]) => ({ slip, off: Math.abs(apart / ratio - 1) }))
    .filter(({ off }) => off < RECOGNISED)
    .sort((a, b) => a.off - b.off)[0];
  return near?.slip ?? "unknown";
}

/** A label's dose that comes to more than this is stronger than any crop is fed. */
export const STRONGEST_FEED_MS_PER_CM = 4;
