import { chromium } from "@playwright/test";
import pg from "pg";

const BATCHES = 1000;
const STEPS = 40;
/** Asked: redrawn within so long of each step of a drag. */
const ASKED_MS = 50;
const MOST_NODES = 3000;

/** The season with a thousand batches in its weeks: how soon it is redrawn while one of them is dragged, and of how many nodes it is. */
export async function chartBench(url: string, cookie: string, databaseUrl: string) {
  await addBatches(databaseUrl);
  const browser = await chromium.launch({
    executablePath: "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking"],
  });
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  const [name, value] = cookie.split("=") as [string, string];
  await page.context().addCookies([{ name, value: decodeURIComponent(value), url }]);
  await page.goto(`${url}/batches`);
  await page.locator("html[data-live=on]").waitFor({ state: "attached" });
  const block = page.locator("button[data-batch]").last();
  await block.waitFor();
  const nodes = await page.locator("main *").count();
  const box = (await block.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 8, y);
  const times: number[] = [];
  for (let step = 1; step <= STEPS; step++) {
    // From the moment at which the page hears of it to the picture that follows.
    const drawn = page.evaluate(
      `new Promise((done) => addEventListener("mousemove", () => {
        const from = performance.now();
        requestAnimationFrame(() => setTimeout(() => done(performance.now() - from)));
      }, { once: true, capture: true }))`,
    );
    await page.mouse.move(x + 8 + 3 * step, y);
    times.push((await drawn) as number);
  }
  await page.mouse.up();
  await browser.close();
  times.sort((a, b) => a - b);
  console.log(
    `\nThe season with ${BATCHES} batches more, one of them dragged ${STEPS} steps (asked: under ${ASKED_MS} ms)`,
  );
  console.log(
    `  median ${times[STEPS / 2]!.toFixed(0)} ms, 9 of 10 under ${times[Math.floor(STEPS * 0.9)]!.toFixed(0)} ms, most ${times.at(-1)!.toFixed(0)} ms; ${nodes} nodes (asked: under ${MOST_NODES})`,
  );
}

/** Small batches over the weeks that are shown. */
async function addBatches(databaseUrl: string) {
  const pool = new pg.Pool({ connectionString: databaseUrl });
  try {
    await pool.query(
      `insert into batch (garden_id, variety_id, sow_day, cells, target_plants)
       select 1, variety.id, date '2027-09-05' + (n % 60), 3, 1
         from generate_series(1, $1::integer) n, variety where variety.garden_id = 1 and variety.name = 'Mizuna'`,
      [BATCHES],
    );
  } finally {
    await pool.end();
  }
}
