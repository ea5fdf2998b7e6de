import { riseToZero } from "../numeric/riseToZero";
import { requireEach, requireFigures, requireRange } from "../units/range";
import { carbonateCharge, waterChargeMeqPerL } from "./carbonate";
import { MG_CACO3_PER_MEQ, NUTRIENTS, type Nutrient, type NutrientAmounts } from "./nutrients";

/** What an analysis tells of a water. */
export interface WaterAnalysis {
  readonly ecMsPerCm: number | null;
  readonly ph: number | null;
  readonly alkalinityMgCaco3PerL: number;
  /** Masses of the elements; what is left out is not told. */
  readonly analysisMgPerL: NutrientAmounts;
}

/** A water with its part of a blend. */
export interface BlendPart {
  readonly water: WaterAnalysis;
  /** By volume; the parts need not sum to one. */
  readonly parts: number;
}

/** A blend of waters. */
export interface Blend extends WaterAnalysis {
  /** Told of some of the waters only: the blend holds at least what is given. */
  readonly atLeast: readonly Nutrient[];
}

/** Waters of carbonate lie between these. */
const LEAST_PH = 3;
const GREATEST_PH = 12;

/**
 * Total carbonate of a water, mmol/L: its alkalinity less the charge of water itself, by the charge that its carbonate
 * carries at its pH.
 *
 * @returns null where pH and alkalinity do not go together: water so caustic or so sour holds no carbonate
 * @throws RangeError when a figure is outside its range
 * @source Alk = CT·(α1 + 2·α2) + [OH] − [H]; Stumm and Morgan, Aquatic Chemistry, ch. 4; tests/reference/feed/acid.json
 * @example totalCarbonateMmolPerL(300, 7.3) // 6.66
 */
export function totalCarbonateMmolPerL(alkalinityMgCaco3PerL: number, ph: number): number | null {
  requireRange("totalCarbonateMmolPerL", "alkalinityMgCaco3PerL", alkalinityMgCaco3PerL, 0, 100_000);
  requireRange("totalCarbonateMmolPerL", "ph", ph, LEAST_PH, GREATEST_PH);
  const carbonateMeqPerL = alkalinityMgCaco3PerL / MG_CACO3_PER_MEQ - waterChargeMeqPerL(ph);
  return carbonateMeqPerL < 0 ? null : carbonateMeqPerL / carbonateCharge(ph);
}

/**
 * Waters mixed by volume. What is in them is averaged by volume, EC as well, which is a little too much; pH is not averaged:
 * it is found again from the alkalinity and the total carbonate of the blend, in a closed tank, before air gets to it.
 *
 * @param blend at least one part over 0
 * @returns the blend; its EC and pH are null where one of its waters does not tell its own
 * @throws RangeError when a figure is outside its range, or there is nothing to mix
 * @source volume balance; as totalCarbonateMmolPerL
 */
export function blendWaters(blend: readonly BlendPart[]): Blend {
  const all = blend.reduce((sum, { parts, water }) => {
    requireFigures("blendWaters", { parts }, { parts: [0, 1e9] });
    requireEach("blendWaters", "analysisMgPerL", water.analysisMgPerL, 0);
    if (water.ecMsPerCm !== null) requireRange("blendWaters", "ecMsPerCm", water.ecMsPerCm, 0, 1000);
    if (water.ph !== null) requireRange("blendWaters", "ph", water.ph, 0, 14);
    return sum + parts;
  }, 0);
  if (!(all > 0)) throw new RangeError("blendWaters: there is nothing to mix; at least one part must be over 0");
  const mixed = blend.filter(({ parts }) => parts > 0).map(({ water, parts }) => ({ water, share: parts / all }));
  const mean = (of: (water: WaterAnalysis) => number) =>
    mixed.reduce((sum, { water, share }) => sum + share * of(water), 0);
  const told = NUTRIENTS.filter((one) => mixed.some(({ water }) => water.analysisMgPerL[one] !== undefined));
  const alkalinityMgCaco3PerL = mean((water) => water.alkalinityMgCaco3PerL);
  return {
    ecMsPerCm: mixed.every(({ water }) => water.ecMsPerCm !== null) ? mean((water) => water.ecMsPerCm!) : null,
    ph: blendedPh(mixed, alkalinityMgCaco3PerL),
    alkalinityMgCaco3PerL,
    analysisMgPerL: Object.fromEntries(told.map((one) => [one, mean((water) => water.analysisMgPerL[one] ?? 0)])),
    atLeast: told.filter((one) => mixed.some(({ water }) => water.analysisMgPerL[one] === undefined)),
  };
}

function blendedPh(
  mixed: readonly { readonly water: WaterAnalysis; readonly share: number }[],
  alkalinityMgCaco3PerL: number,
): number | null {
  let carbonateMmolPerL = 0;
  for (const { water, share } of mixed) {
    if (water.ph === null || water.ph < LEAST_PH || water.ph > GREATEST_PH) return null;
    const own = totalCarbonateMmolPerL(water.alkalinityMgCaco3PerL, water.ph);
    if (own === null) return null;
    carbonateMmolPerL += share * own;
  }
  const alkalinityMeqPerL = alkalinityMgCaco3PerL / MG_CACO3_PER_MEQ;
  return riseToZero(
    LEAST_PH,
    GREATEST_PH,
    (ph) => carbonateMmolPerL * carbonateCharge(ph) + waterChargeMeqPerL(ph) - alkalinityMeqPerL,
  );
}
