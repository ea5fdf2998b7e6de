import { requireFigures, requireRange } from "../units/range";

const KELVIN_AT_0_C = 273.15;
/** Further than this the equation does not go. */
export const GREATEST_OXYGEN_C = 40;
const RANGES = { waterC: [0, GREATEST_OXYGEN_C], heightM: [-450, 5500] } as const;

/** Air pressure at a height, atm. @source standard atmosphere */
export function pressureAtm(heightM: number): number {
  requireRange("pressureAtm", "heightM", heightM, RANGES.heightM[0], RANGES.heightM[1]);
  return (1 - 2.25577e-5 * heightM) ** 5.25588;
}

/**
 * Oxygen that fresh water holds in balance with the air. What a feed holds dissolved lowers it by less than 1 %.
 *
 * @param waterC temperature, 0–40 °C
 * @param heightM over the sea
 * @returns mg/L
 * @throws RangeError when a figure is outside its range
 * @source Benson and Krause 1984, Limnology and Oceanography 29; pressure by its θ and vapour pressure
 */
export function oxygenHeldMgPerL(waterC: number, heightM: number): number {
  requireFigures("oxygenHeldMgPerL", { waterC, heightM }, RANGES);
  const kelvin = waterC + KELVIN_AT_0_C;
  const atSea = Math.exp(
    -139.34411 + 1.575701e5 / kelvin - 6.642308e7 / kelvin ** 2 + 1.2438e10 / kelvin ** 3 - 8.621949e11 / kelvin ** 4,
  );
  const pressure = pressureAtm(heightM);
  const vapour = Math.exp(11.8571 - 3840.7 / kelvin - 216961 / kelvin ** 2);
  const theta = 0.000975 - 1.426e-5 * waterC + 6.436e-8 * waterC ** 2;
  const at = (atm: number) => (1 - vapour / atm) * (1 - theta * atm) * atm;
  return (atSea * at(pressure)) / at(1);
}
