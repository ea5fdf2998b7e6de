import { ruleOf } from "../../src/core/feed/changeRule";
import { tankDays, type TankDays, type TankDaysInput } from "../../src/core/feed/tankDays";
import { CHANGE_SCHOOLS } from "../../src/core/garden/keepOrChange";
import { ecNearLast, ecOfIons } from "../../src/core/feed/ec";
import { solveRecipe } from "../../src/core/feed/solveRecipe";
import type { RecipeWish } from "../../src/core/feed/recipeWish";
import { RECIPE_LIBRARY } from "../../src/core/feed/library";
import { SALT_LIBRARY } from "../../src/core/feed/salts";
import { solver } from "../../src/server/solver/highs";

type LeastMs = (work: () => unknown, times: number) => number;

const TIMES = 30;
const SALTS = 25;
const EC_TIMES = 2000;
const FEED = { K: 8.75, NH4: 1.25, Ca: 4.25, Mg: 2, Na: 1, NO3: 13.75, H2PO4: 1.25, SO4: 3.75, Cl: 1, HCO3: 0.4 };

const YEAR = 366;

/** A tank of a recirculating loop over a year, as each school keeps it. */
function schoolsYear(): readonly TankDays[] {
  const input: TankDaysInput = {
    ...{ tankL: 600, drunkL: new Array<number>(YEAR).fill(60), evaporatedL: new Array<number>(YEAR).fill(4) },
    ...{ recipeMmolPerL: { NO3: 19, K: 11, Ca: 4.5, Mg: 1, SO4: 1.1, H2PO4: 2, NH4: 1.25 }, recipeGPer1000L: 2500 },
    ...{ waterMmolPerL: { Na: 3, Cl: 3, Ca: 1, Mg: 0.4 }, strength: 0.5, topUp: { kind: "strength", strength: 0.5 } },
    ...{ uptakeMmolPerL: { NO3: 9, K: 6, Ca: 2, Mg: 0.5, SO4: 0.5, H2PO4: 1, NH4: 0.6 } },
    ...{ uptakeShare: { Na: 0.1, Cl: 0.1 }, ecLow: 1.4, ecHigh: 2.2, minutesPerDay: 5, minutesPerChange: 45 },
  };
  return CHANGE_SCHOOLS.map((rule) => tankDays(input, ruleOf(rule)));
}

/** Recipes solved from a full shelf, and the EC of a solution. */
export async function feedBench(leastMs: LeastMs) {
  console.log("\nFeed");
  const solve = await solver();
  const recipe = RECIPE_LIBRARY.find(({ targetsMgPerL }) => (targetsMgPerL["NH4-N"] ?? 0) > 0)!;
  const shelf = Array.from({ length: SALTS }, (_, at) => ({
    ...SALT_LIBRARY[at % SALT_LIBRARY.length]!,
    pricePerKg: 1 + at / 10,
  }));
  const wish: RecipeWish = {
    targetsMgPerL: { ...recipe.targetsMgPerL, Na: 5 },
    greatestMgPerL: { Cl: 70, B: 0.7, Mn: 1.5 },
    ammoniumShareMost: 0.15,
    waterMgPerL: { Ca: 60, Mg: 12, Na: 20, Cl: 30 },
    salts: shelf,
  };
  const targets = Object.keys(wish.targetsMgPerL).length;
  const ms = leastMs(() => solveRecipe(wish, solve), TIMES);
  console.log(`  a recipe of ${targets} nutrients from ${SALTS} salts: ${ms.toFixed(1)} ms (asked: under 50 ms)`);
  const feeds = Array.from({ length: EC_TIMES }, (_, at) => ({ ...FEED, K: FEED.K + at / EC_TIMES }));
  const [cold, warm] = [ecOfIons, ecNearLast].map((ec) => {
    const many = leastMs(() => {
      for (const feed of feeds) ec(feed);
    }, TIMES);
    return `${((1000 * many) / EC_TIMES).toFixed(1)} µs`;
  });
  console.log(`  the EC of a solution: ${cold} (asked: under 20), from the one before ${warm} (asked: under 5)`);
  const year = leastMs(schoolsYear, 5);
  console.log(`  a year of a tank by five schools: ${year.toFixed(0)} ms (asked: under 250 ms)`);
}
