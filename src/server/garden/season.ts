import { cache } from "react";
import { NO_FACTS, type Facts } from "@/core/garden/facts";
import type { Worked } from "@/core/garden/worked";
import { workOut } from "@/core/garden/workOut";
import { gardenOf } from "@/core/garden/gardenOf";
import type { Db } from "../db/pool";
import { ecPairs } from "../round/queries";
import { cachedAt } from "../session/cachedAt";
import { read } from "../session/read";
import { pageSession, type Session } from "../session/session";
import { gardenRows } from "./gardenRows";
import { gardenRevision, gardenSite } from "./tables";
import { whatIfHead } from "./whatIf/head";
import { whatIfTables } from "./whatIf/store";

/**
 * A garden worked out for whoever asks; of facts only how its fresh feeds have read, which all that is weighed hangs on. The
 * others are asked for where they are needed.
 */
export interface Season extends Worked {
  readonly who: Session;
}

/**
 * The season of this request's garden. It is worked out again after a change of the garden and on a new day, and kept in
 * between: all pages of all people who only look share it.
 */
export const season = cache(async (): Promise<Season> => {
  const who = await pageSession();
  // A page of a what-if that is gone is sent on before anything of it is read.
  if (who.whatIf !== null) await whatIfHead();
  return keptSeason(who, read);
});

/** The same for a route, in a transaction that only reads: one that writes may still be rolled back. */
export function seasonToRead(db: Db, who: Session): Promise<Season> {
  return keptSeason(who, (work) => work(db, who));
}

type Reading = <Value>(work: (db: Db, who: Session) => Promise<Value>) => Promise<Value>;

async function keptSeason(who: Session, reading: Reading): Promise<Season> {
  const { base, whole } = who.moved;
  const found = await keptPlan(who, reading);
  const pairs = await cachedAt(`${who.gardenId} fresh feeds`, `${base} ${whole}`, () =>
    reading((db) => ecPairs(db, who.gardenId)),
  );
  return withFeeds(found, pairs, who);
}

/** Its feeds go by how they have read; all else is shared with the plan that was worked out. */
function withFeeds(found: Season, pairs: Facts["ecPairs"], who: Session): Season {
  return pairs.length === 0
    ? forWhom(found, who)
    : forWhom(workOut(found.garden, { ...NO_FACTS, ecPairs: pairs }, found.today), who);
}

async function keptPlan(who: Session, reading: Reading): Promise<Season> {
  const { base, revision, whole } = who.moved;
  if (who.whatIf !== null) {
    const { whatIf } = who;
    const at = `${base} ${whole} ${who.today}`;
    return forWhom(await cachedAt(`${who.gardenId} what-if ${whatIf}`, at, () => reading(whatIfSeason)), who);
  }
  const found = await cachedAt(`${who.gardenId} season`, `${base} ${revision} ${who.today}`, () =>
    reading(freshSeason),
  );
  return forWhom(found, who);
}

/** The season as a command finds it, before it writes: its own transaction may see more than the request began with. */
export async function seasonFor(db: Db, who: Session): Promise<Season> {
  // What is only supposed is looked at, not acted on.
  if (who.whatIf !== null) return seasonToRead(db, who);
  if ((await gardenRevision(db, who.gardenId)).count === who.moved.revision) return seasonToRead(db, who);
  return withFeeds(await freshSeason(db, who), await ecPairs(db, who.gardenId), who);
}

async function whatIfSeason(db: Db, who: Session): Promise<Season> {
  const tables = await whatIfTables(db, who, who.whatIf!);
  const garden = gardenOf(tables, await gardenSite(db, who.gardenId));
  return forWhom(workOut(garden, NO_FACTS, who.today), who);
}

async function freshSeason(db: Db, who: Session): Promise<Season> {
  return forWhom(workOut(await gardenRows(db, who.gardenId), NO_FACTS, who.today), who);
}

/** The same worked garden, its parts still unmade, in the hands of whoever asks. */
export function forWhom(worked: Worked, who: Session): Season {
  return Object.create(worked, { who: { value: who, enumerable: true } }) as Season;
}
