import { randomLcg } from "d3-random";
import type { WeatherDay } from "../../place/climate/weatherFile";
import { civilDate, daysInMonth } from "../../units/day";
import { requireWhole } from "../../units/range";
import { YEAR_DAYS } from "./weatherYears";

/** With fewer years of a month the draw would say the same again and again. */
export const FEWEST_YEARS = 5;

/** A year of weather, day by day, 1 January first, the leap day left out. */
export interface WeatherYear {
  readonly rainMm: Float32Array;
  readonly highestC: Float32Array;
  readonly lowestC: Float32Array;
}

/** The months of imported days that are whole, rain included, by the month. */
export function wholeMonths(days: readonly WeatherDay[]): readonly (readonly (readonly WeatherDay[])[])[] {
  const found = new Map<string, WeatherDay[]>();
  for (const day of days) {
    const { year, month } = civilDate(day.day);
    const key = `${year} ${month}`;
    const own = found.get(key);
    if (own) own.push(day);
    else found.set(key, [day]);
  }
  const byMonth: WeatherDay[][][] = Array.from({ length: 12 }, () => []);
  for (const [key, own] of found) {
    const [year, month] = key.split(" ").map(Number) as [number, number];
    const isWhole = own.length === daysInMonth(year, month) && own.every(({ rainMm }) => rainMm !== null);
    if (isWhole) byMonth[month - 1]!.push(own.sort((a, b) => a.day - b.day));
  }
  return byMonth;
}

/**
 * Years put together from whole calendar months as they were measured, each drawn from all its years.
 *
 * @param days as imported
 * @param years 1–10 000
 * @returns null where any month was measured whole in fewer than five years
 * @throws RangeError when a count is outside its range
 * @source resampling by calendar month, which keeps spells and extremes within a month
 */
export function drawnYears(days: readonly WeatherDay[], years: number, seed: number): WeatherYear[] | null {
  requireWhole("drawnYears", "years", years, 1, 10_000);
  requireWhole("drawnYears", "seed", seed, 0, 2 ** 31);
  const months = wholeMonths(days);
  if (months.some((own) => own.length < FEWEST_YEARS)) return null;
  const random = randomLcg((Math.imul(seed + 1, 2_654_435_761) >>> 0) / 2 ** 32);
  return Array.from({ length: years }, () => {
    const year = {
      rainMm: new Float32Array(YEAR_DAYS),
      highestC: new Float32Array(YEAR_DAYS),
      lowestC: new Float32Array(YEAR_DAYS),
    };
    let at = 0;
    for (const own of months) {
      const drawn = own[Math.min(own.length - 1, Math.floor(random() * own.length))]!;
      for (const day of drawn) {
        if (isLeapDay(day)) continue;
        year.rainMm[at] = day.rainMm!;
        year.highestC[at] = day.highestC;
        year.lowestC[at] = day.lowestC;
        at += 1;
      }
    }
    return year;
  });
}

function isLeapDay({ day }: WeatherDay): boolean {
  const { month, dayOfMonth } = civilDate(day);
  return month === 2 && dayOfMonth === 29;
}
