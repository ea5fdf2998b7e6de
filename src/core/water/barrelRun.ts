import { requireFigures } from "../units/range";

/** A tank that empties through what hangs on it. */
export interface Barrel {
  /** Water in it, of so much when it is full. */
  readonly storedL: number;
  readonly fullL: number;
  /** Height of its lowest usable water, and how far it sinks from full to there. */
  readonly lowestWaterM: number;
  readonly waterSinksM: number;
}

export interface BarrelRun {
  readonly givenL: number;
  readonly leftL: number;
  /** Flow at the begin and at the end of the run, L/h. */
  readonly firstLph: number;
  readonly lastLph: number;
}

const STEPS = 24;

/**
 * What a run takes out of a tank whose head falls as it empties, by stepping its level with the flow in the middle of each
 * step. The tank is taken as upright.
 *
 * @param flowAt flow at a water level over the floor, L/h
 * @param runMin 0.05–1440
 * @throws RangeError when a figure is outside its range
 * @source mass balance; midpoint rule
 */
export function barrelRun(barrel: Barrel, runMin: number, flowAt: (waterM: number) => number): BarrelRun {
  requireFigures(
    "barrelRun",
    { ...barrel, runMin },
    {
      storedL: [0, barrel.fullL],
      fullL: [0.1, 10_000_000],
      lowestWaterM: [-1000, 1000],
      waterSinksM: [0, 100],
      runMin: [0.05, 1440],
    },
  );
  const { storedL, fullL, lowestWaterM, waterSinksM } = barrel;
  const levelM = (litres: number) => lowestWaterM + (waterSinksM * Math.max(0, litres)) / fullL;
  const hours = runMin / 60 / STEPS;
  let leftL = storedL;
  for (let step = 0; step < STEPS && leftL > 0; step++) {
    const halfL = leftL - (flowAt(levelM(leftL)) * hours) / 2;
    leftL = Math.max(0, leftL - flowAt(levelM(halfL)) * hours);
  }
  return {
    givenL: storedL - leftL,
    leftL,
    firstLph: storedL > 0 ? flowAt(levelM(storedL)) : 0,
    lastLph: leftL > 0 ? flowAt(levelM(leftL)) : 0,
  };
}
