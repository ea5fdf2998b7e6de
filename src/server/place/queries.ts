import type { LayoutHouse } from "@/core/place/layout/document";
import type { PlacedStand, StandSpec } from "@/core/place/stand";
import { many, type Db } from "../db/pool";

export interface House extends LayoutHouse {
  readonly id: number;
  readonly version: number;
  readonly position: number;
}

export interface Stand extends PlacedStand {
  readonly version: number;
  readonly houseId: number;
  readonly poolId: number;
  readonly loopId: number | null;
  readonly position: number;
  readonly spec: StandSpec;
}

export interface PoolRow {
  readonly id: number;
  readonly version: number;
  readonly name: string;
  readonly position: number;
  readonly cleaningDays: number;
}

/** Houses of a garden in walking order. */
export function houses(db: Db, gardenId: number): Promise<House[]> {
  return many<House>(
    db,
    `select id, version, name, position, length_m as "lengthM", width_m as "widthM", height_m as "heightM", cover, shade_share as "shadeShare",
            x_m as "xM", y_m as "yM"
       from house where garden_id = $1 order by position, id`,
    [gardenId],
  );
}

/** Stands of a garden, house by house. */
export function stands(db: Db, gardenId: number): Promise<Stand[]> {
  return many<Stand>(
    db,
    `select id, version, house_id as "houseId", pool_id as "poolId", loop_id as "loopId", name, position,
            x_m as "xM", y_m as "yM", turned, spec
       from stand where garden_id = $1 order by house_id, position, id`,
    [gardenId],
  );
}

/** Pools in the order in which plants move through them. */
export function pools(db: Db, gardenId: number): Promise<PoolRow[]> {
  return many<PoolRow>(
    db,
    `select id, version, name, position, cleaning_days as "cleaningDays" from pool where garden_id = $1 order by position, id`,
    [gardenId],
  );
}
