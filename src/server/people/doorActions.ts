"use server";
import { many, maybeOne, pool } from "../db/pool";
import { saveRow } from "../db/save";
import { openCommand, RefusedError } from "../session/command";
import { sessionCookie } from "../session/cookie";
import { onBehalf, sayForWhom } from "../session/onBehalf";
import { door } from "../session/session";
import { tokenHash } from "../session/token";
import { accountByName, createAccount, createOwnGarden, hasAccounts } from "./accounts";
import { countAttempt, forgetAttempts } from "./attempts";
import { firstStartSchema, joinSchema, keySchema, nothingSchema, resetSchema, signInSchema } from "./doorSchema";
import { requireInvitation, resetOf, useInvitation } from "./links";
import { passwordFits, passwordHash } from "./password";
import { callerAddress, openSession } from "./sessions";

/** Tries with a link are counted under this name, which nobody can sign in with. */
const LINK = "(link)";

export const signIn = openCommand(signInSchema, async ({ signInName, password }) => {
  const address = await callerAddress();
  await countAttempt(address, signInName);
  const account = await accountByName(pool(), signInName);
  if (!(await passwordFits(account?.passwordHash, password)) || !account)
    throw new RefusedError("This name and password do not fit together.", "password", 401);
  await forgetAttempts(address, signInName);
  await openSession(account.id);
});

export const signOut = openCommand(nothingSchema, async () => {
  const cookie = await sessionCookie();
  if (cookie.token) await many(pool(), "delete from session where token_hash = $1", [tokenHash(cookie.token)]);
  cookie.destroy();
});

/** Takes up an invitation with a new account. */
export const join = openCommand(joinSchema, async (input) => {
  await countAttempt(await callerAddress(), LINK);
  const { accountId, gardenId } = await onBehalf({}, async (db) => {
    const invited = await requireInvitation(db, input.key);
    const accountId = await createAccount(db, input);
    const personId = await saveRow(db, "person", invited.gardenId, null, { name: input.name, role: invited.role, account_id: accountId }); // prettier-ignore
    await useInvitation(db, invited, personId);
    return { accountId, gardenId: invited.gardenId };
  });
  await openSession(accountId, gardenId);
});

/** Takes up an invitation with the account that is signed in. */
export const joinSignedIn = openCommand(keySchema, async ({ key }) => {
  const entered = await door();
  if (!entered) throw new RefusedError("Sign in first, then open the link again.", undefined, 401);
  await countAttempt(await callerAddress(), LINK);
  await onBehalf({}, async (db) => {
    const invited = await requireInvitation(db, key);
    const account = await maybeOne<{ name: string }>(db, "select name from account where id = $1", [entered.accountId]);
    const personId = await saveRow(db, "person", invited.gardenId, null, { name: account!.name, role: invited.role, account_id: entered.accountId }); // prettier-ignore
    await useInvitation(db, invited, personId);
    await many(db, "update session set present_garden = $2 where id = $1", [entered.sessionId, invited.gardenId]);
  });
});

/** Sets a password anew with a link from a keeper, once, and signs the account out everywhere. */
export const resetPassword = openCommand(resetSchema, async ({ key, password }) => {
  await countAttempt(await callerAddress(), LINK);
  const accountId = await onBehalf({}, async (db) => {
    const reset = await resetOf(db, key);
    if (!reset) throw new RefusedError("This link was used or is too old. Ask a keeper for a new one.", undefined, 404);
    await sayForWhom(db, { gardenId: reset.gardenId });
    const used = await maybeOne(
      db,
      "update reset_link set used_at = now() where garden_id = $1 and id = $2 and used_at is null returning id",
      [reset.gardenId, reset.id],
    );
    if (!used) throw new RefusedError("This link was used a moment ago.", undefined, 409);
    await many(db, "update account set password_hash = $2 where id = $1", [
      reset.accountId,
      await passwordHash(password),
    ]);
    await many(db, "delete from session where account_id = $1", [reset.accountId]);
    return reset.accountId;
  });
  await openSession(accountId);
});

/** The first start: the first account and its garden. Closed as soon as there is an account. */
export const firstStart = openCommand(firstStartSchema, async (input) => {
  const accountId = await onBehalf({}, async (db) => {
    await many(db, "lock table account in exclusive mode");
    if (await hasAccounts(db))
      throw new RefusedError(
        "This Seed Round has its first account already: sign in, or ask a keeper.",
        undefined,
        403,
      );
    const id = await createAccount(db, input);
    await createOwnGarden(db, id, input.name, input);
    return id;
  });
  await openSession(accountId);
});
