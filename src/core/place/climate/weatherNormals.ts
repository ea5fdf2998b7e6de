import { civilDate, daysInMonth } from "../../units/day";
import type { WeatherDay } from "./weatherFile";

/** What a month was like over the days that are known of it. */
export interface WeatherMonth {
  readonly days: number;
  readonly highestC: number;
  readonly lowestC: number;
  /** 0–1; null where it was not measured on most days. */
  readonly humidity: number | null;
  readonly windMPerS: number | null;
  /** Of the whole month. */
  readonly rainMm: number | null;
  readonly wetDays: number | null;
}

/** With fewer days a month says nothing. */
const FEWEST_DAYS = 20;
/** Less is dew. @source World Meteorological Organization, climatological normals: a day of rain has 0.1 mm or more */
const WET_MM = 0.1;

/**
 * Means of imported days by month, January first; null for a month of fewer than 20 days.
 * @param days in any order
 */
export function weatherNormals(days: readonly WeatherDay[]): readonly (WeatherMonth | null)[] {
  const byMonth: WeatherDay[][] = Array.from({ length: 12 }, () => []);
  for (const day of days) byMonth[civilDate(day.day).month - 1]!.push(day);
  return byMonth.map((own, index) => {
    if (own.length < FEWEST_DAYS) return null;
    const length = daysInMonth(2027, index + 1);
    const mean = (of: (day: WeatherDay) => number | null) => {
      const known = own.map(of).filter((value) => value !== null);
      return known.length < FEWEST_DAYS ? null : known.reduce((sum, value) => sum + value, 0) / known.length;
    };
    const inMonth = (perDay: number | null) => (perDay === null ? null : perDay * length);
    const percent = mean(({ humidityPercent }) => humidityPercent);
    return {
      days: own.length,
      highestC: mean(({ highestC }) => highestC)!,
      lowestC: mean(({ lowestC }) => lowestC)!,
      humidity: percent === null ? null : percent / 100,
      windMPerS: mean(({ windMPerS }) => windMPerS),
      rainMm: inMonth(mean(({ rainMm }) => rainMm)),
      wetDays: inMonth(mean(({ rainMm }) => (rainMm === null ? null : rainMm >= WET_MM ? 1 : 0))),
    };
  });
}
