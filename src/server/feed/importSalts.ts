"use server";
import Papa from "papaparse";
import { squash, type Row } from "@/core/garden/changes";
import { SALT } from "@/core/garden/entities/feed";
import { readSalts } from "@/core/feed/saltsFile";
import { fileSchema, MOST_TOLD, rowFromFile } from "../garden/fromFile";
import { planCommand } from "../garden/planCommand";
import { RefusedError } from "../session/refusal";

/** Takes salts in from a file, all or none: those of a name that is there are changed, the others are new. */
export const importSalts = planCommand("plan", fileSchema, ({ text }, tables) => {
  const { salts, problems } = readSalts(Papa.parse<string[]>(text.trim()).data);
  if (problems.length > 0)
    throw new RefusedError({ room: "feed", kind: "salts-faults", problems: problems.slice(0, MOST_TOLD) });
  const there = new Map(Object.values(tables.salt ?? {}).map((row) => [String(row.name), row]));
  const changes = salts.map((salt, at) =>
    rowFromFile(tables, SALT, { before: there.get(salt.name), row: salt as unknown as Row, freshId: -1 - at }),
  );
  return { changes: changes.reduce(squash, {}), value: () => salts.length };
});
