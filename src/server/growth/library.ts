"use server";
import Joi from "joi";
import { addCrop, LIBRARY_ID } from "@/core/garden/setup/addCrop";
import { CROP_LIBRARY } from "@/core/growth/library/crops";
import { planCommand } from "../garden/planCommand";
import { choice } from "../session/validation";

const schema = Joi.object<{ readonly library: string }>({
  library: choice("Crop", ...CROP_LIBRARY.map(({ name }) => name)),
});

/** Takes a crop of the library over, with its whole profile, for where the garden lies. */
export const addLibraryCrop = planCommand("plan", schema, ({ library }, tables, { latitudeDeg }) => ({
  changes: addCrop(
    tables,
    CROP_LIBRARY.find(({ name }) => name === library)!,
    latitudeDeg,
  ),
  value: (ids) => ids.get(LIBRARY_ID)!,
}));
