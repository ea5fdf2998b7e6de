import { requireFigures } from "../../units/range";
import { et0, type Et0 } from "./et0";

export type CoverKind = "closed" | "net";

/** A house as the weather of a day sees it. */
export interface HouseDay {
  readonly cover: CoverKind;
  /** Share of the light that the cover lets through. */
  readonly transmissivity: number;
  readonly shadeShare: number;
  readonly longwaveOpenness: number;
  readonly elevationM: number;
  /** Outside. */
  readonly radiationMjPerM2Day: number;
  readonly clearSkyMjPerM2Day: number;
  readonly windAt2MMPerS: number;
  /** The air inside. */
  readonly highestC: number;
  readonly lowestC: number;
  readonly vapourPressureKpa: number;
}

export interface Et0UnderCover extends Et0 {
  readonly radiationInsideMjPerM2Day: number;
  readonly windInsideMPerS: number;
}

const STILL_M_PER_S = 0.5;
const WIND_UNDER_NET_SHARE = 0.5;
const OVERCAST = 0.3;

/**
 * Reference evapotranspiration inside a house: light as cover and shade let it through, heat lost to the sky as the cover
 * lets it through, the sky as clear as it is outside, temperature and humidity of the air inside; wind 0.5 m/s behind walls,
 * half of that outside under net and never under 0.5.
 *
 * @throws RangeError when a figure is outside its range
 * @source FAO-56 with the inside air; tests/reference/water/et0.json, under cover
 */
export function et0UnderCover(day: HouseDay): Et0UnderCover {
  requireFigures("et0UnderCover", day, {
    transmissivity: [0, 1],
    shadeShare: [0, 1],
    radiationMjPerM2Day: [0, 60],
    clearSkyMjPerM2Day: [0, 60],
    windAt2MMPerS: [0, 60],
  });
  const radiationInsideMjPerM2Day = day.radiationMjPerM2Day * day.transmissivity * (1 - day.shadeShare);
  const windInsideMPerS =
    day.cover === "closed" ? STILL_M_PER_S : Math.max(STILL_M_PER_S, WIND_UNDER_NET_SHARE * day.windAt2MMPerS);
  const inside = et0({
    highestC: day.highestC,
    lowestC: day.lowestC,
    vapourPressureKpa: day.vapourPressureKpa,
    windAt2MMPerS: windInsideMPerS,
    elevationM: day.elevationM,
    radiationMjPerM2Day: radiationInsideMjPerM2Day,
    // In the polar night there is no sky to compare with: any ratio will do.
    skyRatio: day.clearSkyMjPerM2Day > 0 ? Math.min(1, day.radiationMjPerM2Day / day.clearSkyMjPerM2Day) : OVERCAST,
    longwaveOpenness: day.longwaveOpenness,
    soilHeatMjPerM2Day: 0,
  });
  return { ...inside, radiationInsideMjPerM2Day, windInsideMPerS };
}
