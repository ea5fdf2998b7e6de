import { requireDay, type Day } from "../units/day";
import { workOutPlan, type Plan } from "./plan";
import { requireSpan } from "./requirePlan";
import type { PlanInput } from "./types";

/** A batch as it would be added. */
export interface WishedBatch {
  readonly varietyId: number;
  readonly sowDay: Day;
  readonly readyDay: Day;
  readonly cells: number;
  readonly targetPlants: number;
}

/** A growing area that batches would overfill: from when, to when, and by how many sites on the worst day. */
export interface Overfull {
  readonly growingAreaId: number;
  readonly name: string;
  readonly sites: number;
  readonly from: Day;
  readonly to: Day;
  readonly most: number;
  readonly worstDay: Day;
}

/** Days past its last ready day that a plan is looked at. */
const DAYS_AFTER = 150;

/**
 * What of the batches that would be added has no sites, area by area, before anything is added. What is too full already
 * counts only so far as they make it worse.
 *
 * @param input the plan as it is
 * @param wished batches to be added
 * @returns the areas that they overfill, the first day first
 * @throws RangeError from the plan, for a figure outside its range
 * @source occupancy of the plan with them and without them
 */
export function unfitting(input: PlanInput, wished: readonly WishedBatch[]): Overfull[] {
  if (wished.length === 0) return [];
  requireSpan("unfitting", input.from, input.to);
  for (const { readyDay } of wished) requireDay("unfitting", "readyDay", readyDay);
  const to = Math.max(input.to, ...wished.map(({ readyDay }) => readyDay + DAYS_AFTER));
  const first = Math.min(0, ...input.batches.map(({ id }) => id)) - 1;
  const added = wished.map(({ varietyId, sowDay, cells, targetPlants }, index) => ({
    id: first - index,
    varietyId,
    sowDay,
    cells,
    targetPlants,
    begun: sowDay < input.today ? [{ position: 0, day: sowDay, plants: cells }] : [],
    clearedDay: null,
  }));
  const before = workOutPlan({ ...input, to });
  const after = workOutPlan({ ...input, to, batches: [...input.batches, ...added] });
  return input.growingAreas
    .flatMap(({ id, name, sites }): Overfull[] => {
      const [was, is] = [usedIn(before, id), usedIn(after, id)];
      let found: { from: Day; to: Day; most: number; worstDay: Day } | null = null;
      for (let day = input.today; day < to; day++) {
        const at = day - input.from;
        const over = is(at) - Math.max(sites, was(at));
        if (over <= 0) continue;
        found ??= { from: day, to: day, most: 0, worstDay: day };
        found.to = day;
        if (over > found.most) Object.assign(found, { most: over, worstDay: day });
      }
      return found ? [{ growingAreaId: id, name, sites, ...found }] : [];
    })
    .sort((a, b) => a.from - b.from || b.most - a.most);
}

/** Sites taken and being cleaned in a growing area, by the day's place in the plan. */
function usedIn({ growingAreas }: Plan, growingAreaId: number): (at: number) => number {
  const used = growingAreas.find((area) => area.growingAreaId === growingAreaId)!;
  return (at) => used.plants[at]! + used.blocked[at]!;
}

/**
 * Batches still to be sown of which an order alone takes: what would go with it.
 * @param orderId an order of the plan
 */
export function sownForAlone(plan: Plan, orderId: number): number[] {
  const takers = new Map<number, Set<number>>();
  for (const delivery of plan.deliveries)
    for (const { batchId } of delivery.parts)
      takers.set(batchId, (takers.get(batchId) ?? new Set<number>()).add(delivery.orderId));
  return plan.batches
    .filter(({ batch }) => batch.begun.length === 0 && batch.clearedDay === null)
    .filter(({ batch }) => takers.get(batch.id)?.size === 1 && takers.get(batch.id)!.has(orderId))
    .map(({ batch }) => batch.id);
}
