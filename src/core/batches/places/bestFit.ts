import type { Gap, IndexedStay, LineRange, Rooms } from "./rooms";

interface LineGaps {
  readonly line: number;
  readonly gaps: readonly Gap[];
  /** Of the widest one. */
  readonly widest: number;
  readonly isWhole: boolean;
}

const width = ({ start, end }: Gap) => end - start;

/**
 * The ranges that a stay takes among those that are held: on one line where it can, the gap that leaves least over; else on
 * the fewest lines, whole ones of one bank before others.
 *
 * @returns null when there is no room for all of it
 * @source best fit of bin packing
 */
export function bestFit(rooms: Rooms, stay: IndexedStay): LineRange[] | null {
  const { plants, from, until, lines } = stay;
  if (stay.linesAlone === 0) return null;
  const free: LineGaps[] = [];
  for (const line of lines) {
    const gaps = rooms.gaps(line, from, until);
    if (gaps.length === 0) continue;
    let widest = 0;
    for (const gap of gaps) widest = Math.max(widest, width(gap));
    free.push({ line, gaps, widest, isWhole: widest === rooms.lines[line]!.sites });
  }
  return onOneLine(rooms, stay, free) ?? onSeveral(rooms, plants, free);
}

/** Costs of a place that others would rather have, in sites: broken into an empty line, after its own family. */
const BREAKS_EMPTY_LINE = 0.5;
const SAME_FAMILY = 1000;

function onOneLine(rooms: Rooms, { plants, from, until, family }: IndexedStay, free: readonly LineGaps[]) {
  let best: { range: LineRange; cost: number } | null = null;
  for (const { line, gaps, isWhole } of free)
    for (const gap of gaps) {
      const spare = width(gap) - plants;
      if (spare < 0) continue;
      const range = { line, start: gap.start, end: gap.start + plants };
      const cost = spare + (isWhole && spare > 0 ? BREAKS_EMPTY_LINE : 0);
      if (best && cost >= best.cost) continue;
      const isRotated = !family || !rooms.lines[line]!.rotates || !rooms.follows(family, range, from, until);
      const whole = isRotated ? cost : cost + SAME_FAMILY;
      if (!best || whole < best.cost) best = { range, cost: whole };
    }
  return best && [best.range];
}

function onSeveral(rooms: Rooms, plants: number, free: readonly LineGaps[]): LineRange[] | null {
  const everywhere = fewest(plants, free);
  if (!everywhere) return null;
  const banks = new Map<string, LineGaps[]>();
  for (const one of free) {
    const { bank } = rooms.lines[one.line]!;
    if (bank === undefined) continue;
    const own = banks.get(bank);
    if (own) own.push(one);
    else banks.set(bank, [one]);
  }
  const together = [...banks.values()]
    .map((own) => fewest(plants, own))
    .filter((chosen): chosen is LineGaps[] => chosen !== null && chosen.length === everywhere.length);
  const best = together.reduce<LineGaps[]>(
    (least, chosen) => (spread(chosen) < spread(least) ? chosen : least),
    together[0] ?? everywhere,
  );
  return filled(plants, best);
}

/** How far apart the first and the last line stand. */
const spread = (chosen: readonly LineGaps[]) =>
  Math.max(...chosen.map(({ line }) => line)) - Math.min(...chosen.map(({ line }) => line));

/** The fewest lines whose widest gaps hold all plants: the widest first, and for the rest the one that is just wide enough. */
function fewest(plants: number, free: readonly LineGaps[]): LineGaps[] | null {
  const widest = [...free].sort((a, b) => b.widest - a.widest || a.line - b.line);
  const chosen: LineGaps[] = [];
  let left = plants;
  for (const one of widest) {
    if (one.widest >= left) break;
    chosen.push(one);
    left -= one.widest;
  }
  const last = widest
    .filter((one) => !chosen.includes(one) && one.widest >= left)
    .sort((a, b) => a.widest - b.widest || nearness(chosen, a) - nearness(chosen, b))[0];
  return last ? [...chosen, last] : null;
}

const nearness = (chosen: readonly LineGaps[], { line }: LineGaps) =>
  chosen.reduce((least, other) => Math.min(least, Math.abs(other.line - line)), Infinity);

function filled(plants: number, chosen: readonly LineGaps[]): LineRange[] {
  let left = plants;
  return chosen
    .map(({ line, gaps, widest }) => {
      const count = Math.min(left, widest);
      left -= count;
      // What is left goes where it just fits; a line that is filled gives its widest gap.
      const gap = gaps.filter((one) => width(one) >= count).reduce((a, b) => (width(b) < width(a) ? b : a));
      return { line, start: gap.start, end: gap.start + count };
    })
    .sort((a, b) => a.line - b.line);
}
