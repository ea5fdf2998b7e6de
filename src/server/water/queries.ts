import type { NutrientAmounts } from "@/core/feed/nutrients";
import type { Day } from "@/core/units/day";
import type { RainNormals } from "@/core/water/rainInflow";
import { many, one, type Db } from "../db/pool";
import type { LoopInput } from "./schema";

export interface Loop extends LoopInput {
  readonly id: number;
  readonly version: number;
  readonly position: number;
}

export interface Source {
  readonly id: number;
  readonly version: number;
  readonly name: string;
  readonly kind: "rain" | "well" | "mains" | "carried";
  readonly priority: number;
  readonly flowLph: number;
  readonly hoursPerDay: number;
  readonly allowanceLpd: number;
  readonly roofAreaM2: number;
  readonly pricePerM3: number;
  readonly analysisMgPerL: NutrientAmounts;
  readonly alkalinityMgCaco3PerL: number;
}

export interface Store {
  readonly id: number;
  readonly version: number;
  readonly name: string;
  readonly capacityL: number;
  readonly storedL: number;
  readonly readOn: Day;
}

export interface Reading {
  readonly loopId: number;
  readonly at: Date;
  readonly origin: "hand" | "meter";
  readonly ecMsPerCm: number | null;
  readonly ph: number | null;
  readonly waterC: number | null;
  readonly levelL: number | null;
}

/** Loops in walking order. */
export function loops(db: Db, gardenId: number): Promise<Loop[]> {
  return many<Loop>(
    db,
    `select id, version, name, position, kind, feeding, tank_l as "tankL", working_l as "workingL", drain_share as "drainShare",
            pump, timer, turns, recipe_id as "recipeId", source_id as "sourceId", ratio_r as "ratioR",
            ratio_convention as "ratioConvention", injector_least_lph as "injectorLeastLph",
            injector_greatest_lph as "injectorGreatestLph", acid, coldest_c as "coldestC", read_every_days as "readEveryDays"
       from loop where garden_id = $1 order by position, id`,
    [gardenId],
  );
}

/** Sources in the order in which they are drawn on. */
export function sources(db: Db, gardenId: number): Promise<Source[]> {
  return many<Source>(
    db,
    `select id, version, name, kind, priority, flow_lph as "flowLph", hours_per_day as "hoursPerDay", allowance_lpd as "allowanceLpd",
            roof_area_m2 as "roofAreaM2", price_per_m3 as "pricePerM3", analysis_mg_per_l as "analysisMgPerL",
            alkalinity_mg_caco3_per_l as "alkalinityMgCaco3PerL"
       from source where garden_id = $1 order by priority, id`,
    [gardenId],
  );
}

export function stores(db: Db, gardenId: number): Promise<Store[]> {
  return many<Store>(
    db,
    `select id, version, name, capacity_l as "capacityL", stored_l as "storedL", read_on as "readOn" from store where garden_id = $1 order by id`,
    [gardenId],
  );
}

export function rainNormals(db: Db, gardenId: number): Promise<RainNormals> {
  return one<{ rainMmByMonth: number[]; wetDaysByMonth: number[] }>(
    db,
    "The garden",
    `select rain_mm_by_month as "rainMmByMonth", wet_days_by_month as "wetDaysByMonth" from garden where id = $1`,
    [gardenId],
  );
}

const READING = `loop_id as "loopId", at, origin, ec_ms_per_cm as "ecMsPerCm", ph, water_c as "waterC", level_l as "levelL"`;

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

/** Daily means of a loop's readings over a span, for its small history. */
export function dailyReadings(db: Db, gardenId: number, loopId: number, from: Date, until: Date) {
  return many<{ day: Day; ecMsPerCm: number | null; ph: number | null; levelL: number | null }>(
    db,
    `select at::date as day, avg(ec_ms_per_cm) as "ecMsPerCm", avg(ph) as ph, avg(level_l) as "levelL"
       from reading where garden_id = $1 and loop_id = $2 and at between $3 and $4 group by 1 order by 1`,
    [gardenId, loopId, from, until],
  );
}
