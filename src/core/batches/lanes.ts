import { leastWhole } from "../numeric/leastWhole";
import { GREATEST, requireFigures, requireWhole } from "../units/range";
import { requireArea } from "./requirePlan";
import { requireDay, type Day } from "../units/day";
import type { Stay } from "./timeline";
import type { PlanGrowingArea } from "./types";

/** A run of sites, [start, end), counted along the growing area's lines; at or past the growing area's sites it is over capacity. */
export interface SiteRun {
  readonly start: number;
  readonly end: number;
}

export interface PlacedStay {
  readonly stay: Stay;
  readonly runs: readonly SiteRun[];
  /** Plants for which the growing area has no site. */
  readonly over: number;
}

interface Busy extends SiteRun {
  readonly until: Day;
}

/**
 * Puts stays on real sites, in the order in which they begin: together and from the head of a line where there is such a
 * gap (the tightest one), else together, else in pieces, and what is left over above the capacity line.
 *
 * @returns a placement for each stay, in the order of their first days
 * @source interval packing, best fit
 */
export function placeStays(growingArea: PlanGrowingArea, stays: readonly Stay[]): PlacedStay[] {
  requireArea("placeStays", growingArea);
  for (const { from, to, plants } of stays) {
    requireDay("placeStays", "from", from);
    requireDay("placeStays", "to", to);
    requireWhole("placeStays", "plants", plants, 0, 10_000_000);
  }
  const lineStarts = cumulative(growingArea.sitesPerLine);
  const order = stays.filter((stay) => stay.to > stay.from).sort((a, b) => a.from - b.from || a.batchId - b.batchId);
  let busy: Busy[] = [];
  return order.map((stay) => {
    busy = busy.filter((run) => run.until > stay.from);
    const gaps = gapsBetween(busy, growingArea.sites);
    const runs = togetherIn(gaps, stay.plants, lineStarts) ?? inPieces(gaps, stay.plants);
    let placed = 0;
    for (const run of runs) placed += run.end - run.start;
    const over = stay.plants - placed;
    if (over > 0) runs.push(aboveCapacity(busy, growingArea.sites, over));
    const until = stay.to + growingArea.cleaningDays;
    for (const { start, end } of runs) insertInOrder(busy, { start, end, until });
    return { stay, runs, over };
  });
}

function insertInOrder(busy: Busy[], run: Busy) {
  let at = busy.length;
  while (at > 0 && busy[at - 1]!.start > run.start) at -= 1;
  busy.splice(at, 0, run);
}

/** Indices of the lines that site runs touch, in order; sites past the last line are left out. */
export function linesTouched(sitesPerLine: readonly number[], runs: readonly SiteRun[]): number[] {
  for (const count of sitesPerLine) requireWhole("linesTouched", "sitesPerLine", count, 0, 10_000_000);
  for (const run of runs)
    requireFigures("linesTouched", run, { start: [0, GREATEST, "whole"], end: [0, GREATEST, "whole"] });
  const starts = cumulative(sitesPerLine);
  return sitesPerLine
    .map((_, line) => line)
    .filter((line) => runs.some((run) => run.start < starts[line + 1]! && run.end > starts[line]!));
}

function gapsBetween(busy: readonly SiteRun[], sites: number): SiteRun[] {
  const gaps: SiteRun[] = [];
  let at = 0;
  for (const run of busy) {
    if (run.start >= sites) break;
    if (run.start > at) gaps.push({ start: at, end: run.start });
    at = Math.max(at, run.end);
  }
  if (at < sites) gaps.push({ start: at, end: sites });
  return gaps;
}

/** The tightest gap from the head of a line on, else the tightest gap at all. */
function togetherIn(gaps: readonly SiteRun[], plants: number, lineStarts: readonly number[]): SiteRun[] | null {
  let best: { start: number; spare: number; aligned: boolean } | null = null;
  for (const gap of gaps) {
    if (gap.end - gap.start < plants) continue;
    const head = lineStarts[firstAtOrAfter(lineStarts, gap.start)] ?? gap.end;
    const aligned = gap.end - head >= plants;
    const spare = gap.end - (aligned ? head : gap.start) - plants;
    if (best && (best.aligned !== aligned ? best.aligned : best.spare <= spare)) continue;
    best = { start: aligned ? head : gap.start, spare, aligned };
  }
  return best && [{ start: best.start, end: best.start + plants }];
}

/** Index of the first of rising numbers that is at least `value`; their count when none is. */
function firstAtOrAfter(rising: readonly number[], value: number): number {
  return leastWhole(-1, rising.length, (index) => rising[index]! >= value);
}

function inPieces(gaps: readonly SiteRun[], plants: number): SiteRun[] {
  const runs: SiteRun[] = [];
  let left = plants;
  for (const gap of [...gaps].sort((a, b) => b.end - b.start - (a.end - a.start))) {
    if (left <= 0) break;
    const size = Math.min(left, gap.end - gap.start);
    runs.push({ start: gap.start, end: gap.start + size });
    left -= size;
  }
  return runs.sort((a, b) => a.start - b.start);
}

function aboveCapacity(busy: readonly SiteRun[], sites: number, plants: number): SiteRun {
  const top = busy.reduce((highest, run) => Math.max(highest, run.end), sites);
  return { start: top, end: top + plants };
}

function cumulative(sizes: readonly number[]): number[] {
  const starts = [0];
  for (const size of sizes) starts.push(starts.at(-1)! + size);
  return starts;
}
