import { GREATEST, requireFigures, requireRange } from "../../units/range";

/** A part of what encloses a house: heat goes out through its area by its U. */
export interface WarmPart {
  readonly uWPerM2K: number;
  readonly areaM2: number;
}

/** W per K and m³ for one air change an hour. @source density × heat of air ÷ 3600 s */
const AIR_WH_PER_M3_K = 0.33;

/**
 * Heat that a house loses for each degree between inside and outside, W/K: ΣU·A, and its air as it is changed.
 *
 * @param parts walls and roof
 * @param air its volume and how often it is changed an hour; none where only the parts count
 * @throws RangeError when a figure is outside its range
 * @source U·A; 0.33 Wh/m³K of air; tests/reference/growth/climate.json, heatLoss
 */
export function heatLossWPerK(
  parts: readonly WarmPart[],
  air: { readonly volumeM3: number; readonly changesPerHour: number } | null = null,
): number {
  for (const part of parts) requireFigures("heatLossWPerK", part, { uWPerM2K: [0, 50], areaM2: [0, GREATEST] });
  if (air) requireFigures("heatLossWPerK", air, { volumeM3: [0, GREATEST], changesPerHour: [0, 100] });
  const through = parts.reduce((sum, { uWPerM2K, areaM2 }) => sum + uWPerM2K * areaM2, 0);
  return through + (air ? AIR_WH_PER_M3_K * air.volumeM3 * air.changesPerHour : 0);
}

/** The heater that keeps a set point on the coldest night, W. @throws RangeError when a figure is outside its range */
export function heaterW(lossWPerK: number, setPointC: number, coldestC: number): number {
  requireFigures(
    "heaterW",
    { lossWPerK, setPointC, coldestC },
    { lossWPerK: [0, GREATEST], setPointC: [-30, 60], coldestC: [-80, 80] },
  );
  return lossWPerK * Math.max(0, setPointC - coldestC);
}

/** What a given heater holds on a cold night, °C: never over its set point. @throws RangeError for a loss of 0 */
export function heldC(heater: number, lossWPerK: number, setPointC: number, coldestC: number): number {
  requireFigures(
    "heldC",
    { heater, lossWPerK, setPointC, coldestC },
    { heater: [0, GREATEST], lossWPerK: [0.001, GREATEST], setPointC: [-30, 60], coldestC: [-80, 80] },
  );
  return Math.max(coldestC, Math.min(setPointC, coldestC + heater / lossWPerK));
}

/** How long and how far the air is under a set point. */
export interface DegreeHours {
  readonly degreeHours: number;
  readonly hours: number;
}

/**
 * Degree hours of a day under a set point, its temperature a sine between the coldest and the warmest: ∫ max(0, set − T) dt.
 * Sun and stored warmth are not counted.
 *
 * @param lowestC, highestC of the day
 * @throws RangeError when a figure is outside its range
 * @source closed form of the integral; tests/reference/growth/climate.json, heatEnergy
 * @example degreeHours(8, -3, 9).degreeHours // 122.966
 */
export function degreeHours(setPointC: number, lowestC: number, highestC: number): DegreeHours {
  requireRange("degreeHours", "setPointC", setPointC, -30, 60);
  requireRange("degreeHours", "lowestC", lowestC, -80, 80);
  requireRange("degreeHours", "highestC", highestC, lowestC, 80);
  const [mean, half] = [(lowestC + highestC) / 2, (highestC - lowestC) / 2];
  if (setPointC <= lowestC) return { degreeHours: 0, hours: 0 };
  if (setPointC >= highestC) return { degreeHours: (setPointC - mean) * 24, hours: 24 };
  // T = mean − half·cos(angle) is under the set point while |angle| is less than this.
  const angle = Math.acos((mean - setPointC) / half);
  const hours = (24 * angle) / Math.PI;
  return { degreeHours: ((setPointC - mean) * angle + half * Math.sin(angle)) * (24 / Math.PI), hours };
}

/** U of the trays on a mat, W/m²K. @source common practice */
export const TRAY_U = { open: 10, domed: 7 } as const;

/** What a mat under trays takes. */
export interface HeatMat {
  readonly wattsNeeded: number;
  readonly wattsPerM2: number;
  readonly kwhPerDay: number;
  /** Of the trays at the coldest of the room, with the watts that the mat has. */
  readonly heldC: number;
  readonly isEnough: boolean;
}

/**
 * A heat mat under trays: watts for its set point at the coldest of the room, energy a day, and whether a given mat is enough.
 *
 * @param mat U of the trays (`TRAY_U`), their area, the set point and the watts per m² that it has
 * @param room its coldest and warmest
 * @throws RangeError when a figure is outside its range
 * @source U·A·(Ti − To); tests/reference/growth/climate.json, heatMat
 */
export function heatMat(
  mat: { readonly uWPerM2K: number; readonly areaM2: number; readonly setPointC: number; readonly hasWPerM2: number },
  room: { readonly lowestC: number; readonly highestC: number },
): HeatMat {
  requireFigures("heatMat", mat, { uWPerM2K: [0.1, 50], areaM2: [0, 10_000], hasWPerM2: [0, 2000] });
  const wattsPerM2 = mat.uWPerM2K * Math.max(0, mat.setPointC - room.lowestC);
  const { degreeHours: hours } = degreeHours(mat.setPointC, room.lowestC, room.highestC);
  return {
    ...{ wattsPerM2, wattsNeeded: wattsPerM2 * mat.areaM2 },
    kwhPerDay: (mat.uWPerM2K * mat.areaM2 * hours) / 1000,
    heldC: heldC(mat.hasWPerM2, mat.uWPerM2K, mat.setPointC, room.lowestC),
    isEnough: mat.hasWPerM2 >= wattsPerM2 - 1e-9,
  };
}
