import { many, maybeOne, type Db } from "../db/pool";
import { checkNames } from "../db/save";
import { RefusedError } from "../session/command";
import type { Change } from "./queries";

type Row = Readonly<Record<string, unknown>>;

/** Rows that are taken back as they were. What the log did has an undo of its own; doors are not reopened. */
const TAKEN_BACK = new Set(["garden", "house", "pool", "stand", "store", "source", "loop", "stock_tank", "salt", "recipe", "recipe_salt", "variety", "variety_stage", "outlet", "order_line", "batch", "batch_stage", "layout", "cut_list", "offcut", "material"]); // prettier-ignore
/** Written by the database itself, and no part of what somebody meant. */
const OWN = new Set(["version"]);

/** Whether an act can be taken back at all, by what it touched. */
export function canTakeBack(changes: readonly Change[]): boolean {
  return (
    changes.length > 0 && changes.every((change) => (TAKEN_BACK.has(change.table) || isLetGo(change)) && !change.undone)
  );
}

/** A log entry that lost its batch because that was removed: the database's own doing, not somebody's. */
export function isLetGo({ table, before, after }: Pick<Change, "table" | "before" | "after">): boolean {
  return table === "log_entry" && before !== null && sameRow({ ...before, batch_id: null }, after);
}

/** Tables in the order in which rows need one another: a row goes after those that need it, and comes before them. */
const ORDER = ["garden", "house", "pool", "source", "store", "salt", "recipe", "outlet", "loop", "stock_tank", "stand", "recipe_salt", "variety", "variety_stage", "order_line", "batch", "batch_stage", "layout", "cut_list", "offcut", "material", "log_entry"]; // prettier-ignore
const rank = ({ table }: Pick<Change, "table">) => ORDER.indexOf(table);

/**
 * What an act comes to, row by row, in the order in which it can be taken back: what it made goes, what it removed
 * comes, what it changed is as before.
 */
export function inOrder(changes: readonly Change[]): Change[] {
  const net = new Map<string, Change>();
  for (const change of [...changes].sort((a, b) => a.id - b.id)) {
    const row = `${change.table} ${JSON.stringify(change.key)}`;
    const first = net.get(row);
    net.set(row, first ? { ...change, before: first.before } : change);
  }
  const rows = [...net.values()].filter(({ before, after }) => before !== null || after !== null);
  const made = rows.filter(({ before }) => before === null).sort((a, b) => rank(b) - rank(a));
  const removed = rows.filter(({ after }) => after === null).sort((a, b) => rank(a) - rank(b));
  return [...made, ...removed, ...rows.filter(({ before, after }) => before !== null && after !== null)];
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
    if (changed.length > 0) await write(db, table, where, changed);
  } else if (after) {
    await refuseUsed(db, gardenId, table, key);
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

/** What hangs on a row and would go with it; what of it the same act made is gone by then. */
const CHILDREN: Readonly<Record<string, readonly (readonly [table: string, column: string])[]>> = {
  batch: [["batch_stage", "batch_id"], ["log_entry", "batch_id"]],
  variety: [["variety_stage", "variety_id"]],
  recipe: [["recipe_salt", "recipe_id"]],
  loop: [["stock_tank", "loop_id"], ["reading", "loop_id"]],
}; // prettier-ignore

async function refuseUsed(db: Db, gardenId: number, table: string, key: Row): Promise<void> {
  for (const [child, column] of CHILDREN[table] ?? []) {
    const used = await maybeOne(db, `select 1 from "${child}" where garden_id = $1 and ${column} = $2 limit 1`, [gardenId, key.id]); // prettier-ignore
    if (used) throw new RefusedError("It cannot be taken back: it has been used since.", undefined, 409);
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
