import { cache } from "react";
import { workOut } from "@/core/garden/workOut";
import { stopOfEntry } from "@/core/round/log";
import type { RoundItem } from "@/core/round/types";
import type { Db } from "../db/pool";
import { gardenFacts } from "../garden/facts";
import { forWhom, season, type Season } from "../garden/season";
import { readCached } from "../session/read";
import type { Reading } from "../water/queries";
import { logEntries } from "./queries";
import { isFirst, type FirstEntry } from "@/core/round/log";

/** Today's walk: what is to be done and what has been done already. */
export interface Today {
  readonly season: Season;
  readonly items: readonly RoundItem[];
  readonly done: readonly FirstEntry[];
  readonly lastReadings: readonly Reading[];
}

export const todayRound = cache(async (): Promise<Today> => {
  const worked = await season();
  const { season: withFacts, ...round } = await readCached(`round ${worked.who.whatIf ?? ""}`, (db) =>
    roundOf(db, worked),
  );
  return { ...round, season: forWhom(withFacts, worked.who) };
});

/** The season with what happened lately; its deliveries and its round hang on that. */
export async function seasonWithFacts(): Promise<Season> {
  return (await todayRound()).season;
}

/** The round of a season; commands use it inside their transaction to find the item they tick. */
export async function roundOf(on: Db, { garden, today, who }: Season): Promise<Today> {
  const { facts, readings } = await gardenFacts(on, who);
  const worked = forWhom(workOut(garden, facts, today), who);
  const done = await logEntries(on, who.gardenId, {
    from: who.today,
    to: who.today,
    kind: null,
    search: null,
    limit: 500,
  });
  return {
    season: worked,
    items: worked.round,
    done: done.filter(isFirst).filter(({ what, undoneAt }) => stopOfEntry(what) !== null && !undoneAt),
    lastReadings: readings,
  };
}
