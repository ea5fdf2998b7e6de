import { densities, type Densities } from "../density";
import type { StandSpec } from "../kinds";
import { standCounts } from "../standCounts";
import { standFootprint } from "../standLayout";
import { standWater } from "../standWater";
import type { LayoutDocument } from "./document";
import { materialList, type OnHand } from "./materials";

/** A layout in figures, to be set beside another. */
export interface LayoutFigures {
  readonly stands: number;
  readonly lines: number;
  readonly sites: number;
  readonly sitesByPool: Readonly<Record<string, number>>;
  readonly densities: Densities;
  readonly heldL: number;
  readonly drainBackL: number;
  /** Pieces of all kinds that it takes, and what everything costs at the shelf's prices as if nothing were on hand. */
  readonly pieces: number;
  readonly cost: number;
  readonly priced: number;
  readonly items: number;
}

/** The access strips count with a stand's ground. */
export function standGroundM2(stand: { readonly xM: number; readonly yM: number; readonly turned: boolean; readonly spec: StandSpec }): number {
  const { lengthM, widthM } = standFootprint(stand);
  const accessM = "accessM" in stand.spec ? stand.spec.accessM : 0;
  const [alongM, acrossM] = stand.turned ? [widthM, lengthM] : [lengthM, widthM];
  return alongM * (acrossM + 2 * accessM);
} // prettier-ignore

/**
 * Plants, densities, water and materials of a layout.
 * @source sums over its stands; densities as in densities()
 */
export function layoutFigures(layout: LayoutDocument, shelf: readonly OnHand[]): LayoutFigures {
  const counted = layout.stands.map((stand) => ({ stand, counts: standCounts(stand.spec), water: standWater(stand.spec) })); // prettier-ignore
  const sum = (of: (one: (typeof counted)[number]) => number) => counted.reduce((all, one) => all + of(one), 0);
  const sitesByPool: Record<string, number> = {};
  for (const { stand, counts } of counted) sitesByPool[stand.pool] = (sitesByPool[stand.pool] ?? 0) + counts.sites;
  const materials = materialList(layout.stands.map(({ spec }) => spec), 0, []); // prettier-ignore
  const price = (item: string) => shelf.find((one) => one.item === item)?.priceEach ?? 0;
  return {
    stands: counted.length,
    lines: sum(({ counts }) => counts.lines),
    sites: sum(({ counts }) => counts.sites),
    sitesByPool,
    densities: densities(
      sum(({ counts }) => counts.sites),
      Math.max(1e-9, sum(({ counts }) => counts.lines * counts.lineAreaM2)),
      Math.max(1e-9, sum(({ stand }) => standGroundM2(stand))),
      Math.max(1e-9, layout.houses.reduce((all, { lengthM, widthM }) => all + lengthM * widthM, 0)),
    ),
    heldL: sum(({ water }) => water.heldL),
    drainBackL: sum(({ water }) => water.drainBackL),
    pieces: materials.filter(({ unit }) => unit === "pieces").reduce((all, { quantity }) => all + quantity, 0),
    cost: materials.reduce((all, { item, quantity }) => all + quantity * price(item), 0),
    priced: materials.filter(({ item }) => price(item) > 0).length,
    items: materials.length,
  }; // prettier-ignore
}
