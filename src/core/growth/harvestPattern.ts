import type { Day } from "../units/day";
import { requireRange, requireWhole } from "../units/range";

/** How a crop is taken. Units are the variety's own: heads, bunches, kg, trays. */
export type HarvestPattern =
  | { readonly kind: "once"; readonly unitsPerPlant: number; readonly holdDays: number }
  | { readonly kind: "cut"; readonly unitsPerPlant: number; readonly cuts: number; readonly daysBetween: number; readonly factor: number; readonly holdDays: number }
  | { readonly kind: "picking"; readonly unitsPerPlantWeek: number; readonly weeks: number; readonly holdDays: number }; // prettier-ignore

/** An amount that may be taken from one day to another, both included. */
export interface HarvestLot {
  readonly from: Day;
  readonly until: Day;
  readonly units: number;
}

export interface HarvestPlan {
  readonly lots: readonly HarvestLot[];
  /** The day the site is free when everything has been taken as early as it may be. */
  readonly earliestFree: Day;
  /** The day the site is free at the latest. */
  readonly latestFree: Day;
}

/**
 * What a number of plants gives from the day they are ready. Once: all of it, held up to `holdDays`. Cut and come
 * again: cut i on ready + i·days between, each cut `factor` times the one before; the site is free on the last cut.
 * Steady picking: week by week; the site is free after the last week.
 *
 * @throws RangeError when a figure is out of range
 * @source tests/reference/batches/occupancy.json (cuts, picking weeks)
 */
export function harvestPlan(pattern: HarvestPattern, readyDay: Day, plants: number): HarvestPlan {
  requireRange("harvestPlan", "plants", plants, 0);
  requireWhole("harvestPlan", "holdDays", pattern.holdDays, 0, 120);
  switch (pattern.kind) {
    case "once": {
      const until = readyDay + pattern.holdDays;
      return {
        lots: [{ from: readyDay, until, units: plants * pattern.unitsPerPlant }],
        earliestFree: readyDay,
        latestFree: until,
      };
    }
    case "cut": {
      requireWhole("harvestPlan", "cuts", pattern.cuts, 1, 50);
      requireRange("harvestPlan", "factor", pattern.factor, 0, 2);
      const lots = Array.from({ length: pattern.cuts }, (_, cut) => {
        const from = readyDay + cut * pattern.daysBetween;
        return {
          from,
          until: from + pattern.holdDays,
          units: plants * pattern.unitsPerPlant * pattern.factor ** cut,
        };
      });
      return { lots, earliestFree: lots.at(-1)!.from, latestFree: lots.at(-1)!.until };
    }
    case "picking": {
      requireWhole("harvestPlan", "weeks", pattern.weeks, 1, 80);
      const lots = Array.from({ length: pattern.weeks }, (_, week) => {
        const from = readyDay + 7 * week;
        return {
          from,
          until: from + Math.max(6, pattern.holdDays),
          units: plants * pattern.unitsPerPlantWeek,
        };
      });
      return { lots, earliestFree: readyDay + 7 * pattern.weeks, latestFree: readyDay + 7 * pattern.weeks };
    }
  }
}

/** Units that one plant gives at its first taking: what batches are sized by. */
export function unitsAtFirst(pattern: HarvestPattern): number {
  return pattern.kind === "picking" ? pattern.unitsPerPlantWeek : pattern.unitsPerPlant;
}

/** Days over which one taking can serve market days. */
export function serveDays(pattern: HarvestPattern): number {
  return pattern.kind === "picking" ? Math.max(6, pattern.holdDays) : pattern.holdDays;
}
