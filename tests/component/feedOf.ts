import { feedSheet, type FeedSheetInput, type RecipeSalt } from "../../src/core/feed/feedSheet";
import { SALT_LIBRARY, type StockPlace } from "../../src/core/feed/salts";
import type { LoopFeed } from "../../src/core/garden/fed";
import type { Loop, Recipe } from "../../src/core/garden/garden";

/** A salt of the library in a recipe. */
export function saltOf(name: string, stock: StockPlace, gPer1000L: number): RecipeSalt {
  const salt = SALT_LIBRARY.find((one) => one.name === name)!;
  return { ...salt, id: SALT_LIBRARY.indexOf(salt) + 1, stock, gPer1000L, pricePerKg: 1, onHandG: 5000 };
}

/** Leafy greens of nine salts. */
export const LEAFY: readonly RecipeSalt[] = [
  saltOf("calcium nitrate, commercial double salt", "A", 900),
  saltOf("potassium nitrate", "A", 700),
  saltOf("Fe-DTPA 11 %", "A", 18),
  saltOf("monopotassium phosphate", "B", 200),
  saltOf("magnesium sulfate heptahydrate", "B", 300),
  saltOf("manganese sulfate monohydrate", "B", 1.5),
  saltOf("boric acid", "B", 1.6),
];

export const loopOf = (own: Partial<Loop> = {}): Loop =>
  ({
    ...{ id: 4, name: "Leaf", kind: "recirculating", tankL: 700, normalFillL: 600, feeding: "injector", stocks: 2 },
    ...{ ratioR: 100, ratioConvention: "in", coldestC: 8 },
    ...own,
  }) as Loop;

/** What a loop is fed, worked out from salts as the garden would. */
export function feedOf(
  loop: Loop,
  salts: readonly RecipeSalt[] = LEAFY,
  own: Partial<Recipe> & Partial<Pick<FeedSheetInput, "ecMsPerCm" | "stocks">> = {},
): LoopFeed {
  const { ecMsPerCm = 1.6, stocks = [], ...more } = own;
  const recipe = {
    ...{ id: 7, name: "Leafy", ecMsPerCm, ecLow: ecMsPerCm - 0.2, ecHigh: ecMsPerCm + 0.2, phLow: 5.6, phHigh: 6.2 },
    ...{ targetsMgPerL: {}, byLabel: false, labelEcMsPerCm: null },
    ...more,
  } as unknown as Recipe;
  const sheet = feedSheet({
    wish: { targetsMgPerL: recipe.targetsMgPerL, waterMgPerL: { Ca: 20 } },
    ...(recipe.byLabel && { byLabel: recipe }),
    ...{ ecMsPerCm, salts, waterAlkalinityMgCaco3PerL: 50, ratioR: loop.ratioR, convention: loop.ratioConvention },
    ...{ stocks, coldestC: loop.coldestC, feedLpd: 100 },
  });
  const strength = { school: { kind: "constant" } as const, ecMsPerCm, ecLow: recipe.ecLow, ecHigh: recipe.ecHigh };
  return { recipe, salts, sheet, strength: { ...strength, lacks: null }, learnedEc: null };
}
