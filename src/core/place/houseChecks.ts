import type { PlacedStand } from "./stand";
import { standFootprint, type RectM } from "./standLayout";
import { told } from "../units/told";

export interface HouseShape {
  readonly lengthM: number;
  readonly widthM: number;
}

/** A millimetre of overlap is a drawing matter, not a clash. */
const TOUCH_M = 0.001;

/**
 * Finds stands that reach out of their house or lie over one another.
 *
 * @returns one sentence per finding, none when the layout is sound
 * @source interval overlap of rectangles
 */
export function houseClashes(house: HouseShape, stands: readonly PlacedStand[]): string[] {
  const placed = stands.map((stand) => ({ stand, rect: standFootprint(stand) }));
  const outside = placed
    .filter(({ rect }) => !isInside(rect, house))
    .map(({ stand, rect }) => `${stand.name} reaches out of the house: it needs ${describe(rect)}.`);
  const overlaps = placed.flatMap((first, index) =>
    placed
      .slice(index + 1)
      .filter((second) => overlap(first.rect, second.rect))
      .map((second) => `${first.stand.name} and ${second.stand.name} lie over one another.`),
  );
  return [...outside, ...overlaps];
}

function isInside(rect: RectM, house: HouseShape): boolean {
  return (
    rect.xM >= -TOUCH_M &&
    rect.yM >= -TOUCH_M &&
    rect.xM + rect.lengthM <= house.lengthM + TOUCH_M &&
    rect.yM + rect.widthM <= house.widthM + TOUCH_M
  );
}

function overlap(a: RectM, b: RectM): boolean {
  return (
    a.xM + a.lengthM > b.xM + TOUCH_M &&
    b.xM + b.lengthM > a.xM + TOUCH_M &&
    a.yM + a.widthM > b.yM + TOUCH_M &&
    b.yM + b.widthM > a.yM + TOUCH_M
  );
}

function describe(rect: RectM): string {
  const span = (from: number, size: number) => `${told(from, "length")} to ${told(from + size, "length")}`;
  return `${span(rect.xM, rect.lengthM)} along and ${span(rect.yM, rect.widthM)} across`;
}
