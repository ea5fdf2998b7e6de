import { civilDate, requireDay, type Day } from "../../units/day";
import { requireEach, requireWhole } from "../../units/range";
import { rainInflowL, type RainNormals } from "../rainInflow";
import { requireSupply, type WaterSource, type WaterStore } from "../supply";
import { firstShortDay, leastStoreL } from "./leastStore";
import { weatherYears, YEAR_DAYS } from "./weatherYears";

/** A plan's water in simulated years of weather. */
export interface StoreYears {
  readonly from: Day;
  /** Litres wanted on each day ahead. */
  readonly needL: readonly number[];
  readonly sources: readonly WaterSource[];
  readonly store: WaterStore;
  readonly rain: RainNormals;
  readonly years: number;
  readonly seed: number;
}

export interface StoreYearsAnswer {
  readonly years: number;
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
  const starts = [0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334];
  return (starts[month - 1]! + Math.min(dayOfMonth, month === 2 ? 28 : 31) - 1) % YEAR_DAYS;
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
  const { from, needL, sources, store, rain, years, seed } = given;
  requireDay("storeYears", "from", from);
  requireWhole("storeYears", "days", needL.length, 1, 600);
  requireWhole("storeYears", "years", years, 1, 10_000);
  requireEach("storeYears", "needL", needL, 0);
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
  // What is left for the store.
  const drawL = needL.map((litres) => Math.max(0, litres - beforeL));
  const inflows = seasonsOf(from, needL.length, weatherYears(rain, years + 2, seed), years, roofAreaM2);
  watch(DRAWN_SHARE);
  const shortDay = (inflowL: Float32Array, capacityL: number) =>
    firstShortDay({ inflowL, drawL, othersLpd: afterL }, capacityL, Math.min(store.storedL, capacityL));
  const wanted = Math.ceil(RELIABILITY * years - 1e-9);
  const carried = (capacityL: number) => inflows.filter((inflow) => shortDay(inflow, capacityL) === null).length;
  const total = needL.reduce((sum, litres) => sum + litres, 0);
  const mostL = Math.ceil(Math.max(LEAST_MOST_L, MOST_TIMES * store.capacityL, Math.min(total, 1e8)) / STEP_L) * STEP_L;
  const leastL = leastStoreL(carried, wanted, STEP_L, mostL, (share) => watch(DRAWN_SHARE + (1 - DRAWN_SHARE) * share));
  const shorts = inflows.map((inflow) => shortDay(inflow, store.capacityL) ?? Infinity).sort((a, b) => a - b);
  const worstTenth = shorts[Math.max(0, years - wanted)]!;
  return {
    years,
    carried: shorts.filter((day) => day === Infinity).length,
    leastL,
    mostLookedAtL: mostL,
    firstShortDay: Number.isFinite(worstTenth) ? worstTenth : null,
  };
}

/** What each simulated season brings, litres a day: from the plan's first day on through as many years as it takes. */
function seasonsOf(
  from: Day,
  days: number,
  weather: readonly Float32Array[],
  years: number,
  roofAreaM2: number,
): Float32Array[] {
  const start = dayOfYear(from);
  return Array.from({ length: years }, (_, year) =>
    Float32Array.from({ length: days }, (_day, offset) => {
      const at = start + offset;
      const rainMm = weather[year + Math.floor(at / YEAR_DAYS)]![at % YEAR_DAYS]!;
      return rainMm > 0 ? rainInflowL(rainMm, roofAreaM2) : 0;
    }),
  );
}
