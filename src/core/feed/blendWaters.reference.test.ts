import fc from "fast-check";
import acid from "../../../tests/reference/feed/acid.json";
import loop from "../../../tests/reference/feed/loop.json";
import { blendWaters, totalCarbonateMmolPerL, type WaterAnalysis } from "./blendWaters";
import { saltRise } from "./saltRise";

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- reference files hold many shapes
type Case = { name: string; given: any; expect: any; tol?: any };
const water = (alkalinityMgCaco3PerL: number, ph: number): WaterAnalysis => ({
  ...{ ecMsPerCm: null, ph, alkalinityMgCaco3PerL, analysisMgPerL: {} },
});

const blends = (acid.cases as Case[]).filter(({ given }) => given.water1);
test.each(blends)("$name", ({ given, expect: want, tol }) => {
  const parts = [given.water1, given.water2].map((one) => ({
    water: water(one.alkalinity_mgL_CaCO3, one.pH),
    parts: one.share,
  }));
  const found = blendWaters(parts);
  expect(found.alkalinityMgCaco3PerL).toBeCloseTo(want.alkalinity_mgL_CaCO3, 9);
  expect(Math.abs(found.ph! - want.pH)).toBeLessThanOrEqual(tol.pH_abs);
  const carbonate = parts.reduce(
    (sum, { water: one, parts: share }) => sum + share * totalCarbonateMmolPerL(one.alkalinityMgCaco3PerL, one.ph!)!,
    0,
  );
  expect(Math.abs(carbonate / want.CT_mmolL - 1)).toBeLessThan(acid.tolerance.CT_rel);
});

test("water so caustic that its alkalinity is no carbonate tells no pH of a blend", () => {
  const { given } = (acid.cases as Case[]).find(({ expect: want }) => want.plausible === false)!;
  expect(totalCarbonateMmolPerL(given.alkalinity_mgL_CaCO3, given.pH_initial)).toBeNull();
  const odd = water(given.alkalinity_mgL_CaCO3, given.pH_initial);
  expect(
    blendWaters([
      { water: odd, parts: 1 },
      { water: water(100, 7), parts: 1 },
    ]).ph,
  ).toBeNull();
});

const figure = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const waters = fc.record({
  ecMsPerCm: figure(0, 3),
  ph: figure(6, 8.5),
  alkalinityMgCaco3PerL: figure(5, 400),
  analysisMgPerL: fc.record({ Na: figure(0, 300) }, { requiredKeys: [] }),
});

test("the order of mixing is of no account, and a blend with itself is itself", () => {
  fc.assert(
    fc.property(waters, waters, figure(0.1, 5), figure(0.1, 5), (one, other, first, second) => {
      const [ways, back] = [
        [
          { water: one, parts: first },
          { water: other, parts: second },
        ],
        [
          { water: other, parts: second },
          { water: one, parts: first },
        ],
      ].map(blendWaters);
      expect(ways!.ph!).toBeCloseTo(back!.ph!, 7);
      expect(ways!.atLeast).toEqual(back!.atLeast);
      expect(ways!.ph!).toBeGreaterThanOrEqual(Math.min(one.ph, other.ph) - 1e-6);
      const same = blendWaters([
        { water: one, parts: first },
        { water: one, parts: second },
      ]);
      expect(same.ph!).toBeCloseTo(one.ph, 6);
      expect(same.ecMsPerCm!).toBeCloseTo(one.ecMsPerCm, 9);
    }),
  );
});

test("what one water tells of sodium and the other does not is the least of a blend", () => {
  const salty = { ...water(100, 7), analysisMgPerL: { Na: 40, Cl: 10 } };
  const found = blendWaters([
    { water: salty, parts: 3 },
    { water: { ...water(0, 6), analysisMgPerL: { Cl: 2 } }, parts: 1 },
  ]);
  expect(found.analysisMgPerL).toEqual({ Na: 30, Cl: 8 });
  expect(found.atLeast).toEqual(["Na"]);
});

test("salt gathers as in the closed form of the reference, were nothing taken up", () => {
  const { given } = (loop.cases as Case[]).find(({ given: one }) => one.policy.kind === "none")!;
  const { tank_L: tankL, transpiration_Lday: drunk, evaporation_Lday: evaporated, days } = given;
  const mgPerL = given.water_mmolL.Na * 22.99;
  const rise = saltRise(tankL, new Array(days).fill(drunk + evaporated), new Array(days).fill(mgPerL));
  expect(rise.at(-1)).toBeCloseTo(mgPerL + (days * (drunk + evaporated) * mgPerL) / tankL, 9);
  // With what plants take up it is less.
  const { expect: want } = (loop.cases as Case[]).find(({ given: one }) => one === given)!;
  expect(rise.at(-1)).toBeGreaterThan(want.peakNa_mgL);
});
