import { requireFigures } from "../../units/range";
import { COLDEST_C, HOTTEST_C, meanSaturationKpa, MOST_VAPOUR_KPA } from "./air";
import type { OutsideDay } from "./normals";
import { et0UnderCover, type Et0UnderCover } from "./underCover";

export type Cover = "net" | "film" | "glass" | "polycarbonate" | "open" | "solid";

/** What a house makes of the weather outside. */
export interface HouseClimate {
  readonly cover: Cover;
  /** Share of the light that the cover lets through, without shade; null: as its cover usually does. */
  readonly lightThrough: number | null;
  readonly shadeShare: number;
  readonly warmerByDayC: number;
  readonly warmerByNightC: number;
  readonly heatedToC: number | null;
  readonly ventedAtC: number | null;
}

/** Light that covers let through when clean. A net lets through what its shade does not keep out. @source common practice */
export const LIGHT_THROUGH: Readonly<Record<Cover, number>> = {
  net: 1,
  film: 0.82,
  glass: 0.85,
  polycarbonate: 0.75,
  open: 1,
  solid: 0,
};

/** A day in a house. */
export interface InsideDay {
  readonly highestC: number;
  readonly lowestC: number;
  readonly radiationMjPerM2Day: number;
}

/** Light that gets in, of what falls outside, 0–1. */
export function lightInside(house: HouseClimate): number {
  requireHouse("lightInside", house);
  const { cover, lightThrough, shadeShare } = house;
  return (lightThrough ?? LIGHT_THROUGH[cover]) * (1 - shadeShare);
}

/**
 * Temperatures and light in a house on a day: as much warmer than outside as it is told, never under what it is heated to,
 * and let out at what it is vented at, as far as the air outside is cooler than that.
 * @throws RangeError for figures outside their ranges
 */
export function insideDay(house: HouseClimate, outside: OutsideDay): InsideDay {
  requireHouse("insideDay", house);
  requireOutside("insideDay", outside);
  const heated = (airC: number) => Math.max(airC, house.heatedToC ?? -Infinity);
  const lowestC = believed(heated(outside.lowestC + house.warmerByNightC));
  const warmC = outside.highestC + house.warmerByDayC;
  const ventedC =
    house.ventedAtC === null ? warmC : Math.min(warmC, Math.max(house.ventedAtC, Math.min(warmC, outside.highestC)));
  return {
    lowestC,
    highestC: believed(Math.max(lowestC, heated(ventedC))),
    radiationMjPerM2Day: outside.radiationMjPerM2Day * lightInside(house),
  };
}

/** However much warmer a house is told to be. */
const believed = (airC: number) => Math.min(HOTTEST_C, Math.max(COLDEST_C, airC));

/**
 * Reference evapotranspiration in a house on a day; null under a solid roof, where no light of the sky drives it and what
 * lamps bring is not counted. The air inside is as humid as outside.
 * @throws RangeError for figures outside their ranges
 * @source FAO-56 with the air inside (underCover.ts)
 */
export function houseEt0(house: HouseClimate, outside: OutsideDay, elevationM: number): Et0UnderCover | null {
  requireHouse("houseEt0", house);
  requireOutside("houseEt0", outside);
  if (house.cover === "solid") return null;
  const inside = insideDay(house, outside);
  return et0UnderCover({
    cover: house.cover === "net" || house.cover === "open" ? "net" : "closed",
    transmissivity: house.lightThrough ?? LIGHT_THROUGH[house.cover],
    shadeShare: house.shadeShare,
    longwaveOpenness: longwaveOpenness(house),
    elevationM,
    radiationMjPerM2Day: outside.radiationMjPerM2Day,
    clearSkyMjPerM2Day: outside.clearSkyMjPerM2Day,
    windAt2MMPerS: outside.windAt2MMPerS,
    highestC: inside.highestC,
    lowestC: inside.lowestC,
    vapourPressureKpa: Math.min(MOST_VAPOUR_KPA, outside.humidity * meanSaturationKpa(inside.highestC, inside.lowestC)),
  });
}

/** Share of the plants' own heat that gets out to the sky, 0–1. @source common practice: film 0.5, glass and twin-wall 0.1 */
export function longwaveOpenness(house: HouseClimate): number {
  requireHouse("longwaveOpenness", house);
  switch (house.cover) {
    case "net":
      return 1 - house.shadeShare;
    case "open":
      return 1;
    case "film":
      return 0.5;
    case "glass":
    case "polycarbonate":
      return 0.1;
    case "solid":
      return 0;
  }
}

function requireHouse(where: string, house: HouseClimate): void {
  requireFigures(where, house, {
    lightThrough: [0, 1],
    shadeShare: [0, 1],
    warmerByDayC: [-20, 40],
    warmerByNightC: [-20, 40],
    heatedToC: [-10, 40],
    ventedAtC: [0, 60],
  });
}

function requireOutside(where: string, outside: OutsideDay): void {
  requireFigures(where, outside, {
    highestC: [-60, 70],
    lowestC: [-70, 60],
    vapourPressureKpa: [0, 15],
    humidity: [0, 1],
    windAt2MMPerS: [0, 100],
    radiationMjPerM2Day: [0, 60],
    clearSkyMjPerM2Day: [0, 60],
    daylightHours: [0, 24],
  });
}
