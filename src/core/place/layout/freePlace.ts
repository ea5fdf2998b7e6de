import { requireFigures } from "../../units/range";
import { fitsIn } from "../fit";
import { requireHouse, requireRect } from "../requireRect";
import type { RectM } from "../kinds/model";
import { inMm } from "../../units/rounded";

/**
 * Where something may stand, or by how much a house is too small for it: longer or wider by that much, and it fits. Null is
 * a way in which no growing helps.
 */
export type FreePlace =
  | { readonly kind: "place"; readonly xM: number; readonly yM: number; readonly turned: boolean }
  | { readonly kind: "no-room"; readonly missingLengthM: number | null; readonly missingWidthM: number | null };

/** Ways to leave between things, from what one wants to what must do. */
const WAYS_M = [0.6, 0.3, 0.1, 0];

/**
 * The first free place for a footprint in a house, from its top left on, with as wide a way around as can be had: 0.6 m,
 * 0.3 m, 0.1 m or none; half of it along the walls.
 *
 * @param house m
 * @param taken footprints that are there, m
 * @param size of the footprint, not turned, m
 * @returns corner, and whether it is turned; else what length or what width is missing
 * @throws RangeError for a size that no garden has
 * @source tried at every corner that walls and footprints make; least aisle of docs/formulas.md
 */
export function freePlace(
  house: { readonly lengthM: number; readonly widthM: number },
  taken: readonly RectM[],
  size: { readonly lengthM: number; readonly widthM: number },
): FreePlace {
  requireHouse("freePlace", house);
  for (const rect of taken) requireRect("freePlace", rect);
  requireFigures("freePlace", size, { lengthM: [0, 10_000], widthM: [0, 10_000] });
  const sides = [
    { ...size, turned: false },
    { lengthM: size.widthM, widthM: size.lengthM, turned: true },
  ];
  for (const wayM of WAYS_M)
    for (const side of sides) {
      const corner = cornerFor(house, taken, side, wayM);
      if (corner) return { kind: "place", ...corner, turned: side.turned };
    }
  const endM = Math.max(0, ...taken.map(({ xM, lengthM }) => xM + lengthM));
  const footM = Math.max(0, ...taken.map(({ yM, widthM }) => yM + widthM));
  // A side that does not fit the other way cannot be helped by growing this way.
  const least = (missing: readonly number[]) =>
    missing.length === 0 ? null : Math.ceil(Math.max(0, Math.min(...missing)) * 100 - 1e-6) / 100;
  const acrossFits = sides.filter(({ widthM }) => fitsIn(widthM, house.widthM));
  const alongFits = sides.filter(({ lengthM }) => fitsIn(lengthM, house.lengthM));
  return {
    kind: "no-room",
    missingLengthM: least(acrossFits.map(({ lengthM }) => endM + lengthM - house.lengthM)),
    missingWidthM: least(alongFits.map(({ widthM }) => footM + widthM - house.widthM)),
  };
}

function cornerFor(
  house: { readonly lengthM: number; readonly widthM: number },
  taken: readonly RectM[],
  { lengthM, widthM }: { readonly lengthM: number; readonly widthM: number },
  wayM: number,
) {
  const wallM = wayM / 2;
  const xs = [wallM, ...taken.map((rect) => rect.xM + rect.lengthM + wayM)].sort((a, b) => a - b);
  const ys = [wallM, ...taken.map((rect) => rect.yM + rect.widthM + wayM)].sort((a, b) => a - b);
  for (const yM of ys)
    for (const xM of xs) {
      if (!fitsIn(xM + lengthM + wallM, house.lengthM) || !fitsIn(yM + widthM + wallM, house.widthM)) continue;
      const isFree = taken.every(
        (rect) =>
          fitsIn(xM + lengthM + wayM, rect.xM) ||
          fitsIn(rect.xM + rect.lengthM + wayM, xM) ||
          fitsIn(yM + widthM + wayM, rect.yM) ||
          fitsIn(rect.yM + rect.widthM + wayM, yM),
      );
      if (isFree) return { xM: inMm(xM), yM: inMm(yM) };
    }
  return null;
}
