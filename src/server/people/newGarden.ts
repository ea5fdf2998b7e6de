import { SALT_LIBRARY } from "@/core/feed/salts";
import { one, type Db } from "../db/pool";
import { saveRow } from "../db/save";

export interface NewGarden {
  readonly name: string;
  readonly place: string;
  readonly latitudeDeg: number;
  readonly timeZone: string;
  readonly currency: string;
  readonly rainMmByMonth: readonly number[];
  readonly wetDaysByMonth: readonly number[];
  readonly sowWeekdays: readonly number[];
  readonly isDemo: boolean;
}

/**
 * Makes a garden with its keeper and the library of salts, none of them on the shelf yet.
 * @returns ids of the garden and of its salts by name
 */
export async function createGarden(
  db: Db,
  garden: NewGarden,
  keeperName: string,
): Promise<{ gardenId: number; salts: Map<string, number> }> {
  const { id } = await one<{ id: number }>(
    db,
    "The garden",
    `insert into garden (name, place, latitude_deg, time_zone, currency, rain_mm_by_month, wet_days_by_month, sow_weekdays, is_demo)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9) returning id`,
    [
      garden.name, garden.place, garden.latitudeDeg, garden.timeZone, garden.currency, garden.rainMmByMonth, garden.wetDaysByMonth,
      garden.sowWeekdays, garden.isDemo,
    ], // prettier-ignore
  );
  await saveRow(db, "person", id, null, { name: keeperName, role: "keeper" });
  const salts = new Map<string, number>();
  for (const salt of SALT_LIBRARY)
    salts.set(
      salt.name,
      await saveRow(db, "salt", id, null, {
        name: salt.name, percent: salt.percent, solubility_g_per_l: salt.solubilityGPerL, chelate: salt.chelate ?? false, caution: salt.caution ?? "",
      }), // prettier-ignore
    );
  return { gardenId: id, salts };
}
