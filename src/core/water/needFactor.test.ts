import fc from "fast-check";
import { drunkByDay, needFactor, type TankLevel } from "./needFactor";

const HOUR = 3_600_000;
const TODAY = 20_000;
/** Levels at given hours from midnight of a day. */
const at = (hour: number, levelL: number): TankLevel => ({
  atMs: (TODAY * 24 + hour) * HOUR,
  day: TODAY + Math.floor(hour / 24),
  levelL,
});
const added = (hour: number, addedL: number, drains = false) => ({ atMs: (TODAY * 24 + hour) * HOUR, addedL, drains });

test("what is drunk is level before, and what was put in, less level after; days are those on which a stretch ends", () => {
  const levels = [at(7, 600), at(31, 560), at(55, 570)];
  expect(drunkByDay(levels, [added(32, 40)], 650)).toEqual([
    { day: TODAY + 1, litres: 40 },
    { day: TODAY + 2, litres: 30 },
  ]);
});

test("a changed solution, a rise that nobody wrote down and a long silence say nothing", () => {
  const drains = drunkByDay([at(7, 600), at(31, 590)], [added(20, 300, true)], 650);
  const untold = drunkByDay([at(7, 500), at(31, 600)], [], 650);
  const silent = drunkByDay([at(7, 600), at(80, 500)], [], 650);
  expect([drains, untold, silent]).toEqual([[], [], []]);
  // Readings each hour: the hour of the top-up is left out, the others stand for the whole day.
  const hourly = Array.from({ length: 25 }, (_, hour) => at(hour, 600 - 2 * hour + (hour > 10 ? 100 : 0)));
  expect(drunkByDay(hourly, [], 650)[0]!.litres).toBeCloseTo(48, 9);
});

test("three days of 'as worked out' stand against the log, and a leak is told, not learned from", () => {
  const days = [30, 36, 30, 200].map((litres, index) => ({ day: TODAY + index, litres }));
  const found = needFactor(days, () => 30);
  expect(found.factor).toBeCloseTo((3 + 1 + 1.2 + 1) / 6, 12);
  expect(found).toMatchObject({ days: 3, leaks: [TODAY + 3] });
  expect(needFactor([], () => 30).factor).toBe(1);
});

test("plants that drink a share of what is worked out are found, the better the longer they are followed", () => {
  fc.assert(
    fc.property(fc.double({ min: 0.3, max: 3, noNaN: true }), fc.integer({ min: 1, max: 200 }), (real, days) => {
      const followed = Array.from({ length: days }, (_, index) => ({ day: TODAY + index, litres: real * 50 }));
      const { factor } = needFactor(followed, () => 50);
      expect(Math.abs(factor - real)).toBeLessThanOrEqual((3 * Math.abs(1 - real)) / (3 + days) + 1e-9);
    }),
    { seed: 31 },
  );
});
