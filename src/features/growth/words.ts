import type { WeatherColumn, WeatherProblem } from "@/core/place/climate/weatherFile";
import { dayInWords, type Day } from "@/core/units/day";
import { formatNumber } from "@/core/units/format";

const COLUMN_WORDS: Readonly<Record<WeatherColumn, string>> = {
  day: "the date",
  highestC: "the warmest of the day",
  lowestC: "the coldest of the night",
  rainMm: "rain",
  humidityPercent: "humidity",
  windMPerS: "wind",
  radiationMjPerM2: "radiation",
};
const COLUMN_UNITS: Readonly<Record<WeatherColumn, string>> = {
  day: "",
  highestC: " °C",
  lowestC: " °C",
  rainMm: " mm",
  humidityPercent: " %",
  windMPerS: " m/s",
  radiationMjPerM2: " MJ/m²",
};
/** Names that such a column may go by. */
const COLUMN_NAMES: Partial<Record<WeatherColumn, string>> = { day: "date", highestC: "tmax", lowestC: "tmin" };

const span = (from: Day, to: Day) =>
  from === to
    ? `${dayInWords(from, "year")} is missing`
    : `${dayInWords(from, "year")} to ${dayInWords(to, "year")} are missing`;

/** What is wrong in a file of daily weather, where, and what would be right. */
export function weatherProblemWords(problem: WeatherProblem): string {
  switch (problem.kind) {
    case "empty":
      return "There is nothing in the file.";
    case "no-column":
      return problem.found.length < 2
        ? `The first line is “${problem.found.join("")}”: it should name the columns, with commas, semicolons or tabs between them.`
        : `No column for ${COLUMN_WORDS[problem.column]}: name one “${COLUMN_NAMES[problem.column] ?? problem.column}”. Found: ${problem.found.join(", ")}.`;
    case "not-a-date":
      return `Line ${problem.line}: “${problem.text}” is no date; write it as 2027-05-31.`;
    case "not-a-number":
      return problem.text === ""
        ? `Line ${problem.line}: ${COLUMN_WORDS[problem.column]} is missing.`
        : `Line ${problem.line}: ${COLUMN_WORDS[problem.column]} is “${problem.text}”, which is no number.`;
    case "outside-range": {
      const unit = COLUMN_UNITS[problem.column];
      return `Line ${problem.line}: ${COLUMN_WORDS[problem.column]} is ${formatNumber(problem.value)}${unit}; it must be from ${problem.least} to ${problem.greatest}${unit}.`;
    }
    case "lowest-over-highest":
      return `Line ${problem.line}: the coldest, ${formatNumber(problem.lowestC)} °C, is over the warmest, ${formatNumber(problem.highestC)} °C.`;
    case "twice":
      return `Line ${problem.line}: ${dayInWords(problem.day, "year")} was on line ${problem.firstLine} already.`;
    case "hole":
      return `Before line ${problem.line}: ${span(problem.from, problem.to)}.`;
    case "swapped":
      return "Warmest and coldest seem to have changed places: on most lines the coldest is over the warmest.";
    case "fahrenheit":
      return `Temperatures seem to be in °F: the warmest of the days is ${formatNumber(Math.round(problem.meanHighest))} on average. Bring them in as °C.`;
  }
}
