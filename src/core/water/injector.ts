import { requireRange } from "../units/range";

export type InjectorVerdict = "in-range" | "below" | "above";

/**
 * Does an injector dose at this flow? Under its least flow a piston stops dosing; over its greatest it under-doses.
 * Either end counts as in range.
 * @source tests/reference/feed/injector.json
 * @example injectorVerdict(12, 20, 2500) // "below"
 */
export function injectorVerdict(flowLph: number, leastLph: number, greatestLph: number): InjectorVerdict {
  requireRange("injectorVerdict", "leastLph", leastLph, 0);
  requireRange("injectorVerdict", "flowLph", flowLph, 0);
  requireRange("injectorVerdict", "greatestLph", greatestLph, leastLph);
  return flowLph < leastLph ? "below" : flowLph > greatestLph ? "above" : "in-range";
}

export type PressureVerdict = "in-range" | "low" | "high";

/** Is the pressure at an injector within what its maker tells? @source tests/reference/feed/injector.json */
export function pressureVerdict(headM: number, leastM: number, greatestM: number): PressureVerdict {
  requireRange("pressureVerdict", "leastM", leastM, 0);
  requireRange("pressureVerdict", "greatestM", greatestM, leastM);
  requireRange("pressureVerdict", "headM", headM, -1000, 100_000);
  return headM < leastM ? "low" : headM > greatestM ? "high" : "in-range";
}
