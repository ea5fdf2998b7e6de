import { requireRange } from "../units/range";

/** Dissociation of carbonic acid and of water, and what air gives to water: log10, at 25 °C. */
const AT_25_C = { pK1: 6.35, pK2: 10.33, pKw: 14, logKH: -1.47 } as const;
export type CarbonateConstants = Readonly<Record<keyof typeof AT_25_C, number>>;

const REFERENCE_C = 25;
const KELVIN = 273.15;

/** The change of each with temperature. */
function logConstants(kelvin: number): CarbonateConstants {
  const log = Math.log10(kelvin);
  return {
    pK1: 356.3094 + 0.06091964 * kelvin - 21834.37 / kelvin - 126.8339 * log + 1684915 / kelvin ** 2,
    pK2: 107.8871 + 0.03252849 * kelvin - 5151.79 / kelvin - 38.92561 * log + 563713.9 / kelvin ** 2,
    pKw: 283.971 + 0.05069842 * kelvin - 13323 / kelvin - 102.24447 * log + 1119669 / kelvin ** 2,
    logKH: 108.3865 + 0.01985076 * kelvin - 6919.53 / kelvin - 40.45154 * log + 669365 / kelvin ** 2,
  };
}
const REFERENCE = logConstants(REFERENCE_C + KELVIN);
let last: { readonly waterC: number; readonly constants: CarbonateConstants } = {
  waterC: REFERENCE_C,
  constants: AT_25_C,
};

/**
 * The constants of the carbonate system at a temperature: those of 25 °C, moved by what the temperature changes.
 *
 * @param waterC 0–60 °C
 * @returns pK1, pK2, pKw and log10 of Henry's constant in mol/L·atm
 * @throws RangeError for a temperature outside 0–60
 * @source Plummer and Busenberg 1982; water by Nordstrom and others 1990; values at 25 °C of tests/reference/feed/acid.json
 * @example carbonateAt(25).pK1 // 6.35
 */
export function carbonateAt(waterC: number): CarbonateConstants {
  requireRange("carbonateAt", "waterC", waterC, 0, 60);
  if (last.waterC === waterC) return last.constants;
  const here = logConstants(waterC + KELVIN);
  const moved = (name: keyof CarbonateConstants) => AT_25_C[name] + here[name] - REFERENCE[name];
  const constants = { pK1: moved("pK1"), pK2: moved("pK2"), pKw: moved("pKw"), logKH: moved("logKH") };
  last = { waterC, constants };
  return constants;
}

/** Charge that a mole of carbonate carries, all its forms together, at a pH: α1 + 2·α2. */
export function carbonateCharge(ph: number, waterC: number = REFERENCE_C): number {
  requireRange("carbonateCharge", "ph", ph, 0, 14);
  const { pK1, pK2 } = carbonateAt(waterC);
  const [first, second] = [10 ** (ph - pK1), 10 ** (2 * ph - pK1 - pK2)];
  return (first + 2 * second) / (1 + first + second);
}

/** Charge of water itself, meq/L: hydroxide less hydrogen. */
export function waterChargeMeqPerL(ph: number, waterC: number = REFERENCE_C): number {
  requireRange("waterChargeMeqPerL", "ph", ph, 0, 14);
  return 1000 * (10 ** (ph - carbonateAt(waterC).pKw) - 10 ** -ph);
}
