"use server";
import Joi from "joi";
import { RECIPE_LIBRARY } from "@/core/feed/library";
import { COMMON_METERS } from "@/core/feed/meters";
import { apply, squash } from "@/core/garden/changes";
import { addMeter, METER_ID } from "@/core/garden/setup/addMeter";
import { MORE_SALTS, SALT_LIBRARY } from "@/core/feed/salts";
import { addRecipe, addSalt, RECIPE_ID, SALT_ID } from "@/core/garden/setup/addRecipe";
import { planCommand } from "../garden/planCommand";
import { withFirstAmounts } from "./firstAmounts";
import { choice } from "../session/validation";

const schema = Joi.object<{ readonly library: string }>({
  library: choice("Recipe", ...RECIPE_LIBRARY.map(({ name }) => name)),
});

/** Takes a recipe of the library over, with the salts that make it. */
export const addLibraryRecipe = planCommand("plan", schema, async ({ library }, tables) => {
  const changes = addRecipe(
    tables,
    RECIPE_LIBRARY.find(({ name }) => name === library)!,
  );
  return {
    changes: squash(changes, await withFirstAmounts(apply(tables, changes), RECIPE_ID)),
    value: (ids) => ids.get(RECIPE_ID)!,
  };
});

const meterSchema = Joi.object<{ readonly library: string }>({
  library: choice("Meter", ...COMMON_METERS.map(({ name }) => name)),
});

/** Takes a common meter over. */
export const addCommonMeter = planCommand("plan", meterSchema, ({ library }, tables) => ({
  changes: addMeter(
    tables,
    COMMON_METERS.find(({ name }) => name === library)!,
  ),
  value: (ids) => ids.get(METER_ID)!,
}));

const saltSchema = Joi.object<{ readonly library: string }>({
  library: choice("Salt", ...[...SALT_LIBRARY, ...MORE_SALTS].map(({ name }) => name)),
});

/** Takes a salt of the library onto the shelf. */
export const addLibrarySalt = planCommand("plan", saltSchema, ({ library }, tables) => ({
  changes: addSalt(
    tables,
    [...SALT_LIBRARY, ...MORE_SALTS].find(({ name }) => name === library)!,
  ),
  value: (ids) => ids.get(SALT_ID)!,
}));
