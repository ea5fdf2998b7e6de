"use server";
import { METER, RECIPE, RECIPE_SALT, SALT, SALT_LOT } from "@/core/garden/entities/feed";
import { STOCK_TANK } from "@/core/garden/entities/water";
import { removeCommand, saveCommand } from "../garden/planCommand";
import { removeSchema } from "../place/schema";
import { withFirstAmounts } from "./firstAmounts";
import { meterSchema, recipeSchema, saltSchema, stockTankSchema } from "./schema";

export const saveRecipe = saveCommand(RECIPE, recipeSchema, {
  parts: [{ entity: RECIPE_SALT, as: "salts" }],
  after: withFirstAmounts,
});
export const saveSalt = saveCommand(SALT, saltSchema, { parts: [{ entity: SALT_LOT, as: "lots" }] });
export const saveStockTank = saveCommand(STOCK_TANK, stockTankSchema);
export const saveMeter = saveCommand(METER, meterSchema);
export const removeMeter = removeCommand(METER, removeSchema);
