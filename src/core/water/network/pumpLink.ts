import { curveOf, type KnownPump, type PumpCurve } from "../pumpCurve";
import type { LinkLaw } from "./laws";

/** A pump as a link: it gives head where a pipe takes it. */
export interface PumpLink {
  readonly link: LinkLaw;
  /** What it adds at a flow, m. */
  headM(flowLph: number): number;
  readonly curve: PumpCurve;
  /** At less flow than here the curve is humped: the head rises with the flow, and the pump may not run steadily. 0 on a falling curve. */
  readonly steadyFromLph: number;
}

const SCAN_STEPS = 200;
/** Past its last point a pump is taken to give no more: its head falls by so many heads of its own within its last flow. */
const STEEP = 1e5;

/**
 * A pump's curve as a link of a tree. Left of a hump the greatest head is taken, so that the crossing at the larger flow is
 * found; past the last point the flow hardly grows, as nothing is known of it.
 *
 * @throws RangeError when a figure of the pump is outside its range
 * @source as curveOf
 */
export function pumpLink(pump: KnownPump): PumpLink {
  const curve = curveOf(pump);
  const { firstFlowLph, lastFlowLph } = curve;
  const steadyFromLph = peakOf(curve);
  const peakM = curve.headM(steadyFromLph);
  const steep = (STEEP * Math.max(0.1, peakM)) / lastFlowLph;
  const lastM = curve.headM(lastFlowLph);
  const headM = (flowLph: number) => {
    if (flowLph > lastFlowLph) return lastM - steep * (flowLph - lastFlowLph);
    return flowLph <= steadyFromLph ? peakM : curve.headM(flowLph);
  };
  const link: LinkLaw = (flowsLph, first, end, lossesM, slopes) => {
    for (let at = first; at < end; at++) {
      const flowLph = flowsLph[at]!;
      lossesM[at] = -headM(flowLph);
      slopes[at] = flowLph <= steadyFromLph ? 0 : flowLph > lastFlowLph ? steep : Math.max(0, -curve.slope(flowLph));
    }
  };
  return { link, headM, curve, steadyFromLph: steadyFromLph > firstFlowLph ? steadyFromLph : 0 };
}

/** The flow of its greatest head, refined by thirds between two steps of a scan. */
function peakOf({ firstFlowLph, lastFlowLph, headM }: PumpCurve): number {
  const flowAt = (step: number) =>
    step === SCAN_STEPS ? lastFlowLph : firstFlowLph + ((lastFlowLph - firstFlowLph) * step) / SCAN_STEPS;
  let best = 0;
  for (let step = 1; step <= SCAN_STEPS; step++) if (headM(flowAt(step)) > headM(flowAt(best))) best = step;
  if (best === 0) return firstFlowLph;
  let [low, high] = [flowAt(best - 1), flowAt(Math.min(SCAN_STEPS, best + 1))];
  for (let round = 0; round < 60; round++) {
    const third = (high - low) / 3;
    if (headM(low + third) < headM(high - third)) low += third;
    else high -= third;
  }
  return (low + high) / 2;
}
