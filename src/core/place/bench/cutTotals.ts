/** The least total of so many bars that is not under the bound. */
export function leastTotal(lengths: readonly number[], bars: number, bound: number): number {
  let best = Infinity;
  const walk = (index: number, left: number, sum: number) => {
    if (index === lengths.length - 1) {
      const all = sum + left * lengths[index]!;
      if (all >= bound && all < best) best = all;
      return;
    }
    for (let times = 0; times <= left; times++) walk(index + 1, left - times, sum + times * lengths[index]!);
  };
  if (lengths.length > 0) walk(0, bars, 0);
  return best;
}

/** The least sum of any numbers of some prices that is not under the bound. */
export function leastSum(prices: readonly number[], bound: number): number {
  if (bound <= 0) return 0;
  if (prices.length === 0) return Infinity;
  let best = Infinity;
  const walk = (index: number, sum: number) => {
    const price = prices[index]!;
    if (index === prices.length - 1) {
      best = Math.min(best, sum + Math.max(0, Math.ceil((bound - sum) / price - 1e-9)) * price);
      return;
    }
    for (let all = sum; all < bound + price; all += price) walk(index + 1, all);
  };
  walk(0, 0);
  return best;
}
