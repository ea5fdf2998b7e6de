import { many, one, type Db } from "../db/pool";
import type { GardenInput } from "./schema";

export interface Member {
  readonly id: number;
  readonly name: string;
  readonly role: "keeper" | "grower" | "helper" | "viewer";
}

/** People of a garden, those who may do most first. */
export function members(db: Db, gardenId: number): Promise<Member[]> {
  return many<Member>(
    db,
    `select id, name, role from person where garden_id = $1
      order by array_position(array['keeper', 'grower', 'helper', 'viewer'], role), name`,
    [gardenId],
  );
}

export function gardenSettings(db: Db, gardenId: number): Promise<GardenInput> {
  return one<GardenInput & Record<string, unknown>>(
    db,
    "The garden",
    `select name, place, latitude_deg as "latitudeDeg", unit_system as "unitSystem", ec_unit as "ecUnit",
            temperature_unit as "temperatureUnit", currency, sow_weekdays as "sowWeekdays" from garden where id = $1`,
    [gardenId],
  );
}
