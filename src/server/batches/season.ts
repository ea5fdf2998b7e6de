"use server";
import { CLOSED_DAY, SEASON } from "@/core/garden/entities/batches";
import { rowsOf, type RowName } from "@/core/garden/part";
import { removeCommand, saveCommand } from "../garden/planCommand";
import { adoptRows } from "../garden/whatIf/adopt";
import { askFor } from "../jobs/job";
import { wakeRunner } from "../jobs/wake";
import { command } from "../session/command";
import { acceptSeasonSchema, askSeasonSchema, closedDaySchema, removeClosedDaySchema, seasonSchema } from "./schema";

export const saveSeason = saveCommand(SEASON, seasonSchema);
export const saveClosedDay = saveCommand(CLOSED_DAY, closedDaySchema);
export const removeClosedDay = removeCommand(CLOSED_DAY, removeClosedDaySchema);

/** Begins once the answer is on its way: what was asked for must have been kept by then. */
const SOON_MS = 30;

/** Plans the season from today on, as heavy work; with a remedy that is tried, which comes with its changes. @returns the job's id */
export const askSeason = command("plan", askSeasonSchema, async (db, { remedy }, who) => {
  const job = await askFor(db, who, "season", { day: who.today, ...(remedy && { remedy: { ...remedy } }) });
  setTimeout(wakeRunner, SOON_MS);
  return job;
});

/**
 * Takes a planned season into the garden: all of it, or some of its batches with their places. What it no longer fits beside
 * refuses; it is one act, and undone as one.
 */
export const acceptSeason = command("plan", acceptSeasonSchema, (db, { setId, batchIds }, who) =>
  adoptRows(db, who, setId, (stored) => {
    const chosen = new Set(batchIds);
    const batchOf = ({ entity, id }: RowName) =>
      entity === "batch" ? id : Number((stored[entity]?.added[id] ?? stored[entity]?.removed[id])?.batchId);
    // What was tried with the season comes with any part of it.
    const isOfBatches = ({ entity }: RowName) => entity.startsWith("batch");
    return rowsOf(stored).filter((row) => batchIds === null || !isOfBatches(row) || chosen.has(batchOf(row)));
  }),
);
