import { GREATEST, requireFigures } from "../../units/range";

/** µmol/m² s over an hour, in mol/m². */
export const MOL_PER_UMOL_HOUR = 0.0036;

/** Shade or lamps that bring a wanted light. */
export interface LightFor {
  /** So much less may get in; 0 where there is too little. */
  readonly shadeShare: number;
  /** Hours that the lamps would have to burn, and those that they may. */
  readonly lampHoursWanted: number;
  readonly lampHours: number;
  readonly reachedMol: number;
  readonly shortMol: number;
}

/**
 * What brings the light of a day to what is wanted: shade where there is too much, lamps where there is too little.
 *
 * @param sunMol what reaches the plants without shade and lamps, mol/m² a day
 * @param wantedMol over 0
 * @param lamps strength on the leaves and the longest day that plants may have; strength 0 where there are none
 * @throws RangeError when a figure is outside its range
 * @source shade = 1 − wanted ÷ sun; hours = missing ÷ (strength × 0.0036); tests/reference/growth/climate.json, lightForDli,
 * light.json, shadeForDli and lampsForDli
 */
export function lightFor(
  sunMol: number,
  wantedMol: number,
  lamps: { readonly umolPerM2S: number; readonly longestHours: number },
): LightFor {
  const { umolPerM2S, longestHours } = lamps;
  requireFigures(
    "lightFor",
    { sunMol, wantedMol, umolPerM2S, longestHours },
    { sunMol: [0, 200], wantedMol: [0.01, 100], umolPerM2S: [0, 3000], longestHours: [0, 24] },
  );
  const shadeShare = sunMol > 0 ? Math.max(0, 1 - wantedMol / sunMol) : 0;
  const missing = Math.max(0, wantedMol - sunMol);
  const lampHoursWanted = umolPerM2S > 0 ? missing / (umolPerM2S * MOL_PER_UMOL_HOUR) : 0;
  const lampHours = Math.min(longestHours, lampHoursWanted);
  const reachedMol = sunMol * (1 - shadeShare) + lampHours * umolPerM2S * MOL_PER_UMOL_HOUR;
  return { shadeShare, lampHoursWanted, lampHours, reachedMol, shortMol: Math.max(0, wantedMol - reachedMol) };
}

/** Strength that lamps must have on the leaves for so much light in so many hours, µmol/m² s. */
export function lampStrength(missingMol: number, hours: number): number {
  requireFigures("lampStrength", { missingMol, hours }, { missingMol: [0, 200], hours: [0.1, 24] });
  return missingMol / (hours * MOL_PER_UMOL_HOUR);
}

/** What lamps draw and cost. */
export interface LampPower {
  readonly watts: number;
  readonly kwhPerDay: number;
  readonly costPerDay: number;
}

/**
 * What lamps draw: W = µmol/m² s × area ÷ (µmol/J × the share that lands on the crop).
 *
 * @throws RangeError when a figure is outside its range
 * @source efficacy of lamps; tests/reference/growth/climate.json, lampPower
 * @example lampPower({ umolPerM2S: 150, areaM2: 4, umolPerJ: 2.5, shareThatLands: 0.9, hours: 16, pricePerKwh: 0.22 }).watts // 266.7
 */
export function lampPower(lamps: {
  readonly umolPerM2S: number;
  readonly areaM2: number;
  readonly umolPerJ: number;
  readonly shareThatLands: number;
  readonly hours: number;
  readonly pricePerKwh: number;
}): LampPower {
  requireFigures("lampPower", lamps, {
    umolPerM2S: [0, 3000],
    areaM2: [0, 100_000],
    umolPerJ: [0.1, 5],
    shareThatLands: [0.01, 1],
    hours: [0, 24],
    pricePerKwh: [0, GREATEST],
  });
  const watts = (lamps.umolPerM2S * lamps.areaM2) / (lamps.umolPerJ * lamps.shareThatLands);
  const kwhPerDay = (watts * lamps.hours) / 1000;
  return { watts, kwhPerDay, costPerDay: kwhPerDay * lamps.pricePerKwh };
}
