import type { Facts } from "@/core/garden/facts";
import { ROLL_OVER_DAYS } from "@/core/round/roundItems";
import { dayAt } from "@/core/units/clockText";
import { readAll, type Db } from "../db/pool";
import {
  acidPairs,
  calibrations,
  catchCans,
  ecPairs,
  picked,
  settledKeys,
  solutionChanges,
  tankStates,
} from "../round/queries";
import { now } from "../session/clock";
import type { Session } from "../session/session";
import { lastHandReadings, type Reading } from "../water/queries";

/** How far back what was picked is looked at: as far as the plan. */
const PICKED_DAYS = 84;

/** What happened lately in a garden, and the last readings by hand as they were. */
export async function gardenFacts(
  on: Db,
  who: Session,
): Promise<{ readonly facts: Facts; readonly readings: readonly Reading[] }> {
  const { readings, ...found } = await readAll(on, {
    readings: (db) => lastHandReadings(db, who.gardenId, now()),
    settledKeys: (db) => settledKeys(db, who.gardenId, who.today, ROLL_OVER_DAYS),
    tanks: (db) => tankStates(db, who.gardenId),
    catchCans: (db) => catchCans(db, who.gardenId),
    solutionChanges: (db) => solutionChanges(db, who.gardenId),
    ecPairs: (db) => ecPairs(db, who.gardenId),
    acidPairs: (db) => acidPairs(db, who.gardenId),
    calibrations: (db) => calibrations(db, who.gardenId),
    picked: (db) => picked(db, who.gardenId, who.today - PICKED_DAYS),
  });
  const days = readings.map(({ loopId, at, levelL }) => ({ loopId, day: dayAt(at, who.timeZone), levelL }));
  return { facts: { ...found, readings: days }, readings };
}
