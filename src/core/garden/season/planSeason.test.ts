import { solver, warmSolver } from "../../../../tests/engines/highs";
import { COMMON_UNITS } from "../../growth/harvestUnit";
import { dayFromIso } from "../../units/day";
import { apply, settle, type Changes, type Row, type Tables } from "../changes";
import { RULES } from "../entities";
import { newFaults } from "../faults";
import { EXAMPLE_GARDENS } from "../examples/gardens";
import { exampleChanges, type ExampleSolvers } from "../examples/exampleTables";
import { NO_FACTS } from "../facts";
import { gardenOf } from "../gardenOf";
import { household } from "../household";
import { keepWhereTheyStand, letGo, putAt, swapPlaces } from "../keepPlaces";
import { joinBatches, splitBatch } from "../splitBatch";
import { workOut } from "../workOut";
import { planSeason, type PlannedSeason } from "./planSeason";
import { remedyChanges } from "./remedy";

const today = dayFromIso("2027-03-12");
const example = EXAMPLE_GARDENS.find(({ name }) => name === "Friday house")!;
const site = { latitudeDeg: example.latitudeDeg };
const worked = (tables: Tables) => workOut(gardenOf(tables, site), NO_FACTS, today);

/** Changes with real ids, from a number on. */
function real(changes: Changes, from: number): Changes {
  const ids = new Map<number, number>();
  for (const { added } of Object.values(changes))
    for (const id of Object.keys(added).map(Number)) ids.set(id, from - id);
  return settle(changes, ids, RULES);
}

let solvers: ExampleSolvers;
/** A house with stands, crops and orders of every Friday, in which nothing grows yet. */
let bare: Tables;
beforeAll(async () => {
  solvers = { solve: await solver(), open: await warmSolver() };
  const units = Object.fromEntries(COMMON_UNITS.map((unit, at) => [at + 1, { id: at + 1, ...unit, typed: {} }]));
  const all = apply(
    { harvest_unit: units },
    real(exampleChanges({ harvest_unit: units }, example, today, solvers), 1000),
  );
  bare = { ...all, batch: {}, batch_stage: {}, batch_place: {} };
});

type Placed = { readonly stay: { readonly batchId: number; readonly stage: number } };
const plan = (tables: Tables, explain = false) =>
  planSeason(tables, site, today, [1, 2, 3, 4, 5, 6, 7], { open: solvers.open, explain, look: () => undefined });
const planned = (tables: Tables) => plan(tables) as PlannedSeason;
const all = (tables: Tables, table: string) => Object.values(tables[table] ?? {});

test("a season is planned with its places, leaves the next days alone, and planned again nothing changes", () => {
  const season = planned(bare);
  const after = apply(bare, real(season.changes, 50_000));
  expect(season.leftOut).toBe(0);
  expect(season.bound).toBeGreaterThanOrEqual(season.value);
  expect(season.bound - season.value).toBeLessThan(0.05 * season.bound);
  const { deliveries, plan: found, placed } = worked(after);
  expect([...placed.values()].flat().filter(({ over }) => over > 0)).toEqual([]);
  for (const { batch, stays } of found.batches) {
    expect(batch.sowDay).toBeGreaterThanOrEqual(today + 3);
    const kept = all(after, "batch_place").filter(({ batchId }) => batchId === batch.id);
    expect(new Set(kept.map(({ stage }) => stage)).size).toBe(stays.length);
  }
  // Lettuce takes a good month from seed: what is wanted before cannot be reached, all else nearly is.
  const reached = deliveries.filter(({ day }) => day > today + 60 && day < today + 182);
  expect(reached.filter(({ state }) => state.kind === "met").length).toBeGreaterThan(0.9 * reached.length);
  expect(newFaults(bare, after, season.changes)).toEqual([]);
  expect(planned(after)).toMatchObject({ isUnchanged: true, changes: {} });
});

test("where what a crop drinks costs more than it brings, nothing is sown", () => {
  const at = (table: string, change: Row) =>
    Object.fromEntries(Object.entries(bare[table] ?? {}).map(([id, row]) => [id, { ...row, ...change }]));
  const dearWater = { ...bare, source: at("source", { pricePerM3: 10_000 }), store: {} };
  const dearSalts = { ...bare, salt: at("salt", { pricePerKg: 100_000 }) };
  for (const tables of [dearWater, dearSalts]) {
    expect(worked(tables).garden.sources.length).toBeGreaterThan(0);
    expect(planned(tables)).toMatchObject({ isUnchanged: true, value: 0 });
  }
});

test("what is pinned and what is sown is not touched, whatever else is planned", () => {
  const first = apply(bare, real(planned(bare).changes, 50_000));
  const [one, other] = all(first, "batch").sort((a, b) => Number(a.sowDay) - Number(b.sowDay)) as [Row, Row];
  const pinned = { ...one, pinned: true, note: "for the fair" };
  const begun = { id: 7, batchId: other.id!, position: 0, day: today - 2, plants: 9 } as Row;
  const tables: Tables = {
    ...first,
    order_line: Object.fromEntries(all(first, "order_line").map((row) => [row.id, { ...row, quantity: 5 }])),
    batch: { ...first.batch, [Number(one.id)]: pinned, [Number(other.id)]: { ...other, sowDay: today - 2 } },
    batch_stage: { 7: begun },
  };
  const { batch } = planned(tables).changes;
  expect(Object.keys(batch!.removed).length + Object.keys(batch!.updated).length).toBeGreaterThan(5);
  for (const id of [one, other].map((row) => Number(row.id)))
    expect([batch!.removed[id], batch!.updated[id]]).toEqual([undefined, undefined]);
});

test("where no season can be planned it is said why; seed that never comes up and places that no crop leads to are named", () => {
  expect(plan({ ...bare, order_line: {} })).toEqual({ kind: "no-orders" });
  expect(plan({ ...bare, stand: {} })).toEqual({ kind: "no-sites" });
  const soon = Object.fromEntries(all(bare, "order_line").map((row) => [row.id, { ...row, to: today + 8 }]));
  expect(plan({ ...bare, order_line: soon })).toEqual({ kind: "no-way" });
  const [lettuce] = all(bare, "variety").filter(({ name }) => name === "Lettuce, heads") as [Row];
  const dead = { ...bare.variety, [Number(lettuce.id)]: { ...lettuce, germination: 1e-9 } };
  expect(planned({ ...bare, variety: dead }).hopeless).toEqual(["Lettuce, heads"]);
  const [area, stand] = [all(bare, "growing_area")[0]!, all(bare, "stand")[0]!];
  const spare: Tables = {
    ...bare,
    growing_area: { ...bare.growing_area, 900: { ...area, id: 900, name: "Spare", position: 9 } },
    stand: { ...bare.stand, 901: { ...stand, id: 901, name: "Spare bank", growingAreaId: 900, position: 99 } },
  };
  expect([planned(bare).idleAreas, planned(spare).idleAreas]).toEqual([[], ["Spare"]]);
});

test("batches are put on sites, swapped and let go; sites that another keeps are refused, and days are kept up with the plan", () => {
  const planted = apply(bare, real(planned(bare).changes, 50_000));
  const tables: Tables = { ...planted, batch_place: {} };
  const found = worked(tables);
  const channels = found.input.growingAreas.find(({ name }) => name === "Channels")!;
  const [first, second] = found.placed.get(channels.id)! as unknown as [Placed, Placed];
  const [one, other] = [first, second].map(({ stay }) => ({
    batchId: stay.batchId,
    stage: stay.stage,
  })) as [{ batchId: number; stage: number }, { batchId: number; stage: number }];
  const spot = (line: number) => ({ standId: channels.lines![0]!.standId, line, firstSite: 1 });
  const put = apply(tables, real(putAt(found, one, spot(3)) as Changes, 90_000));
  expect(all(put, "batch_place").every(({ how, batchId }) => how === "hand" && batchId === one.batchId)).toBe(true);
  expect(Math.min(...all(put, "batch_place").map(({ line }) => Number(line)))).toBe(3);
  const now = worked(put);
  expect(putAt(now, other, spot(3))).toMatchObject({ kind: "taken", by: one, canSwap: true });
  expect(putAt(now, one, { ...spot(1), standId: 1 })).toMatchObject({ kind: "other-area" });
  expect(putAt(now, one, spot(channels.lines!.length))).toMatchObject({ kind: "too-few-sites" });
  expect(putAt(now, { batchId: 1, stage: 0 }, spot(1))).toEqual({ kind: "no-stay" });

  const both = apply(put, real(keepWhereTheyStand(now, [other], "plan"), 91_000));
  const lineOf = (from: Tables, batchId: number) =>
    Math.min(
      ...all(from, "batch_place")
        .filter((row) => row.batchId === batchId)
        .map(({ line }) => Number(line)),
    );
  const swapped = apply(both, real(swapPlaces(worked(both), one, other) as Changes, 92_000));
  expect([lineOf(swapped, one.batchId), lineOf(swapped, other.batchId)]).toEqual([
    lineOf(both, other.batchId),
    lineOf(both, one.batchId),
  ]);

  // The first slips by a week; when the second is put somewhere, the days of the first follow.
  const row = tables.batch![one.batchId]!;
  const later = worked({ ...put, batch: { ...put.batch, [one.batchId]: { ...row, sowDay: Number(row.sowDay) + 7 } } });
  const moved = putAt(later, other, spot(8)) as Changes;
  expect(Object.keys(moved.batch_place!.updated)).toHaveLength(all(put, "batch_place").length);
  expect(Object.keys(letGo(now, [one]).batch_place!.removed)).toHaveLength(all(put, "batch_place").length);
});

test("a batch is split and joined again; all of it, one that is sown and one of another crop are refused", () => {
  const tables = apply(bare, real(planned(bare).changes, 50_000));
  const batch = all(tables, "batch").find(({ targetPlants }) => Number(targetPlants) > 20)!;
  const id = Number(batch.id);
  const parted = apply(tables, real(splitBatch(tables, id, 8) as Changes, 90_000));
  const part = parted.batch![90_001]!;
  expect(part).toMatchObject({ targetPlants: 8, varietyId: batch.varietyId, sowDay: batch.sowDay });
  expect(Number(part.cells) + Number(parted.batch![id]!.cells)).toBe(batch.cells);
  const joined = apply(parted, joinBatches(parted, id, 90_001) as Changes);
  expect(joined.batch![id]).toMatchObject({ cells: batch.cells, targetPlants: batch.targetPlants });
  expect(joined.batch![90_001]).toBeUndefined();
  expect(splitBatch(tables, id, Number(batch.targetPlants))).toMatchObject({ kind: "split-all" });
  expect(splitBatch(tables, 5, 1)).toEqual({ kind: "batch-gone" });
  const strange = all(tables, "batch").find(({ varietyId }) => varietyId !== batch.varietyId)!;
  expect(joinBatches(tables, id, Number(strange.id))).toEqual({ kind: "join-apart" });
  const sown = { ...parted, batch_stage: { 7: { id: 7, batchId: id, position: 0, day: today - 1, plants: 20 } } };
  expect(joinBatches(sown, id, 90_001)).toEqual({ kind: "join-apart" });
  const halves = splitBatch(sown, id, 4) as Changes;
  const counts = [halves.batch_stage!.updated[7]!.plants![1], Object.values(halves.batch_stage!.added)[0]!.plants];
  expect(Number(counts[0]) + Number(counts[1])).toBe(20);
});

test("orders too large name the limit and its days; with the remedy that was shown more of them is met", () => {
  const orders = all(bare, "order_line").map((row) => [row.id, { ...row, quantity: 4 * Number(row.quantity) }]);
  const large: Tables = { ...bare, order_line: Object.fromEntries(orders) };
  const { reasons, value, bound, lostApart } = plan(large, true) as PlannedSeason;
  expect(value + lostApart).toBeLessThanOrEqual(bound + 1e-6);
  const limited = reasons!.short.filter(({ why }) => why.kind === "limits");
  expect(limited.length).toBeGreaterThan(0);
  for (const { why, missing, days } of limited) {
    expect(missing).toBeGreaterThan(0);
    if (why.kind !== "limits") continue;
    for (const { free, needed, from, until } of why.limits) {
      expect(free).toBeLessThan(needed);
      expect(from).toBeLessThanOrEqual(until);
      expect(from).toBeLessThanOrEqual(Math.max(...days));
    }
  }
  const [best] = reasons!.easing;
  expect(best!.worth).toBeGreaterThan(0);
  const wider = apply(large, remedyChanges(large, best!.remedy));
  const there = planned(wider);
  expect(there.value).toBeGreaterThan(value);
  // What finds no sites together is planned otherwise: made smaller on its lines alone it would lose twice as much.
  expect(there.lostApart).toBeGreaterThan(0);
  expect(there.bound - there.value).toBeLessThan(0.03 * there.bound);
  // An order that is taken smaller is one that was short on most of its days.
  const fewer = limited.flatMap(({ remedies }) => remedies).find(({ remedy }) => remedy.kind === "fewer")!.remedy;
  if (fewer.kind !== "fewer") throw new Error("no order is made smaller");
  const { quantity } = large.order_line![fewer.orderId]!;
  expect(fewer.quantity).toBeLessThan(Number(quantity));
  expect(fewer.quantity).toBeGreaterThan(0);
});

test("what is eaten at home is planned for as an order is; gaps, glut and all at once are told", () => {
  const [first] = all(bare, "variety");
  const tables: Tables = {
    ...bare,
    order_line: {},
    variety: { ...bare.variety, [Number(first!.id)]: { ...first!, eatenPerWeek: 6 } },
  };
  const now = worked(tables);
  const supply = (of: typeof now) => household(of, today, today + 182, 0.9)[0]!;
  expect(supply(now).weeks.every(({ given }) => given === 0)).toBe(true);
  const season = planned(tables);
  const after = worked(apply(tables, real(season.changes, 70_000)));
  const { weeks, steady, glut, atOnce } = supply(after);
  const late = weeks.filter(({ day }) => day > today + 60 && day < today + 175);
  expect(late.filter(({ given }) => given > 5.99).length).toBeGreaterThan(0.8 * late.length);
  expect([steady!.everyDays, atOnce]).toEqual([7, null]);
  expect(steady!.cells).toBeGreaterThanOrEqual(steady!.plants);
  expect(glut).toBeLessThan(30);
  // All of it sown on one day is ready together.
  const heap = {
    ...tables,
    batch: { 1: { ...newBatch(Number(first!.id), today + 5, 60), id: 1 } },
  } as unknown as Tables;
  expect(supply(worked(heap)).atOnce!.units).toBeGreaterThan(50);
  expect(supply(worked(heap)).glut).toBeGreaterThan(0);
});

const newBatch = (varietyId: number, sowDay: number, targetPlants: number) => ({
  ...{ varietyId, sowDay, targetPlants, cells: targetPlants + 5, clearedDay: null, note: "", pinned: false, typed: {} },
});

test("an order for one day that no sowing can reach is offered on the first of the weeks after it that one can, and is met then", () => {
  const [row] = all(bare, "order_line");
  // A Friday, as all of its orders are for.
  const day = today + 7;
  const near = { ...row!, id: 9_000, from: day, to: day, quantity: 5 };
  const tables: Tables = { ...bare, order_line: { ...bare.order_line, 9_000: near } };
  const { reasons } = plan(tables, true) as PlannedSeason;
  const short = reasons!.short.find(({ orderIds }) => orderIds.includes(9_000))!;
  expect(short.why.kind).toBe("no-sowing");
  const later = short.remedies.find(({ remedy }) => remedy.kind === "later")!;
  if (later.remedy.kind !== "later") throw new Error("not later");
  const { from } = later.remedy;
  expect([(from - day) % 7, later.worth > 0]).toEqual([0, true]);
  const moved = apply(tables, remedyChanges(tables, later.remedy));
  expect(moved.order_line![9_000]).toMatchObject({ from, to: from });
  const { deliveries } = worked(apply(moved, real(planned(moved).changes, 80_000)));
  const delivered = deliveries.find(({ orderId, day: on }) => orderId === 9_000 && on === from)!;
  expect(delivered.state.kind).toBe("met");
});
