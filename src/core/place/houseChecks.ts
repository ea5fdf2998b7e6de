import { fitsIn } from "./fit";
import { requireHouse, requireRect } from "./requireRect";
import type { PlacedStand } from "./stand";
import { standFootprint, type RectM } from "./standLayout";
import { LEAST_AISLE_M } from "./linesIntoHouse";

export interface HouseShape {
  readonly lengthM: number;
  readonly widthM: number;
}

/** Two stands nearer than this are meant to touch. */
const BACK_TO_BACK_M = 0.05;

/** What is wrong where stands stand, and with which. */
export type HouseClash =
  | {
      readonly kind: "outside";
      readonly stands: readonly [number];
      readonly name: string;
      /** What the stand needs, and what the house has. */
      readonly rect: RectM;
      readonly house: HouseShape;
    }
  | { readonly kind: "overlap"; readonly stands: readonly [number, number]; readonly names: readonly [string, string] };

/** A way between two stands that is too narrow to walk. */
export interface NarrowWay {
  readonly names: readonly [string, string];
  readonly wayM: number;
  readonly leastM: number;
}

/**
 * Finds stands that reach out of their house or overlap.
 *
 * @returns one finding each, none when the layout is sound
 * @source interval overlap of rectangles
 */
export function houseClashes(house: HouseShape, stands: readonly PlacedStand[]): HouseClash[] {
  requireHouse("houseClashes", house);
  const placed = stands.map((stand) => ({ stand, rect: standFootprint(stand) }));
  const outside = placed
    .filter(({ rect }) => !isInside(rect, house))
    .map(({ stand, rect }): HouseClash => ({
      kind: "outside",
      stands: [stand.id],
      name: stand.name,
      rect,
      house: { lengthM: house.lengthM, widthM: house.widthM },
    }));
  const overlaps = placed.flatMap((first, index) =>
    placed
      .slice(index + 1)
      .filter((second) => overlap(first.rect, second.rect))
      .map((second): HouseClash => ({
        kind: "overlap",
        stands: [first.stand.id, second.stand.id],
        names: [first.stand.name, second.stand.name],
      })),
  );
  return [...outside, ...overlaps];
}

/** Houses of a garden that overlap, by name. */
export function houseOverlaps(houses: readonly (RectM & { readonly name: string })[]): (readonly [string, string])[] {
  for (const house of houses) requireRect("houseOverlaps", house);
  return houses.flatMap((first, index) =>
    houses
      .slice(index + 1)
      .filter((second) => overlap(first, second))
      .map((second) => [first.name, second.name] as const),
  );
}

/** What a stand would do wrong where it is put, or null: it is all that a change of one stand can spoil. */
export function clashOf(house: HouseShape, stand: PlacedStand, others: readonly PlacedStand[]): HouseClash | null {
  requireHouse("clashOf", house);
  const rect = standFootprint(stand);
  if (!isInside(rect, house)) return houseClashes(house, [stand])[0]!;
  const other = others.find((one) => one.id !== stand.id && overlap(rect, standFootprint(one)));
  return other ? houseClashes(house, [stand, other]).find(({ kind }) => kind === "overlap")! : null;
}

/** Ways between neighbours that are too narrow to walk. @source least aisle, docs/formulas.md */
export function narrowWays(stands: readonly PlacedStand[]): NarrowWay[] {
  const placed = stands.map((stand) => ({ stand, rect: standFootprint(stand) }));
  return placed.flatMap((first, index) =>
    placed.slice(index + 1).flatMap((second) => {
      const wayM = wayBetween(first.rect, second.rect);
      return wayM !== null && wayM > BACK_TO_BACK_M && wayM < LEAST_AISLE_M - 1e-9
        ? [{ names: [first.stand.name, second.stand.name], wayM, leastM: LEAST_AISLE_M }]
        : [];
    }),
  );
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
    fitsIn(0, rect.xM) &&
    fitsIn(0, rect.yM) &&
    fitsIn(rect.xM + rect.lengthM, house.lengthM) &&
    fitsIn(rect.yM + rect.widthM, house.widthM)
  );
}

/** A millimetre of overlap is a drawing matter, not a clash. */
function overlap(a: RectM, b: RectM): boolean {
  const apart =
    fitsIn(a.xM + a.lengthM, b.xM) ||
    fitsIn(b.xM + b.lengthM, a.xM) ||
    fitsIn(a.yM + a.widthM, b.yM) ||
    fitsIn(b.yM + b.widthM, a.yM);
  return !apart;
}
