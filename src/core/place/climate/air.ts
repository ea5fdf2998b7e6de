import { requireRange } from "../../units/range";

/** Air is nowhere colder or hotter, outside or in a house. */
export const COLDEST_C = -70;
export const HOTTEST_C = 70;
/** More vapour than air at 54 °C can hold is in no house where plants live; kPa. */
export const MOST_VAPOUR_KPA = 15;

/** Saturation vapour pressure, kPa. @source FAO-56, equation 11 */
export function saturationKpa(airC: number): number {
  requireRange("saturationKpa", "airC", airC, COLDEST_C, HOTTEST_C);
  return 0.6108 * Math.exp((17.27 * airC) / (airC + 237.3));
}

/** How the saturation vapour pressure grows with temperature, kPa/°C. @source FAO-56, equation 13 */
export function saturationSlope(airC: number): number {
  return (4098 * saturationKpa(airC)) / (airC + 237.3) ** 2;
}

/** Mean of the saturation vapour pressures at the highest and the lowest temperature, kPa. @source FAO-56, equation 12 */
export function meanSaturationKpa(highestC: number, lowestC: number): number {
  return (saturationKpa(highestC) + saturationKpa(lowestC)) / 2;
}

/**
 * Vapour pressure from the humidities of a day, kPa: the highest belongs to the lowest temperature.
 * @param highestRh, lowestRh shares, 0–1
 * @source FAO-56, equation 17
 */
export function vapourPressureKpa(highestC: number, lowestC: number, highestRh: number, lowestRh: number): number {
  requireRange("vapourPressureKpa", "highestRh", highestRh, 0, 1);
  requireRange("vapourPressureKpa", "lowestRh", lowestRh, 0, 1);
  return (saturationKpa(lowestC) * highestRh + saturationKpa(highestC) * lowestRh) / 2;
}

/** Pressure of the air at a height over the sea, kPa. @source FAO-56, equation 7 */
export function airPressureKpa(elevationM: number): number {
  requireRange("airPressureKpa", "elevationM", elevationM, -500, 6000);
  return 101.3 * ((293 - 0.0065 * elevationM) / 293) ** 5.26;
}

/** Psychrometric constant, kPa/°C. @source FAO-56, equation 8 */
export function psychrometricKpaPerC(pressureKpa: number): number {
  requireRange("psychrometricKpaPerC", "pressureKpa", pressureKpa, 30, 120);
  return 0.000665 * pressureKpa;
}

/** Wind at 2 m from wind measured higher, m/s. @source FAO-56, equation 47 */
export function windAt2M(windMPerS: number, heightM: number): number {
  requireRange("windAt2M", "windMPerS", windMPerS, 0, 100);
  requireRange("windAt2M", "heightM", heightM, 0.5, 200);
  return (windMPerS * 4.87) / Math.log(67.8 * heightM - 5.42);
}
