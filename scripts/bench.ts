import { gzipSync } from "node:zlib";
import { chromium } from "@playwright/test";
import pg from "pg";
import { occupancy } from "../src/core/batches/occupancy";
import { workOutPlan } from "../src/core/batches/plan";
import { saltUse } from "../src/core/batches/shortages";
import type { PlanInput } from "../src/core/batches/types";
import { NO_FACTS } from "../src/core/garden/facts";
import type { Worked } from "../src/core/garden/worked";
import { workOut } from "../src/core/garden/workOut";
import { gardenRows } from "../src/server/garden/gardenRows";
import { gardenSite, tablesOf } from "../src/server/garden/tables";
import { today } from "../src/server/session/clock";
import { DEMO_KEEPER } from "../demo/people";
import { caller, type Caller } from "./lib/calls";
import { chartBench } from "./lib/chartBench";
import { dragBench } from "./lib/dragBench";
import { feedBench } from "./lib/feedBench";
import { growthBench } from "./lib/growthBench";
import { firstDayBench } from "./lib/firstDayBench";
import { countBench, drawBench } from "./lib/placeBench";
import { seasonBench } from "./lib/seasonBench";
import { saveBench } from "./lib/saveBench";
import { waterBench } from "./lib/waterBench";
import { withDemo } from "./lib/withDemo";
import { cutList, type CutProblem } from "../src/core/place/bench/cutList";
import { solver } from "../src/server/solver/highs";
import cutLists from "../tests/reference/place/cutlist.json" with { type: "json" };

const PAGES = [
  "/round",
  "/round/log",
  "/round/answers",
  "/place",
  "/place/setup",
  "/batches/what-if",
  "/place/bench",
  "/water",
  "/water/lines",
  "/water/pump",
  "/water/supply",
  "/water/quality",
  "/feed",
  "/feed/injector",
  "/feed/acid",
  "/feed/strength",
  "/feed/change",
  "/feed/solve",
  "/feed/stocks",
  "/growth",
  "/growth/crop?variety=1",
  "/growth/propagation",
  "/growth/shoots",
  "/growth/trials",
  "/growth/climate",
  "/batches",
  "/batches/weeks",
  "/batches/orders",
  "/batches/plan",
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
  if (wants("first")) await firstDayBench(url, keeper.cookie, (work) => leastMs(work, TIMES), today("Europe/Lisbon"));
  if (wants("plan")) planBench(season);
  if (wants("cuts")) await cutBench();
  if (wants("water")) await waterBench(leastMs);
  if (wants("feed")) await feedBench(leastMs);
  if (wants("growth")) growthBench(leastMs);
  if (wants("season")) await seasonBench(await demoTables(databaseUrl), (work) => leastMs(work, TIMES));
  if (wants("solving")) await whileSolving(keeper, databaseUrl);
  if (wants("chart")) await chartBench(url, keeper.cookie, databaseUrl);
  if (wants("drag")) await dragBench(url, keeper.cookie);
  const leafBank = season.garden.growingAreas.find(({ name }) => name === "Leaf bank")!.id;
  if (wants("saves")) await saveBench(keeper, leafBank);
  if (wants("place")) {
    countBench(leastMs);
    await drawBench(url, keeper, leafBank);
  }
});

/** Pages while a season is solved that does not come to its end soon: orders are larger than there is room for. */
async function whileSolving(keeper: Caller, databaseUrl: string) {
  const pool = new pg.Pool({ connectionString: databaseUrl });
  await pool.query("update order_line set quantity = 6 * quantity where garden_id = 1 and id = 1");
  await pool.end();
  await keeper.call("askSeason", {}, { path: "/batches/plan" });
  await new Promise((resolve) => setTimeout(resolve, 2000));
  console.log("\nWhile a season is solved:");
  await pageBench(keeper.get, 5);
}

async function demoTables(databaseUrl: string) {
  const pool = new pg.Pool({ connectionString: databaseUrl });
  try {
    const [tables, site] = [await tablesOf(pool, 1), await gardenSite(pool, 1)];
    const { rows } = await pool.query<{ days: number[] }>("select sow_weekdays as days from garden where id = 1");
    return { tables, site, today: today("Europe/Lisbon"), sowWeekdays: rows[0]!.days };
  } finally {
    await pool.end();
  }
}

/** A 14-month plan's occupancy, water and feed: the demo garden, and ones of fifty and a hundred times as many batches, orders and sites. */
function planBench(season: Worked) {
  const work = (input: PlanInput) => () => {
    const plan = workOutPlan(input);
    saltUse(
      plan,
      season.saltUses.map((use) => use.salt),
    );
    return plan;
  };
  const small = season.input;
  const large = enlarge(small, LARGER);
  const twice = enlarge(small, 2 * LARGER);
  const [smallMs, largeMs, twiceMs] = leastInTurn([work(small), work(large), work(twice)], TIMES);
  const shorter = { ...large, to: large.from + Math.round((large.to - large.from) / 2) };
  const shorterMs = leastMs(work(shorter), 5);
  console.log("\nPlan of 14 months: occupancy, water and feed");
  console.log(`  demo garden, ${small.batches.length} batches: ${smallMs.toFixed(1)} ms (asked: under 50 ms)`);
  console.log(
    `  ${LARGER} times larger, ${large.batches.length} batches: ${largeMs.toFixed(0)} ms (asked: under 250 ms), ${(largeMs / smallMs).toFixed(1)} times as long`,
  );
  console.log(
    `  ${2 * LARGER} times larger, ${twice.batches.length} batches: ${twiceMs.toFixed(0)} ms, ${(twiceMs / largeMs).toFixed(2)} times that (asked: at most 2.3)`,
  );
  console.log(`  the large one over half the days: ${shorterMs.toFixed(0)} ms`);
  const plan = workOutPlan(large);
  const stays = plan.batches.flatMap((batch) => batch.stays);
  console.log(
    `  occupancy alone, ${stays.length} stays: ${leastMs(() => occupancy(large.growingAreas, stays, large.from, large.to), 5).toFixed(1)} ms`,
  );
}

/** Every cut list of the reference cases with 200 pieces, planned and proved. */
async function cutBench() {
  const solve = await solver();
  console.log("\nCut lists of 200 pieces, planned and proved (asked: under 2 s)");
  for (const { name, given, expect } of cutLists.cases) {
    if (given.pieces.reduce((sum, { count }) => sum + count, 0) < 200) continue;
    const stocks = given.stockLengthsMm.map((lengthMm) => ({ lengthMm, price: 0, onHand: null }));
    const pieces = given.pieces;
    const problem: CutProblem = { sawCutMm: given.kerfMm, trimMm: 0, pieces, bars: stocks, objective: "bars" };
    const found = cutList(problem, solve);
    if (found.kind !== "plan" || found.uncut.length > 0) throw new Error(`${name}: not every piece is cut`);
    const bars = `${found.boughtBars} bars of ${expect.bars}, ${found.boughtMm} mm of ${expect.stockLengthMm}`;
    const ms = leastMs(() => cutList(problem, solve), 3).toFixed(0);
    console.log(`  ${name}: ${ms} ms, ${bars}, ${found.proved ? "proved" : "NOT PROVED"}`);
  }
}

function enlarge(input: PlanInput, times: number): PlanInput {
  const copies = Array.from({ length: times }, (_, copy) => copy);
  const shift = (copy: number, id: number) => copy * 100_000 + id;
  return {
    ...input,
    growingAreas: copies.flatMap((copy) => input.growingAreas.map((area) => ({ ...area, id: shift(copy, area.id) }))),
    varieties: copies.flatMap((copy) =>
      input.varieties.map((variety) => ({
        ...variety,
        id: shift(copy, variety.id),
        stages: variety.stages.map((stage) => ({ ...stage, growingAreaId: shift(copy, stage.growingAreaId) })),
      })),
    ),
    batches: copies.flatMap((copy) =>
      input.batches.map((batch) => ({ ...batch, id: shift(copy, batch.id), varietyId: shift(copy, batch.varietyId) })),
    ),
    orders: copies.flatMap((copy) =>
      input.orders.map((order) => ({ ...order, id: shift(copy, order.id), varietyId: shift(copy, order.varietyId) })),
    ),
  };
}

/** Server time of each main page, from the request to the last byte, on a warmed server. */
async function pageBench(get: Caller["get"], times = TIMES) {
  console.log("\nServer time by page (asked: under 150 ms), median and slowest of", times);
  for (const page of PAGES) {
    const once = async () => {
      const start = performance.now();
      const answer = await get(page);
      if (answer.status !== 200) throw new Error(`${page} answered ${answer.status}`);
      await answer.text();
      return performance.now() - start;
    };
    for (let warm = 0; warm < 3; warm++) await once();
    const took: number[] = [];
    for (let run = 0; run < times; run++) took.push(await once());
    took.sort((a, b) => a - b);
    console.log(
      `  ${page.padEnd(18)} ${took[Math.floor(times / 2)]!.toFixed(0).padStart(5)} ms ${took.at(-1)!.toFixed(0).padStart(6)} ms`,
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

async function demoSeason(databaseUrl: string): Promise<Worked> {
  const pool = new pg.Pool({ connectionString: databaseUrl, max: 1 });
  const rows = await gardenRows(pool, 1);
  await pool.end();
  return workOut(rows, NO_FACTS, today("UTC"));
}

/** The least of each, measured in turn, so that a busy moment of the machine meets all of them. */
function leastInTurn<const Works extends readonly (() => unknown)[]>(works: Works, times: number) {
  const least = works.map(() => Infinity);
  for (let time = 0; time < times; time++)
    works.forEach((work, index) => (least[index] = Math.min(least[index]!, leastMs(work, 1))));
  return least as { [Index in keyof Works]: number };
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
