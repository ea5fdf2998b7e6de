import Joi from "joi";
import { BATCH, ORDER } from "@/core/garden/entities/batches";
import type { FieldsOf } from "@/core/garden/entities/field";
import { CROP_LIBRARY } from "@/core/growth/library/crops";
import { partsOf } from "../entities/joi";
import { choice, rowId, whole } from "../session/validation";

/** A crop of the library by its name, or a variety of the garden. */
export type AskedCrop = { readonly library: string } | { readonly varietyId: number };

const crop = Joi.alternatives()
  .conditional(Joi.object({ varietyId: Joi.exist() }).unknown(), {
    then: Joi.object({ varietyId: rowId("Crop") }),
    otherwise: Joi.object({ library: choice("Crop", ...CROP_LIBRARY.map(({ name }) => name)) }),
  })
  .required()
  .label("Crop");

const { sowDay, cells, targetPlants } = partsOf(BATCH);
export const keepSowingSchema = Joi.object<
  { readonly crop: AskedCrop } & Pick<FieldsOf<typeof BATCH>, "sowDay" | "cells" | "targetPlants">
>({ crop, sowDay, cells, targetPlants });

const { weekday, quantity } = partsOf(ORDER);
export const keepWeekSchema = Joi.object<
  { readonly crop: AskedCrop } & Pick<FieldsOf<typeof ORDER>, "weekday" | "quantity">
>({ crop, weekday, quantity });

const MOST_AGE_DAYS = 700;
/** Plants that stand there already, and how old they are from sowing. */
export const growingSchema = Joi.object<{ varietyId: number; plants: number; ageDays: number }>({
  varietyId: rowId("Crop"),
  plants: whole("Plants", 1, 1_000_000),
  ageDays: whole("Age", 1, MOST_AGE_DAYS, "days"),
});
