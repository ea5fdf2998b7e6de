import type { Db } from "../db/pool";
import { onBehalf } from "./onBehalf";
import { pageSession, type Session } from "./session";

/** Reads for a page, as the one who asks for it; whoever is not signed in is sent to the door. */
export async function read<Result>(work: (db: Db, who: Session) => Promise<Result>): Promise<Result> {
  const who = await pageSession();
  return onBehalf(who, (db) => work(db, who), { readOnly: true });
}
