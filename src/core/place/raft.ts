import { requireRange } from "../units/range";
import { sitesIn } from "./fit";

export type Packing = "square" | "hexagonal";

export interface RaftShape {
  readonly lengthM: number;
  readonly widthM: number;
  /** From every edge to the centre of the nearest hole. */
  readonly edgeMarginM: number;
  readonly pitchM: number;
  readonly packing: Packing;
}

export interface RaftSites {
  readonly sites: number;
  readonly sitesRowsAlongLength: number;
  readonly sitesRowsAlongWidth: number;
  /** Which way the rows run in the better of the two; "either" when both hold the same. */
  readonly rowsAlong: "length" | "width" | "either";
  readonly plantsByRow: readonly number[];
}

/**
 * Sites of a raft or a media bed: rows of holes in a rectangle with an edge margin. Hexagonal rows lie p·√3/2 apart and
 * every second one starts p/2 later; both orientations are counted row by row, and the better is kept.
 *
 * @param raft lengths in m: sides 0–500, margin 0–50, pitch 0.005–50
 * @throws RangeError when an argument is outside its range
 * @source plane geometry; cases in tests/reference/place/counts.json
 * @example raftSites({ lengthM: 1.2, widthM: 0.6, edgeMarginM: 0.1, pitchM: 0.2, packing: "hexagonal" }).sites // 17
 */
export function raftSites(raft: RaftShape): RaftSites {
  requireRange("raftSites", "lengthM", raft.lengthM, 0, 500);
  requireRange("raftSites", "widthM", raft.widthM, 0, 500);
  requireRange("raftSites", "edgeMarginM", raft.edgeMarginM, 0, 50);
  requireRange("raftSites", "pitchM", raft.pitchM, 0.005, 50);
  const alongLength = rows(raft.lengthM, raft.widthM, raft);
  const alongWidth = rows(raft.widthM, raft.lengthM, raft);
  const [a, b] = [sum(alongLength), sum(alongWidth)];
  return {
    sites: Math.max(a, b),
    sitesRowsAlongLength: a,
    sitesRowsAlongWidth: b,
    rowsAlong: a === b ? "either" : a > b ? "length" : "width",
    plantsByRow: a >= b ? alongLength : alongWidth,
  };
}

/** Holes of each row, rows running along one side and stacked across the other. */
function rows(alongM: number, acrossM: number, { edgeMarginM, pitchM, packing }: RaftShape): number[] {
  const rowGapM = packing === "square" ? pitchM : (pitchM * Math.sqrt(3)) / 2;
  const roomM = alongM - 2 * edgeMarginM;
  const count = sitesIn(acrossM - 2 * edgeMarginM, rowGapM);
  return Array.from({ length: count }, (_, row) =>
    sitesIn(packing === "hexagonal" && row % 2 === 1 ? roomM - pitchM / 2 : roomM, pitchM),
  );
}

function sum(counts: readonly number[]): number {
  return counts.reduce((total, count) => total + count, 0);
}

/** Where the holes of a raft are, seen from above: x along its length, y across. */
export function raftPoints(raft: RaftShape): { readonly xM: number; readonly yM: number }[] {
  const { rowsAlong, plantsByRow } = raftSites(raft);
  const rowGapM = raft.packing === "square" ? raft.pitchM : (raft.pitchM * Math.sqrt(3)) / 2;
  return plantsByRow.flatMap((count, row) => {
    const shiftM = raft.packing === "hexagonal" && row % 2 === 1 ? raft.pitchM / 2 : 0;
    const acrossM = raft.edgeMarginM + row * rowGapM;
    return Array.from({ length: count }, (_, site) => {
      const alongM = raft.edgeMarginM + shiftM + site * raft.pitchM;
      return rowsAlong === "width" ? { xM: acrossM, yM: alongM } : { xM: alongM, yM: acrossM };
    });
  });
}
