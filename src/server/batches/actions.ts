"use server";
import { newRow } from "@/core/garden/edit";
import type { Changes, Row } from "@/core/garden/changes";
import { BATCH, BATCH_STAGE, CUSTOMER, ORDER } from "@/core/garden/entities/batches";
import { planCommand, removedOrGone, saveCommand } from "../garden/planCommand";
import { RefusedError } from "../session/refusal";
import {
  batchesSchema,
  batchSchema,
  customerSchema,
  moveBatchSchema,
  orderSchema,
  removeBatchesSchema,
  removeOrderSchema,
  type NewBatch,
} from "./schema";

export const saveCustomer = saveCommand(CUSTOMER, customerSchema);
export const saveOrder = saveCommand(ORDER, orderSchema);
/** Deletes an order, and with it such batches as were to be sown for it. */
export const removeOrder = planCommand("plan", removeOrderSchema, ({ id, batchIds }, tables) => ({
  changes: {
    ...removedOrGone(tables, ORDER, [id]),
    ...(batchIds.length > 0 && removedOrGone(tables, BATCH, batchIds)),
  },
  value: () => undefined,
}));

/** Adds batches, all or none. One sown before today is taken as in the ground since then. */
export const addBatches = planCommand("plan", batchesSchema, ({ batches }, tables, who) => {
  const ids = batches.map((_, index) => -1 - index);
  const rows = batches.map((batch, index) => newRow(tables, BATCH, ids[index]!, batch as unknown as Row));
  const begun = (batch: NewBatch, index: number) =>
    newRow(tables, BATCH_STAGE, -1 - batches.length - index, {
      batchId: ids[index]!,
      position: 0,
      day: batch.sowDay,
      plants: batch.cells,
    });
  const standing = batches.flatMap((batch, index) => (batch.sowDay < who.today ? [begun(batch, index)] : []));
  return {
    changes: { batch: onlyAdded(rows), batch_stage: onlyAdded(standing) },
    value: (real) => ids.map((id) => real.get(id)!),
  };
});

const onlyAdded = (rows: readonly Row[]): Changes[string] => ({
  added: Object.fromEntries(rows.map((row) => [Number(row.id), row])),
  removed: {},
  updated: {},
});

export const saveBatch = saveCommand(BATCH, batchSchema);

/** Moves a batch in time; what has been sown stays where it is. @returns the day it had before */
export const moveBatch = planCommand("plan", moveBatchSchema, ({ id, from, sowDay }, tables) => {
  const batch = tables.batch?.[id];
  if (!batch) throw new RefusedError({ room: "batches", kind: "batch-gone" });
  const isSown = Object.values(tables.batch_stage ?? {}).some(({ batchId }) => batchId === id);
  if (isSown) throw new RefusedError({ room: "batches", kind: "sown-already" }, "sowDay");
  const updated = from === sowDay ? {} : { [id]: { sowDay: [from, sowDay] as const } };
  return { changes: { batch: { added: {}, removed: {}, updated } }, value: () => Number(batch.sowDay) };
});

export const removeBatches = planCommand("plan", removeBatchesSchema, ({ ids }, tables) => ({
  changes: removedOrGone(tables, BATCH, ids),
  value: () => undefined,
}));
