import { houseEt0, insideDay, type HouseClimate } from "./houseAir";
import { normalDay, type ClimateNormals } from "./normals";
import { dailyLightMol } from "./sun";

/** A day of the normal year, outside or in a house. */
export interface ClimateDay {
  /** 1–366. */
  readonly dayOfYear: number;
  readonly highestC: number;
  readonly lowestC: number;
  readonly lightMol: number;
  readonly daylightHours: number;
  /** null under a solid roof. */
  readonly et0Mm: number | null;
}

/** Outside is a house without anything over it. */
export const OUTSIDE: HouseClimate = {
  ...{ cover: "open", lightThrough: null, shadeShare: 0, warmerByDayC: 0, warmerByNightC: 0 },
  ...{ heatedToC: null, ventedAtC: null },
};

/**
 * Days of the normal year in a house.
 * @param daysOfYear which, 1–366
 * @throws RangeError for normals or a house outside their ranges
 */
export function climateDays(
  normals: ClimateNormals,
  house: HouseClimate,
  daysOfYear: readonly number[],
): readonly ClimateDay[] {
  return daysOfYear.map((dayOfYear) => {
    const outside = normalDay(normals, dayOfYear);
    const { highestC, lowestC, radiationMjPerM2Day } = insideDay(house, outside);
    return {
      dayOfYear,
      highestC,
      lowestC,
      lightMol: dailyLightMol(radiationMjPerM2Day),
      daylightHours: outside.daylightHours,
      et0Mm: houseEt0(house, outside, normals.elevationM)?.mmPerDay ?? null,
    };
  });
}
