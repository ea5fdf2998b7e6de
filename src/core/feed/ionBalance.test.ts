import { ionBalance } from "./ionBalance";
import type { WaterAnalysis } from "./blendWaters";

const tap: WaterAnalysis = {
  ecMsPerCm: 0.45,
  ph: 7.6,
  alkalinityMgCaco3PerL: 120,
  analysisMgPerL: { Ca: 48, Mg: 7, Na: 24, K: 3, Cl: 34, S: 12, "NO3-N": 1 },
};
const having = (own: WaterAnalysis["analysisMgPerL"], more: Partial<WaterAnalysis> = {}) => ({
  ...{ ...tap, ...more, analysisMgPerL: { ...tap.analysisMgPerL, ...own } },
});

test("a sound analysis balances: charges by hand", () => {
  const found = ionBalance(tap);
  // 48/20.04 + 7/12.15 + 24/22.99 + 3/39.1 against 120/50.04 + 34/35.45 + 12/16.03 + 1/14.01
  expect(found.cationsMeqPerL).toBeCloseTo(4.092, 2);
  expect(found.anionsMeqPerL).toBeCloseTo(4.177, 2);
  expect(found.verdict).toBe("balanced");
});

test.each([
  ["nitrate-as-ion", having({ "NO3-N": 45, Cl: 6 })],
  ["sulfate-as-ion", having({ S: 36 })],
  ["alkalinity-in-degrees", having({}, { alkalinityMgCaco3PerL: 6.7 })],
  ["alkalinity-in-meq", having({}, { alkalinityMgCaco3PerL: 2.4 })],
  ["calcium-as-hardness", having({ Ca: 120 })],
])("out of balance, and the likely slip is named: %s", (slip, water) => {
  const found = ionBalance(water);
  expect(found.verdict).toBe("out");
  expect(found.slips).toContain(slip);
});

test("an ion of the short side that is not told may be the reason, and is named", () => {
  const { S: _sulfur, ...rest } = tap.analysisMgPerL;
  const found = ionBalance({ ...tap, analysisMgPerL: { ...rest, Na: 50 } });
  expect(found.verdict).toBe("not-all-told");
  expect(found.notTold).toEqual(["S"]);
  // Too many anions are not explained by an anion that is not told.
  expect(ionBalance({ ...tap, analysisMgPerL: { ...rest, Cl: 120 } }).verdict).toBe("out");
});

test("of rain a little means nothing; between 5 and 10 % it is doubtful", () => {
  const rain = { Ca: 0, Mg: 0, Na: 2, K: 0, Cl: 4, S: 0, "NO3-N": 0 };
  expect(ionBalance({ ...tap, alkalinityMgCaco3PerL: 3, analysisMgPerL: rain }).verdict).toBe("weak");
  expect(ionBalance(having({ Cl: 44 })).verdict).toBe("doubtful");
});
