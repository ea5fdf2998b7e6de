"use server";
import { type Db, maybeOne, run } from "../db/pool";
import { RefusedError } from "../session/refusal";
import { command } from "../session/command";
import { actAs } from "../session/onBehalf";
import { accountById, createOwnGarden } from "./accounts";
import { tryAccess } from "./attempts";
import { noteAccess } from "./accessEvents";
import {
  codeSchema,
  newGardenSchema,
  nothingSchema,
  passwordAgainSchema,
  passwordChangeSchema,
  removeGardenSchema,
  switchSchema,
} from "./accessSchema";
import { passwordFits, passwordHash, requireUncommon } from "./password";
import { hasFactor, newFactor, newRecoveryCodes, switchOff, switchOn, spendCode } from "./secondFactor";
import { removeSchema } from "../place/schema";

/** Changes one's own password, ends all other sessions and all links for another one. */
export const changePassword = command("look", passwordChangeSchema, async (db, input, who) => {
  const account = await accountById(db, who.accountId);
  const tried = await tryAccess(`password of ${who.accountId}`);
  if (!(await passwordFits(account.passwordHash, input.old)))
    throw new RefusedError({ room: "people", kind: "old-password-wrong" }, "old");
  await tried.fits();
  requireUncommon(input.password, [account.name, account.signInName, who.personName, who.gardenName]);
  await run(db, "update account set password_hash = $2, links_void_at = clock_timestamp() where id = $1", [
    who.accountId,
    await passwordHash(input.password),
  ]);
  await run(db, "delete from session where account_id = $1 and id <> $2", [who.accountId, who.sessionId]);
  await run(db, "update session set confirmed_at = now() where id = $1", [who.sessionId]);
  await noteAccess(who.accountId, "password-changed", db);
});

/** Shows once more that it is the account's own person who sits here. */
export const confirmPassword = command("look", passwordAgainSchema, async (db, { password }, who) => {
  const tried = await tryAccess(`password of ${who.accountId}`);
  if (!(await passwordFits((await accountById(db, who.accountId)).passwordHash, password)))
    throw new RefusedError({ room: "people", kind: "password-wrong" }, "password");
  await tried.fits();
  await run(db, "update session set confirmed_at = now() where id = $1", [who.sessionId]);
});

/** Makes the secret of a second factor, to be read by a phone; it is switched on by a code from there. */
export const beginFactor = command(
  "look",
  nothingSchema,
  async (db, _input, who) => {
    if (await hasFactor(db, who.accountId))
      throw new RefusedError({ room: "people", kind: "factor-on-already" }, undefined, 409);
    return newFactor(db, who.accountId, (await accountById(db, who.accountId)).signInName);
  },
  { confirm: true, secret: true },
);

/** Switches it on, once a code shows that the phone has the secret. @returns ten recovery codes, shown once */
export const switchFactorOn = command(
  "look",
  codeSchema,
  async (db, { code }, who) => {
    if (await hasFactor(db, who.accountId))
      throw new RefusedError({ room: "people", kind: "factor-on-already" }, undefined, 409);
    await requireCode(db, who.accountId, code);
    await switchOn(db, who.accountId);
    await noteAccess(who.accountId, "factor-on", db);
    return newRecoveryCodes(db, who.accountId);
  },
  { confirm: true, secret: true },
);

export const switchFactorOff = command(
  "look",
  codeSchema,
  async (db, { code }, who) => {
    if (!(await hasFactor(db, who.accountId)))
      throw new RefusedError({ room: "people", kind: "factor-off-already" }, undefined, 409);
    await requireCode(db, who.accountId, code);
    await switchOff(db, who.accountId);
    await noteAccess(who.accountId, "factor-off", db);
  },
  { confirm: true },
);

/** Ten new recovery codes; the old ones open nothing any more. */
export const renewRecoveryCodes = command(
  "look",
  codeSchema,
  async (db, { code }, who) => {
    if (!(await hasFactor(db, who.accountId)))
      throw new RefusedError({ room: "people", kind: "factor-off" }, undefined, 409);
    await requireCode(db, who.accountId, code);
    return newRecoveryCodes(db, who.accountId);
  },
  { confirm: true, secret: true },
);

async function requireCode(db: Db, accountId: number, code: string): Promise<void> {
  const tried = await tryAccess(`code ${accountId}`);
  if (!(await spendCode(db, accountId, code))) throw new RefusedError({ room: "people", kind: "code-wrong" }, "code");
  await tried.fits();
}

/** Ends one of one's own sessions. */
export const endSession = command("look", removeSchema, async (db, { id }, who) => {
  const ended = await maybeOne(db, "delete from session where account_id = $1 and id = $2 returning id", [
    who.accountId,
    id,
  ]);
  if (!ended) throw new RefusedError({ room: "people", kind: "session-ended" }, undefined, 404);
});

/** Signs out everywhere, here too. */
export const endAllSessions = command("look", nothingSchema, async (db, _input, who) => {
  await run(db, "delete from session where account_id = $1", [who.accountId]);
});

/** Looks at another garden that the account is a member of. */
export const switchGarden = command("look", switchSchema, async (db, { gardenId }, who) => {
  const home = await maybeOne(db, "select 1 from person where garden_id = $1 and account_id = $2 and left_at is null", [
    gardenId,
    who.accountId,
  ]);
  if (!home) throw new RefusedError({ room: "people", kind: "not-in-garden" }, undefined, 404);
  await run(db, "update session set present_garden = $2 where id = $1", [who.sessionId, gardenId]);
});

/** Makes another garden and goes there. */
export const makeGarden = command("look", newGardenSchema, async (db, input, who) => {
  const account = await accountById(db, who.accountId);
  const gardenId = await createOwnGarden(db, who.accountId, account.name, input);
  await run(db, "update session set present_garden = $2 where id = $1", [who.sessionId, gardenId]);
  // The act is kept with the garden in which it was asked for.
  await actAs(db, who);
});

/** Removes the whole garden with all its rows and its history, for ever; its name has to be typed. */
export const removeGarden = command(
  "keep",
  removeGardenSchema,
  async (db, { name }, who) => {
    if (name !== who.gardenName)
      throw new RefusedError({ room: "people", kind: "garden-name-wrong", gardenName: who.gardenName }, "name");
    await run(db, "delete from garden where id = $1", [who.gardenId]);
  },
  { confirm: true },
);
