import type { Table, Tables } from "@/core/garden/changes";
import { PLAN_ENTITIES } from "@/core/garden/entities";
import type { Entity } from "@/core/garden/entities/field";
import type { Site } from "@/core/garden/gardenOf";
import { many, maybeOne, one, type Db } from "../db/pool";
import { columnsOf } from "../entities/columns";
import { cachedAt } from "../session/cachedAt";

/** All rows of a garden's plan, by table and id. */
export async function tablesOf(db: Db, gardenId: number): Promise<Tables> {
  const tables: Record<string, Table> = {};
  for (const entity of PLAN_ENTITIES) tables[entity.table] = await tableOf(db, entity, gardenId);
  return tables;
}

async function tableOf(db: Db, entity: Entity, gardenId: number): Promise<Table> {
  const rows = await many<{ readonly id: number }>(
    db,
    `select ${columnsOf(entity)} from ${entity.table} where garden_id = $1`,
    [gardenId],
  );
  return Object.fromEntries(rows.map((row) => [row.id, row as unknown as Table[number]]));
}

/**
 * The same as they were kept since the garden last moved. Only before a transaction writes to the plan: what it wrote may
 * still be rolled back.
 */
export async function keptTables(db: Db, gardenId: number): Promise<Tables> {
  const { base, count } = await gardenRevision(db, gardenId);
  return cachedAt(`${gardenId} tables`, `${base} ${count}`, () => tablesOf(db, gardenId));
}

/** How many transactions have changed what a season is worked out from: the same number, the same rows. */
export async function gardenRevision(
  db: Db,
  gardenId: number,
): Promise<{ readonly base: number; readonly count: number }> {
  const row = await maybeOne<{ base: number; count: number }>(
    db,
    `select oid::bigint as base, coalesce((select count from revision where garden_id = $1), 0) as count
       from pg_database where datname = current_database()`,
    [gardenId],
  );
  return row!;
}

/** Where a garden lies: what its sun hangs on. */
export async function gardenSite(db: Db, gardenId: number): Promise<Site> {
  return one<Site>(db, "garden", 'select latitude_deg as "latitudeDeg" from garden where id = $1', [gardenId]);
}
