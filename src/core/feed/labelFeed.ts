import { byLabel, doseDoubt, STRONGEST_FEED_MS_PER_CM, type ByLabel, type DoseSlipOf } from "./byLabel";
import { dosePerL, percentOfLabel, type DosePer, type DoseUnit, type LabelPercent } from "./label";
import type { NutrientAmounts } from "./nutrients";
import type { SALT_FORMS } from "./salts";

/** A bought product as its pack tells it: one bag, or one bottle of two or three parts. */
export interface LabelProduct {
  readonly name: string;
  readonly form: (typeof SALT_FORMS)[number];
  /** Of a powder as a spoon takes it. */
  readonly densityKgPerL: number | null;
  /** Per cent as printed; empty where nothing is. */
  readonly label: LabelPercent;
  /** The per cents of a liquid are g in 100 mL. */
  readonly isByVolume: boolean;
  readonly amount: number;
  readonly unit: DoseUnit;
  readonly per: DosePer;
  /** What a cap or a scoop holds. */
  readonly measureL: number | null;
}

/** A product as it is kept. */
export interface KeptProduct {
  readonly percent: NutrientAmounts;
  readonly densityKgPerL: number | null;
  /** At the label's dose, g in 1000 L of feed. */
  readonly gPer1000L: number;
}

export type ProductProblem =
  { readonly kind: "adds-up"; readonly sum: number } | { readonly kind: "density-missing" | "measure-missing" };

const WEIGHED = new Set<DoseUnit>(["g", "ounce", "pound"]);

/**
 * A product by its pack as a salt of the shelf, with the dose of its label. A liquid that is dosed by volume needs no
 * density where its content is printed by volume, or not at all: its millilitres do not depend on it, and 1 is taken.
 *
 * @throws RangeError when a figure is outside its range
 * @source percentOfLabel, dosePerL; per cent by volume ÷ density is per cent by mass
 */
export function keptProduct(product: LabelProduct): KeptProduct | ProductProblem {
  const { form, label, isByVolume, amount, unit, per, measureL } = product;
  const isVolume = isByVolume && form === "liquid";
  const sum = Object.values(label).reduce((all, percent) => all + percent, 0);
  if (!isVolume && sum > 100) return { kind: "adds-up", sum };
  const isWeighed = WEIGHED.has(unit);
  const needsNone = !isWeighed && (isVolume || sum === 0);
  const density = product.densityKgPerL ?? (form === "liquid" && needsNone ? 1 : null);
  if (density === null && (form === "liquid" || !isWeighed)) return { kind: "density-missing" };
  if ((unit === "cap" || unit === "scoop") && measureL === null) return { kind: "measure-missing" };
  const { gramsPerL } = dosePerL({
    ...{ amount, unit, per, form },
    ...(density !== null && { densityGPerML: density }),
    ...(measureL !== null && { measureML: measureL * 1000 }),
  });
  const byMass = Object.fromEntries(
    Object.entries(percentOfLabel(label)).map(([name, percent]) => [name, isVolume ? percent / density! : percent]),
  );
  const massSum = Object.values(byMass).reduce((all, percent) => all + percent, 0);
  if (massSum > 100) return { kind: "adds-up", sum: massSum };
  return { percent: byMass, densityKgPerL: density, gPer1000L: gramsPerL! * 1000 };
}

/** Why a label's dose is asked about before it is kept. */
export type LabelFeedDoubt =
  /** Stronger than any crop is fed. */
  | { readonly kind: "strong"; readonly ecMsPerCm: number }
  /** Nothing tells an EC, and it is much of a product. */
  | { readonly kind: "much"; readonly product: number; readonly gPerL: number }
  /** Worked out and told differ. */
  | {
      readonly kind: "apart";
      readonly slip: DoseSlipOf | "unknown";
      readonly workedOutMsPerCm: number;
      readonly toldMsPerCm: number;
    };

/** More of one product than a litre of feed ever gets, g. */
const MUCH_G_PER_L = 12;

/** What is doubtful of products at their labels' doses. @source byLabel, doseDoubt */
export function labelFeedDoubts(
  products: readonly Pick<KeptProduct, "percent" | "gPer1000L">[],
  labelEcMsPerCm: number | null,
): { readonly found: ByLabel; readonly doubts: readonly LabelFeedDoubt[] } {
  const grams = products.map(({ gPer1000L }) => gPer1000L);
  const found = byLabel(products, grams, labelEcMsPerCm);
  const doubts: LabelFeedDoubt[] = [];
  if (found.kind !== "not-told" && found.ecMsPerCm > STRONGEST_FEED_MS_PER_CM)
    doubts.push({ kind: "strong", ecMsPerCm: found.ecMsPerCm });
  if (found.kind !== "worked-out")
    grams.forEach((gPer1000L, product) => {
      if (gPer1000L / 1000 > MUCH_G_PER_L) doubts.push({ kind: "much", product, gPerL: gPer1000L / 1000 });
    });
  if (found.kind === "told" && found.workedOutMsPerCm !== null) {
    const slip = doseDoubt(found.workedOutMsPerCm, found.ecMsPerCm);
    const { workedOutMsPerCm, ecMsPerCm: toldMsPerCm } = found;
    if (slip) doubts.push({ kind: "apart", slip, workedOutMsPerCm, toldMsPerCm });
  }
  return { found, doubts };
}
