import Papa from "papaparse";
import { saltsTable } from "@/core/feed/saltsFile";
import { seasonFor } from "@/server/garden/season";
import { asFile } from "@/server/session/file";
import { route } from "@/server/session/route";

/** The salts of the shelf as CSV; units stand in the names of the columns. The shelf takes the same file in. */
export const GET = route("look", async ({ db, who }) => {
  const { garden } = await seasonFor(db, who);
  // A caution or a name that begins like a formula would run in a spreadsheet.
  return asFile(Papa.unparse(saltsTable(garden.salts), { escapeFormulae: true }), "text/csv", "salts.csv");
});
