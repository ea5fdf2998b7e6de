import type { FieldSpec } from "@/ui/form/fields";

/** What a new account asks for. */
export const ACCOUNT_FIELDS: readonly FieldSpec[] = [
  { name: "name", label: "Your name", type: "text", hint: "as the others know you", autoComplete: "name" },
  { name: "signInName", label: "Sign-in name", type: "text", hint: "short, or your address", autoComplete: "username" },
  { name: "password", label: "Password", type: "password", hint: "at least 10 characters; a sentence is good", wide: true, autoComplete: "new-password" },
]; // prettier-ignore

/** What a new garden asks for. */
export const NEW_GARDEN_FIELDS: readonly FieldSpec[] = [
  { name: "gardenName", label: "Garden", type: "text" },
  { name: "place", label: "Place", type: "text", hint: "may stay empty" },
  { name: "latitudeDeg", label: "Latitude, degrees north", type: "quantity", dimension: "ratio", hint: "south is negative" },
  { name: "timeZone", label: "Time zone", type: "text" },
  { name: "unitSystem", label: "Measures", type: "choice", options: [{ value: "metric", label: "m, L, °C" }, { value: "us", label: "ft, US gal, °F" }] },
  { name: "currency", label: "Currency", type: "text" },
]; // prettier-ignore

/** A beginning for a new garden; the time zone is the device's. */
export function newGardenDefaults() {
  return {
    gardenName: "",
    place: "",
    latitudeDeg: 40,
    timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    unitSystem: "metric",
    currency: "€",
  };
}
