"use server";
import { run } from "../db/pool";
import { refuseStale } from "../db/save";
import { command } from "../session/command";
import { gardenSchema } from "./schema";

export const saveGarden = command("keep", gardenSchema, async (db, garden, who) => {
  await refuseStale(db, "garden", { id: who.gardenId }, garden.version);
  await run(
    db,
    `update garden set name = $2, place = $3, latitude_deg = $4, unit_system = $5, ec_unit = $6, temperature_unit = $7,
            currency = $8, sow_weekdays = $9 where id = $1`,
    [
      who.gardenId,
      garden.name,
      garden.place,
      garden.latitudeDeg,
      garden.unitSystem,
      garden.ecUnit,
      garden.temperatureUnit,
      garden.currency,
      garden.sowWeekdays,
    ],
  );
});
