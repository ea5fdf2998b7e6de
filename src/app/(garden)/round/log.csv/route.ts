import Papa from "papaparse";
import { timeAt } from "@/core/units/clockText";
import { TANK_FIGURES } from "@/core/feed/tankFigures";
import { isoFromDay } from "@/core/units/day";
import { logFilterOf } from "@/server/round/logFilter";
import { figuresOfEntry, type WrittenTask } from "@/core/round/log";
import type { RoundTask } from "@/core/round/types";
import { DIMENSIONS } from "@/core/units/dimensions";
import { entryPlace, entryTitle, taskUnit } from "@/features/round/words";
import { logEntries } from "@/server/round/queries";
import { isFirst, type FirstEntry, type LogEntry } from "@/core/round/log";
import { asFile } from "@/server/session/file";
import { BadRequestError, route } from "@/server/session/route";

const MOST_ROWS = 50_000;

/** The log as CSV, with the filter of the sheet; figures in the inside units that their columns name, day and time by the garden's clock. */
export const GET = route("look", async ({ request, db, who }) => {
  const { filter, problem } = logFilterOf(Object.fromEntries(new URL(request.url).searchParams), who.today, MOST_ROWS);
  if (problem) throw new BadRequestError(problem);
  const entries = await logEntries(db, who.gardenId, filter);
  const firsts = new Map(entries.filter(isFirst).map((entry) => [entry.id, entry]));
  const rows = entries.map((entry) => rowOf(entry, firsts, who.timeZone));
  // A cell that begins like a formula would run in a spreadsheet.
  const csv = Papa.unparse(rows, { escapeFormulae: true });
  return asFile(csv, "text/csv", `log-${isoFromDay(filter.from)}-${isoFromDay(filter.to)}.csv`);
});

/** An entry as a row; a correction has the place and title of what it corrects, and its own figures. */
function rowOf(entry: LogEntry, firsts: ReadonlyMap<number, FirstEntry>, timeZone: string) {
  const { what } = isFirst(entry) ? entry : (firsts.get(entry.correctsId!) ?? { what: null });
  const figures: Readonly<Record<string, number>> =
    entry.what.kind === "correction" ? entry.what.values : figuresOfEntry(entry.what);
  return {
    id: entry.id,
    at: entry.at.toISOString(),
    day: isoFromDay(entry.day),
    time: timeAt(entry.at, timeZone),
    kind: entry.kind,
    place: what ? entryPlace(what) : "",
    title: what ? entryTitle(what) : "",
    person: entry.personName,
    done: figures.done ?? "",
    unit: what && "task" in what ? unitWords(what.task) : "",
    picked: figures.picked ?? "",
    thrown_away: figures.thrownAway ?? "",
    ...Object.fromEntries(TANK_FIGURES.map(({ name, column }) => [column, figures[name] ?? ""])),
    stored_l: figures.storedL ?? "",
    note: entry.note,
    corrects_id: entry.correctsId ?? "",
    undone_at: entry.undoneAt?.toISOString() ?? "",
  };
}

/** What the figure of a task counts; of a measure, its inside unit. */
function unitWords(task: RoundTask | WrittenTask): string {
  const unit = taskUnit(task);
  return unit ? unit.word || DIMENSIONS[unit.dimension][0]!.symbol : "";
}
