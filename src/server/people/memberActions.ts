"use server";
import { maybeOne, one, run } from "../db/pool";
import { refuseStale, saveRow } from "../db/save";
import { RefusedError } from "../session/refusal";
import { command } from "../session/command";
import { newToken, tokenHash } from "../session/token";
import { removeSchema } from "../place/schema";
import type { Db } from "../db/pool";
import { invitationSchema, roleSchema } from "./accessSchema";
import { withdrawLink, withdrawLinksOf } from "./links";

const RESET_HOURS = 24;
const PASSWORD_AGAIN = { confirm: true } as const;
const PASSWORD_AGAIN_SECRET = { confirm: true, secret: true } as const;

/** Makes a one-time link that lets one person in. @returns its key, shown once and kept nowhere */
export const invite = command(
  "keep",
  invitationSchema,
  async (db, { role, days }, who) => {
    const key = newToken();
    await run(
      db,
      `insert into invitation (garden_id, token_hash, role, made_by, expires_at)
     values ($1, $2, $3, $4, now() + make_interval(days => $5))`,
      [who.gardenId, tokenHash(key), role, who.personId, days],
    );
    return key;
  },
  PASSWORD_AGAIN_SECRET,
);

export const withdrawInvitation = command("keep", removeSchema, (db, { id }, who) =>
  withdrawLink(db, "invitation", who.gardenId, id),
);

export const withdrawResetLink = command("keep", removeSchema, (db, { id }, who) =>
  withdrawLink(db, "reset_link", who.gardenId, id),
);

export const setRole = command(
  "keep",
  roleSchema,
  async (db, { id, version, role }, who) => {
    await refuseStale(db, "person", { garden_id: who.gardenId, id }, version);
    await saveRow(db, "person", who.gardenId, id, { role });
    if (role !== "keeper") await withdrawLinksOf(db, who.gardenId, id);
    await requireKeeper(db, who.gardenId);
  },
  PASSWORD_AGAIN,
);

/** Ends a membership. What the person did stays in the log under the name; with an invitation the account can return to it. */
export const endMembership = command(
  "keep",
  removeSchema,
  async (db, { id }, who) => {
    const left = await maybeOne(
      db,
      `update person set left_at = now() where garden_id = $1 and id = $2 and left_at is null returning id`,
      [who.gardenId, id],
    );
    if (!left) throw new RefusedError({ room: "people", kind: "member-left" }, undefined, 404);
    await withdrawLinksOf(db, who.gardenId, id);
    await requireKeeper(db, who.gardenId);
  },
  PASSWORD_AGAIN,
);

/**
 * Makes a link with which a member sets a new password. Whoever holds it gets into every garden of that account, so it
 * is made only for one that is a member of this garden alone.
 * @returns its key, shown once
 */
export const makeResetLink = command(
  "keep",
  removeSchema,
  async (db, { id }, who) => {
    const account = await maybeOne<{ id: number; gardens: number }>(
      db,
      `select account.id, account.gardens from person join account on account.id = person.account_id
      where person.garden_id = $1 and person.id = $2 and person.left_at is null`,
      [who.gardenId, id],
    );
    if (!account) throw new RefusedError({ room: "people", kind: "member-without-account" }, undefined, 404);
    if (account.gardens > 1) throw new RefusedError({ room: "people", kind: "account-elsewhere" });
    const key = newToken();
    await run(
      db,
      `insert into reset_link (garden_id, account_id, token_hash, made_by, expires_at)
     values ($1, $2, $3, $4, now() + make_interval(hours => $5))`,
      [who.gardenId, account.id, tokenHash(key), who.personId, RESET_HOURS],
    );
    return key;
  },
  PASSWORD_AGAIN_SECRET,
);

/** A garden without a keeper could never be opened to anybody again. */
async function requireKeeper(db: Db, gardenId: number): Promise<void> {
  const { keepers } = await one<{ keepers: number }>(
    db,
    "garden",
    `select count(*) as keepers from person where garden_id = $1 and role = 'keeper' and left_at is null and account_id is not null`,
    [gardenId],
  );
  if (keepers === 0) throw new RefusedError({ room: "people", kind: "last-keeper" });
}
