import { ATOMIC_WEIGHT_G_PER_MOL as WEIGHT, type NutrientAmounts } from "./nutrients";
import type { StockLetter } from "./salts";

/** A recipe that ships with Seed Round, and where it is from. */
export interface LibraryRecipe {
  readonly name: string;
  readonly from: "published" | "common-practice";
  /** Who published it, or what is usual. */
  readonly source: string;
  readonly ecLow: number;
  readonly ecMsPerCm: number;
  readonly ecHigh: number;
  readonly phLow: number;
  readonly phHigh: number;
  readonly targetsMgPerL: NutrientAmounts;
}

interface Mmol {
  readonly NO3: number;
  readonly NH4?: number;
  readonly P: number;
  readonly K: number;
  readonly Ca: number;
  readonly Mg: number;
  readonly SO4: number;
}

/** Middle of the usual ranges: Fe 0.84–2.2, Mn 0.3–0.6, Zn 0.1–0.3, B 0.2–0.5, Cu 0.03–0.05 mg/L. */
const MICRO: NutrientAmounts = { Fe: 1.5, Mn: 0.45, Zn: 0.2, B: 0.35, Cu: 0.04, Mo: 0.05 };

const tenths = (value: number) => Math.round(value * 10) / 10;

function fromMmol({ NO3, NH4 = 0, P, K, Ca, Mg, SO4 }: Mmol): NutrientAmounts {
  return {
    "NO3-N": tenths(NO3 * WEIGHT.N),
    ...(NH4 > 0 && { "NH4-N": tenths(NH4 * WEIGHT.N) }),
    P: tenths(P * WEIGHT.P),
    K: tenths(K * WEIGHT.K),
    Ca: tenths(Ca * WEIGHT.Ca),
    Mg: tenths(Mg * WEIGHT.Mg),
    S: tenths(SO4 * WEIGHT.S),
    ...MICRO,
  };
}

const HOAGLAND_1: NutrientAmounts = { "NO3-N": 210, P: 31, K: 235, Ca: 200, Mg: 49, S: 64, ...MICRO };
const HOAGLAND_2: NutrientAmounts = { "NO3-N": 196, "NH4-N": 14, P: 31, K: 235, Ca: 160, Mg: 49, S: 64, ...MICRO };
const half = (amounts: NutrientAmounts): NutrientAmounts =>
  Object.fromEntries(Object.entries(amounts).map(([name, mgPerL]) => [name, mgPerL / 2]));

const HOAGLAND = "Hoagland and Arnon 1950, California Agricultural Experiment Station Circular 347";
const MICRO_NOTE = "micronutrients: middle of the usual ranges";

/**
 * Recipes to take over with one press and to change.
 * @source Steiner 1961, Plant and Soil 15; Hoagland and Arnon 1950, Circular 347; all else common practice
 */
export const RECIPE_LIBRARY: readonly LibraryRecipe[] = [
  {
    name: "Steiner 1961",
    from: "published",
    source: `Steiner 1961, Plant and Soil 15; ${MICRO_NOTE}`,
    ecLow: 1.7,
    ecMsPerCm: 2,
    ecHigh: 2.3,
    phLow: 5.8,
    phHigh: 6.5,
    targetsMgPerL: fromMmol({ NO3: 12, P: 1, SO4: 3.5, K: 7, Ca: 4.5, Mg: 2 }),
  },
  {
    name: "Hoagland no. 1, full",
    from: "published",
    source: `${HOAGLAND}: all nitrate; ${MICRO_NOTE}`,
    ecLow: 1.8,
    ecMsPerCm: 2.1,
    ecHigh: 2.4,
    phLow: 5.6,
    phHigh: 6.5,
    targetsMgPerL: HOAGLAND_1,
  },
  {
    name: "Hoagland no. 1, half",
    from: "published",
    source: `${HOAGLAND}: all nitrate, at half strength`,
    ecLow: 0.9,
    ecMsPerCm: 1.1,
    ecHigh: 1.3,
    phLow: 5.6,
    phHigh: 6.5,
    targetsMgPerL: half(HOAGLAND_1),
  },
  {
    name: "Hoagland no. 2, full",
    from: "published",
    source: `${HOAGLAND}: with ammonium; ${MICRO_NOTE}`,
    ecLow: 1.7,
    ecMsPerCm: 2,
    ecHigh: 2.3,
    phLow: 5.6,
    phHigh: 6.5,
    targetsMgPerL: HOAGLAND_2,
  },
  {
    name: "Hoagland no. 2, half",
    from: "published",
    source: `${HOAGLAND}: with ammonium, at half strength`,
    ecLow: 0.9,
    ecMsPerCm: 1.05,
    ecHigh: 1.3,
    phLow: 5.6,
    phHigh: 6.5,
    targetsMgPerL: half(HOAGLAND_2),
  },
  {
    name: "Leafy greens, recirculating",
    from: "common-practice",
    source: "common practice; EC 2.6 as written, usually run at 1.2 to 1.8",
    ecLow: 1.2,
    ecMsPerCm: 1.5,
    ecHigh: 1.8,
    phLow: 5.6,
    phHigh: 6.4,
    targetsMgPerL: fromMmol({ NO3: 19, NH4: 1.25, P: 2, K: 11, Ca: 4.5, Mg: 1, SO4: 1.125 }),
  },
  {
    name: "Leafy greens, dark months",
    from: "common-practice",
    source: "common practice; nitrate 10 to 12 mmol/L in favour of sulfate, so that leaves keep less of it",
    ecLow: 1.3,
    ecMsPerCm: 1.6,
    ecHigh: 1.9,
    phLow: 5.6,
    phHigh: 6.4,
    targetsMgPerL: fromMmol({ NO3: 11, NH4: 1.25, P: 2, K: 11, Ca: 4.5, Mg: 1, SO4: 5.125 }),
  },
  {
    name: "Fruiting crops",
    from: "common-practice",
    source: "common practice; EC 2 to 2.6",
    ecLow: 2,
    ecMsPerCm: 2.2,
    ecHigh: 2.6,
    phLow: 5.6,
    phHigh: 6.4,
    targetsMgPerL: fromMmol({ NO3: 13.75, NH4: 1.25, P: 1.25, K: 8.75, Ca: 4.25, Mg: 2, SO4: 3.75 }),
  },
];

/** Salts from which the recipes of the library are made, and the stock of each. Ammonium comes where it is wanted. */
export const LIBRARY_SALTS: readonly (readonly [name: string, stock: StockLetter])[] = [
  ["calcium nitrate, commercial double salt", "A"],
  ["potassium nitrate", "A"],
  ["Fe-DTPA 11 %", "A"],
  ["monopotassium phosphate", "B"],
  ["potassium sulfate", "B"],
  ["magnesium sulfate heptahydrate", "B"],
  ["manganese sulfate monohydrate", "B"],
  ["zinc sulfate heptahydrate", "B"],
  ["copper sulfate pentahydrate", "B"],
  ["boric acid", "B"],
  ["sodium molybdate dihydrate", "B"],
];
/** One more where a recipe wants ammonium. */
export const AMMONIUM_SALT = ["monoammonium phosphate", "B"] as const;
