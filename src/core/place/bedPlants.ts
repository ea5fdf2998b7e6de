import { sitesIn } from "./fit";
import { requireRange, requireWhole } from "../units/range";
import { lineSites } from "./lineSites";

export interface BedShape {
  readonly lengthM: number;
  readonly widthM: number;
  /** From an end of the bed to the first plant of a full row. */
  readonly endMarginM: number;
  /** From the side of the bed to the outer rows. */
  readonly edgeMarginM: number;
  readonly rows: number;
  /** In-row distance. */
  readonly pitchM: number;
  readonly pattern: "square" | "staggered";
}

export interface BedPlants {
  readonly plants: number;
  readonly plantsByRow: readonly number[];
  /** Distance between rows; null for a single row. */
  readonly rowGapM: number | null;
  /** Smallest distance between two plants; null with fewer than two. */
  readonly nearestNeighbourM: number | null;
}

/**
 * Plants of a bed with rows in square or staggered pattern. In a staggered bed every second row starts half a
 * pitch later and may hold one plant fewer. Row gap = (width − 2·edge)/(rows − 1).
 *
 * @returns plants in all and by row, row gap, nearest neighbour (square min(p, gap); staggered
 *   min(p, √((p/2)² + gap²)), and 2·gap too from three rows on)
 * @throws RangeError when an argument is outside its range
 * @source plane geometry; cases in tests/reference/place/counts.json
 * @example bedPlants({ lengthM: 6, widthM: 1.2, endMarginM: 0.1, edgeMarginM: 0.15, rows: 4, pitchM: 0.2, pattern: "staggered" }).plants // 118
 */
export function bedPlants(bed: BedShape): BedPlants {
  requireWhole("bedPlants", "rows", bed.rows, 1, 200);
  requireRange("bedPlants", "widthM", bed.widthM, 0, 100);
  requireRange("bedPlants", "edgeMarginM", bed.edgeMarginM, 0, bed.widthM / 2);
  const full = lineSites(bed.lengthM, bed.endMarginM, bed.pitchM).sites;
  const later = sitesFromShiftedStart(bed);
  const plantsByRow = Array.from({ length: bed.rows }, (_, row) =>
    bed.pattern === "staggered" && row % 2 === 1 ? later : full,
  );
  const rowGapM = bed.rows > 1 ? (bed.widthM - 2 * bed.edgeMarginM) / (bed.rows - 1) : null;
  return {
    plants: plantsByRow.reduce((sum, count) => sum + count, 0),
    plantsByRow,
    rowGapM,
    nearestNeighbourM: nearestNeighbour(bed, plantsByRow, rowGapM),
  };
}

function sitesFromShiftedStart(bed: BedShape): number {
  const roomM = bed.lengthM - 2 * bed.endMarginM;
  const shiftedM = roomM - bed.pitchM / 2;
  return sitesIn(shiftedM, bed.pitchM);
}

function nearestNeighbour(bed: BedShape, byRow: readonly number[], gapM: number | null): number | null {
  const candidates: number[] = [];
  if (byRow.some((count) => count > 1)) candidates.push(bed.pitchM);
  if (gapM !== null) {
    const diagonalM = bed.pattern === "square" ? gapM : Math.hypot(bed.pitchM / 2, gapM);
    if ((byRow[0] ?? 0) > 0 && (byRow[1] ?? 0) > 0) candidates.push(diagonalM);
    if (bed.pattern === "staggered" && byRow.length > 2 && (byRow[0] ?? 0) > 0) candidates.push(2 * gapM);
  }
  return candidates.length ? Math.min(...candidates) : null;
}
