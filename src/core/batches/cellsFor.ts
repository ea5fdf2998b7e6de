import { cellsToSow, keptInCell } from "../growth/cellsToSow";
import { requireVariety } from "./requirePlan";
import type { PlanVariety } from "./types";

/** Cells to sow for a number of plants at the last stage, at a confidence; "never" when its seed never comes up. */
export function cellsFor(variety: PlanVariety, targetPlants: number, confidence: number): number | "never" {
  requireVariety("cellsFor", variety);
  const answer = cellsToSow({
    targetPlants,
    germination: variety.germination,
    seedsPerCell: variety.seedsPerCell,
    thinTo: keptInCell(variety),
    laterSurvival: variety.stages.slice(1).map((stage) => stage.survival),
    confidence,
  });
  return "kind" in answer ? "never" : answer.cells;
}
