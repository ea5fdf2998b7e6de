import { AsyncLocalStorage } from "node:async_hooks";
import { cache } from "react";
import type { Db } from "../db/pool";
import { onBehalf } from "./onBehalf";
import { cachedAt } from "./cachedAt";
import { pageSession, type Session } from "./session";

/** The end of what this request reads so far. */
const line = cache(() => ({ last: Promise.resolve() as Promise<unknown> }));
const inside = new AsyncLocalStorage<Db>();

/**
 * Reads for a page, as the one who asks for it; whoever is not signed in is sent to sign in. The parts of a page are made
 * beside one another, but read one after the other: a page holds one connection at a time.
 */
export async function read<Result>(work: (db: Db, who: Session) => Promise<Result>): Promise<Result> {
  const who = await pageSession();
  const db = inside.getStore();
  if (db) return work(db, who);
  const queue = line();
  const turn = queue.last.then(() => onBehalf(who, (on) => inside.run(on, () => work(on, who)), { readOnly: true }));
  queue.last = turn.catch(() => undefined);
  return turn;
}

/**
 * The same for what hangs on nothing but what hands change in the garden: it is read again only when the garden has moved.
 * Not for readings of meters, sessions, links that run out by the clock.
 *
 * @param name tells apart what is kept, with all that the reading hangs on
 */
export async function readCached<Result>(
  name: string,
  work: (db: Db, who: Session) => Promise<Result>,
): Promise<Result> {
  const who = await pageSession();
  return cachedAt(`${who.gardenId} ${name}`, `${who.moved.base} ${who.moved.whole} ${who.today}`, () => read(work));
}
