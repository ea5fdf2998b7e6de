import { requireEach, requireFigures, requireRange, requireWhole } from "../../units/range";
import { meanSaturationKpa, MOST_VAPOUR_KPA, saturationKpa, vapourPressureKpa } from "./air";
import { clearSkyRadiation, K_RS, radiationFromTemperatures, sunOfDay } from "./sun";

/** What the weather of a place is like, month by month, January first. */
export interface ClimateNormals {
  readonly latitudeDeg: number;
  readonly elevationM: number;
  readonly nearSea: boolean;
  readonly highestCByMonth: readonly number[];
  readonly lowestCByMonth: readonly number[];
  /** Mean relative humidity, 0–1; null: not told. */
  readonly humidityByMonth: readonly number[] | null;
  readonly windMPerSByMonth: readonly number[] | null;
}

/** The weather of one day as it was measured; null: not measured. */
export interface MeasuredDay {
  readonly highestC: number;
  readonly lowestC: number;
  readonly humidity: number | null;
  readonly windMPerS: number | null;
  readonly radiationMjPerM2: number | null;
}

/** A day outside, with all that water and growth ask of it. */
export interface OutsideDay {
  readonly highestC: number;
  readonly lowestC: number;
  readonly vapourPressureKpa: number;
  /** Mean relative humidity, 0–1. */
  readonly humidity: number;
  readonly windAt2MMPerS: number;
  readonly radiationMjPerM2Day: number;
  readonly clearSkyMjPerM2Day: number;
  readonly daylightHours: number;
}

/** Wind where none is told, m/s. @source FAO-56, page 63 */
const USUAL_WIND_M_PER_S = 2;
/** Middles of the months, days of the year, January first. */
export const MIDDLES: readonly number[] = [16, 45, 75, 105, 136, 166, 197, 228, 258, 289, 319, 350];
const YEAR_DAYS = 365;

/**
 * A figure of the months on a day: from the middle of one month to that of the next in a straight line.
 * @param byMonth twelve, January first
 * @param dayOfYear 1–366
 * @example onDayOfYear([0, 0, 0, 0, 0, 10, 20, 0, 0, 0, 0, 0], 166) // 10
 */
export function onDayOfYear(byMonth: readonly number[], dayOfYear: number): number {
  requireWhole("onDayOfYear", "months", byMonth.length, 12, 12);
  requireEach("onDayOfYear", "byMonth", byMonth, -1000, 10_000);
  requireWhole("onDayOfYear", "dayOfYear", dayOfYear, 1, 366);
  const after = MIDDLES.findIndex((middle) => middle >= dayOfYear);
  const to = after < 0 ? 0 : after;
  const from = (to + 11) % 12;
  const start = MIDDLES[from]! - (MIDDLES[from]! > dayOfYear ? YEAR_DAYS : 0);
  const end = MIDDLES[to]! + (MIDDLES[to]! < dayOfYear ? YEAR_DAYS : 0);
  const share = (dayOfYear - start) / (end - start);
  return byMonth[from]! * (1 - share) + byMonth[to]! * share;
}

/**
 * A day outside by the normals of the place: temperatures on the way from month to month, light from their swing.
 * @param dayOfYear 1–366
 * @throws RangeError for normals outside their ranges, or a coldest over a warmest
 * @source FAO-56: radiation equation 50, humidity equation 19, or 48 where none is told; wind 2 m/s where none is told
 */
export function normalDay(normals: ClimateNormals, dayOfYear: number): OutsideDay {
  requireNormals("normalDay", normals);
  const on = (byMonth: readonly number[] | null) => (byMonth ? onDayOfYear(byMonth, dayOfYear) : null);
  const day: MeasuredDay = {
    highestC: on(normals.highestCByMonth)!,
    lowestC: on(normals.lowestCByMonth)!,
    humidity: on(normals.humidityByMonth),
    windMPerS: on(normals.windMPerSByMonth),
    radiationMjPerM2: null,
  };
  return measuredDay(normals, day, dayOfYear);
}

/**
 * A day outside as it was measured; what was not measured is worked out as for a normal day.
 * @throws RangeError for figures outside their ranges
 */
export function measuredDay(
  place: Pick<ClimateNormals, "latitudeDeg" | "elevationM" | "nearSea">,
  { highestC, lowestC, humidity, windMPerS, radiationMjPerM2 }: MeasuredDay,
  dayOfYear: number,
): OutsideDay {
  requireFigures(
    "measuredDay",
    { highestC, humidity, windMPerS, radiationMjPerM2 },
    { highestC: [lowestC, 70], humidity: [0, 1], windMPerS: [0, 100], radiationMjPerM2: [0, 60] },
  );
  const sun = sunOfDay(place.latitudeDeg, dayOfYear);
  const kRs = place.nearSea ? K_RS.coast : K_RS.inland;
  const clearSkyMjPerM2Day = clearSkyRadiation(sun, place.elevationM);
  const pressureKpa =
    humidity === null ? vapourPressureKpa(lowestC, lowestC, 1, 1) : humidity * meanSaturationKpa(highestC, lowestC);
  return {
    highestC,
    lowestC,
    vapourPressureKpa: Math.min(MOST_VAPOUR_KPA, pressureKpa),
    humidity: humidity ?? Math.min(1, saturationKpa(lowestC) / meanSaturationKpa(highestC, lowestC)),
    windAt2MMPerS: windMPerS ?? USUAL_WIND_M_PER_S,
    radiationMjPerM2Day:
      radiationMjPerM2 ?? Math.min(clearSkyMjPerM2Day, radiationFromTemperatures(sun, highestC, lowestC, kRs)),
    clearSkyMjPerM2Day,
    daylightHours: sun.daylightHours,
  };
}

/** Refuses normals that no place has. */
export function requireNormals(where: string, normals: ClimateNormals): void {
  const { highestCByMonth, lowestCByMonth, humidityByMonth, windMPerSByMonth } = normals;
  requireFigures(where, normals, { latitudeDeg: [-90, 90], elevationM: [-500, 6000] });
  for (const [name, byMonth, least, greatest] of [
    ["highestCByMonth", highestCByMonth, -60, 60],
    ["lowestCByMonth", lowestCByMonth, -70, 50],
    ["humidityByMonth", humidityByMonth, 0, 1],
    ["windMPerSByMonth", windMPerSByMonth, 0, 100],
  ] as const) {
    if (byMonth === null) continue;
    requireWhole(where, `months of ${name}`, byMonth.length, 12, 12);
    requireEach(where, name, byMonth, least, greatest);
  }
  highestCByMonth.forEach((highestC, month) =>
    requireRange(where, "highestCByMonth", highestC, lowestCByMonth[month]!),
  );
}
