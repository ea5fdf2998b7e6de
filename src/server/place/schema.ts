import Joi from "joi";
import { edited, type Edited, choice, maybeRowId, measure, rowId, text, whole } from "../session/validation";
import type { LayoutHouse } from "@/core/place/layout/document";
import type { StandSpec } from "@/core/place/stand";
import { specSchema } from "./specSchema";

export interface HouseInput extends Edited, LayoutHouse {}

export const HOUSE_PARTS = {
  name: text("Name"),
  lengthM: measure("Length", 0.5, 500, "m"),
  widthM: measure("Width", 0.5, 500, "m"),
  heightM: measure("Height", 0.3, 30, "m"),
  cover: choice("Cover", "net", "film", "glass", "polycarbonate", "open"),
  shadeShare: measure("Shade", 0, 1, ""),
  xM: measure("From the left of the garden", 0, 10_000, "m"),
  yM: measure("From its top", 0, 10_000, "m"),
};

export const houseSchema = Joi.object<HouseInput>({ ...edited("House"), ...HOUSE_PARTS });

export interface StandInput extends Edited {
  readonly houseId: number;
  readonly poolId: number;
  readonly loopId: number | null;
  readonly name: string;
  readonly xM: number;
  readonly yM: number;
  readonly turned: boolean;
  readonly spec: StandSpec;
}

export const STAND_PARTS = {
  houseId: rowId("House"),
  poolId: rowId("Pool"),
  loopId: maybeRowId("Loop"),
  name: text("Name"),
  xM: measure("From the left", 0, 500, "m"),
  yM: measure("From the top", 0, 500, "m"),
  turned: Joi.boolean().required(),
  spec: specSchema,
};

export const standSchema = Joi.object<StandInput>({ ...edited("Stand"), ...STAND_PARTS });

const MOST_ADDED = 200;
export const addStandsSchema = Joi.object<{ stands: readonly Omit<StandInput, "id" | "version">[] }>({
  stands: Joi.array().items(Joi.object(STAND_PARTS)).min(1).max(MOST_ADDED).required().label("Stands"),
});

export interface PoolInput extends Edited {
  readonly name: string;
  readonly cleaningDays: number;
}

export const poolSchema = Joi.object<PoolInput>({
  ...edited("Pool"),
  name: text("Name"),
  cleaningDays: whole("Cleaning days", 0, 60),
});

export const removeSchema = Joi.object<{ id: number }>({ id: rowId("What to remove") });
