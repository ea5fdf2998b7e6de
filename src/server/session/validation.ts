import Joi from "joi";
import type { Row } from "@/core/garden/changes";
import type { Typed } from "@/core/garden/entities/field";
import { dayFromIso, type Day } from "@/core/units/day";

/** All schemas: unknown keys are refused, every error is reported, types are as sent except for numbers from forms. */
export const STRICT: Joi.ValidationOptions = {
  abortEarly: false,
  stripUnknown: false,
  errors: { wrap: { label: false } },
  // What no form of ours sends, in words all the same.
  messages: {
    "any.custom": "{#label} makes no sense",
    "array.base": "{#label} is not a list",
    "object.base": "{#label} is not filled in",
    "object.unknown": "{#label} is not asked for here",
    "string.base": "{#label} is not a text",
  },
};

const SHOWN_LENGTH = 40;

/** One message per field, by its path ("spec.pitchM"). */
export function fieldErrors(error: Joi.ValidationError): Record<string, string> {
  const fields: Record<string, string> = {};
  for (const detail of error.details) fields[detail.path.join(".") || "form"] ??= detail.message;
  return fields;
}

/** Figures by their names; a day or another object that only looks like one is none. */
export function figures(parts: Readonly<Record<string, Joi.Schema>>, label: string): Joi.ObjectSchema {
  return Joi.object(parts)
    .custom((value: object, helpers) =>
      Object.getPrototypeOf(value) === Object.prototype
        ? value
        : helpers.message({ custom: `${label} is no list of figures` }),
    )
    .required()
    .label(label);
}

/** A measure with its range; the message says the value, the unit and the range. */
export function measure(label: string, least: number, greatest: number, unit: string): Joi.NumberSchema {
  const range = `${label} is {#value}${unit && ` ${unit}`}; it must be from ${least} to ${greatest}${unit && ` ${unit}`}`;
  return Joi.number()
    .min(least)
    .max(greatest)
    .required()
    .label(label)
    .messages({
      "number.min": range,
      "number.max": range,
      "number.infinity": range,
      "number.unsafe": range,
      "number.base": `${label} is not a number; it must be from ${least} to ${greatest}${unit && ` ${unit}`}`,
      "any.required": `${label} is missing; it must be from ${least} to ${greatest}${unit && ` ${unit}`}`,
    });
}

/** A whole number with its range. */
export function whole(label: string, least: number, greatest: number, unit = ""): Joi.NumberSchema {
  return measure(label, least, greatest, unit)
    .integer()
    .messages({ "number.integer": `${label} is {#value}; it must be a whole number` });
}

/** A short text that must say something. */
export function text(label: string, greatestLength = 80): Joi.StringSchema {
  return Joi.string()
    .trim()
    .min(1)
    .max(greatestLength)
    .required()
    .label(label)
    .pattern(/^[^\u0000\p{Surrogate}]*$/u)
    .messages({
      "string.base": `${label} is not a text`,
      "string.empty": `${label} is empty`,
      "any.required": `${label} is missing`,
      "string.max": `${label} is longer than ${greatestLength} characters`,
      "string.pattern.base": `${label} holds a character that cannot be stored`,
    });
}

/** A note; may be empty. */
export function note(label: string, greatestLength = 500): Joi.StringSchema {
  return text(label, greatestLength).min(0).allow("").default("").optional();
}

/** One of a few words. */
export function choice(label: string, ...values: readonly (string | number)[]): Joi.Schema {
  return Joi.valid(...values)
    .required()
    .label(label)
    .messages({
      "any.only": `${label} must be one of ${values.join(", ")}`,
      "any.required": `${label} is missing; it must be one of ${values.join(", ")}`,
    });
}

/** A row of the garden. */
export const rowId = (label: string) => whole(label, 1, 2_147_483_647);
export const maybeRowId = (label: string) => rowId(label).allow(null);

/** What a save of a row says about it: new, or changed from a version that the form was opened with. */
export interface Edited {
  readonly id: number | null;
  readonly version: number | null;
}
const GREATEST_VERSION = 2_147_483_647;
/** The same where fields are compared: the values that they had when the form was opened. */
export interface Opened {
  readonly id: number | null;
  readonly opened: Row | null;
  readonly typed?: Typed;
}
export const version = whole("Version", 1, GREATEST_VERSION);
export const edited = (label: string) => ({
  id: maybeRowId(label),
  version: Joi.when("id", { is: null, then: Joi.valid(null).default(null), otherwise: version }),
});

/** `YYYY-MM-DD` on the wire, a Day inside. */
export function day(label: string): Joi.Schema<Day> {
  return Joi.any()
    .required()
    .label(label)
    .custom((value: unknown, helpers) => {
      if (typeof value === "number" && Number.isInteger(value) && Math.abs(value) < 100_000) return value;
      try {
        return dayFromIso(String(value));
      } catch {
        return helpers.message({
          custom: `${label} ${typeof value === "string" ? `"${value.slice(0, SHOWN_LENGTH)}" ` : ""}is not a date (YYYY-MM-DD)`,
        });
      }
    });
}
