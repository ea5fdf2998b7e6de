import { many, one, pool } from "../db/pool";
import { RefusedError } from "../session/command";

const WINDOW_MINUTES = 15;
const MOST_PER_NAME = 8;
const MOST_PER_ADDRESS = 40;
const KEPT_DAYS = 2;

/**
 * Notes a try at the door and refuses it when there were too many, from one address or for one name. It is written down
 * before it is judged, so that many at once gain nothing. Tries from a clock that ran ahead do not count.
 */
export async function countAttempt(address: string, signInName: string): Promise<void> {
  await many(pool(), "insert into sign_in_attempt (address, sign_in_name) values ($1, $2)", [address, signInName]);
  const tries = await one<{ byName: number; byAddress: number }>(
    pool(),
    "The count",
    `select count(*) filter (where sign_in_name = $2) as "byName", count(*) filter (where address = $1) as "byAddress"
       from sign_in_attempt
      where (sign_in_name = $2 or address = $1) and at > now() - make_interval(mins => $3) and at <= now()`,
    [address, signInName, WINDOW_MINUTES],
  );
  if (tries.byName > MOST_PER_NAME || tries.byAddress > MOST_PER_ADDRESS)
    throw new RefusedError(`Too many tries. Wait ${WINDOW_MINUTES} minutes, then try again.`, undefined, 429);
}

/** Forgets the tries for a name once it got in, and all that are old. */
export async function forgetAttempts(address: string, signInName: string): Promise<void> {
  await many(
    pool(),
    `delete from sign_in_attempt
      where (sign_in_name = $2 and address = $1) or at < now() - make_interval(days => $3) or at > now() + interval '1 hour'`,
    [address, signInName, KEPT_DAYS],
  );
}
