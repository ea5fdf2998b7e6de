import { dayFromIso, dayInWords } from "@/core/units/day";
import { ENTITIES } from "@/core/garden/entities";
import { columnOf, type EntityField } from "@/core/garden/entities/field";
import { STAND_KINDS, STAND_MODELS, type StandKind } from "@/core/place/kinds";
import type { Measure } from "@/core/place/kinds/model";
import { isEntryValue } from "@/core/round/log";
import type { Dimension, UnitPreferences } from "@/core/units/dimensions";
import { counted, quantityText } from "@/core/units/format";
import { entryTitle } from "../round/words";
import type { ChangeView, DayColumns, HistoryNames } from "@/server/history/view";

type Row = Readonly<Record<string, unknown>>;
type Changed = Pick<ChangeView, "table" | "before" | "after">;

/** A value of a row: words, or a figure to be shown in the garden's units. */
export type Shown = string | { readonly value: number; readonly dimension: Dimension } | readonly Shown[];

/** What of a row is another than before. */
export interface ChangedPart {
  readonly label: string;
  readonly before: Shown | null;
  readonly after: Shown | null;
}

/** What is beside the plan; entities of the plan have their labels. */
const TABLES: Readonly<Record<string, string>> = {
  garden: "Garden",
  person: "Member",
  log_entry: "Log",
  reading: "Reading",
  invitation: "Invitation",
  layout: "Layout",
  cut_list: "Cut list",
  offcut: "Offcut",
  material: "Material",
  change_set: "What-if",
};

/** Columns that name a row or are kept by the database. */
const SILENT = new Set([
  "id",
  "garden_id",
  "version",
  "typed",
  "token_hash",
  "account_id",
  "log_id",
  "person_id",
  "what",
  "effects",
  "item_key",
  "made_by",
  "used_by",
  "kind_of",
  "document",
  "plan",
]);
/** What a unit at the end of a column means; the longest first. */
const UNITS: readonly (readonly [suffix: string, dimension: Dimension])[] = [
  ["_ms_per_cm", "ec"],
  ["_mg_per_l", "concentration"],
  ["_lph", "flow"],
  ["_lpd", "volume"],
  ["_m2", "area"],
  ["_m", "length"],
  ["_l", "volume"],
  ["_mm", "bore"],
  ["_g", "mass"],
  ["_c", "temperature"],
  ["_share", "share"],
  ["_days", "days"],
];
const MOST_PARTS = 12;

/** Which row it was, in words: "Stand Leaf bank", "Batch of Mizuna, sown 3 Sep". */
export function titleOf({ table, before, after }: Changed, names: HistoryNames): string {
  const row = after ?? before ?? {};
  const what = ENTITIES[table]?.label ?? TABLES[table] ?? table;
  const kind = kindOf(row);
  const named = (map: ReadonlyMap<number, string>, id: unknown) => map.get(Number(id)) ?? "deleted";
  switch (table) {
    case "stand":
      return `${kind ? STAND_MODELS[kind].words.name : what} ${String(row.name)}`;
    case "batch":
      return `Batch of ${named(names.variety, row.variety_id)}, sown ${dayWords(row.sow_day)}`;
    case "batch_stage":
      return `${named(names.variety, names.batch.get(Number(row.batch_id)))}: stage ${Number(row.position) + 1}`;
    case "order_line":
      return `Order of ${named(names.variety, row.variety_id)} for ${named(names.customer, row.customer_id)}${
        typeof row.from_day === "string" ? ` from ${dayWords(row.from_day)}` : ""
      }`;
    case "stock_tank":
      return `Stock ${String(row.letter)} of the ${named(names.loop, row.loop_id)}`;
    case "salt_lot":
      return `Lot ${String(row.name)} of ${named(names.salt, row.salt_id)}`;
    case "seed_lot":
      return `Seed lot ${String(row.name)} of ${named(names.variety, row.variety_id)}`;
    case "recipe_salt":
      return `${named(names.salt, row.salt_id)} in ${named(names.recipe, row.recipe_id)}`;
    case "variety_step":
      return `${named(names.variety, row.variety_id)}: step ${Number(row.position) + 1}`;
    case "variety_stage":
      return `${named(names.variety, row.variety_id)}: ${String(row.name)}`;
    case "log_entry":
      return `Log: ${logTitle(row)}`;
    case "reading":
      return `Reading of the ${named(names.loop, row.loop_id)}`;
    case "offcut":
      return `Offcut of ${String(row.material)}`;
    case "material":
      return `Material ${String(row.item).replaceAll("-", " ").replace(":", ", ")}`;
    case "change_set_row":
      return "What-if: a change in it";
    case "reset_link":
      return "Link for a new password";
    case "invitation":
      return `Invitation as ${String(row.role)}`;
    default:
      return `${what} ${String(row.name ?? "")}`.trim();
  }
}

function kindOf({ spec }: Row): StandKind | undefined {
  return STAND_KINDS.find((kind) => typeof spec === "object" && spec !== null && "kind" in spec && spec.kind === kind);
}

/** A row of the log by what it says was done. */
function logTitle({ what }: Row): string {
  if (!isEntryValue(what)) return "entry";
  return what.kind === "correction" ? "figures corrected" : entryTitle(what);
}

/** What differs, column by column; nothing of a new or removed row. */
export function changedParts({ table, before, after }: Changed, names: HistoryNames, days: DayColumns): ChangedPart[] {
  if (before === null || after === null) return [];
  const [old, now] = [flat(before), flat(after)];
  const columns = [...new Set([...Object.keys(old), ...Object.keys(now)])];
  const described = describedColumns(table, after);
  const shownOf = (name: string, value: unknown) =>
    typeof value === "string" && days.has(`${table}.${name}`) ? dayWords(value) : shown(name, value, names, described);
  return columns
    .filter((name) => !SILENT.has(name.split(".")[0]!) && JSON.stringify(old[name]) !== JSON.stringify(now[name]))
    .slice(0, MOST_PARTS)
    .map((name) => ({
      label: described.get(name)?.label.toLowerCase() ?? labelOf(name),
      before: shownOf(name, old[name]),
      after: shownOf(name, now[name]),
    }));
}

/** Columns that hold objects, part by part: `spec.pitchM`. */
function flat(row: Row): Row {
  return Object.fromEntries(
    Object.entries(row).flatMap(([name, value]) =>
      typeof value === "object" && value !== null && !Array.isArray(value)
        ? Object.entries(value).map(([key, part]) => [`${name}.${key}`, part] as const)
        : [[name, value] as const],
    ),
  );
}

/** The names of the rows that fields refer to, by the table that they are in. */
const NAMES: Readonly<Record<string, Exclude<keyof HistoryNames, "batch">>> = {
  house: "house",
  growing_area: "growingArea",
  loop: "loop",
  source: "source",
  salt: "salt",
  recipe: "recipe",
  variety: "variety",
  harvest_unit: "unit",
  customer: "customer",
};

type Described = ReadonlyMap<string, Measure | EntityField>;

/** What is known of a table's columns, part by part where they hold objects: `spec.pitchM`, `analysis_mg_per_l.Ca`. */
function describedColumns(table: string, row: Row): Described {
  const fields = (ENTITIES[table]?.fields ?? []).flatMap((field): (readonly [string, Measure | EntityField])[] => {
    const column = columnOf(field);
    if (field.type === "union") return unionColumns(field, column, row[column]);
    if (field.type !== "amounts") return [[column, field]];
    const { name, dimension, greatest } = field;
    return field.of.map((part) => [
      `${column}.${part}`,
      { type: "number", name, label: `${field.label} ${part}`, dimension, least: 0, greatest },
    ]);
  });
  return new Map(fields);
}

/** The measures of the kind that a column is of, and its kind. */
function unionColumns(
  { name, label, kinds, labels }: Extract<EntityField, { readonly type: "union" }>,
  column: string,
  value: unknown,
): (readonly [string, Measure])[] {
  const { kind } = (value ?? {}) as { readonly kind?: string };
  const options = Object.keys(kinds);
  return [
    [`${column}.kind`, { type: "choice", name, label, options, ...(labels && { labels }) }],
    ...(kinds[kind ?? ""] ?? []).map((measure) => [`${column}.${measure.name}`, measure] as const),
  ];
}

function shown(name: string, value: unknown, names: HistoryNames, described: Described): Shown | null {
  if (value === null || value === undefined || value === "") return null;
  const field = described.get(name);
  if (field?.type === "reference") {
    const list = NAMES[field.to];
    return (list && names[list].get(Number(value))) ?? `no. ${String(value)}`;
  }
  if (typeof value === "number") {
    if (field?.type === "number") return { value, dimension: field.dimension };
    return { value, dimension: UNITS.find(([suffix]) => name.endsWith(suffix))?.[1] ?? "ratio" };
  }
  if (field?.type === "choice") return field.labels?.[String(value)] ?? String(value);
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (Array.isArray(value)) return shownList(value, field);
  return typeof value === "object" ? JSON.stringify(value) : String(value);
}

function shownList(list: readonly unknown[], field: Measure | EntityField | undefined): Shown {
  if (field?.type === "numbers")
    return list.map((value): Shown => ({ value: Number(value), dimension: field.dimension }));
  if (field?.type === "list")
    return list.map((row) =>
      field.columns.map((column): Shown => {
        const value = (row as Row)[column.name];
        return column.type === "number" ? { value: Number(value), dimension: column.dimension } : String(value);
      }),
    );
  return list.every((part) => typeof part !== "object") ? list.join(", ") : counted(list.length, "part");
}

/** In the garden's units. */
export function shownWords(value: Shown | null, units: UnitPreferences): string {
  if (value === null) return "nothing";
  if (typeof value === "string") return value;
  if ("dimension" in value) return quantityText(value.value, value.dimension, units);
  // Rows of a list are told apart, figures of a row stand together.
  const isRows = value.some(Array.isArray);
  return value.map((part) => shownWords(part, units)).join(isRows ? ", " : " ");
}

function dayWords(value: unknown): string {
  return typeof value === "string" ? dayInWords(dayFromIso(value), "year") : "on no day";
}

/** "ec_ms_per_cm" → "ec", "sow_day" → "sow day". */
function labelOf(name: string): string {
  const last = name.split(".").at(-1)!;
  const bare = name.includes(".")
    ? last.replaceAll(/([a-z])([A-Z])/gu, "$1 $2")
    : UNITS.reduce((text, [suffix]) => (text.endsWith(suffix) ? text.slice(0, -suffix.length) : text), last).replace(
        /_(id|on)$/u,
        "",
      );
  return bare.replaceAll("_", " ").toLowerCase();
}
