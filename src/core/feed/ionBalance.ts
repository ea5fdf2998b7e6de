import { requireFigures } from "../units/range";
import { ionsFromElements, type Nutrient } from "./nutrients";
import type { WaterAnalysis } from "./blendWaters";

/** Ions that make up nearly all of a water's charge, and the charge of one mole. */
const CATIONS = [
  ["Ca", "Ca", 2],
  ["Mg", "Mg", 2],
  ["Na", "Na", 1],
  ["K", "K", 1],
] as const;
const ANIONS = [
  ["Cl", "Cl", 1],
  ["S", "SO4", 2],
  ["NO3-N", "NO3", 1],
] as const;

/** What an analysis may not tell. */
export type MainIon = Nutrient | "alkalinity";

/** Cations against anions of an analysis, in charges. */
export interface IonBalance {
  readonly cationsMeqPerL: number;
  readonly anionsMeqPerL: number;
  /** (Cations − anions) ÷ the mean of both; 0 where there is neither. */
  readonly difference: number;
  /** Of the side that comes short, what is not told: it may be the reason. */
  readonly notTold: readonly MainIon[];
  readonly verdict: "balanced" | "weak" | "doubtful" | "out" | "not-all-told";
  /** Slips of the pen that would explain it, the likeliest first. */
  readonly slips: readonly AnalysisSlip[];
}

/** A figure entered as something else than it is asked for. */
export type AnalysisSlip =
  | "nitrate-as-ion"
  | "sulfate-as-ion"
  | "alkalinity-as-bicarbonate"
  | "alkalinity-in-degrees"
  | "alkalinity-in-meq"
  | "calcium-as-hardness";

const DOUBTFUL_SHARE = 0.05;
const OUT_SHARE = 0.1;
/** Of weak waters, rain above all, so much may be missing without meaning anything, meq/L. */
const SMALL_MEQ_PER_L = 0.2;

/** What the figure would be, were it what is asked for. */
const SLIPS: Readonly<Record<AnalysisSlip, (water: WaterAnalysis) => WaterAnalysis>> = {
  "nitrate-as-ion": (water) => scaled(water, "NO3-N", 14.007 / 62.004),
  "sulfate-as-ion": (water) => scaled(water, "S", 32.06 / 96.06),
  "alkalinity-as-bicarbonate": (water) => alkalinity(water, 50.04 / 61.017),
  "alkalinity-in-degrees": (water) => alkalinity(water, 17.848),
  "alkalinity-in-meq": (water) => alkalinity(water, 50.04),
  "calcium-as-hardness": (water) => scaled(water, "Ca", 40.078 / 100.087),
};

const scaled = (water: WaterAnalysis, one: Nutrient, times: number): WaterAnalysis => ({
  ...water,
  analysisMgPerL: { ...water.analysisMgPerL, [one]: (water.analysisMgPerL[one] ?? 0) * times },
});
const alkalinity = (water: WaterAnalysis, times: number): WaterAnalysis => ({
  ...water,
  alkalinityMgCaco3PerL: water.alkalinityMgCaco3PerL * times,
});

/**
 * Whether the ions of an analysis balance. Over 5 % it is doubtful, over 10 % something is wrong, unless an ion of the side
 * that comes short is not told. Of weak waters a difference of 0.2 meq/L means nothing.
 *
 * @throws RangeError when a figure is outside its range
 * @source Standard Methods for the Examination of Water and Wastewater, 1030 E; molar masses by IUPAC
 */
export function ionBalance(water: WaterAnalysis): IonBalance {
  const { cationsMeqPerL, anionsMeqPerL } = chargesOf(water);
  const [surplus, mean] = [cationsMeqPerL - anionsMeqPerL, (cationsMeqPerL + anionsMeqPerL) / 2];
  const difference = mean > 0 ? surplus / mean : 0;
  const told = water.analysisMgPerL;
  const notTold: MainIon[] =
    surplus > 0
      ? [
          ...(water.alkalinityMgCaco3PerL > 0 ? [] : (["alkalinity"] as const)),
          ...ANIONS.map(([one]) => one).filter((one) => told[one] === undefined),
        ]
      : CATIONS.map(([one]) => one).filter((one) => told[one] === undefined);
  const isSmall = Math.abs(surplus) <= SMALL_MEQ_PER_L;
  const off = Math.abs(difference);
  const verdict =
    off > DOUBTFUL_SHARE && isSmall
      ? "weak"
      : off <= DOUBTFUL_SHARE
        ? "balanced"
        : notTold.length > 0
          ? "not-all-told"
          : off <= OUT_SHARE
            ? "doubtful"
            : "out";
  return {
    cationsMeqPerL,
    anionsMeqPerL,
    difference,
    notTold,
    verdict,
    slips: verdict === "out" ? slipsOf(water) : [],
  };
}

function chargesOf(water: WaterAnalysis) {
  requireFigures("ionBalance", water, { alkalinityMgCaco3PerL: [0, 100_000] });
  const ions = ionsFromElements(water.analysisMgPerL, water.alkalinityMgCaco3PerL);
  const sum = (side: typeof CATIONS | typeof ANIONS) =>
    side.reduce((all, [, ion, charge]) => all + charge * (ions[ion] ?? 0), 0);
  return { cationsMeqPerL: sum(CATIONS) + (ions.NH4 ?? 0), anionsMeqPerL: sum(ANIONS) + (ions.HCO3 ?? 0) };
}

function slipsOf(water: WaterAnalysis): AnalysisSlip[] {
  return (Object.keys(SLIPS) as AnalysisSlip[])
    .map((slip) => {
      const { cationsMeqPerL, anionsMeqPerL } = chargesOf(SLIPS[slip](water));
      return { slip, off: Math.abs(cationsMeqPerL - anionsMeqPerL) / ((cationsMeqPerL + anionsMeqPerL) / 2) };
    })
    .filter(({ off }) => off <= DOUBTFUL_SHARE)
    .sort((a, b) => a.off - b.off)
    .map(({ slip }) => slip);
}
