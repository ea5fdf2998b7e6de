import type {
  AcidPair,
  CalibrationFact,
  CatchCanFact,
  LoopEcPair,
  MixFact,
  SolutionChange,
  Picked,
  TankState,
} from "@/core/garden/facts";
import type { LogEntry, LogKind } from "@/core/round/log";
import type { Day } from "@/core/units/day";
import { many, maybeOne, type Db } from "../db/pool";

export interface LogFilter {
  readonly from: Day;
  readonly to: Day;
  readonly kind: LogKind | null;
  readonly search: string | null;
  readonly limit: number;
}

/** The slip of a reading, as it was worked out when the reading was entered or put right. */
export const SLIP_OF_READING = `coalesce(
  (select nullif(correction.what -> 'slip', 'null') from log_entry correction
    where correction.garden_id = entry.garden_id and correction.corrects_id = entry.id and correction.what -> 'slip' <> 'null'
    order by correction.id desc limit 1),
  nullif(entry.what -> 'slip', 'null'))`;

/** What of an entry is looked through for words: all its texts. */
const TEXTS = `concat_ws(' ', entry.kind, entry.note, person.name,
  (select string_agg(part #>> '{}', ' ') from jsonb_path_query(entry.what - '{slip,steps}'::text[], 'strict $.**') part
    where jsonb_typeof(part) = 'string'))`;

const ENTRY = `entry.id, entry.at, entry.day, entry.kind, entry.item_key as "itemKey",
  entry.loop_id as "loopId", entry.batch_id as "batchId", entry.what, entry.note,
  entry.corrects_id as "correctsId", entry.undone_at as "undoneAt", person.name as "personName",
  case when entry.kind = 'reading' and entry.corrects_id is null then ${SLIP_OF_READING} end as slip`;

/** Log entries, newest first; each word that is looked for is in what was done, in the note or in the name. */
export function logEntries(db: Db, gardenId: number, filter: LogFilter): Promise<LogEntry[]> {
  return many<LogEntry>(
    db,
    `select ${ENTRY} from log_entry entry join person on person.id = entry.person_id
      where entry.garden_id = $1
        and entry.day between date '1970-01-01' + $2::integer and date '1970-01-01' + $3::integer
        and ($4::text is null or entry.kind = $4)
        and ($5::text is null or not exists (
              select from regexp_split_to_table(lower($5), '\\s+') word where position(word in lower(${TEXTS})) = 0))
      order by entry.day desc, entry.at desc, entry.id desc limit $6`,
    [gardenId, filter.from, filter.to, filter.kind, filter.search, filter.limit],
  );
}

/** One entry of the log. */
export function entryById(db: Db, gardenId: number, id: number): Promise<LogEntry | null> {
  return maybeOne<LogEntry>(
    db,
    `select ${ENTRY} from log_entry entry join person on person.id = entry.person_id
      where entry.garden_id = $1 and entry.id = $2`,
    [gardenId, id],
  );
}

/** Every tank that has been read, with its slip's verdict and the dose that followed. */
export function tankStates(db: Db, gardenId: number): Promise<TankState[]> {
  return many<TankState>(
    db,
    `select loop.id as "loopId", reading.id as "readingId", reading.day as "readingDay", reading.slip ->> 'verdict' as verdict,
            exists (select from log_entry skip where skip.garden_id = $1 and skip.item_key = 'bring-back:' || reading.id
                                                 and skip.kind = 'skip' and skip.undone_at is null) as "skipped",
            dose.id as "doseId", dose.at as "doseAt", dose.day as "doseDay"
       from loop
      cross join lateral (
        select entry.id, entry.at, entry.day, ${SLIP_OF_READING} as slip from log_entry entry
         where entry.garden_id = $1 and entry.loop_id = loop.id and entry.kind = 'reading' and entry.corrects_id is null
           and entry.undone_at is null
         order by entry.at desc, entry.id desc limit 1
      ) reading
       left join lateral (
        select entry.id, entry.at, entry.day from log_entry entry
         where entry.garden_id = $1 and entry.loop_id = loop.id and entry.kind = 'dose' and entry.undone_at is null
           and entry.at >= reading.at and entry.id > reading.id
         order by entry.at desc, entry.id desc limit 1
      ) dose on true
      where loop.garden_id = $1`,
    [gardenId],
  );
}

const CATCH_CANS = `entry.id as "entryId", entry.day, (entry.what ->> 'standId')::integer as "standId",
  (entry.what ->> 'line')::integer as line, entry.what -> 'volumesMl' as "volumesMl",
  (entry.what ->> 'durationS')::double precision as "durationS",
  (entry.what ->> 'nominalFlowLph')::double precision as "nominalFlowLph",
  (entry.what ->> 'runHoursPerDay')::double precision as "runHoursPerDay"`;

/** The last catch-can test of each line whose finds were not put right. */
export function catchCans(db: Db, gardenId: number): Promise<CatchCanFact[]> {
  return many<CatchCanFact>(
    db,
    `select * from (
       select distinct on (entry.what -> 'standId', entry.what -> 'line')
              ${CATCH_CANS}
         from log_entry entry
        where entry.garden_id = $1 and entry.kind = 'catch-cans' and entry.undone_at is null
        order by entry.what -> 'standId', entry.what -> 'line', entry.at desc, entry.id desc
     ) test
      where not exists (select from log_entry flush where flush.garden_id = $1 and flush.kind = 'flush'
                           and flush.item_key = 'flush:' || test."entryId" and flush.undone_at is null)`,
    [gardenId],
  );
}

/** When the whole solution of each tank was last changed. */
export function solutionChanges(db: Db, gardenId: number): Promise<SolutionChange[]> {
  return many<SolutionChange>(
    db,
    `select distinct on (loop_id) loop_id as "loopId", day from log_entry
      where garden_id = $1 and kind = 'change-solution' and undone_at is null and loop_id is not null
      order by loop_id, at desc, id desc`,
    [gardenId],
  );
}

const CALIBRATION = `id as "entryId", loop_id as "loopId", day, (what ->> 'setR')::double precision as "setR",
  (what ->> 'wantedR')::double precision as "wantedR",
  what ->> 'convention' as convention, what ->> 'meter' as meter,
  ${corrected("stockDrawnL")} as "stockDrawnL", ${corrected("meteredL")} as "meteredL"`;

/** A figure of an entry, or what it was put right to. */
function corrected(name: string): string {
  return `coalesce((select (correction.what -> 'values' ->> '${name}')::double precision from log_entry correction
                     where correction.garden_id = $1 and correction.corrects_id = log_entry.id
                       and correction.what -> 'values' ? '${name}' order by correction.id desc limit 1),
                   (what ->> '${name}')::double precision)`;
}

/** The last calibration of each loop's injector. */
export function calibrations(db: Db, gardenId: number): Promise<CalibrationFact[]> {
  return many<CalibrationFact>(
    db,
    `select distinct on (loop_id) ${CALIBRATION} from log_entry
      where garden_id = $1 and kind = 'calibration' and undone_at is null and corrects_id is null and loop_id is not null
      order by loop_id, at desc, id desc`,
    [gardenId],
  );
}

/** The calibrations of a loop's injector, newest first. */
export function calibrationsOf(db: Db, gardenId: number, loopId: number): Promise<CalibrationFact[]> {
  return many<CalibrationFact>(
    db,
    `select ${CALIBRATION} from log_entry
      where garden_id = $1 and loop_id = $2 and kind = 'calibration' and undone_at is null and corrects_id is null
      order by at desc, id desc limit 40`,
    [gardenId, loopId],
  );
}

/** So long after a dose a reading still tells of it. */
const TELLS_FOR = "3 hours";
const PAIRS_LOOKED_AT = 12;

/** The last doses of acid of each loop with the readings around them, newest first; readings as they were put right. */
export function acidPairs(db: Db, gardenId: number): Promise<AcidPair[]> {
  return many<AcidPair>(
    db,
    `select * from (
       select dose.loop_id as "loopId", step ->> 'acid' as acid, (step ->> 'amount')::double precision as amount,
              coalesce((step ->> 'massPercent')::double precision, case step ->> 'acid' when 'citric' then 100
                when 'phosphoric' then 75 when 'nitric' then 38 else 35 end) as "massPercent",
              before.ph as "phBefore", after.ph as "phAfter", coalesce(after.level_l, before.level_l) as "volumeL",
              row_number() over (partition by dose.loop_id order by dose.at desc, dose.id desc) as place
         from log_entry dose
        cross join lateral jsonb_array_elements(dose.what -> 'steps') step
         join reading before on before.garden_id = $1 and before.log_id = split_part(dose.item_key, ':', 2)::integer
        cross join lateral (
          select reading.ph, reading.level_l from reading
           where reading.garden_id = $1 and reading.loop_id = dose.loop_id and reading.origin = 'hand'
             and reading.at between dose.at and dose.at + interval '${TELLS_FOR}' and reading.log_id > dose.id
             and reading.ph is not null
           order by reading.at, reading.log_id limit 1
        ) after
        where dose.garden_id = $1 and dose.kind = 'dose' and dose.undone_at is null and dose.item_key ~ '^dose:[0-9]+$'
          and step ->> 'do' = 'acid' and before.ph is not null and coalesce(after.level_l, before.level_l) > 0
     ) pairs where place <= ${PAIRS_LOOKED_AT} order by "loopId", place`,
    [gardenId],
  );
}

/** So long after a change the solution is still the one that was made. */
const FRESH_FOR = "24 hours";

/**
 * The last fresh feeds of each loop, newest first: a solution that was changed, with the first reading after it and
 * nothing dosed between; of a loop that runs to waste, each reading.
 */
export function ecPairs(db: Db, gardenId: number): Promise<LoopEcPair[]> {
  return many<LoopEcPair>(
    db,
    `select "loopId", "computedMsPerCm", "measuredMsPerCm" from (
       select *, row_number() over (partition by "loopId" order by at desc) as place from (
         select changed.loop_id as "loopId", (changed.what -> 'task' ->> 'computedMsPerCm')::double precision as "computedMsPerCm",
                after.ec as "measuredMsPerCm", changed.at
           from log_entry changed
          cross join lateral (
            select reading.ec_ms_per_cm as ec, reading.log_id from reading
             where reading.garden_id = $1 and reading.loop_id = changed.loop_id and reading.origin = 'hand'
               and reading.at between changed.at and changed.at + interval '${FRESH_FOR}' and reading.log_id > changed.id
               and reading.ec_ms_per_cm is not null
             order by reading.at, reading.log_id limit 1
          ) after
          where changed.garden_id = $1 and changed.kind = 'change-solution' and changed.undone_at is null
            and changed.what -> 'task' ? 'computedMsPerCm'
            and not exists (
              select 1 from log_entry dose where dose.garden_id = $1 and dose.loop_id = changed.loop_id
                 and dose.kind in ('dose', 'top-up') and dose.undone_at is null and dose.id between changed.id and after.log_id)
         union all
         select entry.loop_id, (entry.what ->> 'madeToMsPerCm')::double precision, reading.ec_ms_per_cm, entry.at
           from log_entry entry join reading on reading.garden_id = $1 and reading.log_id = entry.id
          where entry.garden_id = $1 and entry.kind = 'reading' and entry.undone_at is null
            and entry.what ? 'madeToMsPerCm' and reading.ec_ms_per_cm is not null
       ) found
     ) placed where place <= ${PAIRS_LOOKED_AT} order by "loopId", place`,
    [gardenId],
  );
}

/** The batches of stock that were mixed for a loop, newest first, and what was drawn by hand since each. */
export function mixesOf(db: Db, gardenId: number, loopId: number): Promise<MixFact[]> {
  return many<MixFact>(
    db,
    `select log_entry.id as "entryId", day, person.name as "personName", what -> 'task' ->> 'letter' as letter, ${corrected("done")} as "madeL",
            coalesce((what -> 'task' ->> 'leftL')::double precision, 0) as "beforeL", coalesce(what -> 'salts', '[]') as salts, note,
            (select coalesce(sum(-(effect ->> 'changeL')::double precision), 0)
               from log_entry later, jsonb_array_elements(later.effects) effect
              where later.garden_id = $1 and later.loop_id = $2 and later.undone_at is null and later.id > log_entry.id
                and effect ->> 'kind' = 'stock' and effect ->> 'letter' = log_entry.what -> 'task' ->> 'letter') as "usedL"
       from log_entry join person on person.id = log_entry.person_id
      where log_entry.garden_id = $1 and loop_id = $2 and kind = 'mix' and undone_at is null and corrects_id is null
        and what -> 'task' ->> 'kind' = 'mix'
      order by at desc, log_entry.id desc limit 40`,
    [gardenId, loopId],
  );
}

/** The catch-can tests of a stand, newest first. */
export function catchCansOf(db: Db, gardenId: number, standId: number): Promise<CatchCanFact[]> {
  return many<CatchCanFact>(
    db,
    `select ${CATCH_CANS} from log_entry entry
      where entry.garden_id = $1 and entry.kind = 'catch-cans' and entry.undone_at is null
        and (entry.what ->> 'standId')::integer = $2
      order by entry.at desc, entry.id desc limit 60`,
    [gardenId, standId],
  );
}

/** What was picked from a day on, with corrected figures. */
export function picked(db: Db, gardenId: number, from: Day): Promise<Picked[]> {
  return many<Picked>(
    db,
    `select split_part(entry.item_key, ':', 2)::integer as "orderId", split_part(entry.item_key, ':', 3)::integer as "batchId",
            split_part(entry.item_key, ':', 4)::integer as day,
            coalesce((select (correction.what -> 'values' ->> 'done')::double precision from log_entry correction
                       where correction.garden_id = $1 and correction.corrects_id = entry.id and correction.what -> 'values' ? 'done'
                       order by correction.id desc limit 1),
                     (entry.what ->> 'done')::double precision, 0) as units
       from log_entry entry
      where entry.garden_id = $1 and entry.kind = 'pick' and entry.undone_at is null and entry.corrects_id is null
        and entry.day >= date '1970-01-01' + $2::integer and entry.item_key ~ '^pick:[0-9]+:[0-9]+:[0-9]+$'`,
    [gardenId, from],
  );
}

/** What was done or skipped today, and every step of its batch, and every pick, wash and order of the last days: not asked for again. */
export async function settledKeys(db: Db, gardenId: number, day: Day, rollOverDays: number): Promise<Set<string>> {
  const rows = await many<{ key: string }>(
    db,
    `select item_key as key from log_entry
      where garden_id = $1 and undone_at is null and item_key is not null
        and (day = date '1970-01-01' + $2::integer
             or (kind = 'step' and day between date '1970-01-01' + $2::integer - 400 and date '1970-01-01' + $2::integer)
             or (kind in ('pick', 'wash', 'order') and day between date '1970-01-01' + $2::integer - $3::integer and date '1970-01-01' + $2::integer))`,
    [gardenId, day, rollOverDays],
  );
  return new Set(rows.map((row) => row.key));
}
