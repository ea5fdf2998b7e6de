import type Joi from "joi";
import { apply, rebase, settle, type Changes, type Row, type TableChanges, type Tables } from "@/core/garden/changes";
import { ENTITIES, PLAN_ENTITIES, RULES } from "@/core/garden/entities";
import type { Entity } from "@/core/garden/entities/field";
import { newFaults, type GardenFault } from "@/core/garden/faults";
import type { Db } from "../db/pool";
import { toColumns } from "../entities/columns";
import { rowSchema } from "../entities/joi";
import { requireRight } from "../session/rights";
import { InputError, RefusedError } from "../session/refusal";
import type { Session } from "../session/session";
import { fieldErrors, STRICT } from "../session/validation";
import { errorFor } from "./conflict";
import { keptTables } from "./tables";
import { reserveIds, writeRows, type ColumnChanges } from "./write";

/** What a change of a garden came to. */
export interface Changed {
  /** Real ids of what was added, by the ids that it was sent with. */
  readonly ids: ReadonlyMap<number, number>;
  readonly changes: Changes;
}

/**
 * Makes a change of the garden's plan, whole or not at all. The act holds the garden's revision row by now, so that
 * nobody comes between reading and writing.
 *
 * @throws StaleError where somebody else changed the same; RefusedError where the garden would be wrong as it was not before
 */
export async function changeGarden(db: Db, who: Session, asked: Changes): Promise<Changed> {
  requireRights(who, asked);
  const live = await keptTables(db, who.gardenId);
  const { changes: settled, ids } = await settledIds(db, asked);
  const changes = await onTables(db, who.gardenId, live, settled);
  await writeRows(db, who.gardenId, columnChanges(changes));
  return { ids, changes };
}

/** Each entity says who may change it. */
export function requireRights(who: Session, changes: Changes): void {
  for (const table of Object.keys(changes)) requireRight(who, ENTITIES[table]!.right);
}

/** The changes on the rows as they are: with nothing in the way, nothing newly wrong, and every figure in its range. */
export async function onTables(db: Db, gardenId: number, live: Tables, asked: Changes): Promise<Changes> {
  const { changes, conflicts } = rebase(asked, live, RULES);
  if (conflicts.length > 0) throw await errorFor(db, gardenId, asked, conflicts);
  const next = apply(live, changes);
  requireInRange(changes, next);
  const [fault] = newFaults(live, next, changes);
  if (fault) throw refusedFor(fault, changes);
  return changes;
}

/** Real ids for what the browser named by ids below 0. */
export async function settledIds(db: Db, asked: Changes): Promise<Changed> {
  const ids = new Map<number, number>();
  for (const [table, { added }] of Object.entries(asked)) {
    const fresh = Object.keys(added)
      .map(Number)
      .filter((id) => id < 0);
    if (fresh.length === 0) continue;
    if (fresh.some((id) => ids.has(id))) throw new RangeError("settledIds: two new rows have one id");
    const real = await reserveIds(db, table, fresh.length);
    fresh.forEach((id, index) => ids.set(id, real[index]!));
  }
  return { changes: settle(asked, ids, RULES), ids };
}

/** Changes by column, each table after those that its rows need. */
export function columnChanges(changes: Changes): ColumnChanges[] {
  return PLAN_ENTITIES.flatMap((entity: Entity): ColumnChanges[] => {
    const own = changes[entity.table];
    return own ? [{ table: entity.table, ...inColumns(entity, own) }] : [];
  });
}

function inColumns(entity: Entity, { added, removed, updated }: TableChanges): TableChanges {
  const rows = (table: TableChanges["added"]) =>
    Object.fromEntries(Object.entries(table).map(([id, row]) => [id, toColumns(entity, row)]));
  const side = (fields: TableChanges["updated"][number], at: 0 | 1): Row =>
    toColumns(entity, Object.fromEntries(Object.entries(fields).map(([name, pair]) => [name, pair[at]])));
  return {
    added: rows(added),
    removed: rows(removed),
    updated: Object.fromEntries(
      Object.entries(updated).map(([id, fields]) => {
        const [from, to] = [side(fields, 0), side(fields, 1)];
        return [
          id,
          Object.fromEntries(Object.keys(to).map((column) => [column, [from[column]!, to[column]!] as const])),
        ];
      }),
    ),
  };
}

const rowSchemas = new Map<string, Joi.ObjectSchema>();

/** The check of a whole row of a table; references are looked at where the rows are. */
function schemaFor(table: string): Joi.ObjectSchema {
  const found = rowSchemas.get(table);
  if (found) return found;
  const made = rowSchema(ENTITIES[table]!);
  rowSchemas.set(table, made);
  return made;
}

/** A row that is touched is in its ranges as a whole: also what was stored before a range was narrowed. */
function requireInRange(changes: Changes, next: Tables): void {
  for (const [table, { added, updated }] of Object.entries(changes))
    for (const id of [...Object.keys(added), ...Object.keys(updated)]) {
      const { error } = schemaFor(table).validate(next[table]![Number(id)], STRICT);
      if (error) throw new InputError(fieldErrors(error));
    }
}

function refusedFor(fault: GardenFault, changes: Changes): RefusedError {
  switch (fault.kind) {
    case "no-plant-fits":
      return new RefusedError({ room: "place", kind: "no-plant-fits" }, "spec.kind");
    case "clash": {
      // Beside what was changed: the house that became too small, or the place of the stand.
      const field = changes.house?.updated[fault.house] ? "lengthM" : "xM";
      return new RefusedError({ room: "place", kind: "clash", clash: fault.clash }, field);
    }
    case "pump-rises":
      return new RefusedError({ room: "water", kind: "pump-rises", point: fault.point + 1 }, "pump.points");
    case "ions-out":
      return new RefusedError({ room: "water", kind: "ions-out", balance: fault.balance }, "balanceDoubted");
    case "places-meet":
      return new RefusedError({ room: "batches", kind: "places-meet" });
    case "stock-conflict": {
      const { letter, conflict } = fault;
      return new RefusedError({ room: "feed", kind: "stock-conflict", letter, conflict }, "salts");
    }
  }
}
