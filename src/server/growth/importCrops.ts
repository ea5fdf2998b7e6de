"use server";
import Papa from "papaparse";
import { squash, type Changes, type Tables } from "@/core/garden/changes";
import { readCrops, type CropNames, type FileCrop } from "@/core/garden/cropsFile";
import { VARIETY, VARIETY_STAGE } from "@/core/garden/entities/growth";
import { fileSchema, MOST_TOLD, rowFromFile } from "../garden/fromFile";
import { planCommand } from "../garden/planCommand";
import { RefusedError } from "../session/refusal";

/** Takes crops in from a file, all or none: those of a name that is there are changed, the others are new. */
export const importCrops = planCommand("plan", fileSchema, ({ text }, tables) => {
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
  const own = rowFromFile(tables, VARIETY, {
    ...{ before, freshId },
    row: before ? row : { crop: name.toLowerCase(), ...row },
  });
  return stages.reduce<Changes>((changes, stage, position) => {
    const kept = Object.values(tables.variety_stage ?? {}).find(
      (one) => one.varietyId === varietyId && one.position === position,
    );
    const told = { name: `stage ${position + 1}`, ...USUAL_STAGE, ...stage, varietyId, position };
    const fresh = { before: kept, row: kept ? stage : told, freshId: freshId - 1 - position };
    return squash(changes, rowFromFile(tables, VARIETY_STAGE, fresh));
  }, own);
}
