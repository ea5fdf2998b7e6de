import type { CellProblem } from "@/core/garden/cropColumns";
import type { CropsProblem } from "@/core/garden/cropsFile";
import type { GrowthRefusal } from "@/server/growth/refused";
import type { WeatherAlert } from "@/core/garden/houseCrops";
import type { UnitPreferences } from "@/core/units/dimensions";
import type { WeatherColumn, WeatherProblem } from "@/core/place/climate/weatherFile";
import { dayInWords, type Day } from "@/core/units/day";
import { formatNumber, quantityText } from "@/core/units/format";

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

/** Why something of the crops was not saved. */
export function growthRefusalWords(refusal: GrowthRefusal): string {
  return refusal.problems.map(cropsProblemWords).join(" ");
}

/** What is wrong with a file of crops. */
export function cropsProblemWords(problem: CropsProblem): string {
  switch (problem.kind) {
    case "empty":
      return "There is no crop in the file.";
    case "no-name":
      return "No column “name”: the first line names the columns, with commas between them.";
    case "unknown-column":
      return `The column “${problem.column}” is not known; take the file of your crops as an example.`;
    case "name-missing":
      return `Line ${problem.line}: the name is missing.`;
    case "twice":
      return `Line ${problem.line}: ${problem.name} is in the file twice.`;
    case "no-such":
      return `Line ${problem.line}: ${problem.column} is “${problem.text}”, which is not there. Make it first, or use a name that is.`;
    case "out-of-order":
      return `Line ${problem.line}: ${problem.column} is over ${problem.other}. Have they changed places?`;
    case "gap-in-stages":
      return `Line ${problem.line}: stage ${problem.stage} is empty, and a later one is not.`;
    case "new-lacks":
      return `Line ${problem.line}: ${problem.name} is new and lacks ${problem.columns.join(", ")}.`;
    case "cell":
      return `Line ${problem.line}: ${problem.column} ${cellProblemWords(problem.cell)}`;
  }
}

function cellProblemWords(cell: CellProblem): string {
  switch (cell.kind) {
    case "not-a-number":
      return `is “${cell.text}”, which is no such number.`;
    case "outside-range":
      return `is ${cell.value}; it must be from ${cell.least} to ${cell.greatest}.${shareHint(cell.value, cell.greatest)}`;
    case "not-one-of":
      return `is “${cell.text}”; it must be one of ${cell.of.join(", ")}.`;
    case "not-twelve":
      return `has ${cell.count} figures; it needs twelve, January first, with blanks between.`;
    case "too-long":
      return `is longer than ${cell.most} characters.`;
  }
}

/** A share typed in percent is the likeliest slip. */
const shareHint = (value: number, greatest: number) =>
  greatest === 1 && value > 1 && value <= 100 ? ` Is it percent? Then it is ${value / 100}.` : "";

/** Months of the other half of the world. */
export function turnedWords(latitudeDeg: number): string {
  const [half, warm, cold] = latitudeDeg > 0 ? ["north", "July", "January"] : ["south", "January", "July"];
  return `In the ${half} ${warm} should be warmer than ${cold}. Do the months begin with another one, or has the latitude the wrong sign?`;
}

/** What the coming week does to a house, and what to do about it. */
export function weatherAlertWords({ house, kind, day, airC, crops }: WeatherAlert, units: UnitPreferences): string {
  const air = `${dayInWords(day, "weekday")} about ${quantityText(Math.round(airC), "temperature", units)}`;
  const named = fewNamed(crops);
  switch (kind) {
    case "frost":
      return `Frost in the ${house}: ${air}. Cover, heat, and drain what can burst.`;
    case "chill":
      return `Chill in the ${house}: ${air}, too cold for ${named}.`;
    case "heat":
      return `Heat in the ${house}: ${air}, too hot for ${named}. Shade, vent, wet the paths.`;
  }
}

const MOST_NAMED = 3;

/** Names in a line, no more of them than are read. */
export function fewNamed(names: readonly string[]): string {
  const more = names.length - MOST_NAMED;
  return more > 0 ? `${names.slice(0, MOST_NAMED).join(", ")} and ${more} more` : names.join(", ");
}
