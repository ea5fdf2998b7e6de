import { requireRange } from "../units/range";
import { riseToZero } from "../numeric/riseToZero";
import { carbonateAt, carbonateCharge, waterChargeMeqPerL } from "./carbonate";

/** Constants at 25 °C. */
const PK_PHOSPHATE = [2.15, 7.2, 12.35] as const;
const PK_AMMONIUM = 9.25;
const AIR_PCO2_ATM = 420e-6;

/** The pH for which the charge balance is meant. */
export const PH_RANGE = { least: 3, greatest: 10 } as const;

/** What buffers a tank. mmol/L and meq/L. */
export interface TankBuffer {
  readonly ph: number;
  readonly carbonateAlkalinityMeqPerL: number;
  readonly phosphorusMmolPerL: number;
  readonly ammoniumMmolPerL: number;
  /** 25 °C where it was not read. */
  readonly waterC?: number;
}

/**
 * Milliequivalents of acid per litre that move a closed tank from its pH to a target: the whole charge balance of
 * carbonate, phosphate, ammonium and water. Negative when base is needed.
 *
 * @throws RangeError when a pH is outside 3–10 or an amount is outside its range
 * @source carbonate system; Stumm and Morgan, Aquatic Chemistry, ch. 4; tests/reference/feed/correction.json
 */
export function acidMeqPerL(tank: TankBuffer, targetPh: number): number {
  checkTank("acidMeqPerL", tank);
  requireRange("acidMeqPerL", "targetPh", targetPh, PH_RANGE.least, PH_RANGE.greatest);
  return chargeMeqPerL(tank, tank.ph) - chargeMeqPerL(tank, targetPh);
}

function checkTank(where: string, tank: TankBuffer): void {
  requireRange(where, "ph", tank.ph, PH_RANGE.least, PH_RANGE.greatest);
  requireRange(where, "carbonateAlkalinityMeqPerL", tank.carbonateAlkalinityMeqPerL, 0, 50);
  requireRange(where, "phosphorusMmolPerL", tank.phosphorusMmolPerL, 0, 500);
  requireRange(where, "ammoniumMmolPerL", tank.ammoniumMmolPerL, 0, 500);
}

/** Negative charge of what buffers a tank, were it at another pH; the carbonate that is there stays. */
function chargeMeqPerL(tank: TankBuffer, ph: number): number {
  const { waterC } = tank;
  const carbonateMmolPerL = tank.carbonateAlkalinityMeqPerL / carbonateCharge(tank.ph, waterC);
  return (
    carbonateMmolPerL * carbonateCharge(ph, waterC) +
    tank.phosphorusMmolPerL * phosphateCharge(ph) +
    tank.ammoniumMmolPerL * ammoniaShare(ph) +
    waterChargeMeqPerL(ph, waterC)
  );
}

/**
 * pH after an amount of acid, the same balance the other way round.
 *
 * @param meqPerL of acid; negative is base, −1000 to 1000
 * @returns the pH, or "past-range" when it ends outside 3–10
 * @throws RangeError when a figure is outside its range
 */
export function phAfterAcid(tank: TankBuffer, meqPerL: number): number | "past-range" {
  checkTank("phAfterAcid", tank);
  requireRange("phAfterAcid", "meqPerL", meqPerL, -1000, 1000);
  const { least, greatest } = PH_RANGE;
  if (acidMeqPerL(tank, least) < meqPerL || acidMeqPerL(tank, greatest) > meqPerL) return "past-range";
  return riseToZero(least, greatest, (ph) => meqPerL - acidMeqPerL(tank, ph));
}

/**
 * Carbonate alkalinity of water in balance with the air at a pH: KH·pCO2·(K1/[H] + 2K1K2/[H]²). An aerated tank is
 * near it; still water from a hard source holds more.
 *
 * @throws RangeError when the pH is outside 3–10
 * @source Henry's law and the dissociation of carbonic acid at the water's temperature; tests/reference/feed/acid.json
 */
export function aeratedAlkalinityMeqPerL(ph: number, waterC = 25): number {
  requireRange("aeratedAlkalinityMeqPerL", "ph", ph, PH_RANGE.least, PH_RANGE.greatest);
  const { pK1, pK2, logKH } = carbonateAt(waterC);
  const co2MmolPerL = 1000 * 10 ** logKH * AIR_PCO2_ATM;
  return co2MmolPerL * (10 ** (ph - pK1) + 2 * 10 ** (2 * ph - pK1 - pK2));
}

/**
 * Acids for tanks as they are sold, percent by mass and g/mL; citric acid is a solid.
 * @source densities of nitric 38 %, phosphoric 75 % and sulfuric 35 % acid, docs/formulas.md
 */
export const TANK_ACIDS = {
  citric: { massPercent: 100, densityGPerMl: 1, unit: "g" },
  phosphoric: { massPercent: 75, densityGPerMl: 1.579, unit: "mL" },
  nitric: { massPercent: 38, densityGPerMl: 1.234, unit: "mL" },
  sulfuric: { massPercent: 35, densityGPerMl: 1.26, unit: "mL" },
} as const;
export type TankAcid = keyof typeof TANK_ACIDS;

/** Nitric and sulfuric acid stronger than the usual bottle: for keepers, and for hands that were trained. */
export function isForKeepers(acid: TankAcid, massPercent: number): boolean {
  requireRange("isForKeepers", "massPercent", massPercent, 0.1, 100);
  return (acid === "nitric" || acid === "sulfuric") && massPercent > TANK_ACIDS[acid].massPercent;
}

/**
 * Millilitres (grams for citric acid, a solid) of an acid for a number of equivalents. Phosphoric gives
 * 1 + [HPO4]/([H2PO4] + [HPO4]) equivalents a mole, by the target pH; sulfuric 2, nitric 1.
 *
 * @source strength eq/L = 10 · w% · density · (eq/mol) ÷ molar mass; tests/reference/feed/acid.json
 */
export function acidAmount(
  acid: TankAcid,
  meq: number,
  targetPh: number,
  massPercent: number = TANK_ACIDS[acid].massPercent,
  densityGPerMl: number = TANK_ACIDS[acid].densityGPerMl,
): number {
  requireRange("acidAmount", "meq", meq, 0);
  requireRange("acidAmount", "targetPh", targetPh, PH_RANGE.least, PH_RANGE.greatest);
  requireRange("acidAmount", "massPercent", massPercent, 0.1, 100);
  requireRange("acidAmount", "densityGPerMl", densityGPerMl, 0.5, 3);
  const grams = ((meq / 1000) * MOLAR_MASS[acid]) / equivalentsPerMole(acid, targetPh);
  return acid === "citric" ? (grams * 100) / massPercent : (grams * 100) / massPercent / densityGPerMl;
}

const MOLAR_MASS = { citric: 192.12, phosphoric: 98, nitric: 63.01, sulfuric: 98.08 } as const;

/** Equivalents that a mole of an acid gives at a pH. @example equivalentsPerMole("phosphoric", 6) // 1.06 */
export function equivalentsPerMole(acid: TankAcid, ph: number): number {
  requireRange("equivalentsPerMole", "ph", ph, PH_RANGE.least, PH_RANGE.greatest);
  switch (acid) {
    case "phosphoric":
      return phosphateCharge(ph);
    case "citric":
      return citricCharge(ph);
    case "nitric":
      return 1;
    case "sulfuric":
      return 2;
  }
}

/** Grams of potassium bicarbonate for a number of milliequivalents of base. */
export function bicarbonateG(meq: number): number {
  requireRange("bicarbonateG", "meq", meq, 0);
  return (meq * 100.115) / 1000;
}

function phosphateCharge(ph: number): number {
  return meanCharge(ph, PK_PHOSPHATE);
}

function citricCharge(ph: number): number {
  return meanCharge(ph, [3.13, 4.76, 6.4]);
}

/** Mean negative charge of a triprotic acid at a pH. */
function meanCharge(ph: number, [a, b, c]: readonly [number, number, number]): number {
  const one = 10 ** (ph - a);
  const two = one * 10 ** (ph - b);
  const three = two * 10 ** (ph - c);
  return (one + 2 * two + 3 * three) / (1 + one + two + three);
}

function ammoniaShare(ph: number): number {
  const ratio = 10 ** (ph - PK_AMMONIUM);
  return ratio / (1 + ratio);
}
