import fc from "fast-check";
import type { Stay } from "../timeline";
import type { PlanGrowingArea } from "../types";
import { areaPlaces } from "./areaPlaces";
import type { KeptPlace } from "./types";
import { siteStarts } from "./siteRuns";

const bank = (lines: number, sites: number, more: Partial<PlanGrowingArea> = {}): PlanGrowingArea => ({
  ...{ id: 1, name: "leaf bank", sites: lines * sites, cleaningDays: 0, loops: [{ loopId: 7, share: 1 }] },
  sitesPerLine: new Array<number>(lines).fill(sites),
  lines: Array.from({ length: lines }, (_, index) => ({
    ...{ standId: 5, line: index + 1, loopId: 7, bank: "5", rotates: false },
  })),
  ...more,
});
const stay = (batchId: number, plants: number, from: number, to: number, begun = false): Stay => ({
  ...{ batchId, stage: 0, growingAreaId: 1, plants, from, to, plannedEnd: to, begun },
});
const kept = (batchId: number, line: number, firstSite: number, sites: number): KeptPlace => ({
  ...{ batchId, stage: 0, standId: 5, line, firstSite, sites, how: "hand" },
});
const today = 100;
const where = (placed: ReturnType<typeof areaPlaces>) =>
  new Map(placed.map(({ stay: { batchId }, runs }) => [batchId, runs.map(({ start, end }) => [start, end])]));

const stayArbitrary = fc.record({
  from: fc.integer({ min: 60, max: 120 }),
  length: fc.integer({ min: 1, max: 30 }),
  plants: fc.integer({ min: 1, max: 40 }),
});

test("every stay stands whole or is over capacity, no site holds two at once, and what is left out has no room (seed 11)", () => {
  fc.assert(
    fc.property(fc.array(stayArbitrary, { maxLength: 25 }), (drawn) => {
      const area = bank(8, 10, { cleaningDays: 2 });
      const stays = drawn.map(({ from, length, plants }, i) => stay(i, plants, from, from + length, from < 90));
      const placed = areaPlaces(area, stays, { today });
      const starts = siteStarts(area.sitesPerLine);
      const meets = (a: Stay, b: Stay) => a.from < b.to + 2 && b.from < a.to + 2;
      for (const one of placed) {
        expect(one.runs.reduce((sum, run) => sum + run.end - run.start, 0)).toBe(one.stay.plants);
        expect([0, one.stay.plants]).toContain(one.over);
        const others = placed.filter((other) => other !== one && meets(one.stay, other.stay));
        const clash = others.some(({ runs }) =>
          runs.some((a) => one.runs.some((b) => a.start < b.end && b.start < a.end)),
        );
        expect(clash).toBe(false);
        if (one.over === 0) continue;
        const busy = others.filter(({ over }) => over === 0).flatMap(({ runs }) => runs);
        const widest = area.sitesPerLine.map((sites, line) => {
          let [best, run] = [0, 0];
          for (let site = starts[line]!; site < starts[line]! + sites; site++) {
            run = busy.some(({ start, end }) => start <= site && site < end) ? 0 : run + 1;
            best = Math.max(best, run);
          }
          return best;
        });
        expect(widest.reduce((sum, gap) => sum + gap, 0)).toBeLessThan(one.stay.plants);
      }
    }),
    { seed: 11, numRuns: 200 },
  );
});

test("what is kept stands where it is kept, and the rest goes around it", () => {
  const placed = areaPlaces(bank(3, 10), [stay(1, 10, 110, 140), stay(2, 8, 105, 130)], {
    today,
    kept: [kept(1, 2, 1, 10)],
  });
  expect(where(placed).get(1)).toEqual([[10, 20]]);
  expect(placed.find(({ stay: { batchId } }) => batchId === 1)).toMatchObject({
    kept: "hand",
    isDisplaced: false,
    over: 0,
  });
});

test("of two that are kept on the same sites, what stands there stays and the other is put elsewhere", () => {
  const both = [kept(1, 1, 1, 10), kept(2, 1, 5, 6)];
  const placed = areaPlaces(bank(2, 10), [stay(1, 10, 80, 112, true), stay(2, 6, 110, 140)], { today, kept: both });
  expect(where(placed)).toEqual(
    new Map([
      [1, [[0, 10]]],
      [2, [[10, 16]]],
    ]),
  );
  expect(placed.map(({ isDisplaced }) => isDisplaced)).toEqual([false, true]);
  // Once the first is out in time, the place is had again.
  const late = areaPlaces(bank(2, 10), [stay(1, 10, 80, 110, true), stay(2, 6, 110, 140)], { today, kept: both });
  expect(where(late).get(2)).toEqual([[4, 10]]);
});

test("fewer plants than were planned give their last sites back; more of them, or a line that is gone, need another place", () => {
  const at = (plants: number, place: KeptPlace) =>
    areaPlaces(bank(2, 10), [stay(1, plants, 110, 140)], { today, kept: [place] })[0]!;
  expect(at(6, kept(1, 2, 2, 8)).runs).toEqual([{ start: 11, end: 17 }]);
  expect(at(9, kept(1, 2, 2, 8))).toMatchObject({ isDisplaced: true, over: 0 });
  expect(at(8, kept(1, 3, 1, 8))).toMatchObject({ isDisplaced: true, over: 0 });
});

test("no plan moves what is in the ground, however much of it there is", () => {
  const there = [stay(1, 7, 70, 130, true), stay(2, 9, 90, 125, true)];
  const alone = where(areaPlaces(bank(3, 10), there, { today }));
  const planned = Array.from({ length: 12 }, (_, i) => stay(10 + i, 10, 101 + i, 160));
  const all = where(areaPlaces(bank(3, 10), [...there, ...planned], { today }));
  for (const id of [1, 2]) expect(all.get(id)).toEqual(alone.get(id));
});

test("crops keep off lines that are not for them, whole lines of one bank come first, and families rotate", () => {
  const roots = areaPlaces(bank(3, 10), [stay(1, 8, 110, 140)], { today, linesFor: () => [2] });
  expect(where(roots).get(1)).toEqual([[20, 28]]);
  const banks = bank(4, 10, {
    lines: [1, 2, 2, 3].map((standId, i) => ({
      standId,
      line: i + 1,
      loopId: 7,
      bank: String(standId),
      rotates: true,
    })),
  });
  expect(where(areaPlaces(banks, [stay(1, 20, 110, 140)], { today })).get(1)).toEqual([[10, 30]]);
  const after = areaPlaces(banks, [stay(1, 10, 70, 105, true), stay(2, 10, 110, 140), stay(3, 10, 110, 140)], {
    today,
    familyOf: (id) => (id === 3 ? "onions" : "cabbages"),
  });
  expect(where(after).get(2)).not.toEqual(where(after).get(1));
});
