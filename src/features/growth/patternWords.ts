import type { HarvestPattern } from "@/core/growth/harvestPattern";
import { counted } from "@/core/units/format";

/** How a crop is taken, in words. */
export function patternWords(pattern: HarvestPattern, unit: string, each: "plant" | "tray" = "plant"): string {
  switch (pattern.kind) {
    case "once":
      return `${unit}: once, ${pattern.unitsPerPlant} a ${each}, keeps ${counted(pattern.keepsDays, "day")}`;
    case "cut":
      return `${unit}: ${counted(pattern.cuts, "cut")} ${counted(pattern.daysBetween, "day")} apart, ${pattern.unitsPerPlant} a ${each}`;
    case "picking":
      return `${unit}: picked for ${counted(pattern.weeks, "week")}, ${pattern.unitsPerPlantWeek} a ${each} each week`;
  }
}
