import type { WeatherDay } from "@/core/place/climate/weatherFile";
import type { Day } from "@/core/units/day";
import { many, type Db } from "../db/pool";

/** The imported days of the last days before one, in their order. */
export function recentWeather(db: Db, gardenId: number, before: Day, days: number) {
  return many<{ readonly day: Day; readonly highestC: number; readonly lowestC: number }>(
    db,
    `select day, highest_c as "highestC", lowest_c as "lowestC" from weather_day
      where garden_id = $1 and day < date '1970-01-01' + $2::integer and day >= date '1970-01-01' + $2::integer - $3::integer
      order by day`,
    [gardenId, before, days],
  );
}

/** The imported days of a garden, in their order. */
export function weatherDays(db: Db, gardenId: number): Promise<WeatherDay[]> {
  return many<WeatherDay & Record<string, unknown>>(
    db,
    `select day, highest_c as "highestC", lowest_c as "lowestC", rain_mm as "rainMm", humidity_percent as "humidityPercent",
            wind_m_per_s as "windMPerS", radiation_mj_per_m2 as "radiationMjPerM2"
       from weather_day where garden_id = $1 order by day`,
    [gardenId],
  );
}
