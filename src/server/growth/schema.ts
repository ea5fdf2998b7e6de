import Joi from "joi";
import type { FieldsOf } from "@/core/garden/entities/field";
import { HARVEST_UNIT, SEED_LOT, VARIETY, VARIETY_STAGE, VARIETY_STEP } from "@/core/garden/entities/growth";
import type { Stage } from "@/core/garden/garden";
import { entitySchema, partsOf } from "../entities/joi";
import type { Opened } from "../session/validation";

/** A variety as a form sends it. */
export type VarietyInput = Opened &
  FieldsOf<typeof VARIETY> & {
    readonly stages: readonly Stage[];
    readonly steps: readonly Omit<FieldsOf<typeof VARIETY_STEP>, "varietyId" | "position">[];
    readonly lots: readonly Omit<FieldsOf<typeof SEED_LOT>, "varietyId">[];
  };

export type HarvestUnitInput = Opened & FieldsOf<typeof HARVEST_UNIT>;
export const harvestUnitSchema = entitySchema<HarvestUnitInput>(HARVEST_UNIT);

const { varietyId: _variety, position: _position, ...stage } = partsOf(VARIETY_STAGE);
const { varietyId: _raises, position: _at, ...step } = partsOf(VARIETY_STEP);
const { varietyId: _of, ...lot } = partsOf(SEED_LOT);
// What says which stage it is: its place in the list does.
const strip = Joi.any().strip();

export const varietySchema = entitySchema<VarietyInput>(VARIETY).keys({
  stages: Joi.array()
    .items(Joi.object({ ...stage, id: strip, varietyId: strip, position: strip, typed: strip }))
    .min(1)
    .max(10)
    .required()
    .label("Stages")
    .messages({ "array.min": "A variety needs at least one stage" }),
  steps: Joi.array()
    .items(Joi.object({ ...step, id: strip, varietyId: strip, position: strip, typed: strip }))
    .max(30)
    .required()
    .label("Steps"),
  lots: Joi.array()
    .items(Joi.object({ ...lot, id: strip, varietyId: strip, typed: strip }))
    .unique("name")
    .max(60)
    .required()
    .label("Lots of seed")
    .messages({ "array.unique": "Two lots of seed have the same name." }),
});
