import { doseSlip, type DoseSlip } from "@/core/feed/doseSlip";
import { ecOfIons } from "@/core/feed/ec";
import { ionsFromElements } from "@/core/feed/nutrients";
import { RefusedError } from "../session/command";
import type { Season } from "../batches/season";
import { tankLimits } from "../water/ladders";
import { inUnits } from "@/core/units/told";

export interface TankFigures {
  readonly ecMsPerCm: number;
  readonly ph: number;
  readonly waterC: number;
  readonly levelL: number;
}

/**
 * The slip that brings a loop's tank back after a reading.
 * @throws RefusedError when the loop is gone or has no recipe to bring it back to
 */
export function slipFor(
  season: Season,
  loopId: number,
  reading: TankFigures,
  before: { ecMsPerCm: number; levelL: number } | null,
): DoseSlip {
  const loop = season.rows.loops.find((candidate) => candidate.id === loopId);
  const feed = season.feeds.get(loopId);
  if (!loop) throw new RefusedError("This tank is not there any more.");
  if (!feed)
    throw new RefusedError(`${loop.name} has no recipe yet: choose one under Feed, then the slip can be worked out.`);
  const { recipe, sheet, salts } = feed;
  const slip = doseSlip({
    feed: sheet,
    saltNames: salts.map((salt) => salt.name),
    feeding: loop.feeding,
    reading,
    before,
    bands: {
      ecLow: recipe.ecLow,
      ecHigh: recipe.ecHigh,
      ecTarget: recipe.ecMsPerCm,
      phLow: recipe.phLow,
      phHigh: recipe.phHigh,
    },
    workingL: loop.workingL,
    greatestL: tankLimits(season, loop).greatestL,
    acid: loop.acid,
    sourceWithLowerEc: weakerSource(season, recipe.ecMsPerCm, loop.sourceId),
  });
  return inUnits(slip, season.who.units);
}

/** The source with the lowest EC of those that are weaker than the target, other than the one in use. */
function weakerSource(season: Season, targetEcMsPerCm: number, usedId: number | null): string | null {
  const others = season.rows.sources
    .filter((source) => source.id !== usedId)
    .map((source) => ({
      name: source.name,
      ec: ecOfIons(ionsFromElements(source.analysisMgPerL, source.alkalinityMgCaco3PerL)),
    }))
    .filter((source) => source.ec < targetEcMsPerCm)
    .sort((a, b) => a.ec - b.ec);
  return others[0]?.name ?? null;
}
