import type { Json, Row } from "@/core/garden/changes";
import { columnOf, type Entity } from "@/core/garden/entities/field";
import { dayFromIso, isoFromDay } from "@/core/units/day";

/** The columns of an entity as a query asks for them: `length_m as "lengthM"`. */
export function columnsOf(entity: Entity): string {
  return namesOf(entity)
    .map(({ name, column }) => `${entity.table}.${column} as "${name}"`)
    .join(", ");
}

const ISO_DAY = /^\d{4}-\d{2}-\d{2}$/u;

/** The columns and names of all that a row is: its id and its order, what was typed, and its fields. */
function namesOf({
  fields,
  placed,
}: Entity): { readonly name: string; readonly column: string; readonly isDay: boolean }[] {
  const own = ["id", "typed", ...(placed ? ["position"] : [])].map((name) => ({ name, column: name, isDay: false }));
  return [
    ...own,
    ...fields.map((field) => ({ name: field.name, column: columnOf(field), isDay: field.type === "day" })),
  ];
}

/** Fields of a row by their columns, as PostgreSQL reads them from JSON. What is not described is left out. */
export function toColumns(entity: Entity, row: Row): Row {
  return Object.fromEntries(
    namesOf(entity)
      .filter(({ name }) => name in row)
      .map(({ name, column, isDay }) => {
        const value = row[name]!;
        return [column, isDay && typeof value === "number" ? isoFromDay(value) : value];
      }),
  );
}

/** A row that the history kept, by its fields; what it does not say has the value that it begins with. */
export function fromColumns(entity: Entity, row: Row): Row {
  const initial = new Map(entity.fields.map(({ name, initial: value }) => [name, value ?? null]));
  return Object.fromEntries(
    namesOf(entity).map(({ name, column, isDay }): [string, Json] => {
      const value = row[column];
      if (value === undefined)
        return [name, name === "typed" ? {} : name === "position" ? 1 : (initial.get(name) ?? null)];
      return [name, isDay && typeof value === "string" && ISO_DAY.test(value) ? dayFromIso(value) : value];
    }),
  );
}
