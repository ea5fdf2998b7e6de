import { randomUUID } from "node:crypto";
import { type Db, pool, run } from "../db/pool";
import { now } from "./clock";

/** For whom a piece of work is done. Row-level security lets it see and change that garden and no other. */
export interface OnBehalf {
  readonly gardenId?: number;
  readonly personId?: number;
  readonly accountId?: number;
  /** A link somebody holds in hand, as the hash of its token. */
  readonly tokenHash?: Buffer;
  /** Under which id the history keeps what is changed; a new one unless given. */
  readonly act?: string;
}

/**
 * Runs a piece of work in one transaction for one garden and person: all of it is kept, or none, and no row of another
 * garden is seen or touched. The only way from a request to the database.
 */
export async function onBehalf<Result>(
  who: OnBehalf,
  work: (db: Db, act: string) => Promise<Result>,
  { readOnly = false }: { readonly readOnly?: boolean } = {},
): Promise<Result> {
  const client = await pool().connect();
  let broken: Error | undefined;
  try {
    await client.query(readOnly ? "begin isolation level repeatable read read only" : "begin");
    const act = await actAs(client, who);
    const result = await work(client, act);
    await client.query("commit");
    return result;
  } catch (error) {
    await client.query("rollback").catch((reason: Error) => (broken = reason));
    throw error;
  } finally {
    client.release(broken);
  }
}

/**
 * Changes for whom the rest of a transaction works: a link was read, a garden has just been made.
 * @returns the act under which the history keeps what is changed from here on
 */
export async function actAs(db: Db, who: OnBehalf): Promise<string> {
  const act = who.act ?? randomUUID();
  await run(
    db,
    `select set_config('seed_round.garden', $1, true), set_config('seed_round.person', $2, true),
            set_config('seed_round.account', $3, true), set_config('seed_round.token', $4, true),
            set_config('seed_round.act', $5, true), set_config('seed_round.at', $6, true)`,
    [
      text(who.gardenId),
      text(who.personId),
      text(who.accountId),
      who.tokenHash?.toString("hex") ?? "",
      act,
      now().toISOString(),
    ],
  );
  return act;
}

function text(id: number | undefined): string {
  return id === undefined ? "" : String(id);
}
