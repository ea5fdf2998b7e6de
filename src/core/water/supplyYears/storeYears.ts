import { OUTSIDE } from "../../place/climate/climateYear";
import { houseEt0 } from "../../place/climate/houseAir";
import { measuredDay, normalDay, type ClimateNormals } from "../../place/climate/normals";
import type { WeatherDay } from "../../place/climate/weatherFile";
import { civilDate, requireDay, type Day } from "../../units/day";
import { requireEach, requireWhole } from "../../units/range";
import { rainInflowL, type RainNormals } from "../rainInflow";
import { requireSupply, type WaterSource, type WaterStore } from "../supply";
import { firstShortDay, leastStoreL } from "./leastStore";
import { drawnYears } from "./drawnYears";
import { temperatureYears, type TemperatureYear } from "./temperatureYears";
import { MONTH_STARTS, weatherYears, YEAR_DAYS } from "./weatherYears";

/** A plan's water in simulated years of weather. */
export interface StoreYears {
  readonly from: Day;
  /** Litres wanted on each day ahead. */
  readonly needL: readonly number[];
  readonly sources: readonly WaterSource[];
  readonly store: WaterStore;
  readonly rain: RainNormals;
  /** Of each day's need, what follows the weather; without the climate none does. */
  readonly byClimateL?: readonly number[];
  readonly normals?: ClimateNormals | null;
  /** Daily weather as it was imported: with five whole years of each month the years are drawn from it. */
  readonly measured?: readonly WeatherDay[];
  readonly years: number;
  readonly seed: number;
}

export interface StoreYearsAnswer {
  readonly years: number;
  /** Where the years come from; answers of before were simulated. */
  readonly from?: "simulated" | "measured";
  /** Whether what plants drink followed the weather of each year. */
  readonly needFollows?: boolean;
  /** In how many of them the present store carries the plan without a day short. */
  readonly carried: number;
  /** The least store that carries 90 % of them, in steps; null: none up to the largest looked at. */
  readonly leastL: number | null;
  readonly mostLookedAtL: number;
  /** Days from the first to the first short one in the worst tenth of the years; null: none is short in that many. */
  readonly firstShortDay: number | null;
}

export const RELIABILITY = 0.9;
/** A store is sold in steps. */
const STEP_L = 100;
/** No larger one is looked at than ten times the present one, or what the whole plan needs. */
const MOST_TIMES = 10;
const LEAST_MOST_L = 20_000;
/** Of the work, drawing the weather. */
const DRAWN_SHARE = 0.2;

/** Day of a year of 365 days, 0–364; the leap day counts with the one before. */
function dayOfYear(day: Day): number {
  const { month, dayOfMonth } = civilDate(day);
  return (MONTH_STARTS[month - 1]! + Math.min(dayOfMonth, month === 2 ? 28 : 31) - 1) % YEAR_DAYS;
}

/**
 * In how many simulated years the store carries the plan, and how large it would have to be for 90 % of them. Sources that
 * come before rain spare the store, those after it fill what it lacks, each up to its daily limit.
 *
 * @param watch told how far it is, 0–1; stops it by an exception
 * @throws RangeError when a figure is outside its range
 * @source weatherYears; day-by-day storage as storageDay
 */
export function storeYears(given: StoreYears, watch: (share: number) => void = () => undefined): StoreYearsAnswer {
  const { from, needL, sources, store, years } = given;
  requireDay("storeYears", "from", from);
  requireWhole("storeYears", "days", needL.length, 1, 600);
  requireWhole("storeYears", "years", years, 1, 10_000);
  requireEach("storeYears", "needL", needL, 0);
  if (given.byClimateL) requireEach("storeYears", "byClimateL", given.byClimateL, 0);
  requireSupply("storeYears", sources, store);
  const rains = sources.filter(({ kind }) => kind === "rain");
  const first = Math.min(...rains.map(({ priority }) => priority), Infinity);
  const limit = (isBefore: boolean) =>
    sources.reduce(
      (sum, { kind, priority, limitLpd }) => sum + (kind !== "rain" && priority < first === isBefore ? limitLpd : 0),
      0,
    );
  const [beforeL, afterL] = [limit(true), limit(false)];
  const roofAreaM2 = rains.reduce((sum, one) => sum + one.roofAreaM2, 0);
  const weather = weatherOf(given);
  watch(DRAWN_SHARE / 2);
  const seasons = seasonsOf(given, weather, roofAreaM2, beforeL);
  watch(DRAWN_SHARE);
  const shortDay = ({ inflowL, drawL }: DrawnSeason, capacityL: number) =>
    firstShortDay({ inflowL, drawL, othersLpd: afterL }, capacityL, Math.min(store.storedL, capacityL));
  const wanted = Math.ceil(RELIABILITY * years - 1e-9);
  const carried = (capacityL: number) => seasons.filter((season) => shortDay(season, capacityL) === null).length;
  const total = needL.reduce((sum, litres) => sum + litres, 0);
  const mostL = Math.ceil(Math.max(LEAST_MOST_L, MOST_TIMES * store.capacityL, Math.min(total, 1e8)) / STEP_L) * STEP_L;
  const leastL = leastStoreL(carried, wanted, STEP_L, mostL, (share) => watch(DRAWN_SHARE + (1 - DRAWN_SHARE) * share));
  const shorts = seasons.map((season) => shortDay(season, store.capacityL) ?? Infinity).sort((a, b) => a - b);
  const worstTenth = shorts[Math.max(0, years - wanted)]!;
  return {
    years,
    from: weather.from,
    needFollows: weather.et0Shares !== null,
    carried: shorts.filter((day) => day === Infinity).length,
    leastL,
    mostLookedAtL: mostL,
    firstShortDay: Number.isFinite(worstTenth) ? worstTenth : null,
  };
}

interface DrawnWeather {
  readonly from: "simulated" | "measured";
  readonly rainMm: readonly Float32Array[];
  /** ET0 of each day as a share of that of a normal one; null where the temperatures of the place are not told. */
  readonly et0Shares: readonly Float32Array[] | null;
}

/** Two years more than seasons: one that begins late in a year goes on into the next, and the one after. */
function weatherOf({ rain, normals = null, measured = [], years, seed }: StoreYears): DrawnWeather {
  const count = years + 2;
  const drawn = drawnYears(measured, count, seed);
  const rainMm = drawn ? drawn.map((year) => year.rainMm) : weatherYears(rain, count, seed);
  const temperatures = drawn ?? (normals ? temperatureYears(normals, rainMm, rain.wetDaysByMonth, seed) : null);
  return {
    from: drawn ? "measured" : "simulated",
    rainMm,
    et0Shares: normals && temperatures ? et0Shares(normals, temperatures) : null,
  };
}

/** Days whose temperatures differ by less drink alike, °C. */
const ALIKE_C = 0.5;
/** Steps of that, up and down from 0 °C, that a temperature can be. */
const STEPS = 256;

/** What grass drinks outside on each day of each year, as a share of what it drinks on that day of a normal one. */
function et0Shares(normals: ClimateNormals, years: readonly TemperatureYear[]): Float32Array[] {
  const usual = Array.from({ length: YEAR_DAYS }, (_, at) => {
    const day = normalDay(normals, at + 1);
    return { day, mm: houseEt0(OUTSIDE, day, normals.elevationM)!.mmPerDay };
  });
  const known = new Map<number, number>();
  const stepOf = (airC: number) => Math.round(airC / ALIKE_C);
  const share = (at: number, high: number, low: number) => {
    const key = (at * 2 * STEPS + high + STEPS) * 2 * STEPS + low + STEPS;
    const found = known.get(key);
    if (found !== undefined) return found;
    const { day, mm } = usual[at]!;
    const measured = {
      ...{ highestC: high * ALIKE_C, lowestC: Math.min(high, low) * ALIKE_C, radiationMjPerM2: null },
      ...{ humidity: day.humidity, windMPerS: day.windAt2MMPerS },
    };
    const outside = measuredDay(normals, measured, at + 1);
    const made = mm > 0 ? houseEt0(OUTSIDE, outside, normals.elevationM)!.mmPerDay / mm : 1;
    known.set(key, made);
    return made;
  };
  return years.map(({ highestC, lowestC }) =>
    Float32Array.from({ length: YEAR_DAYS }, (_, at) => share(at, stepOf(highestC[at]!), stepOf(lowestC[at]!))),
  );
}

interface DrawnSeason {
  readonly inflowL: Float32Array;
  readonly drawL: ArrayLike<number>;
}

/** What each season brings and draws, litres a day: from the plan's first day on through as many years as it takes. */
function seasonsOf(
  { from, needL, byClimateL, years }: StoreYears,
  { rainMm, et0Shares: shares }: DrawnWeather,
  roofAreaM2: number,
  beforeL: number,
): DrawnSeason[] {
  const start = dayOfYear(from);
  const usual = needL.map((litres) => Math.max(0, litres - beforeL));
  return Array.from({ length: years }, (_, year) => {
    const on = (values: readonly Float32Array[], offset: number) => {
      const at = start + offset;
      return values[year + Math.floor(at / YEAR_DAYS)]![at % YEAR_DAYS]!;
    };
    const inflowL = Float32Array.from({ length: needL.length }, (_day, offset) => {
      const mm = on(rainMm, offset);
      return mm > 0 ? rainInflowL(mm, roofAreaM2) : 0;
    });
    // What other sources give before the store is not left for it.
    const drawL =
      shares && byClimateL
        ? Float32Array.from(needL, (litres, offset) =>
            Math.max(0, litres + (byClimateL[offset] ?? 0) * (on(shares, offset) - 1) - beforeL),
          )
        : usual;
    return { inflowL, drawL };
  });
}
