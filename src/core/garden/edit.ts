import { between, isSame, squash, type Changes, type Json, type Row, type Table, type Tables } from "./changes";
import { partEntities } from "./entities";
import type { Entity, Typed } from "./entities/field";

/** A row as a form sends it: which one, its fields as they stood when the form was opened, and as they are to be. */
export type Sent = Row & { readonly id: number | null; readonly opened: Row | null; readonly typed?: Typed };

/** Rows that a form sends along because they are parts of its row, under the name that they have there. */
export interface SentParts {
  readonly entity: Entity;
  readonly as: string;
}

/** The id of the new row of a form; its parts count down from there. */
export const NEW_ID = -1;

/** What saving a form changes: fields that it sends and that are not as they were when it was opened. */
export function savedRow(tables: Tables, entity: Entity, sent: Sent, parts: readonly SentParts[] = []): Changes {
  const id = sent.id ?? NEW_ID;
  const own = changedRow(tables, entity, { id, opened: sent.opened, row: sent, typed: sent.typed ?? {} });
  let fresh = NEW_ID;
  let changes = own;
  for (const { entity: part, as } of parts) {
    const before = rowsIn(sent.opened?.[as]);
    const whole = partEntities(entity.table).find((one) => one.entity === part)!.field;
    const keys = part.unique!.filter((name) => name !== whole);
    const rows = ((sent[as] ?? []) as readonly Row[]).map((row, index) => ({
      ...placedIn(part, index),
      ...row,
      [whole]: id,
    }));
    const openedRows = before.map((row, index): Row => ({ ...placedIn(part, index), ...row, [whole]: id }));
    const sameKey = (a: Row, b: Row) => keys.every((key) => isSame(a[key], b[key]));
    const all = [
      ...rows.map((row, index) => {
        const opened = openedRows.find((one) => sameKey(one, row)) ?? null;
        const typed = typedUnder(sent.typed ?? {}, `${as}.${index}.`);
        return changedRow(tables, part, { id: opened ? Number(opened.id) : --fresh, opened, row, typed });
      }),
      ...openedRows
        .filter((opened) => !rows.some((row) => sameKey(opened, row)))
        .map((opened) => removedAsOpened(tables, part, opened)),
    ];
    changes = all.reduce(squash, changes);
  }
  return changes;
}

/** What was opened comes from outside: what is no row is none. */
function rowsIn(value: Json | undefined): readonly Row[] {
  const isRow = (one: Json): one is Row => typeof one === "object" && one !== null && !Array.isArray(one);
  return Array.isArray(value) ? (value as readonly Json[]).filter(isRow) : [];
}

const placedIn = ({ fields }: Entity, index: number): Row =>
  fields.some(({ name }) => name === "position") ? { position: index } : {};

interface ChangedRow {
  readonly id: number;
  readonly opened: Row | null;
  readonly row: Row;
  readonly typed: Typed;
}

function changedRow(tables: Tables, entity: Entity, { id, opened, row, typed }: ChangedRow): Changes {
  const { table } = entity;
  if (opened === null) return between({}, { [table]: { [id]: newRow(tables, entity, id, row, typed) } });
  const live = tables[table]?.[id];
  const names = entity.fields.map(({ name }) => name).filter((name) => name in row);
  const only = (of: Row): Row => Object.fromEntries(names.map((name) => [name, of[name] ?? null]));
  const changes = between({ [table]: { [id]: only(opened) } }, { [table]: { [id]: only(row) } });
  if (!live) return changes;
  const own = changes[table]?.updated[id] ?? {};
  const after = { ...live, ...Object.fromEntries(Object.entries(own).map(([name, [, to]]) => [name, to])) };
  const was = (live.typed ?? {}) as Typed;
  const is = typedThatStands({ ...was, ...typed }, after);
  if (isSame(was as Json, is as Json)) return changes;
  const updated = { ...own, typed: [was as Json, is as Json] as const };
  return { [table]: { added: {}, removed: {}, updated: { [id]: updated } } };
}

/** A row with all that its entity describes; behind all others, where rows have an order of their own. */
export function newRow(tables: Tables, entity: Entity, id: number, row: Row, typed: Typed = {}): Row {
  const described = entity.fields.map(({ name, initial }) => [name, row[name] ?? initial ?? null] as const);
  const position = entity.placed && { position: lastPosition(tables[entity.table] ?? {}) + 1 };
  return { id, ...position, ...Object.fromEntries(described), typed: typedThatStands(typed, row) as Json };
}

/** What a set of changes of before says of a row, in the fields that are described now. */
export function asDescribed(entity: Entity, row: Row): Row {
  const own = new Map(entity.fields.map(({ name, initial }) => [name, initial ?? null]));
  const kept = Object.entries(row).filter(([name]) => own.has(name) || KEPT.has(name));
  return { typed: {}, ...Object.fromEntries(own), ...Object.fromEntries(kept) };
}
const KEPT = new Set(["id", "position", "typed"]);

const lastPosition = (table: Table) =>
  Object.values(table).reduce((last, { position }) => Math.max(last, Number(position)), 0);

function removedAsOpened(tables: Tables, { table }: Entity, opened: Row): Changes {
  const id = Number(opened.id);
  const live = tables[table]?.[id];
  return { [table]: { added: {}, updated: {}, removed: { [id]: { ...live, ...opened } } } };
}

/** What goes when rows are deleted: they, and what is a part of them. */
export function removedRows(tables: Tables, entity: Entity, ids: readonly number[]): Changes {
  const table = tables[entity.table] ?? {};
  const changes: Record<string, Changes[string]> = {
    [entity.table]: {
      added: {},
      updated: {},
      removed: Object.fromEntries(ids.flatMap((id) => (table[id] ? [[id, table[id]] as const] : []))),
    },
  };
  const gone = new Set(ids);
  for (const { entity: part, field } of partEntities(entity.table)) {
    const rows = Object.entries(tables[part.table] ?? {}).filter(([, row]) => gone.has(Number(row[field])));
    if (rows.length > 0) changes[part.table] = { added: {}, updated: {}, removed: Object.fromEntries(rows) };
  }
  return changes;
}

/** The value at a path of a row: "spec.pitchM". */
function valueAt(row: Row, path: string): Json | undefined {
  return path
    .split(".")
    .reduce<Json | undefined>((at, key) => (at as Readonly<Record<string, Json>> | null | undefined)?.[key], row);
}

/** Texts whose values are still those of the row. */
export function typedThatStands(typed: Typed, row: Row): Typed {
  return Object.fromEntries(Object.entries(typed).filter(([path, [, value]]) => valueAt(row, path) === value));
}

function typedUnder(typed: Typed, prefix: string): Typed {
  return Object.fromEntries(
    Object.entries(typed).flatMap(([path, text]) =>
      path.startsWith(prefix) ? [[path.slice(prefix.length), text] as const] : [],
    ),
  );
}
