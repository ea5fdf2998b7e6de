import type { Role } from "@/core/people/rights";
import { type Db, many, maybeOne, run } from "../db/pool";
import { RefusedError } from "../session/refusal";
import { actAs } from "../session/onBehalf";
import { tokenHash } from "../session/token";

export interface Invited {
  readonly id: number;
  readonly gardenId: number;
  readonly gardenName: string;
  readonly role: Role;
  readonly invitedBy: string;
}

/** What a link in hand may set: the password of an account a member of one garden alone. */
export interface Reset {
  readonly id: number;
  readonly gardenId: number;
  readonly accountId: number;
  /** Which a new password may not be. */
  readonly names: readonly string[];
}

/** A link lives no longer than its maker's right to make it. */
const MAKER_KEEPS = `exists (select from person where person.garden_id = link.garden_id and person.id = link.made_by and role = 'keeper' and left_at is null)`;

/** What a link in hand invites to; from here the transaction works for that garden. Null for a link that opens nothing. */
export async function invitationOf(db: Db, key: string): Promise<Invited | null> {
  const gardenId = await gardenOf(db, "invitation", key);
  if (gardenId === null) return null;
  return maybeOne<Invited & Record<string, unknown>>(
    db,
    `select link.id, link.garden_id as "gardenId", link.role, garden.name as "gardenName", maker.name as "invitedBy"
       from invitation link join garden on garden.id = link.garden_id join person maker on maker.garden_id = garden.id and maker.id = made_by
      where token_hash = $1 and used_at is null and withdrawn_at is null and expires_at > now() and ${MAKER_KEEPS}`,
    [tokenHash(key)],
  );
}

/** The same, for a command. @throws RefusedError in words for whoever holds the link */
export async function requireInvitation(db: Db, key: string): Promise<Invited> {
  const invited = await invitationOf(db, key);
  if (!invited) throw new RefusedError({ room: "people", kind: "invitation-closed" }, undefined, 404);
  return invited;
}

/** Uses up an invitation, once. */
export async function useInvitation(db: Db, invited: Invited, personId: number): Promise<void> {
  const used = await maybeOne(
    db,
    `update invitation link set used_at = now(), used_by = $3
      where garden_id = $1 and id = $2 and used_at is null and withdrawn_at is null and ${MAKER_KEEPS} returning id`,
    [invited.gardenId, invited.id, personId],
  );
  if (!used) throw new RefusedError({ room: "people", kind: "invitation-used" }, undefined, 409);
}

/** A link for a new password that still opens something: not used, not withdrawn, not voided by another one's use. */
const RESET_OPEN = `used_at is null and withdrawn_at is null and expires_at > now() and made_at > account.links_void_at and ${MAKER_KEEPS}`;

/**
 * The account whose password a link may reset; from here the transaction works for its garden, and the account's row is
 * locked, so that it joins no other garden meanwhile. Null for a link that opens nothing, or would open another garden.
 */
export async function resetOf(db: Db, key: string): Promise<Reset | null> {
  const gardenId = await gardenOf(db, "reset_link", key);
  if (gardenId === null) return null;
  const found = await maybeOne<{ id: number; accountId: number; name: string; signInName: string; gardenName: string }>(
    db,
    `select link.id, account.id as "accountId", account.name, sign_in_name as "signInName", garden.name as "gardenName"
       from reset_link link join account on account.id = link.account_id join garden on garden.id = link.garden_id
       join person own on own.garden_id = link.garden_id and own.account_id = account.id and own.left_at is null
      where token_hash = $1 and account.gardens = 1 and ${RESET_OPEN} for update of account`,
    [tokenHash(key)],
  );
  return (
    found && {
      id: found.id,
      gardenId,
      accountId: found.accountId,
      names: [found.name, found.signInName, found.gardenName],
    }
  );
}

/** Which garden a link in hand is for; the transaction works for it from here. */
async function gardenOf(db: Db, table: LinkTable, key: string): Promise<number | null> {
  const hash = tokenHash(key);
  await actAs(db, { tokenHash: hash });
  const found = await maybeOne<{ gardenId: number }>(
    db,
    `select garden_id as "gardenId" from ${table} where token_hash = $1`,
    [hash],
  );
  if (!found) return null;
  await actAs(db, { gardenId: found.gardenId, tokenHash: hash });
  return found.gardenId;
}

/** A link that somebody may still use, for the keepers to see and withdraw. */
export interface OpenLink {
  readonly id: number;
  readonly kind: "invitation" | "reset";
  /** As what somebody is invited. */
  readonly role: Role | null;
  /** Whose password may be set. */
  readonly forName: string | null;
  readonly madeBy: string;
  readonly expiresAt: Date;
}

export function openLinks(db: Db, gardenId: number): Promise<OpenLink[]> {
  return many<OpenLink & Record<string, unknown>>(
    db,
    `select link.id, 'invitation' as kind, link.role, null as "forName", maker.name as "madeBy", expires_at as "expiresAt"
       from invitation link join person maker on maker.garden_id = $1 and maker.id = made_by
      where link.garden_id = $1 and used_at is null and withdrawn_at is null and expires_at > now() and ${MAKER_KEEPS}
     union all
     select link.id, 'reset', null, own.name, maker.name, expires_at
       from reset_link link join account on account.id = link.account_id
       join person own on own.garden_id = $1 and own.account_id = account.id and own.left_at is null
       join person maker on maker.garden_id = $1 and maker.id = made_by
      where link.garden_id = $1 and account.gardens = 1 and ${RESET_OPEN} order by 6, 1`,
    [gardenId],
  );
}

type LinkTable = "invitation" | "reset_link";

/** Ends a link that nobody has used yet. @throws RefusedError when it is used or withdrawn already */
export async function withdrawLink(db: Db, table: LinkTable, gardenId: number, id: number): Promise<void> {
  const withdrawn = await maybeOne(
    db,
    `update ${table} set withdrawn_at = now() where ${STILL_OPEN} and id = $2 returning id`,
    [gardenId, id],
  );
  if (!withdrawn) throw new RefusedError({ room: "people", kind: "link-closed" }, undefined, 404);
}

const STILL_OPEN = "garden_id = $1 and used_at is null and withdrawn_at is null";

/** Ends all links that a member has made: the right to make them has gone. */
export async function withdrawLinksOf(db: Db, gardenId: number, personId: number): Promise<void> {
  for (const table of ["invitation", "reset_link"] satisfies LinkTable[])
    await run(db, `update ${table} set withdrawn_at = now() where ${STILL_OPEN} and made_by = $2`, [
      gardenId,
      personId,
    ]);
}
