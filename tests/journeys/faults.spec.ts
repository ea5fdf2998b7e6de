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
import { ready } from "./garden";
import { passwordOf } from "./people";

const SECRET = "5".repeat(48);

/** A cluster that flushes to disk, as a real one does, with the application on it: what is killed here is nobody else's. */
const garden = test.extend<{
  on: { cluster: Cluster; web: WebServer; ownerUrl: string; again: () => Promise<WebServer> };
}>({
  on: async ({}, provide) => {
    const folder = mkdtempSync(join(tmpdir(), "seed-round-fault-"));
    const cluster = await startCluster(folder);
    await ensureDatabase(cluster, "garden");
    const ownerUrl = cluster.url("garden");
    copyDemo(ownerUrl);
    const environment = {
      DATABASE_URL: await appUrl(ownerUrl, SECRET),
      SEED_ROUND_SECRET: SECRET,
      SEED_ROUND_JOB_LEASE_MS: "2000",
    };
    const plastics = [await serve(environment)];
    const again = async () => {
      plastics.push(await serve(environment));
      return plastics.at(-1)!;
    };
    await provide({ cluster, web: plastics[0]!, ownerUrl, again });
    for (const web of plastics) await web.stop();
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  },
});
garden.setTimeout(120_000);

/** The demo garden as the other journeys have it. */
function copyDemo(ownerUrl: string) {
  const template = process.env.SEED_ROUND_TEST_URL!.replace(/\/postgres$/u, "/demo_template");
  const dump = execFileSync(join(binaries(), "pg_dump"), ["--no-owner", "--no-privileges", template], {
    maxBuffer: 2e8,
  });
  execFileSync(join(binaries(), "psql"), ["--quiet", "--set=ON_ERROR_STOP=1", ownerUrl], {
    input: dump,
    stdio: ["pipe", "ignore", "inherit"],
  });
}

async function ask<Row extends pg.QueryResultRow>(url: string, sql: string, values: unknown[] = []): Promise<Row[]> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  return client
    .query<Row>(sql, values)
    .then(({ rows }) => rows)
    .finally(() => client.end());
}

/** Holds a save half done while something else happens: its rows are in, and their history waits to be written. */
async function halfDone<Answer>(ownerUrl: string, save: () => Promise<Answer>, meanwhile: () => void): Promise<Answer> {
  const holder = new pg.Client({ connectionString: ownerUrl });
  await holder.connect();
  let saving: Promise<Answer>;
  try {
    await holder.query("begin");
    await holder.query("lock table change in exclusive mode");
    saving = save();
    const waiting = "select 1 from pg_stat_activity where datname = current_database() and wait_event_type = 'Lock'";
    // Asked on a connection of its own: within one transaction the list of connections stays as it was first read.
    await expect.poll(async () => (await ask(ownerUrl, waiting)).length).toBeGreaterThan(0);
    meanwhile();
  } finally {
    await holder.end();
  }
  return saving;
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
    const rows = await ask<{ title: string }>(
      on.ownerUrl,
      "select what ->> 'title' as title from log_entry where what ->> 'title' like 'Note %'",
    );
    const found = new Set(rows.map(({ title }) => title));
    expect(kept.filter((title) => !found.has(title))).toEqual([]);
  },
);

garden("the application is killed in the middle of a save: all of it is kept, or none", async ({ on }) => {
  const { call } = await caller(on.web.url, "ines");
  const batches = Array.from({ length: 400 }, (_, index) => ({
    varietyId: 1,
    sowDay: 21_100 + (index % 300),
    cells: 9,
    targetPlants: 8,
  }));
  const count = async () =>
    Number(
      (
        await ask<{ n: string }>(on.ownerUrl, "select count(*) as n from batch where cells = 9 and target_plants = 8")
      )[0]!.n,
    );
  const before = await count();
  const save = () =>
    call("addBatches", { batches }).then(
      () => "answered",
      () => "cut off",
    );
  const answer = await halfDone(on.ownerUrl, save, () => process.kill(on.web.pid, "SIGKILL"));
  expect(answer).toBe("cut off");
  await expect
    .poll(async () =>
      Number(
        (
          await ask<{ n: string }>(
            on.ownerUrl,
            "select count(*) as n from pg_stat_activity where usename like '%app' and state like '%transaction%'",
          )
        )[0]!.n,
      ),
    )
    .toBe(0);
  expect([before, before + 400]).toContain(await count());
  const web = await on.again();
  const again = await caller(web.url, "ines");
  expect(await again.call("addBatches", { batches: batches.slice(0, 3) })).toMatchObject({ ok: true });
});

garden(
  "heavy work is followed and stopped; killed with its server, it is taken up by the next one",
  async ({ on, page }) => {
    const { call } = await caller(on.web.url, "ines");
    const list = {
      id: null,
      version: null,
      name: "Everything",
      material: "tube",
      sawCutMm: 3,
      trimMm: 0,
      leastOffcutMm: 300,
      objective: "bars",
      usesOffcuts: false,
      stocks: [3000, 4000, 6000].map((lengthMm) => ({ lengthMm, price: 0 })),
      pieces: Array.from({ length: 40 }, (_, index) => ({ lengthMm: 311 + 37 * index, count: 5, label: "" })),
    };
    const made: ActionResult<number> = await call("saveCutList", list);
    const id = made.ok ? made.value : 0;
    const enter = async (url: string) => {
      await page.goto(`${url}/sign-in?to=${encodeURIComponent(`/place/bench?list=${id}`)}`);
      await ready(page);
      await page.getByLabel("Sign-in name").fill("ines");
      await page.getByLabel("Password").fill(passwordOf("ines"));
      await page.getByRole("button", { name: "Sign in" }).click();
      await page.waitForURL(/\/place\/bench/u);
      await ready(page);
    };
    const state = async () =>
      (
        await ask<{ state: string; tries: number }>(
          on.ownerUrl,
          "select state, tries from job order by id desc limit 1",
        )
      )[0]!;
    await enter(on.web.url);
    await page.getByRole("button", { name: "Plan the cuts" }).click();
    await expect(page.getByRole("status").filter({ hasText: "Planning the cuts" })).toContainText(/best so far \d+/);
    await page.getByRole("button", { name: "Stop" }).click();
    await expect(page.getByText("Stopped: everything is as it was")).toBeVisible();
    await expect(page.getByRole("button", { name: "Plan the cuts" })).toBeVisible();
    await expect.poll(state).toMatchObject({ state: "stopped" });

    await page.getByRole("button", { name: "Plan the cuts" }).click();
    await expect.poll(state).toMatchObject({ state: "running", tries: 1 });
    process.kill(on.web.pid, "SIGKILL");
    const web = await on.again();
    // Still signed in, at the new address.
    await page.goto(`${web.url}/place/bench?list=${id}`);
    await ready(page);
    await expect.poll(state).toMatchObject({ state: "done", tries: 2 });
    await expect(page.getByText(/^(Proved best|Not proved best)/).first()).toBeVisible();
  },
);

garden("every connection is taken: people are told in words, and it passes by itself", async ({ on, page }) => {
  const { call, get } = await caller(on.web.url, "tomas");
  await page.goto(`${on.web.url}/sign-in`);
  const held: pg.Client[] = [];
  const holdAll = async () => {
    for (;;) {
      const client = new pg.Client({ connectionString: on.ownerUrl });
      client.on("error", () => undefined);
      try {
        await client.connect();
        held.push(client);
      } catch {
        return;
      }
    }
  };
  // The server's own places go too, as often as it takes one back meanwhile; then whoever asks again is refused.
  const ends = "select pg_terminate_backend(pid) from pg_stat_activity where usename like '%app'";
  await holdAll();
  for (let rows = (await held[0]!.query(ends)).rows; rows.length > 0; rows = (await held[0]!.query(ends)).rows)
    await holdAll();
  expect(held.length).toBeGreaterThan(20);
  expect(await call("addNote", note("No room"))).toMatchObject({
    ok: false,
    status: 503,
    reason: { room: "any", kind: "database-away" },
  });
  expect((await get("/readyz")).status).toBe(503);
  expect((await get("/healthz")).status).toBe(200);
  expect((await get("/find")).status).toBe(503);
  await page.goto(`${on.web.url}/sign-in`);
  await expect(page.getByRole("heading", { name: /database is not responding|is not ready/u })).toBeVisible();
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
    for (const path of ["/round", "/batches", "/people/history", "/water/supply"])
      expect(`${path} ${(await get(path)).status}`).toBe(`${path} 200`);
    const newest = await ask<{ title: string }>(
      on.ownerUrl,
      "select after -> 'what' ->> 'title' as title from change where table_name = 'log_entry' order by id desc limit 2",
    );
    expect(newest.map(({ title }) => title)).toEqual(["After", "Before"]);
    const history = await (await get("/people/history")).text();
    expect(history.indexOf("Log: After")).toBeLessThan(history.indexOf("Log: Before"));
  } finally {
    process.env.SEED_ROUND_TODAY = "2027-09-02";
  }
});

garden("stopping lets what runs finish", async ({ on }) => {
  const { call } = await caller(on.web.url, "ines");
  const batches = Array.from({ length: 300 }, (_, index) => ({
    varietyId: 1,
    sowDay: 21_100 + index,
    cells: 9,
    targetPlants: 8,
  }));
  let stopping: Promise<unknown> | undefined;
  const saved = await halfDone(
    on.ownerUrl,
    () => call("addBatches", { batches }),
    () => (stopping = on.web.stop()),
  );
  expect(saved).toMatchObject({ ok: true });
  await stopping;
});
