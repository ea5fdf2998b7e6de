import { requireDay, type Day } from "../units/day";
import { requireFigures, requireRange, type FigureRange } from "../units/range";

/** How a crop is taken. Units are the variety's own: heads, bunches, kg, trays. */
export type HarvestPattern =
  | { readonly kind: "once"; readonly unitsPerPlant: number; readonly keepsDays: number }
  | {
      readonly kind: "cut";
      readonly unitsPerPlant: number;
      readonly cuts: number;
      readonly daysBetween: number;
      readonly factor: number;
      readonly keepsDays: number;
    }
  | {
      readonly kind: "picking";
      readonly unitsPerPlantWeek: number;
      readonly weeks: number;
      readonly keepsDays: number;
    };

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

const YIELD: FigureRange = [0, 100_000];
const KEEPS_DAYS: FigureRange = [0, 120, "whole"];
const sound = new WeakSet<object>();

/** Refuses a pattern with a figure outside its range; one that was found sound is not looked at again. */
export function requirePattern(where: string, pattern: HarvestPattern): void {
  if (sound.has(pattern)) return;
  if (pattern.kind === "once") requireFigures(where, pattern, { unitsPerPlant: YIELD, keepsDays: KEEPS_DAYS });
  else if (pattern.kind === "cut")
    requireFigures(where, pattern, {
      unitsPerPlant: YIELD,
      cuts: [1, 50, "whole"],
      daysBetween: [0, 365, "whole"],
      factor: [0, 2],
      keepsDays: KEEPS_DAYS,
    });
  else requireFigures(where, pattern, { unitsPerPlantWeek: YIELD, weeks: [1, 80, "whole"], keepsDays: KEEPS_DAYS });
  sound.add(pattern);
}

/**
 * What a number of plants gives from the day they are ready. Once: all of it, held up to `keepsDays`. Cut and come
 * again: cut i on ready + i·days between, each cut `factor` times the one before; the site is free on the last cut.
 * Steady picking: week by week; the site is free after the last week.
 *
 * @throws RangeError when a figure is out of range
 * @source tests/reference/batches/occupancy.json (cuts, picking weeks)
 */
export function harvestPlan(pattern: HarvestPattern, readyDay: Day, plants: number): HarvestPlan {
  requireDay("harvestPlan", "readyDay", readyDay);
  requireRange("harvestPlan", "plants", plants, 0);
  requirePattern("harvestPlan", pattern);
  const lots: HarvestLot[] = [];
  eachLot(pattern, readyDay, plants, (from, until, units) => lots.push({ from, until, units }));
  return { lots, earliestFree: earliestFree(pattern, readyDay), latestFree: latestFree(pattern, readyDay) };
}

/** The lots of `harvestPlan`, one after the other, of a pattern and a day that were checked. */
export function eachLot(
  pattern: HarvestPattern,
  readyDay: Day,
  plants: number,
  visit: (from: Day, until: Day, units: number) => void,
): void {
  if (pattern.kind === "once") visit(readyDay, readyDay + pattern.keepsDays, plants * pattern.unitsPerPlant);
  else if (pattern.kind === "cut")
    for (let cut = 0; cut < pattern.cuts; cut++) {
      const from = readyDay + cut * pattern.daysBetween;
      visit(from, from + pattern.keepsDays, plants * pattern.unitsPerPlant * pattern.factor ** cut);
    }
  else
    for (let week = 0; week < pattern.weeks; week++) {
      const from = readyDay + 7 * week;
      visit(from, from + Math.max(6, pattern.keepsDays), plants * pattern.unitsPerPlantWeek);
    }
}

/** The day the site is free when everything has been taken as early as it may be. */
export function earliestFree(pattern: HarvestPattern, readyDay: Day): Day {
  if (pattern.kind === "once") return readyDay;
  return pattern.kind === "cut" ? readyDay + (pattern.cuts - 1) * pattern.daysBetween : readyDay + 7 * pattern.weeks;
}

/** The day the site is free at the latest. */
export function latestFree(pattern: HarvestPattern, readyDay: Day): Day {
  const earliest = earliestFree(pattern, readyDay);
  return pattern.kind === "picking" ? earliest : earliest + pattern.keepsDays;
}

/** Units that one plant gives at its first taking: what batches are sized by. */
export function unitsAtFirst(pattern: HarvestPattern): number {
  requirePattern("unitsAtFirst", pattern);
  return pattern.kind === "picking" ? pattern.unitsPerPlantWeek : pattern.unitsPerPlant;
}

/** Days over which one taking can serve market days. */
export function serveDays(pattern: HarvestPattern): number {
  requirePattern("serveDays", pattern);
  return pattern.kind === "picking" ? Math.max(6, pattern.keepsDays) : pattern.keepsDays;
}
