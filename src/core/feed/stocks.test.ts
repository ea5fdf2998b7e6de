import { stockSolubility } from "./stocks";

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
