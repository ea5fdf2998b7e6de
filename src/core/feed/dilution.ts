import { requireRange } from "../units/range";

/** One step of a dilution: what goes into so much water, and what is taken of it, mL. */
export interface DilutionStage {
  readonly intoMl: number;
  readonly takeMl: number;
}

/** How to get less than a scale can weigh. */
export interface Dilution {
  readonly weighG: number;
  /** One after the other: of each so much is taken, and made up to the next. */
  readonly stages: readonly DilutionStage[];
}

/** An amount is weighed within 5 % from so many steps of the scale on. */
const STEPS_FOR_5_PERCENT = 10;
const LITRE_ML = 1000;
/** How many times as much is weighed; and a second step, where that is not enough. */
const TIMES = [2, 5, 10, 20, 50, 100] as const;
const SECOND_TIMES = 100;
/** Litres that it may take to dissolve it. */
const LITRES = [1, 2, 5, 10] as const;

/**
 * A dilution series for an amount under what a scale can weigh within 5 %: several times as much in a litre of water, or in
 * as many as it takes to dissolve it, and the share of that which holds the amount; at least 10 mL, which a syringe measures.
 *
 * @param grams wanted, 0–1 000 000
 * @param scaleStepG what the scale counts in, 0.0001–1000 g
 * @param dissolvesGPerL of the salt, 0.001–100 000; null where it is not known
 * @returns null where it can be weighed as it is, or is nothing; "scale-too-coarse" where even 10 000 times as much cannot
 * @throws RangeError when a figure is outside its range
 * @source conservation of mass; a scale errs by up to half a step
 * @example dilution(0.5, 0.1) // { weighG: 1, stages: [{ intoMl: 1000, takeMl: 500 }] }
 */
export function dilution(
  grams: number,
  scaleStepG: number,
  dissolvesGPerL: number | null = null,
): Dilution | "scale-too-coarse" | null {
  requireRange("dilution", "grams", grams, 0, 1_000_000);
  requireRange("dilution", "scaleStepG", scaleStepG, 0.0001, 1000);
  if (dissolvesGPerL !== null) requireRange("dilution", "dissolvesGPerL", dissolvesGPerL, 0.001, 100_000);
  const leastG = STEPS_FOR_5_PERCENT * scaleStepG - 1e-9;
  if (grams === 0 || grams >= leastG) return null;
  const second = TIMES.some((times) => grams * times >= leastG) ? 1 : SECOND_TIMES;
  const times = TIMES.find((one) => grams * one * second >= leastG);
  if (times === undefined) return "scale-too-coarse";
  const weighG = grams * times * second;
  const litres = LITRES.find((one) => dissolvesGPerL === null || weighG / one <= dissolvesGPerL);
  if (litres === undefined) return "scale-too-coarse";
  const first = { intoMl: litres * LITRE_ML, takeMl: (litres * LITRE_ML) / times };
  return { weighG, stages: second === 1 ? [first] : [first, { intoMl: LITRE_ML, takeMl: LITRE_ML / second }] };
}
