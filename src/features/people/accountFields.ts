import type { FieldSpec } from "@/features/frame/form/fields";

const NAME: FieldSpec = {
  name: "name",
  label: "Your name",
  type: "text",
  hint: "as the others know you",
  autoComplete: "name",
};
const PASSWORD: FieldSpec = {
  name: "password",
  label: "Password",
  type: "password",
  hint: "at least 10 characters; a sentence is good",
  autoComplete: "new-password",
};
const GARDEN_NAME: FieldSpec = {
  name: "gardenName",
  label: "Garden",
  type: "text",
  hint: "what you call it",
  wide: true,
};

/** What a new account asks for. */
export const ACCOUNT_FIELDS: readonly FieldSpec[] = [
  NAME,
  { name: "signInName", label: "Sign-in name", type: "text", hint: "short, or your address", autoComplete: "username" },
  { ...PASSWORD, wide: true },
];

/** What the first start asks for; the place has a part of its own, and the sign-in name comes from the name. */
export const FIRST_FIELDS: readonly FieldSpec[] = [NAME, PASSWORD, GARDEN_NAME];

/** What a new garden asks for, besides its place. */
export const NEW_GARDEN_FIELDS: readonly FieldSpec[] = [GARDEN_NAME];

/** Latitude until a place is known: where most small greenhouses are. */
const LATITUDE_DEG = 45;

/** A beginning for a new garden; the time zone is the device's. */
export function newGardenDefaults() {
  return {
    gardenName: "",
    place: "",
    latitudeDeg: LATITUDE_DEG,
    timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    unitSystem: "metric",
    currency: "€",
  };
}
