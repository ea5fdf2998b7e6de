import { requireFigures } from "../units/range";
import { LEAST_PAIRS, MOST_PAIRS } from "./learnedResponse";

/** A fresh feed: the EC that was worked out for it, and the one that was read. */
export interface EcPair {
  readonly computedMsPerCm: number;
  readonly measuredMsPerCm: number;
}

/** Measured ÷ worked out, of a loop. */
export interface LearnedEc {
  readonly factor: number;
  readonly least: number;
  readonly greatest: number;
  readonly pairs: number;
}

/** Further apart, one of the two is a slip, and not the nature of a feed. */
const MOST_APART = 1.3;

/**
 * How a loop's feed reads against what is worked out for it: the median of the last five fresh feeds, measured ÷ worked
 * out. Meters, water and salts as sold differ from what is on paper; a computed EC is good to 5 % by itself.
 *
 * @param pairs newest first
 * @returns null while there are fewer than three
 * @throws RangeError when a figure is outside its range
 * @source median of ratios
 */
export function learnedEc(pairs: readonly EcPair[]): LearnedEc | null {
  for (const pair of pairs) requireFigures("learnedEc", pair, { computedMsPerCm: [0, 50], measuredMsPerCm: [0, 50] });
  const ratios = pairs
    .filter(({ computedMsPerCm, measuredMsPerCm }) => computedMsPerCm > 0 && measuredMsPerCm > 0)
    .map(({ computedMsPerCm, measuredMsPerCm }) => measuredMsPerCm / computedMsPerCm)
    .filter((ratio) => ratio < MOST_APART && ratio > 1 / MOST_APART)
    .slice(0, MOST_PAIRS)
    .sort((a, b) => a - b);
  if (ratios.length < LEAST_PAIRS) return null;
  const middle = (ratios.length - 1) / 2;
  return {
    factor: (ratios[Math.floor(middle)]! + ratios[Math.ceil(middle)]!) / 2,
    least: ratios[0]!,
    greatest: ratios.at(-1)!,
    pairs: ratios.length,
  };
}
