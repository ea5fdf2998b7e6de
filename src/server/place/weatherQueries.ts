import type { WeatherDay } from "@/core/place/climate/weatherFile";
import { many, type Db } from "../db/pool";

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
