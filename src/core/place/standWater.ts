import { tankAfterStop } from "./heldWater";
import { modelOf, type StandSpec } from "./kinds";
import type { StandWater } from "./kinds/model";

/** Water that stands in a stand, and what of it runs back into the tank when the pump stops. */
export function standWater(spec: StandSpec): StandWater {
  return modelOf(spec).water(spec);
}

/** Litres that run back into the tank from a stand when the pump stops. */
export const drainBackL = (spec: StandSpec): number => standWater(spec).drainBackL;

/** A loop's tank, and all that comes back into it from its stands when the pump stops. */
export interface TankRoom {
  readonly drainBackL: number;
  readonly headspaceL: number;
  /** What runs over the rim then; 0 when it fits. */
  readonly overflowL: number;
}

/**
 * What a loop's tank has to take when its pump stops. From a loop that runs to waste nothing comes back.
 * @source tankAfterStop: volumes alone decide, so that the tank is taken as a prism of a square metre
 */
export function loopTankRoom(
  loop: { readonly kind: "recirculating" | "run-to-waste"; readonly tankL: number; readonly workingL: number },
  specs: readonly StandSpec[],
): TankRoom {
  const backL = loop.kind === "recirculating" ? specs.reduce((sum, spec) => sum + drainBackL(spec), 0) : 0;
  const after = tankAfterStop({
    drainBackL: backL,
    tankPlanAreaM2: 1,
    workingLevelM: loop.workingL / 1000,
    tankRimM: loop.tankL / 1000,
  });
  return { drainBackL: backL, headspaceL: after.headspaceL, overflowL: after.overflowL };
}
