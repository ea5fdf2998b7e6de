"use server";
import { RefusedError } from "../session/refusal";
import { command } from "../session/command";
import { askForEnough, askToStop } from "./job";
import { stopJobSchema } from "./schema";

/** Lets heavy work come to an end with the best that it has. */
export const endJob = command("plan", stopJobSchema, async (db, { id }, who) => {
  if ((await askForEnough(db, who.gardenId, id)) === 0)
    throw new RefusedError({ room: "any", kind: "gone", what: "job" }, undefined, 404);
});

/** Stops heavy work that waits or runs; nothing of it is kept. */
export const stopJob = command("plan", stopJobSchema, async (db, { id }, who) => {
  const stopped = await askToStop(db, who.gardenId, id);
  if (stopped === 0) throw new RefusedError({ room: "any", kind: "gone", what: "job" }, undefined, 404);
});
