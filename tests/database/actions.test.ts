import { demoGarden } from "./demoGarden";
import { signedInAs } from "./request";

jest.mock("react", () => ({ ...jest.requireActual<object>("react"), cache: <T>(work: T) => work }));
jest.mock("next/headers", () => jest.requireActual<{ nextHeaders: object }>("./request").nextHeaders);

const { rows, owner } = demoGarden(() => signedInAs("ines"));

const round = () => import("../../src/server/round/actions");
const todaysItems = async () => {
  const { todayRound } = await import("../../src/server/round/today");
  return (await todayRound()).items;
};
const keyOf = async (kind: string, title: string) =>
  (await todaysItems()).find((item) => item.kind === kind && item.title.includes(title))!.key;

test("ticking a move begins the stage and writes the log; undo takes back exactly that", async () => {
  const { tickItem, undoEntry } = await round();
  const key = await keyOf("move", "Mizuna");
  const [, batchId, position] = key.split(":");
  const done = await tickItem({ key, actual: 9, note: "one broke" });
  expect(done).toMatchObject({ ok: true });
  expect(
    await rows(
      "select plants, begun_on - date '1970-01-01' as day from batch_stage where batch_id = $1 and position = $2",
      [batchId, position],
    ),
  ).toEqual([{ plants: 9, day: 21063 }]);
  expect((await todaysItems()).some((item) => item.key === key)).toBe(false);
  expect(await tickItem({ key, actual: null, note: "" })).toMatchObject({
    ok: false,
    message: expect.stringContaining("not on today's round any more"),
  });
  expect(await undoEntry({ entryId: (done as { value: number }).value })).toMatchObject({ ok: true });
  expect(await rows("select 1 from batch_stage where batch_id = $1 and position = $2", [batchId, position])).toEqual(
    [],
  );
  expect((await todaysItems()).some((item) => item.key === key)).toBe(true);
  expect(await undoEntry({ entryId: (done as { value: number }).value })).toMatchObject({ ok: false });
  const [entry] = await rows<{ actual: { done: number }; undone_by: number }>(
    "select actual, undone_by from log_entry where item_key = $1",
    [key],
  );
  expect(entry!.actual.done).toBe(9);
  expect(entry!.undone_by).not.toBeNull();
});

test("mixing a stock fills its tank and takes its salts off the shelf, never below nothing", async () => {
  const { tickItem, undoEntry } = await round();
  await rows("update salt set on_hand_g = 100 where name = 'potassium nitrate'");
  const before = await rows(
    "select left_l, on_hand_g from stock_tank, salt where letter = 'A' and loop_id = 2 and salt.name = 'calcium nitrate, commercial double salt'",
  );
  const result = await tickItem({ key: "mix:2:A", actual: null, note: "" });
  expect(result).toMatchObject({ ok: true });
  const [after] = await rows<{ left_l: number; volume_l: number; on_hand_g: number }>(
    "select left_l, volume_l, on_hand_g from stock_tank, salt where letter = 'A' and loop_id = 2 and salt.name = 'calcium nitrate, commercial double salt'",
  );
  expect(after!.left_l).toBe(after!.volume_l);
  expect((before[0] as { on_hand_g: number }).on_hand_g - after!.on_hand_g).toBeGreaterThan(1000);
  expect(await rows("select on_hand_g from salt where name = 'potassium nitrate'")).toEqual([{ on_hand_g: 0 }]);
  await undoEntry({ entryId: (result as { value: number }).value });
  expect(
    await rows(
      "select left_l, on_hand_g from stock_tank, salt where letter = 'A' and loop_id = 2 and salt.name = 'calcium nitrate, commercial double salt'",
    ),
  ).toEqual(before);
  // What was really taken is what comes back.
  expect(await rows("select on_hand_g from salt where name = 'potassium nitrate'")).toEqual([{ on_hand_g: 100 }]);
});

test("clearing a batch ends it; the round does not ask again", async () => {
  const { tickItem } = await round();
  const [standing] = await rows<{ batch_id: number }>(
    `select batch_id from batch_stage join batch on batch.id = batch_id join variety on variety.id = variety_id
      where variety.name = 'Batavia lettuce' and position = 2 and cleared_day is null order by begun_on limit 1`,
  );
  await rows("update batch_stage set begun_on = begun_on - 40 where batch_id = $1", [standing!.batch_id]);
  const key = `wash:${standing!.batch_id}:2`;
  expect((await todaysItems()).find((item) => item.key === key)?.title).toMatch(/^Clear and wash leaf bank, channel/);
  expect(await tickItem({ key, actual: null, note: "" })).toMatchObject({ ok: true });
  expect(
    await rows("select cleared_day - date '1970-01-01' as day from batch where id = $1", [standing!.batch_id]),
  ).toEqual([{ day: 21063 }]);
  expect((await todaysItems()).some((item) => item.key === key)).toBe(false);
});

test("a reading with a likely slip is asked about, one over the rim is refused, and neither is kept", async () => {
  const { enterReading } = await round();
  const reading = { loopId: 1, ecMsPerCm: 1.5, ph: 6, waterC: 20, levelL: 580, sure: false };
  expect(await enterReading({ ...reading, ecMsPerCm: 14 })).toMatchObject({
    ok: false,
    fields: { ecMsPerCm: expect.stringContaining("Was it CF 14?") },
  });
  expect(await enterReading({ ...reading, levelL: 900 })).toMatchObject({
    ok: false,
    fields: { levelL: "Level is 900 L; the tank holds 750 L." },
  });
  expect(await enterReading({ ...reading, ph: 58 })).toMatchObject({
    ok: false,
    fields: { ph: expect.stringContaining("it must be from 0 to 14") },
  });
  expect(await enterReading({ ...reading, loopId: 77 })).toMatchObject({
    ok: false,
    message: "This tank is not there any more.",
  });
  expect(await rows("select 1 from reading where origin = 'hand' and at::date = '2027-09-02'")).toEqual([]);
  expect(await enterReading(reading)).toMatchObject({ ok: true });
});

test("a correction stands beside the first value; only figures that the entry has can be corrected", async () => {
  const { correctEntry } = await round();
  const [entry] = await rows<{ id: number; actual: Record<string, number> }>(
    "select id::integer, actual from log_entry where kind = 'reading' and day = '2027-08-30' and loop_id = 1",
  );
  expect(await correctEntry({ entryId: entry!.id, values: { storedL: 5 }, note: "no" })).toMatchObject({
    ok: false,
    message: expect.stringContaining("no figure"),
  });
  expect(await correctEntry({ entryId: entry!.id, values: {}, note: "no" })).toMatchObject({
    ok: false,
    fields: { values: expect.stringContaining("Nothing to correct") },
  });
  expect(await correctEntry({ entryId: entry!.id, values: { ph: 5.9 }, note: "read again" })).toMatchObject({
    ok: true,
  });
  expect(
    (await rows<{ actual: object }>("select actual from log_entry where id = $1", [entry!.id]))[0]!.actual,
  ).toEqual(entry!.actual);
  expect(
    await rows("select planned -> 'first' as first, actual from log_entry where corrects_id = $1", [entry!.id]),
  ).toEqual([{ first: entry!.actual, actual: { ph: 5.9 } }]);
  expect(await rows("select ph from reading where log_id = $1", [entry!.id])).toEqual([{ ph: 5.9 }]);
});

test("batches are added all or none, one sown earlier counts as sown, and a sown one cannot be moved", async () => {
  const { addBatches, moveBatch, removeBatches } = await import("../../src/server/batches/actions");
  const good = { varietyId: 1, sowDay: "2027-09-20", cells: 50, targetPlants: 40 };
  const count = async () => (await rows("select 1 from batch")).length;
  const before = await count();
  expect(await addBatches({ batches: [good, { ...good, varietyId: 9999 }] })).toMatchObject({ ok: false });
  expect(await addBatches({ batches: [good, { ...good, targetPlants: 60 }] })).toMatchObject({
    ok: false,
    fields: { "batches.1.targetPlants": expect.stringContaining("must not be more than the cells") },
  });
  expect(await count()).toBe(before);
  const added = await addBatches({ batches: [good, { ...good, sowDay: "2027-08-20" }] });
  const [future, past] = (added as { value: number[] }).value;
  expect(await rows("select position, plants from batch_stage where batch_id = $1", [past])).toEqual([
    { position: 0, plants: 50 },
  ]);
  expect(await moveBatch({ id: past, version: 1, sowDay: "2027-09-30" })).toMatchObject({
    ok: false,
    message: expect.stringContaining("its days are facts now"),
  });
  expect(await moveBatch({ id: future, version: 1, sowDay: "2027-09-27" })).toMatchObject({ ok: true, value: 21081 });
  expect(await removeBatches({ ids: [future, past] })).toMatchObject({ ok: true });
  expect(await count()).toBe(before);
});

test("a recipe that would drop gypsum is refused with the reason and stays as it was", async () => {
  const { saveRecipe } = await import("../../src/server/feed/actions");
  const { recipes, salts } = await import("../../src/server/feed/queries");
  const [recipe] = await recipes(owner(), 1);
  const shelf = await salts(owner(), 1);
  const gypsum = shelf.find((salt) => salt.name.startsWith("magnesium sulfate"))!;
  const inA = recipe!.salts.map((entry) => (entry.saltId === gypsum.id ? { ...entry, stock: "A" } : entry));
  expect(await saveRecipe({ ...recipe, salts: inA, name: "Changed" })).toMatchObject({
    ok: false,
    fields: { salts: expect.stringMatching(/Stock A is refused: .* drop gypsum/) },
  });
  expect((await recipes(owner(), 1))[0]).toEqual(recipe);
  expect(await saveRecipe({ ...recipe, ecLow: 1.6 })).toMatchObject({
    ok: false,
    fields: { ecLow: "EC from is 1.6 mS/cm; it must not be over the EC wanted" },
  });
  expect(await saveRecipe({ ...recipe, name: "Leafy again" })).toMatchObject({ ok: true });
});
