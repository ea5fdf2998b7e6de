import { RECIPE_LIBRARY } from "./library";
import { ionsFromElements, mixIons, type NutrientAmounts } from "./nutrients";
import { chelateHoldsToPh, clearToPh, clearToTimes, saturation } from "./saturation";

const ionsOf = (name: string) =>
  ionsFromElements(RECIPE_LIBRARY.find((one) => one.name === name)!.targetsMgPerL as NutrientAmounts);
const LEAFY = ionsOf("Leafy greens, recirculating");

test("known feeds stay clear up to the pH at which they are known to drop calcium phosphate", () => {
  expect(clearToPh(LEAFY)).toBeCloseTo(6.4, 1);
  expect(clearToPh(ionsOf("Steiner 1961"))).toBeGreaterThan(6.85);
  expect(clearToPh(ionsOf("Steiner 1961"))).toBeLessThan(7.15);
  expect(clearToPh(ionsOf("Fruiting crops"))).toBeGreaterThan(6.7);
  expect(clearToPh(ionsOf("Fruiting crops"))).toBeLessThan(7.1);
  expect(clearToPh({ K: 5, NO3: 5 })).toBe(9);
});

test("gypsum drops from about six times the strength of Steiner's feed", () => {
  const acid = 4;
  const { times, first } = clearToTimes(ionsOf("Steiner 1961"), {}, acid);
  expect(first).toBe("gypsum");
  expect(times).toBeGreaterThan(5);
  expect(times).toBeLessThan(6.5);
});

test("weaker, it stays clear to a higher pH; a water with calcium brings it down", () => {
  const half = mixIons([[0.5, LEAFY]]);
  expect(clearToPh(half)).toBeGreaterThan(clearToPh(LEAFY) + 0.3);
  const hard = mixIons([
    [1, LEAFY],
    [1, { Ca: 2, HCO3: 4 }],
  ]);
  expect(clearToPh(hard)).toBeLessThan(clearToPh(LEAFY));
  // At the pH that is found the ion product is the solubility product.
  expect(saturation(hard, clearToPh(hard))["calcium-phosphate"]).toBeCloseTo(0, 5);
});

test("chelates hold to the pH of the agent in their name", () => {
  expect(["Fe-EDTA 13 %", "iron dtpa", "Fe-EDDHA 6 %", "iron 11 %"].map(chelateHoldsToPh)).toEqual([6.5, 7.5, 9, null]);
});
