import { RECIPE_LIBRARY } from "./library";
import { factorForEc, recipeFacts, targetsOutBy } from "./compareRecipes";

const STEINER = RECIPE_LIBRARY.find(({ name }) => name.startsWith("Steiner"))!.targetsMgPerL;

test("a recipe by its targets: what it conducts, whether it balances, its ammonium, its potassium for nitrogen", () => {
  const facts = recipeFacts(STEINER);
  expect(facts.ecMsPerCm!).toBeGreaterThan(1.8);
  expect(Math.abs(facts.chargeDifference!)).toBeLessThan(0.02);
  expect(facts.ammoniumShare).toBe(0);
  expect(facts.potassiumToNitrogen!).toBeCloseTo((7 * 39.098) / (12 * 14.007), 2);
});

test("scaled to an EC its ratios stay; a recipe that tells only all nitrogen has no EC by name", () => {
  const factor = factorForEc(STEINER, 1.2)!;
  const scaled = Object.fromEntries(Object.entries(STEINER).map(([name, amount]) => [name, amount * factor]));
  expect(recipeFacts(scaled).ecMsPerCm!).toBeCloseTo(1.2, 2);
  expect(factorForEc({ N: 200, K: 200 }, 1.2)).toBeNull();
  expect(recipeFacts({ N: 200, K: 300 })).toMatchObject({ ecMsPerCm: null, potassiumToNitrogen: 1.5 });
});

test("whole targets balance; nitrate typed as the ion is far out, and part of a recipe is not judged", () => {
  for (const { name, targetsMgPerL } of RECIPE_LIBRARY)
    expect([name, Math.abs(targetsOutBy(targetsMgPerL) ?? 1) < 0.05]).toEqual([name, true]);
  expect(targetsOutBy({ ...STEINER, "NO3-N": STEINER["NO3-N"]! * 4.427 })!).toBeLessThan(-0.5);
  expect(targetsOutBy({ K: 200 })).toBeNull();
});
