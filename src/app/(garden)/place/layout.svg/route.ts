import { layoutSvg } from "@/core/place/layout/svg";
import { askedLayout } from "@/server/place/layoutOut";
import { asFile } from "@/server/session/file";
import { route } from "@/server/session/route";

/** A layout as a drawing in metres, which can be brought in again. */
export const GET = route("look", async ({ db, who }) => {
  const layout = await askedLayout(db, who);
  return asFile(layoutSvg(layout), "image/svg+xml", `${layout.name}.layout.svg`);
});
