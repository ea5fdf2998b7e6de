import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, readdirSync, rmSync, symlinkSync, truncateSync, utimesSync } from "node:fs";
import { tmpdir } from "node:os";
import { basename, join } from "node:path";
import pg from "pg";
import { appUrl } from "../../scripts/lib/appRole";
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
  return client
    .query(sql)
    .then(({ rows }) => rows as Row[])
    .finally(() => client.end());
};
/** Drops what a restore kept aside; the pool of the restored database has ended already. */
async function dropAside(name: string) {
  const url = new URL(database.url);
  url.pathname = "/postgres";
  const client = new pg.Client({ connectionString: url.toString() });
  await client.connect();
  await client.query(`drop database ${name}`);
  await client.end();
  database = { ...database, close: async () => undefined };
}
const dumps = () => readdirSync(folder).sort();

test("what was backed up comes back as it was; what was there meanwhile is kept aside", async () => {
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
  await dropAside(aside!);
});

test("a restore holds while a running application keeps coming back", async () => {
  const file = await backUp(database.url, folder);
  await ask("delete from stand; delete from house");
  await database.pool.end();
  let isOver = false;
  // As whoever listens does when it is cut off: at once, again, and stays.
  const comingBack = Array.from({ length: 4 }, async () => {
    while (!isOver) {
      const client = new pg.Client({ connectionString: database.url });
      client.on("error", () => undefined);
      await client.connect().catch(() => undefined);
      await client.query("select pg_sleep(20)").catch(() => undefined);
      await client.end().catch(() => undefined);
    }
  });
  const aside = await restore(database.url, file).finally(() => (isOver = true));
  await Promise.all(comingBack);
  expect(await ask("select count(*)::integer as count from house")).toEqual([{ count: 3 }]);
  await dropAside(aside!);
});

test("a full disk: the older backup stays, no half file, and the error is noted in words", async () => {
  const good = await backUp(database.url, folder, new Date("2027-09-01T02:00:00Z"));
  // The kernel's own full disk: every write to it fails with "no space left".
  symlinkSync("/dev/full", join(folder, "seed-round-20270902-020000.dump.part"));
  await expect(backUp(database.url, folder, new Date("2027-09-02T02:00:00Z"))).rejects.toThrow(
    /The backup failed: .*(No space left|could not)/u,
  );
  expect(dumps()).toEqual([good.split("/").at(-1)]);
  expect(await ask("select problem is null as worked from backup_run order by id")).toEqual([
    { worked: true },
    { worked: false },
  ]);
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

test("a copy goes to a second folder; one that is not there is a failure in words, and the backup itself stands", async () => {
  const second = mkdtempSync(join(tmpdir(), "seed-round-second-"));
  const file = await backUp(database.url, folder, new Date(), { copyTo: second });
  expect(readFileSync(join(second, basename(file)))).toEqual(readFileSync(file));
  rmSync(second, { recursive: true });
  await expect(backUp(database.url, folder, new Date(Date.now() + 5000), { copyTo: second })).rejects.toThrow(
    /The backup was made, but its copy to .* failed/u,
  );
  expect(dumps()).toHaveLength(2);
  expect(await ask("select problem is null as worked from backup_run order by id")).toEqual([
    { worked: true },
    { worked: true },
    { worked: false },
  ]);
});

test("on a database of one's own, an owner bound by row-level security is shown what to grant, and a role that has it can", async () => {
  const server = process.env.SEED_ROUND_TEST_URL!;
  const plain = await freshDatabase(null);
  const as = (url: string, user: string) => Object.assign(new URL(url), { username: user, password: "x" }).toString();
  const name = new URL(plain.url).pathname.slice(1);
  const admin = new pg.Client({ connectionString: server });
  await admin.connect();
  try {
    await admin.query(
      `create role plain_owner login password 'x' nosuperuser; alter database ${name} owner to plain_owner; create role may_read login bypassrls password 'x' in role pg_read_all_data`,
    );
    const url = as(plain.url, "plain_owner");
    execFileSync(process.execPath, ["--import", "tsx", "scripts/migrate.ts"], {
      env: { ...process.env, DATABASE_URL: url },
    });
    expect(await appUrl(url, "unused")).toBe(url);
    await expect(backUp(url, folder, new Date(), { readUrl: url })).rejects.toThrow(
      /the role "plain_owner" is bound by row-level security .* create role seed_round_backup login bypassrls .* SEED_ROUND_BACKUP_URL=/u,
    );
    const { rows } = await plain.pool.query("select problem from backup_run");
    expect(rows[0].problem).toContain("is bound by row-level security");
    await backUp(url, folder, new Date(), { readUrl: as(plain.url, "may_read") });
    expect(dumps()).toHaveLength(1);
  } finally {
    await plain.close();
    await admin.query("drop role if exists plain_owner; drop role if exists may_read");
    await admin.end();
  }
});
