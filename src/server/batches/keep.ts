"use server";
import { squash, type Changes, type Row, type Tables } from "@/core/garden/changes";
import { newRow } from "@/core/garden/edit";
import { BATCH, CUSTOMER, ORDER } from "@/core/garden/entities/batches";
import type { Entity } from "@/core/garden/entities/field";
import type { Variety } from "@/core/garden/garden";
import { reachedRows, stagesReached } from "@/core/garden/setup/alreadyGrowing";
import { addCrop, LIBRARY_ID } from "@/core/garden/setup/addCrop";
import { CROP_LIBRARY } from "@/core/growth/library/crops";
import { NotFoundError } from "../db/pool";
import { planCommand } from "../garden/planCommand";
import type { Session } from "../session/session";
import { growingSchema, keepSowingSchema, keepWeekSchema, type AskedCrop } from "./keepSchema";

/** How long an order of a quick answer runs; its form changes that. */
const ORDER_DAYS = 365;
const BATCH_ID = -1;
const CUSTOMER_ID = -1;
const ORDER_ID = -2;

/** Keeps an answer as a batch, and its crop where the garden does not have that yet. */
export const keepSowing = planCommand("plan", keepSowingSchema, ({ crop, ...batch }, tables, who) => {
  const { varietyId, changes } = varietyFor(crop, tables, who);
  return {
    changes: squash(changes, added(tables, BATCH, BATCH_ID, { varietyId, ...batch })),
    value: (ids) => ids.get(BATCH_ID)!,
  };
});

/** Enters plants that stand there already: a batch sown so long ago, in the stage that it has reached by now. */
export const addGrowing = planCommand("plan", growingSchema, ({ varietyId, plants, ageDays }, tables, { today }) => {
  if (!tables.variety?.[varietyId]) throw new NotFoundError(null);
  const stages = Object.values(tables.variety_stage ?? {})
    .filter((stage) => stage.varietyId === varietyId)
    .sort((a, b) => Number(a.position) - Number(b.position)) as unknown as Variety["stages"];
  const sowDay = today - ageDays;
  const batch = added(tables, BATCH, BATCH_ID, { varietyId, sowDay, cells: plants, targetPlants: plants });
  const reached = reachedRows(tables, BATCH_ID, stagesReached(stages, sowDay, plants, plants, today), BATCH_ID - 1);
  return {
    changes: {
      ...batch,
      batch_stage: { added: Object.fromEntries(reached.map((row) => [Number(row.id), row])), removed: {}, updated: {} },
    },
    value: (ids) => ids.get(BATCH_ID)!,
  };
});

/** Keeps an answer as an order of every week, from today for a year. */
export const keepWeek = planCommand("plan", keepWeekSchema, ({ crop, ...order }, tables, who) => {
  const { varietyId, changes } = varietyFor(crop, tables, who);
  const own = Object.values(tables.customer ?? {}).find(({ name }) => name === OWN);
  const customerId = own ? Number(own.id) : CUSTOMER_ID;
  const row = { varietyId, customerId, ...order, from: who.today, to: who.today + ORDER_DAYS };
  const customer = own ? {} : added(tables, CUSTOMER, CUSTOMER_ID, { name: OWN });
  return {
    changes: [customer, added(tables, ORDER, ORDER_ID, row)].reduce(squash, changes),
    value: (ids) => ids.get(ORDER_ID)!,
  };
});

/** Who an order is for that came from a quick answer. */
const OWN = "Own harvest";

const added = (tables: Tables, entity: Entity, id: number, row: Row): Changes => ({
  [entity.table]: { added: { [id]: newRow(tables, entity, id, row) }, removed: {}, updated: {} },
});

function varietyFor(crop: AskedCrop, tables: Tables, { latitudeDeg }: Session) {
  if ("varietyId" in crop) {
    if (!tables.variety?.[crop.varietyId]) throw new NotFoundError(null);
    return { varietyId: crop.varietyId, changes: {} };
  }
  const there = Object.values(tables.variety ?? {}).find(({ name }) => name === crop.library);
  if (there) return { varietyId: Number(there.id), changes: {} };
  const shipped = CROP_LIBRARY.find(({ name }) => name === crop.library)!;
  return { varietyId: LIBRARY_ID, changes: addCrop(tables, shipped, latitudeDeg) };
}
