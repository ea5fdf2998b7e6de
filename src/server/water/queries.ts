import { TANK_FIGURES, type TankFigures } from "@/core/feed/tankFigures";
import type { Day } from "@/core/units/day";
import type { TankChange, TankLevel } from "@/core/water/needFactor";
import { many, type Db } from "../db/pool";

export interface Reading extends TankFigures {
  readonly loopId: number;
  readonly at: Date;
  readonly origin: "hand" | "meter";
}

const READING = `loop_id as "loopId", at, origin, ${TANK_FIGURES.map(({ name, column }) => `${column} as "${name}"`).join(", ")}`;

/** The newest reading of each loop, up to an instant. */
export function lastReadings(db: Db, gardenId: number, until: Date): Promise<Reading[]> {
  return newestPerLoop(db, gardenId, until, "");
}

/** The newest reading by hand of each loop, up to an instant. */
export function lastHandReadings(db: Db, gardenId: number, until: Date): Promise<Reading[]> {
  return newestPerLoop(db, gardenId, until, "and origin = 'hand'");
}

function newestPerLoop(db: Db, gardenId: number, until: Date, also: "" | "and origin = 'hand'"): Promise<Reading[]> {
  return many<Reading>(
    db,
    `select newest.* from loop
      cross join lateral (
        select ${READING} from reading where loop_id = loop.id and garden_id = $1 and at <= $2 ${also} order by at desc limit 1
      ) newest
      where loop.garden_id = $1`,
    [gardenId, until],
  );
}

/** Daily means of a loop's readings over a span, by the days of the garden's clock. */
export function dailyReadings(
  db: Db,
  gardenId: number,
  loopId: number,
  { from, until, timeZone }: { readonly from: Date; readonly until: Date; readonly timeZone: string },
) {
  return many<{ day: Day; ecMsPerCm: number | null; ph: number | null; levelL: number | null }>(
    db,
    `select (at at time zone $5)::date as day, avg(ec_ms_per_cm) as "ecMsPerCm", avg(ph) as ph, avg(level_l) as "levelL"
       from reading where garden_id = $1 and loop_id = $2 and at between $3 and $4 group by 1 order by 1`,
    [gardenId, loopId, from, until, timeZone],
  );
}

/** Levels of a loop's tank, one an hour, and what the log says was put in or let out, by the days of the garden's clock. */
export async function tankHistory(
  db: Db,
  gardenId: number,
  loopId: number,
  { from, until, timeZone }: { readonly from: Date; readonly until: Date; readonly timeZone: string },
): Promise<{ readonly levels: TankLevel[]; readonly changes: TankChange[] }> {
  const levels = await many<TankLevel & Record<string, unknown>>(
    db,
    `select distinct on (date_trunc('hour', at)) extract(epoch from at)::double precision * 1000 as "atMs",
            (at at time zone $5)::date as day, level_l as "levelL"
       from reading where garden_id = $1 and loop_id = $2 and at between $3 and $4 and level_l is not null
      order by date_trunc('hour', at), at`,
    [gardenId, loopId, from, until, timeZone],
  );
  const changes = await many<TankChange & Record<string, unknown>>(
    db,
    `select extract(epoch from at)::double precision * 1000 as "atMs",
            coalesce((select sum((step ->> 'litres')::double precision) from jsonb_array_elements(what -> 'steps') step
                       where step ->> 'do' in ('water', 'stock')), 0) as "addedL",
            kind = 'change-solution'
              or exists (select from jsonb_array_elements(what -> 'steps') step where step ->> 'do' = 'drain') as drains
       from log_entry where garden_id = $1 and loop_id = $2 and kind in ('dose', 'change-solution') and undone_at is null and at between $3 and $4`,
    [gardenId, loopId, from, until],
  );
  return { levels, changes };
}
