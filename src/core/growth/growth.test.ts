import fc from "fast-check";
import { dayFromIso } from "../units/day";
import { binomialTail, cellsToSow } from "./cellsToSow";
import { cellsForVaryingLots } from "./varyingLots";
import { harvestPlan, serveDays, unitsAtFirst } from "./harvestPattern";
import { sowDayFor } from "./sowDay";
import { splitDays } from "./splitDays";
import { dayOfShare, stageBoundaries, stageEnd, stallOf } from "./stageDays";
import { usualSteps } from "./steps";

test("wrong stages and shares are named with value and range", () => {
  expect(() => stageEnd(0, { daysByMonth: [10] })).toThrow("months of byMonth is 1; it must be from 12 to 12");
  expect(() => stageEnd(0, { daysByMonth: new Array<number>(12).fill(0) })).toThrow(
    "byMonth is 0; it must be from 0.01 to 400",
  );
  expect(() => sowDayFor(0, [], [])).toThrow("weekdays is empty");
  expect(() =>
    cellsToSow({ targetPlants: 10, germination: 1.2, seedsPerCell: 1, laterSurvival: [], confidence: 0.9 }),
  ).toThrow("germination is 1.2");
  expect(() => harvestPlan({ kind: "picking", unitsPerPlantWeek: 1, weeks: 0, keepsDays: 0 }, 0, 5)).toThrow(
    "weeks is 0",
  );
});

test("the binomial tail is a probability that falls with k and meets the straight sum (seed 5)", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 40 }), fc.double({ min: 0.01, max: 0.99, noNaN: true }), (n, p) => {
      let [sum, term] = [0, p ** n];
      for (let k = n; k >= 0; k--) {
        sum += term;
        expect(binomialTail(n, p, k)).toBeCloseTo(Math.min(1, sum), 9);
        term *= (k / (n - k + 1)) * ((1 - p) / p);
      }
    }),
    { seed: 5, numRuns: 100 },
  );
  expect([
    binomialTail(10, 0, 1),
    binomialTail(10, 1, 10),
    binomialTail(10, 0.5, 0),
    binomialTail(10, 0.5, 11),
  ]).toEqual([0, 1, 1, 0]);
});

test("one cell fewer would miss the confidence, and more confidence never takes fewer cells", () => {
  const wish = { targetPlants: 60, germination: 0.88, seedsPerCell: 1, laterSurvival: [0.95, 0.97] };
  const cells = [0.8, 0.9, 0.95].map((confidence) => {
    const answer = cellsToSow({ ...wish, confidence });
    if ("kind" in answer) throw new Error("never");
    expect(answer.probability).toBeGreaterThanOrEqual(confidence);
    expect(binomialTail(answer.cells - 1, answer.cellToPlant, 60)).toBeLessThan(confidence);
    return answer.cells;
  });
  expect(cells).toEqual([...cells].sort((a, b) => a - b));
});

test("harvests: once held, cuts falling off, picking week by week", () => {
  const ready = dayFromIso("2027-06-01");
  expect(harvestPlan({ kind: "once", unitsPerPlant: 1, keepsDays: 4 }, ready, 40)).toEqual({
    lots: [{ from: ready, until: ready + 4, units: 40 }],
    earliestFree: ready,
    latestFree: ready + 4,
  });
  const cuts = harvestPlan(
    { kind: "cut", unitsPerPlant: 0.5, cuts: 3, daysBetween: 14, factor: 0.8, keepsDays: 6 },
    ready,
    100,
  );
  expect(cuts.lots.map(({ from, units }) => [from - ready, Number(units.toFixed(6))])).toEqual([
    [0, 50],
    [14, 40],
    [28, 32],
  ]);
  expect([cuts.earliestFree - ready, cuts.latestFree - ready]).toEqual([28, 34]);
  const picking = { kind: "picking", unitsPerPlantWeek: 0.3, weeks: 2, keepsDays: 2 } as const;
  expect(
    harvestPlan(picking, ready, 10).lots.map(({ from, until, units }) => [from - ready, until - ready, units]),
  ).toEqual([
    [0, 6, 3],
    [7, 13, 3],
  ]);
  expect([
    unitsAtFirst(picking),
    serveDays(picking),
    serveDays({ kind: "once", unitsPerPlant: 1, keepsDays: 4 }),
  ]).toEqual([0.3, 6, 4]);
});

test("days to ready are shared out: the last stage takes what the earlier ones leave", () => {
  expect(splitDays([5, 44], 49)).toEqual([5, 44]);
  expect(splitDays([5, 44], 30)).toEqual([5, 25]);
  expect(splitDays([5, 12, 10], 4)).toEqual([
    0.5 + (2.5 * 4.5) / 25.5,
    0.5 + (2.5 * 11.5) / 25.5,
    0.5 + (2.5 * 9.5) / 25.5,
  ]);
  expect(splitDays([0.5, 0.5], 1)).toEqual([0.5, 0.5]);
  expect(() => splitDays([5, 44], 0.5)).toThrow("total is 0.5; it must be from 1 to 400");
});

test("more seeds never give fewer plants, and a sowing that varies takes more cells than one that does not (seed 14)", () => {
  const share = fc.double({ min: 0.3, max: 0.98, noNaN: true });
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 120 }),
      share,
      fc.integer({ min: 1, max: 4 }),
      (target, germination, seeds) => {
        const wish = { targetPlants: target, germination, seedsPerCell: seeds, laterSurvival: [0.95], confidence: 0.9 };
        const found = cellsToSow(wish);
        const more = cellsToSow({ ...wish, seedsPerCell: seeds + 1 });
        const varying = cellsForVaryingLots(wish, 0.08);
        if ("kind" in found || "kind" in more || "kind" in varying) throw new Error("never");
        expect(more.cells).toBeLessThanOrEqual(found.cells);
        expect(varying.cells).toBeGreaterThanOrEqual(found.cells - 1);
        expect(varying.probability).toBeGreaterThanOrEqual(0.9);
      },
    ),
    { seed: 14, numRuns: 60 },
  );
});

test("sowings that hardly differ take what the binomial says", () => {
  const wish = { targetPlants: 100, germination: 0.9, seedsPerCell: 1, laterSurvival: [0.97, 0.98], confidence: 0.9 };
  expect(cellsForVaryingLots(wish, 0.001)).toMatchObject({ cells: 123 });
  expect(cellsForVaryingLots(wish, 0.05)).toMatchObject({ cells: 128 });
});

test("sown later is never ready earlier, forward and backward agree on every day, in both halves of the world (seed 7)", () => {
  const days = fc.array(fc.double({ min: 1, max: 90, noNaN: true }), { minLength: 12, maxLength: 12 });
  const progress = fc
    .tuple(fc.double({ min: 0.01, max: 0.06, noNaN: true }), fc.integer({ min: 0, max: 365 }))
    .map(([most, shift]) =>
      Array.from({ length: 366 }, (_, day) => most * (1 + Math.cos((2 * Math.PI * (day - shift)) / 366))),
    );
  const length = fc.oneof(
    fc.record({ daysByMonth: days }),
    fc.record({ daysByMonth: days, progressByDay: progress, learnedRatio: fc.constantFrom(0.8, 1.2) }),
  );
  fc.assert(
    fc.property(
      fc.array(length, { minLength: 1, maxLength: 3 }),
      fc.integer({ min: 18_000, max: 30_000 }),
      (stages, from) => {
        const ready = Array.from({ length: 740 }, (_, at) => stageBoundaries(from + at, stages).at(-1)!);
        expect(ready).toEqual([...ready].sort((a, b) => a - b));
        for (let at = 0; at < 740; at += 37) {
          const back = sowDayFor(ready[at]!, stages);
          if ("kind" in back) throw new Error("never");
          expect(back.boundaries).toEqual(stageBoundaries(back.sowDay, stages));
          expect(back.sowDay).toBeGreaterThanOrEqual(from + at);
          expect(stageBoundaries(back.sowDay + 1, stages).at(-1)!).toBeGreaterThan(ready[at]!);
        }
      },
    ),
    { seed: 7, numRuns: 12 },
  );
});

test("a table read at the start takes its days, rounded half up; the latest sowing is found though a later one may be ready earlier", () => {
  const falling = { daysByMonth: [60, 60, 20, 20, 20, 20, 20, 20, 20, 20, 20, 20], daysRead: "start" as const };
  const start = dayFromIso("2027-02-15");
  expect(stageEnd(start, falling) - start).toBe(59);
  const wanted = dayFromIso("2027-04-01");
  const back = sowDayFor(wanted, [falling]);
  if ("kind" in back) throw new Error("never");
  for (let later = back.sowDay + 1; later <= wanted; later++) expect(stageEnd(later, falling)).toBeGreaterThan(wanted);
  expect(back.boundaries.at(-1)).toBeLessThanOrEqual(wanted);
});

test("what stands still through a winter and never gets on says in which month", () => {
  const still = { daysByMonth: new Array<number>(12).fill(30), progressByDay: new Array<number>(366).fill(0.0001) };
  const boundaries = stageBoundaries(dayFromIso("2027-03-01"), [{ daysByMonth: still.daysByMonth }, still]);
  expect(stallOf(boundaries, [{ daysByMonth: still.daysByMonth }, still])).toEqual({ stage: 1, month: 2 });
  expect(sowDayFor(boundaries[0]!, [still])).toEqual({ kind: "never" });
  expect(stallOf(boundaries.slice(0, 2), [{ daysByMonth: still.daysByMonth }])).toBeNull();
});

test("the usual steps of a crop follow from how it is raised", () => {
  const raised = {
    stages: 3,
    germinatesIn: "dark",
    seedsPerCell: 3,
    thinTo: 1,
    blackoutDays: null,
    firstDays: 5,
  } as const;
  const kinds = (more: object) =>
    usualSteps({ ...raised, ...more }).map(({ kind, stageNumber }) => `${stageNumber} ${kind}`);
  expect(kinds({})).toEqual(["1 cover", "1 uncover", "1 light", "2 thin", "2 first-feed", "2 harden"]);
  expect(kinds({ germinatesIn: "light", thinTo: null, stages: 2 })).toEqual(["1 light", "2 first-feed"]);
  expect(kinds({ stages: 1, germinatesIn: "either", thinTo: 3 })).toEqual(["1 first-feed"]);
  expect(kinds({ blackoutDays: 4 })).toEqual(["1 cover", "1 light"]);
  expect(kinds({ blackoutDays: 0 })).toEqual([]);
  const flat = { daysByMonth: new Array<number>(12).fill(20) };
  expect([0, 0.25, 0.75, 1].map((share) => dayOfShare(20_000, flat, share))).toEqual([20_000, 20_005, 20_015, 20_020]);
  expect(dayOfShare(20_000, { ...flat, daysRead: "start" }, 0.5)).toBe(20_010);
});
