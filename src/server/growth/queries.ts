import { many, type Db } from "../db/pool";
import type { VarietyInput } from "./schema";

export interface Variety extends VarietyInput {
  readonly id: number;
  readonly version: number;
}

/** Varieties with their stages in order. */
export function varieties(db: Db, gardenId: number): Promise<Variety[]> {
  return many<Variety>(
    db,
    `select id, version, name, crop, kind, unit, germination, seeds_per_cell as "seedsPerCell", seeds_per_g as "seedsPerG", pattern,
            coalesce((select jsonb_agg(jsonb_build_object('name', name, 'poolId', pool_id, 'daysByMonth', days_by_month,
                                                          'survival', survival, 'needLpd', need_lpd) order by position)
                        from variety_stage where variety_id = variety.id and variety_stage.garden_id = $1), '[]') as stages
       from variety where garden_id = $1 order by name`,
    [gardenId],
  );
}
