import { randomLcg } from "d3-random";
import { bestFit } from "./bestFit";
import type { IndexedStay, LineRange, Rooms } from "./rooms";

/** Where each stay stands so far; null: nowhere. */
export interface Trial {
  ranges: (readonly LineRange[] | null)[];
}

/** Times that stays are taken up and placed anew for each that is out of place: where there are sites enough for it, and where there are not. */
const TRIES_EACH = 400;
const TRIES_FOR_A_SWAP = 4;
const MOST_STAYS_TAKEN_UP = 6_000;

/**
 * Takes up what is in the way of a stay that was left out or split, and places all of it anew in another order; what is not
 * worse is kept. The same problem always comes to the same end.
 *
 * @param trial changed
 * @param effort times as many tries as usual
 * @source ruin and recreate (Schrimpf et al. 2000), with a fixed sequence of chances
 */
export function improve(rooms: Rooms, stays: readonly IndexedStay[], trial: Trial, effort: number): void {
  const chance = randomLcg(stays.length);
  const sites = rooms.lines.reduce((sum, line) => sum + line.sites, 0);
  const free = stays.filter(({ pinned, linesAlone }) => !pinned && linesAlone > 0);
  const hopes = free
    .filter((stay) => isWrong(stay, trial))
    .map((stay) => (sufficesFor(stay, stays, trial, sites) ? TRIES_EACH : TRIES_FOR_A_SWAP));
  const most = Math.ceil(MOST_STAYS_TAKEN_UP / Math.max(1, stays.length));
  const hoped = hopes.reduce((sum, hope) => sum + hope, 0);
  let tries = Math.round(effort * Math.min(most, hoped));
  while (tries-- > 0) {
    const wrong = free.filter((stay) => isWrong(stay, trial));
    if (wrong.length === 0) return;
    const one = wrong[Math.floor(chance() * wrong.length)]!;
    anew(rooms, stays, trial, [one, ...inTheWay(rooms, stays, one, chance)], chance);
  }
}

/** Whether there are sites enough for a stay on each of its days, wherever they are. */
function sufficesFor(stay: IndexedStay, stays: readonly IndexedStay[], { ranges }: Trial, sites: number): boolean {
  const beside = stays.filter(
    ({ index, from, until }) => index !== stay.index && ranges[index] && from < stay.until && until > stay.from,
  );
  const used = (day: number) =>
    beside.reduce((sum, { from, until, plants }) => sum + (from <= day && until > day ? plants : 0), 0);
  return [stay.from, ...beside.map(({ from }) => from).filter((day) => day > stay.from)].every(
    (day) => used(day) + stay.plants <= sites,
  );
}

const isWrong = ({ index, linesAlone }: IndexedStay, { ranges }: Trial) =>
  ranges[index] === null || ranges[index]!.length > linesAlone;

/** Stays on one or two of the lines that it could have, on its days; sometimes all that are there then. */
function inTheWay(rooms: Rooms, stays: readonly IndexedStay[], stay: IndexedStay, chance: () => number): IndexedStay[] {
  const found = new Set<number>();
  const luck = chance();
  const lines = luck < 0.4 ? stay.linesAlone : luck < 0.7 ? stay.linesAlone + 1 : stay.lines.length;
  const first = Math.floor(chance() * stay.lines.length);
  for (let count = 0; count < Math.min(lines, stay.lines.length); count++) {
    const line = stay.lines[(first + count) % stay.lines.length]!;
    for (const other of rooms.staysOn(line, stay.from, stay.until)) found.add(other);
  }
  found.delete(stay.index);
  return [...found].map((index) => stays[index]!).filter(({ pinned }) => !pinned);
}

function anew(
  rooms: Rooms,
  stays: readonly IndexedStay[],
  trial: Trial,
  taken: readonly IndexedStay[],
  chance: () => number,
): void {
  const before = taken.map(({ index }) => trial.ranges[index]!);
  taken.forEach((stay, at) => before[at] && rooms.free(stay, before[at]));
  const others = stays.filter((stay) => !stay.pinned && trial.ranges[stay.index] === null && !taken.includes(stay));
  const all = [...taken, ...others.slice(0, 3)];
  const was = all.map(({ index }) => trial.ranges[index]!);
  const order = all.map((stay, at) => ({ stay, at, key: orderKey(stay, at, chance) })).sort((a, b) => a.key - b.key);
  const now: (readonly LineRange[] | null)[] = all.map(() => null);
  for (const { stay, at } of order) {
    const found = bestFit(rooms, stay);
    if (found) rooms.hold(stay, found);
    now[at] = found;
  }
  if (isNoWorse(all, now, was)) {
    all.forEach(({ index }, at) => (trial.ranges[index] = now[at]!));
    return;
  }
  all.forEach((stay, at) => now[at] && rooms.free(stay, now[at]));
  all.forEach((stay, at) => was[at] && rooms.hold(stay, was[at]));
}

/** The one that was wrong mostly goes first, then large ones, each with some luck. */
function orderKey({ plants }: IndexedStay, at: number, chance: () => number): number {
  return (at === 0 && chance() < 0.7 ? -1e9 : 0) - plants * (0.5 + chance());
}

function isNoWorse(
  stays: readonly IndexedStay[],
  now: readonly (readonly LineRange[] | null)[],
  was: readonly (readonly LineRange[] | null)[],
): boolean {
  let [plants, left, lines] = [0, 0, 0];
  stays.forEach((stay, at) => {
    plants += (now[at] ? 0 : stay.plants) - (was[at] ? 0 : stay.plants);
    left += (now[at] ? 0 : 1) - (was[at] ? 0 : 1);
    lines += (now[at]?.length ?? 0) - (was[at]?.length ?? 0);
  });
  return plants !== 0 ? plants < 0 : left !== 0 ? left < 0 : lines <= 0;
}
