import type { BlockView, SeasonView } from "@/core/garden/seasonView";
import { neighbourOf } from "./neighbours";
import { threadGeometry } from "./threadGeometry";

const from = 21_000;
const block = (
  batchId: number,
  stage: number,
  growingAreaId: number,
  start: number,
  days: number,
  first: number,
  plants: number,
): BlockView => ({
  batchId,
  stage,
  growingAreaId,
  from: from + start,
  to: from + start + days,
  plants,
  runs: [{ start: first, end: first + plants }],
  over: 0,
});
const growingArea = (id: number, sites: number, lines: number) => ({
  id,
  name: `growing area ${id}`,
  sites,
  lines,
  daysOver: 0,
  firstOver: null,
});
const batch = (id: number, steps: readonly (readonly [growingAreaId: number, start: number, end: number])[]) => ({
  id,
  version: 1,
  varietyId: 1,
  variety: "Lettuce",
  unit: "heads",
  tone: 0,
  sowDay: from,
  cells: 10,
  targetPlants: 8,
  readyDay: from + 60,
  begun: false,
  cleared: false,
  note: "",
  pinned: false,
  unitsOrdered: 0,
  unitsInAll: 8,
  steps: steps.map(([growingAreaId, start, end]) => ({
    name: "s",
    growingAreaId,
    from: from + start,
    to: from + end,
    plants: 8,
  })),
});
const view: SeasonView = {
  from,
  to: from + 119,
  today: from + 24,
  growingAreas: [growingArea(1, 2000, 24), growingArea(2, 360, 12), growingArea(3, 864, 36)],
  blocks: [
    block(1, 0, 1, 0, 5, 0, 50),
    block(1, 1, 2, 5, 14, 0, 45),
    block(1, 2, 3, 19, 30, 0, 44),
    block(2, 2, 3, -10, 40, 100, 60),
    block(3, 2, 3, 40, 20, 820, 44),
    { ...block(4, 1, 2, 60, 10, 360, 30), over: 30 },
  ],
  batches: [
    batch(1, [
      [1, 0, 5],
      [2, 5, 19],
      [3, 19, 49],
    ]),
    batch(2, [[3, -10, 30]]),
    batch(3, [[3, 40, 60]]),
    batch(4, [[2, 60, 70]]),
  ],
  market: [],
};
const geometry = threadGeometry(view, 1040, 640);

test("growing areas lie one below the other within the height, more lines giving more of it", () => {
  const [germination, nursery, leaf] = geometry.bands;
  expect(germination!.bottom).toBeLessThan(nursery!.top);
  expect(nursery!.bottom).toBeLessThan(leaf!.top);
  expect(leaf!.bottom).toBeLessThan(geometry.marketTop);
  expect(leaf!.bottom - leaf!.top).toBeGreaterThan(nursery!.bottom - nursery!.top);
  // Never nearly full: only as many sites are drawn as its peak wants.
  expect(germination!.shownSites).toBeLessThan(2000);
  expect(leaf!.shownSites).toBe(864);
});

test("blocks lie on their days and sites: below the capacity line what fits, above it what does not", () => {
  for (const rect of geometry.blocks) {
    const band = geometry.bands.find(
      ({ growingAreaId }) =>
        growingAreaId === view.blocks.find((b) => b.batchId === rect.batchId && b.stage === rect.stage)!.growingAreaId,
    )!;
    expect(rect.x).toBeGreaterThanOrEqual(geometry.left);
    expect(rect.x + rect.width).toBeLessThanOrEqual(geometry.width);
    if (rect.over) expect(rect.y + rect.height).toBeLessThanOrEqual(band.capacityY + 2.1);
    else expect(rect.y).toBeGreaterThanOrEqual(band.capacityY - 0.1);
    expect(rect.y + rect.height).toBeLessThanOrEqual(band.bottom + 0.1);
  }
  const leaf = geometry.blocks.find((rect) => rect.batchId === 1 && rect.stage === 2)!;
  expect(leaf.width).toBeCloseTo(30 * geometry.dayWidth, 6);
});

test("a batch's blocks are joined where it steps from growing area to growing area, inside the window only", () => {
  expect(geometry.threads.filter((thread) => thread.batchId === 1).map((thread) => thread.x)).toEqual([
    geometry.x(from + 5),
    geometry.x(from + 19),
  ]);
  expect(geometry.threads.filter((thread) => thread.batchId === 2)).toEqual([]);
});

test("weeks are ticked on Mondays, months named once and never over one another", () => {
  expect(geometry.weeks).toHaveLength(17);
  geometry.months.slice(1).forEach((month, i) => expect(month.x - geometry.months[i]!.x).toBeGreaterThanOrEqual(70));
});

test("arrows lead to the block that lies that way, and nowhere at the edge", () => {
  const key = (batchId: number, stage: number) => `${batchId}/${stage}/0`;
  const go = (at: string, arrow: string) => neighbourOf(geometry.blocks, at, arrow)?.key;
  expect(go(key(1, 0), "ArrowDown")).toBe(key(1, 1));
  expect(go(key(1, 1), "ArrowUp")).toBe(key(1, 0));
  expect(go(key(1, 2), "ArrowRight")).toBe(key(3, 2));
  expect(go(key(1, 1), "ArrowLeft")).toBe(key(1, 0));
  expect(go(key(1, 0), "ArrowUp")).toBeUndefined();
  expect(go("none", "ArrowUp")).toBeUndefined();
});
