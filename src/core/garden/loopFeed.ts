import { feedWater } from "./feedWater";
import type { LoopFeed } from "./fed";
import type { Loop, StockTankRow } from "./garden";
import { loopNeedLpd } from "./loopNeed";
import { loopStrength } from "./loopStrength";
import { recipeSaltsOf, wishOf } from "./recipeAmounts";
import type { Worked } from "./worked";
import { learnedEc } from "../feed/learnedEc";
import { feedSheet } from "../feed/feedSheet";
import { concentrationFactor } from "../feed/stocks";
import type { Day } from "../units/day";

type FedFrom = Parameters<typeof loopStrength>[0] & Pick<Worked, "facts">;

/** What a loop is fed; null for one without a recipe. */
function loopFeed(worked: FedFrom, loop: Loop): LoopFeed | null {
  const { garden, plan, facts } = worked;
  const recipe = garden.recipes.find(({ id }) => id === loop.recipeId);
  if (!recipe) return null;
  const strength = loopStrength(worked, loop.id, loop.strength, recipe);
  const salts = recipeSaltsOf(recipe, garden.salts);
  const learned = learnedEc(facts.ecPairs.filter(({ loopId }) => loopId === loop.id));
  const source = feedWater(garden, loop, recipe);
  const feedLpd = loopNeedLpd(plan, loop.id);
  const sheet = feedSheet({
    wish: wishOf(recipe, source),
    byLabel: recipe.byLabel ? recipe : null,
    // What the meter is to show, by how it has read this loop's feed.
    ecMsPerCm: strength.ecMsPerCm / (learned?.factor ?? 1),
    salts,
    waterAlkalinityMgCaco3PerL: source?.alkalinityMgCaco3PerL ?? 0,
    ratioR: loop.ratioR,
    convention: loop.ratioConvention,
    stocks: garden.stockTanks
      .filter((tank) => tank.loopId === loop.id)
      .map((tank) => ({ ...tank, leftL: leftToday(tank, loop, feedLpd, plan.today) })),
    coldestC: loop.coldestC,
    feedLpd,
  });
  return { recipe, salts, sheet, strength, learnedEc: learned };
}

/** An injector draws its stock without being asked: what was left at the last look, less what has gone since. */
function leftToday(tank: StockTankRow, loop: Loop, feedLpd: number, today: Day): number {
  if (loop.feeding !== "injector") return tank.leftL;
  const goneL = (Math.max(0, today - tank.readOn) * feedLpd) / concentrationFactor(loop.ratioR, loop.ratioConvention);
  return Math.max(0, tank.leftL - goneL);
}

/** What each loop that has a recipe is fed, by its id. */
export function loopFeeds(worked: FedFrom): Map<number, LoopFeed> {
  const feeds = worked.garden.loops.map((loop) => [loop.id, loopFeed(worked, loop)] as const);
  return new Map(feeds.filter((pair): pair is [number, LoopFeed] => pair[1] !== null));
}
