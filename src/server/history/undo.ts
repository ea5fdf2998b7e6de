import {
  between,
  isSame,
  rebase,
  reverse,
  squash,
  type Changes,
  type Conflict,
  type Row,
  type Rules,
} from "@/core/garden/changes";
import { ENTITIES } from "@/core/garden/entities";
import { type Db, maybeOne, NotFoundError } from "../db/pool";
import { fromColumns } from "../entities/columns";
import { changeGarden } from "../garden/change";
import { rowsNow, writeRows, type ColumnChanges } from "../garden/write";
import { StaleError } from "../db/save";
import { RefusedError } from "../session/refusal";
import type { Session } from "../session/session";
import type { Change } from "./queries";

/** What undo brings back beside the plan; each after what its rows need. The log has an undo of its own; access is not given again. */
const BESIDE_PLAN = ["garden", "layout", "cut_list", "offcut", "material", "change_set", "change_set_row"];
/** Entries of the log that lost a batch have it again with it. */
const RESTORED = [...BESIDE_PLAN, "log_entry"];
const NO_RULES: Rules = { references: {}, names: {} };

/** Whether an act can be undone at all, by what it touched. */
export function isUndoable(changes: readonly Change[]): boolean {
  const isKnown = ({ table }: Change) => ENTITIES[table] !== undefined || BESIDE_PLAN.includes(table);
  return changes.length > 0 && changes.every((change) => (isKnown(change) || isUnlinked(change)) && !change.undone);
}

/** A log entry that lost its batch because that was removed: the database's own doing, not somebody's. */
export function isUnlinked({ table, before, after }: Pick<Change, "table" | "before" | "after">): boolean {
  return (
    table === "log_entry" &&
    before !== null &&
    after !== null &&
    isSame({ ...before, batch_id: null } as Row, after as Row)
  );
}

/** What an act did, as changes: those of the plan by field, all others by column. */
export function changesOf(done: readonly Change[]): { readonly plan: Changes; readonly beside: Changes } {
  const inOrder = [...done].sort((a, b) => a.id - b.id);
  const sum = (changes: readonly Change[]) => changes.map(oneChange).reduce(squash, {});
  return {
    plan: sum(inOrder.filter(({ table }) => ENTITIES[table])),
    beside: sum(inOrder.filter(({ table }) => !ENTITIES[table])),
  };
}

function oneChange({ table, key, before, after }: Change): Changes {
  const id = Number(key.id);
  const entity = ENTITIES[table];
  const side = (row: Change["before"]) =>
    row && { [id]: entity ? fromColumns(entity, row as Row) : ownColumns(row as Row) };
  return between({ [table]: side(before) ?? {} }, { [table]: side(after) ?? {} });
}

/** Without what the database writes itself. */
function ownColumns({ version: _, garden_id: _garden, ...row }: Row): Row {
  return row;
}

/** Undoes what an act did, as it stands now: all of it, or nothing. */
export async function undo(db: Db, who: Session, done: readonly Change[]): Promise<void> {
  const { plan, beside } = changesOf(done);
  try {
    await refuseUsed(db, who.gardenId, plan);
    await changeGarden(db, who, reverse(plan));
  } catch (error) {
    throw asUndoRefusal(error);
  }
  await undoBeside(db, who.gardenId, reverse(beside));
}

async function undoBeside(db: Db, gardenId: number, changes: Changes): Promise<void> {
  const rebased: ColumnChanges[] = [];
  for (const table of RESTORED.filter((name) => changes[name])) {
    const { added, removed, updated } = changes[table]!;
    const ids = Object.keys({ ...added, ...removed, ...updated }).map(Number);
    const now = Object.fromEntries(
      Object.entries(await rowsNow(db, gardenId, table, ids)).map(([id, row]) => [id, ownColumns(row)]),
    );
    const { changes: left, conflicts } = rebase({ [table]: changes[table]! }, { [table]: now }, NO_RULES);
    const [first]: readonly Conflict[] = conflicts;
    if (first) throw changedSince();
    if (left[table]) rebased.push({ table, ...left[table] });
  }
  await writeRows(db, gardenId, rebased);
}

const changedSince = () => new RefusedError({ room: "history", kind: "changed-since" }, undefined, 409);
const usedSince = () => new RefusedError({ room: "history", kind: "used-since" }, undefined, 409);

/** What stands in the way of undoing, in the words of undoing. */
function asUndoRefusal(error: unknown): unknown {
  if (error instanceof StaleError || error instanceof NotFoundError) return changedSince();
  if (error instanceof RefusedError && error.reason.room === "any" && error.reason.kind === "still-used")
    return usedSince();
  return error;
}

/** Rows beside the plan that would go with a row of it, or lose it. */
const USED_BY: Readonly<Record<string, readonly [table: string, column: string]>> = {
  batch: ["log_entry", "batch_id"],
  loop: ["reading", "loop_id"],
};

async function refuseUsed(db: Db, gardenId: number, plan: Changes): Promise<void> {
  for (const [entity, [table, column]] of Object.entries(USED_BY)) {
    const ids = Object.keys(plan[entity]?.added ?? {}).map(Number);
    if (ids.length === 0) continue;
    const used = await maybeOne(db, `select 1 from "${table}" where garden_id = $1 and ${column} = any($2) limit 1`, [
      gardenId,
      ids,
    ]);
    if (used) throw usedSince();
  }
}
