import fc from "fast-check";
import { lightWindows, runsInTheDark } from "./lightWindows";
import { longestPauseByDayMin, timerMinutes, timerRuns } from "./timer";

const starts = (runs: readonly { readonly startMin: number }[]) => runs.map(({ startMin }) => Math.round(startMin));

test("the last of fixed times goes on over midnight, until the first of the next day", () => {
  expect(timerRuns({ kind: "times", timesMin: [480, 1430], runMin: 20 })).toEqual([
    { startMin: 480, lengthMin: 20 },
    { startMin: 1430, lengthMin: 20 },
  ]);
  expect(timerRuns({ kind: "times", timesMin: [5, 1430], runMin: 20 })[1]!.lengthMin).toBe(15);
});

test("runs by the sun begin so long after sunrise, end as long before sunset, and are as many and as long on every day", () => {
  const program = { kind: "daylight", runs: 4, runMin: 10, marginMin: 60 } as const;
  expect(starts(timerRuns(program, { riseMin: 300, setMin: 1140 }))).toEqual([360, 597, 833, 1070]);
  expect(starts(timerRuns({ ...program, runs: 1 }, { riseMin: 300, setMin: 1140 }))).toEqual([715]);
  // The polar night: one after the other, about noon.
  expect(starts(timerRuns(program, { riseMin: 720, setMin: 720 }))).toEqual([700, 710, 720, 730]);
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 60 }),
      fc.double({ min: 0.1, max: 24, noNaN: true }),
      fc.integer({ min: 0, max: 720 }),
      fc.integer({ min: 0, max: 400 }),
      (runs, runMin, half, marginMin) => {
        const day = { riseMin: 720 - half, setMin: 720 + half };
        const found = timerRuns({ kind: "daylight", runs, runMin, marginMin }, day);
        expect(found).toHaveLength(runs);
        found.forEach(({ startMin, lengthMin }, at) => {
          expect(startMin).toBeGreaterThanOrEqual(-1e-9);
          expect(startMin + lengthMin).toBeLessThanOrEqual((found[at + 1]?.startMin ?? 1440) + 1e-6);
        });
        expect(timerMinutes({ kind: "daylight", runs, runMin, marginMin })).toBeCloseTo(runs * runMin, 6);
      },
    ),
    { seed: 41 },
  );
});

test("runs in the dark are those outside the sun and the lamps, which may burn over midnight", () => {
  const day = { riseMin: 400, setMin: 1100 };
  const none = { isSolid: false, lampsFromMin: null, lampsToMin: null };
  const runs = timerRuns({ kind: "every", everyMin: 360, runMin: 10, fromMin: 0, toMin: 1440 });
  expect(starts(runsInTheDark(runs, lightWindows(none, day)))).toEqual([0, 360]);
  const lamps = { isSolid: true, lampsFromMin: 1000, lampsToMin: 300 };
  expect(starts(runsInTheDark(runs, lightWindows(lamps, day)))).toEqual([360, 720]);
  expect(lightWindows({ ...none, isSolid: true }, day)).toEqual([]);
});

test("a pause counts as far as it is light", () => {
  const day = { riseMin: 400, setMin: 1000 };
  const pause = (timesMin: readonly number[]) => longestPauseByDayMin({ kind: "times", timesMin, runMin: 10 }, day);
  expect(pause([450, 700])).toBe(290);
  expect(pause([600])).toBe(390);
  expect(pause([20])).toBe(600);
  expect(longestPauseByDayMin({ kind: "continuous" }, day)).toBe(0);
});
