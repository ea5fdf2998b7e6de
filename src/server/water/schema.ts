import Joi from "joi";
import type { FieldsOf } from "@/core/garden/entities/field";
import { LOOP, SOURCE, STORE } from "@/core/garden/entities/water";
import { entitySchema } from "../entities/joi";
import { measure, rowId, whole, type Opened } from "../session/validation";

/** A loop as a form sends it. */
export type LoopInput = Opened & FieldsOf<typeof LOOP>;
export const loopSchema = entitySchema<LoopInput>(LOOP);

/** There is nothing to say. */
export const nothingSchema = Joi.object<Record<string, never>>({});

export type SourceInput = Opened & FieldsOf<typeof SOURCE>;
export const sourceSchema = entitySchema<SourceInput>(SOURCE);

export type StoreInput = Opened & FieldsOf<typeof STORE>;
export const storeSchema = entitySchema<StoreInput>(STORE);

export interface TurnsInput {
  readonly id: number;
  readonly from: number;
  readonly turns: number;
}
export interface NeedFactorInput {
  readonly id: number;
  readonly from: number;
  readonly factor: number;
}
const factor = measure("Against what is worked out", 0.1, 10, "");
export const needFactorSchema = Joi.object<NeedFactorInput>({ id: rowId("Loop"), from: factor, factor });

const turns = whole("Turns", 1, 50);
export const turnsSchema = Joi.object<TurnsInput>({ id: rowId("Loop"), from: turns, turns });
