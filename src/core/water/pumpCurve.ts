/** A point of a maker's table. */
export interface PumpPoint {
  readonly flowLph: number;
  readonly headM: number;
}

/** A pump curve between its first and its last point; there is no flow past the last. */
export interface PumpCurve {
  readonly shutOffHeadM: number;
  readonly lastFlowLph: number;
  readonly startsAtZeroFlow: boolean;
  headM(flowLph: number): number;
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
    if (index > 0 && !(point.flowLph > points[index - 1]!.flowLph))
      throw new RangeError(`pumpCurve: flowLph of point ${index + 1} is ${point.flowLph}; flows must rise`);
  });
  const slopes = pchipSlopes(points);
  const first = points[0]!;
  const last = points.at(-1)!;
  return {
    shutOffHeadM: first.headM,
    lastFlowLph: last.flowLph,
    startsAtZeroFlow: first.flowLph === 0,
    headM(flowLph) {
      const next = Math.max(
        1,
        points.findIndex((point) => point.flowLph >= flowLph),
      );
      const [a, b] = [points[next - 1]!, points[next]!];
      const h = b.flowLph - a.flowLph;
      const t = (flowLph - a.flowLph) / h;
      return (
        (1 + 2 * t) * (1 - t) ** 2 * a.headM +
        t * (1 - t) ** 2 * h * slopes[next - 1]! +
        t ** 2 * (3 - 2 * t) * b.headM +
        t ** 2 * (t - 1) * h * slopes[next]!
      );
    },
  };
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
