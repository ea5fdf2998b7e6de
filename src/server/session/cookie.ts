import { getIronSession } from "iron-session";
import { cookies, headers } from "next/headers";

export const SESSION_COOKIE = "seed_round";
export const SESSION_DAYS = 60;
const LEAST_SECRET = 32;

/**
 * The sealed cookie of this request. It holds a random token and nothing else; who that is stands in the table of
 * sessions, where it can be seen and ended.
 */
export async function sessionCookie() {
  const secure = (await headers()).get("x-forwarded-proto") === "https";
  return getIronSession<{ token?: string }>(await cookies(), {
    cookieName: SESSION_COOKIE,
    password: secret(),
    ttl: SESSION_DAYS * 86_400,
    cookieOptions: { httpOnly: true, sameSite: "lax", path: "/", secure },
  });
}

function secret(): string {
  const kept = process.env.SEED_ROUND_SECRET;
  if (!kept || kept.length < LEAST_SECRET)
    throw new Error("SEED_ROUND_SECRET is not set; the start command makes one and keeps it in the data folder.");
  return kept;
}
