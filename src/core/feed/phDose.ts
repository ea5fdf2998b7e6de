import { requireRange } from "../units/range";
import { riseToZero } from "./scaleToEc";

/** Constants at 25 °C. */
const PK1 = 6.35;
const PK2 = 10.33;
const PKW = 14;
const PK_PHOSPHATE = [2.15, 7.2, 12.35] as const;
const PK_AMMONIUM = 9.25;
const LOG_KH = -1.47;
const AIR_PCO2_ATM = 420e-6;

/** What buffers a tank. mmol/L and meq/L. */
export interface TankBuffer {
  readonly ph: number;
  readonly carbonateAlkalinityMeqPerL: number;
  readonly phosphorusMmolPerL: number;
  readonly ammoniumMmolPerL: number;
}

/**
 * Milliequivalents of acid per litre that move a closed tank from its pH to a target: the whole charge balance of
 * carbonate, phosphate, ammonium and water. Negative when base is needed.
 *
 * @throws RangeError when a pH is outside 3–10 or an amount is negative
 * @source carbonate system; Stumm and Morgan, Aquatic Chemistry, ch. 4; tests/reference/feed/correction.json
 */
export function acidMeqPerL(tank: TankBuffer, targetPh: number): number {
  requireRange("acidMeqPerL", "ph", tank.ph, 3, 10);
  requireRange("acidMeqPerL", "targetPh", targetPh, 3, 10);
  requireRange("acidMeqPerL", "carbonateAlkalinityMeqPerL", tank.carbonateAlkalinityMeqPerL, 0, 50);
  const carbonateMmolPerL = tank.carbonateAlkalinityMeqPerL / carbonateCharge(tank.ph);
  const charge = (ph: number) =>
    carbonateMmolPerL * carbonateCharge(ph) +
    tank.phosphorusMmolPerL * phosphateCharge(ph) +
    tank.ammoniumMmolPerL * ammoniaShare(ph) +
    1000 * (10 ** (ph - PKW) - 10 ** -ph);
  return charge(tank.ph) - charge(targetPh);
}

/** pH after an amount of acid (meq/L), the same balance the other way round. */
export function phAfterAcid(tank: TankBuffer, meqPerL: number): number {
  return riseToZero(3, 10, (ph) => meqPerL - acidMeqPerL(tank, ph));
}

/**
 * Carbonate alkalinity of water in balance with the air at a pH: KH·pCO2·(K1/[H] + 2K1K2/[H]²). An aerated tank is
 * near it; still water from a hard source holds more.
 */
export function aeratedAlkalinityMeqPerL(ph: number): number {
  const co2MmolPerL = 1000 * 10 ** LOG_KH * AIR_PCO2_ATM;
  return co2MmolPerL * (10 ** (ph - PK1) + 2 * 10 ** (2 * ph - PK1 - PK2));
}

/** Acids for tanks. Phosphoric gives 1 + [HPO4]/([H2PO4] + [HPO4]) equivalents a mole, by the target pH. */
export type TankAcid = "phosphoric" | "nitric" | "citric";

/** Millilitres (grams for citric acid, a solid) of an acid for a number of equivalents. */
export function acidAmount(
  acid: TankAcid,
  meq: number,
  targetPh: number,
  massPercent = 75,
  densityGPerMl = 1.579,
): number {
  switch (acid) {
    case "phosphoric":
      return meq / (((10 * massPercent * densityGPerMl) / 98) * phosphateCharge(targetPh));
    case "nitric":
      return meq / ((10 * massPercent * densityGPerMl) / 63.01);
    case "citric":
      return (meq * 192.12) / 1000 / citricCharge(targetPh);
  }
}

/** Grams of potassium bicarbonate for a number of milliequivalents of base. */
export function bicarbonateG(meq: number): number {
  return (meq * 100.115) / 1000;
}

function carbonateCharge(ph: number): number {
  const [first, second] = [10 ** (ph - PK1), 10 ** (2 * ph - PK1 - PK2)];
  return (first + 2 * second) / (1 + first + second);
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
