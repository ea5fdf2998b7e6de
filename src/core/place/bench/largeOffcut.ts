/** A bar with its cuts, in whole steps. */
export interface FilledBar {
  readonly bar: number;
  readonly cuts: readonly number[];
}

/**
 * Pushes what is left over into as large a single offcut as it can: from one bar after the other, pieces go into gaps of the
 * others, alone or in exchange for a shorter one. Which bars are cut, and all pieces, stay the same.
 *
 * @param lengths of the kinds of bars
 * @returns the same bars with their cuts moved, the longest cut first
 * @source local search; it promises no optimum, and never makes the largest offcut smaller
 */
export function oneLargeOffcut(bars: readonly FilledBar[], lengths: readonly number[], sawCut: number): FilledBar[] {
  const sorted = (filled: readonly FilledBar[]) =>
    filled.map(({ bar, cuts }) => ({ bar, cuts: [...cuts].sort((a, b) => b - a) }));
  let best = sorted(bars);
  for (let index = 0; index < bars.length; index++) {
    const tried = sorted(emptied(bars, index, lengths, sawCut));
    if (largest(tried, lengths, sawCut) > largest(best, lengths, sawCut)) best = tried;
  }
  return best;
}

/** Room for one more piece and its cut; the last cut of a bar may lack its saw cut. */
const gap = ({ bar, cuts }: FilledBar, lengths: readonly number[], sawCut: number) =>
  lengths[bar]! + sawCut - cuts.reduce((sum, cut) => sum + cut + sawCut, 0);

function largest(bars: readonly FilledBar[], lengths: readonly number[], sawCut: number): number {
  return Math.max(0, ...bars.map((filled) => gap(filled, lengths, sawCut)));
}

function emptied(bars: readonly FilledBar[], index: number, lengths: readonly number[], sawCut: number): FilledBar[] {
  const all = bars.map(({ bar, cuts }) => ({ bar, cuts: [...cuts] }));
  const from = all[index]!;
  for (let moved = true; moved;) {
    moved = false;
    for (const cut of [...from.cuts].sort((a, b) => b - a)) {
      const to = tightest(all, index, cut + sawCut, lengths, sawCut);
      if (to !== null) {
        from.cuts.splice(from.cuts.indexOf(cut), 1);
        all[to]!.cuts.push(cut);
        moved = true;
      } else moved = exchange(all, index, cut, lengths, sawCut) || moved;
    }
  }
  return all;
}

/** The bar with the smallest gap that takes a piece. */
function tightest(
  all: readonly FilledBar[],
  but: number,
  size: number,
  lengths: readonly number[],
  sawCut: number,
): number | null {
  let best: number | null = null;
  for (const [index, filled] of all.entries()) {
    if (index === but || gap(filled, lengths, sawCut) < size) continue;
    if (best === null || gap(filled, lengths, sawCut) < gap(all[best]!, lengths, sawCut)) best = index;
  }
  return best;
}

/** Gives a piece for the shortest one of another bar that makes room for it. */
function exchange(
  all: readonly { bar: number; cuts: number[] }[],
  index: number,
  cut: number,
  lengths: readonly number[],
  sawCut: number,
): boolean {
  for (const [other, filled] of all.entries()) {
    if (other === index) continue;
    const room = gap(filled, lengths, sawCut);
    const given = filled.cuts.filter((own) => own < cut && room + own >= cut).sort((a, b) => a - b)[0];
    if (given === undefined) continue;
    const from = all[index]!;
    from.cuts.splice(from.cuts.indexOf(cut), 1, given);
    filled.cuts.splice(filled.cuts.indexOf(given), 1, cut);
    return true;
  }
  return false;
}
