import type { Row, Table, TableChanges } from "@/core/garden/changes";
import { many, run, type Db } from "../db/pool";
import { checkNames } from "../db/save";
import { RefusedError } from "../session/refusal";

/** Changes of one table by its columns. */
export interface ColumnChanges extends TableChanges {
  readonly table: string;
}

/**
 * Writes changes by their columns in bulk: new rows first, wholes before their parts; then the changed ones, each only
 * as long as it is as the changes found it; then what goes, parts before their wholes.
 *
 * @param changes tables in the order in which rows need one another
 * @throws RefusedError when a row is not as the changes found it
 */
export async function writeRows(db: Db, gardenId: number, changes: readonly ColumnChanges[]): Promise<void> {
  for (const { table, added } of changes) await insertRows(db, gardenId, table, Object.values(added));
  for (const { table, updated } of changes) await updateRows(db, gardenId, table, updated);
  for (const { table, removed } of [...changes].reverse())
    await deleteRows(db, gardenId, table, Object.keys(removed).map(Number));
}

async function insertRows(db: Db, gardenId: number, table: string, rows: readonly Row[]): Promise<void> {
  if (rows.length === 0) return;
  const columns = [...new Set(rows.flatMap((row) => Object.keys(row)))];
  checkNames([table, ...columns]);
  const list = columns.map((column) => `"${column}"`).join(", ");
  const count = await run(
    db,
    `insert into "${table}" (garden_id, ${list}) overriding system value
     select $1, ${list} from jsonb_populate_recordset(null::"${table}", $2::jsonb)`,
    [gardenId, JSON.stringify(rows)],
  );
  mustBe(count, rows.length);
}

async function updateRows(db: Db, gardenId: number, table: string, updated: TableChanges["updated"]): Promise<void> {
  for (const [columns, rows] of byColumns(updated)) {
    checkNames([table, ...columns]);
    const value = (row: Updated, side: 0 | 1): Row =>
      Object.fromEntries([["id", row.id], ...columns.map((column) => [column, row.fields[column]![side]] as const)]);
    // A table of the garden itself is known by its id alone.
    const own = table === "garden" ? "it.id = $1" : "it.garden_id = $1";
    const count = await run(
      db,
      `update "${table}" it set ${columns.map((column) => `"${column}" = new."${column}"`).join(", ")}
         from jsonb_populate_recordset(null::"${table}", $2::jsonb) old
         join jsonb_populate_recordset(null::"${table}", $3::jsonb) new using (id)
        where ${own} and it.id = old.id
          and ${columns.map((column) => `it."${column}" is not distinct from old."${column}"`).join(" and ")}`,
      [gardenId, JSON.stringify(rows.map((row) => value(row, 0))), JSON.stringify(rows.map((row) => value(row, 1)))],
    );
    mustBe(count, rows.length);
  }
}

interface Updated {
  readonly id: number;
  readonly fields: TableChanges["updated"][number];
}

/** Rows by the columns that change in them: what changes alike is written at once. */
function byColumns(updated: TableChanges["updated"]): [columns: string[], rows: Updated[]][] {
  const groups = new Map<string, [string[], Updated[]]>();
  for (const [id, fields] of Object.entries(updated)) {
    const columns = Object.keys(fields).sort();
    if (columns.length === 0) continue;
    const group = groups.get(columns.join()) ?? [columns, []];
    groups.set(columns.join(), group);
    group[1].push({ id: Number(id), fields });
  }
  return [...groups.values()];
}

async function deleteRows(db: Db, gardenId: number, table: string, ids: readonly number[]): Promise<void> {
  if (ids.length === 0) return;
  checkNames([table]);
  mustBe(await run(db, `delete from "${table}" where garden_id = $1 and id = any($2)`, [gardenId, ids]), ids.length);
}

function mustBe(count: number, wanted: number): void {
  if (count !== wanted) throw new RefusedError({ room: "any", kind: "gone", what: null }, undefined, 409);
}

/** Ids that are kept for rows to come. */
export async function reserveIds(db: Db, table: string, count: number): Promise<number[]> {
  checkNames([table]);
  const rows = await many<{ id: number }>(
    db,
    `select nextval(pg_get_serial_sequence($1, 'id')) as id from generate_series(1, $2)`,
    [table, count],
  );
  return rows.map(({ id }) => id);
}

/** Rows as they are now, by their columns. */
export async function rowsNow(db: Db, gardenId: number, table: string, ids: readonly number[]): Promise<Table> {
  checkNames([table]);
  const own = table === "garden" ? "it.id = $1" : "it.garden_id = $1";
  const rows = await many<{ id: number; row: Row }>(
    db,
    `select it.id, to_jsonb(it) - 'garden_id' as row from "${table}" it where ${own} and it.id = any($2) for update`,
    [gardenId, ids],
  );
  return Object.fromEntries(rows.map(({ id, row }) => [id, row]));
}
