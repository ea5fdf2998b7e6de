import type { LayoutDocument } from "@/core/place/layout/document";
import { viewQuery } from "../session/query";
import { AskedWrongly } from "../session/route";
import type { Db } from "../db/pool";
import type { Session } from "../session/session";
import { gardenRows } from "../batches/season";
import { layoutById } from "./layoutQueries";
import { liveLayout } from "./layoutViews";

/** The layout that an address asks for: one put by, or the garden as it stands. */
export async function askedLayout(request: Request, db: Db, who: Session): Promise<LayoutDocument> {
  const { layout } = viewQuery(Object.fromEntries(new URL(request.url).searchParams));
  if (layout === undefined) return liveLayout(await gardenRows(db, who.gardenId), who.gardenName);
  const row = await layoutById(db, who.gardenId, layout);
  if (!row) throw new AskedWrongly("This layout is not there any more.");
  return row.document;
}
