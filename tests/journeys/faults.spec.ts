import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "@playwright/test";
import pg from "pg";
import { appUrl } from "../../scripts/lib/appRole";
import { binaries, ensureDatabase, startCluster, type Cluster } from "../../scripts/lib/cluster";
import { serve, type WebServer } from "../../scripts/lib/web";
import type { ActionResult } from "../../src/server/session/result";
import { caller } from "../../scripts/lib/calls";

const SECRET = "5".repeat(48);

/** A cluster that flushes to disk, as a real one does, with the application on it: what is killed here is nobody else's. */
const garden = test.extend<{ on: { cluster: Cluster; web: WebServer; ownerUrl: string; again: () => Promise<WebServer> } }>({
  on: async ({}, provide) => {
    const folder = mkdtempSync(join(tmpdir(), "seed-round-fault-"));
    const cluster = await startCluster(folder);
    await ensureDatabase(cluster, "garden");
    const ownerUrl = cluster.url("garden");
    copyDemo(ownerUrl);
    const environment = { DATABASE_URL: await appUrl(ownerUrl, SECRET), SEED_ROUND_SECRET: SECRET };
    const webs = [await serve(environment)];
    const again = async () => {
      webs.push(await serve(environment));
      return webs.at(-1)!;
    };
    await provide({ cluster, web: webs[0]!, ownerUrl, again });
    for (const web of webs) await web.stop();
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  },
}); // prettier-ignore
garden.setTimeout(120_000);

/** The demo garden as the other journeys have it. */
function copyDemo(ownerUrl: string) {
  const template = process.env.SEED_ROUND_TEST_URL!.replace(/\/postgres$/u, "/demo_template");
  const dump = execFileSync(join(binaries(), "pg_dump"), ["--no-owner", "--no-privileges", template], {
    maxBuffer: 2e8,
  });
  execFileSync(join(binaries(), "psql"), ["--quiet", "--set=ON_ERROR_STOP=1", ownerUrl], { input: dump, stdio: ["pipe", "ignore", "inherit"] }); // prettier-ignore
}

async function ask<Row extends pg.QueryResultRow>(url: string, sql: string, values: unknown[] = []): Promise<Row[]> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  return client.query<Row>(sql, values).then(({ rows }) => rows).finally(() => client.end()); // prettier-ignore
}

/** Some of the batches have been written, in a transaction that is still open. */
async function isWriting(ownerUrl: string) {
  const writing =
    "select count(*) as n from pg_stat_activity where state <> 'idle' and query like 'insert into \"batch\"%'";
  await expect
    .poll(async () => Number((await ask<{ n: string }>(ownerUrl, writing))[0]!.n), { intervals: [2] })
    .toBeGreaterThan(0);
}

const note = (title: string) => ({ title, place: "", day: process.env.SEED_ROUND_TODAY!, note: "" });

garden(
  "PostgreSQL is killed with -9 while people write: no acknowledged write is lost, and the application goes on",
  async ({ on }) => {
    const { call } = await caller(on.web.url, "priya");
    const kept: string[] = [];
    let writing = true;
    const write = async (hand: number) => {
      for (let count = 0; writing; count++) {
        const title = `Note ${hand}-${count}`;
        const result: ActionResult<unknown> = await call("addNote", note(title));
        if (result.ok) kept.push(title);
        else expect(result.status).toBe(503);
      }
    };
    const hands = [1, 2, 3, 4].map(write);
    await expect.poll(() => kept.length).toBeGreaterThan(20);
    process.kill(on.cluster.pid(), "SIGKILL");
    const before = kept.length;
    await expect.poll(() => kept.length).toBeGreaterThan(before + 20);
    writing = false;
    await Promise.all(hands);
    const rows = await ask<{ title: string }>(on.ownerUrl, "select title from log_entry where title like 'Note %'");
    const found = new Set(rows.map(({ title }) => title));
    expect(kept.filter((title) => !found.has(title))).toEqual([]);
  },
);

garden("the application is killed in the middle of a save: all of it is kept, or none", async ({ on }) => {
  const { call } = await caller(on.web.url, "ines");
  const batches = Array.from({ length: 400 }, (_, index) => ({ varietyId: 1, sowDay: 21_100 + (index % 300), cells: 9, targetPlants: 8 })); // prettier-ignore
  const count = async () => Number((await ask<{ n: string }>(on.ownerUrl, "select count(*) as n from batch where cells = 9 and target_plants = 8"))[0]!.n); // prettier-ignore
  const before = await count();
  const saving = call("addBatches", { batches }).then(() => "answered", () => "cut off"); // prettier-ignore
  await isWriting(on.ownerUrl);
  process.kill(on.web.pid, "SIGKILL");
  await saving;
  await expect.poll(async () => Number((await ask<{ n: string }>(on.ownerUrl, "select count(*) as n from pg_stat_activity where usename like '%app' and state like '%transaction%'"))[0]!.n)).toBe(0); // prettier-ignore
  expect([before, before + 400]).toContain(await count());
  const web = await on.again();
  const again = await caller(web.url, "ines");
  expect(await again.call("addBatches", { batches: batches.slice(0, 3) })).toMatchObject({ ok: true });
});

garden("every connection is taken: people are told in words, and it passes by itself", async ({ on, page }) => {
  const { call, get } = await caller(on.web.url, "tomas");
  await page.goto(`${on.web.url}/sign-in`);
  const held: pg.Client[] = [];
  // The server's own places go first; then whoever asks anew is refused.
  await ask(on.ownerUrl, "select pg_terminate_backend(pid) from pg_stat_activity where usename like '%app'");
  for (;;) {
    const client = new pg.Client({ connectionString: on.ownerUrl });
    client.on("error", () => undefined);
    try {
      await client.connect();
      held.push(client);
    } catch {
      break;
    }
  }
  expect(held.length).toBeGreaterThan(20);
  expect(await call("addNote", note("No room"))).toMatchObject({ ok: false, status: 503, message: expect.stringContaining("the database does not answer") }); // prettier-ignore
  expect((await get("/readyz")).status).toBe(503);
  expect((await get("/healthz")).status).toBe(200);
  expect((await get("/find")).status).toBe(503);
  await page.goto(`${on.web.url}/sign-in`);
  await expect(page.getByRole("heading", { name: /database is away|is not ready/u })).toBeVisible();
  for (const client of held) await client.end();
  await expect(page.getByRole("heading", { name: "Sign in" })).toBeVisible();
  expect(await call("addNote", note("Room again"))).toMatchObject({ ok: true });
  expect((await get("/readyz")).status).toBe(200);
});

garden("the clock is set back: people stay signed in, and what is new stands above what is older", async ({ on }) => {
  const first = await caller(on.web.url, "tomas");
  expect(await first.call("addNote", note("Before"))).toMatchObject({ ok: true });
  await on.web.stop();
  process.env.SEED_ROUND_TODAY = "2027-08-20";
  try {
    const web = await on.again();
    const { call, get } = await caller(web.url, "tomas");
    expect(await call("addNote", { ...note("After"), day: "2027-08-20" })).toMatchObject({ ok: true });
    for (const path of ["/round", "/batches", "/people/history", "/water/supply"]) expect(`${path} ${(await get(path)).status}`).toBe(`${path} 200`); // prettier-ignore
    const newest = await ask<{ title: string }>(on.ownerUrl, "select after ->> 'title' as title from change where table_name = 'log_entry' order by id desc limit 2"); // prettier-ignore
    expect(newest.map(({ title }) => title)).toEqual(["After", "Before"]);
    const history = await (await get("/people/history")).text();
    expect(history.indexOf("Log: After")).toBeLessThan(history.indexOf("Log: Before"));
  } finally {
    process.env.SEED_ROUND_TODAY = "2027-09-02";
  }
});

garden("stopping lets what runs finish", async ({ on }) => {
  const { call } = await caller(on.web.url, "ines");
  const batches = Array.from({ length: 300 }, (_, index) => ({ varietyId: 1, sowDay: 21_100 + index, cells: 9, targetPlants: 8 })); // prettier-ignore
  const saving = call("addBatches", { batches });
  await isWriting(on.ownerUrl);
  await on.web.stop();
  expect(await saving).toMatchObject({ ok: true });
});
