"use server";
import { HARVEST_UNIT, SEED_LOT, VARIETY, VARIETY_STAGE, VARIETY_STEP } from "@/core/garden/entities/growth";
import { removeCommand, saveCommand } from "../garden/planCommand";
import { removeSchema } from "../place/schema";
import { harvestUnitSchema, varietySchema } from "./schema";

export const saveVariety = saveCommand(VARIETY, varietySchema, {
  parts: [
    { entity: VARIETY_STAGE, as: "stages" },
    { entity: VARIETY_STEP, as: "steps" },
    { entity: SEED_LOT, as: "lots" },
  ],
});

/** What crops can be sold by. A unit that is in use cannot be deleted. */
export const saveHarvestUnit = saveCommand(HARVEST_UNIT, harvestUnitSchema);
export const removeHarvestUnit = removeCommand(HARVEST_UNIT, removeSchema);
export const removeVariety = removeCommand(VARIETY, removeSchema);
