import type { DoseSlip } from "@/core/feed/doseSlip";
import type { Season } from "../batches/season";
import { now } from "../session/clock";
import { read } from "../session/read";
import { dailyReadings, lastReadings } from "../water/queries";
import type { LogEntry } from "./queries";
import { slipFor, type TankFigures } from "./slip";

/** A tank as its panel shows it: bands, last meter figures, its last days, and the slip once it has been read. */
export interface ReadingView {
  readonly loopId: number;
  readonly name: string;
  readonly tankL: number;
  readonly workingL: number;
  readonly bands: {
    readonly ecLow: number;
    readonly ecHigh: number;
    readonly phLow: number;
    readonly phHigh: number;
  } | null;
  readonly meter: TankFigures | null;
  readonly days: readonly {
    readonly day: number;
    readonly ecMsPerCm: number | null;
    readonly ph: number | null;
    readonly levelL: number | null;
  }[];
  readonly slip: DoseSlip | null;
  readonly noRecipe: boolean;
}

const HISTORY_DAYS = 28;

export async function readingView(
  season: Season,
  loopId: number,
  entry: LogEntry | undefined,
): Promise<ReadingView | null> {
  const loop = season.rows.loops.find((candidate) => candidate.id === loopId);
  if (!loop) return null;
  const { gardenId } = season.who;
  const recipe = season.feeds.get(loopId)?.recipe;
  const until = now();
  const from = new Date(until.getTime() - HISTORY_DAYS * 86_400_000);
  const { days, latest } = await read(async (db) => ({
    days: await dailyReadings(db, gardenId, loopId, from, until),
    latest: await lastReadings(db, gardenId, until),
  }));
  const last = latest.find((reading) => reading.loopId === loopId);
  const before = days.at(-2);
  const figures = entry?.kind === "reading" ? (entry.actual as unknown as TankFigures) : null;
  const known =
    before && before.ecMsPerCm !== null && before.levelL !== null
      ? { ecMsPerCm: before.ecMsPerCm, levelL: before.levelL }
      : null;
  return {
    loopId,
    name: loop.name,
    tankL: loop.tankL,
    workingL: loop.workingL,
    bands: recipe ? { ecLow: recipe.ecLow, ecHigh: recipe.ecHigh, phLow: recipe.phLow, phHigh: recipe.phHigh } : null,
    meter: last && last.ecMsPerCm !== null && last.ph !== null && last.waterC !== null && last.levelL !== null
      ? { ecMsPerCm: last.ecMsPerCm, ph: last.ph, waterC: last.waterC, levelL: last.levelL }
      : null, // prettier-ignore
    days,
    slip: figures && recipe ? slipFor(season, loopId, figures, known) : null,
    noRecipe: !recipe,
  };
}
