import { plantWater, tankLasts } from "./plantWater";

const thrice = { kind: "times", timesMin: [480, 780, 1020], runMin: 12 } as const;

test("two drippers of 2 L/h for 12 minutes three times a day are 2.4 L", () => {
  expect(plantWater({ perPlantLph: 4, plants: 9, timer: thrice })).toEqual({
    runs: 3,
    minutesPerDay: 36,
    perRunL: expect.closeTo(0.8, 9),
    perDayL: expect.closeTo(2.4, 9),
    allPerRunL: expect.closeTo(7.2, 9),
    allPerDayL: expect.closeTo(21.6, 9),
  });
});

test("a tank without a refill lasts so many whole days; with one it keeps up, or lasts longer", () => {
  // 36 L/h for 36 minutes: 21.6 L a day.
  expect(tankLasts(100, 36, 0, thrice)).toEqual({ kind: "lasts-days", days: 4 });
  // What flows in before the first run of the first day finds no room.
  expect(tankLasts(100, 36, 0.5, thrice)).toEqual({ kind: "lasts-days", days: 9 });
  expect(tankLasts(100, 36, 0.9, thrice)).toMatchObject({ kind: "keeps-up" });
  expect(tankLasts(5, 36, 0.9, thrice)).toMatchObject({ kind: "too-small", missingL: expect.closeTo(2.02, 6) });
  expect(tankLasts(1e6, 36, 0, thrice)).toEqual({ kind: "lasts-days", days: 366 });
});

test("with a refill the least level is what stands in it after the runs of the morning", () => {
  const twice = { kind: "times", timesMin: [0, 720], runMin: 60 } as const;
  // 30 L each time; 5 L/h bring 55 L in the eleven hours between.
  expect(tankLasts(50, 30, 5, twice)).toEqual({ kind: "keeps-up", leastL: 25 });
});
