import { many, type Db } from "../db/pool";

type Row = Readonly<Record<string, unknown>>;

/** One row changed. */
export interface Change {
  readonly id: number;
  readonly act: string;
  readonly undoes: string | null;
  readonly at: Date;
  readonly personName: string | null;
  readonly table: string;
  readonly key: Row;
  readonly before: Row | null;
  readonly after: Row | null;
  /** Whether a later act undid this one. */
  readonly undone: boolean;
}

export interface ChangeFilter {
  readonly personId: number | null;
  readonly batchId: number | null;
  readonly houseId: number | null;
  readonly standId: number | null;
  readonly loopId: number | null;
  readonly before: number | null;
  readonly limit: number;
}

const CHANGE = `change.id, change.act, change.undoes, change.at, person.name as "personName", table_name as "table", row_key as key,
  change.before, change.after, exists (select 1 from change later where later.garden_id = $1 and later.undoes = change.act) as undone`;

/**
 * What was changed, the newest first; all of it, or what touches a person, a batch, a house, a stand or a loop. Rows of a
 * what-if that is added or removed as a whole are left out beside it.
 */
export function changes(db: Db, gardenId: number, filter: ChangeFilter): Promise<Change[]> {
  return many<Change & Record<string, unknown>>(
    db,
    `select ${CHANGE}
       from change left join person on person.id = change.person_id
            cross join lateral (select coalesce(change.after, change.before) as it) row
      where change.garden_id = $1
        and ($2::integer is null or change.person_id = $2)
        and ($3::integer is null or (table_name = 'batch' and it -> 'id' = to_jsonb($3)) or it -> 'batch_id' = to_jsonb($3))
        and ($4::integer is null or (table_name = 'house' and it -> 'id' = to_jsonb($4)) or it -> 'house_id' = to_jsonb($4))
        and ($5::integer is null or (table_name = 'stand' and it -> 'id' = to_jsonb($5)))
        and ($6::integer is null or (table_name = 'loop' and it -> 'id' = to_jsonb($6)) or it -> 'loop_id' = to_jsonb($6))
        and ($7::bigint is null or change.id < $7)
        and (table_name <> 'change_set_row' or not exists (
              select 1 from change whole
               where whole.garden_id = $1 and whole.act = change.act and whole.table_name = 'change_set'))
      order by change.id desc limit $8`,
    [
      gardenId,
      filter.personId,
      filter.batchId,
      filter.houseId,
      filter.standId,
      filter.loopId,
      filter.before,
      filter.limit,
    ],
  );
}

/** All changes of one act. */
export function changesOfAct(db: Db, gardenId: number, act: string): Promise<Change[]> {
  return many<Change & Record<string, unknown>>(
    db,
    `select ${CHANGE} from change left join person on person.id = change.person_id
      where change.garden_id = $1 and change.act = $2 order by change.id`,
    [gardenId, act],
  );
}

let days: Promise<ReadonlySet<string>> | undefined;

/** The columns of type date, as "table.column", as the database itself says; asked once. */
export async function dayColumns(db: Db): Promise<ReadonlySet<string>> {
  days ??= many<{ name: string }>(
    db,
    `select table_name || '.' || column_name as name from information_schema.columns
      where table_schema = 'public' and data_type = 'date'`,
  ).then((rows) => new Set(rows.map(({ name }) => name)));
  return days.catch((error: unknown) => {
    days = undefined;
    throw error;
  });
}
