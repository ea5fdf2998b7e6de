import { alike, weeksOf, type WeekWork } from "./weeks";
import type { BatchView, SeasonView } from "./seasonView";

const monday = 21_004;
const mark = { tone: 0, hatch: "plain", initials: "Ba" } as const;
const batch = (id: number, from: number): BatchView => ({
  ...{ id, varietyId: 1, variety: "Batavia", unit: "heads", mark, sowDay: from, cells: 20, isTrays: false },
  ...{ targetPlants: 16, readyDay: from + 30, begun: false, cleared: false, note: "", pinned: false },
  ...{ unitsOrdered: 12, unitsInAll: 16, thinned: [from + 4] },
  steps: [
    { growingAreaId: 1, from, to: from + 9, plants: 20, begun: false },
    { growingAreaId: 2, from: from + 9, to: from + 30, plants: 17, begun: false },
  ],
  serves: [{ day: from + 30, customer: "School", units: 12 }],
});
const area = (id: number, name: string, used: readonly number[]) => ({
  ...{ id, name, sites: 20, cleaningDays: 0, lines: [], used, daysOver: 0, firstOver: null },
  free: { day: monday, sites: 0, onWholeLines: 0, wholeLines: 0, longestRun: 0 },
});
const view: SeasonView = {
  ...{ from: monday + 2, to: monday + 35, today: monday + 2, market: [] },
  batches: [batch(1, monday + 3), batch(2, monday - 20)],
  blocks: [],
  growingAreas: [area(1, "Rack", [5, 25, ...Array.from({ length: 31 }, () => 3)])],
};

test("the work of a season lies in the weeks of its days, from the day that is shown on", () => {
  const weeks = weeksOf(view);
  expect(weeks.map(({ from, to }) => [from - monday, to - monday])).toEqual([
    [2, 7],
    [7, 14],
    [14, 21],
    [21, 28],
    [28, 35],
  ]);
  const said = weeks.map(({ work }) =>
    work.map(({ kind, batchId, count, unit }) => `${kind} ${batchId} ${count} ${unit}`),
  );
  expect(said).toEqual([
    ["sow 1 20 cells"],
    ["thin 1 20 cells", "pick 2 12 heads", "move 1 17 plants"],
    [],
    [],
    ["pick 1 12 heads"],
  ]);
  expect(weeks.map(({ areas }) => areas[0]!.most)).toEqual([25, 3, 3, 3, 3]);
});

test("pieces of work of one kind, day, crop and place are one line", () => {
  const one = {
    kind: "sow",
    day: 1,
    batchId: 1,
    variety: "Batavia",
    mark,
    count: 20,
    unit: "cells",
    area: "Rack",
  } as const;
  const work: WeekWork[] = [
    { ...one, lines: "tray 1" },
    { ...one, batchId: 2, count: 5, lines: "tray 2" },
    { ...one, day: 2, lines: "tray 2" },
  ];
  expect(alike(work).map(({ day, count, lines }) => [day, count, lines])).toEqual([
    [1, 25, "tray 1; tray 2"],
    [2, 20, "tray 2"],
  ]);
});
