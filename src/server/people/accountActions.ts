"use server";
import { many, maybeOne } from "../db/pool";
import { command, RefusedError } from "../session/command";
import { accountById, createOwnGarden } from "./accounts";
import { newGardenSchema, nothingSchema, passwordChangeSchema, switchSchema } from "./doorSchema";
import { passwordFits, passwordHash } from "./password";
import { removeSchema } from "../place/schema";
import { countAttempt } from "./attempts";

/** Changes one's own password and ends all other sessions. */
export const changePassword = command("look", passwordChangeSchema, async (db, input, who) => {
  const account = await accountById(db, who.accountId);
  await countAttempt("(signed in)", account.signInName);
  if (!(await passwordFits(account.passwordHash, input.old)))
    throw new RefusedError("The old password does not fit.", "old");
  await many(db, "update account set password_hash = $2 where id = $1", [
    who.accountId,
    await passwordHash(input.password),
  ]);
  await many(db, "delete from session where account_id = $1 and id <> $2", [who.accountId, who.sessionId]);
});

/** Ends one of one's own sessions. */
export const endSession = command("look", removeSchema, async (db, { id }, who) => {
  const ended = await maybeOne(db, "delete from session where account_id = $1 and id = $2 returning id", [
    who.accountId,
    id,
  ]);
  if (!ended) throw new RefusedError("This session has ended already.", undefined, 404);
});

/** Signs out everywhere, here too. */
export const endAllSessions = command("look", nothingSchema, async (db, _input, who) => {
  await many(db, "delete from session where account_id = $1", [who.accountId]);
});

/** Looks at another garden where the account is at home. */
export const switchGarden = command("look", switchSchema, async (db, { gardenId }, who) => {
  const home = await maybeOne(db, "select 1 from person where garden_id = $1 and account_id = $2 and left_at is null", [
    gardenId,
    who.accountId,
  ]);
  if (!home) throw new RefusedError("You are not at home in this garden.", undefined, 404);
  await many(db, "update session set present_garden = $2 where id = $1", [who.sessionId, gardenId]);
});

/** Makes another garden and goes there. */
export const makeGarden = command("look", newGardenSchema, async (db, input, who) => {
  const account = await accountById(db, who.accountId);
  const gardenId = await createOwnGarden(db, who.accountId, account.name, input);
  await many(db, "update session set present_garden = $2 where id = $1", [who.sessionId, gardenId]);
});
