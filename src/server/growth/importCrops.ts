"use server";
import Joi from "joi";
import Papa from "papaparse";
import { squash, type Changes, type Row, type Tables } from "@/core/garden/changes";
import { readCrops, type CropNames, type FileCrop } from "@/core/garden/cropsFile";
import { newRow } from "@/core/garden/edit";
import type { Entity } from "@/core/garden/entities/field";
import { VARIETY, VARIETY_STAGE } from "@/core/garden/entities/growth";
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

/** Takes crops in from a file, all or none: those of a name that is there are changed, the others are new. */
export const importCrops = planCommand("plan", schema, ({ text }, tables) => {
  const { crops, problems } = readCrops(Papa.parse<string[]>(text.trim()).data, namesIn(tables));
  if (problems.length > 0)
    throw new RefusedError({ room: "growth", kind: "crops-faults", problems: problems.slice(0, MOST_TOLD) });
  const changes = crops.map((crop, at) => changesOf(tables, crop, -1 - 20 * at));
  return { changes: changes.reduce(squash, {}), value: () => crops.length };
});

function namesIn(tables: Tables): CropNames {
  const byName = (table: string) =>
    new Map(Object.values(tables[table] ?? {}).map((row) => [String(row.name), Number(row.id)]));
  return {
    units: byName("harvest_unit"),
    growingAreas: byName("growing_area"),
    crops: new Set(byName("variety").keys()),
  };
}

/** What a stage has that a file does not tell. */
const USUAL_STAGE = { survival: 1, needLpd: 0.05 } as const;

function changesOf(tables: Tables, { name, row, stages }: FileCrop, freshId: number): Changes {
  const before = Object.values(tables.variety ?? {}).find((one) => one.name === name);
  const varietyId = before ? Number(before.id) : freshId;
  const own = before
    ? updated(VARIETY, before, row)
    : added(VARIETY, newRow(tables, VARIETY, freshId, { crop: name.toLowerCase(), ...row }));
  return stages.reduce<Changes>((changes, stage, position) => {
    const kept = Object.values(tables.variety_stage ?? {}).find(
      (one) => one.varietyId === varietyId && one.position === position,
    );
    const told = { name: `stage ${position + 1}`, ...USUAL_STAGE, ...stage, varietyId, position };
    const id = freshId - 1 - position;
    return squash(
      changes,
      kept ? updated(VARIETY_STAGE, kept, stage) : added(VARIETY_STAGE, newRow(tables, VARIETY_STAGE, id, told)),
    );
  }, own);
}

function added({ table }: Entity, row: Row): Changes {
  return { [table]: { added: { [Number(row.id)]: row }, removed: {}, updated: {} } };
}

function updated({ table }: Entity, before: Row, row: Row): Changes {
  const changed = Object.entries(row).filter(([name, value]) => JSON.stringify(before[name]) !== JSON.stringify(value));
  if (changed.length === 0) return {};
  const fields = Object.fromEntries(changed.map(([name, value]) => [name, [before[name]!, value] as const]));
  return { [table]: { added: {}, removed: {}, updated: { [Number(before.id)]: fields } } };
}
