import { acidForWater } from "../feed/acidForWater";
import { MG_CACO3_PER_MEQ } from "../feed/nutrients";
import { TANK_ACIDS } from "../feed/phDose";
import type { Garden, Loop, Recipe, Source } from "./garden";
import { memo } from "./memo";
import { acidStrengthOf } from "./slipOf";

/** Of a source whose pH is not told: common for water that stood open. */
export const GUESSED_PH = 7.5;
/** Run-to-waste: so much alkalinity may stay. */
export const MAY_STAY_MEQ = 1;

/**
 * The water that a loop's feed is made with: its source, and where its acid goes into the feed water all the time, what is
 * left of the alkalinity and what the acid brings of N, P or S. Salts are then solved for the rest.
 *
 * @returns null for pure water, where the loop has no source
 * @source acidForWater to the middle of the recipe's pH band; run to waste, or down to 1 meq/L where that takes less
 */
export function feedWater({ sources }: Pick<Garden, "sources">, loop: Loop, recipe: Recipe): Source | null {
  const source = sources.find(({ id }) => id === loop.sourceId) ?? null;
  if (!source || !loop.acidInFeed) return source;
  return memo("feed water", [source, loop, recipe], () => acidified(source, loop, recipe));
}

function acidified(source: Source, loop: Loop, { phLow, phHigh }: Recipe): Source {
  const { massPercent, densityGPerMl } = acidStrengthOf(loop) ?? TANK_ACIDS[loop.acid];
  const { alkalinityMgCaco3PerL, ph, analysisMgPerL } = source;
  const targetPh = (phLow + phHigh) / 2;
  const found = acidForWater({
    ...{ alkalinityMgCaco3PerL, ph: ph ?? GUESSED_PH, targetPh, acid: loop.acid, massPercent, densityGPerMl },
    leaveMeqPerL: loop.kind === "run-to-waste" ? MAY_STAY_MEQ : null,
  });
  // A pH that the alkalinity cannot have is said under Acid; nothing is taken off for it.
  if (found === "not-carbonate" || found.meqPerL === 0) return source;
  const { addsMgPerL, leftMeqPerL } = found;
  const brought = addsMgPerL && {
    [addsMgPerL.nutrient]: (analysisMgPerL[addsMgPerL.nutrient] ?? 0) + addsMgPerL.mgPerL,
  };
  return {
    ...source,
    name: `${source.name} with its acid`,
    analysisMgPerL: { ...analysisMgPerL, ...brought },
    alkalinityMgCaco3PerL: Math.max(0, leftMeqPerL) * MG_CACO3_PER_MEQ,
  };
}
