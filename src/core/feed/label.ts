import { requireEach, requireFigures, requireRange } from "../units/range";
import { ATOMIC_WEIGHT_G_PER_MOL as WEIGHT, NUTRIENTS, type Nutrient, type NutrientAmounts } from "./nutrients";

const O = 15.999;
const oxide = (element: number, atoms: number, oxygens: number) => (atoms * element) / (atoms * element + oxygens * O);

/** What a pack may print in oxides, and the share of the element in it. */
const OXIDES = {
  P2O5: ["P", oxide(WEIGHT.P, 2, 5)],
  K2O: ["K", oxide(WEIGHT.K, 2, 1)],
  CaO: ["Ca", oxide(WEIGHT.Ca, 1, 1)],
  MgO: ["Mg", oxide(WEIGHT.Mg, 1, 1)],
  SO3: ["S", oxide(WEIGHT.S, 1, 3)],
} as const;

const NITROGEN_FORMS = ["NO3-N", "NH4-N", "urea-N"] as const satisfies readonly Nutrient[];

/** Per cent by mass as printed on a pack: elements, oxides, and nitrogen whole or by its forms. */
export type LabelPercent = Readonly<Partial<Record<Nutrient | keyof typeof OXIDES | "N", number>>>;

/** Amounts of elements; N is all nitrogen, whatever its form. */
export type ElementAmounts = Readonly<Partial<Record<Nutrient | "N", number>>>;

/**
 * A label in elements. Where forms of nitrogen are printed, N is their sum.
 *
 * @param label per cent by mass
 * @throws RangeError for a per cent outside 0–100
 * @source formulas of the oxides with IUPAC abridged atomic weights 2021
 * @example elementsOfLabel({ N: 20, P2O5: 20, K2O: 20 }).K // 16.603
 */
export function elementsOfLabel(label: LabelPercent): ElementAmounts {
  requireEach("elementsOfLabel", "label", label, 0, 100);
  const elements: Partial<Record<Nutrient | "N", number>> = {};
  const add = (name: Nutrient | "N", amount: number) => (elements[name] = (elements[name] ?? 0) + amount);
  for (const name of NUTRIENTS) if (label[name] !== undefined) add(name, label[name]);
  for (const [name, [element, share]] of Object.entries(OXIDES))
    if (label[name as keyof typeof OXIDES] !== undefined) add(element, label[name as keyof typeof OXIDES]! * share);
  const forms = NITROGEN_FORMS.filter((form) => label[form] !== undefined);
  if (forms.length > 0)
    add(
      "N",
      forms.reduce((sum, form) => sum + label[form]!, 0),
    );
  else if (label.N !== undefined) add("N", label.N);
  return elements;
}

/**
 * A label as the content of a salt, percent by mass. Nitrogen whose forms are not printed is kept as such.
 *
 * @param label per cent by mass
 * @throws RangeError for a per cent outside 0–100
 * @source elementsOfLabel
 * @example percentOfLabel({ N: 4 }) // { "unstated-N": 4 }
 */
export function percentOfLabel(label: LabelPercent): NutrientAmounts {
  const { N, ...percent } = elementsOfLabel(label);
  return knowsNitrogen(label) || N === undefined ? percent : { ...percent, "unstated-N": N };
}

/** Whether a label says in which forms its nitrogen is; one without nitrogen does. */
export function knowsNitrogen(label: LabelPercent): boolean {
  requireEach("knowsNitrogen", "label", label, 0, 100);
  return !label.N || NITROGEN_FORMS.some((form) => label[form] !== undefined);
}

/** Measures that people dose by; a cap and a scoop have a size of their own. */
export const DOSE_UNITS = [
  "g",
  "mL",
  "teaspoon",
  "tablespoon",
  "cap",
  "scoop",
  "ounce",
  "pound",
  "fluid ounce",
] as const;
export type DoseUnit = (typeof DOSE_UNITS)[number];
/** Litres of finished feed that a label's dose is for. */
export const PER_L = { L: 1, usGallon: 3.785411784, imperialGallon: 4.54609 } as const;
export type DosePer = keyof typeof PER_L;

const GRAMS: Partial<Record<DoseUnit, number>> = { g: 1, ounce: 28.349523125, pound: 453.59237 };
const MILLILITRES: Partial<Record<DoseUnit, number>> = {
  mL: 1,
  teaspoon: 5,
  tablespoon: 15,
  "fluid ounce": 29.5735295625,
};

/** A dose as a label gives it. */
export interface LabelDose {
  readonly amount: number;
  readonly unit: DoseUnit;
  readonly per: DosePer;
  readonly form: "solid" | "liquid";
  /** g in a mL; of a powder its bulk density. */
  readonly densityGPerML?: number;
  /** Of a cap or a scoop. */
  readonly measureML?: number;
}

/** What a litre of finished feed gets; null is what cannot be told without a density or the size of the measure. */
export interface DosePerL {
  readonly gramsPerL: number | null;
  readonly mLPerL: number | null;
}

/**
 * A label's dose in grams and millilitres for a litre of finished feed.
 *
 * @throws RangeError when a figure is outside its range
 * @source exact definitions of the gallons, pound and fluid ounce; a teaspoon is 5 mL, a tablespoon 15
 * @example dosePerL({ amount: 2.4, unit: "g", per: "usGallon", form: "solid" }).gramsPerL // 0.634
 */
export function dosePerL({ amount, unit, per, densityGPerML, measureML }: LabelDose): DosePerL {
  requireFigures(
    "dosePerL",
    { amount, densityGPerML, measureML },
    { amount: [0, 100_000], densityGPerML: [0.05, 20], measureML: [0.01, 10_000] },
  );
  const perL = amount / PER_L[per];
  const grams = GRAMS[unit];
  if (grams !== undefined)
    return { gramsPerL: perL * grams, mLPerL: densityGPerML ? (perL * grams) / densityGPerML : null };
  const millilitres = MILLILITRES[unit] ?? measureML;
  if (millilitres === undefined) return { gramsPerL: null, mLPerL: null };
  const mLPerL = perL * millilitres;
  return { gramsPerL: densityGPerML ? mLPerL * densityGPerML : null, mLPerL };
}

/**
 * mg/L of every element that a dose brings.
 *
 * @param label per cent as printed: by mass, or of a liquid "w/v", grams in 100 mL
 * @returns null where the density or the size of the measure is missing
 * @throws RangeError when a figure is outside its range
 * @source definition of per cent by mass, and by mass in volume
 */
export function labelMgPerL(label: LabelPercent, dose: LabelDose, basis: "w/w" | "w/v" = "w/w"): ElementAmounts | null {
  const { gramsPerL, mLPerL } = dosePerL(dose);
  const measured = basis === "w/v" && dose.form === "liquid" ? mLPerL : gramsPerL;
  return measured === null ? null : scaled(elementsOfLabel(label), measured * 10);
}

/** Every amount times a factor. */
export function scaled(amounts: ElementAmounts, factor: number): ElementAmounts {
  requireRange("scaled", "factor", factor, 0);
  requireEach("scaled", "amounts", amounts, 0);
  return Object.fromEntries(Object.entries(amounts).map(([name, amount]) => [name, amount * factor]));
}
