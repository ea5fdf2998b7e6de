import { requireRange } from "../units/range";
import type { Ion, IonAmounts } from "./nutrients";

/** Limiting molar conductivities at 25 °C, S·cm²/mol, and charges. */
const IONS: Readonly<Record<Ion, { readonly charge: number; readonly lambda0: number }>> = {
  K: { charge: 1, lambda0: 73.5 },
  Na: { charge: 1, lambda0: 50.1 },
  NH4: { charge: 1, lambda0: 73.5 },
  Ca: { charge: 2, lambda0: 119 },
  Mg: { charge: 2, lambda0: 106 },
  H: { charge: 1, lambda0: 349.8 },
  Cu: { charge: 2, lambda0: 107.2 },
  Zn: { charge: 2, lambda0: 105.6 },
  NO3: { charge: -1, lambda0: 71.4 },
  Cl: { charge: -1, lambda0: 76.3 },
  SO4: { charge: -2, lambda0: 160 },
  HCO3: { charge: -1, lambda0: 44.5 },
  H2PO4: { charge: -1, lambda0: 36 },
  HPO4: { charge: -2, lambda0: 114 },
};

/** Ion pairs: log10 of the association constant, and the pair's own conductivity where it is charged. */
const PAIRS: readonly {
  readonly cation: Ion;
  readonly anion: Ion;
  readonly log10K: number;
  readonly lambda0: number;
}[] = [
  { cation: "Ca", anion: "SO4", log10K: 2.3, lambda0: 0 },
  { cation: "Mg", anion: "SO4", log10K: 2.25, lambda0: 0 },
  { cation: "K", anion: "SO4", log10K: 0.85, lambda0: 50 },
  { cation: "Na", anion: "SO4", log10K: 0.7, lambda0: 45 },
  { cation: "NH4", anion: "SO4", log10K: 1.11, lambda0: 50 },
  { cation: "Ca", anion: "HPO4", log10K: 2.74, lambda0: 0 },
  { cation: "Mg", anion: "HPO4", log10K: 2.87, lambda0: 0 },
  { cation: "Ca", anion: "H2PO4", log10K: 1.41, lambda0: 20 },
  { cation: "Mg", anion: "H2PO4", log10K: 1.51, lambda0: 20 },
  { cation: "Ca", anion: "HCO3", log10K: 1.11, lambda0: 20 },
  { cation: "Mg", anion: "HCO3", log10K: 1.07, lambda0: 20 },
  { cation: "K", anion: "HPO4", log10K: 0.29, lambda0: 30 },
  { cation: "Na", anion: "HPO4", log10K: 0.29, lambda0: 30 },
  { cation: "Cu", anion: "SO4", log10K: 2.31, lambda0: 0 },
  { cation: "Zn", anion: "SO4", log10K: 2.31, lambda0: 0 },
];

const ION_NAMES = Object.keys(IONS) as readonly Ion[];
const CHARGE = Int8Array.from(ION_NAMES, (ion) => IONS[ion].charge);
const LAMBDA = Float64Array.from(ION_NAMES, (ion) => IONS[ion].lambda0);
const CATION = Int8Array.from(PAIRS, ({ cation }) => ION_NAMES.indexOf(cation));
const ANION = Int8Array.from(PAIRS, ({ anion }) => ION_NAMES.indexOf(anion));
const PAIR_K = Float64Array.from(PAIRS, ({ log10K }) => 10 ** log10K);
const PAIR_LAMBDA = Float64Array.from(PAIRS, ({ lambda0 }) => lambda0);
const PAIR_CHARGE = Int8Array.from(PAIRS, ({ cation, anion }) => IONS[cation].charge + IONS[anion].charge);

/** γ of what has one charge, to the power of what a pair's constant is multiplied by: z² of both ions less z² of the pair. */
const PAIR_GAMMAS = Int8Array.from(
  PAIRS,
  ({ cation, anion }, at) => IONS[cation].charge ** 2 + IONS[anion].charge ** 2 - PAIR_CHARGE[at]! ** 2,
);
const placesOf = (sign: number) => Int8Array.from(ION_NAMES.flatMap((_, at) => (CHARGE[at]! * sign > 0 ? [at] : [])));
const [CATIONS, ANIONS] = [placesOf(1), placesOf(-1)];
/** Of ions, and of pairs: z². */
const CHARGE_2 = Float64Array.from(CHARGE, (charge) => charge ** 2);
const PAIR_CHARGE_2 = Float64Array.from(PAIR_CHARGE, (charge) => charge ** 2);

/** Far over what a feed holds: less needs no closer look. */
const PLAIN_MMOL = 1e6;
const DAVIES_A = 0.509;
const GREATEST_IONIC_STRENGTH_MOL_PER_L = 0.5;
const MOST_ROUNDS = 200;
const RELATIVE_TOLERANCE = 1e-8;

/**
 * Electrical conductivity at 25 °C of a dilute solution: ion pairs by mass action with Davies activities, then
 * Σ Λ°·c·γ^α over free ions and charged pairs, α = 0.6/√|z| for I < 0.36·|z|, else √I/|z|.
 * Meant for feeds and waters; never for stocks. A computed EC is good to about ± 5 %.
 *
 * @param ions mmol/L, each 0 or more
 * @returns EC, mS/cm
 * @throws RangeError for a negative amount or an ionic strength over 0.5 mol/L
 * @source specific conductance method of McCleskey and others 2012; constants in tests/reference/feed/ec.json
 * @example ecOfIons({ K: 10, Cl: 10 }) // 1.408
 */
export function ecOfIons(ions: IonAmounts): number {
  forget();
  return ecFrom(ions);
}

/**
 * As ecOfIons, for a solver that asks for one solution after another: each begins with the share of free ions of the one
 * before, which is nearly its own.
 *
 * @param ions mmol/L, each 0 or more
 * @returns EC, mS/cm
 * @throws RangeError for a negative amount or an ionic strength over 0.5 mol/L
 * @source ecOfIons
 */
export function ecNearLast(ions: IonAmounts): number {
  return ecFrom(ions);
}

/**
 * Activities of the free ions of a solution, by the same ion pairs and Davies activities as its EC.
 *
 * @param ions mmol/L, each 0 or more
 * @returns mol/L of each ion that is there, and the activity coefficient of an ion with one charge
 * @throws RangeError for a negative amount
 * @source ecOfIons
 */
export function freeActivities(ions: IonAmounts): { readonly activities: IonAmounts; readonly gamma: number } {
  forget();
  read(ions);
  const gamma = activity(pairUp());
  const activities = Object.fromEntries(
    ION_NAMES.flatMap((ion, at) => (TOTAL[at]! > 0 ? [[ion, FREE[at]! * gamma ** CHARGE_2[at]!]] : [])),
  );
  return { activities, gamma };
}

// What a solution is worked out in, one at a time: made anew, it would cost more than the sums.
const TOTAL = new Float64Array(ION_NAMES.length);
const FREE = new Float64Array(ION_NAMES.length);
/** Of each ion, what was free in the last solution; and its ionic strength. */
const FREE_SHARE = new Float64Array(ION_NAMES.length).fill(1);
let lastStrength: number | null = null;
const BOUND = new Float64Array(ION_NAMES.length);
const PAIR = new Float64Array(PAIRS.length);
const CONDITIONAL = new Float64Array(PAIRS.length);
/** Pairs whose ions are both there: the first so many places. */
const THERE = new Int8Array(PAIRS.length);
let pairsThere = 0;

function forget(): void {
  FREE_SHARE.fill(1);
  lastStrength = null;
}

function ecFrom(ions: IonAmounts): number {
  read(ions);
  const ionicStrength = pairUp();
  if (ionicStrength > GREATEST_IONIC_STRENGTH_MOL_PER_L) {
    forget();
    throw new RangeError(`ecOfIons: ionic strength is ${ionicStrength.toFixed(2)} mol/L; it must be at most 0.5`);
  }
  const gamma = activity(ionicStrength);
  // γ goes with the square of the charge.
  const of = [0, gamma ** exponent(1, ionicStrength), gamma ** (4 * exponent(2, ionicStrength))];
  let ec = 0;
  for (let at = 0; at < TOTAL.length; at++) ec += LAMBDA[at]! * FREE[at]! * of[Math.abs(CHARGE[at]!)]!;
  for (let at = 0; at < PAIR.length; at++) ec += PAIR_LAMBDA[at]! * PAIR[at]! * of[Math.abs(PAIR_CHARGE[at]!)]!;
  return ec;
}

function read(ions: IonAmounts): void {
  for (let at = 0; at < TOTAL.length; at++) {
    const name = ION_NAMES[at]!;
    const mmol = ions[name] ?? 0;
    if (!(mmol >= 0 && mmol < PLAIN_MMOL)) requireRange("ecOfIons", `${name} mmol/L`, mmol, 0);
    TOTAL[at] = mmol / 1000;
    FREE[at] = TOTAL[at]! * FREE_SHARE[at]!;
  }
  pairsThere = 0;
  for (let at = 0; at < PAIR.length; at++)
    if (TOTAL[CATION[at]!]! > 0 && TOTAL[ANION[at]!]! > 0) THERE[pairsThere++] = at;
}

/**
 * Successive substitution, cations and anions in turn: free = total/(1 + Σ K·partner). Associations here are weak, so
 * that it settles in a few rounds; the activities follow the ionic strength of the round before.
 * @returns the ionic strength, mol/L
 */
function pairUp(): number {
  PAIR.fill(0);
  let ionicStrength = lastStrength ?? strengthOf();
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const four = activity(ionicStrength) ** 4;
    for (let at = 0; at < TOTAL.length; at++) BOUND[at] = 0;
    for (let one = 0; one < pairsThere; one++) {
      const at = THERE[one]!;
      CONDITIONAL[at] = PAIR_K[at]! * (PAIR_GAMMAS[at] === 8 ? four * four : four);
      BOUND[CATION[at]!]! += CONDITIONAL[at]! * FREE[ANION[at]!]!;
    }
    let change = settle(CATIONS);
    for (let one = 0; one < pairsThere; one++) {
      const at = THERE[one]!;
      BOUND[ANION[at]!]! += CONDITIONAL[at]! * FREE[CATION[at]!]!;
    }
    change = Math.max(change, settle(ANIONS));
    for (let one = 0; one < pairsThere; one++) {
      const at = THERE[one]!;
      PAIR[at] = CONDITIONAL[at]! * FREE[CATION[at]!]! * FREE[ANION[at]!]!;
    }
    ionicStrength = strengthOf();
    if (change < RELATIVE_TOLERANCE) return (lastStrength = ionicStrength);
  }
  forget();
  throw new Error("ecOfIons: the ion pairs did not settle");
}

/** Sets the free amounts of the ions of one sign. @returns the largest relative change */
function settle(places: Int8Array): number {
  let change = 0;
  for (let one = 0; one < places.length; one++) {
    const at = places[one]!;
    if (TOTAL[at] === 0) continue;
    const next = TOTAL[at]! / (1 + BOUND[at]!);
    change = Math.max(change, Math.abs(next / FREE[at]! - 1));
    FREE[at] = next;
    FREE_SHARE[at] = next / TOTAL[at]!;
  }
  return change;
}

function strengthOf(): number {
  let sum = 0;
  for (let at = 0; at < TOTAL.length; at++) sum += FREE[at]! * CHARGE_2[at]!;
  for (let at = 0; at < PAIR.length; at++) sum += PAIR[at]! * PAIR_CHARGE_2[at]!;
  return sum / 2;
}

/** Davies activity coefficient of an ion with one charge; with z charges it is this to the power of z². */
function activity(ionicStrength: number): number {
  const root = Math.sqrt(ionicStrength);
  return Math.exp(-Math.LN10 * DAVIES_A * (root / (1 + root) - 0.3 * ionicStrength));
}

function exponent(size: number, ionicStrength: number): number {
  return ionicStrength < 0.36 * size ? 0.6 / Math.sqrt(size) : Math.sqrt(ionicStrength) / size;
}
