import { fieldOf, type Entity, type EntityField } from "./entities/field";
import { TRAY, VARIETY, VARIETY_STAGE } from "./entities/growth";
import type { Json } from "./changes";
import type { Measure } from "../place/kinds/model";

/** A cell of a file of crops that could not be read. */
export type CellProblem =
  | { readonly kind: "not-a-number"; readonly text: string }
  | { readonly kind: "outside-range"; readonly value: number; readonly least: number; readonly greatest: number }
  | { readonly kind: "not-one-of"; readonly text: string; readonly of: readonly string[] }
  | { readonly kind: "not-twelve"; readonly count: number }
  | { readonly kind: "too-long"; readonly most: number };

/** A column of a file of crops: the field that it is of, and its part of it. */
export interface CropColumn {
  readonly name: string;
  readonly field: Measure | EntityField;
  /** "variety", or the number of a stage from 1. */
  readonly of: "variety" | number;
  /** Of an object of several kinds: the name of the object. */
  readonly within?: string;
}

export const MOST_STAGES = 4;
/** Written by the names of what they refer to, not by ids. */
const BY_NAME: Readonly<Record<string, string>> = { unitId: "unit", growingAreaId: "growingArea" };

function columnsOfEntity(entity: Entity, of: CropColumn["of"], leftOut: readonly string[]): CropColumn[] {
  const prefix = of === "variety" ? "" : `stage${of}.`;
  return entity.fields.flatMap((field): CropColumn[] => {
    if (leftOut.includes(field.name)) return [];
    if (field.type !== "union") return [{ name: `${prefix}${BY_NAME[field.name] ?? field.name}`, field, of }];
    const measures = new Map(Object.values(field.kinds).flatMap((list) => list.map((one) => [one.name, one] as const)));
    const kind = { type: "choice", name: "kind", label: field.label, options: Object.keys(field.kinds) } as const;
    return [kind, ...measures.values()].map((part) => ({
      name: `${prefix}${field.name}.${part.name}`,
      field: part as Measure,
      of,
      within: field.name,
    }));
  });
}

/** All columns of a file of crops, in the order in which they are written. */
export const CROP_COLUMNS: readonly CropColumn[] = [
  ...columnsOfEntity(VARIETY, "variety", []),
  ...Array.from({ length: MOST_STAGES }, (_, at) =>
    columnsOfEntity(VARIETY_STAGE, at + 1, ["varietyId", "position"]),
  ).flat(),
];

/** The measures that an object of a kind has, by their names. */
export function measuresOf(name: string, kind: string): readonly string[] {
  const field = name === "tray" ? TRAY : fieldOf(VARIETY, name);
  const kinds: Readonly<Record<string, readonly Measure[]>> = field.type === "union" ? field.kinds : {};
  return (kinds[kind] ?? []).map((measure) => measure.name);
}

/** A value as it stands in a cell; lists with blanks between, amounts as "K:120 Ca:60". */
export function cellOf(value: Json | undefined): string {
  if (value === null || value === undefined) return "";
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (Array.isArray(value)) return value.join(" ");
  if (typeof value === "object")
    return Object.entries(value)
      .map(([name, amount]) => `${name}:${String(amount)}`)
      .join(" ");
  return String(value);
}

/** The value of a cell, by the description of its field; an empty one is null. */
export function valueOf(field: Measure | EntityField, text: string): { readonly value: Json } | CellProblem {
  if (text === "") return { value: null };
  switch (field.type) {
    case "number":
      return numberIn(text, field);
    case "numbers": {
      const cells = text.split(/[\s;]+/u);
      if (cells.length !== 12) return { kind: "not-twelve", count: cells.length };
      return listOf(cells.map((cell) => numberIn(cell, field)));
    }
    case "choice":
      return oneOf(text, field.options);
    case "choices":
      return listOf(text.split(/[\s;]+/u).map((cell) => oneOf(cell, field.options)));
    case "switch": {
      const found = oneOf(text.toLowerCase(), ["yes", "no"]);
      return "kind" in found ? found : { value: found.value === "yes" };
    }
    case "amounts": {
      const pairs = text.split(/[\s;]+/u).map((cell) => cell.split(":"));
      const read = pairs.map(([name = "", amount = ""]) => {
        const known = oneOf(name, field.of);
        return "kind" in known ? known : numberIn(amount, { least: 0, greatest: field.greatest });
      });
      const all = listOf(read);
      if ("kind" in all) return all;
      return {
        value: Object.fromEntries((all.value as readonly number[]).map((amount, at) => [pairs[at]![0]!, amount])),
      };
    }
    case "text":
    case "note": {
      const most = field.most ?? (field.type === "text" ? 80 : 500);
      return text.length > most ? { kind: "too-long", most } : { value: text };
    }
    default:
      return { value: text };
  }
}

interface Range {
  readonly least: number;
  readonly greatest: number;
  readonly whole?: boolean;
}

function numberIn(text: string, { least, greatest, whole = false }: Range): { readonly value: number } | CellProblem {
  const value = Number(text);
  if (!Number.isFinite(value) || (whole && !Number.isInteger(value))) return { kind: "not-a-number", text };
  return value < least || value > greatest ? { kind: "outside-range", value, least, greatest } : { value };
}

function oneOf(text: string, of: readonly string[]): { readonly value: string } | CellProblem {
  return of.includes(text) ? { value: text } : { kind: "not-one-of", text, of };
}

function listOf(
  cells: readonly ({ readonly value: string | number } | CellProblem)[],
): { readonly value: Json } | CellProblem {
  const wrong = cells.find((cell) => "kind" in cell);
  if (wrong && "kind" in wrong) return wrong;
  return { value: cells.map((cell) => (cell as { readonly value: string | number }).value) };
}
