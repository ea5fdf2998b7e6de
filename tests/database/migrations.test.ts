import { execFileSync } from "node:child_process";
import { readdirSync } from "node:fs";
import type { Session } from "../../src/server/session/session";
import { freshDatabase, type TestDatabase } from "./database";

let database: TestDatabase;
beforeAll(async () => {
  database = await freshDatabase(null);
});
afterAll(() => database.close());

const up = () =>
  execFileSync(process.execPath, ["--import", "tsx", "scripts/migrate.ts"], {
    env: { ...process.env, DATABASE_URL: database.url },
    stdio: ["ignore", "pipe", "pipe"],
  }).toString();
const applied = async () =>
  (await database.pool.query("select name from migration order by id")).rows.map((row) => `${row.name}.sql`);

test("migrations go up from empty, once, and every garden table carries its garden", async () => {
  expect(up()).toContain("up to date");
  expect(await applied()).toEqual(readdirSync("db/migrations").sort());
  expect(up()).toContain("up to date");
  expect(await applied()).toHaveLength(readdirSync("db/migrations").length);
  const { rows } = await database.pool.query(
    `select table_name from information_schema.tables t
      where table_schema = 'public' and table_name not in ('garden', 'migration', 'account', 'session', 'attempt', 'backup_run', 'installation', 'access_act', 'access_event', 'recovery_code', 'second_factor')
        and not exists (select 1 from information_schema.columns c
                         where c.table_schema = 'public' and c.table_name = t.table_name and c.column_name = 'garden_id' and c.is_nullable = 'NO')`,
  );
  expect(rows).toEqual([]);
});

test("a schema that is newer than the code is refused and left alone", async () => {
  await database.pool.query("insert into migration (name, run_on) values ('9999_from_the_future', now())");
  expect(() => up()).toThrow(/9999_from_the_future. Use the newer version of the program/u);
  expect((await applied()).at(-1)).toBe("9999_from_the_future.sql");
});

/** So many migrations of an empty database, by the runner itself: jest cannot load it. */
const migrateTo = (databaseUrl: string, count: number) =>
  execFileSync(
    process.execPath,
    [
      "--input-type=module",
      "-e",
      `import { runner } from "node-pg-migrate"; await runner({ databaseUrl: ${JSON.stringify(databaseUrl)}, dir: "db/migrations", direction: "up", migrationsTable: "migration", count: ${count}, log: () => undefined });`,
    ],
    { stdio: ["ignore", "pipe", "pipe"] },
  );

test("stands, houses and their memory of the version before grow into this one's measures", async () => {
  const older = await freshDatabase(null);
  const upTo = (count: number) => migrateTo(older.url, count);
  try {
    upTo(4);
    const put = async (sql: string, values: unknown[] = []) => (await older.pool.query(sql, values)).rows;
    await put("insert into garden (name) values ('Old')");
    await put("insert into pool (garden_id, name) values (1, 'Pool')");
    for (const [name, width] of [
      ["First", 6],
      ["Second", 4],
      ["Third", 5],
    ])
      await put(
        "insert into house (garden_id, name, length_m, width_m, height_m, cover, position) values (1, $1, 10, $2, 2, 'net', (select count(*) from house))",
        [name, width],
      );
    const bank = {
      kind: "channel-bank",
      lines: 4,
      lineLengthM: 6,
      channelWidthM: 0.1,
      channelDepthM: 0.05,
      endMarginM: 0.1,
      pitchM: 0.2,
      holeMm: 50,
      gapM: 0.1,
      linesPerBlock: 4,
      aisleM: 0.6,
      linesPerValve: 4,
      fallOneIn: 40,
      lineFlowLph: 90,
    };
    const rack = {
      kind: "tray-rack",
      racks: 1,
      shelvesPerRack: 2,
      shelfLengthM: 1,
      shelfWidthM: 0.5,
      trayLengthM: 0.5,
      trayWidthM: 0.25,
      cellsPerTray: 1,
      aisleM: 0.8,
    };
    for (const [name, spec] of [
      ["Bank", bank],
      ["Shoots", rack],
      ["Cells", { ...rack, cellsPerTray: 84 }],
    ] as const)
      await put(
        "insert into stand (garden_id, house_id, pool_id, name, x_m, y_m, kind, spec) values (1, 1, 1, $1, 0, 0, $2, $3)",
        [name, spec.kind, JSON.stringify(spec)],
      );
    await put("delete from stand where name = 'Cells'");
    upTo(Infinity);

    const { specSchema } = await import("../../src/server/place/specSchema");
    const stands = await put("select name, kind, spec from stand order by id");
    expect(stands.map(({ name, kind }) => [name, kind])).toEqual([
      ["Bank", "channel-bank"],
      ["Shoots", "shoots-rack"],
    ]);
    for (const { spec } of stands) expect(specSchema.validate(spec).error).toBeUndefined();
    expect(stands[0]!.spec).toMatchObject({ pitchM: 0.2, zones: [], section: "rectangular" });
    expect(await put("select name, y_m from house order by id")).toEqual([
      { name: "First", y_m: 0 },
      { name: "Second", y_m: 8 },
      { name: "Third", y_m: 14 },
    ]);
    // What was removed before can be brought back: its history has the new measures too.
    const [gone] = await put("select before from change where table_name = 'stand' and after is null");
    expect(specSchema.validate(gone!.before.spec).error).toBeUndefined();
    expect(gone!.before.kind).toBe("tray-rack");
    const [memory] = await put("select after from change where table_name = 'house' order by id limit 1");
    expect(memory!.after).toMatchObject({ x_m: 0, y_m: 0 });
    expect(
      await put(
        "select relname from pg_class where relname in ('stand', 'house', 'change') and not relforcerowsecurity",
      ),
    ).toEqual([]);
    // Growing is nobody's change.
    expect(await put("select count(*)::int as count from change where table_name = 'house'")).toEqual([{ count: 3 }]);
  } finally {
    await older.close();
  }
});

/** What later migrations give a pump of before. */
const NO_FILTER = {
  ...{ filterCleanM: 0, filterDirtyM: 0, filterAtLph: 1000 },
  ...{ manifoldBoreMm: 0, bankValveK: 0, wall: "plastic", waterC: 20 },
};

test("an act from before parts had ids is undone after: a salt taken out of a recipe, a pump of before, a deleted variety", async () => {
  const older = await freshDatabase(null);
  const act = (digit: number) => `${String(digit).repeat(8)}-0000-4000-8000-000000000000`;
  try {
    migrateTo(older.url, 15);
    const put = async (sql: string, values: unknown[] = []) => (await older.pool.query(sql, values)).rows;
    const acting = (digit: number, sql: string) =>
      put(`begin; select set_config('seed_round.act', '${act(digit)}', true); ${sql}; commit`);
    await put("insert into garden (name) values ('Old')");
    await put("insert into person (garden_id, name, role) values (1, 'Keeper', 'keeper')");
    await put("insert into growing_area (garden_id, name) values (1, 'Leaf')");
    await put(`insert into salt (garden_id, name, percent) values (1, 'a', '{"Ca": 19}'), (1, 'b', '{"K": 38}')`);
    await put(`insert into recipe (garden_id, name, targets_mg_per_l, ec_ms_per_cm, ec_low, ec_high, ph_low, ph_high)
               values (1, 'Leafy', '{"K": 200}', 1.5, 1.3, 1.7, 5.7, 6.3)`);
    await put("insert into recipe_salt (garden_id, recipe_id, salt_id, stock) values (1, 1, 1, 'A'), (1, 1, 2, 'B')");
    const pump = {
      points: [
        { flowLph: 0, headM: 5 },
        { flowLph: 3000, headM: 1 },
      ],
      highestOutletM: 1,
      lowestWaterM: 0,
      headWantedM: 0,
      pipeLengthM: 5,
      boreMm: 26,
      fittingsK: 4,
    };
    await put(
      "insert into loop (garden_id, name, kind, feeding, tank_l, normal_fill_l, timer, pump) values (1, 'Main', 'recirculating', 'stocks', 600, 500, $1, $2)",
      [JSON.stringify({ kind: "continuous" }), JSON.stringify(pump)],
    );
    await put("insert into harvest_unit (garden_id, name, divisible) values (1, 'heads', false)");
    await put(`insert into variety (garden_id, name, crop, kind, unit_id, germination, pattern)
               values (1, 'Lettuce', 'lettuce', 'leaf', 1, 0.9, '{"kind": "once", "unitsPerPlant": 1, "keepsDays": 3}')`);
    await put(
      "insert into variety_stage (garden_id, variety_id, position, name, growing_area_id, days_by_month, survival, need_lpd) values (1, 1, 0, 'grow', 1, array_fill(30::float8, array[12]), 0.9, 0.1)",
    );
    await acting(1, "delete from recipe_salt where salt_id = 2");
    await acting(2, `update loop set pump = jsonb_set(pump, '{boreMm}', '33')`);
    await acting(3, "delete from variety where id = 1");
    migrateTo(older.url, Infinity);

    process.env.DATABASE_URL = older.url;
    const { undo } = await import("../../src/server/history/undo");
    const { changesOfAct } = await import("../../src/server/history/queries");
    const { onBehalf } = await import("../../src/server/session/onBehalf");
    const { pool } = await import("../../src/server/db/pool");
    const who = { gardenId: 1, personId: 1, role: "keeper", whatIf: null } as Session;
    const undone = (digit: number) => onBehalf(who, async (db) => undo(db, who, await changesOfAct(db, 1, act(digit))));
    for (const digit of [1, 2, 3]) await undone(digit);
    expect(await put("select salt_id, stock from recipe_salt order by 1")).toEqual([
      { salt_id: 1, stock: "A" },
      { salt_id: 2, stock: "B" },
    ]);
    expect(await put("select pump from loop")).toEqual([
      { pump: { ...pump, kind: "table", nonReturnValve: false, elbows: 0, valves: 0, waterSinksM: 0, ...NO_FILTER } },
    ]);
    expect(
      await put("select name, germinates_in, (select count(*)::int from variety_stage) as stages from variety"),
    ).toEqual([{ name: "Lettuce", germinates_in: "either", stages: 1 }]);
    await pool().end();
  } finally {
    await older.close();
  }
});

test("rain moves from the garden to its climate; a garden that told none has no climate; still water is filled by hand", async () => {
  const older = await freshDatabase(null);
  try {
    migrateTo(older.url, 25);
    const put = async (sql: string, values: unknown[] = []) => (await older.pool.query(sql, values)).rows;
    await put("insert into garden (name) values ('Dry'), ('Wet')");
    await put("update garden set rain_mm_by_month = array_fill(40::float8, array[12]) where name = 'Wet'");
    await put("update garden set wet_days_by_month = array_fill(6::float8, array[12]) where name = 'Wet'");
    migrateTo(older.url, Infinity);
    expect(
      await put(
        "select garden_id, rain_mm_by_month[3] as rain, wet_days_by_month[3] as wet, highest_c_by_month from climate",
      ),
    ).toEqual([{ garden_id: 2, rain: 40, wet: 6, highest_c_by_month: null }]);
    // A garden has one climate.
    await expect(put("insert into climate (garden_id) values (2)")).rejects.toThrow(/climate_once/u);
    await expect(
      put("insert into climate (garden_id, rain_mm_by_month) values (1, array_fill(1::float8, array[11]))"),
    ).rejects.toThrow(/check constraint/u);
  } finally {
    await older.close();
  }
});

test("units that were words become rows, what is food-safety sensitive is said of the crop, materials are known by ids", async () => {
  const older = await freshDatabase(null);
  try {
    migrateTo(older.url, 6);
    const put = async (sql: string, values: unknown[] = []) => (await older.pool.query(sql, values)).rows;
    await put("insert into garden (name) values ('Old'), ('Other')");
    await put("insert into pool (garden_id, name) values (1, 'Pool')");
    const crop =
      'insert into variety (garden_id, name, crop, kind, unit, germination, pattern) values ($1, $2, \'x\', $3, $4, 0.9, \'{"kind": "once", "holdDays": 3}\')';
    for (const row of [
      [1, "Lettuce", "leaf", "heads"],
      [1, "Tomato", "fruit", "Kg"],
      [1, "Basil", "herb", "lbs"],
      [1, "Shoots", "shoots", "half trays"],
      [2, "Okra", "fruit", "kilo"],
    ])
      await put(crop, row);
    await put("delete from variety where name = 'Basil'");
    await put(
      "insert into material (garden_id, item, on_hand) values (1, 'net cup, ⟦50|bore⟧', 100), (1, 'channel, ⟦100|bore⟧ × ⟦50|bore⟧', 12.5), (1, 'drain elbow', 3)",
    );
    migrateTo(older.url, Infinity);

    const crops = await put(
      "select variety.name, harvest_unit.name as unit, divisible, food_safety_sensitive as sensitive from variety join harvest_unit on harvest_unit.id = unit_id order by variety.id",
    );
    expect(crops).toEqual([
      { name: "Lettuce", unit: "heads", divisible: false, sensitive: false },
      { name: "Tomato", unit: "Kg", divisible: true, sensitive: false },
      { name: "Shoots", unit: "half trays", divisible: false, sensitive: true },
      { name: "Okra", unit: "kilo", divisible: true, sensitive: false },
    ]);
    // A crop that was deleted comes back with its unit.
    const [gone] = await put(
      "select (select name from harvest_unit where id = (before ->> 'unit_id')::int) as unit, (select divisible from harvest_unit where id = (before ->> 'unit_id')::int) as divisible, before ? 'unit' as old, before -> 'pattern' as pattern from change where table_name = 'variety' and after is null",
    );
    const pattern = { kind: "once", keepsDays: 3 };
    expect(gone).toEqual({ unit: "lbs", divisible: true, old: false, pattern });
    expect(await put("select distinct pattern from variety")).toEqual([{ pattern }]);
    expect(await put("select item, on_hand::float as on_hand from material order by id")).toEqual([
      { item: "net-cup:50", on_hand: 100 },
      { item: "channel:100x50", on_hand: 12.5 },
      { item: "drain-elbow", on_hand: 3 },
    ]);
    expect(
      await put(
        "select relname from pg_class where relname in ('garden', 'variety', 'change', 'material', 'harvest_unit') and not relforcerowsecurity",
      ),
    ).toEqual([]);
  } finally {
    await older.close();
  }
});

test("pools become growing areas in rows, in what is remembered and in kept layouts", async () => {
  const older = await freshDatabase(null);
  try {
    migrateTo(older.url, 7);
    const put = async (sql: string, values: unknown[] = []) => (await older.pool.query(sql, values)).rows;
    await put("insert into garden (name) values ('Old')");
    await put("insert into pool (garden_id, name) values (1, 'Bank')");
    await put(
      "insert into house (garden_id, name, length_m, width_m, height_m, cover) values (1, 'Net', 10, 6, 2, 'net')",
    );
    const { STAND_MODELS } = await import("../../src/core/place/kinds");
    const spec = STAND_MODELS["channel-bank"].example;
    await put(
      "insert into stand (garden_id, house_id, pool_id, name, x_m, y_m, kind, spec) values (1, 1, 1, 'Row', 0, 0, $1, $2)",
      [spec.kind, JSON.stringify(spec)],
    );
    await put("delete from stand");
    const document = {
      format: "seed-round-layout",
      version: 1,
      name: "Kept",
      houses: [],
      pools: [{ name: "Bank", cleaningDays: 1 }],
      stands: [{ name: "Row", pool: "Bank" }],
    };
    await put("insert into layout (garden_id, name, document) values (1, 'Kept', $1)", [JSON.stringify(document)]);
    migrateTo(older.url, Infinity);

    expect(await put("select id, name from growing_area")).toEqual([{ id: 1, name: "Bank" }]);
    const [gone] = await put(
      "select before -> 'growing_area_id' as area, before ? 'pool_id' as old from change where table_name = 'stand' and after is null",
    );
    expect(gone).toEqual({ area: 1, old: false });
    expect(await put("select distinct table_name from change where table_name in ('pool', 'growing_area')")).toEqual([
      { table_name: "growing_area" },
    ]);
    const kept = {
      ...document,
      version: 2,
      growingAreas: document.pools,
      stands: [{ name: "Row", growingArea: "Bank" }],
    };
    const { pools: _, ...wanted } = kept;
    expect(await put("select document from layout")).toEqual([{ document: wanted }]);
    expect(await put("select after -> 'document' as document from change where table_name = 'layout'")).toEqual([
      { document: wanted },
    ]);
  } finally {
    await older.close();
  }
});

test("customers, codes for choices and the log by kind: rows, what is remembered and kept layouts follow", async () => {
  const older = await freshDatabase(null);
  try {
    migrateTo(older.url, 8);
    const put = async (sql: string, values: unknown[] = []) => (await older.pool.query(sql, values)).rows;
    await put("insert into garden (name) values ('Old')");
    await put("insert into person (garden_id, name, role) values (1, 'Ines', 'keeper')");
    await put("insert into outlet (garden_id, name) values (1, 'Stall')");
    const log =
      "insert into log_entry (garden_id, person_id, day, kind, place, title, planned, actual, corrects_id) values (1, 1, '2027-09-01', $1, $2, $3, $4, $5, $6)";
    const stop = { key: "tanks", name: "Tanks", order: 100 };
    for (const [kind, place, title, planned, actual, corrects] of [
      ["sow", "Tunnel", "Sow Mizuna", { stop }, { done: 48, word: "cells", dimension: "count", effects: [1] }, null],
      ["wash", "Tunnel", "Wash it", { stop }, { picked: 2, thrownAway: 1, word: "heads" }, null],
      ["reading", "Leaf tank", "Leaf tank: read", { stop, slip: { verdict: "ok" } }, { ph: 6, levelL: 95 }, null],
      ["reading", "Leaf tank", "Leaf tank: read", { first: {} }, { levelL: 585 }, 3],
      ["store", "Gate and store", "Read the level of Cistern", { stop }, { storedL: 900 }, null],
      ["note", "Beds", "Seen", {}, {}, null],
    ] as const)
      await put(log, [kind, place, title, JSON.stringify(planned), JSON.stringify(actual), corrects]);
    const assembly = { name: "rail", pieces: [], fittings: [], otherMm: 10, way: "a thing goes into it" };
    await put(
      "insert into cut_list (garden_id, name, material, kerf_mm, trim_mm, least_offcut_mm, objective, uses_offcuts, stocks, pieces, assemblies) values (1, 'Legs', 'tube', 4, 0, 300, 'bars', true, '[]', '[]', $1)",
      [JSON.stringify([assembly])],
    );
    const layout = {
      stands: [
        { name: "Media", spec: { kind: "media-bed", drains: "stays full" } },
        { name: "Bank", spec: {} },
      ],
    };
    await put("insert into layout (garden_id, name, document) values (1, 'Kept', $1)", [JSON.stringify(layout)]);
    migrateTo(older.url, Infinity);

    expect(await put("select name from customer")).toEqual([{ name: "Stall" }]);
    expect(await put("select distinct table_name from change where table_name in ('outlet', 'customer')")).toEqual([
      { table_name: "customer" },
    ]);
    const task = (title: string, unit: string) => ({
      kind: "written",
      title,
      place: "Tunnel",
      unit,
      dimension: "count",
    });
    expect((await put("select what from log_entry order by id")).map(({ what }) => what)).toEqual([
      { kind: "task", stop, task: task("Sow Mizuna", "cells"), done: 48 },
      { kind: "wash", stop, task: task("Wash it", "heads"), picked: 2, thrownAway: 1 },
      {
        kind: "reading",
        tank: "Leaf tank",
        figures: { ecMsPerCm: null, ph: 6, waterC: null, levelL: 95 },
        slip: { verdict: "ok" },
      },
      { kind: "correction", values: { levelL: 585 }, slip: null },
      { kind: "store", store: "Cistern", storedL: 900 },
      { kind: "note", title: "Seen", place: "Beds" },
    ]);
    expect(await put("select effects from log_entry where kind = 'sow'")).toEqual([{ effects: [1] }]);
    const [remembered] = await put("select after from change where table_name = 'log_entry' order by id limit 1");
    expect(remembered!.after).toMatchObject({ what: { kind: "task", done: 48 }, effects: [1] });
    expect(await put("select assemblies from cut_list")).toEqual([
      { assemblies: [{ ...assembly, way: "takes-a-piece" }] },
    ]);
    const [kept] = await put("select document from layout");
    expect(kept!.document.stands).toMatchObject([{ name: "Media", spec: { drains: "stays-full" } }, { name: "Bank" }]);
    expect(
      await put(
        "select relname from pg_class where relname in ('log_entry', 'change', 'layout', 'cut_list', 'stand') and not relforcerowsecurity",
      ),
    ).toEqual([]);
  } finally {
    await older.close();
  }
});
