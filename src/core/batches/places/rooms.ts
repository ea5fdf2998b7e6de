import type { Day } from "../../units/day";
import type { PlaceLine, PlacingProblem, SiteRange } from "./types";

/** Sites of a line from one to the next to the last, counted from 0. */
export interface Gap {
  readonly start: number;
  readonly end: number;
}

interface Held extends Gap {
  readonly from: Day;
  readonly until: Day;
  readonly stay: number;
}

/** A stay with its lines as places in the list. */
export interface IndexedStay {
  readonly index: number;
  readonly plants: number;
  readonly from: Day;
  /** The day on which its sites are free again. */
  readonly until: Day;
  readonly lines: readonly number[];
  readonly pinned: readonly LineRange[] | null;
  readonly family: string | null;
  /** Lines that it would touch if nothing else were there; 0 where it could not stand at all. */
  readonly linesAlone: number;
}

export interface LineRange extends Gap {
  readonly line: number;
}

/** Which sites are held when, line by line. */
export class Rooms {
  readonly #held: Held[][];

  constructor(
    readonly lines: readonly PlaceLine[],
    readonly familyOf: (stay: number) => string | null,
  ) {
    this.#held = lines.map(() => []);
  }

  hold({ index, from, until }: Pick<IndexedStay, "index" | "from" | "until">, ranges: readonly LineRange[]): void {
    for (const { line, start, end } of ranges) this.#held[line]!.push({ start, end, from, until, stay: index });
  }

  free({ index }: IndexedStay, ranges: readonly LineRange[]): void {
    for (const { line } of ranges) {
      const held = this.#held[line]!;
      for (let at = held.length - 1; at >= 0; at--) if (held[at]!.stay === index) held.splice(at, 1);
    }
  }

  /** Runs of sites of a line that are free on all of the days, by their place. */
  gaps(line: number, from: Day, until: Day): Gap[] {
    const busy: Gap[] = [];
    for (const held of this.#held[line]!) if (held.from < until && held.until > from) busy.push(held);
    const { sites } = this.lines[line]!;
    if (busy.length === 0) return sites > 0 ? [{ start: 0, end: sites }] : [];
    busy.sort((a, b) => a.start - b.start);
    const gaps: Gap[] = [];
    let at = 0;
    for (const { start, end } of busy) {
      if (start > at) gaps.push({ start: at, end: start });
      at = Math.max(at, end);
    }
    if (at < sites) gaps.push({ start: at, end: sites });
    return gaps;
  }

  isFree({ line, start, end }: LineRange, from: Day, until: Day): boolean {
    return this.#held[line]!.every(
      (held) => held.from >= until || held.until <= from || held.start >= end || held.end <= start,
    );
  }

  /** Whether the plants that stood last on these sites, or stand next, are of the same family. */
  follows(family: string, { line, start, end }: LineRange, from: Day, until: Day): boolean {
    let before: Held | null = null;
    let after: Held | null = null;
    for (const held of this.#held[line]!) {
      if (held.start >= end || held.end <= start) continue;
      if (held.until <= from && (!before || held.until > before.until)) before = held;
      if (held.from >= until && (!after || held.from < after.from)) after = held;
    }
    return [before, after].some((held) => held !== null && this.familyOf(held.stay) === family);
  }

  /** Stays that hold sites of a line on some of the days. */
  staysOn(line: number, from: Day, until: Day): number[] {
    return this.#held[line]!.filter((held) => held.from < until && held.until > from).map(({ stay }) => stay);
  }
}

/** Stays with their lines as places in the list. @throws RangeError for a line that is not there, or a pin outside it */
export function indexed({ lines, stays, cleaningDays }: PlacingProblem): IndexedStay[] {
  const at = new Map(lines.map(({ id }, index) => [id, index]));
  const every = lines.map((_, index) => index);
  const lineAt = (id: string, stay: string) => {
    const found = at.get(id);
    if (found === undefined) throw new RangeError(`placeStays: line "${id}" of stay "${stay}" is not there`);
    return found;
  };
  return stays.map(({ id, plants, from, to, allowedLines, pinned, family }, index) => {
    const own = allowedLines ? allowedLines.map((line) => lineAt(line, id)).sort((a, b) => a - b) : every;
    return {
      ...{ index, plants, from, until: to + cleaningDays, family: family ?? null },
      lines: own,
      pinned: pinned ? pinned.map((range) => pinnedAt(lines, range, lineAt(range.line, id), id)) : null,
      linesAlone: pinned
        ? pinned.length
        : leastLines(
            own.map((line) => lines[line]!.sites),
            plants,
          ),
    };
  });
}

function pinnedAt(lines: readonly PlaceLine[], { first, count }: SiteRange, line: number, stay: string): LineRange {
  const { sites, id } = lines[line]!;
  if (!Number.isInteger(first) || !Number.isInteger(count) || first < 1 || count < 1 || first - 1 + count > sites)
    throw new RangeError(`placeStays: stay "${stay}" is pinned outside the ${sites} sites of line "${id}"`);
  return { line, start: first - 1, end: first - 1 + count };
}

/** The fewest lines that together have so many sites; 0 when all have not. */
function leastLines(sites: readonly number[], plants: number): number {
  let left = plants;
  const largest = [...sites].sort((a, b) => b - a);
  for (let count = 0; count < largest.length; count++) if ((left -= largest[count]!) <= 0) return count + 1;
  return plants === 0 ? 1 : 0;
}

/** Ranges by the names of their lines. */
export const rangesOf = (lines: readonly PlaceLine[], ranges: readonly LineRange[]): SiteRange[] =>
  ranges.map(({ line, start, end }) => ({ line: lines[line]!.id, first: start + 1, count: end - start }));
