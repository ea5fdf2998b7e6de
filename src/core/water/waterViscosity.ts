import { requireRange } from "../units/range";

/** What water is taken to be where nobody tells, °C. */
export const USUAL_WATER_C = 20;
/** °C and 1e-6 m²/s. @source usual tables of the properties of water */
const POINTS: readonly (readonly [number, number])[] = [
  [5, 1.519],
  [10, 1.307],
  [15, 1.139],
  [20, 1.004],
  [25, 0.893],
  [30, 0.801],
  [35, 0.724],
  [40, 0.658],
];

/**
 * Kinematic viscosity of water: cold water creeps.
 *
 * @param waterC temperature, 0–50 °C; under 5 and over 40 the nearest two points are carried on
 * @returns m²/s
 * @throws RangeError when the temperature is outside its range
 * @source tables of water, log-linear between their points
 */
export function kinematicViscosityM2PerS(waterC: number): number {
  requireRange("kinematicViscosityM2PerS", "waterC", waterC, 0, 50);
  const after = Math.max(
    1,
    POINTS.findIndex(([pointC], at) => pointC >= waterC || at === POINTS.length - 1),
  );
  const [[fromC, from], [toC, to]] = [POINTS[after - 1]!, POINTS[after]!];
  return 1e-6 * from * (to / from) ** ((waterC - fromC) / (toC - fromC));
}
