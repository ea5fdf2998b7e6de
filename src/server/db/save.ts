import { many, maybeOne, NotFoundError, one, type Db } from "./pool";
import type { Stale } from "../session/result";

const SAFE_NAME = /^[a-z][a-z0-9_]*$/u;

/** Somebody else saved the same row after it was opened. */
export class StaleError extends Error {
  constructor(readonly stale: Stale) {
    super(`changed by ${stale.by} meanwhile`);
  }
}

/**
 * Inserts a row, or changes the one with this id, in a garden's table. Table and column names come from code, values
 * always travel as parameters.
 *
 * @param version of the row that the change builds on; without it the change is taken as it comes
 * @returns the row's id
 * @throws NotFoundError when the row to change is not in this garden
 * @throws StaleError when the row has another version by now
 */
export async function saveRow(
  db: Db,
  table: string,
  gardenId: number,
  id: number | null,
  row: Readonly<Record<string, unknown>>,
  version: number | null = null,
): Promise<number> {
  const columns = Object.keys(row);
  const values = Object.values(row).map(asParameter);
  checkNames([table, ...columns]);
  if (id === null) {
    const places = columns.map((_, index) => `$${index + 2}`);
    const inserted = await one<{ id: number }>(
      db,
      null,
      `insert into "${table}" (garden_id, ${columns.join(", ")}) values ($1, ${places.join(", ")}) returning id`,
      [gardenId, ...values],
    );
    return inserted.id;
  }
  if (version !== null) await refuseStale(db, table, { garden_id: gardenId, id }, version);
  const sets = columns.map((column, index) => `${column} = $${index + 3}`);
  const updated = await many(
    db,
    `update "${table}" set ${sets.join(", ")} where garden_id = $1 and id = $2 returning id`,
    [gardenId, id, ...values],
  );
  if (updated.length === 0) throw new NotFoundError(null);
  return id;
}

/**
 * Refuses a change that builds on an older version. The row stays locked until the transaction ends, so that nobody
 * comes in between.
 *
 * @param key the columns that name the row
 */
export async function refuseStale(
  db: Db,
  table: string,
  key: Readonly<Record<string, string | number>>,
  version: number,
): Promise<void> {
  const columns = Object.keys(key);
  checkNames([table, ...columns]);
  const where = columns.map((column, index) => `${column} = $${index + 1}`).join(" and ");
  const row = await maybeOne<{ version: number }>(
    db,
    `select version from "${table}" where ${where} for update`,
    Object.values(key),
  );
  if (!row || row.version === version) return;
  const garden = Number(key.garden_id ?? key.id);
  throw new StaleError(await lastChange(db, garden, table, without(key, table === "garden" ? "" : "garden_id")));
}

/** Who changed a row last, and when. */
export async function lastChange(
  db: Db,
  gardenId: number,
  table: string,
  key: Readonly<Record<string, unknown>>,
): Promise<Stale> {
  const last = await maybeOne<{ by: string | null; at: Date }>(
    db,
    `select person.name as by, change.at from change left join person on person.id = change.person_id
      where change.garden_id = $1 and table_name = $2 and row_key = $3::jsonb order by change.id desc limit 1`,
    [gardenId, table, JSON.stringify(key)],
  );
  return { by: last?.by ?? "somebody", at: (last?.at ?? new Date()).toISOString() };
}

function without(key: Readonly<Record<string, unknown>>, name: string): Record<string, unknown> {
  return Object.fromEntries(Object.entries(key).filter(([column]) => column !== name));
}

/** Removes a row of a garden's table; says so when it is already gone. */
export async function removeRow(db: Db, table: string, gardenId: number, id: number): Promise<void> {
  checkNames([table]);
  const gone = await many(db, `delete from "${table}" where garden_id = $1 and id = $2 returning id`, [gardenId, id]);
  if (gone.length === 0) throw new NotFoundError(null);
}

// node-postgres turns arrays into PostgreSQL arrays and leaves objects to us.
function asParameter(value: unknown): unknown {
  const isPlainObject =
    typeof value === "object" && value !== null && !Array.isArray(value) && !(value instanceof Date);
  return isPlainObject ? JSON.stringify(value) : value;
}

/** Table and column names come from code or from the database; a text that is none never reaches the SQL. */
export function checkNames(names: readonly string[]) {
  for (const name of names)
    if (!SAFE_NAME.test(name)) throw new Error(`saveRow: "${name}" is not a table or column name`);
}
