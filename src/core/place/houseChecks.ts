import type { PlacedStand } from "./stand";
import { standFootprint, type RectM } from "./standLayout";
import { LEAST_AISLE_M } from "./linesIntoHouse";
import { told } from "../units/told";

export interface HouseShape {
  readonly lengthM: number;
  readonly widthM: number;
}

/** A millimetre of overlap is a drawing matter, not a clash. */
const TOUCH_M = 0.001;

/** Two stands nearer than this are meant to touch. */
const BACK_TO_BACK_M = 0.05;

/** What is wrong where stands stand, and with which. */
export interface HouseClash {
  readonly kind: "outside" | "overlap";
  readonly stands: readonly number[];
  readonly message: string;
}

/**
 * Finds stands that reach out of their house or lie over one another.
 *
 * @returns one finding each, none when the layout is sound
 * @source interval overlap of rectangles
 */
export function houseClashes(house: HouseShape, stands: readonly PlacedStand[]): HouseClash[] {
  const placed = stands.map((stand) => ({ stand, rect: standFootprint(stand) }));
  const outside = placed
    .filter(({ rect }) => !isInside(rect, house))
    .map(({ stand, rect }): HouseClash => ({
      kind: "outside",
      stands: [stand.id],
      message: `${stand.name} reaches out of the house: it needs ${describe(rect)}, the house is ${told(house.lengthM, "length")} by ${told(house.widthM, "length")}.`,
    }));
  const overlaps = placed.flatMap((first, index) =>
    placed
      .slice(index + 1)
      .filter((second) => overlap(first.rect, second.rect))
      .map((second): HouseClash => ({
        kind: "overlap",
        stands: [first.stand.id, second.stand.id],
        message: `${first.stand.name} and ${second.stand.name} lie over one another.`,
      })),
  );
  return [...outside, ...overlaps];
}

/** Houses of a garden that lie over one another, in plain words. */
export function houseOverlaps(houses: readonly (RectM & { readonly name: string })[]): string[] {
  return houses.flatMap((first, index) =>
    houses
      .slice(index + 1)
      .filter((second) => overlap(first, second))
      .map((second) => `${first.name} and ${second.name} lie over one another in the garden.`),
  );
}

/** What a stand would do wrong where it is put, or null: it is all that a change of one stand can spoil. */
export function clashOf(house: HouseShape, stand: PlacedStand, others: readonly PlacedStand[]): HouseClash | null {
  const rect = standFootprint(stand);
  if (!isInside(rect, house)) return houseClashes(house, [stand])[0]!;
  const other = others.find((one) => one.id !== stand.id && overlap(rect, standFootprint(one)));
  return other ? houseClashes(house, [stand, other]).find(({ kind }) => kind === "overlap")! : null;
}

/** Ways between neighbours that are too narrow to walk, in plain words. @source least aisle, docs/formulas.md */
export function narrowWays(stands: readonly PlacedStand[]): string[] {
  const placed = stands.map((stand) => ({ stand, rect: standFootprint(stand) }));
  return placed.flatMap((first, index) =>
    placed.slice(index + 1).flatMap((second) => {
      const wayM = wayBetween(first.rect, second.rect);
      return wayM !== null && wayM > BACK_TO_BACK_M && wayM < LEAST_AISLE_M - 1e-9
        ? [`Between ${first.stand.name} and ${second.stand.name} ${told(wayM, "length")} is left: too narrow to walk, ${told(LEAST_AISLE_M, "length")} is the least.`]
        : [];
    }),
  ); // prettier-ignore
}

/** Free width between two rectangles that face one another along more than half a metre; null when they do not. */
function wayBetween(a: RectM, b: RectM): number | null {
  const gapX = Math.max(a.xM - (b.xM + b.lengthM), b.xM - (a.xM + a.lengthM));
  const gapY = Math.max(a.yM - (b.yM + b.widthM), b.yM - (a.yM + a.widthM));
  if (gapX >= 0 === gapY >= 0) return null;
  const facesM = gapX >= 0 ? -gapY : -gapX;
  return facesM > 0.5 ? Math.max(gapX, gapY) : null;
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
