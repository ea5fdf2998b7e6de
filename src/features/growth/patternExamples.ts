import type { HarvestPattern } from "@/core/growth/harvestPattern";

/** Figures to begin with, by how a crop is harvested. */
export const PATTERN_EXAMPLES: { readonly [Kind in HarvestPattern["kind"]]: Extract<HarvestPattern, { kind: Kind }> } =
  {
    once: { kind: "once", unitsPerPlant: 1, keepsDays: 4 },
    cut: { kind: "cut", unitsPerPlant: 0.5, cuts: 3, daysBetween: 14, factor: 0.9, keepsDays: 6 },
    picking: { kind: "picking", unitsPerPlantWeek: 0.3, weeks: 12, keepsDays: 6 },
  };
