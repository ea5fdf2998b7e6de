import type { BatchRow, SeedLot, Variety } from "./garden";
import { learnedDays, learnedStages } from "./learnedDays";
import { germinationFigure, lotInUse, lotWarnings } from "./seed";
import { seedOrders } from "./seedOrders";

const lot = (name: string, more: Partial<SeedLot> = {}): SeedLot => ({
  ...{ id: 1, varietyId: 1, name, receivedOn: 20_000, onHandG: 5 },
  ...{ germination: null, testedOn: null, bestBefore: null, ...more },
});
const variety = (more: Partial<Variety> = {}) =>
  ({
    ...{ id: 1, name: "Basil", germination: 0.8, learns: true, lots: [], seedsPerCell: 2, seedsPerG: 100 },
    ...{ tray: null, seedLeadDays: 7 },
    stages: [{ name: "grow", daysByMonth: new Array<number>(12).fill(20) }],
    ...more,
  }) as unknown as Variety;
const batch = (id: number, begun: Partial<BatchRow["begun"][number]>[], more: Partial<BatchRow> = {}) =>
  ({
    ...{ id, varietyId: 1, sowDay: 20_000 + id, cells: 50, clearedDay: null, ...more },
    begun: begun.map((one, position) => ({ position, day: 20_000, plants: 50, ...one })),
  }) as BatchRow;
const counted = (id: number, of: number, up: number) =>
  batch(id, [{ countedOf: of, countedUp: up, countedOn: 20_000 + id }]);

test("germination: told by the profile, by a tested lot, moved by what was counted on the latest five sowings", () => {
  expect(germinationFigure(variety(), [])).toEqual({ told: 0.8, toldBy: "profile", counted: null, used: 0.8 });
  const tested = variety({ lots: [lot("empty", { onHandG: 0, germination: 0.2 }), lot("A", { germination: 0.9 })] });
  expect(germinationFigure(tested, [])).toMatchObject({ told: 0.9, toldBy: "lot" });
  const found = germinationFigure(variety(), [
    counted(1, 100, 0),
    ...[2, 3, 4, 5, 6].map((id) => counted(id, 100, 60)),
  ]);
  expect(found.counted).toMatchObject({ sowings: 5, of: 500, up: 300, estimate: 0.6 });
  expect(found.used).toBeCloseTo((0.8 * 50 + 300) / 550, 12);
  expect(germinationFigure(variety({ learns: false }), [counted(1, 100, 60)]).used).toBe(0.8);
  expect(germinationFigure(variety(), [counted(1, 1_000_000, 0)]).used).toBe(0.01);
  // One sowing of which nothing came up makes the next ones larger, not impossible.
  expect(germinationFigure(variety(), [counted(1, 84, 0)]).used).toBeCloseTo(40 / 134, 12);
});

test("old, overdue and poor lots warn; one that was tested lately does not for its age", () => {
  const today = 22_000;
  const kinds = (one: SeedLot) => lotWarnings([one], today).map(({ kind }) => kind);
  expect(kinds(lot("A"))).toEqual(["old"]);
  expect(kinds(lot("A", { testedOn: today - 30, germination: 0.9 }))).toEqual([]);
  expect(kinds(lot("A", { receivedOn: today - 10, bestBefore: today - 1 }))).toEqual(["past-best-before"]);
  expect(kinds(lot("A", { receivedOn: today - 10, germination: 0.5 }))).toEqual(["poor"]);
  expect(kinds(lot("A", { onHandG: 0 }))).toEqual([]);
  expect(lotInUse([lot("A", { onHandG: 0 }), lot("B")])?.name).toBe("B");
});

test("seed that planned sowings will miss is told with the day, for lots that are kept", () => {
  const planned = [10, 40, 70].map((id) => batch(id, []));
  // Each sowing takes 1 g; 2.5 g are there.
  const kept = variety({ lots: [lot("A", { onHandG: 2.5 })] });
  expect(seedOrders({ varieties: [kept], batches: planned }, 20_000)).toEqual([
    { varietyId: 1, variety: "Basil", gramsToBuy: 0.5, shortOn: 20_070, orderBy: 20_063 },
  ]);
  expect(seedOrders({ varieties: [variety()], batches: planned }, 20_000)).toEqual([]);
  expect(seedOrders({ varieties: [kept], batches: planned.slice(1) }, 20_000)).toEqual([]);
});

test("only days found ready teach; held and mistyped ones are left out, and what was learned is never the measure", () => {
  const ready = (id: number, days: number) => batch(id, [{ day: 20_000, readyOn: 20_000 + days }]);
  const batches = [ready(1, 24), ready(2, 26), ready(3, 200), batch(4, [{}])];
  const [stage] = learnedDays(variety(), batches);
  expect(stage!.ratios).toEqual([1.2, 1.3]);
  expect(stage!.ratio).toBeCloseTo((3 + 2.5) / 5, 12);
  const learned = variety({ stages: [{ ...variety().stages[0]!, learnedRatio: 2 }] });
  expect(learnedDays(learned, batches)[0]!.ratios).toEqual([1.2, 1.3]);
  expect(learnedStages(variety({ learns: false }), batches)).toBeNull();
  expect(learnedStages(variety(), [batch(4, [{}])])).toBeNull();
});
