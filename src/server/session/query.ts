import Joi from "joi";
import type { Day } from "@/core/units/day";
import { day, rowId } from "./validation";

/** What an address may say about a view. */
const PARTS = {
  house: rowId("House"),
  stand: rowId("Stand"),
  loop: rowId("Loop"),
  bank: Joi.string().pattern(/^\d{1,15}(:\d{1,5})?$/u),
  again: rowId("Tank"),
  batch: rowId("Batch"),
  person: rowId("Member"),
  before: Joi.number().integer().min(1).max(Number.MAX_SAFE_INTEGER),
  entry: Joi.number().integer().min(1).max(Number.MAX_SAFE_INTEGER),
  item: Joi.string().max(80),
  from: day("From"),
  weeks: Joi.number().valid(1, 2, 4, 8, 9, 17, 34),
  view: Joi.string().valid("garden"),
  scale: Joi.number().valid(10, 20, 25, 50, 100, 200, 500),
  paper: Joi.string().valid("A4", "A3", "letter"),
  set: rowId("What-if"),
  list: rowId("Cut list"),
  part: Joi.string().valid("cuts", "supports", "materials"),
  at: Joi.string().valid("access"),
  salts: Joi.string().valid("shelf"),
  by: Joi.string().valid("sum"),
} as const;

export interface ViewQuery {
  readonly house?: number;
  readonly stand?: number;
  readonly loop?: number;
  readonly bank?: string;
  readonly again?: number;
  readonly batch?: number;
  readonly person?: number;
  readonly before?: number;
  readonly entry?: number;
  readonly item?: string;
  readonly from?: Day;
  readonly weeks?: number;
  readonly view?: "garden";
  readonly scale?: number;
  readonly paper?: "A4" | "A3" | "letter";
  readonly set?: number;
  readonly list?: number;
  readonly part?: "cuts" | "supports" | "materials";
  readonly at?: "access";
  readonly salts?: "shelf";
  readonly by?: "sum";
}

/**
 * The view that an address asks for. A part that is wrong is left out, so that an address typed badly still shows the
 * sheet: it chooses what is looked at and changes nothing.
 */
export function viewQuery(asked: Readonly<Record<string, string | string[] | undefined>>): ViewQuery {
  const view: Record<string, unknown> = {};
  for (const [name, schema] of Object.entries(PARTS)) {
    if (asked[name] === undefined) continue;
    const { value, error } = schema.validate(asked[name], { convert: true });
    if (!error) view[name] = value;
  }
  return view;
}
