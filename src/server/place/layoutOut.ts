import type { LayoutDocument } from "@/core/place/layout/document";
import { liveLayout } from "@/core/garden/layoutTables";
import type { Db } from "../db/pool";
import type { Session } from "../session/session";
import { seasonToRead } from "../garden/season";

/** The places of the garden, or of the what-if that an address is of, as a layout. */
export async function askedLayout(db: Db, who: Session): Promise<LayoutDocument> {
  return liveLayout((await seasonToRead(db, who)).garden, who.gardenName);
}
