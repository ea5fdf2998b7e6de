import type { BatchView, BlockView, SeasonView } from "@/core/garden/seasonView";
import type { GrowingAreaView } from "@/core/garden/seasonAreas";
import { neighbourOf } from "./neighbours";
import { chartGeometry, openAtFirst, wayOf } from "./chartGeometry";
import { spotOfShift } from "./held";

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
  where: "",
  kept: null,
});
const growingArea = (id: number, sites: number, lines: number): GrowingAreaView => ({
  ...{ id, name: `growing area ${id}`, sites, cleaningDays: 1 },
  lines: Array.from({ length: lines }, (_, at) => ({
    ...{ standId: id, line: at + 1, sites: sites / lines, label: `line ${at + 1}` },
  })),
  // Half full, and for two days over capacity in the second one.
  used: Array.from({ length: 119 }, (_, day) => (id === 2 && (day === 60 || day === 61) ? sites + 30 : sites / 2)),
  daysOver: id === 2 ? 2 : 0,
  firstOver: null,
  free: { day: from, sites: 0, onWholeLines: 0, wholeLines: 0, longestRun: 0 },
});
const batch = (
  id: number,
  steps: readonly (readonly [growingAreaId: number, start: number, end: number])[],
): BatchView => ({
  id,
  varietyId: 1,
  variety: "Lettuce",
  unit: "heads",
  mark: { tone: 0, hatch: "plain", initials: "Le" },
  sowDay: from,
  cells: 10,
  isTrays: false,
  targetPlants: 8,
  readyDay: from + 60,
  begun: false,
  cleared: false,
  note: "",
  pinned: false,
  unitsOrdered: 0,
  unitsInAll: 8,
  steps: steps.map(([growingAreaId, start, end]) => ({
    growingAreaId,
    from: from + start,
    to: from + end,
    plants: 8,
    begun: false,
  })),
  thinned: [],
  serves: [{ day: from + 49, customer: "School", units: 8 }],
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
const geometry = (openId: number) => chartGeometry(view, 1040, openId);
const rectsOf = (openId: number) => geometry(openId).blocks;

test("what is over capacity is opened first, else what is used most; the rest is folded to how full it is", () => {
  expect(openAtFirst(view)).toBe(2);
  const fits = { ...view, growingAreas: view.growingAreas.map((area) => ({ ...area, daysOver: 0 })) };
  expect(openAtFirst(fits)).toBe(1);
  const { bands, marketTop, height } = geometry(2);
  bands.slice(1).forEach((band, at) => expect(band.top).toBeGreaterThan(bands[at]!.bottom));
  expect(bands.at(-1)!.bottom).toBeLessThan(marketTop);
  expect(height).toBeGreaterThan(marketTop);
  expect(bands.map(({ isOpen, profile }) => [isOpen, profile === null])).toEqual([
    [false, false],
    [true, true],
    [false, false],
  ]);
  const [nursery] = geometry(3).bands.slice(1);
  expect(nursery!.profile!.over).not.toBe("");
  expect(nursery!.capacityY).toBeGreaterThan(nursery!.top);
  expect(geometry(3).bands[0]!.profile!.over).toBe("");
});

test("blocks of the open growing area lie on their days and sites: what does not fit above the capacity line", () => {
  for (const id of [2, 3]) {
    const { bands, left, width, x } = geometry(id);
    const band = bands.find(({ area }) => area.id === id)!;
    expect(rectsOf(id).length).toBeGreaterThan(1);
    for (const rect of rectsOf(id)) {
      const stay = view.blocks.find((one) => one.batchId === rect.batchId && one.stage === rect.stage)!;
      expect(stay.growingAreaId).toBe(id);
      expect(rect.x).toBe(Math.max(left, x(stay.from)));
      expect(rect.x + rect.width).toBeLessThanOrEqual(width);
      if (rect.over) expect(rect.y + rect.height).toBeLessThanOrEqual(band.capacityY + 2.1);
      else expect(rect.y).toBeGreaterThanOrEqual(band.capacityY - 0.1);
      expect(rect.y + rect.height).toBeLessThanOrEqual(band.bottom + 0.1);
    }
  }
});

test("a batch's way leads through open and folded growing areas down to what it delivers", () => {
  const open = geometry(3);
  const way = wayOf(open, view, view.batches[0]!);
  expect(way.rects.map(({ stage, isOpen }) => [stage, isOpen])).toEqual([
    [0, false],
    [1, false],
    [2, true],
  ]);
  expect(way.moves.map(({ x }) => x)).toEqual([open.x(from + 5), open.x(from + 19)]);
  expect(way.moves.every(({ y1, y2 }) => y2 > y1)).toBe(true);
  expect(way.deliveries).toEqual([{ x: open.x(from + 49.5), units: 8 }]);
  // One that stands at the edge has no move inside the window.
  expect(wayOf(open, view, view.batches[1]!).moves).toEqual([]);
});

test("a block shifted by lines takes as many of them as it needs; what is kept there does not give way", () => {
  const nursery = view.blocks[1]!;
  const next = spotOfShift(view, nursery, 2)!;
  expect([next.spot, next.missing, next.inTheWay, next.givingWay]).toEqual([
    { standId: 2, line: 3, firstSite: 1 },
    0,
    null,
    0,
  ]);
  expect(next.runs).toEqual([
    { start: 60, end: 90 },
    { start: 90, end: 105 },
  ]);
  expect(spotOfShift(view, nursery, -1)).toBeNull();
  // On the last line there are 30 sites for 45 plants.
  expect(spotOfShift(view, nursery, 11)!.missing).toBe(15);
  const other = { ...block(5, 1, 2, 10, 20, 90, 30), kept: "hand" as const };
  expect(spotOfShift({ ...view, blocks: [...view.blocks, other] }, nursery, 2)!.inTheWay).toBe(other);
  expect(spotOfShift({ ...view, blocks: [...view.blocks, { ...other, kept: null }] }, nursery, 2)).toMatchObject({
    inTheWay: null,
    givingWay: 1,
  });
  // What has no place comes in from above.
  expect(spotOfShift(view, view.blocks.at(-1)!, -1)!.spot).toEqual({ standId: 2, line: 12, firstSite: 1 });
});

test("weeks are ticked on Mondays, months named once and never over one another", () => {
  const { weeks, months } = geometry(1);
  expect(weeks).toHaveLength(17);
  months.slice(1).forEach((month, i) => expect(month.x - months[i]!.x).toBeGreaterThanOrEqual(70));
});

test("arrows lead to the block that lies that way, and nowhere at the edge", () => {
  const key = (batchId: number, stage: number) => `${batchId}/${stage}/0`;
  const go = (at: string, arrow: string) => neighbourOf(rectsOf(3), at, arrow)?.key;
  expect(go(key(1, 2), "ArrowRight")).toBe(key(3, 2));
  expect(go(key(3, 2), "ArrowLeft")).toBe(key(1, 2));
  expect(go(key(3, 2), "ArrowUp")).toBeUndefined();
  expect(go("none", "ArrowUp")).toBeUndefined();
});
