import { feedWater } from "./feedWater";
import type { Loop, Recipe, Source } from "./garden";

const source = {
  ...{ id: 1, name: "Well", alkalinityMgCaco3PerL: 150.12, ph: 7.6, analysisMgPerL: { Ca: 60, "NO3-N": 5 } },
} as unknown as Source;
const loop = {
  ...{ id: 1, kind: "run-to-waste", sourceId: 1, acid: "nitric", acidPercent: null, acidDensityKgPerL: null },
  acidInFeed: true,
} as unknown as Loop;
const recipe = { phLow: 5.8, phHigh: 6.2 } as Recipe;

test("nitric acid down to 1 meq/L of alkalinity brings its nitrate, and the recipe counts both", () => {
  const water = feedWater({ sources: [source] }, loop, recipe)!;
  // 3 meq/L less 1: 2 mmol/L of nitrate, 28 mg/L of nitrogen.
  expect(water.analysisMgPerL["NO3-N"]).toBeCloseTo(5 + 2 * 14.007, 0);
  expect(water.analysisMgPerL.Ca).toBe(60);
  expect(water.alkalinityMgCaco3PerL).toBeCloseTo(50.04, 0);
});

test("it is the source itself where acid is dosed by readings only, or cannot be worked out", () => {
  expect(feedWater({ sources: [source] }, { ...loop, acidInFeed: false }, recipe)).toBe(source);
  const wrong = { ...source, ph: 10.4, alkalinityMgCaco3PerL: 5 };
  expect(feedWater({ sources: [wrong] }, loop, recipe)).toBe(wrong);
  expect(feedWater({ sources: [] }, loop, recipe)).toBeNull();
});
