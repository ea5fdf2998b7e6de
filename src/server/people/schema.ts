import Joi from "joi";
import { choice, measure, note, text, version, whole } from "../session/validation";

export interface GardenInput {
  readonly version: number;
  readonly name: string;
  readonly place: string;
  readonly latitudeDeg: number;
  readonly unitSystem: "metric" | "us";
  readonly ecUnit: "mS/cm" | "CF" | "ppm500" | "ppm700";
  readonly temperatureUnit: "°C" | "°F";
  readonly currency: string;
  readonly sowWeekdays: readonly number[];
}

export const gardenSchema = Joi.object<GardenInput>({
  version,
  name: text("Name"),
  place: note("Place", 120),
  latitudeDeg: measure("Latitude", -90, 90, "°"),
  unitSystem: choice("Measures", "metric", "us"),
  ecUnit: choice("Strength", "mS/cm", "CF", "ppm500", "ppm700"),
  temperatureUnit: choice("Temperature", "°C", "°F"),
  currency: text("Currency", 4),
  sowWeekdays: Joi.array()
    .items(whole("Sowing day", 1, 7).optional())
    .unique()
    .min(1)
    .required()
    .label("Sowing days")
    .messages({ "array.min": "Sowing days: choose at least one" }),
});
