import { randomLcg, randomNormal } from "d3-random";
import { onDayOfYear, requireNormals, type ClimateNormals } from "../../place/climate/normals";
import { requireWhole } from "../../units/range";
import { MONTH_STARTS, YEAR_DAYS } from "./weatherYears";

/** A day keeps so much of how far the one before was from its normal. */
const KEPT = 0.62;
/** Spread of the days about their normal, °C. */
const SPREAD_C = 2.6;
/** On a wet day the night is warmer and the day cooler: so much of the usual swing is left. */
const WET_SWING = 0.75;
/** A month that is wet day by day has no dry days to make up for it. */
const MOST_WET_SHARE = 0.9;

export interface TemperatureYear {
  readonly highestC: Float32Array;
  readonly lowestC: Float32Array;
}

/**
 * Daily temperatures to go with years of rain: a chain of deviations around the normals, wet days with less swing between day
 * and night, dry ones with so much more that the swing of the month stays its own. The same seed gives the same years.
 *
 * @param rainYears for each year 365 days of rain, mm
 * @param wetDaysByMonth normals, January first
 * @throws RangeError for normals outside their ranges
 * @source first-order chain of Richardson 1981, Water Resources Research 17, lag one 0.62; spread and swing of wet days are ours
 */
export function temperatureYears(
  normals: ClimateNormals,
  rainYears: readonly Float32Array[],
  wetDaysByMonth: readonly number[],
  seed: number,
): TemperatureYear[] {
  requireNormals("temperatureYears", normals);
  requireWhole("temperatureYears", "seed", seed, 0, 2 ** 31);
  requireWhole("temperatureYears", "months", wetDaysByMonth.length, 12, 12);
  // Not the chain that the rain was drawn from.
  const random = randomLcg((Math.imul(seed + 77, 2_246_822_519) >>> 0) / 2 ** 32);
  const draw = randomNormal.source(random)(0, SPREAD_C * Math.sqrt(1 - KEPT ** 2));
  const days = Array.from({ length: YEAR_DAYS }, (_, at) => ({
    highestC: onDayOfYear(normals.highestCByMonth, at + 1),
    lowestC: onDayOfYear(normals.lowestCByMonth, at + 1),
  }));
  const drySwing = new Float64Array(YEAR_DAYS);
  for (let month = 0; month < 12; month++) {
    const [start, end] = [MONTH_STARTS[month]!, MONTH_STARTS[month + 1]!];
    const wet = Math.min(MOST_WET_SHARE, wetDaysByMonth[month]! / (end - start));
    drySwing.fill((1 - WET_SWING * wet) / (1 - wet), start, end);
  }
  let off = 0;
  return rainYears.map((rain) => {
    const year = { highestC: new Float32Array(YEAR_DAYS), lowestC: new Float32Array(YEAR_DAYS) };
    for (let at = 0; at < YEAR_DAYS; at++) {
      off = KEPT * off + draw();
      const { highestC, lowestC } = days[at]!;
      const half = ((highestC - lowestC) / 2) * (rain[at]! > 0 ? WET_SWING : drySwing[at]!);
      const middle = (highestC + lowestC) / 2 + off;
      year.highestC[at] = middle + half;
      year.lowestC[at] = middle - half;
    }
    return year;
  });
}
