import { headers } from "next/headers";
import { many, pool, type Db } from "../db/pool";

export type DoorEventKind =
  | "signed-in"
  | "password-changed"
  | "password-reset"
  | "password-by-machine"
  | "factor-on"
  | "factor-off"
  | "factor-off-by-machine"
  | "recovery-code-used";

/** What happened at the door: whose account, when, from where. */
export interface DoorEvent {
  readonly id: number;
  readonly kind: DoorEventKind;
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

export function deviceOf(userAgent: string): DoorEvent["device"] {
  return /mobi/iu.test(userAgent) ? "phone" : "computer";
}

/** Writes down what this request did at the door. */
export async function noteAtDoor(accountId: number, kind: DoorEventKind, db: Db = pool()): Promise<void> {
  await many(db, "insert into door_event (account_id, kind, address, device) values ($1, $2, $3, $4)", [
    accountId,
    kind,
    await callerAddress(),
    await callerDevice(),
  ]);
}

type EventRow = Omit<DoorEvent, "device"> & { userAgent: string } & Record<string, unknown>;
const EVENT = `door_event.id, kind, door_event.at, door_event.address, door_event.device as "userAgent"`;
const told = (rows: EventRow[]): DoorEvent[] =>
  rows.map(({ userAgent, ...rest }) => ({ ...rest, device: deviceOf(userAgent) }));

/**
 * What happened at the door since its people came to a garden, the newest first.
 * @param before the id from which on it was shown already
 */
export async function gardenDoorEvents(
  db: Db,
  gardenId: number,
  before: number | null,
  limit: number,
): Promise<DoorEvent[]> {
  return told(
    await many<EventRow>(
      db,
      `select ${EVENT}, person.name as "personName" from person join door_event on door_event.account_id = person.account_id
      where person.garden_id = $1 and door_event.at >= joined_at and (left_at is null or door_event.at <= left_at)
        and ($2::bigint is null or door_event.id < $2)
      order by door_event.id desc limit $3`,
      [gardenId, before, limit],
    ),
  );
}

/** When an account signed in before this session, for its person to compare; null for the first time. */
export async function lastSignIn(db: Db, accountId: number, sessionId: number): Promise<DoorEvent | null> {
  const [last] = told(
    await many<EventRow>(
      db,
      `select ${EVENT}, '' as "personName" from door_event join session on session.id = $2
      where door_event.account_id = $1 and kind = 'signed-in' and door_event.at < session.created_at - interval '1 second'
      order by door_event.id desc limit 1`,
      [accountId, sessionId],
    ),
  );
  return last ?? null;
}
