import Papa from "papaparse";
import { cropsTable } from "@/core/garden/cropsFile";
import { seasonFor } from "@/server/garden/season";
import { asFile } from "@/server/session/file";
import { route } from "@/server/session/route";

/** The profiles of the crops as CSV; units stand in the names of the columns. The sheet of crops takes the same file in. */
export const GET = route("look", async ({ db, who }) => {
  const { garden } = await seasonFor(db, who);
  // A name that begins like a formula would run in a spreadsheet.
  return asFile(Papa.unparse(cropsTable(garden), { escapeFormulae: true }), "text/csv", "crops.csv");
});
