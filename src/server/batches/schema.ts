import Joi from "joi";
import { BATCH, BATCH_PLACE, CLOSED_DAY, CUSTOMER, ORDER, SEASON } from "@/core/garden/entities/batches";
import type { FieldsOf } from "@/core/garden/entities/field";
import type { Spot, StageOf } from "@/core/garden/keepPlaces";
import type { Remedy } from "@/core/garden/season/remedy";
import { entitySchema, partsOf } from "../entities/joi";
import { day, rowId, whole, type Opened } from "../session/validation";

export type OrderInput = Opened & FieldsOf<typeof ORDER>;
export const orderSchema = entitySchema<OrderInput>(ORDER);

export type CustomerInput = Opened & FieldsOf<typeof CUSTOMER>;
export const customerSchema = entitySchema<CustomerInput>(CUSTOMER);

export type NewBatch = Pick<FieldsOf<typeof BATCH>, "varietyId" | "sowDay" | "cells" | "targetPlants">;

const { note: _note, clearedDay: _cleared, pinned: _pinned, ...newBatch } = partsOf(BATCH);

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

const { stage, standId, line, firstSite } = partsOf(BATCH_PLACE);
const stageOf = { batchId: rowId("Batch"), stage };

/** A stage of a batch, and the site from which on it is to stand. */
export const putBatchSchema = Joi.object<StageOf & Spot>({ ...stageOf, standId, line, firstSite });

export const swapBatchesSchema = Joi.object<{ one: StageOf; other: StageOf }>({
  one: Joi.object(stageOf).required(),
  other: Joi.object(stageOf).required(),
});

export const stagesSchema = Joi.object<{ stages: readonly StageOf[] }>({
  stages: Joi.array().items(Joi.object(stageOf)).min(1).max(5000).required().label("Batches"),
});

export const pinBatchesSchema = Joi.object<{ ids: readonly number[]; pinned: boolean }>({
  ids: Joi.array().items(rowId("Batch").optional()).min(1).max(500).required(),
  pinned: Joi.boolean().required(),
});

export const splitBatchSchema = Joi.object<{ id: number; plants: number }>({
  id: rowId("Batch"),
  plants: whole("Plants to split off", 1, 1_000_000),
});

export const joinBatchesSchema = Joi.object<{ into: number; from: number }>({
  into: rowId("Batch"),
  from: rowId("Batch"),
});

export type SeasonInput = Opened & FieldsOf<typeof SEASON>;
export const seasonSchema = entitySchema<SeasonInput>(SEASON);

export type ClosedDayInput = Opened & FieldsOf<typeof CLOSED_DAY>;
export const closedDaySchema = entitySchema<ClosedDayInput>(CLOSED_DAY);
export const removeClosedDaySchema = Joi.object<{ id: number }>({ id: rowId("Day off") });

/** A planned season, and its batches that are taken; null: all of it. */
const remedyName = Joi.string().trim().max(200).allow("").required().label("Name");
const figure = (label: string, most: number) => Joi.number().greater(0).max(most).required().label(label);
const kind = <Kind extends string>(name: Kind) => Joi.string().valid(name).required();
const orderId = rowId("Order");

/** What is tried with a planned season: one thing more, fewer or later. */
const remedySchema = Joi.alternatives<Remedy>(
  Joi.object({ kind: kind("fewer"), orderId, name: remedyName, quantity: figure("Quantity", 1_000_000) }),
  Joi.object({ kind: kind("later"), orderId, name: remedyName, from: day("From") }),
  Joi.object({
    ...{ kind: kind("sites"), standId: rowId("Stand"), name: remedyName },
    ...{ more: whole("More of them", 1, 1000), sites: whole("Sites", 1, 1_000_000) },
  }),
  Joi.object({
    ...{ kind: kind("water"), sourceId: rowId("Source"), name: remedyName },
    litresPerDay: figure("Litres a day", 1_000_000),
  }),
  Joi.object({ kind: kind("hours"), hours: figure("Hours a week", 1000) }),
  Joi.object({ kind: kind("salt"), saltId: rowId("Salt"), name: remedyName, grams: figure("Grams", 10_000_000) }),
);

export const askSeasonSchema = Joi.object<{ remedy?: Remedy }>({
  remedy: remedySchema.optional().label("What is tried"),
});

export const acceptSeasonSchema = Joi.object<{ setId: number; batchIds: readonly number[] | null }>({
  setId: rowId("Planned season"),
  batchIds: Joi.array().items(rowId("Batch").optional()).min(1).max(5000).required().allow(null).label("Batches"),
});
