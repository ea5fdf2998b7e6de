import type { Changes } from "@/core/garden/changes";
import { isEmpty } from "@/core/garden/changes";
import { rowsOf } from "@/core/garden/part";
import type { NoSeason, PlannedSeason } from "@/core/garden/season/planSeason";
import type { Remedy } from "@/core/garden/season/remedy";
import { freeName } from "@/core/garden/setup/setUp";
import { dayInWords, isoFromDay, type Day } from "@/core/units/day";
import { many, maybeOne, run, type Db } from "../db/pool";
import { removeRow, saveRow } from "../db/save";
import { settledIds } from "../garden/change";
import { gardenSite, tablesOf } from "../garden/tables";
import { storeRows } from "../garden/whatIf/store";
import type { JobKind } from "../jobs/kind";
import { RefusedError } from "../session/refusal";
import type { SeasonAsked } from "../../jobs/season";

/** What is kept of the last season that was planned, beside its changes. */
export type SeasonAnswer = Omit<PlannedSeason, "changes" | "kind"> & {
  /** What was tried with it. */
  readonly remedy?: Remedy;
};

export interface KeptSeason {
  readonly day: Day;
  /** The what-if that holds its changes; null where nothing changes, or it was dropped. */
  readonly setId: number | null;
  readonly answer: SeasonAnswer;
}

/** Plans a garden's season from a day on; its changes are put by as a what-if, and the plan in force stays as it is. */
export const SEASON_JOB: JobKind = {
  file: "season.ts",
  prepare: async (db, gardenId, { day, remedy }): Promise<SeasonAsked> => {
    const garden = await maybeOne<{ sowWeekdays: number[] }>(
      db,
      `select sow_weekdays as "sowWeekdays" from garden where id = $1`,
      [gardenId],
    );
    const [tables, site] = [await tablesOf(db, gardenId), await gardenSite(db, gardenId)];
    return {
      tables,
      site,
      today: Number(day),
      sowWeekdays: garden!.sowWeekdays,
      remedy: (remedy ?? null) as unknown as Remedy | null,
    };
  },
  keep: async (db, gardenId, { day }, found) => {
    const season = found as PlannedSeason | NoSeason;
    if (season.kind !== "season") throw new RefusedError({ room: "batches", kind: "no-season", why: season.kind });
    const { changes, kind: _, ...answer } = season;
    const before = await keptSeason(db, gardenId);
    if (before?.setId != null) await removeRow(db, "change_set", gardenId, before.setId);
    const setId = isEmpty(changes) ? null : await putBy(db, gardenId, Number(day), changes);
    await run(
      db,
      `insert into season_answer (garden_id, day, set_id, answer) values ($1, $2::date, $3, $4)
       on conflict (garden_id) do update set day = excluded.day, set_id = excluded.set_id, answer = excluded.answer`,
      [gardenId, isoFromDay(Number(day)), setId, JSON.stringify(answer)],
    );
  },
};

async function putBy(db: Db, gardenId: number, day: Day, asked: Changes): Promise<number> {
  const { changes } = await settledIds(db, asked);
  const sets = await many<{ name: string }>(db, "select name from change_set where garden_id = $1", [gardenId]);
  const name = freeName(`Season planned on ${dayInWords(day)}`, new Set(sets.map((set) => set.name)));
  const id = await saveRow(db, "change_set", gardenId, null, { name, purpose: "Solved from the orders." });
  await storeRows(db, gardenId, id, rowsOf(changes), changes);
  return id;
}

export function keptSeason(db: Db, gardenId: number): Promise<KeptSeason | null> {
  return maybeOne<KeptSeason & Record<string, unknown>>(
    db,
    `select day, set_id as "setId", answer from season_answer where garden_id = $1`,
    [gardenId],
  );
}
