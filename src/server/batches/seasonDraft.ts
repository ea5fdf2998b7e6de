import { draftView, type DraftView } from "@/core/garden/season/draftView";
import { seasonSettings } from "@/core/garden/season/usualSeason";
import type { Db } from "../db/pool";
import { seasonToRead } from "../garden/season";
import { whatIfOnGarden } from "../garden/whatIf/store";
import { cachedAt } from "../session/cachedAt";
import type { Session } from "../session/session";
import { keptSeason, type KeptSeason } from "./seasonJob";

/** What a planned season changes in the garden as it is by now. */
interface Beside {
  readonly view: DraftView | null;
  readonly conflicts: number;
}

export type SeasonDraft = KeptSeason & Beside;

/** The last season that was planned, beside the plan as it is by now; null before one was. */
export async function seasonDraft(db: Db, who: Session): Promise<SeasonDraft | null> {
  const kept = await keptSeason(db, who.gardenId);
  if (!kept) return null;
  const { setId } = kept;
  if (setId === null) return { ...kept, view: null, conflicts: 0 };
  const { base, whole } = who.moved;
  const at = `${base} ${whole} ${who.today} ${setId}`;
  return { ...kept, ...(await cachedAt(`${who.gardenId} season draft`, at, () => besideTheGarden(db, who, setId))) };
}

async function besideTheGarden(db: Db, who: Session, setId: number): Promise<Beside> {
  const { changes, conflicts } = await whatIfOnGarden(db, who.gardenId, setId);
  const now = await seasonToRead(db, { ...who, whatIf: null });
  const then = await seasonToRead(db, { ...who, whatIf: setId });
  const view = draftView(now, then, changes, seasonSettings(now.garden).horizonDays);
  return { view: view.rows.length > 0 ? view : null, conflicts: conflicts.length };
}
