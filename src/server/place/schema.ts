import Joi from "joi";
import { CLIMATE, GROWING_AREA, HOUSE, STAND } from "@/core/garden/entities/place";
import type { FieldsOf } from "@/core/garden/entities/field";
import { entitySchema } from "../entities/joi";
import { fileParts } from "./layoutSchema";
import { type Opened, rowId } from "../session/validation";

export type HouseInput = Opened & FieldsOf<typeof HOUSE>;
export const houseSchema = entitySchema<HouseInput>(HOUSE);

export type StandFields = FieldsOf<typeof STAND>;
export type StandInput = Opened & StandFields;
export const standSchema = entitySchema<StandInput>(STAND);

const MOST_ADDED = 200;
export const addStandsSchema = Joi.object<{ stands: readonly StandFields[] }>({
  stands: Joi.array()
    .items(Joi.object(fileParts(STAND)))
    .min(1)
    .max(MOST_ADDED)
    .required()
    .label("Stands"),
});

export type GrowingAreaInput = Opened & FieldsOf<typeof GROWING_AREA>;
export const growingAreaSchema = entitySchema<GrowingAreaInput>(GROWING_AREA);

export type ClimateInput = Opened & FieldsOf<typeof CLIMATE>;
export const climateSchema = entitySchema<ClimateInput>(CLIMATE);

/** Thirty years of days fit. */
const MOST_CHARACTERS = 900_000;
export const weatherSchema = Joi.object<{ text: string }>({
  text: Joi.string().max(MOST_CHARACTERS).required().label("The file").messages({
    "string.max": "The file is too long: bring in at most thirty years at once",
    "string.empty": "The file is empty",
  }),
});

export const removeSchema = Joi.object<{ id: number }>({ id: rowId("What to remove") });
