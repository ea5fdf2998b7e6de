import { many, maybeOne, type Db } from "../db/pool";
import { checkNames } from "../db/save";
import { RefusedError } from "../session/command";
import type { Change } from "./queries";

type Row = Readonly<Record<string, unknown>>;

/** Rows that are taken back as they were. What the log did has an undo of its own; doors are not reopened. */
const TAKEN_BACK = new Set(["garden", "house", "pool", "stand", "store", "source", "loop", "stock_tank", "salt", "recipe", "recipe_salt", "variety", "variety_stage", "outlet", "order_line", "batch", "batch_stage"]); // prettier-ignore
/** Written by the database itself, and no part of what somebody meant. */
const OWN = new Set(["version"]);

/** Whether an act can be taken back at all, by what it touched. */
export function canTakeBack(changes: readonly Pick<Change, "table" | "undone">[]): boolean {
  return changes.length > 0 && changes.every(({ table, undone }) => TAKEN_BACK.has(table) && !undone);
}

/** Takes one change back, if its row still stands as the change left it. */
export async function takeBack(db: Db, gardenId: number, change: Change): Promise<void> {
  const { table, key, before, after } = change;
  checkNames([table, ...Object.keys(key)]);
  const where: Row = table === "garden" ? key : { garden_id: gardenId, ...key };
  const now = await current(db, table, where);
  if (!sameRow(now, after))
    throw new RefusedError("It cannot be taken back: the same has been changed again since.", undefined, 409);
  if (before && after) {
    const changed = Object.keys(before).filter((name) => !OWN.has(name) && !same(before[name], after[name]));
    await write(db, table, where, changed);
  } else if (after) {
    await many(db, `delete from "${table}" where ${conditions(where)}`, Object.values(where));
  } else {
    await many(db, `insert into "${table}" overriding system value select * from jsonb_populate_record(null::"${table}", $1::jsonb)`, [JSON.stringify(before)]); // prettier-ignore
  }

  async function write(on: Db, name: string, row: Row, columns: readonly string[]) {
    checkNames(columns);
    const sets = columns.map((column) => `${column} = old.${column}`).join(", ");
    const from = `jsonb_populate_record(null::"${name}", $${Object.keys(row).length + 1}::jsonb) old`;
    await many(on, `update "${name}" it set ${sets} from ${from} where ${conditions(row, "it.")}`, [...Object.values(row), JSON.stringify(before)]); // prettier-ignore
  }
}

async function current(db: Db, table: string, where: Row): Promise<Row | null> {
  const row = await maybeOne<{ row: Row }>(
    db,
    `select to_jsonb(it) as row from "${table}" it where ${conditions(where)} for update`,
    Object.values(where),
  );
  return row?.row ?? null;
}

function conditions(where: Row, prefix = ""): string {
  return Object.keys(where)
    .map((column, index) => `${prefix}${column} = $${index + 1}`)
    .join(" and ");
}

function sameRow(a: Row | null, b: Row | null): boolean {
  if (a === null || b === null) return a === b;
  return Object.keys({ ...a, ...b }).every((name) => OWN.has(name) || same(a[name], b[name]));
}

function same(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}
