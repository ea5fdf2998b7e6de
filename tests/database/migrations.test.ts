import { execFileSync } from "node:child_process";
import { readdirSync } from "node:fs";
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
      where table_schema = 'public' and table_name not in ('garden', 'migration', 'account', 'session', 'attempt', 'backup_run', 'installation', 'door_act', 'door_event', 'recovery_code', 'second_factor')
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
  execFileSync(process.execPath, ["--input-type=module", "-e", `import { runner } from "node-pg-migrate"; await runner({ databaseUrl: ${JSON.stringify(databaseUrl)}, dir: "db/migrations", direction: "up", migrationsTable: "migration", count: ${count}, log: () => undefined });`], { stdio: ["ignore", "pipe", "pipe"] }); // prettier-ignore

test("stands, houses and their memory of the version before grow into this one's measures", async () => {
  const older = await freshDatabase(null);
  const upTo = (count: number) => migrateTo(older.url, count);
  try {
    upTo(4);
    const put = async (sql: string, values: unknown[] = []) => (await older.pool.query(sql, values)).rows;
    await put("insert into garden (name) values ('Old')");
    await put("insert into pool (garden_id, name) values (1, 'Pool')");
    for (const [name, width] of [["First", 6], ["Second", 4], ["Third", 5]])
      await put("insert into house (garden_id, name, length_m, width_m, height_m, cover, position) values (1, $1, 10, $2, 2, 'net', (select count(*) from house))", [name, width]); // prettier-ignore
    const bank = { kind: "channel-bank", lines: 4, lineLengthM: 6, channelWidthM: 0.1, channelDepthM: 0.05, endMarginM: 0.1, pitchM: 0.2, holeMm: 50, gapM: 0.1, linesPerBlock: 4, aisleM: 0.6, linesPerValve: 4, fallOneIn: 40, lineFlowLph: 90 }; // prettier-ignore
    const rack = { kind: "tray-rack", racks: 1, shelvesPerRack: 2, shelfLengthM: 1, shelfWidthM: 0.5, trayLengthM: 0.5, trayWidthM: 0.25, cellsPerTray: 1, aisleM: 0.8 }; // prettier-ignore
    for (const [name, spec] of [["Bank", bank], ["Shoots", rack], ["Cells", { ...rack, cellsPerTray: 84 }]] as const)
      await put("insert into stand (garden_id, house_id, pool_id, name, x_m, y_m, kind, spec) values (1, 1, 1, $1, 0, 0, $2, $3)", [name, spec.kind, JSON.stringify(spec)]); // prettier-ignore
    await put("delete from stand where name = 'Cells'");
    upTo(Infinity);

    const { specSchema } = await import("../../src/server/place/specSchema");
    const stands = await put("select name, kind, spec from stand order by id");
    expect(stands.map(({ name, kind }) => [name, kind])).toEqual([["Bank", "channel-bank"], ["Shoots", "shoots-rack"]]); // prettier-ignore
    for (const { spec } of stands) expect(specSchema.validate(spec).error).toBeUndefined();
    expect(stands[0]!.spec).toMatchObject({ pitchM: 0.2, zones: [], section: "rectangular" });
    expect(await put("select name, y_m from house order by id")).toEqual([
      { name: "First", y_m: 0 }, { name: "Second", y_m: 8 }, { name: "Third", y_m: 14 },
    ]); // prettier-ignore
    // What was removed before can be brought back: its memory has the new measures too.
    const [gone] = await put("select before from change where table_name = 'stand' and after is null");
    expect(specSchema.validate(gone!.before.spec).error).toBeUndefined();
    expect(gone!.before.kind).toBe("tray-rack");
    const [memory] = await put("select after from change where table_name = 'house' order by id limit 1");
    expect(memory!.after).toMatchObject({ x_m: 0, y_m: 0 });
    expect(await put("select relname from pg_class where relname in ('stand', 'house', 'change') and not relforcerowsecurity")).toEqual([]); // prettier-ignore
    // Growing is nobody's change.
    expect(await put("select count(*)::int as count from change where table_name = 'house'")).toEqual([{ count: 3 }]);
  } finally {
    await older.close();
  }
});
