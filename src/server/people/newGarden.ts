import { COMMON_UNITS } from "@/core/growth/harvestUnit";
import { SALT_LIBRARY } from "@/core/feed/salts";
import { type Db, one, run } from "../db/pool";
import { saveRow } from "../db/save";
import { actAs } from "../session/onBehalf";

export interface NewGarden {
  readonly name: string;
  readonly place: string;
  readonly latitudeDeg: number;
  readonly timeZone: string;
  readonly currency: string;
  readonly sowWeekdays: readonly number[];
  readonly isDemo: boolean;
}

/**
 * Makes a garden with its keeper, the library of salts, none of them on the shelf yet, and the common units. From here the transaction
 * works for that garden.
 * @returns ids of the garden, its keeper, and its salts and units by name
 */
export async function createGarden(
  db: Db,
  garden: NewGarden,
  keeperName: string,
): Promise<{ gardenId: number; keeperId: number; salts: Map<string, number>; units: Map<string, number> }> {
  // The number first: a garden's row can only be seen, and so only be made, by whoever works for it.
  const { id } = await one<{ id: number }>(
    db,
    "garden",
    "select nextval(pg_get_serial_sequence('garden', 'id')) as id",
  );
  await actAs(db, { gardenId: id });
  await run(
    db,
    `insert into garden (id, name, place, latitude_deg, time_zone, currency, sow_weekdays, is_demo)
     overriding system value values ($1, $2, $3, $4, $5, $6, $7, $8)`,
    [
      id,
      garden.name,
      garden.place,
      garden.latitudeDeg,
      garden.timeZone,
      garden.currency,
      garden.sowWeekdays,
      garden.isDemo,
    ],
  );
  const keeperId = await saveRow(db, "person", id, null, { name: keeperName, role: "keeper" });
  const salts = new Map<string, number>();
  for (const salt of SALT_LIBRARY)
    salts.set(
      salt.name,
      await saveRow(db, "salt", id, null, {
        name: salt.name,
        percent: salt.percent,
        solubility_g_per_l: salt.solubilityGPerL,
        chelate: salt.chelate ?? false,
        caution: salt.caution ?? "",
      }),
    );
  const units = new Map<string, number>();
  for (const unit of COMMON_UNITS) units.set(unit.name, await saveRow(db, "harvest_unit", id, null, unit));
  return { gardenId: id, keeperId, salts, units };
}
