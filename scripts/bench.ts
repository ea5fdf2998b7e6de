import { gzipSync } from "node:zlib";
import { chromium } from "@playwright/test";
import pg from "pg";
import { occupancy } from "../src/core/batches/occupancy";
import { workOutPlan } from "../src/core/batches/plan";
import { saltUse } from "../src/core/batches/shortages";
import type { PlanInput } from "../src/core/batches/types";
import { gardenRows, workOutSeason, type Season } from "../src/server/batches/season";
import type { Session } from "../src/server/session/session";
import { today } from "../src/server/session/clock";
import { rainNormals } from "../src/server/water/queries";
import { DEMO_KEEPER } from "../demo/people";
import { caller } from "./lib/calls";
import { countBench, drawBench } from "./lib/placeBench";
import { withDemo } from "./lib/withDemo";
import { cutList, type CutProblem } from "../src/core/place/bench/cutList";
import { solver } from "../src/server/solver/highs";
import cutLists from "../tests/reference/place/cutlist.json" with { type: "json" };

const PAGES = [
  "/round",
  "/round/log",
  "/place",
  "/place/layouts",
  "/place/bench",
  "/water",
  "/water/supply",
  "/feed",
  "/feed/stocks",
  "/growth",
  "/batches",
  "/batches/orders",
  "/batches/balance",
  "/people",
  "/people/history",
];
const TIMES = 15;
const LARGER = 50;

await withDemo(async ({ url, databaseUrl }) => {
  process.env.DATABASE_URL = databaseUrl;
  const keeper = await caller(url, DEMO_KEEPER);
  const season = await demoSeason(databaseUrl);
  const wanted = process.argv.slice(2);
  const wants = (part: string) => wanted.length === 0 || wanted.includes(part);
  if (wants("pages")) await pageBench(keeper.get);
  if (wants("scripts")) await scriptBench(url, keeper.cookie);
  if (wants("plan")) planBench(season);
  if (wants("cuts")) await cutBench();
  if (wants("place")) {
    countBench(leastMs);
    await drawBench(url, keeper, season.rows.pools.find(({ name }) => name === "Leaf bank")!.id);
  }
});

/** A 14-month plan's occupancy, water and feed: the demo garden, and one of fifty times as many batches, orders and sites. */
function planBench(season: Season) {
  const work = (input: PlanInput) => () => {
    const plan = workOutPlan(input);
    saltUse(plan, season.saltUses.map((use) => use.salt)); // prettier-ignore
    return plan;
  };
  const small = season.input;
  const large = enlarge(small, LARGER);
  const smallMs = leastMs(work(small), TIMES);
  const largeMs = leastMs(work(large), TIMES);
  const shorter = { ...large, to: large.from + Math.round((large.to - large.from) / 2) };
  const shorterMs = leastMs(work(shorter), 5);
  console.log("\nPlan of 14 months: occupancy, water and feed");
  console.log(`  demo garden, ${small.batches.length} batches: ${smallMs.toFixed(1)} ms (asked: under 50 ms)`);
  console.log(
    `  ${LARGER} times larger, ${large.batches.length} batches: ${largeMs.toFixed(0)} ms, ${(largeMs / smallMs).toFixed(1)} times as long (asked: at most ${LARGER})`,
  );
  console.log(`  the large one over half the days: ${shorterMs.toFixed(0)} ms`);
  const plan = workOutPlan(large);
  const stays = plan.batches.flatMap((batch) => batch.stays);
  console.log(
    `  occupancy alone, ${stays.length} stays: ${leastMs(() => occupancy(large.pools, stays, large.from, large.to), 5).toFixed(1)} ms`,
  );
}

/** Every cut list of the reference cases with 200 pieces, planned and proved. */
async function cutBench() {
  const solve = await solver();
  console.log("\nCut lists of 200 pieces, planned and proved (asked: under 2 s)");
  for (const { name, given } of cutLists.cases) {
    if (given.pieces.reduce((sum, { count }) => sum + count, 0) < 200) continue;
    const bars = given.stockLengthsMm.map((lengthMm) => ({ lengthMm, price: 0, onHand: null }));
    const problem: CutProblem = { kerfMm: given.kerfMm, trimMm: 0, pieces: given.pieces, bars, objective: "bars" };
    const found = cutList(problem, solve);
    const proved = found.kind === "plan" && found.proved;
    console.log(
      `  ${name}: ${leastMs(() => cutList(problem, solve), 3).toFixed(0)} ms, ${proved ? "proved" : "NOT PROVED"}`,
    );
  }
}

function enlarge(input: PlanInput, times: number): PlanInput {
  const copies = Array.from({ length: times }, (_, copy) => copy);
  const shift = (copy: number, id: number) => copy * 100_000 + id;
  return {
    ...input,
    pools: copies.flatMap((copy) => input.pools.map((pool) => ({ ...pool, id: shift(copy, pool.id) }))),
    varieties: copies.flatMap((copy) => input.varieties.map((variety) => ({ ...variety, id: shift(copy, variety.id), stages: variety.stages.map((stage) => ({ ...stage, poolId: shift(copy, stage.poolId) })) }))),
    batches: copies.flatMap((copy) => input.batches.map((batch) => ({ ...batch, id: shift(copy, batch.id), varietyId: shift(copy, batch.varietyId) }))),
    orders: copies.flatMap((copy) => input.orders.map((order) => ({ ...order, id: shift(copy, order.id), varietyId: shift(copy, order.varietyId) }))),
  }; // prettier-ignore
}

/** Server time of each main page, from the request to the last byte, on a warmed server. */
async function pageBench(get: (path: string) => Promise<Response>) {
  console.log("\nServer time by page (asked: under 150 ms), median and slowest of", TIMES);
  for (const page of PAGES) {
    const once = async () => {
      const start = performance.now();
      const answer = await get(page);
      if (answer.status !== 200) throw new Error(`${page} answered ${answer.status}`);
      await answer.text();
      return performance.now() - start;
    };
    for (let warm = 0; warm < 3; warm++) await once();
    const times: number[] = [];
    for (let run = 0; run < TIMES; run++) times.push(await once());
    times.sort((a, b) => a - b);
    console.log(
      `  ${page.padEnd(18)} ${times[Math.floor(TIMES / 2)]!.toFixed(0).padStart(5)} ms ${times.at(-1)!.toFixed(0).padStart(6)} ms`,
    );
  }
}

/** JavaScript that a browser fetches on its first load of a page, compressed. */
async function scriptBench(url: string, cookie: string) {
  console.log("\nJavaScript on first load, compressed (asked: under 300 kB)");
  const browser = await chromium.launch({
    executablePath: "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking"],
  });
  for (const path of ["/round", "/place", "/batches", "/water", "/feed"]) {
    const context = await browser.newContext({ extraHTTPHeaders: { cookie } });
    const page = await context.newPage();
    const sizes: Promise<number>[] = [];
    page.on("response", (response) => {
      if (response.request().resourceType() === "script")
        sizes.push(response.body().then((body) => gzipSync(body).length));
    });
    await page.goto(url + path, { waitUntil: "load" });
    const total = (await Promise.all(sizes)).reduce((sum, size) => sum + size, 0);
    console.log(`  ${path.padEnd(18)} ${(total / 1000).toFixed(0).padStart(5)} kB`);
    await page.close();
  }
  await browser.close();
}

async function demoSeason(databaseUrl: string): Promise<Season> {
  const pool = new pg.Pool({ connectionString: databaseUrl, max: 1 });
  const rows = await gardenRows(pool, 1);
  const rain = await rainNormals(pool, 1);
  await pool.end();
  return workOutSeason({ gardenId: 1, today: today("UTC") } as Session, rows, rain);
}

/** The least disturbed of several runs: what else the machine does can only add. */
function leastMs(work: () => unknown, times: number): number {
  const measured = Array.from({ length: times }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return Math.min(...measured);
}
