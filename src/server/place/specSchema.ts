import Joi from "joi";
import { STAND_KINDS, STAND_MODELS } from "@/core/place/kinds";
import type { ListMeasure, Measure, NumberMeasure } from "@/core/place/kinds/model";
import { DIMENSIONS } from "@/core/units/dimensions";
import { choice, measure, text, whole } from "../session/validation";

const WITHOUT_UNIT = new Set(["count", "ratio", "share"]);

function numberSchema({ label, dimension, least, greatest, whole: isWhole, atMost }: NumberMeasure): Joi.NumberSchema {
  const unit = WITHOUT_UNIT.has(dimension) ? "" : DIMENSIONS[dimension][0]!.symbol;
  const schema = isWhole ? whole(label, least, greatest) : measure(label, least, greatest, unit);
  if (!atMost) return schema;
  const limit = Joi.ref(atMost.measure, { adjust: (value: number) => value * atMost.times + 1e-9 });
  return schema.max(limit).messages({
    "number.max": `${label} is {#value}${unit && ` ${unit}`}; ${atMost.words}`,
    // The other measure is wrong itself, and says so.
    "any.ref": `${label} depends on a measure that is wrong`,
  });
}

function listSchema({ label, most, columns }: ListMeasure): Joi.ArraySchema {
  const row = Joi.object(Object.fromEntries(columns.map((column) => [column.name, column.type === "text" ? text(column.label) : numberSchema(column)]))); // prettier-ignore
  return Joi.array()
    .items(row)
    .max(most)
    .required()
    .label(label)
    .messages({ "array.max": `${label} has more than ${most} rows` });
}

function schemaOf(one: Measure): Joi.Schema {
  if (one.type === "choice") return choice(one.label, ...one.options);
  return one.type === "list" ? listSchema(one) : numberSchema(one);
}

/** The measures of a stand, checked by its kind; only those of that kind are reported. */
export const specSchema: Joi.Schema = Joi.alternatives()
  .conditional(".kind", {
    switch: STAND_KINDS.map((kind) => ({
      is: kind,
      then: Joi.object({
        kind: Joi.valid(kind).required(),
        ...Object.fromEntries(STAND_MODELS[kind].measures.map((one) => [one.name, schemaOf(one)])),
      }),
    })),
  })
  .required()
  .messages({ "alternatives.any": "Kind of stand is not known", "alternatives.all": "Kind of stand is not known" });
