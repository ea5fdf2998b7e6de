import { areaPlaces } from "./areaPlaces";
import { freeSites } from "./freeSites";

const area = {
  ...{ id: 1, name: "Bank", sites: 30, cleaningDays: 2, sitesPerLine: [10, 10, 10] },
  loops: [{ loopId: null, share: 1 }],
};
const stay = (batchId: number, plants: number, from: number, to: number) => ({
  ...{ batchId, stage: 0, growingAreaId: 1, from, to, plannedEnd: to, plants, begun: false },
});

test("what is free is counted with the lines that are wholly free, and with those that are being cleaned", () => {
  const placed = areaPlaces(area, [stay(1, 10, 100, 110), stay(2, 4, 100, 120)], { today: 90 });
  expect(freeSites(area, placed, 105)).toEqual({ sites: 16, onWholeLines: 10, wholeLines: 1, longestRun: 10 });
  // Its line is cleaned for two days.
  expect(freeSites(area, placed, 111).sites).toBe(16);
  expect(freeSites(area, placed, 112)).toMatchObject({ sites: 26, wholeLines: 2 });
  expect(freeSites(area, placed, 130)).toMatchObject({ sites: 30, onWholeLines: 30 });
});
