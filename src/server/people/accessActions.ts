"use server";
import { maybeOne, pool, run } from "../db/pool";
import { saveRow } from "../db/save";
import { RefusedError } from "../session/refusal";
import { openCommand } from "../session/command";
import { sessionCookie } from "../session/cookie";
import { onBehalf, actAs } from "../session/onBehalf";
import { signedIn } from "../session/session";
import { tokenHash } from "../session/token";
import { accountById, accountByName, createAccount, createOwnGarden, hasAccounts } from "./accounts";
import { addressKey, tryAccess } from "./attempts";
import { accountOfAct, noteAct } from "./accessActs";
import { callerAddress, noteAccess } from "./accessEvents";
import {
  firstStartSchema,
  joinSchema,
  keySchema,
  newGardenSchema,
  nothingSchema,
  resetSchema,
  signInSchema,
} from "./accessSchema";
import { requireInvitation, resetOf, useInvitation } from "./links";
import { returnToGarden } from "./membership";
import { passwordFits, passwordHash, requireUncommon } from "./password";
import { hasFactor, spendCode } from "./secondFactor";
import { browserKey, openSession } from "./sessions";

export const signIn = openCommand(signInSchema, async ({ signInName, password, code }) => {
  const address = addressKey(await callerAddress());
  const account = await accountByName(pool(), signInName);
  const own = account && (await browserKey(account.id));
  const tried = await (own ? tryAccess(own) : tryAccess(`at ${signInName} from ${address}`, address));
  if (!(await passwordFits(account?.passwordHash, password)) || !account)
    throw new RefusedError({ room: "people", kind: "name-or-password-wrong" }, "password", 401);
  if (await hasFactor(pool(), account.id)) {
    if (!code) {
      await tried.neutral();
      throw new RefusedError({ room: "people", kind: "code-wanted" }, "code", 401);
    }
    const codeTried = await tryAccess(own ? `code ${own}` : `code ${account.id}`);
    if (!(await spendCode(pool(), account.id, code)))
      throw new RefusedError({ room: "people", kind: "code-wrong" }, "code", 401);
    await codeTried.fits();
  }
  await tried.fits();
  await openSession(account.id);
});

export const signOut = openCommand(nothingSchema, async () => {
  const cookie = await sessionCookie();
  if (cookie.token) await run(pool(), "delete from session where token_hash = $1", [tokenHash(cookie.token)]);
  cookie.destroy();
});

/** Takes up an invitation with a new account. */
export const join = openCommand(joinSchema, async (input, act) => {
  const again = await accountOfAct(act);
  if (again) return openSession(again.accountId, again.gardenId);
  const cameIn = await withLink(() =>
    onBehalf({}, async (db) => {
      const invited = await requireInvitation(db, input.key);
      requireUncommon(input.password, [input.name, input.signInName, invited.gardenName]);
      const accountId = await createAccount(db, input);
      const personId = await saveRow(db, "person", invited.gardenId, null, {
        name: input.name,
        role: invited.role,
        account_id: accountId,
      });
      await useInvitation(db, invited, personId);
      const done = { accountId, gardenId: invited.gardenId };
      await noteAct(db, act, done);
      return done;
    }),
  );
  await openSession(cameIn.accountId, cameIn.gardenId);
});

/** Takes up an invitation with the account that is signed in: somebody new here, or one who comes back. */
export const joinSignedIn = openCommand(keySchema, async ({ key }, act) => {
  const entered = await signedIn();
  if (!entered) throw new RefusedError({ room: "people", kind: "sign-in-then-link" }, undefined, 401);
  if (await accountOfAct(act)) return;
  await withLink(() =>
    onBehalf({}, async (db) => {
      const invited = await requireInvitation(db, key);
      const account = await accountById(db, entered.accountId);
      const personId = await returnToGarden(db, invited.gardenId, account, invited.role);
      await useInvitation(db, invited, personId);
      await run(db, "update session set present_garden = $2 where id = $1", [entered.sessionId, invited.gardenId]);
      await noteAct(db, act, { accountId: entered.accountId, gardenId: invited.gardenId });
    }),
  );
});

/**
 * Sets a new password with a link from a keeper, once, and signs the account out everywhere. One use ends all links of
 * the account; whether it is a member of another garden is looked at now, not only when the link was made.
 * @returns whether a code is asked for now: a link does not switch a second factor off
 */
export const resetPassword = openCommand(resetSchema, async ({ key, password }, act) => {
  const again = await accountOfAct(act);
  const accountId = again?.accountId ?? (await withLink(() => setPasswordByLink(key, password, act)));
  const asksCode = await hasFactor(pool(), accountId);
  if (!asksCode) await openSession(accountId);
  return { asksCode };
});

async function setPasswordByLink(key: string, password: string, act: string): Promise<number> {
  return onBehalf({}, async (db) => {
    const reset = await resetOf(db, key);
    if (!reset) throw new RefusedError({ room: "people", kind: "reset-closed" }, undefined, 404);
    requireUncommon(password, reset.names);
    const { accountId, gardenId, id } = reset;
    await run(db, "update reset_link set used_at = now() where garden_id = $1 and id = $2", [gardenId, id]);
    await run(db, "update account set password_hash = $2, links_void_at = clock_timestamp() where id = $1", [
      accountId,
      await passwordHash(password),
    ]);
    await run(db, "delete from session where account_id = $1", [accountId]);
    await noteAccess(accountId, "password-reset", db);
    await noteAct(db, act, { accountId, gardenId });
    return accountId;
  });
}

/** The first start: the first account and its garden. Closed as soon as there is an account. */
export const firstStart = openCommand(firstStartSchema, async (input, act) => {
  const again = await accountOfAct(act);
  if (again) return openSession(again.accountId);
  requireUncommon(input.password, [input.name, input.signInName, input.gardenName]);
  const accountId = await onBehalf({}, async (db) => {
    await run(db, "lock table account in exclusive mode");
    if (await hasAccounts(db)) throw new RefusedError({ room: "people", kind: "has-first-account" }, undefined, 403);
    const id = await createAccount(db, input);
    const gardenId = await createOwnGarden(db, id, input.name, input);
    await actAs(db, { gardenId, accountId: id });
    await noteAct(db, act, { accountId: id, gardenId });
    return id;
  });
  await openSession(accountId);
});

/** Makes a garden for an account that is signed in and a member of no garden: its last one was removed, or it had to leave. */
export const makeFirstGarden = openCommand(newGardenSchema, async (input) => {
  const entered = await signedIn();
  if (!entered) throw new RefusedError({ room: "people", kind: "sign-in-first" }, undefined, 401);
  await onBehalf({ accountId: entered.accountId }, async (db) => {
    const home = await maybeOne(db, "select 1 from account where id = $1 and gardens > 0 for update", [
      entered.accountId,
    ]);
    if (home) throw new RefusedError({ room: "people", kind: "in-garden-already" }, undefined, 409);
    const account = await accountById(db, entered.accountId);
    await createOwnGarden(db, account.id, account.name, input);
  });
});

/** A link is looked up first, and only failures count, by the address they come from: nobody's junk shuts another's link. */
async function withLink<Value>(work: () => Promise<Value>): Promise<Value> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof RefusedError && error.status === 404)
      await tryAccess(`link from ${addressKey(await callerAddress())}`);
    throw error;
  }
}
