import type { Row } from "@/core/garden/changes";
import type { Entity, Typed } from "@/core/garden/entities/field";

/** Rows that a form edits along because they are parts of its row, by their name in it. */
export type Parts = Readonly<Record<string, Entity>>;

/**
 * What a form of an entity holds: its fields, the same as they stood when it was opened, and the texts that were typed for
 * quantities. A row without an id is a new one, and begins with what its entity says.
 */
export function formValues(entity: Entity, row: object, parts: Parts = {}): Record<string, unknown> {
  const given = row as Row;
  const isNew = typeof given.id !== "number";
  const own = described(entity, isNew ? { ...initialsOf(entity), ...given } : given);
  const lists = Object.entries(parts).map(([name, part]) => {
    const rows = (given[name] ?? []) as readonly Row[];
    return { name, part, rows };
  });
  const shown = Object.fromEntries(
    lists.map(({ name, part, rows }) => [name, rows.map((one) => described(part, one))]),
  );
  if (isNew) return { id: null, opened: null, typed: {}, ...own, ...shown };
  // Parts are known by their ids from the opened ones.
  const opened = Object.fromEntries(
    lists.map(({ name, part, rows }) => [name, rows.map((one) => ({ ...described(part, one), id: one.id ?? null }))]),
  );
  const typed = lists.reduce<Typed>(
    (all, { name, rows }) =>
      rows.reduce<Typed>((some, one, index) => ({ ...some, ...under(`${name}.${index}.`, one) }), all),
    (given.typed ?? {}) as unknown as Typed,
  );
  return { id: given.id, opened: { ...own, ...opened }, typed, ...own, ...shown };
}

function described({ fields }: Entity, row: Row): Row {
  return Object.fromEntries(fields.filter(({ name }) => name in row).map(({ name }) => [name, row[name]!]));
}

function under(prefix: string, { typed }: Row): Typed {
  const texts = (typed ?? {}) as unknown as Typed;
  return Object.fromEntries(Object.entries(texts).map(([path, text]) => [prefix + path, text]));
}

function initialsOf({ fields }: Entity): Row {
  return Object.fromEntries(
    fields.flatMap(({ name, initial }) => (initial === undefined ? [] : [[name, initial] as const])),
  );
}
