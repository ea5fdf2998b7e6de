import type { UnitPreferences } from "@/core/units/dimensions";

/** Countries where feet, gallons and Fahrenheit are at home. */
const US_COUNTRIES = new Set(["US", "LR", "PR", "GU", "VI"]);

/** What the languages of a browser say of its owner's units: a proposal, to be changed. */
export function preferencesOf(
  acceptLanguage: string | null,
): Pick<UnitPreferences, "system" | "temperature" | "currency"> {
  const country = /[a-z]{2,3}(?:-[A-Za-z]{4})?-([A-Z]{2})\b/u.exec(acceptLanguage ?? "")?.[1];
  const us = country !== undefined && US_COUNTRIES.has(country);
  return us
    ? { system: "us", temperature: "°F", currency: "$" }
    : { system: "metric", temperature: "°C", currency: "€" };
}
