import { draftView, type DraftView } from "@/core/garden/season/draftView";
import { seasonSettings } from "@/core/garden/season/usualSeason";
import { NO_FACTS } from "@/core/garden/facts";
import { gardenOf } from "@/core/garden/gardenOf";
import { workOut } from "@/core/garden/workOut";
import type { Db } from "../db/pool";
import { gardenSite, keptTables } from "../garden/tables";
import { whatIfOnGarden } from "../garden/whatIf/store";
import type { Session } from "../session/session";
import { keptSeason, type KeptSeason } from "./seasonJob";

export interface SeasonDraft extends KeptSeason {
  readonly view: DraftView | null;
  readonly conflicts: number;
}

/** The last season that was planned, beside the plan as it is by now; null before one was. */
export async function seasonDraft(db: Db, { gardenId, today }: Session): Promise<SeasonDraft | null> {
  const kept = await keptSeason(db, gardenId);
  if (!kept) return null;
  if (kept.setId === null) return { ...kept, view: null, conflicts: 0 };
  const { tables, changes, conflicts } = await whatIfOnGarden(db, gardenId, kept.setId);
  const site = await gardenSite(db, gardenId);
  const garden = gardenOf(await keptTables(db, gardenId), site);
  const now = workOut(garden, NO_FACTS, today);
  const then = workOut(gardenOf(tables, site), NO_FACTS, today);
  const view = draftView(now, then, changes, seasonSettings(garden).horizonDays);
  return { ...kept, view: view.rows.length > 0 ? view : null, conflicts: conflicts.length };
}
