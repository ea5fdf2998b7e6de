"use server";
import { CLIMATE } from "@/core/garden/entities/place";
import { readWeather } from "@/core/place/climate/weatherFile";
import { isoFromDay } from "@/core/units/day";
import { run } from "../db/pool";
import { saveCommand } from "../garden/planCommand";
import { command } from "../session/command";
import { nothingSchema } from "../water/schema";
import { RefusedError } from "../session/refusal";
import { climateSchema, weatherSchema } from "./schema";

export const saveClimate = saveCommand(CLIMATE, climateSchema);

/** So many faults are told at once. */
const MOST_TOLD = 20;

/** Takes daily weather in from a file: all of it, or nothing while anything in it is wrong. @returns how many days */
export const importWeather = command("plan", weatherSchema, async (db, { text }, { gardenId }) => {
  const { days, problems } = readWeather(text);
  if (problems.length > 0)
    throw new RefusedError({ room: "place", kind: "weather-faults", problems: problems.slice(0, MOST_TOLD) });
  await run(
    db,
    `insert into weather_day (garden_id, day, highest_c, lowest_c, rain_mm, humidity_percent, wind_m_per_s, radiation_mj_per_m2)
     select $1, * from unnest($2::date[], $3::float8[], $4::float8[], $5::float8[], $6::float8[], $7::float8[], $8::float8[])
     on conflict (garden_id, day) do update set
       highest_c = excluded.highest_c, lowest_c = excluded.lowest_c, rain_mm = excluded.rain_mm,
       humidity_percent = excluded.humidity_percent, wind_m_per_s = excluded.wind_m_per_s,
       radiation_mj_per_m2 = excluded.radiation_mj_per_m2`,
    [
      gardenId,
      days.map(({ day }) => isoFromDay(day)),
      days.map(({ highestC }) => highestC),
      days.map(({ lowestC }) => lowestC),
      days.map(({ rainMm }) => rainMm),
      days.map(({ humidityPercent }) => humidityPercent),
      days.map(({ windMPerS }) => windMPerS),
      days.map(({ radiationMjPerM2 }) => radiationMjPerM2),
    ],
  );
  return days.length;
});

/** Forgets all imported days. The file they came from can be brought in again. */
export const removeWeather = command("plan", nothingSchema, async (db, _nothing, { gardenId }) => {
  await run(db, "delete from weather_day where garden_id = $1", [gardenId]);
});
