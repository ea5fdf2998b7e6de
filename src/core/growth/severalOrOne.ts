import { GREATEST, requireRange } from "../units/range";
import { cellsToSow, type CellsToSow, type SowingWish } from "./cellsToSow";

/** Seed as it is sown, and what it costs. */
export interface SeedSort {
  readonly germination: number;
  readonly seedsPerCell: number;
  readonly pricePerSeed: number;
}

/** One way to sow. */
export interface SeedWay extends CellsToSow {
  readonly seedCost: number;
  /** Cells in which nothing comes up, on average. */
  readonly emptyCells: number;
  /** Seedlings pulled so that one stays in a cell, on average. */
  readonly seedlingsPulled: number;
}

/**
 * One way to fill cells with one plant each: cells, cost, and what is empty or pulled.
 *
 * @param wish target, later survival and confidence
 * @returns null where the seed never comes up
 * @throws RangeError when a figure is outside its range
 * @source expectation: a cell is empty with chance (1 − g)^seeds; of the seedlings that come up, one a cell stays;
 * tests/reference/growth/sowing.json, compare
 */
export function seedWay(
  wish: Pick<SowingWish, "targetPlants" | "laterSurvival" | "confidence">,
  { germination, seedsPerCell, pricePerSeed }: SeedSort,
): SeedWay | null {
  requireRange("seedWay", "pricePerSeed", pricePerSeed, 0, GREATEST);
  const found = cellsToSow({ ...wish, germination, seedsPerCell });
  if ("kind" in found) return null;
  const { cells, seeds, perCellSuccess } = found;
  return {
    ...found,
    seedCost: seeds * pricePerSeed,
    emptyCells: cells * (1 - perCellSuccess),
    seedlingsPulled: Math.max(0, seeds * germination - cells * perCellSuccess),
  };
}
