import type { Garden } from "@/core/garden/garden";
import { gardenOf } from "@/core/garden/gardenOf";
import type { Db } from "../db/pool";
import { gardenSite, tablesOf } from "./tables";

/** The rows of a garden's plan. */
export async function gardenRows(db: Db, gardenId: number): Promise<Garden> {
  return gardenOf(await tablesOf(db, gardenId), await gardenSite(db, gardenId));
}
