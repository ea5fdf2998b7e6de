import type { Effect } from "@/core/garden/effects";
import type { Correction, Logged, LogKind } from "@/core/round/log";
import { isoFromDay, type Day } from "@/core/units/day";
import { one, type Db } from "../db/pool";
import { now } from "../session/clock";
import type { Session } from "../session/session";

export interface NewEntry {
  /** Of a correction: the kind of the entry that it corrects. */
  readonly kind: LogKind;
  readonly what: Logged | Correction;
  readonly day?: Day;
  readonly itemKey?: string | null;
  readonly loopId?: number | null;
  readonly batchId?: number | null;
  readonly note: string;
  readonly correctsId?: number;
}

/** Writes the log: who, when and what. @returns the entry's id */
export async function writeEntry(db: Db, who: Session, entry: NewEntry): Promise<number> {
  const row = await one<{ id: number }>(
    db,
    "log",
    `insert into log_entry (garden_id, person_id, at, day, kind, item_key, loop_id, batch_id, what, note, corrects_id)
     values ($1, $2, $3, $4::date, $5, $6, $7, $8, $9, $10, $11) returning id`,
    [
      who.gardenId,
      who.personId,
      now(),
      isoFromDay(entry.day ?? who.today),
      entry.kind,
      entry.itemKey ?? null,
      entry.loopId ?? null,
      entry.batchId ?? null,
      JSON.stringify(entry.what),
      entry.note,
      entry.correctsId ?? null,
    ],
  );
  return row.id;
}

/** Keeps with an entry what it changed, so that undo reverts exactly that. */
export async function keepEffects(db: Db, who: Session, entryId: number, effects: readonly Effect[]): Promise<void> {
  await one(db, "entry", "update log_entry set effects = $3 where garden_id = $1 and id = $2 returning id", [
    who.gardenId,
    entryId,
    JSON.stringify(effects),
  ]);
}
