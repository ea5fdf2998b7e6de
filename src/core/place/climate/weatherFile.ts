import { dayFromIso, type Day } from "../../units/day";

/** A day of weather outside. What was not measured is null. */
export interface WeatherDay {
  readonly day: Day;
  readonly highestC: number;
  readonly lowestC: number;
  readonly rainMm: number | null;
  readonly humidityPercent: number | null;
  readonly windMPerS: number | null;
  readonly radiationMjPerM2: number | null;
}
type Figure = Exclude<keyof WeatherDay, "day">;

/** What is wrong with a file of daily weather; lines are counted from 1, the one with the names of the columns included. */
export type WeatherProblem =
  | { readonly kind: "empty" }
  | { readonly kind: "no-column"; readonly column: "day" | Figure; readonly found: readonly string[] }
  | { readonly kind: "not-a-date"; readonly line: number; readonly text: string }
  | { readonly kind: "not-a-number"; readonly line: number; readonly column: Figure; readonly text: string }
  | {
      readonly kind: "outside-range";
      readonly line: number;
      readonly column: Figure;
      readonly value: number;
      readonly least: number;
      readonly greatest: number;
    }
  | { readonly kind: "lowest-over-highest"; readonly line: number; readonly highestC: number; readonly lowestC: number }
  | { readonly kind: "twice"; readonly line: number; readonly day: Day; readonly firstLine: number }
  | { readonly kind: "hole"; readonly line: number; readonly from: Day; readonly to: Day }
  /** Warmest and coldest seem to have changed places on most days. */
  | { readonly kind: "swapped"; readonly lines: number }
  /** Degrees Fahrenheit where Celsius are taken: a year's highest temperatures are not like that. */
  | { readonly kind: "fahrenheit"; readonly meanHighest: number };

export type WeatherColumn = "day" | Figure;

export interface WeatherFile {
  /** In the order of the days. */
  readonly days: readonly WeatherDay[];
  readonly problems: readonly WeatherProblem[];
}

/** Names that columns go by, without blanks, dots and units, in small letters. */
const COLUMNS: readonly {
  readonly name: "day" | Figure;
  readonly also: RegExp;
  readonly least: number;
  readonly greatest: number;
}[] = [
  { name: "day", also: /^(?:date|day|time)$/u, least: 0, greatest: 0 },
  { name: "highestC", also: /^(?:tmax|maxtemp\w*|temperaturemax|highest\w*|tx)$/u, least: -60, greatest: 60 },
  { name: "lowestC", also: /^(?:tmin|mintemp\w*|temperaturemin|lowest\w*|tn)$/u, least: -70, greatest: 50 },
  { name: "rainMm", also: /^(?:rain\w*|precip\w*|prcp|rr)$/u, least: 0, greatest: 1000 },
  { name: "humidityPercent", also: /^(?:humidity\w*|rh\w*|relativehumidity\w*)$/u, least: 0, greatest: 100 },
  { name: "windMPerS", also: /^(?:wind\w*|ff|u2)$/u, least: 0, greatest: 80 },
  { name: "radiationMjPerM2", also: /^(?:radiation\w*|solar\w*|rs|srad)$/u, least: 0, greatest: 45 },
];
const NEEDED = ["day", "highestC", "lowestC"] as const;
const SEPARATORS = ["\t", ";", ","] as const;
/** Nowhere is the mean of the highest temperatures over this, in °C. */
const MOST_MEAN_C = 45;

/**
 * Reads daily weather from a text with one day a line, its columns named in the first one, separated by commas, semicolons or
 * tabs; with semicolons and tabs a comma is a decimal one. Temperatures in °C, rain in mm, wind in m/s, radiation in MJ/m².
 *
 * @returns the days that are sound, and what is wrong with the others: nothing is taken as it is while anything is wrong
 */
export function readWeather(text: string): WeatherFile {
  const lines = text.replace(/^\uFEFF/u, "").split(/\r\n|\n|\r/u);
  const header = lines[0] ?? "";
  if (header.trim() === "") return { days: [], problems: [{ kind: "empty" }] };
  const separator = SEPARATORS.find((one) => header.includes(one)) ?? ",";
  const names = header.split(separator).map((name) => name.trim());
  const places = columnPlaces(names);
  const missing = NEEDED.filter((name) => !places.has(name));
  if (missing.length > 0)
    // Where the columns are not told apart that is said once.
    return {
      days: [],
      problems: missing
        .slice(0, names.length < 2 ? 1 : missing.length)
        .map((column) => ({ kind: "no-column", column, found: names })),
    };
  const problems: WeatherProblem[] = [];
  const read = lines.slice(1).flatMap((line, index) => {
    if (line.trim() === "") return [];
    const cells = line.split(separator).map((cell) => cell.trim());
    const found = dayOf(cells, places, separator !== ",", index + 2, problems);
    return found ? [{ line: index + 2, ...found }] : [];
  });
  const inOrder = [...read].sort((one, other) => one.day - other.day || one.line - other.line);
  // Of a line that is wrong the day is there all the same.
  const dated = lines.slice(1).flatMap((line, index) => {
    const day = dayIn(line.split(separator)[places.get("day")!]?.trim() ?? "");
    return day === null ? [] : [{ line: index + 2, day }];
  });
  dated.sort((one, other) => one.day - other.day || one.line - other.line);
  dated.forEach((one, index) => {
    const before = dated[index - 1];
    if (!before) return;
    if (before.day === one.day) problems.push({ kind: "twice", line: one.line, day: one.day, firstLine: before.line });
    else if (one.day > before.day + 1)
      problems.push({ kind: "hole", line: one.line, from: before.day + 1, to: one.day - 1 });
  });
  const meanHighest = read.reduce((sum, { highestC }) => sum + highestC, 0) / Math.max(1, read.length);
  if (meanHighest > MOST_MEAN_C) problems.push({ kind: "fahrenheit", meanHighest });
  const turned = problems.filter(({ kind }) => kind === "lowest-over-highest").length;
  if (turned > read.length) return { days: [], problems: [{ kind: "swapped", lines: turned }] };
  const lineOf = (problem: WeatherProblem) => ("line" in problem ? problem.line : 0);
  return {
    days: inOrder.map(({ line: _line, ...day }) => day),
    problems: problems.sort((one, other) => lineOf(one) - lineOf(other)),
  };
}

function columnPlaces(names: readonly string[]): Map<"day" | Figure, number> {
  const bare = names.map((name) =>
    name
      .toLowerCase()
      .replaceAll(/\(.*?\)|\[.*?\]/gu, "")
      .replaceAll(/[^a-z0-9]/gu, ""),
  );
  return new Map(
    COLUMNS.flatMap(({ name, also }) => {
      const at = bare.findIndex((one) => also.test(one));
      return at < 0 ? [] : [[name, at] as const];
    }),
  );
}

function dayOf(
  cells: readonly string[],
  places: ReadonlyMap<"day" | Figure, number>,
  hasDecimalComma: boolean,
  line: number,
  problems: WeatherProblem[],
): WeatherDay | null {
  const dateText = cells[places.get("day")!] ?? "";
  const day = dayIn(dateText);
  const before = problems.length;
  if (day === null) problems.push({ kind: "not-a-date", line, text: dateText });
  const figure = ({ name, least, greatest }: (typeof COLUMNS)[number]): number | null => {
    const column = name as Figure;
    const place = places.get(name);
    const text = place === undefined ? "" : (cells[place] ?? "");
    if (text === "") {
      if (column === "highestC" || column === "lowestC") problems.push({ kind: "not-a-number", line, column, text });
      return null;
    }
    const value = Number(hasDecimalComma ? text.replace(",", ".") : text);
    if (!Number.isFinite(value)) problems.push({ kind: "not-a-number", line, column, text });
    // In Fahrenheit a whole file is outside: that is said once.
    else if (value < least || value > (column.endsWith("C") ? 2.2 * greatest : greatest))
      problems.push({ kind: "outside-range", line, column, value, least, greatest });
    return value;
  };
  const figures = Object.fromEntries(COLUMNS.slice(1).map((column) => [column.name, figure(column)])) as Record<
    Figure,
    number | null
  >;
  const { highestC, lowestC } = figures;
  if (problems.length > before) return null;
  if (lowestC! > highestC!) {
    problems.push({ kind: "lowest-over-highest", line, highestC: highestC!, lowestC: lowestC! });
    return null;
  }
  return { ...figures, day: day!, highestC: highestC!, lowestC: lowestC! };
}

function dayIn(text: string): Day | null {
  const iso = /^(\d{4}-\d{2}-\d{2})(?:T.*)?$/u.exec(text)?.[1];
  if (iso === undefined) return null;
  try {
    return dayFromIso(iso);
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}
