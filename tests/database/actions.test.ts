import { RECIPE, RECIPE_SALT } from "../../src/core/garden/entities/feed";
import { LOOP } from "../../src/core/garden/entities/water";
import { formOf, idOf } from "./samples/lib";
import { demoGarden } from "./demoGarden";
import { subjectOf } from "../../src/core/round/log";
import { taskTitle } from "../../src/features/round/words";
import { said } from "./said";
import { signedInAs } from "./request";

jest.mock("react", () => ({ ...jest.requireActual<object>("react"), cache: <T>(work: T) => work }));
jest.mock("next/headers", () => jest.requireActual<{ nextHeaders: object }>("./request").nextHeaders);

const { rows } = demoGarden(() => signedInAs("ines"));

const round = () => import("../../src/server/round/actions");
const todaysItems = async () => {
  const { todayRound } = await import("../../src/server/round/today");
  return (await todayRound()).items;
};
const keyOf = async (kind: string, title: string) =>
  (await todaysItems()).find(({ task }) => task.kind === kind && taskTitle(task).includes(title))!.key;

test("ticking a move begins the stage and writes the log; undo reverts exactly that", async () => {
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
  expect(said(await tickItem({ key, actual: null, note: "" }))).toMatchObject({
    ok: false,
    message: expect.stringContaining("no longer on today's round"),
  });
  expect(await undoEntry({ entryId: (done as { value: number }).value })).toMatchObject({ ok: true });
  expect(await rows("select 1 from batch_stage where batch_id = $1 and position = $2", [batchId, position])).toEqual(
    [],
  );
  expect((await todaysItems()).some((item) => item.key === key)).toBe(true);
  expect(await undoEntry({ entryId: (done as { value: number }).value })).toMatchObject({ ok: false });
  const [entry] = await rows<{ done: number; undone_by: number }>(
    "select (what ->> 'done')::integer as done, undone_by from log_entry where item_key = $1",
    [key],
  );
  expect(entry!.done).toBe(9);
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
  // What is in it is known from today on, and the record says what went in.
  expect(await rows("select read_on::text as on from stock_tank where letter = 'A' and loop_id = 2")).toEqual([
    { on: "2027-09-02" },
  ]);
  const { mixesOf } = await import("../../src/server/round/queries");
  const db = { query: async (text: string, values: unknown[]) => ({ rows: await rows(text, values) }) };
  const [mix] = await mixesOf(db as never, 1, 2);
  expect(mix).toMatchObject({ letter: "A", usedL: 0, personName: "Ines Varela" });
  expect(mix!.beforeL + mix!.madeL).toBeCloseTo(after!.volume_l, 6);
  expect(mix!.salts.find(({ name }) => name === "potassium nitrate")!.grams).toBeGreaterThan(100);
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
  expect((await todaysItems()).find((item) => item.key === key)?.task).toMatchObject({
    clears: true,
    where: { growingArea: "Leaf bank", lines: expect.stringMatching(/^channel/u) },
  });
  // What became of what was never picked is asked first.
  expect(said(await tickItem({ key, actual: null, note: "" }))).toMatchObject({
    ok: false,
    fields: { picked: expect.stringMatching(/^Say what became of the \d+ heads left/u) },
  });
  expect(said(await tickItem({ key, actual: null, picked: 2.5, thrownAway: 0, note: "" }))).toMatchObject({
    ok: false,
    fields: { picked: "Only whole heads count: 2.5 is not a whole number." },
  });
  const cleared = await tickItem({ key, actual: null, picked: 2, thrownAway: 5, note: "" });
  expect(cleared).toMatchObject({ ok: true });
  expect(
    await rows(
      "select what ->> 'picked' as picked, what ->> 'thrownAway' as thrown from log_entry where item_key = $1",
      [key],
    ),
  ).toEqual([{ picked: "2", thrown: "5" }]);
  expect(
    await rows("select cleared_day - date '1970-01-01' as day from batch where id = $1", [standing!.batch_id]),
  ).toEqual([{ day: 21063 }]);
  expect((await todaysItems()).some((item) => item.key === key)).toBe(false);
});

test("a reading with a likely slip is asked about, one over the rim is refused, and neither is kept", async () => {
  const { enterReading } = await round();
  const reading = { loopId: 1, ecMsPerCm: 1.5, ph: 6, waterC: 20, levelL: 580, sure: false };
  expect(said(await enterReading({ ...reading, ecMsPerCm: 14 }))).toMatchObject({
    ok: false,
    fields: { ecMsPerCm: expect.stringContaining("Was it CF 14") },
  });
  expect(said(await enterReading({ ...reading, levelL: 900 }))).toMatchObject({
    ok: false,
    fields: { levelL: "Level is 900 L; the tank holds 750 L." },
  });
  expect(said(await enterReading({ ...reading, ph: 58 }))).toMatchObject({
    ok: false,
    fields: { ph: expect.stringContaining("it must be from 0 to 14") },
  });
  expect(said(await enterReading({ ...reading, loopId: 77 }))).toMatchObject({
    ok: false,
    message: "This tank is no longer there.",
  });
  expect(await rows("select 1 from reading where origin = 'hand' and at::date = '2027-09-02'")).toEqual([]);
  expect(said(await enterReading({ ...reading, ecMsPerCm: null, ph: null, waterC: null, levelL: null }))).toMatchObject(
    {
      ok: false,
      fields: { form: "Nothing was read: write at least one figure" },
    },
  );
  expect(await rows("select 1 from reading where origin = 'hand' and at::date = '2027-09-02'")).toEqual([]);
  expect(await enterReading({ ...reading, waterC: null })).toMatchObject({ ok: true });
});

test("a slip is kept with its reading: what is dosed is what was read, then the tank is read again", async () => {
  const { enterReading, doseDone, skipItem, undoEntry } = await round();
  const tank = async (kind: string) =>
    (await todaysItems()).find(({ task }) => task.kind === kind && subjectOf(task).loopId === 4)?.key;
  const weak = { loopId: 4, ecMsPerCm: 0.8, ph: 6.1, waterC: 20, levelL: 90, sure: true };
  const read = (await enterReading(weak)) as { value: number };
  expect(await tank("bring-back")).toBe(`bring-back:${read.value}`);
  const [kept] = await rows<{ slip: { steps: { do: string; saltId?: number; grams?: number }[] } }>(
    "select what -> 'slip' as slip from log_entry where id = $1",
    [read.value],
  );
  const salts = kept!.slip.steps.filter((step) => step.do === "salt");
  expect(salts.length).toBeGreaterThan(0);
  const shelf = () => rows<{ id: number; g: number }>("select id, on_hand_g as g from salt order by id");
  const before = await shelf();
  // The recipe changes meanwhile; what was read and shown is what is booked.
  await rows("update recipe set ec_ms_per_cm = ec_ms_per_cm + 0.1, ec_high = ec_high + 0.1");
  const dosed = (await doseDone({ entryId: read.value })) as { value: number };
  const after = await shelf();
  for (const { saltId, grams } of salts) {
    const [from, to] = [before, after].map((list) => list.find(({ id }) => id === saltId)!.g);
    expect(to).toBeCloseTo(Math.max(0, from! - grams!), 6);
  }
  expect(await tank("bring-back")).toBeUndefined();
  expect(await tank("read-again")).toBe(`read-again:${dosed.value}`);
  await undoEntry({ entryId: dosed.value });
  expect(await tank("read-again")).toBeUndefined();
  expect(await tank("bring-back")).toBe(`bring-back:${read.value}`);
  expect(await skipItem({ key: `bring-back:${read.value}`, reason: "the tank is changed tomorrow" })).toMatchObject({
    ok: true,
  });
  expect(await tank("bring-back")).toBeUndefined();
  await rows("update recipe set ec_ms_per_cm = ec_ms_per_cm - 0.1, ec_high = ec_high - 0.1");
});

test("a unit is chosen from the garden's list, and one in use stays", async () => {
  const { saveHarvestUnit, removeHarvestUnit } = await import("../../src/server/growth/actions");
  const made = (await saveHarvestUnit({ id: null, opened: null, name: "crates", divisible: false })) as {
    value: number;
  };
  expect(said(await saveHarvestUnit({ id: null, opened: null, name: "crates", divisible: true }))).toMatchObject({
    ok: false,
    fields: { name: "Another unit has this name." },
  });
  await rows("update variety set unit_id = $1 where name = 'Watercress'", [made.value]);
  expect(said(await removeHarvestUnit({ id: made.value }))).toMatchObject({
    ok: false,
    message: "It is still used (crops): take it out there first.",
  });
});

test("what is on hand of a material is found again by its id", async () => {
  const { saveMaterial } = await import("../../src/server/place/benchActions");
  const { materials } = await import("../../src/server/place/benchQueries");
  const { materialList } = await import("../../src/core/place/layout/materials");
  await saveMaterial({ id: "net-cup:50", onHand: 100, priceEach: 0.2 });
  await saveMaterial({ id: "net-cup:50", onHand: 120, priceEach: 0.2 });
  const shelf = await materials(
    { query: async (text: string, values: unknown[]) => ({ rows: await rows(text, values) }) } as never,
    1,
  );
  const banks = await rows<{ spec: never }>(
    "select spec from stand where kind = 'channel-bank' and (spec ->> 'holeMm')::float = 50",
  );
  const lines = materialList(
    banks.map(({ spec }) => spec),
    0,
    shelf,
  );
  expect(lines.find(({ id }) => id === "net-cup:50")).toMatchObject({ what: "net cup", onHand: 120 });
});

test("a correction is kept beside the first value; only figures that the entry has can be corrected", async () => {
  const { correctEntry } = await round();
  const [entry] = await rows<{ id: number; what: object }>(
    "select id::integer, what from log_entry where kind = 'reading' and day = '2027-08-30' and loop_id = 1",
  );
  expect(said(await correctEntry({ entryId: entry!.id, values: { storedL: 5 }, note: "no" }))).toMatchObject({
    ok: false,
    message: expect.stringContaining("no figure"),
  });
  expect(said(await correctEntry({ entryId: entry!.id, values: {}, note: "no" }))).toMatchObject({
    ok: false,
    fields: { values: expect.stringContaining("Nothing to correct") },
  });
  expect(await correctEntry({ entryId: entry!.id, values: { ph: 5.9 }, note: "read again" })).toMatchObject({
    ok: true,
  });
  expect(await rows("select what from log_entry where id = $1", [entry!.id])).toEqual([{ what: entry!.what }]);
  expect(await rows("select what from log_entry where corrects_id = $1", [entry!.id])).toMatchObject([
    { what: { kind: "correction", values: { ph: 5.9 } } },
  ]);
  expect(await rows("select ph from reading where log_id = $1", [entry!.id])).toEqual([{ ph: 5.9 }]);
});

test("batches are added all or none, one sown earlier counts as sown, and a sown one cannot be moved", async () => {
  const { addBatches, moveBatch, removeBatches } = await import("../../src/server/batches/actions");
  const good = { varietyId: 1, sowDay: "2027-09-20", cells: 50, targetPlants: 40 };
  const count = async () => (await rows("select 1 from batch")).length;
  const before = await count();
  expect(await addBatches({ batches: [good, { ...good, varietyId: 9999 }] })).toMatchObject({ ok: false });
  expect(said(await addBatches({ batches: [good, { ...good, targetPlants: 60 }] }))).toMatchObject({
    ok: false,
    fields: { "batches.1.targetPlants": expect.stringContaining("must not be more than the cells") },
  });
  expect(await count()).toBe(before);
  const added = await addBatches({ batches: [good, { ...good, sowDay: "2027-08-20" }] });
  const [future, past] = (added as { value: number[] }).value;
  expect(await rows("select position, plants from batch_stage where batch_id = $1", [past])).toEqual([
    { position: 0, plants: 50 },
  ]);
  expect(said(await moveBatch({ id: past, from: "2027-08-20", sowDay: "2027-09-30" }))).toMatchObject({
    ok: false,
    message: expect.stringContaining("its dates are fixed"),
  });
  expect(await moveBatch({ id: future, from: "2027-09-20", sowDay: "2027-09-27" })).toMatchObject({
    ok: true,
    value: 21081,
  });
  expect(await removeBatches({ ids: [future, past] })).toMatchObject({ ok: true });
  expect(await count()).toBe(before);
});

test("a recipe that would drop gypsum is refused with the reason and stays as it was", async () => {
  const { saveRecipe } = await import("../../src/server/feed/actions");
  const open = () => formOf(rows, RECIPE, "true", { salts: RECIPE_SALT });
  const recipe = await open();
  const gypsum = await idOf(rows, "select id from salt where name like 'magnesium sulfate%' limit 1");
  const inA = (recipe.salts as { saltId: number }[]).map((entry) =>
    entry.saltId === gypsum ? { ...entry, stock: "A" } : entry,
  );
  expect(said(await saveRecipe({ ...recipe, salts: inA, name: "Changed" }))).toMatchObject({
    ok: false,
    fields: { salts: expect.stringMatching(/Stock A is refused: .* drop gypsum/) },
  });
  expect(await open()).toEqual(recipe);
  expect(said(await saveRecipe({ ...recipe, ecLow: 1.6 }))).toMatchObject({
    ok: false,
    fields: { ecLow: "EC band from is 1.6 mS/cm; it must not be over the EC wanted" },
  });
  expect(await saveRecipe({ ...recipe, name: "Leafy again" })).toMatchObject({ ok: true });
});

test("a new recipe is solved as it is saved; changed, its amounts stay until others are taken", async () => {
  const { saveRecipe } = await import("../../src/server/feed/actions");
  const { takeAmounts } = await import("../../src/server/feed/takeAmounts");
  const { id: _id, opened: _opened, ...recipe } = await formOf(rows, RECIPE, "true", { salts: RECIPE_SALT });
  const salts = (recipe.salts as { saltId: number; stock: string }[]).map(({ saltId, stock }) => ({ saltId, stock }));
  const saved = await saveRecipe({ ...recipe, id: null, name: "Solved anew", salts } as never);
  expect(said(saved)).toMatchObject({ ok: true });
  const recipeId = (saved as { value: number }).value;
  const amounts = () =>
    rows<{ id: string; saltId: string; g: number }>(
      'select id, salt_id as "saltId", g_per_1000l as g from recipe_salt where recipe_id = $1 order by salt_id',
      [recipeId],
    );
  const first = await amounts();
  expect(first).toHaveLength(salts.length);
  expect(first.every(({ g }) => g !== null)).toBe(true);
  expect(first.filter(({ g }) => g > 1).length).toBeGreaterThan(5);
  const open = () => formOf(rows, RECIPE, `id = ${recipeId}`, { salts: RECIPE_SALT });
  const targetsMgPerL = { ...(recipe.targetsMgPerL as object), K: 300 };
  // Its charges do not balance any more: it is kept when somebody says so.
  expect(said(await saveRecipe({ ...(await open()), targetsMgPerL } as never))).toMatchObject({
    ok: false,
    fields: { targetsMgPerL: expect.stringMatching(/^Charges do not balance: anions are \d+ % over/u) },
  });
  const kept = { ...(await open()), targetsMgPerL, balanceDoubted: true };
  expect(said(await saveRecipe(kept as never))).toMatchObject({ ok: true });
  expect(await amounts()).toEqual(first);

  const [one] = first;
  const taken = { saltId: Number(one!.saltId), stock: "A", gPer1000L: 123.4 };
  expect(await takeAmounts({ recipeId, salts: [taken] })).toMatchObject({ ok: true });
  expect((await amounts())[0]!.g).toBe(123.4);
  expect(said(await takeAmounts({ recipeId, salts: [{ ...taken, gPer1000L: -1 }] }))).toMatchObject({ ok: false });
  expect(said(await takeAmounts({ recipeId, salts: [{ ...taken, saltId: 987_654 }] }))).toMatchObject({ ok: false });
  expect((await amounts())[0]!.g).toBe(123.4);
});

test("a pump's table whose head rises again is refused by its point, and the loop keeps its own", async () => {
  const { saveLoop } = await import("../../src/server/water/actions");
  const open = () => formOf(rows, LOOP, "id = 1");
  const form = await open();
  const points = [
    { flowLph: 0, headM: 5 },
    { flowLph: 2000, headM: 2 },
    { flowLph: 4000, headM: 3 },
  ];
  const pump = { ...(form.pump as object), points };
  expect(said(await saveLoop({ ...form, pump }))).toMatchObject({
    ok: false,
    fields: { "pump.points": expect.stringContaining("The head rises again at point 3") },
  });
  expect(await open()).toEqual(form);
});

test("a tank teaches how it answers to acid: from three doses on the slip goes by its log, and says what is worked out", async () => {
  const { enterReading, doseDone } = await round();
  const read = async (ph: number) => {
    const figures = { loopId: 1, ecMsPerCm: 1.5, ph, waterC: 20, levelL: 600, sure: true };
    const { value } = (await enterReading(figures)) as { value: number };
    const [{ step }] = (await rows(
      "select (select one from jsonb_array_elements(what -> 'slip' -> 'steps') one where one ->> 'do' = 'acid') as step from log_entry where id = $1",
      [value],
    )) as [{ step: { amount: number; learned?: object } | null }];
    return { value, step };
  };
  for (const after of [6.6, 6.5, 6.4]) {
    const high = await read(6.9);
    expect(high.step!.learned).toBeUndefined();
    expect(await doseDone({ entryId: high.value })).toMatchObject({ ok: true });
    await read(after);
  }
  const { step } = await read(6.9);
  const { amount, learned } = step as {
    amount: number;
    learned: { pairs: number; least: number; greatest: number; workedOut: number };
  };
  expect(learned.pairs).toBe(3);
  // The same dose moved it by 0.3, 0.4 and 0.5: by the middle one, half the way to the middle of the band.
  expect(amount / learned.workedOut).toBeCloseTo((6.9 - 6) / 2 / 0.4, 6);
  expect(learned.least / amount).toBeCloseTo(0.4 / 0.5, 6);
  expect(learned.greatest / amount).toBeCloseTo(0.4 / 0.3, 6);
});

test("a loop learns how its fresh feed reads: after a change, and where it runs to waste; from three on salts go by it", async () => {
  const { enterReading, tickItem } = await round();
  const { ecPairs } = await import("../../src/server/round/queries");
  const { season } = await import("../../src/server/garden/season");
  const db = { query: async (text: string, values: unknown[]) => ({ rows: await rows(text, values) }) };
  const read = (loopId: number, ecMsPerCm: number) =>
    enterReading({ loopId, ecMsPerCm, ph: null, waterC: null, levelL: null, oxygenMgPerL: null, sure: true } as never);
  const strengthOf = async (loopId: number) => (await season()).feeds.get(loopId)!.sheet.strength!;
  const [drip] = await rows<{ id: number }>(
    "select id from loop where kind = 'run-to-waste' and recipe_id is not null",
  );
  const before = await strengthOf(drip!.id);
  const { madeToMsPerCm } = (await season()).feeds.get(drip!.id)!.sheet;
  for (const times of [1.1, 1.12, 1.08])
    expect(await read(drip!.id, madeToMsPerCm * times)).toMatchObject({ ok: true });
  const learned = (await season()).feeds.get(drip!.id)!;
  expect(learned.learnedEc).toMatchObject({ pairs: 3, factor: expect.closeTo(1.1, 6) });
  // Its meter shows a tenth more than is worked out: fewer salts give what is wanted of it.
  expect(learned.sheet.strength!).toBeLessThan(before * 0.95);
  expect(learned.sheet.madeToMsPerCm).toBeCloseTo(madeToMsPerCm / 1.1, 6);

  await rows(`update loop set change_rule = '{"kind":"weeks","weeks":1}' where id = 3`);
  const changed = (await todaysItems()).find(({ task }) => task.kind === "change-solution" && task.loopId === 3)!;
  const { madeToMsPerCm: made } = (await season()).feeds.get(3)!.sheet;
  expect(await tickItem({ key: changed.key, actual: null, note: "" })).toMatchObject({ ok: true });
  await read(3, made * 1.05);
  await read(3, made);
  const pairs = (await ecPairs(db as never, 1)).filter(({ loopId }) => loopId === 3);
  // Only the first reading after the change tells of the fresh feed.
  expect(pairs).toEqual([{ loopId: 3, computedMsPerCm: made, measuredMsPerCm: made * 1.05 }]);
});

test("a feed by labels is kept with its parts, and feeds its loop by hand, weaker for seedlings and changed each week", async () => {
  const { keepLabelFeed } = await import("../../src/server/feed/keepLabelFeed");
  const { season } = await import("../../src/server/garden/season");
  const product = (name: string) => ({
    ...{ name, form: "liquid", densityKgPerL: null, label: {}, isByVolume: false },
    ...{ amount: 4, unit: "mL", per: "L", measureL: null },
  });
  const asked = {
    ...{ name: "Bottles", products: [product("Part A"), product("Part B")], share: 0.5, labelEcMsPerCm: 1.6 },
    ...{ loopId: 1, ramp: { startShare: 0.25, maturityDays: 28 }, changeWeeks: 1, sure: false },
  };
  const counts = () => rows("select (select count(*) from salt) as salts, (select count(*) from recipe) as recipes");
  const before = await counts();
  for (const [wrong, field] of [
    [{ ...asked, labelEcMsPerCm: null }, "labelEcMsPerCm"],
    [{ ...asked, products: [{ ...product("Part A"), label: { K2O: 70, N: 40 } }] }, "products.0"],
    [{ ...asked, products: [{ ...product("Part A"), amount: 15 }] }, "share"],
  ] as const)
    expect(said(await keepLabelFeed(wrong as never))).toMatchObject({
      ok: false,
      fields: { [field]: expect.any(String) },
    });
  expect(await counts()).toEqual(before);
  const kept = await keepLabelFeed(asked as never);
  expect(kept).toMatchObject({ ok: true });
  const feed = (await season()).feeds.get(1)!;
  expect(feed.recipe).toMatchObject({ name: "Bottles", byLabel: true, labelEcMsPerCm: 1.6 });
  expect(feed.salts.map(({ name, stock }) => [name, stock])).toEqual([
    ["Part A", "A"],
    ["Part B", "B"],
  ]);
  expect(feed.strength.school).toMatchObject({ kind: "age", maturityDays: 28 });
  expect(await rows("select feeding, change_rule from loop where id = 1")).toEqual([
    { feeding: "dry", change_rule: { kind: "weeks", weeks: 1 } },
  ]);
  const { todayRound } = await import("../../src/server/round/today");
  const change = (await todayRound()).items.find(({ task }) => task.kind === "change-solution" && task.loopId === 1)!;
  expect(change.amounts.map(({ name, litres }) => [name, litres !== undefined])).toEqual([
    ["Part A", true],
    ["Part B", true],
  ]);
});
