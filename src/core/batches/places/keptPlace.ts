import { groupBy } from "../../numeric/groupBy";
import type { Stay } from "../timeline";
import type { PlanGrowingArea } from "../types";
import { Rooms } from "./rooms";
import { lineRanges } from "./siteRuns";
import type { KeptPlace, PlaceLine, SiteRange } from "./types";

/** What is kept for a stay: its ranges, or null where they are not free or not enough on its days any more. */
export interface KeptRanges {
  readonly how: KeptPlace["how"];
  readonly ranges: readonly SiteRange[] | null;
}

/**
 * The kept places of stays as ranges of the growing area's lines. Where fewer plants came than were planned, the last sites
 * are given back. Where two collide, because one slipped in time, what stands there or comes first stays.
 *
 * @param stays in the order of their first days
 */
export function keptRanges(
  area: PlanGrowingArea,
  lines: readonly PlaceLine[],
  stays: readonly Stay[],
  kept: readonly KeptPlace[],
): Map<string, KeptRanges> {
  const found = new Map<string, KeptRanges>();
  if (kept.length === 0 || !area.lines) return found;
  const lineAt = new Map(area.lines.map(({ standId, line }, index) => [`${standId}/${line}`, index]));
  const byStay = groupBy(kept, ({ batchId, stage }) => `${batchId}/${stage}`);
  const rooms = new Rooms(lines, () => null);
  const inOrder = [...stays].sort((a, b) => Number(b.begun) - Number(a.begun) || a.from - b.from);
  inOrder.forEach((stay, index) => {
    const key = `${stay.batchId}/${stay.stage}`;
    const places = byStay.get(key);
    if (!places) return;
    const until = stay.to + area.cleaningDays;
    const ranges = rangesFor(area, lineAt, places, stay.plants);
    const held = lineRanges(ranges ?? []);
    const isFree = held.every((range) => rooms.isFree(range, stay.from, until));
    found.set(key, { how: places[0]!.how, ranges: ranges && isFree ? ranges : null });
    if (isFree) rooms.hold({ index, from: stay.from, until }, held);
  });
  return found;
}

function rangesFor(
  { sitesPerLine }: PlanGrowingArea,
  lineAt: ReadonlyMap<string, number>,
  places: readonly KeptPlace[],
  plants: number,
): SiteRange[] | null {
  const ranges: SiteRange[] = [];
  let left = plants;
  const sorted = places
    .map((place) => ({ ...place, index: lineAt.get(`${place.standId}/${place.line}`) }))
    .sort((a, b) => (a.index ?? 0) - (b.index ?? 0));
  for (const { index, firstSite, sites } of sorted) {
    if (left === 0) break;
    if (index === undefined || firstSite - 1 + sites > sitesPerLine[index]!) return null;
    const count = Math.min(left, sites);
    ranges.push({ line: String(index), first: firstSite, count });
    left -= count;
  }
  return left > 0 ? null : ranges;
}
