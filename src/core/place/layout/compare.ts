import { GREATEST, requireFigures } from "../../units/range";
import { requireLayout } from "./document";
import { densities, type Densities } from "../density";
import { standCounts } from "../standCounts";
import { LEAST_GROUND_M2, standGroundM2 } from "../standDensities";
import { standWater } from "../standWater";
import type { LayoutDocument } from "./document";
import { materialList, type OnHand } from "./materials";

/** A layout in figures, to be set beside another. */
export interface LayoutFigures {
  readonly lines: number;
  readonly sites: number;
  readonly densities: Densities;
  readonly heldL: number;
  readonly drainBackL: number;
  /** Pieces of all kinds that it takes, and what everything costs at the shelf's prices as if nothing were on hand. */
  readonly pieces: number;
  readonly cost: number;
  /** How many of them have a price. */
  readonly priced: number;
}

/**
 * Plants, densities, water and materials of a layout.
 * @source sums over its stands; densities as in densities()
 */
export function layoutFigures(layout: LayoutDocument, shelf: readonly OnHand[]): LayoutFigures {
  for (const own of shelf) requireFigures("layoutFigures", own, { onHand: [0, GREATEST], priceEach: [0, GREATEST] });
  requireLayout("layoutFigures", layout);
  const counted = layout.stands.map((stand) => ({
    stand,
    counts: standCounts(stand.spec),
    water: standWater(stand.spec),
  }));
  const sum = (of: (one: (typeof counted)[number]) => number) => counted.reduce((all, one) => all + of(one), 0);
  const materials = materialList(
    layout.stands.map(({ spec }) => spec),
    0,
    [],
  );
  const price = (id: string) => shelf.find((one) => one.id === id)?.priceEach ?? 0;
  return {
    lines: sum(({ counts }) => counts.lines),
    sites: sum(({ counts }) => counts.sites),
    densities: densities(
      sum(({ counts }) => counts.sites),
      Math.max(
        LEAST_GROUND_M2,
        sum(({ counts }) => counts.lines * counts.lineAreaM2),
      ),
      Math.max(
        LEAST_GROUND_M2,
        sum(({ stand }) => standGroundM2(stand)),
      ),
      Math.max(
        LEAST_GROUND_M2,
        layout.houses.reduce((all, { lengthM, widthM }) => all + lengthM * widthM, 0),
      ),
    ),
    heldL: sum(({ water }) => water.heldL),
    drainBackL: sum(({ water }) => water.drainBackL),
    pieces: materials.filter(({ unit }) => unit === "pieces").reduce((all, { quantity }) => all + quantity, 0),
    cost: materials.reduce((all, { id, quantity }) => all + quantity * price(id), 0),
    priced: materials.filter(({ id }) => price(id) > 0).length,
  };
}
