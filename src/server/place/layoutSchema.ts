import Joi from "joi";
import { LAYOUT_FORMAT, LAYOUT_VERSION, type LayoutDocument } from "@/core/place/layout/document";
import { GROWING_AREA, HOUSE, STAND } from "@/core/garden/entities/place";
import type { Entity } from "@/core/garden/entities/field";
import { partsOf } from "../entities/joi";
import { text } from "../session/validation";

const MOST_HOUSES = 200;
const MOST_STANDS = 2000;
const MOST_TEXT = 900_000;

/** The fields of an entity; one that is not said, as in a file from before it was described, has its initial value. */
export function fileParts(entity: Entity): Joi.SchemaMap {
  const initial = new Map(entity.fields.map((field) => [field.name, field.initial]));
  return Object.fromEntries(
    Object.entries(partsOf(entity)).map(([name, schema]) => {
      const value = initial.get(name);
      return [name, value === undefined ? schema : schema.optional().default(value)];
    }),
  );
}

const { xM, yM, turned, spec } = partsOf(STAND);
const { groundM } = fileParts(STAND);

/** A layout file: types and ranges. What refers to what is looked at afterwards. */
export const layoutDocumentSchema = Joi.object<LayoutDocument>({
  format: Joi.valid(LAYOUT_FORMAT).required(),
  version: Joi.valid(LAYOUT_VERSION).required(),
  name: text("Name"),
  houses: Joi.array()
    .items(Joi.object(fileParts(HOUSE)))
    .max(MOST_HOUSES)
    .required()
    .label("Houses"),
  growingAreas: Joi.array()
    .items(Joi.object(fileParts(GROWING_AREA)))
    .max(MOST_HOUSES)
    .required()
    .label("Growing areas"),
  stands: Joi.array()
    .items(
      Joi.object({
        name: text("Name"),
        house: text("House"),
        growingArea: text("Growing area"),
        loop: text("Loop").allow(null),
        xM,
        yM,
        turned,
        groundM,
        spec,
      }),
    )
    .max(MOST_STANDS)
    .required()
    .label("Stands"),
});

export const importLayoutSchema = Joi.object<{ name: string; text: string }>({
  name: text("Name"),
  text: Joi.string().max(MOST_TEXT).required().label("File").messages({
    "string.max": "The file is longer than 900 000 characters",
    "string.empty": "The file is empty",
    "any.required": "The file is missing",
  }),
});
