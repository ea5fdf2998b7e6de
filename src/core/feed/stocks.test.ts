import type { Nutrient } from "./nutrients";
import { saltsForRecipe } from "./saltsForRecipe";
import { stockSolubility } from "./stocks";

/** What each miss counts, as docs/formulas.md has it. */
const WEIGHTS: readonly (readonly [Nutrient, number])[] = [
  ["NO3-N", 2],
  ["NH4-N", 2],
  ["P", 2],
  ["Ca", 1.5],
  ["Mg", 1],
  ["S", 0.2],
  ["Fe", 0.5],
  ["B", 0.5],
];

test.each(WEIGHTS)(
  "where one salt cannot meet potassium and %s at once, the misses weigh 2 to %d",
  (nutrient, weight) => {
    // 1 g in 1000 L brings 0.1 mg/L of potassium and 0.2 of the other; 100 mg/L of each are wanted.
    const { gPer1000L, nutrients } = saltsForRecipe({ K: 100, [nutrient]: 100 }, [
      { percent: { K: 10, [nutrient]: 20 } },
    ]);
    const [a, b] = [0.1 / 100, 0.2 / 100];
    const grams = (4 * a + weight ** 2 * b) / (4 * a ** 2 + weight ** 2 * b ** 2);
    expect(gPer1000L[0]).toBeCloseTo(grams, 6);
    const of = (name: Nutrient) => nutrients.find((one) => one.nutrient === name)!;
    expect(of("K")).toMatchObject({
      reachedMgPerL: expect.closeTo(0.1 * grams, 6),
      miss: expect.closeTo(0.001 * grams - 1, 9),
    });
    expect(of(nutrient).miss).toBeCloseTo(0.002 * grams - 1, 9);
  },
);

test("what the water brings is counted in; a nutrient that no salt brings is missed whole", () => {
  const { gPer1000L, nutrients } = saltsForRecipe({ K: 100, Ca: 80 }, [{ percent: { K: 50 } }], { K: 40, Ca: 20 });
  expect(gPer1000L[0]).toBeCloseTo(120, 6);
  expect(nutrients.map(({ miss }) => miss)).toEqual([expect.closeTo(0, 9), expect.closeTo(-0.75, 9)]);
});

const salt = (name: string, percent: object, gPer1000L: number) => ({
  name,
  percent,
  gPer1000L,
  solubilityGPerL: [100, 100, 100, 100] as const,
});

test("one salt is planned to 80 % of what dissolves", () => {
  const at = (share: number) => stockSolubility([salt("potassium nitrate", { K: 38 }, 1000 * share)], 100, 5);
  expect(at(0.8)).toMatchObject({ verdict: "clear", load: 0.8 });
  expect(at(0.81)).toMatchObject({ verdict: "close", nearest: { kind: "salt", name: "potassium nitrate" } });
  expect(at(1.01)).toMatchObject({ verdict: "does-not-dissolve", highestRatioR: 99 });
});

test("sulfates of potassium and magnesium, which share an ion, to 90 % together", () => {
  const at = (each: number) =>
    stockSolubility(
      [
        salt("potassium sulfate", { K: 45, S: 18 }, 1000 * each),
        salt("magnesium sulfate", { Mg: 10, S: 13 }, 1000 * each),
      ],
      100,
      5,
    );
  expect(at(0.45)).toMatchObject({ verdict: "clear", load: expect.closeTo(0.9, 12) });
  expect(at(0.46)).toMatchObject({ verdict: "close", nearest: { kind: "sulfates" } });
  expect(at(0.51).verdict).toBe("does-not-dissolve");
});
