import { figuresOf, type TankFigures } from "@/core/feed/tankFigures";
import type { MeterRow } from "@/core/garden/garden";
import type { LoopStrength } from "@/core/garden/fed";
import type { DoseSlip } from "@/core/feed/slip";
import { tankName } from "@/core/water/tankName";
import type { Season } from "../garden/season";
import type { RoundItem } from "@/core/round/types";
import { now } from "../session/clock";
import { read } from "../session/read";
import { dailyReadings, lastReadings } from "../water/queries";
import { entryById } from "./queries";
import type { LogEntry } from "@/core/round/log";

/** A tank as its panel shows it: bands, last meter figures, its last days, and the slip once it has been read. */
export interface ReadingView {
  readonly loopId: number;
  /** "Leaf tank"; a name that says tank already is not made to say it twice. */
  readonly tankName: string;
  readonly tankL: number;
  readonly normalFillL: number;
  readonly bands: {
    readonly ecLow: number;
    readonly ecHigh: number;
    readonly phLow: number;
    readonly phHigh: number;
  } | null;
  /** How strong it is fed today, and by which school. */
  readonly strength: LoopStrength | null;
  readonly meter: TankFigures | null;
  readonly days: readonly {
    readonly day: number;
    readonly ecMsPerCm: number | null;
    readonly ph: number | null;
    readonly levelL: number | null;
  }[];
  readonly slip: DoseSlip | null;
  readonly noRecipe: boolean;
  /** Meters of the garden, to say which one was read. */
  readonly meters: readonly MeterRow[];
  readonly sources: readonly { readonly id: number; readonly name: string }[];
}

/** The reading that an item follows on. */
export async function readingOf({ task }: RoundItem): Promise<LogEntry | undefined> {
  if (task.kind !== "bring-back") return undefined;
  return read(async (db, { gardenId }) => (await entryById(db, gardenId, task.entryId)) ?? undefined);
}

const HISTORY_DAYS = 28;

export async function readingView(
  season: Season,
  loopId: number,
  entry: LogEntry | undefined,
): Promise<ReadingView | null> {
  const loop = season.garden.loops.find((candidate) => candidate.id === loopId);
  if (!loop) return null;
  const { gardenId } = season.who;
  const { recipe, strength } = season.feeds.get(loopId) ?? {};
  const until = now();
  const from = new Date(until.getTime() - HISTORY_DAYS * 86_400_000);
  const { days, latest } = await read(async (db) => ({
    days: await dailyReadings(db, gardenId, loopId, { from, until, timeZone: season.who.timeZone }),
    latest: await lastReadings(db, gardenId, until),
  }));
  const last = latest.find((reading) => reading.loopId === loopId);
  return {
    loopId,
    tankName: tankName(loop.name),
    tankL: loop.tankL,
    normalFillL: loop.normalFillL,
    bands:
      recipe && strength
        ? { ecLow: strength.ecLow, ecHigh: strength.ecHigh, phLow: recipe.phLow, phHigh: recipe.phHigh }
        : null,
    strength: strength ?? null,
    meter: last ? figuresOf(last) : null,
    days,
    slip: entry?.slip ?? null,
    noRecipe: !recipe,
    meters: season.garden.meters,
    sources: season.garden.sources.map(({ id, name }) => ({ id, name })),
  };
}
