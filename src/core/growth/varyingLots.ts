import { leastWhole } from "../numeric/leastWhole";
import { requireRange } from "../units/range";
import { binomialTail, cellsToSow, keptInCell, type SowingWish } from "./cellsToSow";

/** Points at which the spread of the germination is looked at. */
const POINTS = 200;

/** More is no sowing any more. */
const MOST_CELLS = 50_000_000;

/** A germination that a sowing may turn out to have, and how likely it is. */
interface Weighed {
  readonly cellToPlant: number;
  readonly weight: number;
}

/**
 * How many cells to sow where sowings differ by more than chance: lots, trays and hands. The germination of the whole sowing
 * is drawn from a beta distribution around its mean; with it every cell. A binomial count alone is too sure.
 *
 * @param wish as for `cellsToSow`
 * @param spread standard deviation of the germination from sowing to sowing, as a share, 0.001–0.3
 * @returns cells, and the chance that they reach the target; "never" where the seed never comes up, or where a bad sowing alone
 * is likelier than the confidence allows
 * @throws RangeError when a figure is outside its range
 * @source beta-binomial distribution: a binomial whose chance is beta distributed, summed over the quantiles of germination
 */
export function cellsForVaryingLots(
  wish: SowingWish,
  spread: number,
): { readonly cells: number; readonly probability: number } | { readonly kind: "never" } {
  requireRange("cellsForVaryingLots", "spread", spread, 0.001, 0.3);
  const plain = cellsToSow(wish);
  if ("kind" in plain) return plain;
  if (wish.germination >= 1 || wish.targetPlants === 0) return { cells: plain.cells, probability: plain.probability };
  const weighed = spreadOut(wish, spread);
  const chanceOf = (cells: number) =>
    weighed.reduce(
      (sum, { cellToPlant, weight }) => sum + weight * binomialTail(cells, cellToPlant, wish.targetPlants),
      0,
    );
  const enough = (cells: number) => chanceOf(cells) >= wish.confidence - 1e-12;
  let [low, high] = [wish.targetPlants - 1, plain.cells];
  const most = Math.min(MOST_CELLS, plain.cells * 50);
  while (!enough(high)) {
    if (high >= most) return { kind: "never" };
    low = high;
    high = Math.min(most, Math.ceil(high * 1.25) + 1);
  }
  const cells = leastWhole(low, high, enough);
  return { cells, probability: chanceOf(cells) };
}

function spreadOut(wish: SowingWish, spread: number): Weighed[] {
  const { germination: mean, seedsPerCell } = wish;
  // A beta of this mean can be no wider than both ends together.
  const variance = Math.min(spread ** 2, 0.9 * mean * (1 - mean));
  const sum = (mean * (1 - mean)) / variance - 1;
  const [a, b] = [mean * sum, (1 - mean) * sum];
  const kept = keptInCell({ seedsPerCell, thinTo: wish.thinTo ?? null });
  const later = wish.laterSurvival.reduce((product, share) => product * share, 1);
  const [from, to] = [Math.max(0, mean - 8 * spread), Math.min(1, mean + 8 * spread)];
  const points = Array.from({ length: POINTS }, (_, at) => from + ((to - from) * (at + 0.5)) / POINTS);
  const logs = points.map((share) => (a - 1) * Math.log(share) + (b - 1) * Math.log1p(-share));
  const greatest = Math.max(...logs);
  const weights = logs.map((log) => Math.exp(log - greatest));
  const all = weights.reduce((total, weight) => total + weight, 0);
  return points.map((share, at) => ({
    cellToPlant: binomialTail(seedsPerCell, share, kept) * later,
    weight: weights[at]! / all,
  }));
}
