"use server";
import Joi from "joi";
import Papa from "papaparse";
import { squash, type Changes, type Row } from "@/core/garden/changes";
import { newRow } from "@/core/garden/edit";
import { SALT } from "@/core/garden/entities/feed";
import { readSalts } from "@/core/feed/saltsFile";
import { planCommand } from "../garden/planCommand";
import { RefusedError } from "../session/refusal";

const MOST_CHARACTERS = 400_000;
const MOST_TOLD = 20;

const schema = Joi.object<{ readonly text: string }>({
  text: Joi.string().max(MOST_CHARACTERS).required().label("File").messages({
    "string.max": "The file is longer than 400 000 characters",
    "string.empty": "There is nothing in the file",
  }),
});

/** Takes salts in from a file, all or none: those of a name that is there are changed, the others are new. */
export const importSalts = planCommand("plan", schema, ({ text }, tables) => {
  const { salts, problems } = readSalts(Papa.parse<string[]>(text.trim()).data);
  if (problems.length > 0)
    throw new RefusedError({ room: "feed", kind: "salts-faults", problems: problems.slice(0, MOST_TOLD) });
  const there = new Map(Object.values(tables.salt ?? {}).map((row) => [String(row.name), row]));
  const changes = salts.map((salt, at): Changes => {
    const row = salt as unknown as Row;
    const before = there.get(salt.name);
    if (!before) {
      const id = -1 - at;
      return { salt: { added: { [id]: newRow(tables, SALT, id, row) }, removed: {}, updated: {} } };
    }
    const changed = Object.entries(row).filter(
      ([name, value]) => JSON.stringify(before[name]) !== JSON.stringify(value),
    );
    const updated = Object.fromEntries(changed.map(([name, value]) => [name, [before[name]!, value] as const]));
    return changed.length === 0 ? {} : { salt: { added: {}, removed: {}, updated: { [Number(before.id)]: updated } } };
  });
  return { changes: changes.reduce(squash, {}), value: () => salts.length };
});
