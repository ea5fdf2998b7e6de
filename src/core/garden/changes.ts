export type Json = null | boolean | number | string | readonly Json[] | { readonly [key: string]: Json };
export type Row = Readonly<Record<string, Json>>;
export type Table = Readonly<Record<number, Row>>;
/** The rows of a plan by entity and id. */
export type Tables = Readonly<Record<string, Table>>;

export interface TableChanges {
  readonly added: Table;
  readonly removed: Table;
  /** By id and field; a field that holds an object is one. */
  readonly updated: Readonly<Record<number, Readonly<Record<string, readonly [from: Json, to: Json]>>>>;
}
export type Changes = Readonly<Record<string, TableChanges>>;

/** What has to be known of the entities to tell what a change would break. */
export interface Rules {
  /** The entity that a field refers to, by entity and field. */
  readonly references: Readonly<Record<string, Readonly<Record<string, string>>>>;
  /** Fields that together are different for each row of an entity. */
  readonly names: Readonly<Record<string, readonly string[]>>;
  /** Fields whose rows take those of the entity with them when they go, without anybody being asked. */
  readonly follows?: Readonly<Record<string, readonly string[]>>;
}

export interface Conflict {
  readonly entity: string;
  readonly id: number;
  readonly kind: "changed" | "gone" | "removed-but-changed" | "refers-to-gone" | "name-taken";
  readonly field?: string;
  readonly from?: Json;
  readonly live?: Json;
  readonly to?: Json;
}

/** What was typed for quantities: never a reason for a conflict. */
const TYPED = "typed";

const NOTHING: TableChanges = { added: {}, removed: {}, updated: {} };

/** The same value, whatever the order of an object's fields. */
export function isSame(a: Json | undefined, b: Json | undefined): boolean {
  if (a === b) return true;
  if (typeof a !== "object" || typeof b !== "object" || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const [one, other] = [a as Readonly<Record<string, Json>>, b as Readonly<Record<string, Json>>];
  const keys = Object.keys(one);
  return keys.length === Object.keys(other).length && keys.every((key) => key in other && isSame(one[key], other[key]));
}

export function isEmpty(changes: Changes): boolean {
  return Object.values(changes).every((table) => sizeOf(table) === 0);
}

function sizeOf({ added, removed, updated }: TableChanges): number {
  return Object.keys(added).length + Object.keys(removed).length + Object.keys(updated).length;
}

/** Ids of an object with ids as keys. */
const idsOf = (rows: object): number[] => Object.keys(rows).map(Number);

/** Only entities and rows that something is left of. */
function tidy(entries: readonly (readonly [entity: string, changes: TableChanges])[]): Changes {
  return Object.fromEntries(
    entries
      .map(([entity, { added, removed, updated }]) => {
        const left = Object.entries(updated).filter(([, fields]) => Object.keys(fields).length > 0);
        return [entity, { added, removed, updated: Object.fromEntries(left) }] as const;
      })
      .filter(([, table]) => sizeOf(table) > 0),
  );
}

/**
 * A garden with changes made. Tables that are not touched stay the same objects.
 *
 * @throws RangeError where a row or a field is not as the changes found it
 */
export function apply(tables: Tables, changes: Changes): Tables {
  const touched = Object.entries(changes).map(([entity, { added, removed, updated }]) => {
    const table: Record<number, Row> = { ...tables[entity] };
    const refuse = (id: number, what: string): never => {
      throw new RangeError(`apply: ${entity} ${id} ${what}`);
    };
    for (const id of idsOf(removed)) {
      if (!isSame(table[id], removed[id])) refuse(id, "is not the row that is to be removed");
      delete table[id];
    }
    for (const id of idsOf(added)) {
      if (table[id]) refuse(id, "is there already");
      table[id] = added[id]!;
    }
    for (const id of idsOf(updated)) {
      const row: Row = table[id] ?? refuse(id, "is not there");
      for (const [field, [from]] of Object.entries(updated[id]!))
        if (!isSame(row[field], from)) refuse(id, `has another ${field} than the one that is to be changed`);
      table[id] = { ...row, ...mapFields(updated[id]!, ([, to]) => to) };
    }
    return [entity, table] as const;
  });
  return { ...tables, ...Object.fromEntries(touched) };
}

function mapFields<From, To>(fields: Readonly<Record<string, From>>, map: (value: From) => To): Record<string, To> {
  return Object.fromEntries(Object.entries(fields).map(([name, value]) => [name, map(value)]));
}

/** The changes that undo these. */
export function reverse(changes: Changes): Changes {
  return mapFields(changes, ({ added, removed, updated }) => ({
    added: removed,
    removed: added,
    updated: mapFields(updated, (fields) => mapFields(fields, ([from, to]) => [to, from] as const)),
  }));
}

/** From one row to another, field by field. */
function difference(from: Row, to: Row): Record<string, readonly [Json, Json]> {
  const fields = [...new Set([...Object.keys(from), ...Object.keys(to)])];
  return Object.fromEntries(
    fields
      .filter((field) => !isSame(from[field], to[field]))
      .map((field) => [field, [from[field] ?? null, to[field] ?? null] as const]),
  );
}

/** What leads from one garden to another. */
export function between(before: Tables, after: Tables): Changes {
  const entities = [...new Set([...Object.keys(before), ...Object.keys(after)])];
  return tidy(
    entities
      .filter((entity) => before[entity] !== after[entity])
      .map((entity) => {
        const [old, now] = [before[entity] ?? {}, after[entity] ?? {}];
        const gone = idsOf(old).filter((id) => !now[id]);
        const come = idsOf(now).filter((id) => !old[id]);
        const both = idsOf(now).filter((id) => old[id] && old[id] !== now[id]);
        return [
          entity,
          {
            added: Object.fromEntries(come.map((id) => [id, now[id]!])),
            removed: Object.fromEntries(gone.map((id) => [id, old[id]!])),
            updated: Object.fromEntries(both.map((id) => [id, difference(old[id]!, now[id]!)])),
          },
        ] as const;
      }),
  );
}

/** One set of changes that does what the first and then the second does. */
export function squash(first: Changes, second: Changes): Changes {
  const entities = [...new Set([...Object.keys(first), ...Object.keys(second)])];
  return tidy(
    entities.map((entity) => {
      const [a, b] = [first[entity] ?? NOTHING, second[entity] ?? NOTHING];
      const added: Record<number, Row> = { ...a.added };
      const removed: Record<number, Row> = { ...a.removed };
      const updated: Record<number, Record<string, readonly [Json, Json]>> = { ...a.updated };
      for (const id of idsOf(b.updated)) {
        const fields = b.updated[id]!;
        if (added[id]) added[id] = { ...added[id], ...mapFields(fields, ([, to]) => to) };
        else updated[id] = inARow(updated[id] ?? {}, fields);
      }
      for (const id of idsOf(b.removed)) {
        if (added[id]) delete added[id];
        else removed[id] = { ...b.removed[id]!, ...mapFields(updated[id] ?? {}, ([from]) => from) };
        delete updated[id];
      }
      for (const id of idsOf(b.added)) {
        if (!removed[id]) added[id] = b.added[id]!;
        else {
          updated[id] = difference(removed[id], b.added[id]!);
          delete removed[id];
        }
      }
      return [entity, { added, removed, updated }] as const;
    }),
  );
}

/** Changes of fields one after the other; what comes back to its first value is no change. */
function inARow(
  first: Readonly<Record<string, readonly [Json, Json]>>,
  second: Readonly<Record<string, readonly [Json, Json]>>,
): Record<string, readonly [Json, Json]> {
  const both: Record<string, readonly [Json, Json]> = { ...first };
  for (const [field, [from, to]] of Object.entries(second))
    both[field] = [field in first ? first[field]![0] : from, to];
  return Object.fromEntries(Object.entries(both).filter(([, [from, to]]) => !isSame(from, to)));
}

/**
 * Changes made on an older garden, on the garden as it is now. What is done already drops out; where somebody else
 * changed the same, there is a conflict, and that part is left out until it is settled.
 */
export function rebase(
  changes: Changes,
  live: Tables,
  rules: Rules,
): { readonly changes: Changes; readonly conflicts: readonly Conflict[] } {
  const conflicts: Conflict[] = [];
  const own = tidy(
    Object.entries(changes).map(([entity, { added, removed, updated }]) => {
      const table = live[entity] ?? {};
      const next = { added: {} as Record<number, Row>, removed: {} as Record<number, Row>, updated: {} as Updates };
      for (const id of idsOf(added)) {
        if (table[id]) next.updated[id] = difference(table[id], added[id]!);
        else next.added[id] = added[id]!;
      }
      for (const id of idsOf(removed)) {
        if (!table[id]) continue;
        if (isSame(withoutTyped(table[id]), withoutTyped(removed[id]!))) next.removed[id] = table[id];
        else conflicts.push({ entity, id, kind: "removed-but-changed" });
      }
      for (const id of idsOf(updated)) {
        const row = table[id];
        if (!row) {
          conflicts.push({ entity, id, kind: "gone" });
          continue;
        }
        const kept: Record<string, readonly [Json, Json]> = {};
        for (const [field, [from, to]] of Object.entries(updated[id]!)) {
          const now = row[field] ?? null;
          if (isSame(now, to)) continue;
          if (isSame(now, from)) kept[field] = [from, to];
          // Texts stand beside their values: where they differ, each is shown while its own value stands.
          else if (field === TYPED) kept[field] = [now, { ...(now as object), ...(to as object) }];
          else conflicts.push({ entity, id, kind: "changed", field, from, live: now, to });
        }
        next.updated[id] = kept;
      }
      return [entity, next] as const;
    }),
  );
  const rebased = withFollowers(own, live, rules);
  conflicts.push(...newlyWrong(live, apply(live, rebased), rebased, rules));
  return { changes: rebased, conflicts };
}

/** With the rows that go along with what is removed. */
function withFollowers(changes: Changes, live: Tables, { references, follows = {} }: Rules): Changes {
  let all = changes;
  for (const [entity, fields] of Object.entries(follows)) {
    const goes = (row: Row) =>
      fields.some((field) => changes[references[entity]![field]!]?.removed[Number(row[field])] !== undefined);
    const gone = Object.entries(live[entity] ?? {}).filter(([, row]) => goes(row));
    if (gone.length === 0) continue;
    const own = gone.reduce((left, [id]) => without(left, entity, Number(id)), changes)[entity] ?? NOTHING;
    all = { ...all, [entity]: { ...own, removed: { ...own.removed, ...Object.fromEntries(gone) } } };
  }
  return all;
}

const withoutTyped = ({ [TYPED]: _, ...row }: Row): Row => row;

type Updates = Record<number, Record<string, readonly [Json, Json]>>;

/** References to rows that would not be there, and names that two rows would have, where the changes bring them about. */
function newlyWrong(before: Tables, after: Tables, changes: Changes, { references, names }: Rules): Conflict[] {
  const found: Conflict[] = [];
  for (const [entity, fields] of Object.entries(references))
    for (const id of idsOf(after[entity] ?? {}))
      for (const [field, target] of Object.entries(fields)) {
        const to = after[entity]![id]![field] ?? null;
        if (to === null || after[target]?.[Number(to)]) continue;
        const was = before[entity]?.[id]?.[field] ?? null;
        const isOld = isSame(was, to) && !before[target]?.[Number(to)];
        if (!isOld) found.push({ entity, id, kind: "refers-to-gone", field, to });
      }
  for (const [entity, fields] of Object.entries(names)) {
    const touched = changes[entity];
    if (!touched) continue;
    const nameOf = (id: number) => JSON.stringify(fields.map((field) => after[entity]![id]![field] ?? null));
    const holders = new Map<string, number>();
    for (const id of idsOf(after[entity] ?? {})) holders.set(nameOf(id), (holders.get(nameOf(id)) ?? 0) + 1);
    for (const id of [...idsOf(touched.added), ...idsOf(touched.updated)])
      if (holders.get(nameOf(id))! > 1) found.push({ entity, id, kind: "name-taken", field: fields.at(-1)! });
  }
  return found;
}

/**
 * What of some changes holds on a garden, whatever happened to it since: as `rebase`, and what refers to a row that is gone
 * or takes a name that is taken is left out too, with what hangs on it.
 */
export function holding(
  changes: Changes,
  live: Tables,
  rules: Rules,
): { readonly changes: Changes; readonly conflicts: readonly Conflict[] } {
  let { changes: left, conflicts } = rebase(changes, live, rules);
  const found = [...conflicts];
  for (;;) {
    const broken = conflicts.filter(({ kind }) => kind === "refers-to-gone" || kind === "name-taken");
    if (broken.length === 0) return { changes: tidy(Object.entries(left)), conflicts: found };
    for (const conflict of broken) left = withoutCause(left, conflict, rules);
    ({ changes: left, conflicts } = rebase(left, live, rules));
    found.push(...conflicts);
  }
}

/** Without what brings a conflict about: the row that goes, or the field that would refer to it. */
function withoutCause(changes: Changes, { entity, id, field, to }: Conflict, { references }: Rules): Changes {
  const target = field === undefined ? undefined : references[entity]?.[field];
  if (target !== undefined && changes[target]?.removed[Number(to)]) return without(changes, target, Number(to));
  return without(changes, entity, id, field);
}

/** Changes without what they do to a field of a row; without a field, or where the row is new, to the row. */
export function without(changes: Changes, entity: string, id: number, field?: string): Changes {
  const own = changes[entity];
  if (!own) return changes;
  const { [id]: _added, ...added } = own.added;
  const { [id]: _removed, ...removed } = own.removed;
  const { [id]: fields = {}, ...others } = own.updated;
  const left = field === undefined ? {} : Object.fromEntries(Object.entries(fields).filter(([name]) => name !== field));
  const updated = Object.keys(left).length > 0 ? { ...others, [id]: left } : others;
  return { ...changes, [entity]: { added, removed, updated } };
}

/** Ids that the browser made, below 0, as the real ones that were reserved for them: of rows, and where rows refer to them. */
export function settle(changes: Changes, ids: ReadonlyMap<number, number>, { references }: Rules): Changes {
  const real = (id: number) => ids.get(id) ?? id;
  return Object.fromEntries(
    Object.entries(changes).map(([entity, { added, removed, updated }]) => {
      const refers = references[entity] ?? {};
      const value = (field: string, old: Json) => (field in refers && typeof old === "number" ? real(old) : old);
      const rowOf = (row: Row): Row =>
        Object.fromEntries(
          Object.entries(row).map(([field, old]) => [field, field === "id" ? real(Number(old)) : value(field, old)]),
        );
      const rowsOf = (rows: Table): Table => Object.fromEntries(idsOf(rows).map((id) => [real(id), rowOf(rows[id]!)]));
      const fieldsOf = (id: number) =>
        Object.fromEntries(
          Object.entries(updated[id]!).map(([field, [from, to]]) => [
            field,
            [value(field, from), value(field, to)] as const,
          ]),
        );
      return [
        entity,
        {
          added: rowsOf(added),
          removed: rowsOf(removed),
          updated: Object.fromEntries(idsOf(updated).map((id) => [real(id), fieldsOf(id)])),
        },
      ] as const;
    }),
  );
}
