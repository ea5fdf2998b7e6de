import { NUTRIENTS, type Nutrient, type NutrientAmounts } from "./nutrients";
import { SALT_FORMS } from "./salts";
import { SOLUBILITY_AT_C } from "./stocks";

/** A salt as a line of a file has it; what has no column is not there. */
export interface FileSalt {
  readonly name: string;
  readonly percent: NutrientAmounts;
  readonly form?: (typeof SALT_FORMS)[number];
  readonly densityKgPerL?: number | null;
  readonly solubilityGPerL?: readonly number[] | null;
  readonly pricePerKg?: number;
  readonly onHandG?: number;
  readonly leadDays?: number;
  readonly chelate?: boolean;
  readonly alone?: boolean;
  readonly caution?: string;
}

/** What is wrong with a file of salts; lines are counted from 1, the one with the names of the columns included. */
export type SaltsProblem =
  | { readonly kind: "empty" }
  | { readonly kind: "no-name" }
  | { readonly kind: "unknown-column"; readonly column: string }
  | { readonly kind: "name-missing"; readonly line: number }
  | { readonly kind: "twice"; readonly line: number; readonly name: string }
  | { readonly kind: "not-a-number"; readonly line: number; readonly column: string; readonly text: string }
  | {
      readonly kind: "outside-range";
      readonly line: number;
      readonly column: string;
      readonly value: number;
      readonly least: number;
      readonly greatest: number;
    }
  | { readonly kind: "not-one-of"; readonly line: number; readonly column: string; readonly of: readonly string[] }
  | { readonly kind: "adds-up"; readonly line: number; readonly sum: number }
  | { readonly kind: "solubility-in-part"; readonly line: number }
  | { readonly kind: "liquid-without-density"; readonly line: number };

const RANGES: Readonly<Record<string, readonly [least: number, greatest: number]>> = {
  density_kg_per_l: [0.05, 20],
  price_per_kg: [0, 100_000],
  on_hand_g: [0, 100_000_000],
  lead_days: [0, 365],
  ...Object.fromEntries(SOLUBILITY_AT_C.map((celsius) => [solubilityColumn(celsius), [0.001, 10_000]])),
  ...Object.fromEntries(NUTRIENTS.map((nutrient) => [percentColumn(nutrient), [0, 100]])),
};
const TEXTS = ["name", "form", "chelate", "stands_alone", "caution"];

/** "NO3-N_percent" */
function percentColumn(nutrient: Nutrient): string {
  return `${nutrient}_percent`;
}

/** "dissolves_10c_g_per_l" */
function solubilityColumn(celsius: number): string {
  return `dissolves_${celsius}c_g_per_l`;
}

/** Salts as the lines of a file, by the names of their columns; the same that are read again. */
export function saltsTable(salts: readonly Required<FileSalt>[]): Record<string, string | number>[] {
  return salts.map((salt) => ({
    name: salt.name,
    form: salt.form,
    density_kg_per_l: salt.densityKgPerL ?? "",
    ...Object.fromEntries(NUTRIENTS.map((nutrient) => [percentColumn(nutrient), salt.percent[nutrient] ?? ""])),
    ...Object.fromEntries(
      SOLUBILITY_AT_C.map((celsius, at) => [solubilityColumn(celsius), salt.solubilityGPerL?.[at] ?? ""]),
    ),
    price_per_kg: salt.pricePerKg,
    on_hand_g: salt.onHandG,
    lead_days: salt.leadDays,
    chelate: salt.chelate ? "yes" : "no",
    stands_alone: salt.alone ? "yes" : "no",
    caution: salt.caution,
  }));
}

/**
 * Reads salts from the cells of a file whose first line names the columns.
 *
 * @returns what is sound, and what is wrong: nothing is taken while anything is
 */
export function readSalts(lines: readonly (readonly string[])[]): {
  readonly salts: readonly FileSalt[];
  readonly problems: readonly SaltsProblem[];
} {
  const header = (lines[0] ?? []).map((cell) => cell.replace(/^\uFEFF/u, "").trim());
  if (header.every((cell) => cell === "")) return { salts: [], problems: [{ kind: "empty" }] };
  const known = new Map([...TEXTS, ...Object.keys(RANGES)].map((column) => [column.toLowerCase(), column]));
  const columns = header.map((cell) => known.get(cell.toLowerCase()) ?? null);
  const problems: SaltsProblem[] = header.flatMap((cell, at): SaltsProblem[] =>
    columns[at] === null ? [{ kind: "unknown-column", column: cell }] : [],
  );
  if (!columns.includes("name")) problems.push({ kind: "no-name" });
  if (problems.length > 0) return { salts: [], problems };
  const names = new Set<string>();
  const salts = lines.slice(1).flatMap((cells, index): FileSalt[] => {
    if (cells.every((cell) => cell.trim() === "")) return [];
    const line = index + 2;
    const row = new Map(columns.map((column, at) => [column!, (cells[at] ?? "").trim()]));
    const name = row.get("name")!;
    if (name === "") problems.push({ kind: "name-missing", line });
    else if (names.has(name)) problems.push({ kind: "twice", line, name });
    names.add(name);
    return [saltOf(row, line, problems)];
  });
  if (salts.length === 0 && problems.length === 0) problems.push({ kind: "empty" });
  return { salts, problems };
}

function saltOf(row: ReadonlyMap<string, string>, line: number, problems: SaltsProblem[]): FileSalt {
  const figure = (column: string): number | null => {
    const text = row.get(column) ?? "";
    if (text === "") return null;
    const value = Number(text);
    const [least, greatest] = RANGES[column]!;
    if (!Number.isFinite(value)) problems.push({ kind: "not-a-number", line, column, text });
    else if (value < least || value > greatest)
      problems.push({ kind: "outside-range", line, column, value, least, greatest });
    else return value;
    return null;
  };
  const word = <One extends string>(column: string, of: readonly One[]): One | undefined => {
    const text = (row.get(column) ?? "").toLowerCase();
    const found = of.find((one) => one === text);
    if (text !== "" && !found) problems.push({ kind: "not-one-of", line, column, of });
    return found;
  };
  const percent = Object.fromEntries(
    NUTRIENTS.flatMap((nutrient) => {
      const value = figure(percentColumn(nutrient));
      return value === null || value === 0 ? [] : [[nutrient, value]];
    }),
  );
  const sum = Object.values(percent).reduce((all, value) => all + value, 0);
  if (sum > 100) problems.push({ kind: "adds-up", line, sum });
  const solubility = SOLUBILITY_AT_C.map((celsius) => figure(solubilityColumn(celsius)));
  const told = solubility.filter((value) => value !== null);
  if (told.length > 0 && told.length < solubility.length) problems.push({ kind: "solubility-in-part", line });
  const form = word("form", SALT_FORMS);
  const [chelate, alone] = [word("chelate", ["yes", "no"]), word("stands_alone", ["yes", "no"])];
  const densityKgPerL = figure("density_kg_per_l");
  if (form === "liquid" && densityKgPerL === null) problems.push({ kind: "liquid-without-density", line });
  const [pricePerKg, onHandG, leadDays] = [figure("price_per_kg"), figure("on_hand_g"), figure("lead_days")];
  const has = (column: string) => row.has(column);
  return {
    name: row.get("name")!,
    percent,
    ...(form && { form }),
    ...(has("density_kg_per_l") && { densityKgPerL }),
    ...(has(solubilityColumn(SOLUBILITY_AT_C[0])) && {
      solubilityGPerL: told.length === solubility.length ? told : null,
    }),
    ...(pricePerKg !== null && { pricePerKg }),
    ...(onHandG !== null && { onHandG }),
    ...(leadDays !== null && { leadDays: Math.round(leadDays) }),
    ...(chelate && { chelate: chelate === "yes" }),
    ...(alone && { alone: alone === "yes" }),
    ...(has("caution") && { caution: row.get("caution")! }),
  };
}
