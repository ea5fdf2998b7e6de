import { requireFigures } from "../units/range";
import { concentrationFactor, type RatioConvention } from "./stocks";

/** Where the water meter stands: before the injector it counts the water alone, after it the stock too. */
export const METER_PLACES = ["after", "before"] as const;
export type MeterPlace = (typeof METER_PLACES)[number];

/** What was drawn and metered while an injector ran. */
export interface CalibrationRun {
  /** The ratio that the feed wants: 1 to R. */
  readonly wantedR: number;
  /** What it is set to for that. */
  readonly setR: number;
  readonly convention: RatioConvention;
  readonly stockDrawnL: number;
  readonly meteredL: number;
  readonly meter: MeterPlace;
}

/** How an injector doses against what is wanted. */
export interface Calibration {
  /** In the meaning of the set ratio; null where nothing was drawn. */
  readonly actualR: number | null;
  /** Of the strength that is wanted: 1 is right, over 1 too strong. */
  readonly strength: number;
  readonly verdict: "right" | "too-strong" | "too-weak" | "not-dosing";
  /** What to set it to so that it gives the ratio that is wanted; null where nothing was drawn. */
  readonly correctedR: number | null;
}

/** Less than this no measuring jug tells. */
const RIGHT_WITHIN = 0.02;

/**
 * What an injector really gives: stock drawn against water metered.
 *
 * @throws RangeError when a figure is outside its range, or more was drawn than flowed out
 * @source actual factor = outflow ÷ stock drawn; strength = wanted factor ÷ actual factor; corrected = set × strength,
 *   the same fault taken at the new setting; tests/reference/feed/injector.json
 * @example calibrate({ wantedR: 100, setR: 100, convention: "in", stockDrawnL: 0.455, meteredL: 50, meter: "after" }).actualR // 109.9
 */
export function calibrate({ wantedR, setR, convention, stockDrawnL, meteredL, meter }: CalibrationRun): Calibration {
  requireFigures(
    "calibrate",
    { wantedR, setR, stockDrawnL, meteredL },
    { wantedR: [1, 2000], setR: [1, 2000], stockDrawnL: [0, 100_000], meteredL: [0.1, 1_000_000] },
  );
  const waterL = meter === "before" ? meteredL : meteredL - stockDrawnL;
  if (waterL < 0)
    throw new RangeError(`calibrate: stockDrawnL ${stockDrawnL} is more than the ${meteredL} L metered after it`);
  if (stockDrawnL === 0) return { actualR: null, strength: 0, verdict: "not-dosing", correctedR: null };
  const actualFactor = (waterL + stockDrawnL) / stockDrawnL;
  const strength = concentrationFactor(wantedR, convention) / actualFactor;
  const asRatio = (factor: number) => (convention === "in" ? factor : factor - 1);
  const isRight = Math.abs(strength - 1) <= RIGHT_WITHIN;
  return {
    actualR: asRatio(actualFactor),
    strength,
    verdict: isRight ? "right" : strength > 1 ? "too-strong" : "too-weak",
    correctedR: asRatio(concentrationFactor(setR, convention) * strength),
  };
}

/** An injector is rarely so many times off: it is rather a slip, mL for litres or the wrong side of the meter. */
const FAR_OFF = 2;

/** Whether a calibration is to be asked about before it is kept. */
export function isFarOff({ strength }: Pick<Calibration, "strength">): boolean {
  requireFigures("isFarOff", { strength }, { strength: [0, 1_000_000] });
  return strength > FAR_OFF || (strength > 0 && strength < 1 / FAR_OFF);
}

/** What a dial that is marked in percent shows at a ratio: stock in the outflow. @example dialPercent(250) // 0.4 */
export function dialPercent(ratioR: number, convention: RatioConvention = "in"): number {
  return 100 / concentrationFactor(ratioR, convention);
}

/**
 * What each of two heads one after the other gives, of what it should: the second one dilutes what the first one gave.
 *
 * @source shares of the outflow; tests/reference/feed/stocks.json, "two heads in series"
 * @example headsInSeries(50).first // 0.98
 */
export function headsInSeries(ratioR: number, convention: RatioConvention = "in"): { first: number; second: number } {
  return { first: 1 - 1 / concentrationFactor(ratioR, convention), second: 1 };
}

/**
 * The greatest error of a short run's dose: one stroke more or less.
 *
 * @source one stroke ÷ the run; tests/reference/feed/injector.json, "run of 6 L"
 * @example strokeError(0.5, 6) // 0.083
 */
export function strokeError(strokeL: number, runL: number): number {
  requireFigures("strokeError", { strokeL, runL }, { strokeL: [0, 1000], runL: [0.001, 1_000_000] });
  return strokeL / runL;
}
