import { requireRange, requireEach, requireWhole } from "../units/range";

/** Share of the rain on a roof that reaches the pipe, and the first of it that only washes the roof. */
export const RUNOFF_SHARE = 0.85;
export const FIRST_FLUSH_MM = 1;

/**
 * Litres from a roof on a wet day: area × max(0, 0.85 × rain − 1 mm).
 * @param rainMm rain of the day, mm
 * @param roofAreaM2 roof in plan, m²
 * @source tests/reference/water/storage.json, rainInflow
 * @example rainInflowL(10, 20) // 150
 */
export function rainInflowL(rainMm: number, roofAreaM2: number): number {
  requireRange("rainInflowL", "rainMm", rainMm, 0);
  requireRange("rainInflowL", "roofAreaM2", roofAreaM2, 0);
  return roofAreaM2 * Math.max(0, RUNOFF_SHARE * rainMm - FIRST_FLUSH_MM);
}

/** A month with fewer of them, in the mean of the years, counts as dry. */
export const LEAST_WET_DAYS = 0.01;

/** Monthly normals of rain: millimetres and wet days, January first. */
export interface RainNormals {
  readonly rainMmByMonth: readonly number[];
  readonly wetDaysByMonth: readonly number[];
}

/**
 * Litres a roof brings on an average day of a month: each wet day by `rainInflowL` at the month's mean wet-day
 * rain, spread evenly over the month.
 * @param month 1–12
 */
export function meanRainInflowL(normals: RainNormals, month: number, daysInMonth: number, roofAreaM2: number): number {
  requireWhole("meanRainInflowL", "month", month, 1, 12);
  requireWhole("meanRainInflowL", "daysInMonth", daysInMonth, 28, 31);
  requireRange("meanRainInflowL", "roofAreaM2", roofAreaM2, 0);
  requireEach("meanRainInflowL", "rainMmByMonth", normals.rainMmByMonth, 0, 20_000);
  requireEach("meanRainInflowL", "wetDaysByMonth", normals.wetDaysByMonth, 0, 31);
  const rainMm = normals.rainMmByMonth[month - 1] ?? 0;
  const wetDays = normals.wetDaysByMonth[month - 1] ?? 0;
  return wetDays >= LEAST_WET_DAYS ? (wetDays * rainInflowL(rainMm / wetDays, roofAreaM2)) / daysInMonth : 0;
}
