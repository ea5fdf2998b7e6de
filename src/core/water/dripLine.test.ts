import { STAND_MODELS } from "../place/kinds";
import { bedCoverage } from "./bedCoverage";
import { bedPlanOf, compareSpacings, dripLine, drippedOf, lateralOf } from "./dripLine";

const beds = STAND_MODELS["drip-beds"].example;
const planOf = (spec: typeof beds, headM = 10) => bedPlanOf(spec, dripLine(spec, headM)!);
const buckets = STAND_MODELS["bucket-line"].example;

test("a drip line lies evenly in its bed: as far from the inlet as from the end, and downhill by its fall", () => {
  const lateral = lateralOf({ ...beds, fallM: 0.5 })!;
  expect(lateral.count).toBe(33);
  expect(2 * lateral.firstSpacingM + 32 * lateral.spacingM).toBeCloseTo(beds.lineLengthM, 9);
  expect(lateral.slopeRise).toBeCloseTo(-0.05, 9);
  expect(lateralOf({ ...buckets })!.count).toBe(24);
  expect(lateralOf({ ...beds, lineLengthM: 0.25 })).toBeNull();
  expect(drippedOf({ ...beds, lateralsPerBed: 0 })).toBeNull();
  expect(drippedOf(STAND_MODELS.towers.example)).toBeNull();
});

test("fewer lines than rows lie between the rows, so that none is left out; as many lie along them", () => {
  const across = (lateralsPerBed: number) => planOf({ ...beds, lateralsPerBed }).lines.map(({ yM }) => yM);
  expect(across(2)).toEqual([expect.closeTo(0.35, 9), expect.closeTo(0.65, 9)]);
  expect(across(3)).toEqual([expect.closeTo(0.2, 9), expect.closeTo(0.5, 9), expect.closeTo(0.8, 9)]);
  expect(across(1)).toEqual([expect.closeTo(0.5, 9)]);
  const { plants, reachedLph } = bedCoverage(planOf(beds));
  expect(Math.min(...plants.map(({ flowLph }) => flowLph))).toBeGreaterThan(0);
  expect(reachedLph).toBeCloseTo(2 * dripLine(beds, 10)!.flow.totalLph, 6);
});

test("plants at the dry end of a line get nothing: shares are of what the emitters give, not of their label", () => {
  const uphill = { ...beds, fallM: -2 };
  const { plants, reachedLph } = bedCoverage(planOf(uphill, 0.5));
  expect(plants.filter(({ flowLph }) => flowLph === 0).length).toBeGreaterThan(plants.length / 2);
  expect(reachedLph).toBeCloseTo(2 * dripLine(uphill, 0.5)!.flow.totalLph, 9);
});

test("a closer spacing leaves fewer plants dry behind blocked emitters, at a larger flow", () => {
  const [close, wide] = compareSpacings(beds, [0.15, 0.4], 10, 0.1);
  expect(close!.blocking.meanChanceDry).toBeLessThan(wide!.blocking.meanChanceDry);
  expect(close!.lineLph).toBeGreaterThan(2 * wide!.lineLph);
  expect(compareSpacings({ ...beds, linePricePerM: 0.6 }, [0.3], 10, 0)[0]!.costPerSeason).toBeCloseTo(4 * 10 * 0.2, 9);
});

test("compensating emitters give the same all along, and nothing of a line is even without head", () => {
  const compensating = dripLine({ ...beds, emitterExponent: 0, lineLengthM: 60 }, 15)!;
  expect(compensating.uniformity.flowVariation).toBe(0);
  expect(dripLine({ ...beds, fallM: -2 }, 0.05)!.uniformity.leastLph).toBe(0);
});
