import type { Day } from "@/core/units/day";
import { many, type Db } from "../db/pool";

export interface LogEntry {
  readonly id: number;
  readonly at: Date;
  readonly day: Day;
  readonly kind: string;
  readonly itemKey: string | null;
  readonly place: string;
  readonly title: string;
  readonly loopId: number | null;
  readonly batchId: number | null;
  readonly planned: Readonly<Record<string, unknown>>;
  readonly actual: Readonly<Record<string, unknown>>;
  readonly note: string;
  readonly correctsId: number | null;
  readonly undoneAt: Date | null;
  readonly personName: string;
}

export interface LogFilter {
  readonly from: Day;
  readonly to: Day;
  readonly kind: string | null;
  readonly search: string | null;
  readonly limit: number;
}

const ENTRY = `entry.id, entry.at, entry.day, entry.kind, entry.item_key as "itemKey", entry.place, entry.title,
  entry.loop_id as "loopId", entry.batch_id as "batchId", entry.planned, entry.actual, entry.note,
  entry.corrects_id as "correctsId", entry.undone_at as "undoneAt", person.name as "personName"`;

/** Log entries, newest first; words are looked for in title, place, note and name. */
export function logEntries(db: Db, gardenId: number, filter: LogFilter): Promise<LogEntry[]> {
  return many<LogEntry>(
    db,
    `select ${ENTRY} from log_entry entry join person on person.id = entry.person_id
      where entry.garden_id = $1
        and entry.day between date '1970-01-01' + $2::integer and date '1970-01-01' + $3::integer
        and ($4::text is null or entry.kind = $4)
        and ($5::text is null or position(lower($5) in lower(entry.title || ' ' || entry.place || ' ' || entry.note || ' ' || person.name)) > 0)
      order by entry.day desc, entry.at desc, entry.id desc limit $6`,
    [gardenId, filter.from, filter.to, filter.kind, filter.search, filter.limit],
  );
}

/** What was done or skipped today, and every pick, wash and order of the last days: not asked for again. */
export async function settledKeys(db: Db, gardenId: number, day: Day, rollOverDays: number): Promise<Set<string>> {
  const rows = await many<{ key: string }>(
    db,
    `select item_key as key from log_entry
      where garden_id = $1 and undone_at is null and item_key is not null
        and (day = date '1970-01-01' + $2::integer
             or (kind in ('pick', 'wash', 'order') and day between date '1970-01-01' + $2::integer - $3::integer and date '1970-01-01' + $2::integer))`,
    [gardenId, day, rollOverDays],
  );
  return new Set(rows.map((row) => row.key));
}
