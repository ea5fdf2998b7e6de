"use server";
import { many } from "../db/pool";
import { command, RefusedError, requireRight } from "../session/command";
import { changesOfAct } from "./queries";
import { actSchema } from "./schema";
import { canTakeBack, inOrder, takeBack } from "./undo";

/** Takes a whole act back: all its rows as they were before, or none. The memory keeps both. */
export const undoAct = command("plan", actSchema, async (db, { act }, who) => {
  const done = await changesOfAct(db, who.gardenId, act);
  if (done.length === 0) throw new RefusedError("This change is not known here.", undefined, 404);
  if (done.some(({ table }) => table === "garden")) requireRight(who, "keep");
  if (!canTakeBack(done)) throw new RefusedError("This cannot be taken back, or it was already.", undefined, 409);
  await many(db, "select set_config('seed_round.undoes', $1, true)", [act]);
  for (const change of inOrder(done)) await takeBack(db, who.gardenId, change);
});
