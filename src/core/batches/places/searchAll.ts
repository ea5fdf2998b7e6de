import { Rooms, type IndexedStay, type LineRange } from "./rooms";
import type { Trial } from "./improve";
import type { PlaceLine } from "./types";

/** Places tried before the search is given up. */
const MOST_PLACES = 15_000;

class GivenUp extends Error {}

/**
 * Looks through every placing of a small problem: sets of stays to leave out by their plants, then their number; for each the
 * fewest lines more than needed. The first that can be placed is the best.
 *
 * @param trial the best so far; set to the best there is
 * @returns false when there were too many places to try, and the trial is as it was
 * @source depth-first branch and bound
 */
export function searchAll(lines: readonly PlaceLine[], stays: readonly IndexedStay[], trial: Trial): boolean {
  const rooms = new Rooms(lines, () => null);
  const free = stays.filter(({ pinned }) => !pinned);
  for (const stay of stays) if (stay.pinned) rooms.hold(stay, stay.pinned);
  const budget = { left: MOST_PLACES };
  const cost = costOf(free, trial);
  try {
    for (const sets of setsByPlants(free)) {
      const [{ plants, count }] = sets as [OutSet];
      if (plants > cost.plants || (plants === cost.plants && count > cost.count)) return true;
      const isSame = plants === cost.plants && count === cost.count;
      const found = fewestLines(rooms, stays, sets, isSame ? cost.lines - 1 : free.length * lines.length, budget);
      if (!found) continue;
      for (const { index } of free) trial.ranges[index] = found.get(index) ?? null;
      return true;
    }
  } catch (error) {
    if (error instanceof GivenUp) return false;
    throw error;
  }
  return true;
}

/** Of sets that leave out as much, the one that touches the fewest lines, up to a number of them. */
function fewestLines(
  rooms: Rooms,
  stays: readonly IndexedStay[],
  sets: readonly OutSet[],
  mostLines: number,
  budget: { left: number },
): Map<number, readonly LineRange[]> | null {
  const kept = sets
    .map(({ kept }) => kept)
    .filter((own) => own.every(({ linesAlone }) => linesAlone > 0) && sufficeByCount(rooms.lines, stays, own))
    .map((own) => ({ own, lines: own.reduce((sum, { linesAlone }) => sum + linesAlone, 0) }));
  const least = kept.reduce((fewest, { lines }) => Math.min(fewest, lines), Infinity);
  const worst = kept.reduce((most, { own }) => Math.max(most, own.length * rooms.lines.length), 0);
  for (let lines = least; lines <= Math.min(mostLines, worst); lines++)
    for (const one of kept) {
      if (one.lines > lines) continue;
      const found = placeAll(rooms, one.own, lines - one.lines, budget);
      if (found) return found;
    }
  return null;
}

function costOf(free: readonly IndexedStay[], { ranges }: Trial) {
  const out = free.filter(({ index }) => ranges[index] === null);
  return {
    plants: out.reduce((sum, { plants }) => sum + plants, 0),
    count: out.length,
    lines: free.reduce((sum, { index }) => sum + (ranges[index]?.length ?? 0), 0),
  };
}

interface OutSet {
  readonly plants: number;
  readonly count: number;
  readonly kept: readonly IndexedStay[];
}

/** Every set of stays that could be left out, those that leave out as much together, the least first. */
function setsByPlants(free: readonly IndexedStay[]): OutSet[][] {
  const groups = new Map<string, OutSet[]>();
  for (let mask = 0; mask < 1 << free.length; mask++) {
    const isOut = (at: number) => (mask & (1 << at)) !== 0;
    const plants = free.reduce((sum, stay, at) => sum + (isOut(at) ? stay.plants : 0), 0);
    const count = free.filter((_, at) => isOut(at)).length;
    const kept = free.filter((_, at) => !isOut(at)).sort((a, b) => a.from - b.from || b.plants - a.plants);
    const key = `${plants}/${count}`;
    groups.set(key, [...(groups.get(key) ?? []), { plants, count, kept }]);
  }
  return [...groups.values()].sort(([a], [b]) => a!.plants - b!.plants || a!.count - b!.count);
}

/** Sites enough on every day, wherever they are. */
function sufficeByCount(lines: readonly PlaceLine[], stays: readonly IndexedStay[], kept: readonly IndexedStay[]) {
  const sites = lines.reduce((sum, line) => sum + line.sites, 0);
  const there = [...stays.filter(({ pinned }) => pinned), ...kept];
  return there.every(
    ({ from }) =>
      there.reduce((sum, stay) => sum + (stay.from <= from && stay.until > from ? stay.plants : 0), 0) <= sites,
  );
}

function placeAll(
  rooms: Rooms,
  stays: readonly IndexedStay[],
  extra: number,
  budget: { left: number },
): Map<number, readonly LineRange[]> | null {
  const found = new Map<number, readonly LineRange[]>();
  const place = (at: number, more: number): boolean => {
    const stay = stays[at];
    if (!stay) return true;
    for (let count = stay.linesAlone; count <= stay.linesAlone + more; count++)
      for (const ranges of rangesOn(rooms, stay, count)) {
        if (budget.left-- <= 0) throw new GivenUp();
        rooms.hold(stay, ranges);
        found.set(stay.index, ranges);
        if (place(at + 1, more - (count - stay.linesAlone))) return true;
        rooms.free(stay, ranges);
      }
    found.delete(stay.index);
    return false;
  };
  const done = place(0, extra);
  if (done) for (const stay of stays) rooms.free(stay, found.get(stay.index)!);
  return done ? found : null;
}

/** Every way to stand on so many lines, one range on each. */
function* rangesOn(
  rooms: Rooms,
  stay: IndexedStay,
  count: number,
  from = 0,
  plants = stay.plants,
): Generator<LineRange[]> {
  for (let at = from; at <= stay.lines.length - count; at++) {
    const line = stay.lines[at]!;
    for (const gap of rooms.gaps(line, stay.from, stay.until)) {
      const most = Math.min(gap.end - gap.start, count === 1 ? plants : plants - count + 1);
      for (let own = most; own >= (count === 1 ? plants : 1); own--)
        for (let start = gap.start; start + own <= gap.end; start++) {
          const range = { line, start, end: start + own };
          if (count === 1) yield [range];
          else for (const rest of rangesOn(rooms, stay, count - 1, at + 1, plants - own)) yield [range, ...rest];
        }
    }
  }
}
