import type { Action } from "../../src/server/session/result";
import { demoGarden } from "./demoGarden";
import { signedInAs } from "./request";
import { SAMPLES } from "./samples";

jest.mock("react", () => ({ ...jest.requireActual<object>("react"), cache: <T>(work: T) => work }));
jest.mock("next/headers", () => jest.requireActual<{ nextHeaders: object }>("./request").nextHeaders);

const { rows } = demoGarden(() => signedInAs("ines"));

interface Effect {
  /** What is asked otherwise than in the sample. */
  readonly change?: object;
  /** Looks at what the action is about; $1 is the id of its input, or what it answered where it makes something. */
  readonly look: string;
  readonly after: object;
}

/** An action that changes a row of its own, with what it comes to; what is not named in `after` may be anything. */
const SAVES: readonly (readonly [action: string, effect: Effect])[] = [
  [
    "place/actions saveHouse",
    {
      change: { heightM: 3.1, cover: "film", shadeShare: 0.2 },
      look: "select height_m, cover, shade_share from house where id = $1",
      after: { height_m: 3.1, cover: "film", shade_share: 0.2 },
    },
  ],
  [
    "place/actions saveStand",
    { change: { name: "Renamed rack" }, look: "select name from stand where id = $1", after: { name: "Renamed rack" } },
  ],
  [
    "place/actions saveGrowingArea",
    {
      change: { name: "Seedlings", cleaningDays: 3 },
      look: "select name, cleaning_days from growing_area where id = $1",
      after: { name: "Seedlings", cleaning_days: 3 },
    },
  ],
  [
    "garden/whatIf/actions renameWhatIf",
    {
      change: { name: "Denser by far", purpose: "more lettuce" },
      look: "select name, purpose from change_set where id = $1",
      after: { name: "Denser by far", purpose: "more lettuce" },
    },
  ],
  [
    "place/benchActions saveCutList",
    {
      change: { sawCutMm: 2.5, objective: "bars", pieces: [{ lengthMm: 750, count: 3, label: "leg" }] },
      look: "select saw_cut_mm, pieces, plan, cut_on from cut_list where id = $1",
      after: { saw_cut_mm: 2.5, pieces: [{ lengthMm: 750, count: 3, label: "leg" }], plan: null, cut_on: null },
    },
  ],
  [
    "place/benchActions saveOffcut",
    {
      change: { material: "batten", lengthMm: 640, count: 4 },
      look: "select material, length_mm, count from offcut where id = $1",
      after: { material: "batten", length_mm: 640, count: 4 },
    },
  ],
  [
    "water/actions saveLoop",
    {
      change: {
        tankL: 800,
        normalFillL: 640,
        readEveryDays: 2,
        timer: { kind: "every", everyMin: 60, runMin: 15, fromMin: 360, toMin: 1200 },
      },
      look: "select tank_l, normal_fill_l, read_every_days, timer ->> 'runMin' as run from loop where id = $1",
      after: { tank_l: 800, normal_fill_l: 640, read_every_days: 2, run: "15" },
    },
  ],
  ["water/actions setNeedFactor", { look: "select need_factor from loop where id = $1", after: { need_factor: 1.2 } }],
  [
    "water/actions setTurns",
    { change: { turns: 3 }, look: "select turns from loop where id = $1", after: { turns: 3 } },
  ],
  [
    "water/actions saveSource",
    {
      change: { name: "Old well", priority: 3, alkalinityMgCaco3PerL: 120 },
      look: "select name, priority, alkalinity_mg_caco3_per_l as alkalinity from source where id = $1",
      after: { name: "Old well", priority: 3, alkalinity: 120 },
    },
  ],
  [
    "water/actions saveStore",
    {
      change: { capacityL: 20_000, storedL: 7000 },
      look: "select capacity_l, stored_l, read_on::text from store where id = $1",
      after: { capacity_l: 20_000, stored_l: 7000, read_on: "2027-09-02" },
    },
  ],
  [
    "feed/actions saveRecipe",
    {
      change: { ecMsPerCm: 1.45, ecLow: 1.3, ecHigh: 1.6, phLow: 5.6 },
      look: "select ec_ms_per_cm, ph_low, (select count(*)::int from recipe_salt where recipe_id = recipe.id) > 0 as salted from recipe where id = $1",
      after: { ec_ms_per_cm: 1.45, ph_low: 5.6, salted: true },
    },
  ],
  [
    "feed/actions saveSalt",
    {
      change: { onHandG: 1234, pricePerKg: 2.5 },
      look: "select on_hand_g, price_per_kg from salt where id = $1",
      after: { on_hand_g: 1234, price_per_kg: 2.5 },
    },
  ],
  [
    "place/climateActions saveClimate",
    {
      change: { elevationM: 25, nearSea: false },
      look: "select elevation_m, near_sea, rain_mm_by_month[1] as rain from climate where id = $1",
      after: { elevation_m: 25, near_sea: false, rain: 95 },
    },
  ],
  [
    "feed/actions saveMeter",
    {
      change: { ecScale: "ppm700", compensated: false },
      look: "select ec_scale, compensated from meter where id = $1",
      after: { ec_scale: "ppm700", compensated: false },
    },
  ],
  [
    "growth/actions saveVariety",
    {
      change: { germination: 0.83, seedsPerCell: 2 },
      look: "select germination, seeds_per_cell, (select count(*)::int from variety_stage where variety_id = variety.id) > 0 as staged from variety where id = $1",
      after: { germination: 0.83, seeds_per_cell: 2, staged: true },
    },
  ],
  [
    "growth/actions saveHarvestUnit",
    {
      change: { name: "crates", divisible: true },
      look: "select name, divisible from harvest_unit where id = $1",
      after: { name: "crates", divisible: true },
    },
  ],
  [
    "batches/actions saveCustomer",
    {
      change: { name: "Corner shop" },
      look: "select name from customer where id = $1",
      after: { name: "Corner shop" },
    },
  ],
  [
    "batches/actions saveOrder",
    {
      change: { quantity: 33, weekday: 2 },
      look: "select quantity, weekday, to_day::text from order_line where id = $1",
      after: { quantity: 33, weekday: 2, to_day: "2027-12-01" },
    },
  ],
  [
    "batches/actions saveBatch",
    {
      change: { cells: 61, targetPlants: 47, note: "for the fair" },
      look: "select sow_day::text, cells, target_plants, note from batch where id = $1",
      after: { sow_day: "2028-01-10", cells: 61, target_plants: 47, note: "for the fair" },
    },
  ],
  [
    "batches/actions moveBatch",
    { look: "select sow_day::text from batch where id = $1", after: { sow_day: "2028-01-17" } },
  ],
];

const DELETES: readonly (readonly [action: string, table: string])[] = [
  ["place/actions removeHouse", "house"],
  ["place/actions removeStand", "stand"],
  ["place/actions removeGrowingArea", "growing_area"],
  ["garden/whatIf/actions removeWhatIf", "change_set"],
  ["place/benchActions removeCutList", "cut_list"],
  ["place/benchActions removeOffcut", "offcut"],
  ["feed/actions removeMeter", "meter"],
  ["growth/actions removeVariety", "variety"],
  ["growth/actions removeHarvestUnit", "harvest_unit"],
  ["batches/actions removeOrder", "order_line"],
];

async function prepared(action: string, change: object = {}) {
  const [file, name] = action.split(" ") as [string, string];
  const actions = (await import(`../../src/server/${file}`)) as Record<string, Action<unknown>>;
  const sample = (await SAMPLES[file]![name]!.input(rows)) as Record<string, unknown>;
  return { run: actions[name]!, input: { ...sample, ...change } as Record<string, unknown> };
}
const done = async (run: Action<unknown>, input: unknown) => {
  const result = await run(input);
  if (!result.ok) throw new Error(JSON.stringify(result));
  return result;
};
const undone = async (act: string | undefined) => {
  const { undoAct } = await import("../../src/server/history/actions");
  expect(await undoAct({ act })).toMatchObject({ ok: true });
};

test.each(SAVES)("%s keeps what was entered, and undo brings back what was there", async (action, effect) => {
  const { run, input } = await prepared(action, effect.change);
  const look = async () => (await rows<object>(effect.look, [input.id]))[0];
  const before = await look();
  expect(before).not.toMatchObject(effect.after);
  const { act } = await done(run, input);
  expect(await look()).toMatchObject(effect.after);
  await undone(act);
  expect(await look()).toEqual(before);
});

test.each(DELETES)("%s deletes that row alone, and undo brings it back", async (action, table) => {
  const { run, input } = await prepared(action);
  const all = () => rows<object>(`select * from "${table}" order by id`);
  const before = await all();
  const { act } = await done(run, input);
  expect(await all()).toEqual(before.filter((row) => (row as { id: number }).id !== input.id));
  await undone(act);
  expect(await all()).toEqual(before);
});

test("an entry without an id is a new row, last of its kind", async () => {
  const { run, input } = await prepared("place/actions saveHouse", { id: null, opened: null, name: "Shed", yM: 60 });
  const { value, act } = await done(run, input);
  const [made] = await rows<{ name: string; last: boolean }>(
    "select name, position = (select max(position) from house where garden_id = 1) as last from house where id = $1",
    [value],
  );
  expect(made).toEqual({ name: "Shed", last: true });
  await undone(act);
  expect(await rows("select 1 from house where id = $1", [value])).toEqual([]);
});

test("a new loop has its two stock tanks from the start; one mixed dry has none", async () => {
  const letters = (id: unknown) => rows("select letter from stock_tank where loop_id = $1 order by letter", [id]);
  const { run, input } = await prepared("water/actions saveLoop", { id: null, opened: null });
  const stocks = await done(run, { ...input, name: "Third", feeding: "stocks" });
  expect(await letters(stocks.value)).toEqual([{ letter: "A" }, { letter: "B" }]);
  const dry = await done(run, { ...input, name: "Fourth", feeding: "dry" });
  expect(await letters(dry.value)).toEqual([]);
});

test("a stock tank is read: what is left, and when it was read", async () => {
  const { run, input } = await prepared("feed/actions saveStockTank", { leftL: 12.5 });
  await done(run, input);
  expect(
    await rows("select left_l, read_on::text from stock_tank where loop_id = $1 and letter = $2", [
      input.loopId,
      input.letter,
    ]),
  ).toEqual([{ left_l: 12.5, read_on: "2027-09-02" }]);
});

test("a what-if is duplicated with its changes", async () => {
  const { run, input } = await prepared("garden/whatIf/actions copyWhatIf", { name: "Copy of a copy" });
  const { value } = await done(run, input);
  const changes = (id: unknown) => rows("select entity, row_id, op, patch from change_set_row where set_id = $1", [id]);
  expect(await changes(value)).toEqual(await changes(input.id));
  expect(await changes(value)).toHaveLength(1);
});

test("assemblies of a cut list are added, changed in place and deleted", async () => {
  const { run, input } = await prepared("place/benchActions saveAssembly");
  const names = async () =>
    (
      await rows<{ names: string[] }>(
        "select jsonb_path_query_array(assemblies, '$[*].name') as names from cut_list where id = $1",
        [input.listId],
      )
    )[0]!.names;
  const version = async () =>
    (await rows<{ version: number }>("select version from cut_list where id = $1", [input.listId]))[0]!.version;
  const assembly = input.assembly as object;
  await done(run, { ...input, assembly: { ...assembly, name: "Brace" } });
  expect(await names()).toEqual(["Rail", "Brace"]);
  await done(run, { ...input, version: await version(), index: 0, assembly: { ...assembly, name: "Top rail" } });
  expect(await names()).toEqual(["Top rail", "Brace"]);
  const { run: remove } = await prepared("place/benchActions removeAssembly");
  await done(remove, { listId: input.listId, version: await version(), index: 0 });
  expect(await names()).toEqual(["Brace"]);
});

test("what is on hand of a material is kept under its id, one row each; the spare is the garden's", async () => {
  const { run, input } = await prepared("place/benchActions saveMaterial");
  await done(run, { ...input, onHand: 40 });
  await done(run, { ...input, onHand: 25, priceEach: 0.2 });
  expect(await rows("select on_hand, price_each from material where garden_id = 1 and item = 'net-cup:50'")).toEqual([
    { on_hand: 25, price_each: 0.2 },
  ]);
  const spare = await prepared("place/benchActions saveSpare", { spareShare: 0.12 });
  await done(spare.run, spare.input);
  expect(await rows("select spare_share from garden where id = 1")).toEqual([{ spare_share: 0.12 }]);
});

test("batches are added and deleted as one act each", async () => {
  const adding = await prepared("batches/actions addBatches");
  const count = async () =>
    (await rows<{ n: number }>("select count(*)::int as n from batch where garden_id = 1"))[0]!.n;
  const before = await count();
  const { value, act } = await done(adding.run, adding.input);
  expect(await count()).toBe(before + 1);
  await undone(act);
  expect(await count()).toBe(before);
  const again = await done(adding.run, adding.input);
  expect(again.value).not.toEqual(value);
  const removing = await prepared("batches/actions removeBatches");
  const removed = await done(removing.run, removing.input);
  expect(await count()).toBe(before + 1);
  await undone(removed.act);
  expect(await count()).toBe(before + 2);
});

test("the garden's name, place and units are one row", async () => {
  const { run, input } = await prepared("people/actions saveGarden", {
    name: "Salt yard",
    unitSystem: "us",
    ecUnit: "CF",
    temperatureUnit: "°F",
    sowWeekdays: [2],
  });
  await done(run, input);
  expect(
    await rows("select name, unit_system, ec_unit, temperature_unit, sow_weekdays from garden where id = 1"),
  ).toEqual([{ name: "Salt yard", unit_system: "us", ec_unit: "CF", temperature_unit: "°F", sow_weekdays: [2] }]);
});

test("the level of the store is entered, is in the log, and is undone to what it was", async () => {
  const { run, input } = await prepared("round/actions enterStore", { storedL: 4321 });
  const store = async () => (await rows("select stored_l, read_on::text from store where id = $1", [input.storeId]))[0];
  const before = await store();
  const { value } = await done(run, input);
  expect(await store()).toEqual({ stored_l: 4321, read_on: "2027-09-02" });
  expect(await rows("select kind, what ->> 'storedL' as stored from log_entry where id = $1", [value])).toEqual([
    { kind: "store", stored: "4321" },
  ]);
  const { undoEntry } = await import("../../src/server/round/actions");
  await done(undoEntry as Action<unknown>, { entryId: value });
  expect(await store()).toEqual(before);
});

test("a skipped item is away today with its reason, and nothing else is done", async () => {
  const { run, input } = await prepared("round/actions skipItem", { reason: "no trays clean" });
  const begun = async () => (await rows<{ n: number }>("select count(*)::int as n from batch_stage"))[0]!.n;
  const before = await begun();
  const { value } = await done(run, input);
  expect(
    await rows("select kind, note, item_key, what -> 'task' ->> 'kind' as task, effects from log_entry where id = $1", [
      value,
    ]),
  ).toEqual([
    {
      kind: "skip",
      note: "no trays clean",
      item_key: input.key,
      task: String(input.key).split(":")[0],
      effects: [],
    },
  ]);
  expect(await begun()).toBe(before);
});

test("signing out ends the session in hand", async () => {
  const sessions = async () => (await rows<{ n: number }>("select count(*)::int as n from session"))[0]!.n;
  await signedInAs("oke", undefined, true);
  const before = await sessions();
  const { signOut } = await import("../../src/server/people/accessActions");
  await done(signOut as Action<unknown>, {});
  expect(await sessions()).toBe(before - 1);
  await signedInAs("ines");
});
