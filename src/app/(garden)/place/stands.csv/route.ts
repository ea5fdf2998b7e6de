import Papa from "papaparse";
import { standsTable } from "@/core/place/layout/standsTable";
import { askedLayout } from "@/server/place/layoutOut";
import { asFile } from "@/server/session/file";
import { route } from "@/server/session/route";

/** The stands of a layout with their counts, as CSV; units stand in the names of the columns. */
export const GET = route("look", async ({ db, who }) => {
  const layout = await askedLayout(db, who);
  return asFile(Papa.unparse(standsTable(layout), { escapeFormulae: true }), "text/csv", `${layout.name}.stands.csv`);
});
