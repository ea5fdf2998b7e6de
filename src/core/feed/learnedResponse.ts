import { requireFigures } from "../units/range";

/** A dose of acid or base and the readings around it. */
export interface DosePair {
  /** mL, or grams of a solid. */
  readonly amount: number;
  readonly volumeL: number;
  readonly phBefore: number;
  readonly phAfter: number;
}

/** What moves a tank by a tenth of pH, for each 100 L of it. */
export interface LearnedResponse {
  readonly median: number;
  readonly least: number;
  readonly greatest: number;
  readonly pairs: number;
}

/** So many pairs make a response. */
export const LEAST_PAIRS = 3;
/** The last ones count: a tank ages, its plants and its water change. */
export const MOST_PAIRS = 5;
/** A meter does not tell less apart. */
const LEAST_MOVE_PH = 0.05;

/**
 * How a tank answers to acid, by its own log: the median of the last pairs of dose and reading.
 *
 * @param pairs newest first
 * @returns null while there are fewer than three that tell something
 * @throws RangeError when a figure is outside its range
 * @source median; tests/reference/feed/correction.json, "learned response"
 */
export function learnedResponse(pairs: readonly DosePair[]): LearnedResponse | null {
  for (const pair of pairs)
    requireFigures("learnedResponse", pair, {
      ...{ amount: [0, 1_000_000], volumeL: [0.1, 1_000_000], phBefore: [0, 14], phAfter: [0, 14] },
    });
  const found = pairs
    .filter(({ amount, phBefore, phAfter }) => amount > 0 && phBefore - phAfter >= LEAST_MOVE_PH)
    .slice(0, MOST_PAIRS)
    .map(({ amount, volumeL, phBefore, phAfter }) => (amount / volumeL) * (10 / (phBefore - phAfter)))
    .sort((a, b) => a - b);
  if (found.length < LEAST_PAIRS) return null;
  const middle = (found.length - 1) / 2;
  return {
    median: (found[Math.floor(middle)]! + found[Math.ceil(middle)]!) / 2,
    least: found[0]!,
    greatest: found.at(-1)!,
    pairs: found.length,
  };
}

/** The amount that a tank takes from one pH to another by what it has learned. @source straight line in pH */
export function learnedAmount({ median }: Pick<LearnedResponse, "median">, volumeL: number, phDown: number): number {
  requireFigures(
    "learnedAmount",
    { median, volumeL, phDown },
    { median: [0, 1_000_000], volumeL: [0, 1_000_000], phDown: [0, 14] },
  );
  return median * (volumeL / 100) * (phDown / 0.1);
}
