import { requireFigures, requireRange } from "../units/range";
import { requireSpec } from "./kinds/requireSpec";
import { fullPipeL } from "./segmentArea";
import { tankAfterStop } from "./tankAfterStop";
import { modelOf, type StandSpec } from "./kinds";
import type { StandWater } from "./kinds/model";

/** Water held in a stand, and what of it drains back into the tank when the pump stops. */
export function standWater(spec: StandSpec): StandWater {
  requireSpec("standWater", spec);
  return modelOf(spec).water(spec);
}

/** Litres that drain back into the tank from a stand when the pump stops. */
export const drainBackL = (spec: StandSpec): number => standWater(spec).drainBackL;

/** A loop's tank, and all that comes back into it from its stands when the pump stops. */
export interface TankRoom {
  readonly drainBackL: number;
  /** Of that, what empties out of the pump's pipe. */
  readonly pipeL: number;
  readonly headspaceL: number;
  /** What runs over the rim then; 0 when it fits. */
  readonly overflowL: number;
}

/** A loop's tank, and the pipe that its pump pushes through. */
export interface LoopTankAndPipe {
  readonly kind: "recirculating" | "run-to-waste";
  readonly tankL: number;
  readonly normalFillL: number;
  readonly pump: {
    readonly pipeLengthM: number;
    readonly boreMm: number;
    /** Keeps the pipe full while the pump stands. */
    readonly nonReturnValve?: boolean;
  } | null;
}

/**
 * What a loop's tank has to take when its pump stops. From a loop that runs to waste nothing comes back,
 * out of a pipe with a non-return valve neither; any other pipe is taken to empty whole, which is a little too much where
 * part of it lies under the water.
 * @source tankAfterStop: volumes alone decide, so that the tank is taken as a prism of a square metre
 */
export function loopTankRoom(
  { kind, tankL, normalFillL, pump }: LoopTankAndPipe,
  specs: readonly StandSpec[],
): TankRoom {
  requireRange("loopTankRoom", "tankL", tankL, 0, 1_000_000);
  requireRange("loopTankRoom", "normalFillL", normalFillL, 0, tankL);
  if (pump) requireFigures("loopTankRoom", pump, { pipeLengthM: [0, 5000], boreMm: [1, 2000] });
  const comesBack = kind === "recirculating";
  const pipeL = comesBack && pump && !pump.nonReturnValve ? fullPipeL(pump.boreMm, pump.pipeLengthM) : 0;
  const backL = pipeL + (comesBack ? specs.reduce((sum, spec) => sum + drainBackL(spec), 0) : 0);
  const after = tankAfterStop({
    drainBackL: backL,
    tankPlanAreaM2: 1,
    normalFillLevelM: normalFillL / 1000,
    tankRimM: tankL / 1000,
  });
  return { drainBackL: backL, pipeL, headspaceL: after.headspaceL, overflowL: after.overflowL };
}
