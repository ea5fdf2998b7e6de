import { declinationOf } from "./climate/sun";
import { requireRange, requireWhole } from "../units/range";

export interface TowerShape {
  readonly towers: number;
  readonly tiers: number;
  readonly plantsPerTier: number;
  readonly firstTierHeightM: number;
  readonly tierPitchM: number;
  readonly aboveTopTierM: number;
}

/**
 * Sites of a row of towers, and how high they are: base + tier pitch × (tiers − 1) + what is above the top tier.
 *
 * @throws RangeError when an argument is outside its range
 * @source sums; cases in tests/reference/place/counts.json
 * @example towerSites({ towers: 8, tiers: 9, plantsPerTier: 4, firstTierHeightM: 0.3, tierPitchM: 0.18, aboveTopTierM: 0.1 }).sites // 288
 */
export function towerSites(shape: TowerShape): { readonly sites: number; readonly heightM: number } {
  requireWhole("towerSites", "towers", shape.towers, 1, 5000);
  requireWhole("towerSites", "tiers", shape.tiers, 1, 100);
  requireWhole("towerSites", "plantsPerTier", shape.plantsPerTier, 1, 100);
  requireRange("towerSites", "firstTierHeightM", shape.firstTierHeightM, 0, 10);
  requireRange("towerSites", "tierPitchM", shape.tierPitchM, 0, 5);
  requireRange("towerSites", "aboveTopTierM", shape.aboveTopTierM, 0, 5);
  return {
    sites: shape.towers * shape.tiers * shape.plantsPerTier,
    heightM: shape.firstTierHeightM + (shape.tiers - 1) * shape.tierPitchM + shape.aboveTopTierM,
  };
}

export interface TowerShade {
  readonly tiers: number;
  readonly firstTierHeightM: number;
  readonly tierPitchM: number;
  /** Centre to centre along the row. */
  readonly towerSpacingM: number;
  readonly towerDiameterM: number;
  /** Over the horizon, the sun in the plane of the row. */
  readonly sunElevationDeg: number;
}

/**
 * Tiers that the neighbour shades with the sun in the plane of the row: those lower than the neighbour's top tier −
 * (spacing − diameter)·tan e.
 *
 * @param shade lengths in m; elevation over 0 to 90°
 * @throws RangeError when an argument is outside its range
 * @source geometry of the shadow line; a definition, cases in tests/reference/place/counts.json
 * @example towerShade({ tiers: 10, firstTierHeightM: 0.3, tierPitchM: 0.15, towerSpacingM: 1, towerDiameterM: 0.2, sunElevationDeg: 30 }).tiersShaded // 6
 */
export function towerShade(shade: TowerShade): { readonly tiersShaded: number; readonly shareShaded: number } {
  requireWhole("towerShade", "tiers", shade.tiers, 1, 100);
  requireRange("towerShade", "sunElevationDeg", shade.sunElevationDeg, 0, 90);
  requireRange("towerShade", "firstTierHeightM", shade.firstTierHeightM, 0, 10);
  requireRange("towerShade", "tierPitchM", shade.tierPitchM, 0, 5);
  requireRange("towerShade", "towerDiameterM", shade.towerDiameterM, 0, 10);
  requireRange("towerShade", "towerSpacingM", shade.towerSpacingM, shade.towerDiameterM, 50);
  const topM = shade.firstTierHeightM + (shade.tiers - 1) * shade.tierPitchM;
  const clearM = shade.towerSpacingM - shade.towerDiameterM;
  const shadowM = topM - clearM * Math.tan((shade.sunElevationDeg * Math.PI) / 180);
  const heights = Array.from({ length: shade.tiers }, (_, tier) => shade.firstTierHeightM + tier * shade.tierPitchM);
  const tiersShaded = heights.filter((heightM) => heightM < shadowM - 1e-9).length;
  return { tiersShaded, shareShaded: tiersShaded / shade.tiers };
}

/**
 * The sun's height at noon, in degrees over the horizon.
 *
 * @param latitudeDeg −90 to 90, north positive
 * @param dayOfYear 1–366
 * @source FAO Irrigation and Drainage Paper 56, equation 24 for the declination; noon elevation = 90° − |φ − δ|
 * @example noonElevationDeg(37.2, 172) // 76.2
 */
export function noonElevationDeg(latitudeDeg: number, dayOfYear: number): number {
  requireRange("noonElevationDeg", "latitudeDeg", latitudeDeg, -90, 90);
  requireRange("noonElevationDeg", "dayOfYear", dayOfYear, 1, 366);
  const declinationDeg = (declinationOf(dayOfYear) * 180) / Math.PI;
  return Math.max(0, 90 - Math.abs(latitudeDeg - declinationDeg));
}
