"use server";
import { isoFromDay } from "@/core/units/day";
import { many } from "../db/pool";
import { removeRow, saveRow } from "../db/save";
import { command, RefusedError } from "../session/command";
import { removeSchema } from "../place/schema";
import { batches } from "./queries";
import { batchSchema, batchesSchema, moveBatchSchema, orderSchema, outletSchema, removeBatchesSchema } from "./schema";

export const saveOutlet = command("plan", outletSchema, (db, outlet, who) =>
  saveRow(db, "outlet", who.gardenId, outlet.id, { name: outlet.name }, outlet.version),
);

export const saveOrder = command("plan", orderSchema, (db, order, who) =>
  saveRow(
    db,
    "order_line",
    who.gardenId,
    order.id,
    {
      outlet_id: order.outletId,
      variety_id: order.varietyId,
      weekday: order.weekday,
      quantity: order.quantity,
      from_day: isoFromDay(order.from),
      to_day: isoFromDay(order.to),
    },
    order.version,
  ),
);

export const removeOrder = command("plan", removeSchema, (db, { id }, who) =>
  removeRow(db, "order_line", who.gardenId, id),
);

/** Adds batches, all or none. One sown before today is taken as in the ground since then. */
export const addBatches = command("plan", batchesSchema, async (db, input, who) => {
  const ids: number[] = [];
  for (const batch of input.batches) {
    const id = await saveRow(db, "batch", who.gardenId, null, {
      variety_id: batch.varietyId,
      sow_day: isoFromDay(batch.sowDay),
      cells: batch.cells,
      target_plants: batch.targetPlants,
    });
    if (batch.sowDay < who.today)
      await many(
        db,
        `insert into batch_stage (garden_id, batch_id, position, begun_on, plants) values ($1, $2, 0, $3::date, $4)`,
        [who.gardenId, id, isoFromDay(batch.sowDay), batch.cells],
      );
    ids.push(id);
  }
  return ids;
});

export const saveBatch = command("plan", batchSchema, (db, batch, who) =>
  saveRow(
    db,
    "batch",
    who.gardenId,
    batch.id,
    {
      variety_id: batch.varietyId,
      sow_day: isoFromDay(batch.sowDay),
      cells: batch.cells,
      target_plants: batch.targetPlants,
      note: batch.note,
    },
    batch.version,
  ),
);

/** Moves a batch in time; what has been sown stays where it is. @returns the day it had before, for undo */
export const moveBatch = command("plan", moveBatchSchema, async (db, { id, version, sowDay }, who) => {
  const batch = (await batches(db, who.gardenId)).find((candidate) => candidate.id === id);
  if (!batch) throw new RefusedError("This batch is not there any more.");
  if (batch.begun.length > 0) throw new RefusedError("This batch has been sown: its days are facts now.", "sowDay");
  await saveRow(db, "batch", who.gardenId, id, { sow_day: isoFromDay(sowDay) }, version);
  return batch.sowDay;
});

export const removeBatches = command("plan", removeBatchesSchema, async (db, { ids }, who) => {
  for (const id of ids) await removeRow(db, "batch", who.gardenId, id);
});
