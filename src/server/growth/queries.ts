import type { Day } from "@/core/units/day";
import { many, type Db } from "../db/pool";

/** Seedlings that were counted on a sowing, one day after the other. */
export interface SowingCounts {
  readonly batchId: number;
  readonly sownOn: Day;
  readonly counts: readonly { readonly day: Day; readonly of: number; readonly up: number }[];
}

/** The latest sowings of a variety on which seedlings were counted, the newest first. */
export async function seedlingCounts(
  db: Db,
  gardenId: number,
  varietyId: number,
  most: number,
): Promise<SowingCounts[]> {
  const rows = await many<{ batchId: number; sownOn: Day; day: Day; of: number; up: number }>(
    db,
    `select entry.batch_id as "batchId", stage.begun_on as "sownOn", entry.day,
            (entry.what ->> 'of')::integer as "of", (entry.what ->> 'up')::integer as up
       from log_entry entry
       join batch on batch.id = entry.batch_id and batch.garden_id = entry.garden_id
       join batch_stage stage on stage.batch_id = batch.id and stage.garden_id = batch.garden_id and stage.position = 0
      where entry.garden_id = $1 and batch.variety_id = $2 and entry.kind = 'germination'
        and entry.undone_at is null and entry.corrects_id is null
      order by stage.begun_on desc, entry.day, entry.id`,
    [gardenId, varietyId],
  );
  const byBatch = new Map<number, SowingCounts>();
  for (const { batchId, sownOn, day, of, up } of rows) {
    const before = byBatch.get(batchId);
    byBatch.set(batchId, { batchId, sownOn, counts: [...(before?.counts ?? []), { day, of, up }] });
  }
  return [...byBatch.values()].slice(0, most);
}
