import type { Day } from "../units/day";
import { requireEach, requireRange } from "../units/range";
import type { NutrientAmounts } from "./nutrients";

export const SALT_FORMS = ["solid", "liquid"] as const;

/** A salt as sold. */
export interface Salt {
  readonly name: string;
  readonly percent: NutrientAmounts;
  /** Grams of the sold form that dissolve in a litre of finished stock, at 0, 10, 20 and 30 °C; null for liquids. */
  readonly solubilityGPerL: readonly [number, number, number, number] | null;
  readonly chelate?: boolean;
  readonly acid?: boolean;
  /** Shares its stock with nothing: silicates, carbonates, lyes. */
  readonly alone?: boolean;
  readonly caution?: string;
  readonly form?: (typeof SALT_FORMS)[number];
  readonly densityKgPerL?: number | null;
}

const OXIDISER = "Oxidiser: keep dry, away from fuel and acid; local rules may limit sale and storage.";

const NO_CHLORINE = "Never near chlorine cleaner (hypochlorite): chloramines.";

/**
 * Salts that a new garden starts with; each can be changed. Percent by mass.
 * @source atomic weights (tests/reference/feed/salts.json); solubilities from tests/reference/feed/stocks.json
 */
// prettier-ignore
export const SALT_LIBRARY: readonly Salt[] = [
  { name: "calcium nitrate, commercial double salt", percent: { "NO3-N": 14.4, "NH4-N": 1.1, Ca: 19 }, solubilityGPerL: [800, 850, 950, 1050], caution: OXIDISER },
  { name: "calcium nitrate tetrahydrate", percent: { "NO3-N": 11.86, Ca: 16.97 }, solubilityGPerL: [1039, 1124, 1200, 1328], caution: OXIDISER },
  { name: "potassium nitrate", percent: { "NO3-N": 13.85, K: 38.67 }, solubilityGPerL: [127, 194, 279, 380], caution: OXIDISER },
  { name: "monopotassium phosphate", percent: { P: 22.76, K: 28.73 }, solubilityGPerL: [142, 173, 210, 254] },
  { name: "monoammonium phosphate", percent: { "NH4-N": 12.18, P: 26.93 }, solubilityGPerL: [205, 257, 316, 374], caution: NO_CHLORINE },
  { name: "potassium sulfate", percent: { K: 44.87, S: 18.4 }, solubilityGPerL: [73, 91, 108, 125] },
  { name: "magnesium sulfate heptahydrate", percent: { Mg: 9.86, S: 13.01 }, solubilityGPerL: [454, 572, 671, 763] },
  { name: "magnesium nitrate hexahydrate", percent: { "NO3-N": 10.93, Mg: 9.48 }, solubilityGPerL: [894, 935, 978, 1019], caution: OXIDISER },
  { name: "ammonium nitrate", percent: { "NO3-N": 17.5, "NH4-N": 17.5 }, solubilityGPerL: [677, 768, 861, 941], caution: `${OXIDISER} Regulated in many countries. ${NO_CHLORINE}` },
  { name: "potassium chloride", percent: { K: 52.45, Cl: 47.55 }, solubilityGPerL: [252, 276, 298, 320] },
  { name: "calcium chloride dihydrate", percent: { Ca: 27.26, Cl: 48.23 }, solubilityGPerL: [677, 723, 803, 974] },
  { name: "Fe-DTPA 11 %", percent: { Fe: 11, Na: 4.51 }, solubilityGPerL: [80, 90, 110, 130], chelate: true },
  { name: "Fe-EDDHA 6 %", percent: { Fe: 6, Na: 2.46 }, solubilityGPerL: [60, 70, 80, 90], chelate: true },
  { name: "manganese sulfate monohydrate", percent: { Mn: 32.5, S: 18.97 }, solubilityGPerL: [554, 615, 640, 640] },
  { name: "zinc sulfate heptahydrate", percent: { Zn: 22.74, S: 11.15 }, solubilityGPerL: [733, 822, 916, 1022] },
  { name: "copper sulfate pentahydrate", percent: { Cu: 25.45, S: 12.84 }, solubilityGPerL: [223, 271, 322, 385] },
  { name: "boric acid", percent: { B: 17.48 }, solubilityGPerL: [25.6, 35.1, 47.6, 63] },
  { name: "sodium molybdate dihydrate", percent: { Mo: 39.66, Na: 19 }, solubilityGPerL: [496, 630, 667, 678] },
];

const LYE =
  "Raises pH. Corrosive or caustic: goggles and gloves; never together with acid. Stands alone; what it brings of potassium counts.";

/**
 * More that a shelf may hold; a new garden does not start with it.
 * @source as above; the blend is a label (tests/reference/feed/label.json) turned into elements
 */
// prettier-ignore
export const MORE_SALTS: readonly Salt[] = [
  { name: "ammonium sulfate", percent: { "NH4-N": 21.2, S: 24.26 }, solubilityGPerL: [513, 523, 537, 548], caution: `Ammonium: a small share of all nitrogen, least of all in dark months. ${NO_CHLORINE}` },
  { name: "urea", percent: { "urea-N": 46.65 }, solubilityGPerL: [445, 519, 597, 662], caution: "Never into a recirculating loop: plants hardly take it up before microbes have turned it, and it conducts nothing, so EC does not show it. Never near chlorine cleaner (hypochlorite): chloramines." },
  { name: "calcium chloride anhydrous", percent: { Ca: 36.11, Cl: 63.89 }, solubilityGPerL: null, caution: "Grows hot as it dissolves: into cold water, slowly." },
  { name: "Fe-EDTA 13 %", percent: { Fe: 13, Na: 5.35 }, solubilityGPerL: [70, 80, 100, 120], chelate: true, caution: "Holds iron up to pH 6.5 only." },
  { name: "zinc sulfate monohydrate", percent: { Zn: 36.43, S: 17.87 }, solubilityGPerL: null, caution: "Often sold as if it were the heptahydrate: look at the label, it is 1.6 times as strong." },
  { name: "disodium tetraborate decahydrate", percent: { B: 11.34, Na: 12.06 }, solubilityGPerL: [20.8, 30.1, 47.2, 73] },
  { name: "potassium bicarbonate", percent: { K: 39.05 }, solubilityGPerL: [208, 249, 297, 342], alone: true, caution: "Raises pH, gently. Stands alone; foams with acid." },
  { name: "potassium carbonate", percent: { K: 56.58 }, solubilityGPerL: [789, 808, 821, 836], alone: true, caution: LYE },
  { name: "potassium hydroxide", percent: { K: 69.69 }, solubilityGPerL: null, alone: true, caution: LYE },
  { name: "potassium silicate, K2SiO3", percent: { K: 50.68 }, solubilityGPerL: null, alone: true, caution: `${LYE} Sold as powders and solutions of any strength: write the content of the label (K2O × 0.83). Into the water first, well thinned, before anything else.` },
  { name: "one-bag blend 4-18-38", percent: { "NO3-N": 4, P: 7.86, K: 31.54, Mg: 0.48, S: 5.61 }, solubilityGPerL: null, caution: "Holds no calcium: give calcium nitrate beside it, from a stock of its own." },
];

/** A holds calcium and chelates, B sulfate and phosphate, C what must stand alone. */
export const STOCK_LETTERS = ["A", "B", "C"] as const;
export type StockLetter = (typeof STOCK_LETTERS)[number];

/** Where a salt of a recipe goes: a stock, or half each into A and B, so that it stays dissolved. */
export const STOCK_PLACES = [...STOCK_LETTERS, "A+B"] as const;
export type StockPlace = (typeof STOCK_PLACES)[number];

/** Share of a salt that goes into a stock. @example inStock("A+B", "A") // 0.5 */
export function inStock(place: StockPlace, letter: StockLetter): number {
  if (place === "A+B") return letter === "C" ? 0 : 0.5;
  return place === letter ? 1 : 0;
}

/** Where a salt has to go: calcium and chelates in A, sulfate and phosphate in B, what stands alone in C. */
export function stockFor(salt: Pick<Salt, "percent" | "chelate" | "alone">): StockLetter | "either" {
  requireEach("stockFor", "percent", salt.percent, 0, 100);
  if (salt.alone) return "C";
  if ((salt.percent.Ca ?? 0) > 0 || salt.chelate) return "A";
  return (salt.percent.S ?? 0) > 0 || (salt.percent.P ?? 0) > 0 ? "B" : "either";
}

/** Litres that grams of a liquid take up, which is how it is dosed; null of what is weighed. */
export function liquidL({ form, densityKgPerL }: Pick<Salt, "form" | "densityKgPerL">, grams: number): number | null {
  requireRange("liquidL", "grams", grams, 0);
  if (densityKgPerL != null) requireRange("liquidL", "densityKgPerL", densityKgPerL, 0.01, 30);
  return form === "liquid" && densityKgPerL ? grams / 1000 / densityKgPerL : null;
}

/** A bag or can of a salt. */
export interface Lot {
  readonly name: string;
  readonly receivedOn: Day;
  readonly openedOn: Day | null;
  readonly usedUpOn: Day | null;
}

/** The lots that are not used up, in the order in which they are taken: what is open first, then what came first. */
export function lotsLeft<One extends Lot>(lots: readonly One[]): One[] {
  const rank = ({ openedOn }: One) => (openedOn === null ? 1 : 0);
  const from = (lot: One) => lot.openedOn ?? lot.receivedOn;
  return lots
    .filter(({ usedUpOn }) => usedUpOn === null)
    .sort((one, other) => rank(one) - rank(other) || from(one) - from(other));
}
