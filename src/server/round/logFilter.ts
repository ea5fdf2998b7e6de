import Joi from "joi";
import type { Day } from "@/core/units/day";
import { day, fieldErrors, STRICT } from "../session/validation";
import { LOG_KINDS, type LogKind } from "@/core/round/log";
import type { LogFilter } from "./queries";

const SHOWN = 200;
const DEFAULT_DAYS = 14;

const schema = Joi.object<{ from: Day; to: Day; kind?: LogKind; search?: string }>({
  from: day("From"),
  to: day("Until"),
  kind: Joi.valid("", ...LOG_KINDS)
    .label("Kind")
    .messages({ "any.only": `Kind must be one of ${LOG_KINDS.join(", ")}` }),
  search: Joi.string()
    .trim()
    .max(80)
    .allow("")
    .label("Search")
    .messages({ "string.max": "Search is longer than 80 characters" }),
}).custom((value: { from: Day; to: Day }, helpers) =>
  value.from <= value.to ? value : helpers.message({ custom: "Until lies before From" }),
);

/** The log filter of an address; where it cannot be read, the default with the reason. */
export function logFilterOf(
  asked: Readonly<Record<string, unknown>>,
  today: Day,
  limit = SHOWN,
): { filter: LogFilter; problem: string | null } {
  const standard: LogFilter = { from: today - DEFAULT_DAYS, to: today, kind: null, search: null, limit };
  const given = Object.fromEntries(
    ["from", "to", "kind", "search"].flatMap((key) =>
      asked[key] !== undefined && asked[key] !== "" ? [[key, asked[key]]] : [],
    ),
  );
  const { value, error } = schema.validate({ from: standard.from, to: standard.to, ...given }, STRICT);
  if (error) return { filter: standard, problem: Object.values(fieldErrors(error)).join(". ") };
  // PostgreSQL's text holds no zero character; nothing in the log can match one.
  const search = value.search?.replaceAll("\u0000", "") || null;
  return {
    filter: { from: value.from, to: value.to, kind: value.kind || null, search, limit },
    problem: null,
  };
}
