"use server";
import { CLOSED_DAY, SEASON } from "@/core/garden/entities/batches";
import { isEmpty } from "@/core/garden/changes";
import { rowsOf, withNeeded } from "@/core/garden/part";
import { changeGarden } from "../garden/change";
import { removeCommand, saveCommand } from "../garden/planCommand";
import { wantedWhatIf, whatIfOnGarden } from "../garden/whatIf/store";
import { askFor } from "../jobs/job";
import { wakeRunner } from "../jobs/wake";
import { nothingSchema } from "../people/accessSchema";
import { command } from "../session/command";
import { RefusedError } from "../session/refusal";
import { acceptSeasonSchema, closedDaySchema, removeClosedDaySchema, seasonSchema } from "./schema";

export const saveSeason = saveCommand(SEASON, seasonSchema);
export const saveClosedDay = saveCommand(CLOSED_DAY, closedDaySchema);
export const removeClosedDay = removeCommand(CLOSED_DAY, removeClosedDaySchema);

/** Begins once the answer is on its way: what was asked for must have been kept by then. */
const SOON_MS = 30;

/** Plans the season from today on, as heavy work. @returns the job's id */
export const askSeason = command("plan", nothingSchema, async (db, _nothing, who) => {
  const job = await askFor(db, who, "season", { day: who.today });
  setTimeout(wakeRunner, SOON_MS);
  return job;
});

/**
 * Takes a planned season into the garden: all of it, or some of its batches with their places. What it no longer fits beside
 * refuses; it is one act, and undone as one.
 */
export const acceptSeason = command("plan", acceptSeasonSchema, async (db, { setId, batchIds }, who) => {
  await wantedWhatIf(db, who.gardenId, setId, true);
  const { stored, changes, conflicts } = await whatIfOnGarden(db, who.gardenId, setId);
  const chosen = new Set(batchIds ?? []);
  const patchOf = (entity: string, id: number) => stored[entity]?.added[id] ?? stored[entity]?.removed[id];
  const rows = rowsOf(stored).filter(
    ({ entity, id }) =>
      batchIds === null || chosen.has(entity === "batch" ? id : Number(patchOf(entity, id)?.batchId ?? 0)),
  );
  const wanted = new Set(rows.map(({ entity, id }) => `${entity} ${id}`));
  if (conflicts.some(({ entity, id }) => wanted.has(`${entity} ${id}`)))
    throw new RefusedError({ room: "any", kind: "conflict-open" }, undefined, 409);
  const left = withNeeded(changes, rows);
  if (isEmpty(left)) throw new RefusedError({ room: "any", kind: "nothing-to-adopt" }, undefined, 409);
  await changeGarden(db, who, left);
});
