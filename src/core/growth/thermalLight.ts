import { requireFigures, requireRange } from "../units/range";

/** How fast a stage runs by temperature and light. */
export interface ThermalLightStage {
  /** Days that it takes at the optimum and the reference light, 0.5–400. */
  readonly referenceDays: number;
  /** Under it, and over the greatest, it stands still, °C. */
  readonly baseC: number;
  readonly optimumC: number;
  readonly maxC: number;
  /** Daily light at which half of what light can do is done, mol/m². */
  readonly halfLightMol: number;
  readonly referenceDliMol: number;
  /** A stage in the dark does not wait for light. */
  readonly usesLight: boolean;
}

/** What a day gives the plants. */
export interface GrowingDay {
  readonly lowestC: number;
  readonly highestC: number;
  readonly dliMol: number;
}

/** Of the air in a house. */
const AIR_C: readonly [least: number, greatest: number] = [-80, 80];

/** Parts of half a day, from the coldest hour to the warmest: the factor is bent, so its mean is not that of the mean. */
const PARTS = 48;
const COSINES = Float64Array.from({ length: PARTS }, (_, part) => Math.cos((Math.PI * (part + 0.5)) / PARTS));

/**
 * Temperature factor at one temperature: (T − base) ÷ (optimum − base) from 0 to 1, then down to 0 at the greatest.
 *
 * @throws RangeError where the base is not under the optimum, or the optimum not under the greatest
 * @source tests/reference/growth/stages.json
 */
export function temperatureFactor(cardinals: Cardinals, temperatureC: number): number {
  requireCardinals("temperatureFactor", cardinals);
  requireRange("temperatureFactor", "temperatureC", temperatureC, ...AIR_C);
  return factorAt(cardinals, temperatureC);
}

type Cardinals = Pick<ThermalLightStage, "baseC" | "optimumC" | "maxC">;

function requireCardinals(where: string, { baseC, optimumC, maxC }: Cardinals): void {
  requireFigures(
    where,
    { baseC, optimumC, maxC },
    { baseC: [-20, 40], optimumC: [baseC + 0.1, 60], maxC: [optimumC + 0.1, 80] },
  );
}

function factorAt({ baseC, optimumC, maxC }: Cardinals, temperatureC: number): number {
  if (temperatureC <= optimumC) return Math.min(1, Math.max(0, (temperatureC - baseC) / (optimumC - baseC)));
  return Math.max(0, (maxC - temperatureC) / (maxC - optimumC));
}

/** Light factor: DLI ÷ (DLI + half), 1 at the reference; it may pass 1. @source tests/reference/growth/stages.json */
export function lightFactor(
  { halfLightMol, referenceDliMol }: Pick<ThermalLightStage, "halfLightMol" | "referenceDliMol">,
  dliMol: number,
): number {
  requireFigures(
    "lightFactor",
    { halfLightMol, referenceDliMol, dliMol },
    { halfLightMol: [0.1, 100], referenceDliMol: [0.1, 100], dliMol: [0, 1000] },
  );
  return ((dliMol / (dliMol + halfLightMol)) * (referenceDliMol + halfLightMol)) / referenceDliMol;
}

/**
 * The share of a stage that a day brings: fT·fL ÷ reference days. fT is averaged over the day, between the lowest and the
 * highest temperature as a sine; it is not taken of the mean.
 *
 * @throws RangeError when a figure is outside its range
 * @source tests/reference/growth/stages.json
 */
export function dailyProgress(stage: ThermalLightStage, { lowestC, highestC, dliMol }: GrowingDay): number {
  requireRange("dailyProgress", "referenceDays", stage.referenceDays, 0.5, 400);
  requireRange("dailyProgress", "lowestC", lowestC, ...AIR_C);
  requireRange("dailyProgress", "highestC", highestC, lowestC, AIR_C[1]);
  const light = stage.usesLight ? lightFactor(stage, dliMol) : 1;
  return (meanTemperatureFactor(stage, lowestC, highestC) * light) / stage.referenceDays;
}

function meanTemperatureFactor(stage: ThermalLightStage, lowestC: number, highestC: number): number {
  if (highestC - lowestC < 1e-9) return temperatureFactor(stage, lowestC);
  requireCardinals("dailyProgress", stage);
  const [mean, half] = [(lowestC + highestC) / 2, (highestC - lowestC) / 2];
  let sum = 0;
  for (const cosine of COSINES) sum += factorAt(stage, mean - half * cosine);
  return sum / PARTS;
}

/** Batches that a plain prediction weighs as much as. */
const PRIOR_BATCHES = 3;

/**
 * How much longer a stage takes here than predicted: (3 + Σ actual ÷ prediction) ÷ (3 + n), always against the plain
 * prediction.
 *
 * @param actualOverPredicted of batches that were not held, 0.05–20 each
 * @throws RangeError for a ratio outside its range
 * @source tests/reference/growth/stages.json, learnedRatio
 * @example learnedRatio([1.2, 1.2]) // 1.08
 */
export function learnedRatio(actualOverPredicted: readonly number[]): number {
  for (const ratio of actualOverPredicted) requireRange("learnedRatio", "actualOverPredicted", ratio, 0.05, 20);
  const sum = actualOverPredicted.reduce((all, ratio) => all + ratio, 0);
  return (PRIOR_BATCHES + sum) / (PRIOR_BATCHES + actualOverPredicted.length);
}
