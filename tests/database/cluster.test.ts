import { chmodSync, mkdirSync, mkdtempSync, readdirSync, rmSync, symlinkSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import pg from "pg";
import { ensureDatabase, startCluster } from "../../scripts/lib/cluster";
import { majors, PROGRAMS } from "../../scripts/lib/postgres";

let folder: string;
let home: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), "seed-round-cluster-"));
  home = mkdtempSync(join(tmpdir(), "seed-round-programs-"));
  // The unprivileged owner starts them from there.
  chmodSync(home, 0o755);
});
afterEach(() => {
  rmSync(folder, { recursive: true, force: true });
  rmSync(home, { recursive: true, force: true });
});

const [installed] = majors();
/** The installed programs under the name of a major version: they take the place of newer ones, which are not here. */
const as = (major: number) => symlinkSync(join(PROGRAMS, String(installed)), join(home, String(major)));
const ask = async (url: string, sql: string) => {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  return client
    .query(sql)
    .then(({ rows }) => rows as unknown[])
    .finally(() => client.end());
};

test("data of an older major version is carried over by dump and restore, and the old one kept", async () => {
  const first = await startCluster(folder, { throwaway: true });
  await ensureDatabase(first, "garden");
  await ask(
    first.url("garden"),
    "create table bed (id integer primary key, name text); insert into bed values (1, 'north'), (2, 'süd'); create role gardener login password 'x'; grant select on bed to gardener",
  );
  await first.stop();
  as(installed!);
  as(installed! + 1);
  const said: string[] = [];
  const second = await startCluster(folder, { throwaway: true, home, say: (words) => said.push(words) });
  expect(await ask(second.url("garden"), "select * from bed order by id")).toEqual([
    { id: 1, name: "north" },
    { id: 2, name: "süd" },
  ]);
  expect(await ask(second.url("garden"), "select has_table_privilege('gardener', 'bed', 'select') as may")).toEqual([
    { may: true },
  ]);
  await second.stop();
  expect(said.join(" ")).toMatch(
    new RegExp(`PostgreSQL ${installed}; it is carried over to ${installed! + 1}.*kept in .*pg-${installed}-20`, "u"),
  );
  expect(readdirSync(folder).filter((name) => name.startsWith("pg")).length).toBe(2);
});

test("data whose programs are gone, or that is newer, is left alone, with words that say what to install", async () => {
  mkdirSync(join(folder, "pg"));
  mkdirSync(join(folder, "backups"));
  writeFileSync(join(folder, "backups", "seed-round-20270901-020000.dump"), "");
  as(installed!);
  writeFileSync(join(folder, "pg", "PG_VERSION"), "11\n");
  await expect(startCluster(folder, { home })).rejects.toThrow(
    /made by PostgreSQL 11; .*apt-get install postgresql-11\).*npm run restore -- .*20270901/u,
  );
  writeFileSync(join(folder, "pg", "PG_VERSION"), "99\n");
  await expect(startCluster(folder, { home })).rejects.toThrow(/made by PostgreSQL 99, and here is only/u);
  expect(readdirSync(folder).sort()).toEqual(["backups", "pg"]);
});
