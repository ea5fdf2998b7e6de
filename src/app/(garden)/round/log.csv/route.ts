import Papa from "papaparse";
import { isoFromDay } from "@/core/units/day";
import { pool } from "@/server/db/pool";
import { logFilterOf } from "@/server/round/logFilter";
import { logEntries } from "@/server/round/queries";
import { session } from "@/server/session/session";

const MOST_ROWS = 50_000;

/** The log as CSV, with the filter of the sheet; figures in the inside units that their columns name. */
export async function GET(request: Request): Promise<Response> {
  const who = await session();
  const { filter, problem } = logFilterOf(Object.fromEntries(new URL(request.url).searchParams), who.today, MOST_ROWS);
  if (problem)
    return new Response(`${problem}\n`, {
      status: 400,
      headers: { "content-type": "text/plain; charset=utf-8" },
    });
  const entries = await logEntries(pool(), who.gardenId, filter);
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
  return new Response(csv, {
    headers: {
      "content-type": "text/csv; charset=utf-8",
      "content-disposition": `attachment; filename="log-${isoFromDay(filter.from)}-${isoFromDay(filter.to)}.csv"`,
    },
  });
}
