/**
 * The least whole number over `low` for which something holds, by halving. The caller knows that it does not hold at `low`
 * and does at `high`, and that it goes on holding once it does.
 *
 * @returns a whole number in (low, high]
 * @example leastWhole(0, 100, (n) => n * n >= 50) // 8
 */
export function leastWhole(low: number, high: number, holds: (value: number) => boolean): number {
  let [under, over] = [low, high];
  while (over - under > 1) {
    const middle = Math.floor((under + over) / 2);
    if (holds(middle)) over = middle;
    else under = middle;
  }
  return over;
}
