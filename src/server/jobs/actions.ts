"use server";
import { RefusedError } from "../session/refusal";
import { command } from "../session/command";
import { askToStop } from "./job";
import { stopJobSchema } from "./schema";

/** Stops heavy work that waits or runs; nothing of it is kept. */
export const stopJob = command("plan", stopJobSchema, async (db, { id }, who) => {
  const stopped = await askToStop(db, who.gardenId, id);
  if (stopped === 0) throw new RefusedError({ room: "any", kind: "gone", what: "job" }, undefined, 404);
});
