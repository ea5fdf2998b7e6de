import { riseToZero } from "../numeric/riseToZero";
import { requireFigures } from "../units/range";
import { GRAVITY_M_PER_S2, WATER_KG_PER_M3 } from "../units/physics";
import { pipeHeadLossM, type PipeRun } from "./pipeFriction";
import { curveOf, type KnownPump } from "./pumpCurve";

export interface PumpSystem {
  readonly pump: KnownPump;
  /** Highest outlet over the water surface in the tank; negative when the tank stands higher. */
  readonly staticLiftM: number;
  /** Head wanted at the outlet (0 for open spigots). */
  readonly headWantedM: number;
  readonly pipe: PipeRun;
}

interface DutyPoint {
  readonly flowLph: number;
  readonly headM: number;
  readonly lossM: number;
  readonly hydraulicW: number;
}

/**
 * What the pump does: it cannot lift; it works at a point; it would run past the end of its table; or it would work at less
 * than the first flow of a table that does not begin at none, of which nothing is known.
 */
export type PumpDuty =
  | { readonly kind: "cannot-lift"; readonly flowLph: 0; readonly headM: number; readonly neededHeadM: number }
  | { readonly kind: "before-table"; readonly flowLph: 0; readonly firstFlowLph: number; readonly neededHeadM: number }
  | ({ readonly kind: "works" | "past-end" } & DutyPoint);

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
  requireFigures("pumpDuty", system, { staticLiftM: [-1000, 1000], headWantedM: [0, 1000] });
  const curve = curveOf(system.pump);
  const liftM = system.staticLiftM + system.headWantedM;
  if (curve.firstFlowLph === 0 && liftM >= curve.firstHeadM)
    return { kind: "cannot-lift", flowLph: 0, headM: curve.firstHeadM, neededHeadM: liftM };
  const surplusM = (flowLph: number) => curve.headM(flowLph) - liftM - pipeHeadLossM(flowLph, system.pipe);
  if (surplusM(curve.lastFlowLph) >= 0)
    return duty("past-end", curve.lastFlowLph, curve.headM(curve.lastFlowLph), system);
  // Scanned from the far end, so that a humped curve gives its larger flow.
  let high = curve.lastFlowLph;
  let low = high;
  for (let step = SCAN_STEPS - 1; step >= 0 && surplusM(low) < 0; step--) {
    high = low;
    low = curve.firstFlowLph + ((curve.lastFlowLph - curve.firstFlowLph) * step) / SCAN_STEPS;
  }
  if (surplusM(low) < 0)
    return { kind: "before-table", flowLph: 0, firstFlowLph: curve.firstFlowLph, neededHeadM: liftM };
  const flowLph = riseToZero(low, high, (flow) => -surplusM(flow));
  return duty("works", flowLph, curve.headM(flowLph), system);
}

function duty(kind: "works" | "past-end", flowLph: number, headM: number, system: PumpSystem): PumpDuty {
  const hydraulicW = hydraulicPowerW(flowLph, headM);
  return { kind, flowLph, headM, lossM: pipeHeadLossM(flowLph, system.pipe), hydraulicW };
}

/** Power that water takes up: ρ·g·Q·H, W. @throws RangeError when a figure is outside its range @source definition */
export function hydraulicPowerW(flowLph: number, headM: number): number {
  requireFigures("hydraulicPowerW", { flowLph, headM }, { flowLph: [0, 1e9], headM: [-1000, 10_000] });
  return WATER_KG_PER_M3 * GRAVITY_M_PER_S2 * (flowLph / 3_600_000) * headM;
}
