import { requireFigures } from "../units/range";
import type { RectM } from "./kinds/model";

/** @throws RangeError that names the side or the corner that no garden has */
export function requireRect(where: string, rect: RectM): void {
  requireFigures(where, rect, {
    xM: [-10_000, 10_000],
    yM: [-10_000, 10_000],
    lengthM: [0, 10_000],
    widthM: [0, 10_000],
  });
}

/** A house, or free ground in it. */
export function requireHouse(where: string, house: { readonly lengthM: number; readonly widthM: number }): void {
  requireFigures(where, house, { lengthM: [0, 10_000], widthM: [0, 10_000] });
}
