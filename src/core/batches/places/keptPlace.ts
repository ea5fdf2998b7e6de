import type { Day } from "../../units/day";
import type { Stay } from "../timeline";
import type { PlanGrowingArea } from "../types";
import { siteStarts } from "./siteRuns";
import type { KeptPlace, SiteRange } from "./types";

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
  stays: readonly Stay[],
  kept: readonly KeptPlace[],
): Map<string, KeptRanges> {
  const found = new Map<string, KeptRanges>();
  if (kept.length === 0 || !area.lines) return found;
  const lineAt = new Map(area.lines.map(({ standId, line }, index) => [`${standId}/${line}`, index]));
  const byStay = new Map<string, KeptPlace[]>();
  for (const place of kept) {
    const key = `${place.batchId}/${place.stage}`;
    const own = byStay.get(key);
    if (own) own.push(place);
    else byStay.set(key, [place]);
  }
  const held: { readonly run: { start: number; end: number }; readonly from: Day; readonly until: Day }[] = [];
  const starts = siteStarts(area.sitesPerLine);
  const rank = ({ begun, from }: Stay) => (begun ? from - 1e6 : from);
  for (const stay of [...stays].sort((a, b) => rank(a) - rank(b))) {
    const key = `${stay.batchId}/${stay.stage}`;
    const places = byStay.get(key);
    if (!places) continue;
    const ranges = rangesFor(area, lineAt, places, stay.plants);
    const until = stay.to + area.cleaningDays;
    const runs = (ranges ?? []).map(({ line, first, count }) => {
      const start = starts[Number(line)]! + first - 1;
      return { start, end: start + count };
    });
    const isFree = held.every(
      (other) =>
        other.from >= until ||
        other.until <= stay.from ||
        runs.every(({ start, end }) => other.run.start >= end || other.run.end <= start),
    );
    found.set(key, { how: places[0]!.how, ranges: ranges && isFree ? ranges : null });
    if (ranges && isFree) held.push(...runs.map((run) => ({ run, from: stay.from, until })));
  }
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
