import {
  apply,
  between,
  holding,
  type Changes,
  type Conflict,
  type Json,
  type Row,
  type TableChanges,
  type Tables,
} from "@/core/garden/changes";
import { asDescribed } from "@/core/garden/edit";
import { ENTITIES, RULES } from "@/core/garden/entities";
import { rowsOf, type RowName } from "@/core/garden/part";
import { many, maybeOne, run, type Db } from "../../db/pool";
import { RefusedError } from "../../session/refusal";
import type { Session } from "../../session/session";
import { onTables, requireRights, settledIds, type Changed } from "../change";
import { keptTables } from "../tables";

/** A what-if: changes of the plan kept beside the garden. */
export interface WhatIf {
  readonly id: number;
  readonly name: string;
  readonly purpose: string;
}

export function whatIfs(db: Db, gardenId: number): Promise<WhatIf[]> {
  return many<WhatIf & Record<string, unknown>>(
    db,
    "select id, name, purpose from change_set where garden_id = $1 order by id",
    [gardenId],
  );
}

interface SetRow {
  readonly setId: number;
  readonly entity: string;
  readonly rowId: number;
  readonly op: "add" | "remove" | "update";
  readonly patch: Row | TableChanges["updated"][number];
}

/** The changes of each what-if, as they were stored: by its id. */
export async function whatIfChanges(db: Db, gardenId: number, only?: number): Promise<ReadonlyMap<number, Changes>> {
  const rows = await many<SetRow & Record<string, unknown>>(
    db,
    `select set_id as "setId", entity, row_id as "rowId", op, patch from change_set_row
      where garden_id = $1 and ($2::integer is null or set_id = $2)`,
    [gardenId, only ?? null],
  );
  const sets = new Map<number, Record<string, Stored>>();
  for (const { setId, entity, rowId, op, patch } of rows) {
    const changes = sets.get(setId) ?? {};
    sets.set(setId, changes);
    const described = ENTITIES[entity];
    if (!described) continue;
    const table = (changes[entity] ??= { added: {}, removed: {}, updated: {} });
    if (op !== "update") table[op === "add" ? "added" : "removed"][rowId] = asDescribed(described, patch as Row);
    else {
      // Fields that there are no more change nothing.
      const known = Object.entries(patch as TableChanges["updated"][number]).filter(
        ([name]) => name === "typed" || name === "position" || described.fields.some((field) => field.name === name),
      );
      table.updated[rowId] = Object.fromEntries(known);
    }
  }
  return sets;
}

interface Stored {
  added: Record<number, Row>;
  removed: Record<number, Row>;
  updated: Record<number, TableChanges["updated"][number]>;
}

/** A what-if on the garden as it is now. */
export interface OnGarden {
  readonly stored: Changes;
  /** What of it holds. */
  readonly changes: Changes;
  /** What somebody changed in the garden as well; left as it is there until it is settled. */
  readonly conflicts: readonly Conflict[];
  readonly tables: Tables;
}

export async function whatIfOnGarden(db: Db, gardenId: number, id: number): Promise<OnGarden> {
  const stored = (await whatIfChanges(db, gardenId, id)).get(id) ?? {};
  const live = await keptTables(db, gardenId);
  const { changes, conflicts } = holding(stored, live, RULES);
  return { stored, changes, conflicts, tables: apply(live, changes) };
}

/** The plan as a what-if has it. @throws RefusedError when there is no such what-if */
export async function whatIfTables(db: Db, { gardenId }: Session, id: number): Promise<Tables> {
  await wantedWhatIf(db, gardenId, id);
  return (await whatIfOnGarden(db, gardenId, id)).tables;
}

/** @throws RefusedError when there is no such what-if */
export async function wantedWhatIf(db: Db, gardenId: number, id: number, lock = false): Promise<WhatIf> {
  const found = await maybeOne<WhatIf & Record<string, unknown>>(
    db,
    `select id, name, purpose from change_set where garden_id = $1 and id = $2 ${lock ? "for update" : ""}`,
    [gardenId, id],
  );
  if (!found) throw new RefusedError({ room: "any", kind: "what-if-gone" }, undefined, 404);
  return found;
}

/**
 * Makes a change within a what-if, by the same rules as in the garden: what it comes to is kept against the garden as
 * it is now.
 */
export async function changeWhatIf(db: Db, who: Session, asked: Changes): Promise<Changed> {
  requireRights(who, asked);
  const { gardenId } = who;
  const id = (await wantedWhatIf(db, gardenId, who.whatIf!, true)).id;
  const live = await keptTables(db, gardenId);
  const { stored, conflicts, tables } = await whatIfOnGarden(db, gardenId, id);
  const { changes: settled, ids } = await settledIds(db, asked);
  const changes = await onTables(db, gardenId, tables, settled);
  const touched = rowsOf(changes);
  if (conflicts.some((one) => one.kind !== "changed" && touched.some(isRowOf(one))))
    throw new RefusedError({ room: "any", kind: "conflict-open" }, undefined, 409);
  const next = apply(tables, changes);
  const only = (all: Tables): Tables => {
    const picked: Record<string, Record<number, Row>> = {};
    for (const { entity, id: rowId } of touched) {
      const row = all[entity]?.[rowId];
      picked[entity] ??= {};
      if (row) picked[entity][rowId] = row;
    }
    return picked;
  };
  const open = conflicts.filter((one) => one.kind === "changed" && touched.some(isRowOf(one)));
  await storeRows(db, gardenId, id, touched, withOpen(between(only(live), only(next)), stored, open));
  return { ids, changes };
}

const isRowOf =
  ({ entity, id }: RowName) =>
  (row: RowName) =>
    row.entity === entity && row.id === id;

/** Fields that are still to be settled stay as they were stored. */
function withOpen(changes: Changes, stored: Changes, open: readonly Conflict[]): Changes {
  return open.reduce((all, { entity, id, field }) => {
    const own: TableChanges = all[entity] ?? { added: {}, removed: {}, updated: {} };
    const fields = { ...own.updated[id], [field!]: own.updated[id]?.[field!] ?? stored[entity]!.updated[id]![field!]! };
    return { ...all, [entity]: { ...own, updated: { ...own.updated, [id]: fields } } };
  }, changes);
}

/** Writes what a what-if does to some rows, in place of what it did to them before. */
export async function storeRows(
  db: Db,
  gardenId: number,
  setId: number,
  rows: readonly RowName[],
  changes: Changes,
): Promise<void> {
  const found = rows.map(({ entity, id }) => {
    const own = changes[entity];
    if (own?.added[id]) return { entity, id, op: "add", patch: own.added[id] as Json };
    if (own?.removed[id]) return { entity, id, op: "remove", patch: own.removed[id] as Json };
    const fields = own?.updated[id];
    return fields
      ? { entity, id, op: "update", patch: fields as unknown as Json }
      : { entity, id, op: null, patch: null };
  });
  const left = found.filter(({ op }) => op !== null);
  const kept = `set_id = $2 and garden_id = $1`;
  await run(
    db,
    `delete from change_set_row where ${kept} and (entity, row_id) in (select * from unnest($3::text[], $4::integer[]))`,
    [
      gardenId,
      setId,
      found.filter(({ op }) => op === null).map(({ entity }) => entity),
      found.filter(({ op }) => op === null).map(({ id }) => id),
    ],
  );
  const given = [
    gardenId,
    setId,
    left.map(({ entity }) => entity),
    left.map(({ id }) => id),
    left.map(({ op }) => op),
    left.map(({ patch }) => JSON.stringify(patch)),
  ];
  const rowsGiven = `unnest($3::text[], $4::integer[], $5::text[], $6::jsonb[]) as given (entity, row_id, op, patch)`;
  await run(
    db,
    `update change_set_row it set op = given.op, patch = given.patch from ${rowsGiven}
      where ${kept} and it.entity = given.entity and it.row_id = given.row_id`,
    given,
  );
  await run(
    db,
    `insert into change_set_row (garden_id, set_id, entity, row_id, op, patch)
     select $1, $2, given.* from ${rowsGiven}
      where not exists (select from change_set_row it where ${kept} and it.entity = given.entity and it.row_id = given.row_id)`,
    given,
  );
}
