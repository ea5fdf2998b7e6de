import { wholeUp } from "../numeric/whole";
import { requireDay, type Day } from "../units/day";
import { GREATEST, requireFigures, requireRange } from "../units/range";

export interface SeedSown {
  readonly cells: number;
  readonly seedsPerCell: number;
  readonly seedsPerG: number;
  /** null: single cells, or trays that are not told. */
  readonly cellsPerTray: number | null;
  /** null: not told. */
  readonly pricePerG: number | null;
}

export interface SeedNeed {
  /** null where no tray is told. */
  readonly trays: number | null;
  /** Of whole trays, where they are told. */
  readonly cells: number;
  readonly seeds: number;
  readonly grams: number;
  readonly cost: number | null;
  readonly costPerTray: number | null;
}

/**
 * What a sowing takes: whole trays where they are told, seeds, grams and what they cost.
 *
 * @throws RangeError when a figure is outside its range
 * @source counting; tests/reference/growth/sowing.json, cells in whole trays
 * @example seedNeed({ cells: 60, seedsPerCell: 3, seedsPerG: 800, cellsPerTray: 50, pricePerG: 4.5 }).grams // 0.375
 */
export function seedNeed({ cells, seedsPerCell, seedsPerG, cellsPerTray, pricePerG }: SeedSown): SeedNeed {
  requireFigures(
    "seedNeed",
    { cells, seedsPerCell, seedsPerG, cellsPerTray, pricePerG },
    {
      cells: [0, GREATEST, "whole"],
      seedsPerCell: [1, 10_000, "whole"],
      seedsPerG: [0.001, 1_000_000],
      cellsPerTray: [1, 10_000, "whole"],
      pricePerG: [0, GREATEST],
    },
  );
  const trays = cellsPerTray === null ? null : wholeUp(cells / cellsPerTray);
  const sown = trays === null ? cells : trays * cellsPerTray!;
  const seeds = sown * seedsPerCell;
  const grams = seeds / seedsPerG;
  const cost = pricePerG === null ? null : grams * pricePerG;
  return { trays, cells: sown, seeds, grams, cost, costPerTray: cost === null || !trays ? null : cost / trays };
}

/**
 * Seed to buy beside what is on hand, and the last day to order it.
 *
 * @param firstSowDay it has to be there
 * @param leadDays from ordering to having it
 * @returns 0 g and no day where enough is on hand
 * @throws RangeError when a figure is outside its range
 * @source tests/reference/growth/sowing.json, orderBy
 */
export function seedToOrder(
  gramsNeeded: number,
  gramsOnHand: number,
  firstSowDay: Day,
  leadDays: number,
): { readonly gramsToBuy: number; readonly orderBy: Day | null } {
  requireRange("seedToOrder", "gramsNeeded", gramsNeeded, 0, GREATEST);
  requireRange("seedToOrder", "gramsOnHand", gramsOnHand, 0, GREATEST);
  requireDay("seedToOrder", "firstSowDay", firstSowDay);
  requireRange("seedToOrder", "leadDays", leadDays, 0, 365);
  const gramsToBuy = Math.max(0, gramsNeeded - gramsOnHand);
  if (gramsToBuy < 1e-9) return { gramsToBuy: 0, orderBy: null };
  return { gramsToBuy, orderBy: firstSowDay - Math.ceil(leadDays - 1e-9) };
}

/** How a variety is sown: by weight on trays, or so many seeds in a cell. */
export interface SownBy {
  readonly tray?: { readonly seedGPerTray: number } | null;
  readonly seedsPerCell: number;
  readonly seedsPerG: number;
}

/**
 * Seed of a sowing, g: by weight on trays, else by its count; as far as anybody weighs.
 *
 * @param cells or trays, 0–10 000 000
 * @throws RangeError when a figure is outside its range
 */
export function seedOfBatchG({ tray, seedsPerCell, seedsPerG }: SownBy, cells: number): number {
  requireFigures(
    "seedOfBatchG",
    { cells, seedsPerCell, seedsPerG, seedGPerTray: tray?.seedGPerTray ?? 0 },
    { cells: [0, 10_000_000], seedsPerCell: [1, 10_000], seedsPerG: [0.001, 1_000_000], seedGPerTray: [0, 100_000] },
  );
  return Math.min(GREATEST, tray ? cells * tray.seedGPerTray : (cells * seedsPerCell) / seedsPerG);
}
