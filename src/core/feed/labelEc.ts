import { riseToZero } from "../numeric/riseToZero";
import { requireRange } from "../units/range";
import { chargeDifference } from "./chargeBalance";
import { ecOfIons } from "./ec";
import { elementsOfLabel, knowsNitrogen, scaled, type ElementAmounts, type LabelPercent } from "./label";
import { ionsFromElements, mixIons, type IonAmounts, type NutrientAmounts } from "./nutrients";

/** A product by its label, and how much of it is in a litre. */
export interface Dosed {
  readonly label: LabelPercent;
  readonly gPerL: number;
}

/** Charge balance over which a label is not believed, and over which it is doubted; shares. */
export const MOST_OUT_BY = 0.1;
const DOUBTED_FROM = 0.05;
const GREATEST_STRENGTH = 20;

/** Why no EC is worked out from labels, or the EC. */
export type LabelEc = {
  readonly mgPerL: ElementAmounts;
} & (
  | { readonly kind: "nitrogen-forms-missing" }
  /** (Cations − anions) ÷ their mean; something is not declared. */
  | { readonly kind: "not-balanced"; readonly chargeBalance: number }
  | { readonly kind: "ec"; readonly ecMsPerCm: number; readonly chargeBalance: number; readonly isDoubtful: boolean }
);

/**
 * EC that products bring, from their labels: only when the forms of their nitrogen are printed and their ions balance
 * within 10 %. Phosphate counts as H2PO4, sulfur as sulfate; urea and chelates carry no current.
 *
 * @param products labels in per cent, g/L each from 0 to 1000
 * @param water ions of the source water, mmol/L; they count in the EC, not in the balance
 * @throws RangeError when an amount is outside its range or the solution is too strong for ecOfIons
 * @source ecOfIons; tests/reference/feed/label.json, "labelEc"
 */
export function labelEc(products: readonly Dosed[], water: IonAmounts = {}): LabelEc {
  const mgPerL = sum(
    products.map(({ label, gPerL }) =>
      scaled(elementsOfLabel(label), requireRange("labelEc", "gPerL", gPerL, 0, 1000) * 10),
    ),
  );
  if (!products.every(({ label }) => knowsNitrogen(label))) return { kind: "nitrogen-forms-missing", mgPerL };
  const ions = ionsOf(mgPerL);
  const chargeBalance = chargeDifference(ions);
  if (Math.abs(chargeBalance) > MOST_OUT_BY) return { kind: "not-balanced", mgPerL, chargeBalance };
  const ecMsPerCm = ecOfIons(
    mixIons([
      [1, water],
      [1, ions],
    ]),
  );
  return { kind: "ec", mgPerL, ecMsPerCm, chargeBalance, isDoubtful: Math.abs(chargeBalance) > DOUBTED_FROM };
}

/**
 * One factor on all products that gives a wanted EC, the water counted in.
 *
 * @param wantedEcMsPerCm 0–20
 * @returns the factor; why not where the labels do not give an EC, or the water alone is at or over it
 * @throws RangeError when an amount is outside its range
 * @source false position on ecOfIons; tests/reference/feed/label.json, "scaleToEc"
 */
export function labelFactorForEc(
  products: readonly Dosed[],
  wantedEcMsPerCm: number,
  water: IonAmounts = {},
):
  | {
      readonly kind: "factor";
      readonly factor: number;
      readonly ecAtLabelMsPerCm: number;
      readonly ecOfWaterMsPerCm: number;
    }
  | { readonly kind: "nitrogen-forms-missing" | "not-balanced" | "water-too-strong" | "label-too-weak" } {
  requireRange("labelFactorForEc", "wantedEcMsPerCm", wantedEcMsPerCm, 0, 20);
  const atLabel = labelEc(products, water);
  if (atLabel.kind !== "ec") return { kind: atLabel.kind };
  const ions = ionsOf(atLabel.mgPerL);
  const ecAt = (factor: number) =>
    ecOfIons(
      mixIons([
        [1, water],
        [factor, ions],
      ]),
    );
  const ecOfWaterMsPerCm = ecAt(0);
  if (ecOfWaterMsPerCm >= wantedEcMsPerCm) return { kind: "water-too-strong" };
  if (ecOver(ecAt, wantedEcMsPerCm) === null) return { kind: "label-too-weak" };
  const factor = riseToZero(0, ecOver(ecAt, wantedEcMsPerCm)!, (x) => ecAt(x) - wantedEcMsPerCm);
  return { kind: "factor", factor, ecAtLabelMsPerCm: atLabel.ecMsPerCm, ecOfWaterMsPerCm };
}

/** A factor whose EC is at or over the one wanted, found by doubling; null past 20 times the label. */
function ecOver(ecAt: (factor: number) => number, wantedEcMsPerCm: number): number | null {
  for (let factor = 1; factor <= GREATEST_STRENGTH; factor *= 1.5) if (ecAt(factor) >= wantedEcMsPerCm) return factor;
  return null;
}

/**
 * By how far the charges of salts are apart, a share of their mean; null where none conducts.
 * @param mgPerL of elements
 */
export function saltsOutBy(mgPerL: NutrientAmounts): number | null {
  const ions = ionsFromElements(mgPerL);
  return Object.keys(ions).length === 0 ? null : chargeDifference(ions);
}

function ionsOf({ N: _all, ...elements }: ElementAmounts): IonAmounts {
  return ionsFromElements(elements satisfies NutrientAmounts);
}

function sum(all: readonly ElementAmounts[]): ElementAmounts {
  const total: Partial<Record<keyof ElementAmounts, number>> = {};
  for (const amounts of all)
    for (const [name, amount] of Object.entries(amounts) as [keyof ElementAmounts, number][])
      total[name] = (total[name] ?? 0) + amount;
  return total;
}
