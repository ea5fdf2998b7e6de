import { freePlace } from "../../place/layout/freePlace";
import type { RectM } from "../../place/kinds/model";
import { standFootprint } from "../../place/standLayout";
import { requireRange } from "../../units/range";
import type { SetUp } from "./setUp";

/** Between a wall and a tank outside it. */
const OUTSIDE_M = 0.3;

/**
 * A spot for the tank of a place that was told, as a box as deep as it is long and wide: its shape is not asked. Where it
 * has no room inside, it stands outside.
 *
 * @param litres 1 to 1 000 000
 * @throws RangeError when a figure is outside its range
 * @source side of a cube of that volume; place/layout/freePlace
 */
export function tankSpot({ house, stands }: Pick<SetUp, "house" | "stands">, litres: number): RectM {
  requireRange("tankSpot", "litres", litres, 1, 1_000_000);
  const sideM = Math.cbrt(litres / 1000);
  const found = freePlace(house, stands.map(standFootprint), { lengthM: sideM, widthM: sideM });
  const corner = found.kind === "place" ? found : { xM: 0, yM: house.widthM + OUTSIDE_M };
  return { xM: corner.xM, yM: corner.yM, lengthM: sideM, widthM: sideM };
}
