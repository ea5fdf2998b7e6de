import Joi from "joi";
import { BATCH, CUSTOMER, ORDER } from "@/core/garden/entities/batches";
import type { FieldsOf } from "@/core/garden/entities/field";
import { entitySchema, partsOf } from "../entities/joi";
import { day, rowId, type Opened } from "../session/validation";

export type OrderInput = Opened & FieldsOf<typeof ORDER>;
export const orderSchema = entitySchema<OrderInput>(ORDER);

export type CustomerInput = Opened & FieldsOf<typeof CUSTOMER>;
export const customerSchema = entitySchema<CustomerInput>(CUSTOMER);

export type NewBatch = Pick<FieldsOf<typeof BATCH>, "varietyId" | "sowDay" | "cells" | "targetPlants">;

const { note: _note, clearedDay: _cleared, ...newBatch } = partsOf(BATCH);

export const batchesSchema = Joi.object<{ batches: readonly NewBatch[] }>({
  batches: Joi.array().items(Joi.object(newBatch)).min(1).max(500).required().label("Batches").messages({
    "array.min": "There is no batch to add",
    "array.max": "More than 500 batches at once: shorten the series",
  }),
});

export type BatchInput = Opened & NewBatch & { readonly note: string };

/** A form changes no clearing: that is the round's. */
export const batchSchema = entitySchema<BatchInput>({
  ...BATCH,
  fields: BATCH.fields.filter(({ name }) => name !== "clearedDay"),
});

export const moveBatchSchema = Joi.object<{ id: number; from: number; sowDay: number }>({
  id: rowId("Batch"),
  from: day("Sown so far on"),
  sowDay: day("Sow on"),
});

export const removeBatchesSchema = Joi.object<{ ids: readonly number[] }>({
  ids: Joi.array().items(rowId("Batch").optional()).min(1).max(500).required(),
});

export const removeOrderSchema = Joi.object<{ id: number; batchIds: readonly number[] }>({
  id: rowId("Order"),
  batchIds: Joi.array().items(rowId("Batch").optional()).unique().max(500).default([]),
});
