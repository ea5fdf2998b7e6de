import { requireDay, type Day } from "../../units/day";
import { requireArea } from "../requirePlan";
import type { Stay } from "../timeline";
import type { PlanGrowingArea } from "../types";
import { placeStays } from "./placeStays";
import { keptRanges } from "./keptPlace";
import { Rooms } from "./rooms";
import { lineRanges, rangesOfRuns, runsOfRanges, siteStarts, type SiteRun } from "./siteRuns";
import type { KeptPlace, PlaceLine, PlaceStay, SiteRange } from "./types";

/** Where a stay stands. */
export interface PlacedStay {
  readonly stay: Stay;
  /** Along the lines of the growing area; at or past its sites it is over capacity. */
  readonly runs: readonly SiteRun[];
  /** Its plants, where the growing area has no place for them together; else 0. */
  readonly over: number;
  /** How its place came about, where it is kept: put there by hand, accepted with a plan, or stood there already. */
  readonly kept: KeptPlace["how"] | null;
  /** A place is kept for it, but is not free or not large enough on its days: it was put elsewhere. */
  readonly isDisplaced: boolean;
}

/** What else decides where the stays of a growing area stand. */
export interface PlaceWishes {
  readonly today: Day;
  readonly kept?: readonly KeptPlace[];
  /** Lines that a batch may stand on, by their place in the growing area; null: all. */
  readonly linesFor?: (batchId: number) => readonly number[] | null;
  readonly familyOf?: (batchId: number) => string | undefined;
  readonly effort?: number;
}

/**
 * Puts the stays of a growing area on its lines. What is kept stands where it is kept; what began before today goes before
 * what is planned, so that no plan moves what is in the ground.
 *
 * @param stays of the growing area; those without a day are left out
 * @returns a place for each, in the order of their first days
 * @throws RangeError from `placeStays`
 * @source placeStays
 */
export function areaPlaces(area: PlanGrowingArea, stays: readonly Stay[], wishes: PlaceWishes): PlacedStay[] {
  requireArea("areaPlaces", area);
  requireDay("areaPlaces", "today", wishes.today);
  const order = stays.filter(({ from, to }) => to > from).sort((a, b) => a.from - b.from || a.batchId - b.batchId);
  const lines = placeLines(area);
  const kept = keptRanges(area, lines, order, wishes.kept ?? []);
  const there = new Set(order.filter(({ begun, to }) => begun || to <= wishes.today).map(keyOf));
  const pins = new Map<string, readonly SiteRange[]>();
  for (const [key, { ranges }] of kept) if (ranges) pins.set(key, ranges);
  const asked = (stay: Stay): PlaceStay => {
    const key = keyOf(stay);
    const own = wishes.linesFor?.(stay.batchId);
    const family = wishes.familyOf?.(stay.batchId);
    const pinned = pins.get(key);
    return {
      ...{ id: key, plants: stay.plants, from: stay.from, to: stay.to },
      ...(own && { allowedLines: own.map(String) }),
      ...(pinned && { pinned }),
      ...(family && { family }),
    };
  };
  const { cleaningDays } = area;
  // Kept places of what is planned hold for what stands there too: both were there when they were kept.
  const first = order.filter((stay) => there.has(keyOf(stay)) || pins.has(keyOf(stay))).map(asked);
  for (const [key, ranges] of placeStays({ lines, cleaningDays, stays: first }).placed) pins.set(key, ranges);
  const left = new Set(first.filter(({ id }) => !pins.has(id)).map(({ id }) => id));
  const { placed } = placeStays({
    ...{ lines, cleaningDays, effort: wishes.effort ?? 1 },
    stays: order.filter((stay) => !left.has(keyOf(stay))).map(asked),
  });
  const above: { readonly stay: Stay; readonly run: SiteRun }[] = [];
  return order.map((stay) => {
    const key = keyOf(stay);
    const ranges = placed.get(key);
    const how = kept.get(key);
    const isKept = how?.ranges !== undefined && how.ranges !== null;
    const runs = ranges ? runsOfRanges(area, ranges) : [aboveCapacity(area, stay, above)];
    return {
      ...{ stay, runs, over: ranges ? 0 : stay.plants },
      kept: isKept ? how.how : null,
      isDisplaced: how !== undefined && !isKept,
    };
  });
}

/**
 * Plants that could stand on the days of a stay beside all that has a place: on each line the widest run of sites that is free.
 */
export function roomBeside(area: PlanGrowingArea, placed: readonly PlacedStay[], { from, to }: Stay): number {
  const rooms = new Rooms(placeLines(area), () => null);
  placed.forEach(({ stay, runs, over }, index) => {
    if (over > 0) return;
    const ranges = lineRanges(rangesOfRuns(area.sitesPerLine, runs));
    rooms.hold({ index, from: stay.from, until: stay.to + area.cleaningDays }, ranges);
  });
  return rooms.lines.reduce((sum, _, line) => {
    const gaps = rooms.gaps(line, from, to + area.cleaningDays);
    return sum + gaps.reduce((widest, gap) => Math.max(widest, gap.end - gap.start), 0);
  }, 0);
}

const keyOf = ({ batchId, stage }: Pick<Stay, "batchId" | "stage">) => `${batchId}/${stage}`;

function placeLines({ sitesPerLine, lines }: PlanGrowingArea): PlaceLine[] {
  return sitesPerLine.map((sites, index) => {
    const line = lines?.[index];
    return { id: String(index), sites, ...(line && { bank: line.bank, rotates: line.rotates }) };
  });
}

/** Above the capacity line, over what has no place on the same days. */
function aboveCapacity(
  { sitesPerLine, cleaningDays }: PlanGrowingArea,
  stay: Stay,
  above: { readonly stay: Stay; readonly run: SiteRun }[],
): SiteRun {
  const start = above
    .filter(({ stay: other }) => other.to + cleaningDays > stay.from)
    .reduce((top, { run }) => Math.max(top, run.end), siteStarts(sitesPerLine).at(-1)!);
  const run = { start, end: start + stay.plants };
  above.push({ stay, run });
  return run;
}
