import type { HarvestPattern } from "@/core/growth/harvestPattern";

/** How a crop is taken, in words. */
export function patternWords(pattern: HarvestPattern, unit: string): string {
  switch (pattern.kind) {
    case "once":
      return `${unit}: once, ${pattern.unitsPerPlant} a plant, holds ${pattern.holdDays} days`;
    case "cut":
      return `${unit}: ${pattern.cuts} cuts ${pattern.daysBetween} days apart, ${pattern.unitsPerPlant} a plant`;
    case "picking":
      return `${unit}: picked ${pattern.weeks} weeks, ${pattern.unitsPerPlantWeek} a plant and week`;
  }
}
