import Joi from "joi";
import type { Changes, Row, Tables } from "@/core/garden/changes";
import { newRow } from "@/core/garden/edit";
import type { Entity } from "@/core/garden/entities/field";

const MOST_CHARACTERS = 400_000;
/** Of all that is wrong in a file, so much is told at once. */
export const MOST_TOLD = 20;

/** The text of a file that rows are brought in from. */
export const fileSchema = Joi.object<{ readonly text: string }>({
  text: Joi.string().max(MOST_CHARACTERS).required().label("File").messages({
    "string.max": "The file is longer than 400 000 characters",
    "string.empty": "There is nothing in the file",
  }),
});

/** What a line of a file changes: fields of the row that is there, or a new row. @param freshId under 0, for a new one */
export function rowFromFile(
  tables: Tables,
  entity: Entity,
  { before, row, freshId }: { readonly before: Row | undefined; readonly row: Row; readonly freshId: number },
): Changes {
  const { table } = entity;
  if (!before)
    return { [table]: { added: { [freshId]: newRow(tables, entity, freshId, row) }, removed: {}, updated: {} } };
  const changed = Object.entries(row).filter(([name, value]) => JSON.stringify(before[name]) !== JSON.stringify(value));
  if (changed.length === 0) return {};
  const fields = Object.fromEntries(changed.map(([name, value]) => [name, [before[name]!, value] as const]));
  return { [table]: { added: {}, removed: {}, updated: { [Number(before.id)]: fields } } };
}
