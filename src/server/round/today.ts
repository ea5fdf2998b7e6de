import { cache } from "react";
import { roundItems } from "@/core/round/roundItems";
import type { RoundItem, RoundLoop, RoundPool } from "@/core/round/types";
import { loopNeedLpd, season, type Season } from "../batches/season";
import { readAll, type Db } from "../db/pool";
import { now } from "../session/clock";
import { readKept } from "../session/read";
import { lastHandReadings, type Reading } from "../water/queries";
import { logEntries, settledKeys, type LogEntry } from "./queries";
import { inUnits } from "@/core/units/told";
import { dayAt } from "@/core/units/clockText";

const ROLL_OVER_DAYS = 7;

/** Today's walk: what is to be done and what has been done already. */
export interface Today {
  readonly season: Season;
  readonly items: readonly RoundItem[];
  readonly done: readonly LogEntry[];
  readonly lastReadings: readonly Reading[];
}

export const todayRound = cache(async (): Promise<Today> => {
  const worked = await season();
  const round = await readKept("round", (db) => roundOf(db, worked));
  return { ...round, season: worked };
});

/** The round of a season; commands use it inside their transaction to find the item they tick. */
export async function roundOf(on: Db, worked: Season): Promise<Today> {
  const { who } = worked;
  const { readings, settled, done } = await readAll(on, {
    readings: (db) => lastHandReadings(db, who.gardenId, now()),
    settled: (db) => settledKeys(db, who.gardenId, who.today, ROLL_OVER_DAYS),
    done: (db) =>
      logEntries(db, who.gardenId, { from: who.today, to: who.today, kind: null, search: null, limit: 500 }),
  });
  const asked = roundItems({
    today: who.today,
    plan: worked.plan,
    pools: roundPools(worked),
    loops: roundLoops(worked, readings),
    store: worked.rows.stores[0] ?? null,
    shortages: worked.shortages,
    settledKeys: settled,
  });
  return {
    season: worked,
    items: inUnits(asked, who.units),
    done: done.filter((entry) => entry.planned.stop && !entry.undoneAt),
    lastReadings: readings,
  };
}

function roundPools({ rows, input, poolStands, placed }: Season): RoundPool[] {
  return rows.pools.map((row) => {
    const stands = poolStands.get(row.id) ?? [];
    const house = rows.houses.find(
      (candidate) => candidate.id === rows.stands.find((stand) => stand.poolId === row.id)?.houseId,
    );
    return {
      id: row.id,
      name: row.name,
      houseName: house?.name ?? "",
      houseOrder: house?.position ?? 99,
      order: row.position,
      cleaningDays: row.cleaningDays,
      stands,
      sitesPerLine: input.pools.find((pool) => pool.id === row.id)!.sitesPerLine,
      placed: placed.get(row.id) ?? [],
    };
  });
}

function roundLoops({ who, rows, feeds, plan }: Season, readings: readonly Reading[]): RoundLoop[] {
  return rows.loops.map((loop) => {
    const reading = readings.find((candidate) => candidate.loopId === loop.id);
    const feed = feeds.get(loop.id);
    return {
      id: loop.id,
      name: loop.name,
      kind: loop.kind,
      feeding: loop.feeding,
      workingL: loop.workingL,
      readEveryDays: loop.readEveryDays,
      needLpd: loopNeedLpd(plan, loop.id),
      lastReading: reading ? { day: dayAt(reading.at, who.timeZone), levelL: reading.levelL } : null,
      feed: feed?.sheet ?? null,
      saltNames: feed?.salts.map((salt) => salt.name) ?? [],
    };
  });
}
