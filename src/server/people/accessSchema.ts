import Joi from "joi";
import { LEAST_PASSWORD } from "@/core/people/password";
import { ROLES, type Role } from "@/core/people/rights";
import { choice, measure, note, rowId, text, whole } from "../session/validation";
import type { GardenInput } from "./schema";

const key = Joi.string()
  .trim()
  .pattern(/^[\w-]{43}$/u)
  .required()
  .label("Link")
  .messages({
    "string.pattern.base": "This link is not whole: copy all of it.",
    "string.empty": "This link is not whole: copy all of it.",
    "any.required": "The link is missing.",
  });

const signInName = text("Sign-in name", 120)
  .min(3)
  .lowercase()
  .pattern(/^[\p{L}\p{N}@._+-]*$/u)
  .messages({
    "string.min": "Sign-in name is shorter than 3 characters",
    "string.pattern.base": "Sign-in name may hold letters, figures and @ . _ + -",
  });

const password = Joi.string()
  .min(LEAST_PASSWORD)
  .max(200)
  .required()
  .label("Password")
  .messages({
    "string.empty": "Password is empty",
    "any.required": "Password is missing",
    "string.base": "Password is not a text",
    "string.min": `Password is shorter than ${LEAST_PASSWORD} characters`,
    "string.max": "Password is longer than 200 characters",
  });

/** Six figures of a phone, or a recovery code; with or without spaces and strokes between. */
const code = Joi.string()
  .trim()
  .max(40)
  .pattern(/^[\w\s-]*$/u)
  .label("Code")
  .messages({
    "string.base": "Code is not a text",
    "string.empty": "Code is empty",
    "any.required": "Code is missing",
    "string.max": "Code is longer than 40 characters",
    "string.pattern.base": "Code holds letters and figures alone",
  });
export const codeSchema = Joi.object<{ code: string }>({ code: code.required() });

export interface SignInInput {
  readonly signInName: string;
  readonly password: string;
  readonly code?: string;
}
export const signInSchema = Joi.object<SignInInput>({
  signInName,
  password: password.min(1),
  code: code.allow("").optional(),
});
export const passwordAgainSchema = Joi.object<{ password: string }>({ password: password.min(1) });
export const removeGardenSchema = Joi.object<{ name: string }>({ name: text("Name of the garden") });

export interface NewAccountInput {
  readonly name: string;
  readonly signInName: string;
  readonly password: string;
}
const newAccount = { name: text("Your name"), signInName, password };

export interface JoinInput extends NewAccountInput {
  readonly key: string;
}
export const joinSchema = Joi.object<JoinInput>({ key, ...newAccount });
export const keySchema = Joi.object<{ key: string }>({ key });
export const resetSchema = Joi.object<{ key: string; password: string }>({ key, password });

export interface NewGardenInput {
  readonly gardenName: string;
  readonly place: string;
  readonly latitudeDeg: number;
  readonly timeZone: string;
  readonly currency: string;
  readonly unitSystem: GardenInput["unitSystem"];
}
const timeZone = text("Time zone", 60).custom((zone: string, helpers) => {
  try {
    new Intl.DateTimeFormat("en", { timeZone: zone });
    return zone;
  } catch {
    return helpers.message({ custom: `Time zone "${zone.slice(0, 40)}" is not known; write one like Europe/Lisbon` });
  }
});
const newGarden = {
  gardenName: text("Garden"),
  place: note("Place", 120),
  latitudeDeg: measure("Latitude", -90, 90, "°"),
  timeZone,
  currency: text("Currency", 4),
  unitSystem: choice("Measures", "metric", "us"),
};
export const newGardenSchema = Joi.object<NewGardenInput>(newGarden);
export type FirstStartInput = NewAccountInput & NewGardenInput;
export const firstStartSchema = Joi.object<FirstStartInput>({ ...newAccount, ...newGarden });

export const passwordChangeSchema = Joi.object<{ old: string; password: string }>({
  old: password.min(1).label("Old password"),
  password,
});
export const switchSchema = Joi.object<{ gardenId: number }>({ gardenId: rowId("Garden") });
export const nothingSchema = Joi.object<Record<string, never>>({});

export interface InvitationInput {
  readonly role: Role;
  readonly days: number;
}
export const invitationSchema = Joi.object<InvitationInput>({
  role: choice("Role", ...ROLES),
  days: whole("Days", 1, 30),
});
export interface RoleInput {
  readonly id: number;
  readonly version: number;
  readonly role: Role;
}
export const roleSchema = Joi.object<RoleInput>({
  id: rowId("Member"),
  version: whole("Version", 1, 2_147_483_647),
  role: choice("Role", ...ROLES),
});
