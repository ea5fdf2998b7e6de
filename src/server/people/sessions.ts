import { headers } from "next/headers";
import { many, pool, type Db } from "../db/pool";
import { SESSION_DAYS, sessionCookie } from "../session/cookie";
import { newToken, tokenHash } from "../session/token";

/** The address that the server saw; it writes this header itself and lets nobody else do so. */
export async function callerAddress(): Promise<string> {
  return ((await headers()).get("x-seed-round-address") ?? "unknown").slice(0, 64);
}

/** Opens a session for an account and hands its token to the browser, sealed. */
export async function openSession(accountId: number, gardenId: number | null = null): Promise<void> {
  const token = newToken();
  const device = ((await headers()).get("user-agent") ?? "").slice(0, 200);
  await many(pool(), "delete from session where expires_at < now()");
  await many(
    pool(),
    `insert into session (token_hash, account_id, present_garden, device, address, expires_at)
     values ($1, $2, $3, $4, $5, now() + make_interval(days => $6))`,
    [tokenHash(token), accountId, gardenId, device, await callerAddress(), SESSION_DAYS],
  );
  const cookie = await sessionCookie();
  cookie.token = token;
  await cookie.save();
}

export interface OpenSession {
  readonly id: number;
  readonly device: "phone" | "computer";
  readonly address: string;
  readonly createdAt: Date;
  readonly lastSeenAt: Date;
}

/** Where an account is signed in, the latest first. */
export async function openSessions(db: Db, accountId: number): Promise<OpenSession[]> {
  const rows = await many<Omit<OpenSession, "device"> & { userAgent: string }>(
    db,
    `select id, device as "userAgent", address, created_at as "createdAt", last_seen_at as "lastSeenAt"
       from session where account_id = $1 and expires_at > now() order by last_seen_at desc, id desc`,
    [accountId],
  );
  return rows.map(({ userAgent, ...rest }) => ({ ...rest, device: /mobi/iu.test(userAgent) ? "phone" : "computer" }));
}
