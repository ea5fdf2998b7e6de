import { requireFigures } from "../../units/range";

/** Roof and side vents together, of the ground. @source rule of thumb */
export const VENTS_OF_GROUND = 0.2;

/**
 * Vents against a share of the ground, a rule of thumb for houses that are cooled by air alone.
 *
 * @param wantedShare 0.2 where nothing else is known
 * @throws RangeError when a figure is outside its range
 * @source rule of thumb; tests/reference/growth/climate.json, vents
 */
export function ventsAgainst(
  groundM2: number,
  roofVentsM2: number,
  sideVentsM2: number,
  wantedShare = VENTS_OF_GROUND,
): { readonly shareOfGround: number; readonly isEnough: boolean; readonly missingM2: number } {
  requireFigures(
    "ventsAgainst",
    { groundM2, roofVentsM2, sideVentsM2, wantedShare },
    { groundM2: [0.01, 1_000_000], roofVentsM2: [0, 1_000_000], sideVentsM2: [0, 1_000_000], wantedShare: [0, 2] },
  );
  const ventsM2 = roofVentsM2 + sideVentsM2;
  const missing = groundM2 * wantedShare - ventsM2;
  const isEnough = missing <= 1e-9;
  return { shareOfGround: ventsM2 / groundM2, isEnough, missingM2: isEnough ? 0 : missing };
}
