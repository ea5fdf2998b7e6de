import { requireRange, requireWhole } from "../units/range";
import { segmentAreaM2 } from "./segmentArea";

/** A dam at the outlet of a sloped line. */
export interface DammedLine {
  readonly section: "round" | "rect";
  /** Bore of a round line, width of a rectangular one. */
  readonly sizeMm: number;
  readonly damHeightMm: number;
  /** Drop as one in so many; 0 is level. */
  readonly fallOneIn: number;
  readonly lengthM: number;
  readonly lines: number;
}

/** Slices of the wedge: its area changes smoothly, so that Simpson's rule is far better than a tape measure. */
const WEDGE_SLICES = 200;

/**
 * Litres behind the dams of sloped lines: only a wedge, V = ∫ A(max(0, h − s·x)) dx, since the water reaches no further
 * upstream than h/s.
 *
 * @returns litres of all lines and how far upstream the water stands, m
 * @throws RangeError when an argument is outside its range
 * @source Simpson's rule over the wetted section; cases in tests/reference/place/held-water.json
 * @example dammedLineL({ section: "rect", sizeMm: 100, damHeightMm: 25, fallOneIn: 100, lengthM: 4, lines: 8 }).volumeL // 25
 */
export function dammedLineL(line: DammedLine): { readonly volumeL: number; readonly wettedLengthM: number } {
  requireRange("dammedLineL", "sizeMm", line.sizeMm, 1, 5000);
  requireRange("dammedLineL", "damHeightMm", line.damHeightMm, 0, 2000);
  requireRange("dammedLineL", "fallOneIn", line.fallOneIn, 0, 10_000);
  requireRange("dammedLineL", "lengthM", line.lengthM, 0, 500);
  requireWhole("dammedLineL", "lines", line.lines, 0, 1_000_000);
  const areaM2 = (depthMm: number) =>
    line.section === "round"
      ? segmentAreaM2(line.sizeMm, depthMm)
      : (line.sizeMm / 1000) * (Math.max(0, depthMm) / 1000);
  const dropMmPerM = line.fallOneIn === 0 ? 0 : 1000 / line.fallOneIn;
  const wettedLengthM = dropMmPerM === 0 ? line.lengthM : Math.min(line.lengthM, line.damHeightMm / dropMmPerM);
  const stepM = wettedLengthM / WEDGE_SLICES;
  let sum = 0;
  for (let slice = 0; slice <= WEDGE_SLICES; slice++) {
    const weight = slice === 0 || slice === WEDGE_SLICES ? 1 : slice % 2 === 1 ? 4 : 2;
    sum += weight * areaM2(line.damHeightMm - dropMmPerM * slice * stepM);
  }
  return { volumeL: ((sum * stepM) / 3) * 1000 * line.lines, wettedLengthM };
}
