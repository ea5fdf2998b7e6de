import { learnedEc } from "./learnedEc";

const pairs = (...measured: number[]) => measured.map((one) => ({ computedMsPerCm: 1.5, measuredMsPerCm: one }));

test("the median of the last five fresh feeds; nothing is learned from fewer than three", () => {
  expect(learnedEc(pairs(1.6, 1.62))).toBeNull();
  const found = learnedEc(pairs(1.65, 1.59, 1.62, 1.53, 1.68, 3));
  expect(found).toMatchObject({ factor: expect.closeTo(1.08, 9), least: expect.closeTo(1.02, 9), pairs: 5 });
  expect(learnedEc(pairs(1.6, 1.64, 1.62, 1.66))!.factor).toBeCloseTo(1.63 / 1.5, 9);
});

test("a reading far from what was worked out is a slip, and teaches nothing", () => {
  expect(learnedEc(pairs(15, 1.6, 0.75, 1.6))).toBeNull();
  expect(learnedEc(pairs(15, 1.6, 1.6, 1.6))!.factor).toBeCloseTo(1.6 / 1.5, 9);
});
