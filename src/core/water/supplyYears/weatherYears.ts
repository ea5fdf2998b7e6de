import { randomGamma, randomLcg } from "d3-random";
import { requireEach, requireRange, requireWhole } from "../../units/range";
import { LEAST_WET_DAYS, type RainNormals } from "../rainInflow";

/** Days of months in a year of 365 days. */
const MONTH_DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const;
export const YEAR_DAYS = 365;
/** Where each month begins in such a year, counted from 0, and where the year ends. */
export const MONTH_STARTS: readonly number[] = [0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334, YEAR_DAYS];

/** A day after a dry one is wet with this share of the mean chance; after a wet one with so much more. */
const AFTER_DRY_SHARE = 0.75;
/** Scale of the amounts from their mean, mm. */
const SCALE_OFFSET_MM = -2.16;
const SCALE_SLOPE = 1.83;
/** Amounts are spread at least a little. */
const LEAST_SCALE_SHARE = 0.2;

interface MonthRain {
  readonly afterDry: number;
  readonly afterWet: number;
  /** Shape and scale of a wet day's amount; null: no rain falls. */
  readonly amount: { readonly shape: number; readonly scaleMm: number } | null;
}

/**
 * Years of daily rain, by a chain of wet and dry days with gamma amounts, so that wet days and rain of each month come to its
 * normals in the long run. The same seed gives the same years.
 *
 * @param rain monthly normals of the place
 * @param years 1–10 000
 * @param seed any whole number
 * @returns for each year 365 days of rain, mm, January first
 * @throws RangeError when a figure is outside its range
 * @source Geng, Penning de Vries and Supit 1986, Agric. Forest Meteorol. 36: P(wet | dry) = 0.75·f, P(wet | wet) = 0.25 + 0.75·f
 *   for the share f of wet days; scale = −2.16 + 1.83 × mean, shape = mean ÷ scale
 */
export function weatherYears(rain: RainNormals, years: number, seed: number): Float32Array[] {
  requireWhole("weatherYears", "years", years, 1, 10_000);
  requireWhole("weatherYears", "seed", seed, 0, 2 ** 31);
  requireEach("weatherYears", "rainMmByMonth", rain.rainMmByMonth, 0, 20_000);
  requireEach("weatherYears", "wetDaysByMonth", rain.wetDaysByMonth, 0, 31);
  requireRange("weatherYears", "months", rain.rainMmByMonth.length, 12, 12);
  requireRange("weatherYears", "months", rain.wetDaysByMonth.length, 12, 12);
  const months = MONTH_DAYS.map((days, month) => monthRain(rain, month, days));
  // Seeds near one another would begin alike.
  const random = randomLcg((Math.imul(seed + 1, 2_654_435_761) >>> 0) / 2 ** 32);
  const draws = months.map(({ amount }) =>
    amount ? randomGamma.source(random)(amount.shape, amount.scaleMm) : () => 0,
  );
  let wasWet = false;
  return Array.from({ length: years }, () => {
    const days = new Float32Array(YEAR_DAYS);
    let at = 0;
    months.forEach(({ afterDry, afterWet }, month) => {
      for (let day = 0; day < MONTH_DAYS[month]!; day++) {
        wasWet = random() < (wasWet ? afterWet : afterDry);
        days[at++] = wasWet ? draws[month]!() : 0;
      }
    });
    return days;
  });
}

function monthRain({ rainMmByMonth, wetDaysByMonth }: RainNormals, month: number, days: number): MonthRain {
  const wetShare = Math.min(1, wetDaysByMonth[month]! / days);
  const meanMm = wetDaysByMonth[month]! >= LEAST_WET_DAYS ? rainMmByMonth[month]! / wetDaysByMonth[month]! : 0;
  if (wetShare === 0 || meanMm === 0) return { afterDry: 0, afterWet: 0, amount: null };
  const afterDry = AFTER_DRY_SHARE * wetShare;
  const scaleMm = Math.max(LEAST_SCALE_SHARE * meanMm, SCALE_OFFSET_MM + SCALE_SLOPE * meanMm);
  return { afterDry, afterWet: 1 - AFTER_DRY_SHARE + afterDry, amount: { shape: meanMm / scaleMm, scaleMm } };
}
