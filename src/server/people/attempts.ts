import { isIPv6 } from "node:net";
import { many, pool, run } from "../db/pool";
import { RefusedError } from "../session/refusal";

/** So many failures are free; each one more doubles the wait. */
const FREE = 5;
/** From one address more may be mistaken: a school, a household. */
const FREE_FOR_ADDRESS = 40;
const FIRST_WAIT_S = 5;
const LONGEST_WAIT_S = 900;
const REMEMBERED_HOURS = 24;

/** What is tried, by the names under which its failures are counted. */
export interface Try {
  /** It was right: what failed before under these names is forgotten. */
  fits(): Promise<void>;
  /** It was no try at all: only this one is forgotten. */
  neutral(): Promise<void>;
}

/**
 * Seconds to wait after so many failures.
 * @returns 0 while there are few; then 5 s, doubling up to a quarter of an hour
 */
export function waitS(failures: number, free: number): number {
  return failures < free ? 0 : Math.min(LONGEST_WAIT_S, FIRST_WAIT_S * 2 ** Math.min(20, failures - free));
}

/** The name of an address. A household has a whole range of the newer kind of addresses: its first half counts as one. */
export function addressKey(address: string): string {
  const plain = address.replace(/^::ffff:(?=\d+\.)/u, "");
  if (!isIPv6(plain)) return `address:${plain}`;
  const [head = "", tail] = plain.replace(/%.*$/u, "").split("::");
  const left = head === "" ? [] : head.split(":");
  const right = tail ? tail.split(":") : [];
  const all =
    tail === undefined
      ? left
      : [...left, ...new Array<string>(Math.max(0, 8 - left.length - right.length)).fill("0"), ...right];
  return `address:${all
    .slice(0, 4)
    .map((part) => part.replace(/^0+(?=.)/u, "").toLowerCase())
    .join(":")}`;
}

/**
 * Notes a try as failed before it is judged, so that many at once gain nothing, and refuses it while there is to be waited.
 * A refused one does not count. Failures noted by a clock that ran ahead do not count either.
 *
 * @param keys the names under which a failure counts
 * @throws RefusedError 429 that says how long to wait
 */
export async function tryAccess(...keys: readonly string[]): Promise<Try> {
  const short = keys.map((key) => key.slice(0, 250));
  const own = await many<{ id: number }>(pool(), "insert into attempt (key) select unnest($1::text[]) returning id", [
    short,
  ]);
  const ids = own.map(({ id }) => id);
  const neutral = async () => void (await many(pool(), "delete from attempt where id = any($1::bigint[])", [ids]));
  const failed = await many<{ key: string; failures: number; agoS: number }>(
    pool(),
    `select key, count(*) as failures, extract(epoch from now() - max(at))::double precision as "agoS" from attempt
      where key = any($1::text[]) and id < $2 and at > now() - make_interval(hours => $3) and at <= now() group by key`,
    [short, Math.min(...ids), REMEMBERED_HOURS],
  );
  const left = failed.map(
    ({ key, failures, agoS }) => waitS(failures, key.startsWith("address:") ? FREE_FOR_ADDRESS : FREE) - agoS,
  );
  const longestS = Math.ceil(Math.max(0, ...left));
  if (longestS > 0) {
    await neutral();
    throw new RefusedError({ room: "people", kind: "too-many-tries", waitS: longestS }, undefined, 429);
  }
  return {
    neutral,
    async fits() {
      const others = short.filter((key) => !key.startsWith("address:"));
      await run(
        pool(),
        `delete from attempt where id = any($1::bigint[]) or key = any($2::text[])
            or at < now() - make_interval(hours => $3) or at > now() + interval '1 hour'`,
        [ids, others, REMEMBERED_HOURS],
      );
    },
  };
}
