import fc from "fast-check";
import { ecOfIons } from "@/core/feed/ec";
import { elementsOfSalts } from "@/core/feed/elementsOfSalts";
import { ionsFromElements, mixIons } from "@/core/feed/nutrients";
import { recipeResult } from "@/core/feed/recipeResult";
import { amountOf, type RecipeWish } from "@/core/feed/recipeWish";
import { SALT_LIBRARY } from "@/core/feed/salts";
import { solveForEc, type SolvedForEc } from "@/core/feed/solveForEc";
import { missSumOf, solveRecipe, USUAL_WEIGHTS } from "@/core/feed/solveRecipe";
import { whatLimits } from "@/core/feed/whatLimits";
import type { SolveProgram } from "@/core/numeric/solveProgram";
import { solver } from "../solver/highs";

let solve: SolveProgram;
beforeAll(async () => {
  solve = await solver();
});

const SHELF = SALT_LIBRARY.map((salt, at) => ({ ...salt, pricePerKg: 1 + at / 10 }));
const named = (...names: readonly string[]) => names.map((name) => SHELF.find((salt) => salt.name === name)!);
const missOf = (wish: RecipeWish, weights = USUAL_WEIGHTS) =>
  Object.fromEntries(solveRecipe(wish, solve, weights).aims.map(({ aim, miss }) => [aim, miss]));

const amount = (most: number) => fc.double({ min: 0, max: most, noNaN: true });
const wishes: fc.Arbitrary<RecipeWish> = fc.record({
  targetsMgPerL: fc.record({
    "NO3-N": amount(250),
    "NH4-N": amount(20),
    P: amount(60),
    K: amount(400),
    Ca: amount(220),
  }),
  greatestMgPerL: fc.record({ Cl: amount(100), Na: amount(60) }),
  ammoniumShareMost: fc.double({ min: 0.05, max: 1, noNaN: true }),
  waterMgPerL: fc.record({ Ca: amount(150), Mg: amount(40), Cl: amount(120), "NO3-N": amount(15) }),
  salts: fc.shuffledSubarray(SHELF, { minLength: 1, maxLength: 8 }),
});

test("whatever is asked: no amount is under zero, mass is kept, the order of the salts does not matter", () => {
  fc.assert(
    fc.property(wishes, (wish) => {
      const solved = solveRecipe(wish, solve);
      expect(Math.min(...solved.gPer1000L)).toBeGreaterThanOrEqual(0);
      const brought = elementsOfSalts(wish.salts, solved.gPer1000L);
      for (const { aim, reachedMgPerL } of solved.aims)
        expect(reachedMgPerL).toBeCloseTo(amountOf(aim, brought) + amountOf(aim, wish.waterMgPerL), 6);
      const turned = solveRecipe({ ...wish, salts: [...wish.salts].reverse() }, solve);
      expect(turned.missSum).toBeCloseTo(solved.missSum, 3);
    }),
    { numRuns: 40, seed: 13, endOnFailure: true },
  );
});

test("limits go before targets, and what the water breaks alone is said", () => {
  const wish: RecipeWish = {
    targetsMgPerL: { K: 200, "NO3-N": 70 },
    leastMgPerL: { K: 180 },
    greatestMgPerL: { Cl: 50, Na: 20 },
    waterMgPerL: { Cl: 10, Na: 35 },
    salts: named("potassium chloride"),
  };
  const { mgPerL, notHeld, atLimit } = solveRecipe({ ...wish, leastMgPerL: {} }, solve);
  expect(mgPerL.Cl).toBeCloseTo(50, 2);
  expect(atLimit).toMatchObject([{ aim: "Cl" }]);
  expect(notHeld).toMatchObject([{ kind: "greatest", aim: "Na", reachedMgPerL: 35 }]);
  expect(solveRecipe(wish, solve).notHeld.map(({ aim }) => aim)).toContain("K");
});

test("the worst miss first spreads what cannot be met; salts of micronutrients are no source of sulfur", () => {
  const wish: RecipeWish = {
    targetsMgPerL: { "NO3-N": 192.6, P: 38.7, K: 342, Ca: 170, Mg: 48.6, S: 120, Mn: 0.5, Cu: 0.05 },
    waterMgPerL: { Ca: 160, Mg: 45 },
    salts: named(
      ...["calcium nitrate tetrahydrate", "potassium nitrate", "monopotassium phosphate"],
      ...["magnesium sulfate heptahydrate", "manganese sulfate monohydrate", "copper sulfate pentahydrate"],
    ),
  };
  const [spread, summed] = [missOf(wish), missOf(wish, { ...USUAL_WEIGHTS, worstFirst: false })];
  const worst = (misses: Record<string, number>) => Math.max(...Object.values(misses).map(Math.abs));
  expect(worst(spread)).toBeLessThan(worst(summed));
  for (const misses of [spread, summed])
    for (const aim of ["Mn", "Cu"]) expect(Math.abs(misses[aim]!)).toBeLessThan(0.02);
  expect(missSumOf(solveRecipe(wish, solve))).toBeCloseTo(solveRecipe(wish, solve).missSum, 4);
});

test("solved for an EC, the salts and the water come to it, and the weaker the feed, the more the water counts", () => {
  const targetsMgPerL = { "NO3-N": 192.6, "NH4-N": 17.5, P: 38.7, K: 342, Ca: 170, Mg: 48.6, S: 120 };
  const wish: RecipeWish = { targetsMgPerL, waterMgPerL: { Ca: 60, Mg: 12, S: 15 }, salts: SHELF.slice(0, 9) };
  const calcium = [2.4, 1.2].map((ecMsPerCm) => {
    const { solved, strength, writtenGPer1000L } = solveForEc(wish, 120, ecMsPerCm, solve) as SolvedForEc;
    const salts = ionsFromElements(elementsOfSalts(wish.salts, solved.gPer1000L));
    const water = ionsFromElements(wish.waterMgPerL, 120);
    const parts = [[1, salts], [1, water]] as const; // prettier-ignore
    expect(Math.abs(ecOfIons(mixIons(parts)) / ecMsPerCm - 1)).toBeLessThan(2e-3);
    expect(writtenGPer1000L[0]! * strength).toBeCloseTo(solved.gPer1000L[0]!, 6);
    return solved.gPer1000L[1]! + solved.gPer1000L[0]!;
  });
  expect(calcium[1]!).toBeLessThan(calcium[0]! / 2);
  expect(solveForEc(wish, 120, 0.3, solve)).toBe("water-too-strong");
});

test("why a target is missed: nothing brings it, the water brings it, it comes with another, or brings another", () => {
  const limits = (wish: RecipeWish, gPer1000L: readonly number[]) => whatLimits(wish, recipeResult(wish, gPer1000L));
  const salts = named("potassium nitrate", "potassium sulfate");
  const wish = { targetsMgPerL: { K: 200, "NO3-N": 100, S: 10, Ca: 50, Mg: 10 }, waterMgPerL: { Mg: 30 }, salts };
  expect(limits(wish, [401, 101])).toEqual([
    { kind: "water-brings", aim: "Mg" },
    { kind: "nothing-brings", aim: "Ca" },
    { kind: "comes-with", aim: "S", salt: 1, wanted: ["K"] },
    { kind: "brings-too", aim: "NO3-N", salt: 0, too: ["K"] },
  ]);
});
