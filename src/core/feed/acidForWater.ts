import { requireFigures, requireRange } from "../units/range";
import { riseToZero } from "../numeric/riseToZero";
import { waterChargeMeqPerL } from "./carbonate";
import { ATOMIC_WEIGHT_G_PER_MOL as WEIGHT } from "./nutrients";
import {
  acidAmount,
  acidMeqPerL,
  aeratedAlkalinityMeqPerL,
  equivalentsPerMole,
  PH_RANGE,
  phAfterAcid,
  type TankAcid,
  type TankBuffer,
} from "./phDose";

/** A milliequivalent of alkalinity as calcium carbonate, mg. */
export const MG_CACO3_PER_MEQ = 50.043;

/** Water that is to be acidified, and with what. */
export interface AcidWish {
  readonly alkalinityMgCaco3PerL: number;
  readonly ph: number;
  readonly targetPh: number;
  /** Run-to-waste: alkalinity that may be left, where that takes less acid than the pH; null asks for the pH alone. */
  readonly leaveMeqPerL: number | null;
  readonly acid: TankAcid;
  readonly massPercent: number;
  readonly densityGPerMl: number;
  /** 25 °C where it is not told. */
  readonly waterC?: number;
  /** Of a tank: phosphate and ammonium buffer too; alkalinity by a kit counts the phosphate. */
  readonly phosphorusMmolPerL?: number;
  readonly ammoniumMmolPerL?: number;
}

export interface AcidAnswer {
  readonly meqPerL: number;
  /** Which of the two asked for it. */
  readonly by: "ph" | "leave" | "none";
  /** What the other one would take. */
  readonly otherMeqPerL: number | null;
  /** mL in 1000 L; grams of citric acid. */
  readonly per1000L: number;
  /** Right after it, before carbon dioxide leaves. */
  readonly phNow: number;
  /** Days later, in balance with the air. */
  readonly phLater: number;
  readonly leftMeqPerL: number;
  /** In all, to hold the target in aerated water. */
  readonly openMeqPerL: number;
  /** What it brings. */
  readonly addsMgPerL: { readonly nutrient: "NO3-N" | "P" | "S"; readonly mgPerL: number } | null;
}

/** To which pH a kit counts alkalinity. */
const TITRATED_TO_PH = 4.5;
const clampPh = (ph: number) => Math.min(PH_RANGE.greatest, ph);

/** What each acid brings, atoms a mole. */
const BRINGS = { nitric: "NO3-N", phosphoric: "P", sulfuric: "S", citric: null } as const;

/**
 * Acid for alkaline water: to a pH, or down to an alkalinity that may be left, whichever takes less.
 *
 * @returns "not-carbonate" where the pH is too high for the alkalinity: the two cannot be of one water
 * @throws RangeError when a figure is outside its range
 * @source carbonate system, closed and open to 420 ppm; tests/reference/feed/acid.json
 */
export function acidForWater(wish: AcidWish): AcidAnswer | "not-carbonate" {
  requireFigures("acidForWater", wish, {
    ...{ alkalinityMgCaco3PerL: [0, 2500], ph: [PH_RANGE.least, 11], leaveMeqPerL: [0, 50] },
    ...{ waterC: [0, 60], phosphorusMmolPerL: [0, 500], ammoniumMmolPerL: [0, 500] },
    ...{ targetPh: [PH_RANGE.least, PH_RANGE.greatest], massPercent: [0.1, 100], densityGPerMl: [0.5, 3] },
  });
  const alkalinityMeqPerL = wish.alkalinityMgCaco3PerL / MG_CACO3_PER_MEQ;
  const { waterC = 25, phosphorusMmolPerL = 0, ammoniumMmolPerL = 0 } = wish;
  const titratedMeqPerL =
    phosphorusMmolPerL *
    (equivalentsPerMole("phosphoric", clampPh(wish.ph)) - equivalentsPerMole("phosphoric", TITRATED_TO_PH));
  const carbonateAlkalinityMeqPerL = alkalinityMeqPerL - waterChargeMeqPerL(wish.ph, waterC) - titratedMeqPerL;
  if (carbonateAlkalinityMeqPerL < 0 || wish.ph > PH_RANGE.greatest) return "not-carbonate";
  const water: TankBuffer = {
    ...{ ph: wish.ph, carbonateAlkalinityMeqPerL, phosphorusMmolPerL, ammoniumMmolPerL, waterC },
  };
  const byPh = Math.max(0, acidMeqPerL(water, wish.targetPh));
  const byLeave = wish.leaveMeqPerL === null ? null : Math.max(0, alkalinityMeqPerL - wish.leaveMeqPerL);
  const takesLeave = byLeave !== null && byLeave < byPh;
  const meqPerL = takesLeave ? byLeave : byPh;
  const now = phAfterAcid(water, meqPerL);
  const phNow = now === "past-range" ? wish.targetPh : now;
  const leftMeqPerL = alkalinityMeqPerL - meqPerL;
  const mmolPerL = meqPerL / equivalentsPerMole(wish.acid, phNow);
  const nutrient = BRINGS[wish.acid];
  const element = nutrient === "NO3-N" ? "N" : nutrient;
  return {
    meqPerL,
    by: meqPerL === 0 ? "none" : takesLeave ? "leave" : "ph",
    otherMeqPerL: byLeave === null ? null : takesLeave ? byPh : byLeave,
    per1000L: acidAmount(wish.acid, meqPerL * 1000, phNow, wish.massPercent, wish.densityGPerMl),
    phNow,
    phLater: aeratedPh(alkalinityMeqPerL, wish.acid, mmolPerL, waterC),
    leftMeqPerL,
    openMeqPerL: Math.max(0, alkalinityMeqPerL - aeratedTotal(wish.targetPh, waterC)),
    addsMgPerL: nutrient && element ? { nutrient, mgPerL: mmolPerL * WEIGHT[element] } : null,
  };
}

const aeratedTotal = (ph: number, waterC: number) =>
  aeratedAlkalinityMeqPerL(ph, waterC) + waterChargeMeqPerL(ph, waterC);

/** pH of acidified water once it is in balance with the air; what the acid left behind buffers too. */
function aeratedPh(alkalinityMeqPerL: number, acid: TankAcid, mmolPerL: number, waterC: number): number {
  const { least, greatest } = PH_RANGE;
  const tooMuch = (ph: number) =>
    aeratedTotal(ph, waterC) + mmolPerL * equivalentsPerMole(acid, ph) - alkalinityMeqPerL;
  if (tooMuch(least) > 0) return least;
  if (tooMuch(greatest) < 0) return greatest;
  return riseToZero(least, greatest, tooMuch);
}

/** An acid of the order with how much of it. */
export interface AcidShare {
  readonly acid: TankAcid;
  readonly meqPerL: number;
}

/**
 * Acids one after the other: each as far as the recipe has room for what it brings, citric acid for all that is left.
 *
 * @param roomMgPerL what may still be added of N, P and S; what is not told has room
 * @param order the acids that are at hand, the first one first
 * @returns the shares, and what no acid of the order could take
 * @source conservation of mass
 */
export function acidsWithin(
  meqPerL: number,
  order: readonly TankAcid[],
  roomMgPerL: Readonly<Partial<Record<"NO3-N" | "P" | "S", number>>>,
  targetPh: number,
): { readonly shares: readonly AcidShare[]; readonly leftMeqPerL: number } {
  requireRange("acidsWithin", "meqPerL", meqPerL, 0, 100);
  requireRange("acidsWithin", "targetPh", targetPh, PH_RANGE.least, PH_RANGE.greatest);
  const shares: AcidShare[] = [];
  let left = meqPerL;
  for (const acid of order) {
    const nutrient = BRINGS[acid];
    const room = nutrient ? (roomMgPerL[nutrient] ?? Infinity) : Infinity;
    const element = nutrient === "NO3-N" ? "N" : nutrient;
    const most = element ? (Math.max(0, room) / WEIGHT[element]) * equivalentsPerMole(acid, targetPh) : Infinity;
    const share = Math.min(left, most);
    if (share > 1e-9) shares.push({ acid, meqPerL: share });
    left -= share;
  }
  return { shares, leftMeqPerL: Math.max(0, left) };
}
