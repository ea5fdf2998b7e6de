import { modelOf, type StandSpec } from "./kinds";
import type { StandWater } from "./kinds/model";

/** Water that stands in a stand, and what of it runs back into the tank when the pump stops. */
export function standWater(spec: StandSpec): StandWater {
  return modelOf(spec).water(spec);
}

/** Litres that run back into the tank from a stand when the pump stops. */
export const drainBackL = (spec: StandSpec): number => standWater(spec).drainBackL;
