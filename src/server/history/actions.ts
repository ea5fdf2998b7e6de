"use server";
import { run } from "../db/pool";
import { RefusedError } from "../session/refusal";
import { command } from "../session/command";
import { requireRight } from "../session/rights";
import { changesOfAct } from "./queries";
import { actSchema } from "./schema";
import { isUndoable, undo } from "./undo";

/** Undoes a whole act: all its rows as they were before, or none. The history keeps both. */
export const undoAct = command(
  "plan",
  actSchema,
  async (db, { act }, who) => {
    const done = await changesOfAct(db, who.gardenId, act);
    if (done.length === 0) throw new RefusedError({ room: "history", kind: "unknown-change" }, undefined, 404);
    if (done.some(({ table }) => table === "garden")) requireRight(who, "keep");
    if (!isUndoable(done)) throw new RefusedError({ room: "history", kind: "cannot-be-undone" }, undefined, 409);
    await run(db, "select set_config('seed_round.undoes', $1, true)", [act]);
    await undo(db, who, done);
  },
  { inWhatIf: true },
);
