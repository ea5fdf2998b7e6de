import type { Season } from "../../src/server/garden/season";
import { NO_FACTS } from "../../src/core/garden/facts";
import { workOut } from "../../src/core/garden/workOut";
import { gardenRows } from "../../src/server/garden/gardenRows";
import { forWhom } from "../../src/server/garden/season";
import { lastHandReadings, lastReadings } from "../../src/server/water/queries";
import { logEntries } from "../../src/server/round/queries";
import { roundOf } from "../../src/server/round/today";
import { houseViews } from "../../src/core/garden/placeView";
import { loopLadder, tankLimits } from "../../src/core/garden/tank";
import { seasonView } from "../../src/core/garden/seasonView";
import { freshDatabase, type TestDatabase } from "./database";

const today = 21_063;
let database: TestDatabase;
let season: Season;

beforeAll(async () => {
  process.env.SEED_ROUND_TODAY = "2027-09-02";
  database = await freshDatabase("demo_template");
  const units = { system: "metric", ec: "mS/cm", temperature: "°C", currency: "€" } as const;
  const who = {
    sessionId: 1,
    confirmedAt: new Date(),
    moved: { revision: 0, whole: 0, base: 0 },
    gardens: [],
    whatIf: null,
    backup: { lastAt: null, problem: null, late: false },
    accountId: 1,
    role: "keeper",
    gardenId: 1,
    gardenName: "Saltcote Yard",
    isDemo: true,
    personId: 1,
    personName: "Ines Varela",
    units,
    today,
    timeZone: "UTC",
    latitudeDeg: 37.2,
    sowWeekdays: [1, 4],
  } as const;
  season = forWhom(workOut(await gardenRows(database.pool, 1), NO_FACTS, today), who);
});
afterAll(() => database.close());

test("the demo garden counts as it is described", () => {
  const views = houseViews(season);
  const sites = Object.fromEntries(
    views.flatMap(({ stands }) => stands.map(({ stand, counts }) => [stand.name, counts.sites])),
  );
  expect(sites).toEqual({
    "Germination rack": 2016,
    "Shoots rack": 20,
    "Nursery bank": 360,
    "Cress pond": 112,
    Towers: 108,
    "Fodder rack": 12,
    "Leaf bank": 864,
    Beds: 588,
    "Bucket line": 32,
  });
  expect(views.flatMap(({ clashes }) => clashes)).toEqual([]);
  // The pond is its own small tank, and shallow.
  expect(views.flatMap(({ stands }) => stands.flatMap(({ counts }) => counts.warnings))).toEqual([
    { kind: "shallow-pond", leastM: 0.15 },
  ]);
  for (const { stands } of views)
    for (const view of stands) expect(view.planted).toBeLessThanOrEqual(view.counts.sites);
});

test("its fourteen months are solved: they fit its houses, meet nearly every order, and something runs short so that the signs have work", () => {
  expect(season.plan.to - today).toBe(426);
  const ahead = season.plan.deliveries.filter((delivery) => delivery.day >= today);
  expect(ahead.length).toBeGreaterThan(800);
  const missed = ahead.filter((delivery) => delivery.wanted - delivery.given > 1e-6);
  expect(missed.length / ahead.length).toBeLessThan(0.03);
  const leftOut = [...season.placed.values()].flat().filter(({ stay, over }) => over > 0 && stay.to > today);
  expect(leftOut).toEqual([]);
  expect(new Set(season.shortages.map((shortage) => shortage.kind))).toEqual(new Set(["salt"]));
  expect(season.shortages.map(({ day }) => day)).toEqual(
    [...season.shortages.map(({ day }) => day)].sort((a, b) => a - b),
  );
});

test("what stands today stands within its growing area, and placements count the same plants as the occupancy", () => {
  for (const growingArea of season.plan.growingAreas) {
    const placed = season.placed
      .get(growingArea.growingAreaId)!
      .filter(({ stay }) => stay.from <= today && today < stay.to);
    expect(placed.reduce((sum, { stay }) => sum + stay.plants, 0)).toBe(growingArea.plants[today - season.plan.from]);
    expect(placed.every(({ stay }) => stay.begun || stay.from === today)).toBe(true);
  }
});

test("ten weeks of history: readings every quarter of an hour, a log of every kind, the mistake and its correction", async () => {
  const { rows } = await database.pool.query(
    "select loop_id, count(*)::integer as n, min(at) as first from reading where origin = 'meter' group by 1 order by 1",
  );
  expect(rows.map((row) => row.n)).toEqual([6720, 6720, 6720, 6720]);
  expect(rows[0].first).toEqual(new Date("2027-06-24T00:00:00Z"));
  const log = await logEntries(database.pool, 1, {
    from: today - 70,
    to: today,
    kind: null,
    search: null,
    limit: 10_000,
  });
  expect(new Set(log.map((entry) => entry.kind))).toEqual(
    new Set(["sow", "move", "pick", "wash", "reading", "count", "note", "loss", "catch-cans", "calibration"]),
  );
  const correction = log.find((entry) => entry.correctsId !== null)!;
  expect(log.find((entry) => entry.id === correction.correctsId)!.what).toMatchObject({ figures: { levelL: 95 } });
  expect(correction.what).toMatchObject({ kind: "correction", values: { levelL: 585 } });
  const byPerson = await logEntries(database.pool, 1, {
    from: today - 70,
    to: today,
    kind: "note",
    search: "SAND in",
    limit: 10,
  });
  expect(byPerson.map(({ what }) => what)).toMatchObject([{ kind: "note", place: "Beds" }]);
});

test("the newest readings: each loop's last by hand and its last by meter, none from after the moment asked", async () => {
  const noon = new Date("2027-08-20T12:00:00Z");
  const [meter, hand] = [await lastReadings(database.pool, 1, noon), await lastHandReadings(database.pool, 1, noon)];
  expect(meter.map((reading) => reading.loopId).sort()).toEqual([1, 2, 3, 4]);
  expect(meter.every((reading) => reading.at <= noon && noon.getTime() - reading.at.getTime() < 16 * 60_000)).toBe(
    true,
  );
  expect(hand.every((reading) => reading.origin === "hand" && reading.at <= noon)).toBe(true);
});

test("today's round walks from the gate to the houses, every item with its own key", async () => {
  const { items } = await roundOf(database.pool, season);
  expect(new Set(items.map((item) => item.key)).size).toBe(items.length);
  expect(items.map((item) => item.stop.order)).toEqual(items.map((item) => item.stop.order).toSorted((a, b) => a - b));
  expect(new Set(items.map(({ task }) => task.kind))).toEqual(
    new Set(["store", "reading", "top-up", "mix", "sow", "move", "pick", "wash"]),
  );
  for (const item of items.filter(({ task }) => task.kind === "mix"))
    expect(item.amounts.every(({ value }) => value > 0)).toBe(true);
});

test("each loop has its ladder, and no tank is filled over what drains back into it", () => {
  for (const loop of season.garden.loops) {
    const found = loopLadder(season, loop);
    expect(found.rungs.every((rung) => Number.isFinite(rung.canGive) && Number.isFinite(rung.needs))).toBe(true);
    expect(loop.normalFillL).toBeLessThanOrEqual(tankLimits(season, loop).greatestL);
  }
  const leaf = season.garden.loops.find((loop) => loop.name === "Leaf")!;
  // Films of 36 channels of 6 m and 12 of 3 m, 100 mm wide and 4 mm deep, and 14 m of pipe of 33.2 mm.
  expect(tankLimits(season, leaf).drainBackL).toBeCloseTo(
    ((36 * 6 + 12 * 3) * 0.1 * 0.004 + (Math.PI / 4) * 0.0332 ** 2 * 14) * 1000,
    9,
  );
});

test("a window of the season holds the blocks that touch it and the batches that they belong to", () => {
  const view = seasonView(season, today, today + 63);
  expect(view.blocks.every((block) => block.to > today && block.from < today + 63)).toBe(true);
  expect(new Set(view.blocks.map((block) => block.batchId))).toEqual(new Set(view.batches.map((batch) => batch.id)));
  expect(view.market.every(({ day, lines }) => day >= today && day < today + 63 && lines > 0)).toBe(true);
  const nursery = view.growingAreas.find((growingArea) => growingArea.name === "Nursery bank")!;
  expect(nursery.firstOver?.day).toBe(season.shortages.find((shortage) => shortage.name === "Nursery bank")?.day);
});
