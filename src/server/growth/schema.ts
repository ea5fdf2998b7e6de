import Joi from "joi";
import type { HarvestPattern } from "@/core/growth/harvestPattern";
import { edited, type Edited, choice, measure, rowId, text, whole } from "../session/validation";

export interface StageInput {
  readonly name: string;
  readonly poolId: number;
  readonly daysByMonth: readonly number[];
  readonly survival: number;
  readonly needLpd: number;
}

export interface VarietyInput extends Edited {
  readonly name: string;
  readonly crop: string;
  readonly kind: "leaf" | "herb" | "fruit" | "root" | "shoots" | "fodder" | "flower";
  readonly unit: string;
  readonly germination: number;
  readonly seedsPerCell: number;
  readonly seedsPerG: number;
  readonly pattern: HarvestPattern;
  readonly stages: readonly StageInput[];
}

const holdDays = whole("Holds for", 0, 120);
const unitsPerPlant = measure("Yield per plant", 0.0001, 1000, "");
const patternKinds = {
  once: Joi.object({ kind: Joi.valid("once").required(), unitsPerPlant, holdDays }),
  cut: Joi.object({
    kind: Joi.valid("cut").required(),
    unitsPerPlant,
    cuts: whole("Cuts", 1, 50),
    daysBetween: whole("Days between cuts", 1, 120),
    factor: measure("Yield against the cut before", 0, 2, ""),
    holdDays,
  }),
  picking: Joi.object({
    kind: Joi.valid("picking").required(),
    unitsPerPlantWeek: measure("Yield per plant and week", 0.0001, 1000, ""),
    weeks: whole("Picking weeks", 1, 80),
    holdDays,
  }),
};

export const varietySchema = Joi.object<VarietyInput>({
  ...edited("Variety"),
  name: text("Name"),
  crop: text("Crop"),
  kind: choice("Kind", "leaf", "herb", "fruit", "root", "shoots", "fodder", "flower"),
  unit: text("Unit", 30),
  germination: measure("Germination", 0.01, 1, ""),
  seedsPerCell: whole("Seeds per cell", 1, 10_000),
  seedsPerG: measure("Seeds per gram", 0.01, 100_000, ""),
  pattern: Joi.alternatives()
    .conditional(".kind", {
      switch: Object.entries(patternKinds).map(([kind, then]) => ({ is: kind, then })),
    })
    .required(),
  stages: Joi.array()
    .items(
      Joi.object({
        name: text("Stage", 40),
        poolId: rowId("Pool"),
        daysByMonth: Joi.array()
          .items(measure("Days", 0.5, 400, "days").optional())
          .length(12)
          .required(),
        survival: measure("Come through", 0.01, 1, ""),
        needLpd: measure("Drinks a day", 0, 200, "L"),
      }),
    )
    .min(1)
    .max(10)
    .required()
    .label("Stages")
    .messages({ "array.min": "A variety needs at least one stage" }),
});
