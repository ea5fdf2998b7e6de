import { requireRange, requireWhole } from "../units/range";
import { fitsIn } from "./fit";

/** Narrowest aisle that is laid out unless somebody insists, and one that a chair passes. */
export const LEAST_AISLE_M = 0.6;
export const ACCESSIBLE_AISLE_M = 0.9;

/** The aisle that is laid out: one under the least is raised to it, unless it is insisted on. */
export function aisleUsed(
  aisleM: number,
  insisted: boolean,
): { readonly aisleUsedM: number; readonly raised: boolean } {
  requireRange("aisleUsed", "aisleM", aisleM, 0, 50);
  const raised = !insisted && aisleM < LEAST_AISLE_M - 1e-9;
  return { aisleUsedM: raised ? LEAST_AISLE_M : aisleM, raised };
}

export interface HouseFill {
  readonly houseWidthM: number;
  readonly lineWidthM: number;
  /** Between two lines of a block. */
  readonly gapM: number;
  readonly aisleM: number;
  readonly linesPerBlock: number;
  /** Kept free along each side wall. */
  readonly sideClearanceM: number;
  /** A narrower aisle is meant. */
  readonly aisleInsisted: boolean;
}

export interface LinesAcross {
  readonly linesAcross: number;
  readonly aisles: number;
  readonly aisleUsedM: number;
  readonly usedWidthM: number;
  readonly leftOverM: number;
  readonly aisleRaisedToMinimum: boolean;
  readonly accessibleAisle: boolean;
}

/**
 * How many lines stand side by side across a house, in blocks with an aisle between them. An aisle under 0.6 m is raised
 * to that unless it is insisted on.
 *
 * @param fill widths in m; lines per block 1–2000
 * @throws RangeError when an argument is outside its range
 * @source sum of widths, gaps and aisles; cases in tests/reference/place/counts.json
 * @example linesIntoHouse({ houseWidthM: 6, lineWidthM: 0.1, gapM: 0.1, aisleM: 0.6, linesPerBlock: 4, sideClearanceM: 0.2, aisleInsisted: false }).linesAcross // 18
 */
export function linesIntoHouse(fill: HouseFill): LinesAcross {
  requireRange("linesIntoHouse", "houseWidthM", fill.houseWidthM, 0, 500);
  requireRange("linesIntoHouse", "lineWidthM", fill.lineWidthM, 0.005, 500);
  requireRange("linesIntoHouse", "gapM", fill.gapM, 0, 50);
  requireRange("linesIntoHouse", "aisleM", fill.aisleM, 0, 50);
  requireRange("linesIntoHouse", "sideClearanceM", fill.sideClearanceM, 0, 250);
  requireWhole("linesIntoHouse", "linesPerBlock", fill.linesPerBlock, 1, 2000);
  const { aisleUsedM, raised } = aisleUsed(fill.aisleM, fill.aisleInsisted);
  const roomM = fill.houseWidthM - 2 * fill.sideClearanceM;
  const widthOf = (lines: number) => {
    const aisles = Math.max(0, Math.ceil(lines / fill.linesPerBlock) - 1);
    return lines * fill.lineWidthM + Math.max(0, lines - 1 - aisles) * fill.gapM + aisles * aisleUsedM;
  };
  let lines = 0;
  while (fitsIn(widthOf(lines + 1), roomM)) lines++;
  const usedWidthM = widthOf(lines);
  return {
    linesAcross: lines,
    aisles: Math.max(0, Math.ceil(lines / fill.linesPerBlock) - 1),
    aisleUsedM,
    usedWidthM,
    leftOverM: Math.max(0, roomM - usedWidthM),
    aisleRaisedToMinimum: raised,
    accessibleAisle: aisleUsedM >= ACCESSIBLE_AISLE_M - 1e-9,
  };
}
