import type { Dimension } from "@/core/units/dimensions";
import { dayFromIso, dayInWords } from "@/core/units/day";
import type { Change } from "./queries";

type Row = Readonly<Record<string, unknown>>;

/** Names of the rows that others point to; a batch has its variety's. */
export interface Names {
  readonly house: ReadonlyMap<number, string>;
  readonly pool: ReadonlyMap<number, string>;
  readonly stand: ReadonlyMap<number, string>;
  readonly loop: ReadonlyMap<number, string>;
  readonly source: ReadonlyMap<number, string>;
  readonly salt: ReadonlyMap<number, string>;
  readonly recipe: ReadonlyMap<number, string>;
  readonly variety: ReadonlyMap<number, string>;
  readonly outlet: ReadonlyMap<number, string>;
  readonly batch: ReadonlyMap<number, number>;
}

/** Columns that hold days, as "table.column". What a text looks like says nothing: a bench may be called "2027-02-30". */
export type DayColumns = ReadonlySet<string>;

/** A value of a row: words, or a figure to be shown in the garden's units. */
export type Told = string | { readonly value: number; readonly dimension: Dimension };

/** What of a row is another than before. */
export interface ChangedPart {
  readonly label: string;
  readonly before: Told | null;
  readonly after: Told | null;
}

const TABLES: Readonly<Record<string, string>> = {
  garden: "Garden", person: "Member", house: "House", pool: "Pool", stand: "Stand", store: "Store", source: "Source", loop: "Loop",
  stock_tank: "Stock tank", salt: "Salt", recipe: "Recipe", recipe_salt: "Salt of a recipe", variety: "Variety", variety_stage: "Stage",
  outlet: "Outlet", order_line: "Order", batch: "Batch", batch_stage: "Stage of a batch", log_entry: "Log", reading: "Reading", invitation: "Invitation",
  layout: "Layout", cut_list: "Cut list", offcut: "Offcut", material: "Material",
}; // prettier-ignore

/** Columns that name a row or are kept by the database. */
const SILENT = new Set([
  "id",
  "garden_id",
  "version",
  "token_hash",
  "account_id",
  "log_id",
  "person_id",
  "planned",
  "actual",
  "item_key",
  "made_by",
  "used_by",
  "kind_of",
  "document",
  "plan",
]);
/** What a unit at the end of a column means; the longest first. */
const UNITS: readonly (readonly [suffix: string, dimension: Dimension])[] = [
  ["_ms_per_cm", "ec"], ["_mg_per_l", "concentration"], ["_lph", "flow"], ["_lpd", "volume"], ["_m2", "area"], ["_m", "length"], ["_l", "volume"], ["_mm", "bore"], ["_g", "mass"],
  ["_c", "temperature"], ["_share", "share"], ["_days", "days"],
]; // prettier-ignore
const SPEC_UNITS: readonly (readonly [suffix: string, dimension: Dimension])[] = [["Lph", "flow"], ["Mm", "bore"], ["M", "length"], ["L", "volume"]]; // prettier-ignore
const MOST_PARTS = 12;

/** Which row it was, in words: "Stand Leaf bank", "Batch of Mizuna, sown 3 Sep". */
export function titleOf({ table, before, after }: Pick<Change, "table" | "before" | "after">, names: Names): string {
  const row = after ?? before ?? {};
  const what = TABLES[table] ?? table;
  const named = (map: ReadonlyMap<number, string>, id: unknown) => map.get(Number(id)) ?? "one that is gone";
  switch (table) {
    case "batch":
      return `Batch of ${named(names.variety, row.variety_id)}, sown ${dayWords(row.sow_day)}`;
    case "batch_stage":
      return `${named(names.variety, names.batch.get(Number(row.batch_id)))}: stage ${Number(row.position) + 1}`;
    case "order_line":
      return `Order of ${named(names.variety, row.variety_id)} for ${named(names.outlet, row.outlet_id)}`;
    case "stock_tank":
      return `Stock ${String(row.letter)} of the ${named(names.loop, row.loop_id)}`;
    case "recipe_salt":
      return `${named(names.salt, row.salt_id)} in ${named(names.recipe, row.recipe_id)}`;
    case "variety_stage":
      return `${named(names.variety, row.variety_id)}: ${String(row.name)}`;
    case "log_entry":
      return `Log: ${String(row.title)}`;
    case "reading":
      return `Reading of the ${named(names.loop, row.loop_id)}`;
    case "offcut":
      return `Offcut of ${String(row.material)}`;
    case "material":
      return `Material ${String(row.item)}`;
    case "reset_link":
      return "Link for a new password";
    case "invitation":
      return `Invitation as ${String(row.role)}`;
    default:
      return `${what} ${String(row.name ?? "")}`.trim();
  }
}

/** What differs, column by column; of a new or removed row its figures. */
export function changedParts(
  { table, before, after }: Pick<Change, "table" | "before" | "after">,
  names: Names,
  days: DayColumns,
): ChangedPart[] {
  if (before === null || after === null) return [];
  const [old, now] = [flat(before), flat(after)];
  const columns = [...new Set([...Object.keys(old), ...Object.keys(now)])];
  const toldOf = (name: string, value: unknown) =>
    typeof value === "string" && days.has(`${table}.${name}`) ? dayWords(value) : told(name, value, names);
  return columns
    .filter((name) => !SILENT.has(name.split(".")[0]!) && JSON.stringify(old[name]) !== JSON.stringify(now[name]))
    .slice(0, MOST_PARTS)
    .map((name) => ({
      label: labelOf(name),
      before: toldOf(name, old[name]),
      after: toldOf(name, now[name]),
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

function told(name: string, value: unknown, names: Names): Told | null {
  if (value === null || value === undefined || value === "") return null;
  const pointed = /^(house|pool|loop|source|recipe|variety|outlet)_id$/u.exec(name)?.[1] as keyof Names | undefined;
  if (pointed && pointed !== "batch") return (names[pointed] as ReadonlyMap<number, string>).get(Number(value)) ?? `no. ${String(value)}`; // prettier-ignore
  if (typeof value === "number") {
    const units = name.includes(".") ? SPEC_UNITS : UNITS;
    const dimension = units.find(([suffix]) => name.endsWith(suffix))?.[1];
    return { value, dimension: dimension ?? "ratio" };
  }
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (Array.isArray(value)) return value.every((part) => typeof part !== "object") ? value.join(", ") : `${value.length} parts`; // prettier-ignore
  return typeof value === "object" ? JSON.stringify(value) : String(value);
}

function dayWords(value: unknown): string {
  return typeof value === "string" ? dayInWords(dayFromIso(value), "year") : "on no day";
}

/** "ec_ms_per_cm" → "ec", "spec.lineLengthM" → "line length", "sow_day" → "sow day". */
function labelOf(name: string): string {
  const last = name.split(".").at(-1)!;
  const bare = name.includes(".")
    ? last.replace(/(Lph|M|L|Mm)$/u, "").replaceAll(/([a-z])([A-Z])/gu, "$1 $2")
    : UNITS.reduce((text, [suffix]) => (text.endsWith(suffix) ? text.slice(0, -suffix.length) : text), last).replace(
        /_(id|on)$/u,
        "",
      );
  return bare.replaceAll("_", " ").toLowerCase();
}
