import { requireRange, requireWhole } from "../../units/range";

const SOLAR_CONSTANT_MJ_PER_M2_MIN = 0.082;
const MINUTES_PER_DAY = 1440;

/** The sun on a day, over a place. */
export interface SunDay {
  /** What would reach level ground without an atmosphere (Ra). */
  readonly extraterrestrialMjPerM2Day: number;
  readonly daylightHours: number;
  readonly declinationRad: number;
  readonly sunsetHourAngleRad: number;
  /** Relative distance of earth and sun, inverse. */
  readonly inverseDistance: number;
}

/**
 * Extraterrestrial radiation and daylight of a day. In the polar night both are 0, in the polar day the sun does not set.
 *
 * @param latitudeDeg −90 to 90, south under 0
 * @param dayOfYear 1 to 366
 * @throws RangeError when an argument is outside its range
 * @source FAO-56 (Allen and others 1998), equations 21 to 25 and 34
 * @example sunOfDay(-20, 246).extraterrestrialMjPerM2Day // 32.2
 */
export function sunOfDay(latitudeDeg: number, dayOfYear: number): SunDay {
  requireRange("sunOfDay", "latitudeDeg", latitudeDeg, -90, 90);
  requireWhole("sunOfDay", "dayOfYear", dayOfYear, 1, 366);
  const latitudeRad = (latitudeDeg * Math.PI) / 180;
  const turn = (2 * Math.PI * dayOfYear) / 365;
  const inverseDistance = 1 + 0.033 * Math.cos(turn);
  const declinationRad = declinationOf(dayOfYear);
  const cosine = -Math.tan(latitudeRad) * Math.tan(declinationRad);
  const sunsetHourAngleRad = Math.acos(Math.min(1, Math.max(-1, cosine)));
  const flux =
    sunsetHourAngleRad * Math.sin(latitudeRad) * Math.sin(declinationRad) +
    Math.cos(latitudeRad) * Math.cos(declinationRad) * Math.sin(sunsetHourAngleRad);
  return {
    extraterrestrialMjPerM2Day: Math.max(
      0,
      (MINUTES_PER_DAY / Math.PI) * SOLAR_CONSTANT_MJ_PER_M2_MIN * inverseDistance * flux,
    ),
    daylightHours: (24 / Math.PI) * sunsetHourAngleRad,
    declinationRad,
    sunsetHourAngleRad,
    inverseDistance,
  };
}

/** How far north of the equator the sun stands, rad. @param dayOfYear 1–366 @source FAO-56, equation 24 */
export function declinationOf(dayOfYear: number): number {
  requireRange("declinationOf", "dayOfYear", dayOfYear, 1, 366);
  return 0.409 * Math.sin((2 * Math.PI * dayOfYear) / 365 - 1.39);
}

/** Share of Ra for each root of a degree between highest and lowest temperature: inland and at a coast. */
export const K_RS = { inland: 0.16, coast: 0.19 } as const;

/**
 * Solar radiation from temperatures alone: Rs = kRs·√(Tmax − Tmin)·Ra.
 *
 * @param sun of the day
 * @param highestC, lowestC of the day outside, °C
 * @param kRs 0.05–0.3
 * @returns MJ/m² a day, never over Ra
 * @throws RangeError when an argument is outside its range
 * @source Hargreaves and Samani 1982; FAO-56, equation 50
 */
export function radiationFromTemperatures(
  { extraterrestrialMjPerM2Day }: Pick<SunDay, "extraterrestrialMjPerM2Day">,
  highestC: number,
  lowestC: number,
  kRs: number,
): number {
  requireRange("radiationFromTemperatures", "extraterrestrialMjPerM2Day", extraterrestrialMjPerM2Day, 0, 60);
  requireRange("radiationFromTemperatures", "lowestC", lowestC, -80, 60);
  requireRange("radiationFromTemperatures", "highestC", highestC, lowestC, 70);
  requireRange("radiationFromTemperatures", "kRs", kRs, 0.05, 0.3);
  return Math.min(1, kRs * Math.sqrt(highestC - lowestC)) * extraterrestrialMjPerM2Day;
}

/** Solar radiation from hours of sunshine: Rs = (0.25 + 0.5·n/N)·Ra. @source Ångström; FAO-56, equation 35 */
export function radiationFromSunshine(
  { extraterrestrialMjPerM2Day, daylightHours }: Pick<SunDay, "extraterrestrialMjPerM2Day" | "daylightHours">,
  sunshineHours: number,
): number {
  requireRange("radiationFromSunshine", "extraterrestrialMjPerM2Day", extraterrestrialMjPerM2Day, 0, 60);
  requireRange("radiationFromSunshine", "daylightHours", daylightHours, 0, 24);
  requireRange("radiationFromSunshine", "sunshineHours", sunshineHours, 0, 24);
  const share = daylightHours > 0 ? Math.min(1, sunshineHours / daylightHours) : 0;
  return (0.25 + 0.5 * share) * extraterrestrialMjPerM2Day;
}

/** Radiation under a clear sky: Rso = (0.75 + 2·10⁻⁵·z)·Ra. @source FAO-56, equation 37 */
export function clearSkyRadiation(
  { extraterrestrialMjPerM2Day }: Pick<SunDay, "extraterrestrialMjPerM2Day">,
  elevationM: number,
): number {
  requireRange("clearSkyRadiation", "extraterrestrialMjPerM2Day", extraterrestrialMjPerM2Day, 0, 60);
  requireRange("clearSkyRadiation", "elevationM", elevationM, -500, 6000);
  return (0.75 + 2e-5 * elevationM) * extraterrestrialMjPerM2Day;
}

/** Of the sun's energy, the share that plants can use, and the light in it. @source common practice */
const USABLE_SHARE = 0.45;
const UMOL_PER_J = 4.57;

/**
 * Light that plants can use in a day, mol/m².
 * @param radiationMjPerM2Day what reaches them
 * @source radiation × 0.45 × 4.57 µmol/J; tests/reference/growth/light.json, dli
 */
export function dailyLightMol(radiationMjPerM2Day: number): number {
  requireRange("dailyLightMol", "radiationMjPerM2Day", radiationMjPerM2Day, 0, 60);
  return radiationMjPerM2Day * USABLE_SHARE * UMOL_PER_J;
}

/**
 * Sunrise and sunset, minutes of the day by the sun: noon is when it stands highest. A clock on the wall is up to an hour off,
 * more in summer time.
 * @param dayOfYear 1–366
 * @source half of the daylight on both sides of noon
 */
export function sunriseAndSunset(
  latitudeDeg: number,
  dayOfYear: number,
): { readonly riseMin: number; readonly setMin: number } {
  const halfMin = sunOfDay(latitudeDeg, dayOfYear).daylightHours * 30;
  return { riseMin: 720 - halfMin, setMin: 720 + halfMin };
}
