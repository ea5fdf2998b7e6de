import type { Plan } from "../plan";
import type { Stay } from "../timeline";
import type { PlanGrowingArea, PlanInput, PlanVariety } from "../types";
import { areaPlaces, type PlacedStay } from "./areaPlaces";

/** Every stay of a plan on its sites, by growing area. @param effort as in `PlacingProblem` @source areaPlaces */
export function planPlaces(plan: Plan, input: PlanInput, effort = 1): Map<number, PlacedStay[]> {
  const stays = staysByArea(plan);
  const varieties = new Map(plan.batches.map(({ batch, variety }) => [batch.id, variety]));
  return new Map(
    input.growingAreas.map((area) => [
      area.id,
      areaPlaces(area, stays.get(area.id) ?? [], {
        ...{ today: input.today, effort },
        ...(input.places && { kept: input.places }),
        linesFor: (batchId) => suitedLines(area, varieties.get(batchId)!),
        familyOf: (batchId) => varieties.get(batchId)!.family,
      }),
    ]),
  );
}

function staysByArea(plan: Plan): Map<number, Stay[]> {
  const found = new Map<number, Stay[]>();
  for (const { stays } of plan.batches)
    for (const stay of stays) {
      const own = found.get(stay.growingAreaId);
      if (own) own.push(stay);
      else found.set(stay.growingAreaId, [stay]);
    }
  return found;
}

/**
 * Lines whose water and build suit a crop. Where none of a growing area does, all are taken: a crop that is grown there
 * anyway is warned of elsewhere.
 * @returns null for all
 */
export function suitedLines({ lines }: PlanGrowingArea, { unsuited }: PlanVariety): readonly number[] | null {
  if (!lines || !unsuited || (unsuited.loopIds.length === 0 && unsuited.standIds.length === 0)) return null;
  const own = lines.flatMap(({ loopId, standId }, index) =>
    (loopId !== null && unsuited.loopIds.includes(loopId)) || unsuited.standIds.includes(standId) ? [] : [index],
  );
  return own.length === 0 || own.length === lines.length ? null : own;
}
