import fc from "fast-check";
import { bringBack, type TankCorrection, type TankReading } from "./bringBack";
import { chargeDifference } from "./chargeBalance";
import { ecOfIons } from "./ec";
import { RECIPE_LIBRARY } from "./library";
import { ionsFromElements, mixIons, type Ion, type IonAmounts, type NutrientAmounts } from "./nutrients";
import { MORE_SALTS, SALT_LIBRARY } from "./salts";
import { tankDays, type TankDaysInput } from "./tankDays";

const amount = (most: number) => fc.double({ min: 0, max: most, noNaN: true });
const solution: fc.Arbitrary<IonAmounts> = fc.record({
  ...{ NO3: amount(15), H2PO4: amount(2), K: amount(9), Ca: amount(5), Mg: amount(2), SO4: amount(3) },
  ...{ Na: amount(4), Cl: amount(4) },
});
const [recipe] = RECIPE_LIBRARY.map(({ targetsMgPerL }) => ionsFromElements(targetsMgPerL as NutrientAmounts));
const near = (a: IonAmounts, b: IonAmounts, digits = 8) => {
  for (const ion of new Set([...Object.keys(a), ...Object.keys(b)]) as Set<Ion>)
    expect(a[ion] ?? 0).toBeCloseTo(b[ion] ?? 0, digits);
};

test("mixing does not hang on its order, and keeps every ion", () => {
  fc.assert(
    fc.property(solution, solution, solution, (a, b, c) => {
      const left = mixIons([
        [
          1,
          mixIons([
            [1, a],
            [1, b],
          ]),
        ],
        [1, c],
      ]);
      const right = mixIons([
        [1, c],
        [
          1,
          mixIons([
            [1, b],
            [1, a],
          ]),
        ],
      ]);
      near(left, right);
      expect(left.K!).toBeCloseTo(a.K! + b.K! + c.K!, 9);
      expect(ecOfIons(left)).toBeCloseTo(ecOfIons(right), 6);
    }),
    { numRuns: 60 },
  );
});

const tanks: fc.Arbitrary<TankReading> = fc.record({
  ...{ recipe: fc.constant(recipe!), water: fc.constant<IonAmounts>({ Ca: 0.5, HCO3: 1, Na: 0.3, Cl: 0.3 }) },
  volumeL: fc.double({ min: 20, max: 1000, noNaN: true }),
  headspaceL: fc.double({ min: 0, max: 300, noNaN: true }),
  ecMsPerCm: fc.double({ min: 0.3, max: 4, noNaN: true }),
  targetEcMsPerCm: fc.double({ min: 0.5, max: 3, noNaN: true }),
  stockFactor: fc.constantFrom(50, 100, 200, 2000),
});

/** What the tank holds after a correction, mixed by hand. */
function after(tank: TankReading, done: TankCorrection): IonAmounts {
  const old = mixIons([
    [1, tank.water],
    [done.strengthNow, tank.recipe],
  ]);
  const stock = mixIons([[tank.stockFactor, tank.recipe]]);
  return mixIons([
    [(tank.volumeL - done.drainL) / done.finalVolumeL, old],
    [done.waterL / done.finalVolumeL, tank.water],
    [done.stockEachL / done.finalVolumeL, stock],
  ]);
}

test("a correction has no amount under zero, fits into the tank, and applied it asks for nothing more", () => {
  fc.assert(
    fc.property(tanks, (tank) => {
      const done = bringBack(tank);
      if (done.kind === "water-too-strong" || done.kind === "recipe-too-weak") return;
      for (const litres of [done.drainL, done.waterL, done.stockEachL]) expect(litres).toBeGreaterThanOrEqual(-1e-9);
      expect(done.finalVolumeL).toBeLessThanOrEqual(tank.volumeL + tank.headspaceL + 1e-6);
      expect(tank.volumeL - done.drainL + done.waterL + 2 * done.stockEachL).toBeCloseTo(done.finalVolumeL, 6);
      if (done.kind === "in-band") return;
      // A tank under its own water is taken as water, which is a little stronger than it was read.
      const isKnown = tank.ecMsPerCm > ecOfIons(tank.water);
      const ecMsPerCm = ecOfIons(after(tank, done));
      if (isKnown) expect(ecMsPerCm).toBeCloseTo(tank.targetEcMsPerCm, 4);
      const again = bringBack({ ...tank, ecMsPerCm, volumeL: done.finalVolumeL, headspaceL: 0 });
      if (isKnown) expect(again.kind).toBe("in-band");
    }),
    { numRuns: 80 },
  );
});

test("a salt of the library is what its formula says: its charges balance", () => {
  for (const { name, percent, chelate } of [...SALT_LIBRARY, ...MORE_SALTS]) {
    const ions = ionsFromElements(percent);
    const isWhole = Object.keys(ions).some((ion) => ["NO3", "SO4", "Cl", "H2PO4"].includes(ion));
    // Chelates, urea, boron, carbonates and lyes have an ion that is not told as a nutrient.
    if (chelate || !isWhole || (percent.Mn ?? 0) > 0) continue;
    const blend = name.startsWith("one-bag");
    expect([name, Math.abs(chargeDifference(ions)) < (blend ? 0.1 : 0.05)]).toEqual([name, true]);
  }
});

test("a year of a tank keeps its mass: what came in is what was taken up, let out, or is in it still", () => {
  const days = 120;
  const input: TankDaysInput = {
    ...{ tankL: 500, drunkL: new Float64Array(days).fill(40), evaporatedL: new Float64Array(days).fill(3) },
    ...{ recipeMmolPerL: { NO3: 10, K: 7, Ca: 2, Na: 0.1, Cl: 0.1 }, recipeGPer1000L: 1500 },
    ...{ waterMmolPerL: { Na: 1.5, Cl: 1.5 }, strength: 1, topUp: { kind: "strength", strength: 1 } },
    uptakeMmolPerL: { NO3: 9, K: 6, Ca: 1.8 },
    ...{ uptakeShare: { Na: 0, Cl: 0 }, ecLow: 1, ecHigh: 3, minutesPerDay: 5, minutesPerChange: 40 },
  };
  const never = tankDays(input, { kind: "never" });
  expect(never.dischargedL).toBe(0);
  // Nothing takes sodium out of it: all that the water and the salts brought is in it.
  const inMmol = never.waterL * (1.5 + 0.1);
  expect(never.lastMmolPerL.Na! * 500).toBeCloseTo(inMmol, 3);
  const weekly = tankDays(input, { kind: "every-days", days: 7 });
  expect(weekly.dischargedL).toBeCloseTo(weekly.changeDays.length * 500, 6);
  expect(Math.max(...weekly.sodiumMmolPerL)).toBeLessThan(Math.max(...never.sodiumMmolPerL));
});
