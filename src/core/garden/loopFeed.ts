import type { Plan } from "../batches/plan";
import type { Garden, Loop, Recipe, SaltRow, Source, StockTankRow } from "./garden";
import { loopNeedLpd } from "./loopNeed";
import { recipeSaltsOf, wishOf } from "./recipeAmounts";
import { feedSheet, type FeedSheet, type RecipeSalt } from "../feed/feedSheet";
import { concentrationFactor } from "../feed/stocks";
import type { Day } from "../units/day";

/** A loop's recipe worked out with its water, salts and stocks. */
export interface LoopFeed {
  readonly recipe: Recipe;
  readonly salts: readonly RecipeSalt[];
  readonly sheet: FeedSheet;
}

/**
 * Works out what a loop is fed.
 * @param feedLpd litres of feed a day
 * @returns null for a loop without a recipe
 */
export function loopFeed(
  loop: Loop,
  recipes: readonly Recipe[],
  shelf: readonly SaltRow[],
  sources: readonly Source[],
  stocks: readonly StockTankRow[],
  feedLpd: number,
  today: Day,
): LoopFeed | null {
  const recipe = recipes.find((candidate) => candidate.id === loop.recipeId);
  if (!recipe) return null;
  const salts = recipeSaltsOf(recipe, shelf);
  const source = sources.find((candidate) => candidate.id === loop.sourceId) ?? null;
  const sheet = feedSheet({
    wish: wishOf(recipe, source),
    ecMsPerCm: recipe.ecMsPerCm,
    salts,
    waterAlkalinityMgCaco3PerL: source?.alkalinityMgCaco3PerL ?? 0,
    ratioR: loop.ratioR,
    convention: loop.ratioConvention,
    stocks: stocks
      .filter((tank) => tank.loopId === loop.id)
      .map((tank) => ({ ...tank, leftL: leftToday(tank, loop, feedLpd, today) })),
    coldestC: loop.coldestC,
    feedLpd,
  });
  return { recipe, salts, sheet };
}

/** An injector draws its stock without being asked: what was left at the last look, less what has gone since. */
function leftToday(tank: StockTankRow, loop: Loop, feedLpd: number, today: Day): number {
  if (loop.feeding !== "injector") return tank.leftL;
  const goneL = (Math.max(0, today - tank.readOn) * feedLpd) / concentrationFactor(loop.ratioR, loop.ratioConvention);
  return Math.max(0, tank.leftL - goneL);
}

/** What each loop that has a recipe is fed, by its id. */
export function loopFeeds(rows: Garden, plan: Plan): Map<number, LoopFeed> {
  const feeds = new Map<number, LoopFeed>();
  for (const loop of rows.loops) {
    const feed = loopFeed(
      loop,
      rows.recipes,
      rows.salts,
      rows.sources,
      rows.stockTanks,
      loopNeedLpd(plan, loop.id),
      plan.today,
    );
    if (feed) feeds.set(loop.id, feed);
  }
  return feeds;
}
