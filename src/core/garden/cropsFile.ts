import type { Json, Row } from "./changes";
import {
  cellOf,
  CROP_COLUMNS,
  measuresOf,
  MOST_STAGES,
  valueOf,
  type CellProblem,
  type CropColumn,
} from "./cropColumns";
import type { Garden, Variety } from "./garden";

/** What a file of crops refers to by names. */
export interface CropNames {
  readonly units: ReadonlyMap<string, number>;
  readonly growingAreas: ReadonlyMap<string, number>;
  /** Crops that are there: what a file does not tell of them stays. */
  readonly crops: ReadonlySet<string>;
}

/** A crop as a line of a file has it; what has no column is not there. */
export interface FileCrop {
  readonly name: string;
  readonly row: Row;
  /** Stage by stage, as far as the file tells them. */
  readonly stages: readonly Row[];
}

/** What is wrong with a file of crops; lines are counted from 1, the one with the names of the columns included. */
export type CropsProblem =
  | { readonly kind: "empty" }
  | { readonly kind: "no-name" }
  | { readonly kind: "unknown-column"; readonly column: string }
  | { readonly kind: "name-missing"; readonly line: number }
  | { readonly kind: "twice"; readonly line: number; readonly name: string }
  | { readonly kind: "no-such"; readonly line: number; readonly column: string; readonly text: string }
  | { readonly kind: "out-of-order"; readonly line: number; readonly column: string; readonly other: string }
  | { readonly kind: "new-lacks"; readonly line: number; readonly name: string; readonly columns: readonly string[] }
  | { readonly kind: "gap-in-stages"; readonly line: number; readonly stage: number }
  | { readonly kind: "cell"; readonly line: number; readonly column: string; readonly cell: CellProblem };

/** Crops as the lines of a file, by the names of its columns: the same that are read again. */
export function cropsTable({
  varieties,
  growingAreas,
}: Pick<Garden, "varieties" | "growingAreas">): Record<string, string>[] {
  const areaName = new Map(growingAreas.map(({ id, name }) => [id, name]));
  return varieties.map((variety) =>
    Object.fromEntries(CROP_COLUMNS.map((column) => [column.name, cellOf(valueIn(column, variety, areaName))])),
  );
}

function valueIn({ of, field, within }: CropColumn, variety: Variety, areaName: ReadonlyMap<number, string>): Json {
  const row = (of === "variety" ? variety : variety.stages[of - 1]) as unknown as Row | undefined;
  if (!row) return null;
  if (field.name === "unitId") return variety.unit.name;
  if (field.name === "growingAreaId") return areaName.get(Number(row.growingAreaId)) ?? "";
  if (within === undefined) return row[field.name] ?? null;
  const object = row[within] as Row | null;
  return object?.[field.name] ?? null;
}

/** Pairs of which the first must not be over the second. */
const IN_ORDER: readonly (readonly [low: string, high: string])[] = [
  ["ecLow", "ecHigh"],
  ["phLow", "phHigh"],
  ["solutionLowC", "solutionHighC"],
  ["airBaseC", "airOptimumC"],
  ["airOptimumC", "airCeilingC"],
  ["thinTo", "seedsPerCell"],
];

/**
 * Reads crops from the cells of a file whose first line names the columns.
 *
 * @returns what is sound, and what is wrong: nothing is taken while anything is
 */
export function readCrops(
  lines: readonly (readonly string[])[],
  names: CropNames,
): { readonly crops: readonly FileCrop[]; readonly problems: readonly CropsProblem[] } {
  const header = (lines[0] ?? []).map((cell) => cell.replace(/^\uFEFF/u, "").trim());
  if (header.every((cell) => cell === "")) return { crops: [], problems: [{ kind: "empty" }] };
  const columns = header.map(
    (cell) => CROP_COLUMNS.find(({ name }) => name.toLowerCase() === cell.toLowerCase()) ?? null,
  );
  const problems: CropsProblem[] = header.flatMap((column, at): CropsProblem[] =>
    columns[at] === null ? [{ kind: "unknown-column", column }] : [],
  );
  if (!columns.some((column) => column?.name === "name")) problems.push({ kind: "no-name" });
  if (problems.length > 0) return { crops: [], problems };
  const seen = new Set<string>();
  const crops = lines.slice(1).flatMap((cells, index): FileCrop[] => {
    if (cells.every((cell) => cell.trim() === "")) return [];
    const line = index + 2;
    const crop = cropOf(columns as readonly CropColumn[], cells, line, names, problems);
    if (crop.name === "") problems.push({ kind: "name-missing", line });
    else if (seen.has(crop.name)) problems.push({ kind: "twice", line, name: crop.name });
    seen.add(crop.name);
    const lacks = names.crops.has(crop.name) ? [] : lackedBy(crop);
    if (crop.name !== "" && lacks.length > 0)
      problems.push({ kind: "new-lacks", line, name: crop.name, columns: lacks });
    return [crop];
  });
  if (crops.length === 0 && problems.length === 0) problems.push({ kind: "empty" });
  return { crops, problems };
}

/** What a new crop cannot do without. */
const NEEDED = ["kind", "unitId", "germination", "pattern"] as const;
const NEEDED_OF_STAGE = ["growingAreaId", "daysByMonth"] as const;

function lackedBy({ row, stages }: FileCrop): string[] {
  const named = (field: string) => (field === "unitId" ? "unit" : field === "pattern" ? "pattern.kind" : field);
  const ofStage = (field: string) => (field === "growingAreaId" ? "growingArea" : field);
  return [
    ...NEEDED.filter((field) => row[field] == null).map(named),
    ...(stages.length === 0 ? [{}] : stages).flatMap((stage: Row, at) =>
      NEEDED_OF_STAGE.filter((field) => stage[field] == null).map((field) => `stage${at + 1}.${ofStage(field)}`),
    ),
  ];
}

function cropOf(
  columns: readonly CropColumn[],
  cells: readonly string[],
  line: number,
  names: CropNames,
  problems: CropsProblem[],
): FileCrop {
  const row: Record<string, Json> = {};
  const stages = Array.from({ length: MOST_STAGES }, (): Record<string, Json> => ({}));
  columns.forEach((column, at) => {
    const text = (cells[at] ?? "").trim();
    const read = readCell(column, text, names);
    if (read === "no-such") problems.push({ kind: "no-such", line, column: column.name, text });
    else if ("kind" in read) problems.push({ kind: "cell", line, column: column.name, cell: read });
    else put(column.of === "variety" ? row : stages[column.of - 1]!, column, read.value);
  });
  for (const name of ["pattern", "tray"]) if (name in row) row[name] = onlyOfKind(name, row[name] as Row);
  for (const [low, high] of IN_ORDER)
    if (typeof row[low] === "number" && typeof row[high] === "number" && row[low] > row[high])
      problems.push({ kind: "out-of-order", line, column: low, other: high });
  const told = stages.map((stage) => Object.values(stage).some((value) => value !== null));
  const gap = told.findIndex((is, at) => !is && told.slice(at).some(Boolean));
  if (gap >= 0) problems.push({ kind: "gap-in-stages", line, stage: gap + 1 });
  return {
    name: String(row.name ?? ""),
    row: withoutNull(row),
    stages: stages.filter((_, at) => told[at]).map(withoutNull),
  };
}

function readCell({ field }: CropColumn, text: string, names: CropNames): ReturnType<typeof valueOf> | "no-such" {
  const known = field.name === "unitId" ? names.units : field.name === "growingAreaId" ? names.growingAreas : null;
  if (!known || text === "") return valueOf(field, text);
  const id = known.get(text);
  return id === undefined ? "no-such" : { value: id };
}

function put(row: Record<string, Json>, { field, within }: CropColumn, value: Json): void {
  if (within === undefined) row[field.name] = value;
  else row[within] = { ...(row[within] as Row | undefined), [field.name]: value };
}

/** An object with the measures of its kind alone; null where no kind is told. */
function onlyOfKind(name: string, object: Row): Json {
  const { kind } = object;
  if (typeof kind !== "string") return null;
  return { kind, ...Object.fromEntries(measuresOf(name, kind).map((measure) => [measure, object[measure] ?? null])) };
}

/** An empty cell changes nothing, except where the field may be empty: there it says so. */
function withoutNull(row: Record<string, Json>): Row {
  const nullable = new Set(
    CROP_COLUMNS.flatMap(({ field }) => ("nullable" in field && field.nullable ? [field.name] : [])).concat("tray"),
  );
  return Object.fromEntries(Object.entries(row).filter(([name, value]) => value !== null || nullable.has(name)));
}
