import type { Worked } from "./worked";
import type { TankFigures } from "../feed/tankFigures";
import type { DoseSlip, DoseSlipInput } from "../feed/slip";
import { learnedResponse, type LearnedResponse } from "../feed/learnedResponse";
import { TANK_ACIDS } from "../feed/phDose";
import type { Loop } from "./garden";
import { doseSlip } from "../feed/doseSlip";
import { feedGuard } from "../feed/feedGuard";
import { ecOfIons } from "../feed/ec";
import { ionsFromElements } from "../feed/nutrients";
import { solutionAge } from "./solutionAge";
import { tankLimits } from "./tank";

/**
 * The slip that brings a loop's tank back after a reading. It is worked out once, when the reading is entered, and kept with
 * it: what is dosed is what was read, whatever becomes of the recipe meanwhile.
 *
 * @param before the reading before, for what changed
 * @returns null when the loop is gone
 */
export function slipOf(
  season: Worked,
  loopId: number,
  reading: TankFigures,
  before: Pick<TankFigures, "ecMsPerCm" | "levelL"> | null,
): DoseSlip | null {
  const loop = season.garden.loops.find((candidate) => candidate.id === loopId);
  if (!loop) return null;
  const fed = season.feeds.get(loopId);
  const { recipe } = fed ?? {};
  return doseSlip({
    recipe:
      fed && recipe
        ? {
            ...{ feed: fed.sheet, salts: fed.salts, inParts: recipe.byLabel },
            bands: { ...recipe, ...fed.strength, ecTarget: fed.strength.ecMsPerCm },
          }
        : null,
    feeding: loop.feeding,
    reading,
    before,
    normalFillL: loop.normalFillL,
    greatestL: tankLimits(season, loop).greatestL,
    acid: loop.acid,
    acidStrength: acidStrengthOf(loop),
    response: acidResponse(season, loop),
    heightM: season.garden.climate?.elevationM ?? 0,
    solution: solutionAge(season, loop),
    ecFactor: fed?.learnedEc?.factor ?? 1,
    clearToPh: fed && recipe ? (feedGuard(fed.sheet, fed.salts, recipe.phHigh)?.clearToPh ?? null) : null,
    weakerSourceId: fed ? weakerSource(season, fed.strength.ecMsPerCm, loop.sourceId) : null,
  });
}

/** The bottle of a loop, where it is not the usual one. */
export function acidStrengthOf({ acidPercent, acidDensityKgPerL }: Loop): DoseSlipInput["acidStrength"] {
  if (acidPercent === null || acidDensityKgPerL === null) return null;
  return { massPercent: acidPercent, densityGPerMl: acidDensityKgPerL };
}

/** How a loop's tank has answered to the acid that it has now. @source learnedResponse */
export function acidResponse({ facts }: Pick<Worked, "facts">, loop: Loop): LearnedResponse | null {
  const { massPercent } = acidStrengthOf(loop) ?? TANK_ACIDS[loop.acid];
  return learnedResponse(
    facts.acidPairs.filter(
      (pair) => pair.loopId === loop.id && pair.acid === loop.acid && pair.massPercent === massPercent,
    ),
  );
}

/** The source with the lowest EC of those that are weaker than the target, other than the one in use. */
function weakerSource(season: Worked, targetEcMsPerCm: number, usedId: number | null): number | null {
  const others = season.garden.sources
    .filter((source) => source.id !== usedId)
    .map((source) => ({
      id: source.id,
      ec: ecOfIons(ionsFromElements(source.analysisMgPerL, source.alkalinityMgCaco3PerL)),
    }))
    .filter((source) => source.ec < targetEcMsPerCm)
    .sort((a, b) => a.ec - b.ec);
  return others[0]?.id ?? null;
}
