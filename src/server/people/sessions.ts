import { type Db, many, pool, run } from "../db/pool";
import { knownBrowser, SESSION_DAYS, sessionCookie } from "../session/cookie";
import { IDLE_DAYS } from "../session/session";
import { newToken, tokenHash } from "../session/token";
import { callerAddress, callerDevice, deviceOf, noteAccess, type AccessEvent } from "./accessEvents";

/** Opens a session for an account, hands its token to the browser, sealed, and remembers that this browser knows the account. */
export async function openSession(accountId: number, gardenId: number | null = null): Promise<void> {
  const token = newToken();
  await run(
    pool(),
    "delete from session where expires_at < now() or last_seen_at < now() - make_interval(days => $1)",
    [IDLE_DAYS],
  );
  await run(
    pool(),
    `insert into session (token_hash, account_id, present_garden, device, address, expires_at)
     values ($1, $2, $3, $4, $5, now() + make_interval(days => $6))`,
    [tokenHash(token), accountId, gardenId, await callerDevice(), await callerAddress(), SESSION_DAYS],
  );
  await noteAccess(accountId, "signed-in");
  const cookie = await sessionCookie();
  cookie.token = token;
  await cookie.save();
  const known = await knownBrowser();
  known.accounts = { ...known.accounts, [accountId]: known.accounts?.[accountId] ?? newToken() };
  await known.save();
}

/** The name under which this browser's tries for an account are counted; null for one that never signed in with it. */
export async function browserKey(accountId: number): Promise<string | null> {
  const name = (await knownBrowser()).accounts?.[accountId];
  return name === undefined ? null : `known:${name}`;
}

export interface OpenSession {
  readonly id: number;
  readonly device: AccessEvent["device"];
  readonly address: string;
  readonly createdAt: Date;
  readonly lastSeenAt: Date;
}

/** Where an account is signed in, the latest first. */
export async function openSessions(db: Db, accountId: number): Promise<OpenSession[]> {
  const rows = await many<Omit<OpenSession, "device"> & { userAgent: string }>(
    db,
    `select id, device as "userAgent", address, created_at as "createdAt", last_seen_at as "lastSeenAt"
       from session where account_id = $1 and expires_at > now() and last_seen_at > now() - make_interval(days => $2)
      order by last_seen_at desc, id desc`,
    [accountId, IDLE_DAYS],
  );
  return rows.map(({ userAgent, ...rest }) => ({ ...rest, device: deviceOf(userAgent) }));
}
