import { isoFromDay } from "@/core/units/day";
import { one, type Db } from "../db/pool";
import { now } from "../session/clock";
import type { Session } from "../session/session";

export interface NewEntry {
  readonly kind: string;
  readonly day?: number;
  readonly itemKey: string | null;
  readonly place: string;
  readonly title: string;
  readonly loopId: number | null;
  readonly batchId: number | null;
  readonly planned: Readonly<Record<string, unknown>>;
  readonly actual: Readonly<Record<string, unknown>>;
  readonly note: string;
  readonly correctsId?: number;
}

/** Writes the log: who, when, what was planned and what was really done. @returns the entry's id */
export async function writeEntry(db: Db, who: Session, entry: NewEntry): Promise<number> {
  const row = await one<{ id: number }>(
    db,
    "The log",
    `insert into log_entry (garden_id, person_id, at, day, kind, item_key, place, title, loop_id, batch_id, planned, actual, note, corrects_id)
     values ($1, $2, $3, $4::date, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14) returning id`,
    [
      who.gardenId, who.personId, now(), isoFromDay(entry.day ?? who.today), entry.kind, entry.itemKey, entry.place, entry.title,
      entry.loopId, entry.batchId, JSON.stringify(entry.planned), JSON.stringify(entry.actual), entry.note, entry.correctsId ?? null,
    ], // prettier-ignore
  );
  return row.id;
}
