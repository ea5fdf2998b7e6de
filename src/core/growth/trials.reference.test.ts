import trials from "../../../tests/reference/growth/trials.json";
import { countedGermination } from "./germination";
import { compareMeans, compareShares, powerOfMeans, resampledMean, sizeForMeans, sizeForShares } from "./trials";

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- reference files hold many shapes
type Case = { name: string; given: any; expect: any };
const of = (kind: string) => (trials.cases as Case[]).filter(({ given }) => given.kind === kind);
const near = (found: number, wanted: number) => expect(Math.abs(found - wanted)).toBeLessThanOrEqual(1e-6 * wanted);

test.each(of("welch"))("means: $name", ({ given, expect: want }) => {
  const found = compareMeans(given.a, given.b, given.confidencePercent / 100);
  if (want.t === null) return expect(found).toHaveProperty("kind");
  if ("kind" in found) throw new Error(found.kind);
  for (const name of ["meanA", "meanB", "difference", "sdA", "sdB", "t", "df", "low", "high"] as const)
    expect(found[name]).toBeCloseTo(want[name], 6);
  near(found.p, want.pTwoSided);
});

test.each(of("fisher"))("counts: $name", ({ given, expect: want }) => {
  const found = compareShares({ yes: given.aYes, no: given.aNo }, { yes: given.bYes, no: given.bNo });
  for (const name of ["pTwoSided", "pLess", "pGreater"] as const) near(found[name], want[name]);
});

test.each(of("wilson"))("a share: $name", ({ given, expect: want }) => {
  const found = countedGermination(given.yes, given.of, given.confidencePercent);
  expect([found.low, found.high].map((value) => Number(value.toFixed(9)))).toEqual(
    [want.low, want.high].map((value: number) => Number(value.toFixed(9))),
  );
});

test.each(of("sampleSizeMeans"))("size of a trial of means: $name", ({ given, expect: want }) => {
  const found = sizeForMeans(given.difference, given.sd, given);
  expect(found).toBe(want.perSide);
  expect(powerOfMeans(found, given.difference / given.sd, given.alpha)).toBeCloseTo(want.powerAtPerSide, 6);
  if (want.morePerSide !== undefined) expect(found - given.havePerSide).toBe(want.morePerSide);
});

test.each(of("sampleSizeShares"))("size of a trial of shares: $name", ({ given, expect: want }) => {
  const found = sizeForShares(given.shareA, given.shareB, given);
  near(found, want.perSideFractional);
  expect(Math.ceil(found - 1e-9)).toBe(want.perSide);
});

test.each(of("bootstrapMean"))("a mean resampled: $name", ({ given, expect: want }) => {
  const found = resampledMean(given.values, given.confidencePercent / 100);
  const range = Math.max(...given.values) - Math.min(...given.values);
  expect(found.mean).toBeCloseTo(want.mean, 9);
  for (const end of ["low", "high"] as const)
    expect(Math.abs(found[end] - want[end])).toBeLessThanOrEqual(0.02 * range);
});

test("groups of many figures, and of figures that hardly differ, are compared too", () => {
  expect(compareMeans([1, 1.0000001], [1e6, 1e6], 0.95)).toMatchObject({ p: expect.closeTo(0, 6) });
  const many = Array.from({ length: 10_000 }, (_, at) => at % 7);
  const { low, mean, high } = resampledMean(many, 0.9);
  expect([low < mean, mean < high, high - low < 0.2]).toEqual([true, true, true]);
});
