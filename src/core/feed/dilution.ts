import { requireRange } from "../units/range";

/** One step of a dilution: what goes into a litre, and what is taken of it, mL. */
export interface DilutionStage {
  readonly intoMl: number;
  readonly takeMl: number;
}

/** How to get less than a scale can weigh. */
export interface Dilution {
  readonly weighG: number;
  /** One after the other: of each litre so much is taken, and made up to the next. */
  readonly stages: readonly DilutionStage[];
}

/** An amount is weighed within 5 % from so many steps of the scale on. */
const STEPS_FOR_5_PERCENT = 20;
const LITRE_ML = 1000;
/** Each step thins ten or a hundred times: less than 10 mL is not measured well with a jug or a syringe. */
const THINS: readonly (readonly number[])[] = [[10], [100], [10, 100], [100, 100]];

/**
 * A dilution series for an amount under what a scale can weigh within 5 %: ten, a hundred, or more times as much in a litre
 * of water, and the share of that which holds the amount.
 *
 * @param grams wanted, 0–1 000 000
 * @param scaleStepG what the scale counts in, 0.0001–1000 g
 * @returns null where it can be weighed as it is, or is nothing; "scale-too-coarse" where even 10 000 times as much cannot
 * @throws RangeError when a figure is outside its range
 * @source conservation of mass; a scale errs by up to one step
 * @example dilution(0.5, 0.1) // { weighG: 5, stages: [{ intoMl: 1000, takeMl: 100 }] }
 */
export function dilution(grams: number, scaleStepG: number): Dilution | "scale-too-coarse" | null {
  requireRange("dilution", "grams", grams, 0, 1_000_000);
  requireRange("dilution", "scaleStepG", scaleStepG, 0.0001, 1000);
  const leastG = STEPS_FOR_5_PERCENT * scaleStepG;
  if (grams === 0 || grams >= leastG - 1e-9) return null;
  const thins = THINS.find((one) => grams * one.reduce((all, times) => all * times, 1) >= leastG - 1e-9);
  if (!thins) return "scale-too-coarse";
  return {
    weighG: grams * thins.reduce((all, times) => all * times, 1),
    stages: thins.map((times) => ({ intoMl: LITRE_ML, takeMl: LITRE_ML / times })),
  };
}
