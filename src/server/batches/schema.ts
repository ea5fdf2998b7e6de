import Joi from "joi";
import { version, edited, type Edited, day, measure, note, rowId, text, whole } from "../session/validation";

export interface OrderInput extends Edited {
  readonly outletId: number;
  readonly varietyId: number;
  readonly weekday: number;
  readonly quantity: number;
  readonly from: number;
  readonly to: number;
}

export const orderSchema = Joi.object<OrderInput>({
  ...edited("Order"),
  outletId: rowId("Outlet"),
  varietyId: rowId("Variety"),
  weekday: whole("Weekday", 1, 7),
  quantity: measure("Quantity", 0.001, 1_000_000, ""),
  from: day("From"),
  to: day("Until"),
}).custom((order: OrderInput, helpers) =>
  order.to >= order.from ? order : helpers.message({ custom: "Until lies before From" }),
);

export const outletSchema = Joi.object<Edited & { name: string }>({
  ...edited("Outlet"),
  name: text("Name"),
});

export interface NewBatch {
  readonly varietyId: number;
  readonly sowDay: number;
  readonly cells: number;
  readonly targetPlants: number;
}

const newBatch = {
  varietyId: rowId("Variety"),
  sowDay: day("Sow on"),
  cells: whole("Cells", 1, 1_000_000),
  targetPlants: whole("Plants wanted", 1, 1_000_000)
    .max(Joi.ref("cells"))
    .messages({ "number.max": "Plants wanted are {#value}; they must not be more than the cells sown" }),
};

export const batchesSchema = Joi.object<{ batches: readonly NewBatch[] }>({
  batches: Joi.array().items(Joi.object(newBatch)).min(1).max(500).required().label("Batches").messages({
    "array.min": "There is no batch to add",
    "array.max": "More than 500 batches at once: shorten the series",
  }),
});

export interface BatchInput extends NewBatch {
  readonly id: number;
  readonly version: number;
  readonly note: string;
}

export const batchSchema = Joi.object<BatchInput>({ id: rowId("Batch"), version, ...newBatch, note: note("Note") });

export const moveBatchSchema = Joi.object<{ id: number; version: number; sowDay: number }>({
  id: rowId("Batch"),
  version,
  sowDay: day("Sow on"),
});

export const removeBatchesSchema = Joi.object<{ ids: readonly number[] }>({
  ids: Joi.array().items(rowId("Batch").optional()).min(1).max(500).required(),
});
