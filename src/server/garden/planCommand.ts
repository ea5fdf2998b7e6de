import type Joi from "joi";
import { apply, isSame, squash, type Changes, type Row, type Tables } from "@/core/garden/changes";
import { NEW_ID, removedRows, savedRow, type Sent, type SentParts } from "@/core/garden/edit";
import type { Entity } from "@/core/garden/entities/field";
import type { Right } from "@/core/people/rights";
import { lastChange } from "../db/save";
import { NotFoundError, type Db } from "../db/pool";
import { Told } from "../session/act";
import { command } from "../session/command";
import type { Action, Also } from "../session/result";
import type { Session } from "../session/session";
import { changeGarden } from "./change";
import { changeWhatIf, whatIfTables } from "./whatIf/store";
import { keptTables } from "./tables";

/** What a command wants of a plan. */
export interface Wanted<Value> {
  readonly changes: Changes;
  /** What it answers, by the real ids of what was added. */
  readonly value: (ids: ReadonlyMap<number, number>) => Value;
  /** The row of a form, as it was when the form was opened. */
  readonly opened?: { readonly entity: Entity; readonly id: number; readonly row: Row };
}

/**
 * Makes a server action that changes the plan: of the garden, or of the what-if that its page is of.
 *
 * @param plan what is wanted, from the input and the plan as it is; it writes nothing
 */
export function planCommand<Input, Value = undefined>(
  right: Right,
  schema: Joi.ObjectSchema<Input>,
  plan: (input: Input, tables: Tables, who: Session) => Wanted<Value> | Promise<Wanted<Value>>,
): Action<Value> {
  return command<Input, Value>(
    right,
    schema,
    async (db, input, who) => {
      const tables = await tablesFor(db, who);
      const { changes, value, opened } = await plan(input, tables, who);
      const also = opened && (await changedBySomebody(db, who, opened, tables, changes));
      const { ids } = await (who.whatIf === null ? changeGarden : changeWhatIf)(db, who, changes);
      return (also ? new Told(value(ids), also) : value(ids)) as Value;
    },
    { inWhatIf: true },
  );
}

/** The plan that a command is about. */
function tablesFor(db: Db, who: Session): Promise<Tables> {
  return who.whatIf === null ? keptTables(db, who.gardenId) : whatIfTables(db, who, who.whatIf);
}

/** Saves a form of an entity; with it, rows that are its parts. @param prepare what follows from what was typed */
export function saveCommand<Input extends { readonly id: number | null }>(
  entity: Entity,
  schema: Joi.ObjectSchema<Input>,
  {
    parts = [],
    prepare = (input) => input,
    more = () => ({}),
    after,
  }: {
    readonly parts?: readonly SentParts[];
    readonly prepare?: (input: Input) => Input;
    /** Changes that come with it. */
    readonly more?: (input: Input, tables: Tables, who: Session) => Changes | Promise<Changes>;
    /** What follows from all of it, for the row of the form. */
    readonly after?: (tables: Tables, id: number) => Promise<Changes>;
  } = {},
): Action<number> {
  return planCommand(entity.right, schema, async (input, tables, who) => {
    const sent = prepare(input) as unknown as Sent;
    if (sent.id !== null && !tables[entity.table]?.[sent.id]) throw new NotFoundError(null);
    const changes = squash(savedRow(tables, entity, sent, parts), await more(input, tables, who));
    return {
      changes: after ? squash(changes, await after(apply(tables, changes), sent.id ?? NEW_ID)) : changes,
      value: (ids) => sent.id ?? ids.get(NEW_ID)!,
      ...(sent.id !== null && sent.opened && { opened: { entity, id: sent.id, row: sent.opened } }),
    };
  });
}

/** Deletes a row of an entity, and what is a part of it. */
export function removeCommand(entity: Entity, schema: Joi.ObjectSchema<{ readonly id: number }>): Action {
  return planCommand(entity.right, schema, ({ id }, tables) => ({
    changes: removedOrGone(tables, entity, [id]),
    value: () => undefined,
  }));
}

/** @throws NotFoundError when one is not there any more */
export function removedOrGone(tables: Tables, entity: Entity, ids: readonly number[]): Changes {
  if (ids.some((id) => !tables[entity.table]?.[id])) throw new NotFoundError(null);
  return removedRows(tables, entity, ids);
}

/** Fields that somebody else changed since the form was opened, and that this save leaves as they are. */
async function changedBySomebody(
  db: Db,
  { gardenId }: Session,
  { entity, id, row }: NonNullable<Wanted<unknown>["opened"]>,
  tables: Tables,
  changes: Changes,
): Promise<Also | null> {
  const live = tables[entity.table]?.[id];
  const own = changes[entity.table]?.updated[id] ?? {};
  const fields = entity.fields
    .filter(({ name }) => live && name in row && !(name in own) && !isSame(row[name], live[name]))
    .map(({ label }) => label);
  if (fields.length === 0) return null;
  const { by } = await lastChange(db, gardenId, entity.table, { id });
  return { by, fields };
}
