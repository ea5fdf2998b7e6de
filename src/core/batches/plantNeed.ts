import { plantNeedLpd } from "../water/plantNeed";
import type { PlanInput, PlanStage } from "./types";

/**
 * What a plant of a stage drinks by the climate on a day when ET0 is 1 mm, L; null where its figure stands: it was told to, or
 * Kc, ground or the climate of its growing area is not known.
 * @source water/plantNeed.ts
 */
export function needPerMmL(stage: PlanStage, { et0MmByArea }: Pick<PlanInput, "et0MmByArea">): number | null {
  const { needFrom = "figure", kc = null, areaPerPlantM2 = null, growingAreaId } = stage;
  if (needFrom === "figure" || kc === null || areaPerPlantM2 === null || !et0MmByArea?.[growingAreaId]) return null;
  return plantNeedLpd(1, kc, areaPerPlantM2, 1);
}

/** What a plant of a stage drinks on a day, before what the loop's log has taught, L. @param at days from the first of the plan */
export function stageNeedLpd(stage: PlanStage, input: Pick<PlanInput, "et0MmByArea">, at: number): number {
  const perMmL = needPerMmL(stage, input);
  return perMmL === null ? stage.needLpd : perMmL * (input.et0MmByArea![stage.growingAreaId]![at] ?? 0);
}
