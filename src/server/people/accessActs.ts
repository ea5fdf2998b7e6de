import { type Db, maybeOne, pool, run } from "../db/pool";
import { tokenHash } from "../session/token";

/** So long an answer that was lost on the way is given again to whoever holds the act's id. */
const MINUTES = 15;

/** Who came in by this very act a moment ago. */
export interface ActAccount {
  readonly accountId: number;
  readonly gardenId: number | null;
}

/** Whether this was done already under the same id: before signing in there is no session yet that could say so. */
export function accountOfAct(act: string): Promise<ActAccount | null> {
  return maybeOne<ActAccount & Record<string, unknown>>(
    pool(),
    `select account_id as "accountId", present_garden as "gardenId" from access_act
      where id_hash = $1 and at > now() - make_interval(mins => $2)`,
    [tokenHash(act), MINUTES],
  );
}

/** Keeps the act, in the transaction that does it; the id alone as a hash, since it opens a session for a while. */
export async function noteAct(db: Db, act: string, { accountId, gardenId }: ActAccount): Promise<void> {
  await run(db, "delete from access_act where at < now() - make_interval(mins => $1)", [MINUTES]);
  await run(db, "insert into access_act (id_hash, account_id, present_garden) values ($1, $2, $3)", [
    tokenHash(act),
    accountId,
    gardenId,
  ]);
}
