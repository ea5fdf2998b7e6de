import { GREATEST, requireFigures, requireWhole } from "../units/range";
import { requireSpan } from "./requirePlan";
import { requireDay, type Day } from "../units/day";
import type { Stay } from "./timeline";
import type { PlanGrowingArea } from "./types";

export interface GrowingAreaOccupancy {
  readonly growingAreaId: number;
  readonly sites: number;
  /** Plants on each day of the window. */
  readonly plants: Int32Array;
  /** Sites blocked for cleaning on each day. */
  readonly blocked: Int32Array;
  readonly peakUsed: number;
  readonly leastFree: number;
  readonly daysOver: number;
  readonly firstOver: { readonly day: Day; readonly sites: number } | null;
}

/**
 * Plants in each growing area on each day of [from, to). Stays are half-open; after a stay its sites are blocked for the
 * growing area's cleaning days. Used = plants + blocked, compared with the sites.
 *
 * @source difference sums; tests/reference/batches/occupancy.json
 */
export function occupancy(
  growingAreas: readonly Pick<PlanGrowingArea, "id" | "sites" | "cleaningDays">[],
  stays: Iterable<Pick<Stay, "growingAreaId" | "plants" | "from" | "to">>,
  from: Day,
  to: Day,
): GrowingAreaOccupancy[] {
  requireSpan("occupancy", from, to);
  for (const growingArea of growingAreas)
    requireFigures("occupancy", growingArea, { sites: [0, GREATEST, "whole"], cleaningDays: [0, 366, "whole"] });
  const tallies = areaTallies(growingAreas, to - from);
  for (const stay of stays) {
    requireDay("occupancy", "from of a stay", stay.from);
    requireDay("occupancy", "to of a stay", stay.to);
    requireWhole("occupancy", "plants", stay.plants, 0, 10_000_000);
    const tally = tallies.get(stay.growingAreaId);
    if (tally) addStay(tally, stay.plants, stay.from - from, stay.to - from);
  }
  return occupancyOf(tallies, from);
}

type Area = Pick<PlanGrowingArea, "id" | "sites" | "cleaningDays">;

/** Changes of plants and of blocked sites in a growing area from day to day, to be summed. */
export interface AreaTally {
  readonly area: Area;
  readonly plants: Int32Array;
  readonly blocked: Int32Array;
}

export function areaTallies(areas: readonly Area[], days: number): Map<number, AreaTally> {
  const changes = () => new Int32Array(days + 1);
  return new Map(areas.map((area) => [area.id, { area, plants: changes(), blocked: changes() }]));
}

/** Adds plants on the days [start, end), counted from the first of the tally, and the cleaning after them. */
export function addStay({ area, plants, blocked }: AreaTally, count: number, start: number, end: number): void {
  if (end <= start) return;
  addRun(plants, start, end, count);
  if (area.cleaningDays > 0) addRun(blocked, end, end + area.cleaningDays, count);
}

export function occupancyOf(tallies: ReadonlyMap<number, AreaTally>, from: Day): GrowingAreaOccupancy[] {
  return [...tallies.values()].map(({ area, plants, blocked }) =>
    summarise(area, running(plants), running(blocked), from),
  );
}

function addRun(changes: Int32Array, start: number, end: number, amount: number) {
  const last = changes.length - 1;
  changes[Math.min(last, Math.max(0, start))]! += amount;
  changes[Math.min(last, Math.max(0, end))]! -= amount;
}

function running(changes: Int32Array): Int32Array {
  const totals = new Int32Array(changes.length - 1);
  let sum = 0;
  for (let i = 0; i < totals.length; i++) totals[i] = sum += changes[i]!;
  return totals;
}

function summarise(
  growingArea: Pick<PlanGrowingArea, "id" | "sites">,
  plants: Int32Array,
  blocked: Int32Array,
  from: Day,
): GrowingAreaOccupancy {
  let peakUsed = 0;
  let daysOver = 0;
  let firstOver: GrowingAreaOccupancy["firstOver"] = null;
  for (let i = 0; i < plants.length; i++) {
    const used = plants[i]! + blocked[i]!;
    peakUsed = Math.max(peakUsed, used);
    if (used > growingArea.sites) {
      daysOver += 1;
      firstOver ??= { day: from + i, sites: used - growingArea.sites };
    }
  }
  return {
    growingAreaId: growingArea.id,
    sites: growingArea.sites,
    plants,
    blocked,
    peakUsed,
    leastFree: Math.max(0, growingArea.sites - peakUsed),
    daysOver,
    firstOver,
  };
}
