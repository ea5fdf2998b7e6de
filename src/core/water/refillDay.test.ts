import fc from "fast-check";
import { refillDay, sharesByHour } from "./refillDay";

const drawn = (byHour: Readonly<Record<number, number>>) => Array.from({ length: 24 }, (_, hour) => byHour[hour] ?? 0);

test("a tank carries the peak and is filled again; a well that may run for few hours does not bring it back", () => {
  const noon = drawn({ 11: 300, 12: 300 });
  expect(refillDay({ drawnL: noon, tankL: 500, flowLph: 200, hoursPerDay: 24 })).toEqual({
    ...{ lowestL: 300, lowestHour: 12, hoursUsed: 3, isFullAgain: true },
  });
  const short = refillDay({ drawnL: noon, tankL: 150, flowLph: 50, hoursPerDay: 24 });
  expect(short).toMatchObject({ lowestL: -350, lowestHour: 12 });
  expect(refillDay({ drawnL: noon, tankL: 900, flowLph: 200, hoursPerDay: 2 })).toMatchObject({
    hoursUsed: 2,
    isFullAgain: false,
  });
});

test("water is neither made nor lost, and more flow never leaves less in the tank", () => {
  const hours = fc.array(fc.double({ min: 0, max: 500, noNaN: true }), { minLength: 24, maxLength: 24 });
  fc.assert(
    fc.property(
      hours,
      fc.integer({ min: 0, max: 5000 }),
      fc.integer({ min: 1, max: 900 }),
      (drawnL, tankL, flowLph) => {
        const found = refillDay({ drawnL, tankL, flowLph, hoursPerDay: 24 });
        const all = drawnL.reduce((sum, litres) => sum + litres, 0);
        if (found.isFullAgain) expect(found.hoursUsed * flowLph).toBeCloseTo(all, 3);
        else expect(found.hoursUsed * flowLph).toBeLessThan(all);
        const more = refillDay({ drawnL, tankL, flowLph: flowLph * 2, hoursPerDay: 24 });
        expect(more.lowestL).toBeGreaterThanOrEqual(found.lowestL - 1e-6);
      },
    ),
    { seed: 51 },
  );
});

test("plants drink with the sun: a whole day in all, most at noon, nothing at night", () => {
  const shares = sharesByHour(360, 1080);
  expect(shares.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 12);
  expect(shares[3]).toBe(0);
  expect(shares[12]!).toBeCloseTo(0.1294, 3);
  expect(sharesByHour(720, 720)[0]).toBeCloseTo(1 / 24, 12);
});
