/** A way to fill a bar, and what it is worth. */
export interface BestPattern {
  readonly counts: readonly number[];
  readonly value: number;
}

/**
 * The most valuable filling of a bar, for several bar lengths at once: a bounded knapsack by dynamic programming over whole
 * steps of length. Counts are split into powers of two, so that a thousand alike pieces cost ten rows; steps are as coarse
 * as the weights have in common.
 *
 * @param weights of one piece of each kind, whole and over zero
 * @param values of one piece of each kind, zero or more
 * @param most pieces of each kind
 * @param rooms lengths to fill, whole
 * @returns for each room its best filling
 * @source Bellman's recursion for the 0–1 knapsack; binary splitting of bounded counts
 * @example bestPattern([3, 2], [5, 3], [1, 9], [7])[0].value // 11
 */
export function bestPattern(
  weights: readonly number[],
  values: readonly number[],
  most: readonly number[],
  rooms: readonly number[],
): BestPattern[] {
  const step = weights.reduce(commonStep, 0);
  return step > 1
    ? inSteps(
        weights.map((weight) => weight / step),
        values,
        most,
        rooms.map((room) => Math.floor(room / step)),
      )
    : inSteps(weights, values, most, rooms);
}

const commonStep = (a: number, b: number): number => (b === 0 ? a : commonStep(b, a % b));

function inSteps(
  weights: readonly number[],
  values: readonly number[],
  most: readonly number[],
  rooms: readonly number[],
): BestPattern[] {
  const room = Math.max(...rooms);
  const lots = weights.flatMap((weight, kind) =>
    values[kind]! > 0
      ? splitCount(Math.min(most[kind]!, Math.floor(room / weight))).map((count) => ({
          kind,
          count,
          weight: count * weight,
          value: count * values[kind]!,
        }))
      : [],
  );
  const best = new Float64Array(room + 1);
  const taken = lots.map(() => new Uint8Array(room + 1));
  for (const [index, lot] of lots.entries()) {
    const mark = taken[index]!;
    for (let at = room; at >= lot.weight; at--) {
      const withIt = best[at - lot.weight]! + lot.value;
      if (withIt > best[at]! + 1e-12) {
        best[at] = withIt;
        mark[at] = 1;
      }
    }
  }
  return rooms.map((length) => {
    const counts = weights.map(() => 0);
    let at = length;
    for (let index = lots.length - 1; index >= 0; index--) {
      if (!taken[index]![at]) continue;
      const { kind, count, weight } = lots[index]!;
      counts[kind]! += count;
      at -= weight;
    }
    return { counts, value: best[length]! };
  });
}

/** 1, 2, 4 … and the rest: sums of some of them are every count up to the whole. */
function splitCount(count: number): number[] {
  const lots: number[] = [];
  for (let size = 1, left = count; left > 0; size *= 2) {
    const lot = Math.min(size, left);
    lots.push(lot);
    left -= lot;
  }
  return lots;
}
