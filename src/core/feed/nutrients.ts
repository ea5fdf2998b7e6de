import { requireEach, requireRange } from "../units/range";
/**
 * Nutrients and ballast as a label or a recipe names them; masses are of the element. Unstated nitrogen is that of a label
 * which does not print its forms.
 */
export const NUTRIENTS = [
  "NO3-N",
  "NH4-N",
  "urea-N",
  "unstated-N",
  "P",
  "K",
  "Ca",
  "Mg",
  "S",
  "Fe",
  "Mn",
  "Zn",
  "Cu",
  "B",
  "Mo",
  "Na",
  "Cl",
] as const;
export type Nutrient = (typeof NUTRIENTS)[number];

/** An amount per nutrient: mg/L in recipes and water, percent by mass on labels. */
export type NutrientAmounts = Readonly<Partial<Record<Nutrient, number>>>;

/** Ions that carry current, in mmol/L. Phosphate is H2PO4 unless a pH says how it splits. */
export type Ion =
  "K" | "Na" | "NH4" | "Ca" | "Mg" | "H" | "Cu" | "Zn" | "NO3" | "Cl" | "SO4" | "HCO3" | "H2PO4" | "HPO4";
export type IonAmounts = Readonly<Partial<Record<Ion, number>>>;

/** IUPAC abridged atomic weights 2021, g/mol. */
export const ATOMIC_WEIGHT_G_PER_MOL = {
  N: 14.007,
  P: 30.974,
  K: 39.098,
  Ca: 40.078,
  Mg: 24.305,
  S: 32.06,
  Na: 22.99,
  Cl: 35.45,
  Cu: 63.546,
  Zn: 65.38,
} as const;

/** Half the molar mass of calcium carbonate: mg of CaCO3 that one milliequivalent of alkalinity equals. */
export const MG_CACO3_PER_MEQ = 50.04;

const ION_OF: readonly (readonly [Nutrient, Ion, number])[] = [
  ["NO3-N", "NO3", ATOMIC_WEIGHT_G_PER_MOL.N],
  ["NH4-N", "NH4", ATOMIC_WEIGHT_G_PER_MOL.N],
  ["P", "H2PO4", ATOMIC_WEIGHT_G_PER_MOL.P],
  ["K", "K", ATOMIC_WEIGHT_G_PER_MOL.K],
  ["Ca", "Ca", ATOMIC_WEIGHT_G_PER_MOL.Ca],
  ["Mg", "Mg", ATOMIC_WEIGHT_G_PER_MOL.Mg],
  ["S", "SO4", ATOMIC_WEIGHT_G_PER_MOL.S],
  ["Na", "Na", ATOMIC_WEIGHT_G_PER_MOL.Na],
  ["Cl", "Cl", ATOMIC_WEIGHT_G_PER_MOL.Cl],
  ["Cu", "Cu", ATOMIC_WEIGHT_G_PER_MOL.Cu],
  ["Zn", "Zn", ATOMIC_WEIGHT_G_PER_MOL.Zn],
];

/**
 * mg/L of elements to mmol/L of ions. Urea, boron, molybdenum and chelated metals carry no current and are left out.
 * @param mgPerL elements, mg/L
 * @param alkalinityMgCaco3PerL taken as bicarbonate
 * @example ionsFromElements({ K: 39.098 }).K // 1
 */
export function ionsFromElements(mgPerL: NutrientAmounts, alkalinityMgCaco3PerL = 0): IonAmounts {
  requireEach("ionsFromElements", "mgPerL", mgPerL, 0);
  requireRange("ionsFromElements", "alkalinityMgCaco3PerL", alkalinityMgCaco3PerL, 0, 100_000);
  const ions: Partial<Record<Ion, number>> = {};
  for (const [nutrient, ion, weight] of ION_OF) {
    const amount = mgPerL[nutrient];
    if (amount) ions[ion] = amount / weight;
  }
  if (alkalinityMgCaco3PerL > 0) ions.HCO3 = alkalinityMgCaco3PerL / MG_CACO3_PER_MEQ;
  return ions;
}

/** Σ share·amounts, ion by ion; shares need not sum to one. */
export function mixIons(parts: readonly (readonly [share: number, ions: IonAmounts])[]): IonAmounts {
  const mixed: Partial<Record<Ion, number>> = {};
  for (const [share, ions] of parts) {
    // A mixture that was worked out may miss nothing by a hair.
    requireRange("mixIons", "share", share, -1e-9);
    requireEach("mixIons", "ions", ions, 0);
    for (const [ion, amount] of Object.entries(ions) as [Ion, number][])
      mixed[ion] = (mixed[ion] ?? 0) + Math.max(0, share) * amount;
  }
  return mixed;
}
