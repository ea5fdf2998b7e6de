import { requireFigures } from "../../units/range";
import {
  airPressureKpa,
  COLDEST_C,
  HOTTEST_C,
  meanSaturationKpa,
  MOST_VAPOUR_KPA,
  psychrometricKpaPerC,
  saturationSlope,
} from "./air";

/** The air that plants stand in, on a day, and what reaches them. */
export interface Et0Day {
  readonly highestC: number;
  readonly lowestC: number;
  readonly vapourPressureKpa: number;
  readonly windAt2MMPerS: number;
  readonly elevationM: number;
  /** What reaches the plants. */
  readonly radiationMjPerM2Day: number;
  /** Rs ÷ Rso outside: how clear the sky is. */
  readonly skyRatio: number;
  /** Share of the heat that plants send to the sky which gets through the cover; 1 outside. */
  readonly longwaveOpenness: number;
  readonly soilHeatMjPerM2Day: number;
}

export interface Et0 {
  readonly mmPerDay: number;
  readonly netShortwaveMjPerM2Day: number;
  readonly netLongwaveMjPerM2Day: number;
}

const ALBEDO = 0.23;
const STEFAN_BOLTZMANN_MJ_PER_K4_M2_DAY = 4.903e-9;
const ZERO_C_K = 273.16;
/** Still air moves this much. */
const LEAST_WIND_M_PER_S = 0.5;
const LEAST_SKY_RATIO = 0.3;

/** Net longwave loss under the open sky, MJ/m² a day. @param skyRatio held within 0.3–1 @source FAO-56, equation 39 */
export function netLongwave(highestC: number, lowestC: number, vapourPressureKpa: number, skyRatio: number): number {
  requireFigures(
    "netLongwave",
    { highestC, lowestC, vapourPressureKpa, skyRatio },
    {
      highestC: [COLDEST_C, HOTTEST_C],
      lowestC: [COLDEST_C, HOTTEST_C],
      vapourPressureKpa: [0, MOST_VAPOUR_KPA],
      skyRatio: [0, 10],
    },
  );
  const fourth = ((highestC + ZERO_C_K) ** 4 + (lowestC + ZERO_C_K) ** 4) / 2;
  const sky = Math.min(1, Math.max(LEAST_SKY_RATIO, skyRatio));
  return (
    STEFAN_BOLTZMANN_MJ_PER_K4_M2_DAY * fourth * (0.34 - 0.14 * Math.sqrt(vapourPressureKpa)) * (1.35 * sky - 0.35)
  );
}

/**
 * Reference evapotranspiration of a day by Penman and Monteith, of short grass in the air that is told; never under 0.
 *
 * @returns mm a day and the parts of its radiation
 * @throws RangeError when a figure is outside its range
 * @source FAO-56 (Allen and others 1998), equation 6; tests/reference/water/et0.json
 */
export function et0(day: Et0Day): Et0 {
  requireFigures("et0", day, {
    highestC: [day.lowestC, 70],
    lowestC: [-60, 70],
    vapourPressureKpa: [0, 15],
    windAt2MMPerS: [0, 60],
    elevationM: [-500, 6000],
    radiationMjPerM2Day: [0, 60],
    skyRatio: [0, 10],
    longwaveOpenness: [0, 1],
    soilHeatMjPerM2Day: [-20, 20],
  });
  const { highestC, lowestC, vapourPressureKpa, skyRatio } = day;
  const meanC = (highestC + lowestC) / 2;
  const netShortwaveMjPerM2Day = (1 - ALBEDO) * day.radiationMjPerM2Day;
  const netLongwaveMjPerM2Day = day.longwaveOpenness * netLongwave(highestC, lowestC, vapourPressureKpa, skyRatio);
  const net = netShortwaveMjPerM2Day - netLongwaveMjPerM2Day - day.soilHeatMjPerM2Day;
  const slope = saturationSlope(meanC);
  const gamma = psychrometricKpaPerC(airPressureKpa(day.elevationM));
  const wind = Math.max(LEAST_WIND_M_PER_S, day.windAt2MMPerS);
  const deficitKpa = Math.max(0, meanSaturationKpa(highestC, lowestC) - vapourPressureKpa);
  const mmPerDay =
    (0.408 * slope * net + (gamma * 900 * wind * deficitKpa) / (meanC + 273)) / (slope + gamma * (1 + 0.34 * wind));
  return { mmPerDay: Math.max(0, mmPerDay), netShortwaveMjPerM2Day, netLongwaveMjPerM2Day };
}
