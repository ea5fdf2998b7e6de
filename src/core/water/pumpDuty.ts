import { GRAVITY_M_PER_S2, pipeHeadLossM, WATER_KG_PER_M3, type PipeRun } from "./pipeFriction";
import { pumpCurve, type PumpPoint } from "./pumpCurve";

export interface PumpSystem {
  readonly points: readonly PumpPoint[];
  /** Highest outlet over the water surface in the tank; negative when the tank stands higher. */
  readonly staticLiftM: number;
  /** Head wanted at the outlet (0 for open spigots). */
  readonly headWantedM: number;
  readonly pipe: PipeRun;
}

/** What the pump does: it cannot lift; or it works at a point; or it would run past the end of its table. */
export type PumpDuty =
  | { readonly kind: "cannot-lift"; readonly flowLph: 0; readonly headM: number; readonly neededHeadM: number }
  | { readonly kind: "works"; readonly flowLph: number; readonly headM: number; readonly lossM: number; readonly hydraulicW: number }
  | { readonly kind: "past-end"; readonly flowLph: number; readonly headM: number; readonly lossM: number; readonly hydraulicW: number }; // prettier-ignore

/** Tolerance of the duty flow, far under what a bucket and a watch can tell. */
const FLOW_TOLERANCE_LPH = 1e-6;
const SCAN_STEPS = 400;

/**
 * Duty point: where the pump's head equals static lift + head wanted + friction + fittings. On a humped curve the
 * crossing at the larger flow is taken.
 *
 * @returns flow (L/h), pump head (m), head lost (m), hydraulic power ρ·g·Q·H (W)
 * @throws RangeError for a curve or pipe out of range
 * @source energy balance; cases in tests/reference/water/pump.json
 */
export function pumpDuty(system: PumpSystem): PumpDuty {
  const curve = pumpCurve(system.points);
  const liftM = system.staticLiftM + system.headWantedM;
  if (liftM >= curve.shutOffHeadM)
    return { kind: "cannot-lift", flowLph: 0, headM: curve.shutOffHeadM, neededHeadM: liftM };
  const surplusM = (flowLph: number) => curve.headM(flowLph) - liftM - pipeHeadLossM(flowLph, system.pipe);
  if (surplusM(curve.lastFlowLph) >= 0)
    return duty("past-end", curve.lastFlowLph, curve.headM(curve.lastFlowLph), system);
  // Scanned from the far end, so that a humped curve gives its larger flow.
  let high = curve.lastFlowLph;
  let low = high;
  for (let step = SCAN_STEPS - 1; step >= 0 && surplusM(low) < 0; step--) {
    high = low;
    low = (curve.lastFlowLph * step) / SCAN_STEPS;
  }
  while (high - low > FLOW_TOLERANCE_LPH) {
    const middle = (low + high) / 2;
    if (surplusM(middle) >= 0) low = middle;
    else high = middle;
  }
  return duty("works", low, curve.headM(low), system);
}

function duty(kind: "works" | "past-end", flowLph: number, headM: number, system: PumpSystem): PumpDuty {
  const hydraulicW = WATER_KG_PER_M3 * GRAVITY_M_PER_S2 * (flowLph / 3_600_000) * headM;
  return { kind, flowLph, headM, lossM: pipeHeadLossM(flowLph, system.pipe), hydraulicW };
}
