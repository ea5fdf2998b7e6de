import Joi from "joi";
import { LAYOUT_FORMAT, LAYOUT_VERSION, type LayoutDocument } from "@/core/place/layout/document";
import { maybeRowId, measure, rowId, text, version, whole } from "../session/validation";
import { HOUSE_PARTS, houseSchema, poolSchema, standSchema, STAND_PARTS, type HouseInput, type PoolInput, type StandInput } from "./schema"; // prettier-ignore
import { specSchema } from "./specSchema";

const MOST_HOUSES = 200;
const MOST_STANDS = 2000;
const MOST_TEXT = 900_000;

/** A layout file: types and ranges. What refers to what is looked at afterwards. */
export const layoutDocumentSchema = Joi.object<LayoutDocument>({
  format: Joi.valid(LAYOUT_FORMAT).required(),
  version: Joi.valid(LAYOUT_VERSION).required(),
  name: text("Name"),
  houses: Joi.array().items(Joi.object(HOUSE_PARTS)).max(MOST_HOUSES).required().label("Houses"),
  pools: Joi.array()
    .items(Joi.object({ name: text("Name of a pool"), cleaningDays: whole("Cleaning days", 0, 60) }))
    .max(MOST_HOUSES)
    .required()
    .label("Pools"),
  stands: Joi.array()
    .items(
      Joi.object({
        name: text("Name"),
        house: text("House"),
        pool: text("Pool"),
        loop: text("Loop").allow(null),
        xM: measure("From the left", 0, 500, "m"),
        yM: measure("From the top", 0, 500, "m"),
        turned: Joi.boolean().required().label("Turned"),
        spec: specSchema,
      }),
    )
    .max(MOST_STANDS)
    .required()
    .label("Stands"),
});

export const copyLayoutSchema = Joi.object<{ from: number | null; name: string }>({
  from: maybeRowId("Layout"),
  name: text("Name"),
});
export const renameLayoutSchema = Joi.object<{ id: number; version: number; name: string }>({
  id: rowId("Layout"),
  version,
  name: text("Name"),
});
export const importLayoutSchema = Joi.object<{ name: string; text: string }>({
  name: text("Name"),
  text: Joi.string()
    .max(MOST_TEXT)
    .required()
    .label("File")
    .messages({ "string.max": "The file is longer than 900 000 characters", "string.empty": "The file is empty", "any.required": "The file is missing" }),
}); // prettier-ignore
export const adoptLayoutSchema = Joi.object<{ id: number; version: number }>({ id: rowId("Layout"), version });

// The parts of a layout put by are those of the garden; their ids are their places in it, their version is the layout's.
export const layoutHouseSchema = Joi.object<{ layoutId: number; house: HouseInput }>({ layoutId: rowId("Layout"), house: houseSchema.required() }); // prettier-ignore
export const layoutPoolSchema = Joi.object<{ layoutId: number; pool: PoolInput }>({ layoutId: rowId("Layout"), pool: poolSchema.required() }); // prettier-ignore
export const layoutStandSchema = Joi.object<{ layoutId: number; stand: StandInput }>({ layoutId: rowId("Layout"), stand: standSchema.required() }); // prettier-ignore
export const layoutStandsSchema = Joi.object<{ layoutId: number; stands: readonly Omit<StandInput, "id" | "version">[] }>({
  layoutId: rowId("Layout"),
  stands: Joi.array().items(Joi.object(STAND_PARTS)).min(1).max(200).required().label("Stands"),
}); // prettier-ignore
export const layoutPartRemovalSchema = Joi.object<{ layoutId: number; version: number; id: number }>({
  layoutId: rowId("Layout"),
  version,
  id: rowId("What to remove"),
});
