import { GREATEST, requireFigures, requireRange } from "../units/range";
/** A point of a maker's table. */
export interface PumpPoint {
  readonly flowLph: number;
  readonly headM: number;
}

/** What is known of a pump: its maker's table, or the two figures of its label. */
export type KnownPump =
  | { readonly kind: "table"; readonly points: readonly PumpPoint[] }
  | { readonly kind: "label"; readonly flowAtNoLiftLph: number; readonly greatestLiftM: number };

/** A pump curve between its first and its last point; nothing is known outside them. */
export interface PumpCurve {
  /** Head at the first point: at no flow, where the table begins there. */
  readonly firstHeadM: number;
  readonly firstFlowLph: number;
  readonly lastFlowLph: number;
  /** @throws RangeError for a flow outside the table */
  headM(flowLph: number): number;
  /** How the head changes with the flow, m for each L/h. @throws RangeError for a flow outside the table */
  slope(flowLph: number): number;
}

/** The curve of a pump, from its table or its label. */
export function curveOf(pump: KnownPump): PumpCurve {
  return pump.kind === "table" ? pumpCurve(pump.points) : labelPumpCurve(pump.flowAtNoLiftLph, pump.greatestLiftM);
}

/**
 * A pump curve guessed from a label: H = H0·(1 − (Q/Q0)²). An estimate; nothing is known beyond Q0.
 *
 * @param flowAtNoLiftLph Q0, 1–1 000 000 L/h
 * @param greatestLiftM H0, 0.05–1000 m
 * @throws RangeError when an argument is outside its range
 * @source parabola through the two figures that a label gives; tests/reference/water/series.json, "labelPump"
 * @example labelPumpCurve(800, 1.8).headM(400) // 1.35
 */
export function labelPumpCurve(flowAtNoLiftLph: number, greatestLiftM: number): PumpCurve {
  requireRange("labelPumpCurve", "flowAtNoLiftLph", flowAtNoLiftLph, 1, 1_000_000);
  requireRange("labelPumpCurve", "greatestLiftM", greatestLiftM, 0.05, 1000);
  return {
    firstHeadM: greatestLiftM,
    firstFlowLph: 0,
    lastFlowLph: flowAtNoLiftLph,
    headM(flowLph) {
      requireRange("labelPumpCurve", "flowLph", flowLph, 0, flowAtNoLiftLph);
      return greatestLiftM * (1 - (flowLph / flowAtNoLiftLph) ** 2);
    },
    slope(flowLph) {
      requireRange("labelPumpCurve", "flowLph", flowLph, 0, flowAtNoLiftLph);
      return (-2 * greatestLiftM * flowLph) / flowAtNoLiftLph ** 2;
    },
  };
}

/**
 * Shape-preserving cubic through a maker's points (PCHIP: weighted harmonic-mean slopes, three-point ends).
 *
 * @param points two or more, flow rising
 * @throws RangeError when there are fewer than two points or the flows do not rise
 * @source Fritsch and Butland 1984; Moler, Numerical Computing, ch. 3
 */
export function pumpCurve(points: readonly PumpPoint[]): PumpCurve {
  if (points.length < 2) throw new RangeError(`pumpCurve: points has ${points.length}; it must have at least 2`);
  points.forEach((point, index) => {
    requireFigures("pumpCurve", point, { flowLph: [0, GREATEST], headM: [0, 10_000] });
    if (index > 0 && !(point.flowLph > points[index - 1]!.flowLph))
      throw new RangeError(`pumpCurve: flowLph of point ${index + 1} is ${point.flowLph}; flows must rise`);
  });
  const slopes = pchipSlopes(points);
  const first = points[0]!;
  const last = points.at(-1)!;
  const pieceAt = (flowLph: number) => {
    requireRange("pumpCurve", "flowLph", flowLph, first.flowLph, last.flowLph);
    const next = Math.max(
      1,
      points.findIndex((point) => point.flowLph >= flowLph),
    );
    const [from, to] = [points[next - 1]!, points[next]!];
    const h = to.flowLph - from.flowLph;
    return { t: (flowLph - from.flowLph) / h, h, from, to, fromSlope: slopes[next - 1]!, toSlope: slopes[next]! };
  };
  return {
    firstHeadM: first.headM,
    firstFlowLph: first.flowLph,
    lastFlowLph: last.flowLph,
    headM(flowLph) {
      const { t, h, from, to, fromSlope, toSlope } = pieceAt(flowLph);
      return (
        (1 + 2 * t) * (1 - t) ** 2 * from.headM +
        t * (1 - t) ** 2 * h * fromSlope +
        t ** 2 * (3 - 2 * t) * to.headM +
        t ** 2 * (t - 1) * h * toSlope
      );
    },
    slope(flowLph) {
      const { t, h, from, to, fromSlope, toSlope } = pieceAt(flowLph);
      return (
        (6 * t * (t - 1) * (from.headM - to.headM)) / h + (1 - t) * (1 - 3 * t) * fromSlope + t * (3 * t - 2) * toSlope
      );
    },
  };
}

/**
 * The first point of a table at which its head rises though it had begun to fall, or the last where it never falls, counted
 * from 0. At its begin a curve may be humped.
 *
 * @returns null for a table as a pump may have it
 * @throws RangeError when a figure is outside its range
 * @source a pump gives less head the more it has to move
 */
export function risesAt(points: readonly PumpPoint[]): number | null {
  for (const point of points) requireFigures("risesAt", point, { flowLph: [0, GREATEST], headM: [0, 10_000] });
  const rises = points.map((point, at) => at > 0 && point.headM > points[at - 1]!.headM);
  const falls = points.findIndex((point, at) => at > 0 && point.headM < points[at - 1]!.headM);
  if (falls < 0) return points.length > 1 ? points.length - 1 : null;
  const again = rises.findIndex((one, at) => one && at > falls);
  return again < 0 ? null : again;
}

function pchipSlopes(points: readonly PumpPoint[]): number[] {
  const h = points.slice(1).map((point, i) => point.flowLph - points[i]!.flowLph);
  const delta = points.slice(1).map((point, i) => (point.headM - points[i]!.headM) / h[i]!);
  const n = points.length;
  if (n === 2) return [delta[0]!, delta[0]!];
  const inner = points.map((_, i) => {
    if (i === 0 || i === n - 1) return 0;
    const [d0, d1] = [delta[i - 1]!, delta[i]!];
    if (d0 * d1 <= 0) return 0;
    const w1 = 2 * h[i]! + h[i - 1]!;
    const w2 = h[i]! + 2 * h[i - 1]!;
    return (w1 + w2) / (w1 / d0 + w2 / d1);
  });
  inner[0] = endSlope(h[0]!, h[1]!, delta[0]!, delta[1]!);
  inner[n - 1] = endSlope(h[n - 2]!, h[n - 3]!, delta[n - 2]!, delta[n - 3]!);
  return inner;
}

function endSlope(h0: number, h1: number, d0: number, d1: number): number {
  const slope = ((2 * h0 + h1) * d0 - h0 * d1) / (h0 + h1);
  if (Math.sign(slope) !== Math.sign(d0)) return 0;
  return Math.sign(d0) !== Math.sign(d1) && Math.abs(slope) > 3 * Math.abs(d0) ? 3 * d0 : slope;
}
