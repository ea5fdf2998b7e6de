import { many, NotFoundError, one, type Db } from "./pool";

const SAFE_NAME = /^[a-z][a-z0-9_]*$/u;

/**
 * Inserts a row, or changes the one with this id, in a garden's table. Table and column names come from code, values
 * always travel as parameters.
 *
 * @returns the row's id
 * @throws NotFoundError when the row to change is not in this garden
 */
export async function saveRow(
  db: Db,
  table: string,
  gardenId: number,
  id: number | null,
  row: Readonly<Record<string, unknown>>,
): Promise<number> {
  const columns = Object.keys(row);
  const values = Object.values(row).map(asParameter);
  checkNames([table, ...columns]);
  if (id === null) {
    const places = columns.map((_, index) => `$${index + 2}`);
    const inserted = await one<{ id: number }>(
      db,
      table,
      `insert into "${table}" (garden_id, ${columns.join(", ")}) values ($1, ${places.join(", ")}) returning id`,
      [gardenId, ...values],
    );
    return inserted.id;
  }
  const sets = columns.map((column, index) => `${column} = $${index + 3}`);
  const updated = await many(
    db,
    `update "${table}" set ${sets.join(", ")} where garden_id = $1 and id = $2 returning id`,
    [gardenId, id, ...values],
  );
  if (updated.length === 0) throw new NotFoundError("This is not there any more: somebody may have removed it.");
  return id;
}

/** `{ position }` behind all others for a new row; nothing for one that has its place. */
export async function placeLast(
  db: Db,
  table: string,
  gardenId: number,
  id: number | null,
): Promise<{ position?: number }> {
  if (id !== null) return {};
  checkNames([table]);
  return one<{ position: number }>(
    db,
    table,
    `select coalesce(max(position), 0) + 1 as position from "${table}" where garden_id = $1`,
    [gardenId],
  );
}

/** Removes a row of a garden's table; says so when it is already gone. */
export async function removeRow(db: Db, table: string, gardenId: number, id: number): Promise<void> {
  checkNames([table]);
  const gone = await many(db, `delete from "${table}" where garden_id = $1 and id = $2 returning id`, [gardenId, id]);
  if (gone.length === 0) throw new NotFoundError("This is not there any more: somebody may have removed it.");
}

// node-postgres turns arrays into PostgreSQL arrays and leaves objects to us.
function asParameter(value: unknown): unknown {
  const isPlainObject =
    typeof value === "object" && value !== null && !Array.isArray(value) && !(value instanceof Date);
  return isPlainObject ? JSON.stringify(value) : value;
}

function checkNames(names: readonly string[]) {
  for (const name of names)
    if (!SAFE_NAME.test(name)) throw new Error(`saveRow: "${name}" is not a table or column name`);
}
