import { askedLayout } from "@/server/place/layoutOut";
import { asFile } from "@/server/session/file";
import { route } from "@/server/session/route";

/** A layout as JSON; docs/layout.schema.json says what is in it. */
export const GET = route("look", async ({ db, who }) => {
  const layout = await askedLayout(db, who);
  return asFile(`${JSON.stringify(layout, null, 2)}\n`, "application/json", `${layout.name}.layout.json`);
});
