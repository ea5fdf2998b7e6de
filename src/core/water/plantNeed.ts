import { requireFigures } from "../units/range";

/** What a plant drinks: ET0 inside × Kc × its ground × what the loop's log has taught. @returns L a day @source FAO-56, eq. 58 */
export function plantNeedLpd(et0MmPerDay: number, kc: number, areaPerPlantM2: number, calibration: number): number {
  requireFigures(
    "plantNeedLpd",
    { et0MmPerDay, kc, areaPerPlantM2, calibration },
    { et0MmPerDay: [0, 30], kc: [0, 2], areaPerPlantM2: [0, 100], calibration: [0.05, 20] },
  );
  return et0MmPerDay * kc * areaPerPlantM2 * calibration;
}
