import { GREATEST, requireFigures, requireWhole } from "../../units/range";
import type { PlanGrowingArea } from "../types";
import type { SiteRange } from "./types";

/** A run of sites, [start, end), counted along the growing area's lines; at or past the growing area's sites it is over capacity. */
export interface SiteRun {
  readonly start: number;
  readonly end: number;
}

/** Indices of the lines that site runs touch, in order; sites past the last line are left out. */
export function linesTouched(sitesPerLine: readonly number[], runs: readonly SiteRun[]): number[] {
  for (const count of sitesPerLine) requireWhole("linesTouched", "sitesPerLine", count, 0, 10_000_000);
  for (const run of runs)
    requireFigures("linesTouched", run, { start: [0, GREATEST, "whole"], end: [0, GREATEST, "whole"] });
  const starts = siteStarts(sitesPerLine);
  return sitesPerLine
    .map((_, line) => line)
    .filter((line) => runs.some((run) => run.start < starts[line + 1]! && run.end > starts[line]!));
}

/** Where the sites of each line begin, and behind them the end of the last. */
export function siteStarts(sitesPerLine: readonly number[]): number[] {
  const starts = [0];
  for (const sites of sitesPerLine) starts.push(starts.at(-1)! + sites);
  return starts;
}

/** Ranges on lines that are named by their place, as runs along all of them; neighbours drawn together. */
export function runsOfRanges({ sitesPerLine }: PlanGrowingArea, ranges: readonly SiteRange[]): SiteRun[] {
  const starts = siteStarts(sitesPerLine);
  const runs: { start: number; end: number }[] = [];
  const along = ranges.map(({ line, first, count }) => ({ start: starts[Number(line)]! + first - 1, count }));
  for (const { start, count } of along.sort((a, b) => a.start - b.start)) {
    const last = runs.at(-1);
    if (last?.end === start) last.end += count;
    else runs.push({ start, end: start + count });
  }
  return runs;
}

/** Ranges on lines that are named by their place, counted from 0. */
export function lineRanges(ranges: readonly SiteRange[]): { readonly line: number; start: number; end: number }[] {
  return ranges.map(({ line, first, count }) => ({ line: Number(line), start: first - 1, end: first - 1 + count }));
}

/** Runs along the lines as ranges on each of them; what is past the last line is left out. */
export function rangesOfRuns(sitesPerLine: readonly number[], runs: readonly SiteRun[]): SiteRange[] {
  const starts = siteStarts(sitesPerLine);
  return sitesPerLine.flatMap((sites, line) =>
    runs.flatMap(({ start, end }) => {
      const [from, to] = [Math.max(start, starts[line]!), Math.min(end, starts[line]! + sites)];
      return to > from ? [{ line: String(line), first: from - starts[line]! + 1, count: to - from }] : [];
    }),
  );
}
