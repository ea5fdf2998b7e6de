import { headers } from "next/headers";
import { type Db, many, pool, run } from "../db/pool";

export type AccessEventKind =
  | "signed-in"
  | "password-changed"
  | "password-reset"
  | "password-by-machine"
  | "factor-on"
  | "factor-off"
  | "factor-off-by-machine"
  | "recovery-code-used";

/** A sign-in, or a change of what lets somebody in: whose account, when, from where. */
export interface AccessEvent {
  readonly id: number;
  readonly kind: AccessEventKind;
  readonly personName: string;
  readonly at: Date;
  readonly address: string;
  readonly device: "phone" | "computer";
}

/** The address that the server saw; it writes this header itself and lets nobody else do so. */
export async function callerAddress(): Promise<string> {
  return ((await headers()).get("x-seed-round-address") ?? "unknown").slice(0, 64);
}

export async function callerDevice(): Promise<string> {
  return ((await headers()).get("user-agent") ?? "").slice(0, 200);
}

export function deviceOf(userAgent: string): AccessEvent["device"] {
  return /mobi/iu.test(userAgent) ? "phone" : "computer";
}

/** Writes down what this request did about access. */
export async function noteAccess(accountId: number, kind: AccessEventKind, db: Db = pool()): Promise<void> {
  await run(db, "insert into access_event (account_id, kind, address, device) values ($1, $2, $3, $4)", [
    accountId,
    kind,
    await callerAddress(),
    await callerDevice(),
  ]);
}

type EventRow = Omit<AccessEvent, "device"> & { userAgent: string } & Record<string, unknown>;
const EVENT = `access_event.id, kind, access_event.at, access_event.address, access_event.device as "userAgent"`;
const toEvents = (rows: EventRow[]): AccessEvent[] =>
  rows.map(({ userAgent, ...rest }) => ({ ...rest, device: deviceOf(userAgent) }));

/**
 * Sign-ins and changes of access of a garden's members since they joined, the newest first.
 * @param before the id from which on it was shown already
 */
export async function gardenAccessEvents(
  db: Db,
  gardenId: number,
  before: number | null,
  limit: number,
): Promise<AccessEvent[]> {
  return toEvents(
    await many<EventRow>(
      db,
      `select ${EVENT}, person.name as "personName" from person join access_event on access_event.account_id = person.account_id
      where person.garden_id = $1 and access_event.at >= joined_at and (left_at is null or access_event.at <= left_at)
        and ($2::bigint is null or access_event.id < $2)
      order by access_event.id desc limit $3`,
      [gardenId, before, limit],
    ),
  );
}

/** When an account signed in before this session, for its person to compare; null for the first time. */
export async function lastSignIn(db: Db, accountId: number, sessionId: number): Promise<AccessEvent | null> {
  const [last] = toEvents(
    await many<EventRow>(
      db,
      `select ${EVENT}, '' as "personName" from access_event join session on session.id = $2
      where access_event.account_id = $1 and kind = 'signed-in' and access_event.at < session.created_at - interval '1 second'
      order by access_event.id desc limit 1`,
      [accountId, sessionId],
    ),
  );
  return last ?? null;
}
