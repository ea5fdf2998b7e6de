import { requireDay, type Day } from "../../units/day";
import { requireArea } from "../requirePlan";
import type { PlanGrowingArea } from "../types";
import type { PlacedStay } from "./areaPlaces";
import { lineRanges, rangesOfRuns } from "./siteRuns";

export interface FreeSites {
  /** Sites that nobody holds, and that are not being cleaned. */
  readonly sites: number;
  /** Of them, those on lines where nothing stands at all. */
  readonly onWholeLines: number;
  readonly wholeLines: number;
  /** The most neighbouring sites that are free on one line. */
  readonly longestRun: number;
}

/**
 * What is free in a growing area on a day, and in how small pieces: free sites beside a batch are of use to a small one only,
 * and their line cannot be washed.
 *
 * @param placed stays of the growing area; those without a place hold no sites
 * @throws RangeError for an area or a day that cannot be
 * @source counted line by line
 */
export function freeSites(area: PlanGrowingArea, placed: readonly PlacedStay[], day: Day): FreeSites {
  requireArea("freeSites", area);
  requireDay("freeSites", "day", day);
  const held = area.sitesPerLine.map((sites) => new Uint8Array(sites));
  for (const { stay, runs, over } of placed)
    if (over === 0 && stay.from <= day && day < stay.to + area.cleaningDays)
      for (const { line, start, end } of lineRanges(rangesOfRuns(area.sitesPerLine, runs)))
        held[line]!.fill(1, start, end);
  const lines = held.map((taken) => ({ free: taken.length - taken.reduce((sum, one) => sum + one, 0), taken }));
  const whole = lines.filter(({ free, taken }) => free === taken.length && free > 0);
  return {
    sites: lines.reduce((sum, { free }) => sum + free, 0),
    onWholeLines: whole.reduce((sum, { free }) => sum + free, 0),
    wholeLines: whole.length,
    longestRun: Math.max(0, ...lines.map(({ taken }) => longestZeroRun(taken))),
  };
}

function longestZeroRun(taken: Uint8Array): number {
  let [longest, run] = [0, 0];
  for (const one of taken) {
    run = one === 0 ? run + 1 : 0;
    longest = Math.max(longest, run);
  }
  return longest;
}
