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

const DAVIES_A = 0.509;
const GREATEST_IONIC_STRENGTH_MOL_PER_L = 0.5;
const MOST_ROUNDS = 200;
const RELATIVE_TOLERANCE = 1e-9;

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
  for (const [ion, amount] of Object.entries(ions)) requireRange("ecOfIons", `${ion} mmol/L`, amount, 0);
  const solution = pairUp(ions);
  if (solution.ionicStrength > GREATEST_IONIC_STRENGTH_MOL_PER_L)
    throw new RangeError(
      `ecOfIons: ionic strength is ${solution.ionicStrength.toFixed(2)} mol/L; it must be at most 0.5`,
    );
  return solution.carriers.reduce((ec, { lambda0, charge, molPerL }) => {
    if (charge === 0) return ec;
    return (
      ec + lambda0 * molPerL * activity(charge, solution.ionicStrength) ** exponent(charge, solution.ionicStrength)
    );
  }, 0);
}

interface Carrier {
  readonly charge: number;
  readonly lambda0: number;
  molPerL: number;
}

interface PairCarrier extends Carrier {
  readonly cation: FreeIon;
  readonly anion: FreeIon;
  readonly constant: number;
}

interface FreeIon extends Carrier {
  readonly total: number;
  /** Σ K·partner of the round at hand. */
  bound: number;
}

/**
 * Successive substitution, cations and anions in turn: free = total/(1 + Σ K·partner). Associations here are weak, so
 * that it settles in a few rounds; the activities follow the ionic strength of the round before.
 */
function pairUp(ions: IonAmounts): { readonly carriers: readonly Carrier[]; readonly ionicStrength: number } {
  const free = new Map<Ion, FreeIon>();
  for (const [ion, mmol] of Object.entries(ions) as [Ion, number][])
    if (mmol > 0) free.set(ion, { ...IONS[ion], total: mmol / 1000, molPerL: mmol / 1000, bound: 0 });
  const pairs: PairCarrier[] = [];
  for (const { cation, anion, log10K, lambda0 } of PAIRS) {
    const [c, a] = [free.get(cation), free.get(anion)];
    if (c && a)
      pairs.push({
        cation: c,
        anion: a,
        constant: 10 ** log10K,
        lambda0,
        charge: c.charge + a.charge,
        molPerL: 0,
      });
  }
  const all = [...free.values()];
  const carriers: Carrier[] = [...all, ...pairs];
  let ionicStrength = strengthOf(carriers);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const gamma = [1, activity(1, ionicStrength), activity(2, ionicStrength)];
    const conditional = (pair: PairCarrier) =>
      (pair.constant * gamma[pair.cation.charge]! * gamma[-pair.anion.charge]!) / gamma[Math.abs(pair.charge)]!;
    for (const ion of all) ion.bound = 0;
    for (const pair of pairs) pair.cation.bound += conditional(pair) * pair.anion.molPerL;
    let change = settle(all, 1);
    for (const pair of pairs) pair.anion.bound += conditional(pair) * pair.cation.molPerL;
    change = Math.max(change, settle(all, -1));
    for (const pair of pairs) pair.molPerL = conditional(pair) * pair.cation.molPerL * pair.anion.molPerL;
    ionicStrength = strengthOf(carriers);
    if (change < RELATIVE_TOLERANCE) return { carriers, ionicStrength };
  }
  throw new Error("ecOfIons: the ion pairs did not settle");
}

/** Sets the free amounts of the ions of one sign. @returns the largest relative change */
function settle(ions: readonly FreeIon[], sign: 1 | -1): number {
  let change = 0;
  for (const ion of ions) {
    if (Math.sign(ion.charge) !== sign) continue;
    const next = ion.total / (1 + ion.bound);
    change = Math.max(change, Math.abs(next / ion.molPerL - 1));
    ion.molPerL = next;
  }
  return change;
}

function strengthOf(carriers: readonly Carrier[]): number {
  let sum = 0;
  for (const { molPerL, charge } of carriers) sum += molPerL * charge * charge;
  return sum / 2;
}

/** Davies activity coefficient. */
function activity(charge: number, ionicStrength: number): number {
  const root = Math.sqrt(ionicStrength);
  return 10 ** (-DAVIES_A * charge ** 2 * (root / (1 + root) - 0.3 * ionicStrength));
}

function exponent(charge: number, ionicStrength: number): number {
  const size = Math.abs(charge);
  return ionicStrength < 0.36 * size ? 0.6 / Math.sqrt(size) : Math.sqrt(ionicStrength) / size;
}
