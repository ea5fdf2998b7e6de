import { leastWhole } from "../numeric/leastWhole";
import { requireRange, requireWhole, requireEach } from "../units/range";

export interface SowingWish {
  readonly targetPlants: number;
  /** Share of seeds that come up, 0–1. */
  readonly germination: number;
  readonly seedsPerCell: number;
  /** Plants kept in a cell; 1 unless the crop is grown in clumps. */
  readonly thinTo?: number;
  /** Survival of each later stage, 0–1. */
  readonly laterSurvival: readonly number[];
  /** Chance, as a share, that the target is reached; 0.8, 0.9 and 0.95 are the usual picks. */
  readonly confidence: number;
}

export interface CellsToSow {
  /** N/p: reaches the target about a 50 % chance. */
  readonly expectedCells: number;
  /** Least number that reaches the target with the confidence asked for. */
  readonly cells: number;
  readonly seeds: number;
  readonly perCellSuccess: number;
  /** Chance that a sown cell becomes a plant at the end. */
  readonly cellToPlant: number;
  /** Chance that `cells` give the target. */
  readonly probability: number;
}

/** "Dead seed": no number of cells will do. */
export type SowingAnswer = CellsToSow | { readonly kind: "never" };

/** Plants kept of the seeds in a cell: one where nothing else is told, never more than were sown. */
export function keptInCell({
  seedsPerCell,
  thinTo,
}: Pick<SowingWish, "seedsPerCell"> & { thinTo?: number | null }): number {
  requireWhole("keptInCell", "seedsPerCell", seedsPerCell, 1, 10_000);
  return Math.min(requireWhole("keptInCell", "thinTo", thinTo ?? 1, 1, 10_000), seedsPerCell);
}

const MOST_CELLS = 10_000_000;
const GREATEST_COUNT = 100_000_000;

/**
 * How many cells to sow for a target of plants at the last stage: least n with P(Binomial(n, p) ≥ N) ≥ confidence,
 * a tie counting as reached. p = per-cell success × later survivals; per-cell success = P(Bin(seeds, g) ≥ kept).
 * The binomial alone is too sure where lots or trays differ: one bad tray is not covered.
 *
 * @throws RangeError when a share is outside 0–1 or a count is not whole
 * @source binomial tail; tests/reference/growth/sowing.json
 */
export function cellsToSow(wish: SowingWish): SowingAnswer {
  requireWhole("cellsToSow", "targetPlants", wish.targetPlants, 0, 1_000_000);
  requireWhole("cellsToSow", "seedsPerCell", wish.seedsPerCell, 1, 10_000);
  requireRange("cellsToSow", "germination", wish.germination, 0, 1);
  requireRange("cellsToSow", "confidence", wish.confidence, 0.01, 0.999);
  requireEach("cellsToSow", "laterSurvival", wish.laterSurvival, 0, 1);
  if (wish.thinTo !== undefined) requireWhole("cellsToSow", "thinTo", wish.thinTo, 1, wish.seedsPerCell);
  const perCellSuccess = binomialTail(wish.seedsPerCell, wish.germination, wish.thinTo ?? 1);
  const cellToPlant = wish.laterSurvival.reduce((product, share) => product * share, perCellSuccess);
  const target = wish.targetPlants;
  const base = { perCellSuccess, cellToPlant };
  if (target === 0) return { ...base, expectedCells: 0, cells: 0, seeds: 0, probability: 1 };
  // Past ten million cells it is no sowing any more: seed that hardly ever comes up is dead seed.
  if (!(target <= cellToPlant * MOST_CELLS)) return { kind: "never" };
  // 1e-9 keeps N/p that is whole from being pushed up by rounding; 1e-12 lets a tie count as reached.
  const expectedCells = Math.ceil(target / cellToPlant - 1e-9);
  const enough = (cells: number) => binomialTail(cells, cellToPlant, target) >= wish.confidence - 1e-12;
  let low = target - 1;
  let high = Math.max(target, expectedCells);
  while (!enough(high)) {
    low = high;
    high = Math.ceil(high * 1.1) + 5;
    if (high > 2 * MOST_CELLS) return { kind: "never" };
  }
  const cells = leastWhole(low, high, enough);
  return {
    ...base,
    expectedCells,
    cells,
    seeds: cells * wish.seedsPerCell,
    probability: binomialTail(cells, cellToPlant, target),
  };
}

/**
 * P(Binomial(n, p) ≥ k), summed from the mode of the shorter tail so that nothing underflows.
 * @param n tries, whole, 0–1e8
 * @param p chance of each, 0–1
 * @param k successes wanted, whole
 * @throws RangeError when an argument is outside its range
 * @source binomial distribution; logarithms of factorials by Stirling's series
 */
export function binomialTail(n: number, p: number, k: number): number {
  requireWhole("binomialTail", "n", n, 0, GREATEST_COUNT);
  requireRange("binomialTail", "p", p, 0, 1);
  requireWhole("binomialTail", "k", k, -GREATEST_COUNT, GREATEST_COUNT);
  if (k <= 0) return 1;
  if (k > n) return 0;
  if (p >= 1) return 1;
  if (p <= 0) return 0;
  const mean = n * p;
  // The side away from the mean has the falling terms: sum that one.
  return k > mean ? sumFrom(n, p, k, 1) : 1 - sumFrom(n, p, k - 1, -1);
}

function sumFrom(n: number, p: number, start: number, direction: 1 | -1): number {
  const odds = p / (1 - p);
  let term = Math.exp(logChoose(n, start) + start * Math.log(p) + (n - start) * Math.log1p(-p));
  let sum = 0;
  for (let k = start; k >= 0 && k <= n && term > 0; k += direction) {
    sum += term;
    if (term < sum * 1e-17) break;
    term *= direction === 1 ? ((n - k) / (k + 1)) * odds : k / (n - k + 1) / odds;
  }
  return sum;
}

function logChoose(n: number, k: number): number {
  return logFactorial(n) - logFactorial(k) - logFactorial(n - k);
}

function logFactorial(n: number): number {
  if (n < 16) {
    let product = 1;
    for (let i = 2; i <= n; i++) product *= i;
    return Math.log(product);
  }
  const x = n + 1;
  const inverse = 1 / (x * x);
  const series = (1 / 12 - inverse * (1 / 360 - inverse * (1 / 1260 - inverse / 1680))) / x;
  return (x - 0.5) * Math.log(x) - x + 0.5 * Math.log(2 * Math.PI) + series;
}
