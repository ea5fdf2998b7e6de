import { mkdtempSync, readdirSync, rmSync, symlinkSync, truncateSync, utimesSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import pg from "pg";
import { backUp, backupDue, restore } from "../../scripts/lib/backup";
import { freshDatabase, type TestDatabase } from "./database";

let database: TestDatabase;
let folder: string;
beforeEach(async () => {
  database = await freshDatabase("demo_template");
  folder = mkdtempSync(join(tmpdir(), "seed-round-backup-"));
});
afterEach(async () => {
  await database.close();
  rmSync(folder, { recursive: true, force: true });
});

const ask = async <Row>(sql: string): Promise<Row[]> => {
  const client = new pg.Client({ connectionString: database.url });
  await client.connect();
  return client.query(sql).then(({ rows }) => rows as Row[]).finally(() => client.end()); // prettier-ignore
};
const dumps = () => readdirSync(folder).sort();

test("what was backed up comes back as it was; what stood there meanwhile is kept aside", async () => {
  const before = await ask("select id, name from house order by id");
  const file = await backUp(database.url, folder);
  expect(await ask("select problem from backup_run")).toEqual([{ problem: null }]);
  await ask("delete from stand; delete from house");
  const [{ count }] = (await ask<{ count: string }>("select count from revision")) as [{ count: string }];
  await database.pool.end();
  const aside = await restore(database.url, file);
  expect(await ask("select id, name from house order by id")).toEqual(before);
  // No page that was worked out before may pass for one of the restored garden.
  const [after] = await ask<{ count: string }>("select count from revision");
  expect(Number(after!.count)).toBeGreaterThan(Number(count));
  const url = new URL(database.url);
  url.pathname = "/postgres";
  const client = new pg.Client({ connectionString: url.toString() });
  await client.connect();
  await client.query(`drop database ${aside}`);
  await client.end();
  database = { ...database, close: async () => undefined };
});

test("a full disk: the older backup stays, no half file, and the error is noted in words", async () => {
  const good = await backUp(database.url, folder, new Date("2027-09-01T02:00:00Z"));
  // The kernel's own full disk: every write to it fails with "no space left".
  symlinkSync("/dev/full", join(folder, "seed-round-20270902-020000.dump.part"));
  await expect(backUp(database.url, folder, new Date("2027-09-02T02:00:00Z"))).rejects.toThrow(
    /The backup failed: .*(No space left|could not)/u,
  );
  expect(dumps()).toEqual([good.split("/").at(-1)]);
  expect(await ask("select problem is null as worked from backup_run order by id")).toEqual([{ worked: true }, { worked: false }]); // prettier-ignore
});

test("a file that is cut off restores nothing", async () => {
  const file = await backUp(database.url, folder);
  truncateSync(file, 20_000);
  await expect(restore(database.url, file)).rejects.toThrow(/is not a whole backup: .*Nothing was changed/u);
  expect(await ask("select count(*)::integer as count from house")).toEqual([{ count: 3 }]);
});

test("nightly ones go after a fortnight, never the last; a clock set back does not put the next one off", async () => {
  const day = 86_400_000;
  const now = Date.now();
  for (const age of [16, 10, 3]) {
    const file = await backUp(database.url, folder, new Date(now - age * day));
    utimesSync(file, new Date(now - age * day), new Date(now - age * day));
  }
  expect(dumps()).toHaveLength(3);
  const oldest = dumps()[0];
  await backUp(database.url, folder, new Date(now));
  expect(dumps()).toHaveLength(3);
  expect(dumps()).not.toContain(oldest);
  expect(await backupDue(database.url, new Date(now))).toBe(false);
  expect(await backupDue(database.url, new Date(now + 1.01 * day))).toBe(true);
  expect(await backupDue(database.url, new Date(now - 30 * day))).toBe(true);
});
