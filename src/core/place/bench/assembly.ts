import { requireRange, requireWhole } from "../../units/range";

/** Something built of pieces and fittings in a row. */
export interface Assembly {
  readonly name: string;
  readonly pieces: readonly { readonly lengthMm: number; readonly count: number }[];
  /** Each adds its take-up on one side or on both. */
  readonly fittings: readonly {
    readonly name: string;
    readonly count: number;
    readonly takeUpMm: number;
    readonly sides: number;
  }[];
  /** What it has to go with. */
  readonly otherMm: number;
  /** A thing that goes between its ends, or a space that it goes into. */
  readonly way: "takes-a-piece" | "fits-a-space";
}

export interface Clearance {
  readonly totalMm: number;
  /** Room left; under 0 it does not go. */
  readonly playMm: number;
  readonly verdict: "too-long" | "exact" | "tight" | "fits";
}

/** Less than this, a saw, a burr or a warm day takes up. */
const TIGHT_MM = 3;
const EQUAL_MM = 0.05;

/**
 * Length of an assembly = sum of its pieces + take-up of its fittings on their sides, and the room that is left beside what
 * it has to go with. A cross member exactly as long as the thing that must fit between its posts leaves none.
 *
 * @throws RangeError when a length is outside its range
 * @source sums; docs/formulas.md
 * @example clearance({ pieces: [{ lengthMm: 600, count: 1 }], fittings: [], otherMm: 600, way: "takes-a-piece", name: "rail" }).verdict // "exact"
 */
export function clearance(assembly: Assembly): Clearance {
  for (const { lengthMm, count } of assembly.pieces) {
    requireRange("clearance", "lengthMm", lengthMm, 0, 100_000);
    requireWhole("clearance", "count", count, 0, 10_000);
  }
  for (const { takeUpMm, sides, count } of assembly.fittings) {
    requireWhole("clearance", "count", count, 0, 10_000);
    requireRange("clearance", "takeUpMm", takeUpMm, -1000, 1000);
    requireRange("clearance", "sides", sides, 1, 2);
  }
  requireRange("clearance", "otherMm", assembly.otherMm, 0, 100_000);
  const piecesMm = assembly.pieces.reduce((sum, { lengthMm, count }) => sum + lengthMm * count, 0);
  const fittingsMm = assembly.fittings.reduce((sum, { count, takeUpMm, sides }) => sum + count * takeUpMm * sides, 0);
  const totalMm = piecesMm + fittingsMm;
  const playMm = assembly.way === "takes-a-piece" ? totalMm - assembly.otherMm : assembly.otherMm - totalMm;
  const verdict =
    Math.abs(playMm) < EQUAL_MM ? "exact" : playMm < 0 ? "too-long" : playMm < TIGHT_MM ? "tight" : "fits";
  return { totalMm, playMm, verdict };
}
