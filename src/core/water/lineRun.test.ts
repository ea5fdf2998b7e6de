import { STAND_MODELS } from "../place/kinds";
import { dripLine } from "./dripLine";
import { lineRun } from "./lineRun";
import { shortRun } from "./shortRun";
import { longestPauseMin, waterHolding } from "./waterHolding";

const beds = STAND_MODELS["drip-beds"].example;
const line = dripLine(beds, 10)!;

test("of a minute every quarter of an hour more than half may go into filling and draining", () => {
  const each = { lineVolumeL: 1.45, inletLph: 52.8, emittersLph: 52.8, staysFull: false, plants: 49 };
  const minute = shortRun({ ...each, runS: 60 });
  expect(minute.fillS).toBeCloseTo(98.86, 2);
  expect([minute.givenL, minute.drainShare]).toEqual([0, 1]);
  const longer = shortRun({ ...each, runS: 600 });
  expect(longer.givenL + longer.drainsL).toBeCloseTo((600 * 52.8) / 3600, 9);
  expect(longer.drainsL).toBeCloseTo(1.45, 9);
  expect(shortRun({ ...each, runS: 60, staysFull: true })).toMatchObject({ fillS: 0, drainShare: 0 });
});

test("a day's runs come to the plants of a bed, and the night is no pause", () => {
  const timer = { kind: "times" as const, timesMin: [480, 600, 1020], runMin: 15 };
  const found = lineRun(beds, line, timer, false, 0.9, 0.2)!;
  expect(found.runs).toBe(3);
  expect(found.perPlantLpd).toBeCloseTo(3 * found.run.perPlantL, 9);
  expect(found.longestGapHours).toBeCloseTo(6.75, 9);
  expect(found.holding).toBeNull();
});

test("a bucket that gets too much drains it, one that waits too long dries out", () => {
  const bucket = {
    ...{ containerL: 15, availableShare: 0.25, allowedShare: 0.3, drainShare: 0.2 },
    ...{ needLpd: 2, peakHourShare: 0.13, longestGapHours: 2, runsPerDay: 6 },
  };
  expect(waterHolding({ ...bucket, runL: 0.4 })).toMatchObject({ overfills: false, driesOut: false });
  expect(waterHolding({ ...bucket, runL: 1.2 }).overfills).toBe(true);
  expect(waterHolding({ ...bucket, runL: 0.4, longestGapHours: 6 }).driesOut).toBe(true);
  expect(waterHolding({ ...bucket, runL: 0.4 }).runShare).toBeCloseTo(0.4 / 15, 12);
});

test("a film stands still as long as film and roots hold out in the peak hour", () => {
  expect(longestPauseMin(1.3, 20, 0.13)).toBeCloseTo(30, 9);
  expect(longestPauseMin(1.3, 0, 0.13)).toBeNull();
});
