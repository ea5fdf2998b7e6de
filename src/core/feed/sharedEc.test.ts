import fc from "fast-check";
import { outsideAt, sharedEc, shouldNotShare, type EcWish } from "./sharedEc";

const crop = (
  name: string,
  plants: number,
  ecLow: number,
  ecHigh: number,
  ph: readonly [number, number] | null = null,
) => ({ name, plants, ecLow, ecHigh, phLow: ph?.[0] ?? null, phHigh: ph?.[1] ?? null }) satisfies EcWish;

test("one tank, several crops: the strength that leaves the fewest outside, and who that is", () => {
  const found = sharedEc([crop("lettuce", 200, 1, 1.6), crop("basil", 40, 1.2, 2), crop("tomato", 30, 2, 3)])!;
  expect(found).toMatchObject({ from: 1.2, to: 1.6, plantsOutside: 30, plants: 270 });
  expect(found.ecMsPerCm).toBeCloseTo(1.4, 9);
  expect(found.outside.map(({ name }) => name)).toEqual(["tomato"]);
  expect(sharedEc([])).toBeNull();
});

test("bands that only touch share their end", () => {
  expect(sharedEc([crop("a", 5, 1, 1.5), crop("b", 5, 1.5, 2)])).toMatchObject({ ecMsPerCm: 1.5, plantsOutside: 0 });
});

test("no strength leaves fewer outside", () => {
  const wish = fc.record({
    plants: fc.integer({ min: 0, max: 50 }),
    low: fc.integer({ min: 1, max: 30 }),
    wide: fc.integer({ min: 0, max: 15 }),
  });
  fc.assert(
    fc.property(
      fc.array(wish, { minLength: 1, maxLength: 8 }),
      fc.double({ min: 0.05, max: 6, noNaN: true }),
      (some, ec) => {
        const wishes = some.map(({ plants, low, wide }, at) => crop(`${at}`, plants, low / 10, (low + wide) / 10));
        const found = sharedEc(wishes);
        if (!found) return;
        expect(found.plantsOutside).toBeLessThanOrEqual(outsideAt(wishes, ec).plantsOutside);
        expect(outsideAt(wishes, found.ecMsPerCm).plantsOutside).toBe(found.plantsOutside);
      },
    ),
  );
});

test("crops without a common window of EC and pH should not share a tank", () => {
  const crops = [
    crop("a", 1, 1, 1.6, [5.5, 6]),
    crop("b", 1, 2, 3, [5.8, 6.5]),
    crop("c", 1, 2.2, 3, [6.2, 6.8]),
    crop("d", 1, 1.5, 2.1),
  ];
  expect(shouldNotShare(crops)).toEqual([
    { names: ["a", "b"], by: "ec" },
    { names: ["a", "c"], by: "both" },
    { names: ["c", "d"], by: "ec" },
  ]);
});
