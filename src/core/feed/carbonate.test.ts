import { acidForWater } from "./acidForWater";
import { carbonateAt } from "./carbonate";
import { acidMeqPerL } from "./phDose";

test("the constants follow the published ones, and are the round ones at 25 °C", () => {
  expect(carbonateAt(25)).toEqual({ pK1: 6.35, pK2: 10.33, pKw: 14, logKH: -1.47 });
  // Plummer and Busenberg 1982, table: 10 °C 6.464, 10.49, −1.27; water 14.53.
  const cold = carbonateAt(10);
  expect(cold.pK1).toBeCloseTo(6.46, 1);
  expect(cold.pK2).toBeCloseTo(10.49, 1);
  expect(cold.logKH).toBeCloseTo(-1.27, 1);
  expect(cold.pKw).toBeCloseTo(14.53, 1);
});

test("cold water takes more acid to the same pH, and warm water less", () => {
  const acid = (waterC: number) =>
    acidMeqPerL({ ph: 7.5, carbonateAlkalinityMeqPerL: 3, phosphorusMmolPerL: 0, ammoniumMmolPerL: 0, waterC }, 6);
  expect(acid(8)).toBeGreaterThan(acid(25));
  expect(acid(32)).toBeLessThan(acid(25));
});

test("a tank whose alkalinity was measured counts its phosphate once", () => {
  const wish = {
    ...{ alkalinityMgCaco3PerL: 100, ph: 7, targetPh: 6, leaveMeqPerL: null, acid: "citric" as const },
    ...{ massPercent: 100, densityGPerMl: 1 },
  };
  const water = acidForWater(wish);
  const tank = acidForWater({ ...wish, phosphorusMmolPerL: 1.5, ammoniumMmolPerL: 0.5 });
  if (water === "not-carbonate" || tank === "not-carbonate") throw new Error("no carbonate");
  // Some of what the kit counts is phosphate, which takes less acid to pH 6 than bicarbonate does.
  expect(tank.meqPerL).not.toBeCloseTo(water.meqPerL, 2);
  expect(tank.meqPerL).toBeGreaterThan(0.5 * water.meqPerL);
  expect(tank.meqPerL).toBeLessThan(1.2 * water.meqPerL);
  expect(acidForWater({ ...wish, alkalinityMgCaco3PerL: 5, phosphorusMmolPerL: 3 })).toBe("not-carbonate");
});
