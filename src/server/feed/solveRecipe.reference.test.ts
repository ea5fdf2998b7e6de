import reference from "../../../tests/reference/feed/recipe-solve.json";
import stocks from "../../../tests/reference/feed/stocks.json";
import { ATOMIC_WEIGHT_G_PER_MOL as weight } from "@/core/feed/nutrients";
import { SALT_LIBRARY } from "@/core/feed/salts";
import { missingSalts } from "@/core/feed/missingSalt";
import type { AimAmounts, RecipeWish } from "@/core/feed/recipeWish";
import { solveRecipe, uniqueAmounts, type MissWeights } from "@/core/feed/solveRecipe";
import type { SolveProgram } from "@/core/numeric/solveProgram";
import { solver } from "../solver/highs";

let solve: SolveProgram;
beforeAll(async () => {
  solve = await solver();
});

interface Case {
  readonly name: string;
  readonly given: {
    readonly salts_pct: Readonly<Record<string, AimAmounts>>;
    readonly price_per_kg: Readonly<Record<string, number>>;
    readonly targets_mgL: AimAmounts;
    readonly water_mgL: AimAmounts;
    readonly caps_mgL: AimAmounts;
    readonly weights: AimAmounts;
    readonly nh4ShareOfN_max?: number;
    readonly candidates_pct?: Readonly<Record<string, AimAmounts>>;
  };
  readonly expect: {
    readonly objective: number;
    readonly cost_per_1000L: number;
    readonly amounts_g_per_1000L: Readonly<Record<string, number>>;
    readonly amountUnique: Readonly<Record<string, boolean>>;
    readonly result_mgL: AimAmounts;
    readonly resultUnique: Readonly<Record<string, boolean>>;
    readonly worstMiss: string;
    readonly bestMissingSalt_byObjective?: string;
    readonly bestMissingSalt_byWorstMiss?: string;
  };
}
const CASES = reference.cases as unknown as Case[];

const asked = ({ given }: Case) => {
  const names = Object.keys(given.salts_pct);
  const wish: RecipeWish = {
    targetsMgPerL: given.targets_mgL,
    greatestMgPerL: given.caps_mgL,
    waterMgPerL: given.water_mgL,
    salts: names.map((name) => ({ percent: given.salts_pct[name]!, pricePerKg: given.price_per_kg[name]! })),
    ...(given.nh4ShareOfN_max !== undefined && { ammoniumShareMost: given.nh4ShareOfN_max }),
  };
  const weights: MissWeights = { under: given.weights, over: {}, worstFirst: false };
  return { names, wish, weights };
};

test.each(CASES.map((one) => [one.name, one] as const))("%s", (_, one) => {
  const { names, wish, weights } = asked(one);
  const solved = solveRecipe(wish, solve, weights);
  expect(Math.abs(solved.missSum - one.expect.objective)).toBeLessThan(5e-4);
  expect(Math.abs(solved.costPer1000L - one.expect.cost_per_1000L)).toBeLessThan(5e-3 * one.expect.cost_per_1000L);
  expect(solved.notHeld).toEqual([]);
  const isUnique = uniqueAmounts(wish, solve, weights);
  names.forEach((name, at) => {
    // Potassium sulfate and magnesium nitrate give the same as potassium nitrate and magnesium sulfate but for the rounding of
    // their percents: exact arithmetic calls that unique.
    if (isUnique[at] || !one.expect.amountUnique[name]) expect(isUnique[at]).toBe(one.expect.amountUnique[name]);
    const amount = one.expect.amounts_g_per_1000L[name]!;
    if (one.expect.amountUnique[name])
      expect(Math.abs(solved.gPer1000L[at]! - amount)).toBeLessThan(Math.max(2e-3 * amount, 0.005));
  });
  for (const { aim, reachedMgPerL, targetMgPerL } of solved.aims)
    if (one.expect.resultUnique[aim])
      expect(Math.abs(reachedMgPerL - one.expect.result_mgL[aim]!)).toBeLessThan(2e-3 * targetMgPerL);
  if (one.expect.objective > 1e-3) expect(solved.worst!.aim).toBe(one.expect.worstMiss);
});

test("which salt not on the shelf would close the worst miss", () => {
  const one = CASES.find(({ given }) => given.candidates_pct)!;
  const { wish, weights } = asked(one);
  const candidates = Object.entries(one.given.candidates_pct!).map(([name, percent]) => ({
    ...{ name, percent, pricePerKg: 1 },
  }));
  const ranked = missingSalts(wish, solveRecipe(wish, solve, weights), candidates, solve, weights);
  expect(ranked[0]!.salt.name).toBe(one.expect.bestMissingSalt_byWorstMiss);
  const bySum = [...ranked].sort((a, b) => a.missSum - b.missSum);
  expect(bySum[0]!.salt.name).toBe(one.expect.bestMissingSalt_byObjective);
});

const MOLAR: Record<string, [string, number]> = {
  NO3: ["NO3-N", weight.N],
  NH4: ["NH4-N", weight.N],
  H2PO4: ["P", weight.P],
  K: ["K", weight.K],
  Ca: ["Ca", weight.Ca],
  Mg: ["Mg", weight.Mg],
  SO4: ["S", weight.S],
};
const toMgPerL = (mmol: Record<string, number>) =>
  Object.fromEntries(Object.entries(mmol).map(([ion, amount]) => [MOLAR[ion]![0], amount * MOLAR[ion]![1]]));

const byIons = (stocks.cases as unknown as readonly IonCase[]).filter(
  ({ given, expect: want }) => given.recipe_mmolL && want.g_per_1000L,
);
interface IonCase {
  readonly name: string;
  readonly given: { readonly recipe_mmolL?: Record<string, number>; readonly salts: readonly string[] };
  readonly expect: { readonly g_per_1000L?: Readonly<Record<string, number>> };
}

test.each(byIons.map((one) => [one.name, one] as const))("%s", (_, { given, expect: want }) => {
  const salts = given.salts.map((name) => ({ ...SALT_LIBRARY.find((salt) => salt.name === name)!, pricePerKg: 0 }));
  const { gPer1000L } = solveRecipe({ targetsMgPerL: toMgPerL(given.recipe_mmolL!), waterMgPerL: {}, salts }, solve);
  given.salts.forEach((name, at) =>
    expect(Math.abs(gPer1000L[at]! / want.g_per_1000L![name]! - 1)).toBeLessThan(0.001),
  );
});
