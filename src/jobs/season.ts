import type { DraftBatch } from "../core/garden/season/draft";
import type { SeasonTold } from "../core/garden/season/told";
import { planSeason } from "../core/garden/season/planSeason";
import { remedyChanges, type Remedy } from "../core/garden/season/remedy";
import { apply, squash, type Tables } from "../core/garden/changes";
import type { Site } from "../core/garden/gardenOf";
import type { Day } from "../core/units/day";
import { warmSolver } from "../server/solver/warm";
import type { Work } from "./thread";

/** What a season is planned from. */
export interface SeasonAsked {
  readonly tables: Tables;
  readonly site: Site;
  readonly today: Day;
  readonly sowWeekdays: readonly number[];
  /** What is tried with it. */
  readonly remedy: Remedy | null;
}

/** After so long the best so far is taken. */
const MOST_SECONDS = 90;
const MOST_TOLD = 280;

/** Plans a season off the server's own thread. */
export const work: Work = async (asked, look) => {
  const { tables, site, today, sowWeekdays, remedy } = asked as SeasonAsked;
  const tried = remedy ? remedyChanges(tables, remedy) : {};
  const until = Date.now() + MOST_SECONDS * 1000;
  let batches: SeasonTold["batches"] = [];
  const told = (drafts: readonly DraftBatch[]) =>
    drafts.slice(0, MOST_TOLD).map(({ varietyId, sowDay, targetPlants }) => [varietyId, sowDay, targetPlants] as const);
  const found = planSeason(apply(tables, tried), site, today, sowWeekdays, {
    explain: true,
    open: await warmSolver(() => void look(null)),
    look: ({ value, bound, drafts }) => {
      if (drafts) batches = told(drafts);
      const said: SeasonTold = { value, bound, batches };
      return look(said) === "enough" || Date.now() > until ? "enough" : undefined;
    },
  });
  // What was tried is a part of what the season changes.
  return found.kind === "season" && remedy
    ? { ...found, changes: squash(tried, found.changes), isUnchanged: false, remedy }
    : found;
};
