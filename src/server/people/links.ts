import type { Role } from "@/core/people/rights";
import { maybeOne, one, type Db } from "../db/pool";
import { RefusedError } from "../session/command";
import { sayForWhom } from "../session/onBehalf";
import { tokenHash } from "../session/token";

export interface Invited {
  readonly id: number;
  readonly gardenId: number;
  readonly gardenName: string;
  readonly role: Role;
  readonly invitedBy: string;
}

/** What a link in hand invites to; from here the transaction works for that garden. Null for a link that opens nothing. */
export async function invitationOf(db: Db, key: string): Promise<Invited | null> {
  const hash = tokenHash(key);
  await sayForWhom(db, { tokenHash: hash });
  const found = await maybeOne<{ id: number; gardenId: number; role: Role; madeBy: number }>(
    db,
    `select id, garden_id as "gardenId", role, made_by as "madeBy" from invitation
      where token_hash = $1 and used_at is null and withdrawn_at is null and expires_at > now()`,
    [hash],
  );
  if (!found) return null;
  await sayForWhom(db, { gardenId: found.gardenId, tokenHash: hash });
  const names = await one<{ gardenName: string; invitedBy: string }>(
    db,
    "The garden",
    `select garden.name as "gardenName", person.name as "invitedBy" from garden join person on person.garden_id = garden.id
      where garden.id = $1 and person.id = $2`,
    [found.gardenId, found.madeBy],
  );
  return { ...found, ...names };
}

/** The same, for a command. @throws RefusedError in words for whoever holds the link */
export async function requireInvitation(db: Db, key: string): Promise<Invited> {
  const invited = await invitationOf(db, key);
  if (!invited)
    throw new RefusedError("This invitation was used, withdrawn or is too old. Ask a keeper for a new one.", undefined, 404); // prettier-ignore
  return invited;
}

/** Uses up an invitation, once. */
export async function useInvitation(db: Db, invited: Invited, personId: number): Promise<void> {
  const used = await maybeOne(
    db,
    `update invitation set used_at = now(), used_by = $3
      where garden_id = $1 and id = $2 and used_at is null and withdrawn_at is null returning id`,
    [invited.gardenId, invited.id, personId],
  );
  if (!used) throw new RefusedError("This invitation was used a moment ago.", undefined, 409);
}

/** The account whose password a link may set anew; null for a link that opens nothing. */
export async function resetOf(
  db: Db,
  key: string,
): Promise<{ id: number; gardenId: number; accountId: number } | null> {
  const hash = tokenHash(key);
  await sayForWhom(db, { tokenHash: hash });
  return maybeOne(
    db,
    `select id, garden_id as "gardenId", account_id as "accountId" from reset_link
      where token_hash = $1 and used_at is null and expires_at > now()`,
    [hash],
  );
}
