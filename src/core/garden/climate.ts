import { houseEt0 } from "../place/climate/houseAir";
import { normalDay, type ClimateNormals, type OutsideDay } from "../place/climate/normals";
import { standCounts } from "../place/standCounts";
import { dayOfYear, type Day } from "../units/day";
import type { Garden, Stand } from "./garden";
import { memo } from "./memo";

/** The days of a year, the leap day among them. */
export const YEAR_DAYS = 366;

/** Which days of the year they are. @param from, to first day, and the day after the last */
export function daysOfYearIn(from: Day, to: Day): Uint16Array {
  return Uint16Array.from({ length: to - from }, (_, at) => dayOfYear(from + at));
}

/** What the weather of a garden is like; null where its temperatures are not told. */
export function normalsOf({ climate, latitudeDeg }: Pick<Garden, "climate" | "latitudeDeg">): ClimateNormals | null {
  const { highestCByMonth, lowestCByMonth } = climate ?? {};
  return climate && highestCByMonth && lowestCByMonth
    ? { ...climate, latitudeDeg, highestCByMonth, lowestCByMonth }
    : null;
}

/** Each day of a normal year outside, 1 January first; null where the temperatures are not told. */
export function outsideYear(garden: Pick<Garden, "climate" | "latitudeDeg">): readonly OutsideDay[] | null {
  const { climate, latitudeDeg } = garden;
  if (!climate) return null;
  return memo("outside year", [climate, latitudeDeg], () => {
    const normals = normalsOf(garden);
    return normals && Array.from({ length: YEAR_DAYS }, (_, index) => normalDay(normals, index + 1));
  });
}

/** ET0 of each day of a normal year in each house by its id, mm; null under a solid roof. */
export function et0ByHouse(
  garden: Pick<Garden, "climate" | "latitudeDeg" | "houses">,
): ReadonlyMap<number, Float64Array | null> {
  const year = outsideYear(garden);
  if (!year) return new Map();
  const elevationM = garden.climate!.elevationM;
  return memo("et0 by house", [garden.houses, year], () => {
    const of = (house: Garden["houses"][number]) => {
      const days = year.map((outside) => houseEt0(house, outside, elevationM));
      return days[0] === null ? null : Float64Array.from(days, (day) => day!.mmPerDay);
    };
    return new Map(garden.houses.map((house) => [house.id, of(house)]));
  });
}

/**
 * ET0 of each day in each growing area, the mean of its sites where it has them in several houses; none for areas with a site
 * in a house where it is not known.
 * @param from, to first day, and the day after the last
 */
export function et0ByArea(
  garden: Garden,
  standsOf: ReadonlyMap<number, readonly Stand[]>,
  from: Day,
  to: Day,
): Record<number, Float64Array> {
  const byHouse = et0ByHouse(garden);
  if (byHouse.size === 0) return {};
  const found: Record<number, Float64Array> = {};
  const daysOfYear = daysOfYearIn(from, to);
  for (const [areaId, stands] of standsOf) {
    const parts = stands.map(({ houseId, spec }) => ({ et0: byHouse.get(houseId), sites: standCounts(spec).sites }));
    const sites = parts.reduce((sum, part) => sum + part.sites, 0);
    if (sites === 0 || parts.some(({ et0 }) => !et0)) continue;
    found[areaId] = Float64Array.from(daysOfYear, (day) =>
      parts.reduce((sum, part) => sum + (part.sites / sites) * part.et0![day - 1]!, 0),
    );
  }
  return found;
}
