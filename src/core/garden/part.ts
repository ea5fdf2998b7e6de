import type { Changes, Row } from "./changes";
import { PLAN_ENTITIES, RULES } from "./entities";
import type { Entity } from "./entities/field";

export interface RowName {
  readonly entity: string;
  readonly id: number;
}

/** Every row that changes touch. */
export function rowsOf(changes: Changes): RowName[] {
  return Object.entries(changes).flatMap(([entity, { added, removed, updated }]) =>
    Object.keys({ ...added, ...removed, ...updated }).map((id) => ({ entity, id: Number(id) })),
  );
}

/**
 * Some rows of a set of changes, with those that they need: new rows that they refer to, and parts of what is added or
 * removed.
 */
export function withNeeded(changes: Changes, chosen: readonly RowName[]): Changes {
  const taken = new Map<string, Set<number>>();
  const queue = [...chosen];
  for (let next = queue.pop(); next; next = queue.pop()) {
    const { entity, id } = next;
    const own = changes[entity];
    if (!own || taken.get(entity)?.has(id) || !(own.added[id] || own.removed[id] || own.updated[id])) continue;
    taken.set(entity, (taken.get(entity) ?? new Set()).add(id));
    const added = own.added[id] ?? mapTo(own.updated[id] ?? {});
    for (const [field, target] of Object.entries(RULES.references[entity] ?? {}))
      if (typeof added[field] === "number" && changes[target]?.added[added[field]])
        queue.push({ entity: target, id: added[field] });
    queue.push(...partsWith(changes, entity, id));
    // What stands in a row that goes has to leave it first.
    if (own.removed[id]) queue.push(...usersOf(changes, entity, id));
  }
  return Object.fromEntries(
    [...taken].map(([entity, ids]) => {
      const only = <Value>(rows: Readonly<Record<number, Value>>) =>
        Object.fromEntries(Object.entries(rows).filter(([id]) => ids.has(Number(id))));
      const { added, removed, updated } = changes[entity]!;
      return [entity, { added: only(added), removed: only(removed), updated: only(updated) }];
    }),
  );
}

const mapTo = (fields: Changes[string]["updated"][number]): Row =>
  Object.fromEntries(Object.entries(fields).map(([name, [, to]]) => [name, to]));

/** Parts of a row that come or go with it. */
function partsWith(changes: Changes, table: string, id: number): RowName[] {
  return PLAN_ENTITIES.flatMap(({ table: part, fields }: Entity) => {
    const whole = fields.find((field) => field.type === "reference" && field.isPart && field.to === table);
    const { added = {}, removed = {} } = changes[part] ?? {};
    if (!whole) return [];
    return Object.entries({ ...added, ...removed })
      .filter(([, row]) => row[whole.name] === id)
      .map(([partId]) => ({ entity: part, id: Number(partId) }));
  });
}

/** Rows that refer to another no longer: changed or removed ones that did. */
function usersOf(changes: Changes, table: string, id: number): RowName[] {
  return Object.entries(RULES.references).flatMap(([entity, fields]) =>
    Object.entries(fields)
      .filter(([, target]) => target === table)
      .flatMap(([field]) => {
        const { removed = {}, updated = {} } = changes[entity] ?? {};
        return [
          ...Object.entries(removed).filter(([, row]) => row[field] === id),
          ...Object.entries(updated).filter(([, own]) => own[field]?.[0] === id),
        ].map(([row]) => ({ entity, id: Number(row) }));
      }),
  );
}
