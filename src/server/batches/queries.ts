import type { PlanBatch, PlanOrder } from "@/core/batches/types";
import { many, maybeOne, type Db } from "../db/pool";

export interface BatchRow extends PlanBatch {
  readonly version: number;
  readonly note: string;
}

export interface OrderRow extends PlanOrder {
  readonly version: number;
  readonly outletId: number;
}

/** Batches with the stages that really began. */
export function batches(db: Db, gardenId: number): Promise<BatchRow[]> {
  return many<BatchRow>(
    db,
    `select batch.id, batch.version, variety_id as "varietyId", sow_day as "sowDay", cells, target_plants as "targetPlants",
            cleared_day as "clearedDay", batch.note, coalesce(begun.stages, '[]') as begun
       from batch
       left join (select batch_id, jsonb_agg(jsonb_build_object('position', position, 'day', begun_on - date '1970-01-01', 'plants', plants)
                                             order by position) as stages
                    from batch_stage where garden_id = $1 group by batch_id) begun on begun.batch_id = batch.id
      where batch.garden_id = $1 order by sow_day, batch.id`,
    [gardenId],
  );
}

/** Standing orders, by outlet and weekday. */
export function orders(db: Db, gardenId: number): Promise<OrderRow[]> {
  return many<OrderRow>(
    db,
    `select order_line.id, order_line.version, outlet_id as "outletId", outlet.name as "outletName", variety_id as "varietyId", weekday, quantity,
            from_day as "from", to_day as "to"
       from order_line join outlet on outlet.id = outlet_id and outlet.garden_id = $1
      where order_line.garden_id = $1 order by outlet.name, weekday, order_line.id`,
    [gardenId],
  );
}

export function outlets(db: Db, gardenId: number): Promise<{ id: number; version: number; name: string }[]> {
  return many(db, "select id, version, name from outlet where garden_id = $1 order by name", [gardenId]);
}

/** How many transactions have changed what a season is worked out from: the same number, the same rows. */
export async function gardenRevision(db: Db, gardenId: number): Promise<number> {
  const row = await maybeOne<{ count: number }>(db, "select count from revision where garden_id = $1", [gardenId]);
  return row?.count ?? 0;
}
