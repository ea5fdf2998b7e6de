import { requireSpec } from "../kinds/requireSpec";
import { modelOf, type StandSpec } from "../kinds";
import type { MaterialNeed } from "../kinds/model";
import { requireRange, GREATEST, requireFigures } from "../../units/range";

/** What is on the shelf of something, and what one of it costs. */
export interface OnHand {
  readonly id: string;
  readonly onHand: number;
  readonly priceEach: number;
}

export interface MaterialLine extends MaterialNeed {
  /** With the spare, whole for what is counted, else to a tenth. */
  readonly withSpare: number;
  readonly onHand: number;
  readonly toBuy: number;
  readonly cost: number;
}

/**
 * What stands are built from, the same things added up, with a spare, less what is on hand.
 *
 * @param spareShare 0–1 of what is needed
 * @throws RangeError when the share is outside its range
 * @source sums; to buy = max(0, ceil(need × (1 + spare)) − on hand)
 */
export function materialList(
  specs: readonly StandSpec[],
  spareShare: number,
  shelf: readonly OnHand[],
): MaterialLine[] {
  requireRange("materialList", "spareShare", spareShare, 0, 1);
  for (const spec of specs) requireSpec("materialList", spec);
  for (const own of shelf) requireFigures("materialList", own, { onHand: [0, GREATEST], priceEach: [0, GREATEST] });
  const needs = new Map<string, MaterialNeed>();
  for (const need of specs.flatMap((spec) => modelOf(spec).materials(spec))) {
    if (need.quantity <= 0) continue;
    const before = needs.get(need.id);
    needs.set(need.id, before ? { ...need, quantity: before.quantity + need.quantity } : need);
  }
  return [...needs.values()].map((need) => {
    const own = shelf.find(({ id }) => id === need.id);
    const step = need.unit === "pieces" ? 1 : 10;
    const withSpare = Math.ceil(need.quantity * (1 + spareShare) * step - 1e-6) / step;
    const onHand = own?.onHand ?? 0;
    const toBuy = Math.max(0, withSpare - onHand);
    return { ...need, withSpare, onHand, toBuy, cost: toBuy * (own?.priceEach ?? 0) };
  });
}
