import { createHmac } from "node:crypto";
import { getIronSession, sealData, unsealData } from "iron-session";
import { cookies, headers } from "next/headers";

export const SESSION_DAYS = 60;
/** How long a browser is known after it signed in. */
const KNOWN_DAYS = 400;
const LEAST_SECRET = 32;
const SECONDS_A_DAY = 86_400;

/**
 * The sealed cookie of this request. It holds a random token and nothing else; who that is stands in the table of
 * sessions, where it can be seen and ended.
 */
export async function sessionCookie() {
  return getIronSession<{ token?: string }>(await cookies(), {
    cookieName: await nameOf("seed_round"),
    password: secret(),
    ttl: SESSION_DAYS * SECONDS_A_DAY,
    cookieOptions: await options(),
  });
}

/**
 * Which accounts have signed in with this browser, each with a name of its own for the browser: under that name its
 * tries are counted, so that nobody else's failures lock it out.
 */
export async function knownBrowser(): Promise<{ accounts?: Record<string, string>; save(): Promise<void> }> {
  return getIronSession<{ accounts?: Record<string, string> }>(await cookies(), {
    cookieName: await nameOf("seed_round_known"),
    password: secret(),
    ttl: KNOWN_DAYS * SECONDS_A_DAY,
    cookieOptions: await options(),
  });
}

/** Under TLS the browser itself sees to it that no other site or plain connection sets the cookie: `__Host-`. */
async function nameOf(name: string): Promise<string> {
  return (await underTls()) ? `__Host-${name}` : name;
}

async function options() {
  return { httpOnly: true, sameSite: "lax", path: "/", secure: await underTls() } as const;
}

async function underTls(): Promise<boolean> {
  return (await headers()).get("x-forwarded-proto") === "https";
}

/** Seals a value for the table; it opens with this installation's secret alone. */
export function seal(value: unknown, password = secret()): Promise<string> {
  return sealData({ value }, { password, ttl: 0 });
}

/** @returns null for what does not open, or was sealed with a secret that is gone */
export async function unseal<Value>(sealed: string, password = secret()): Promise<Value | null> {
  const { value } = await unsealData<{ value?: Value }>(sealed, { password, ttl: 0 });
  return value ?? null;
}

/** A hash that tells the same text again, and says nothing to whoever has not the secret: the text may hold a password. */
export function keyedHash(text: string): Buffer {
  return createHmac("sha256", secret()).update(text).digest();
}

function secret(): string {
  const kept = process.env.SEED_ROUND_SECRET;
  if (!kept || kept.length < LEAST_SECRET)
    throw new Error("SEED_ROUND_SECRET is not set; the start command makes one and keeps it in the data folder.");
  return kept;
}
