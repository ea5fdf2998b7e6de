import Papa from "papaparse";
import { isoFromDay } from "@/core/units/day";
import { logFilterOf } from "@/server/round/logFilter";
import { logEntries } from "@/server/round/queries";
import { asFile } from "@/server/session/file";
import { AskedWrongly, route } from "@/server/session/route";

const MOST_ROWS = 50_000;

/** The log as CSV, with the filter of the sheet; figures in the inside units that their columns name. */
export const GET = route("look", async ({ request, db, who }) => {
  const { filter, problem } = logFilterOf(Object.fromEntries(new URL(request.url).searchParams), who.today, MOST_ROWS);
  if (problem) throw new AskedWrongly(problem);
  const entries = await logEntries(db, who.gardenId, filter);
  const rows = entries.map((entry) => ({
    id: entry.id,
    at: entry.at.toISOString(),
    day: isoFromDay(entry.day),
    kind: entry.kind,
    place: entry.place,
    title: entry.title,
    person: entry.personName,
    done: entry.actual.done ?? "",
    unit: entry.actual.word ?? "",
    ec_ms_per_cm: entry.actual.ecMsPerCm ?? "",
    ph: entry.actual.ph ?? "",
    water_c: entry.actual.waterC ?? "",
    level_l: entry.actual.levelL ?? entry.actual.storedL ?? "",
    note: entry.note,
    corrects_id: entry.correctsId ?? "",
    undone_at: entry.undoneAt?.toISOString() ?? "",
  }));
  // A cell that begins like a formula would run in a spreadsheet.
  const csv = Papa.unparse(rows, { escapeFormulae: true });
  return asFile(csv, "text/csv", `log-${isoFromDay(filter.from)}-${isoFromDay(filter.to)}.csv`);
});
