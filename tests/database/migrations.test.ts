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
      where table_schema = 'public' and table_name not in ('garden', 'migration', 'account', 'session', 'sign_in_attempt', 'backup_run', 'installation')
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
