import { chromium, type Page } from "@playwright/test";
import { STAND_KINDS, STAND_MODELS, type StandSpec } from "../../src/core/place/kinds";
import { standCounts } from "../../src/core/place/standCounts";
import type { Caller } from "./calls";

const STANDS = 500;
const LINES = 400;
const LINES_OF_BANK = 40;
const TIMES = 7;
/** At 60 pictures a second one may come a little late; twice as long is one left out. */
const DROPPED_MS = 25;

/** Counts of a garden of 500 stands of all kinds, each with measures of its own. */
export function countBench(leastMs: (work: () => unknown, times: number) => number) {
  const specs = Array.from({ length: STANDS }, (_, index): StandSpec => {
    const example = STAND_MODELS[STAND_KINDS[index % STAND_KINDS.length]!].example as StandSpec;
    return "pitchM" in example ? { ...example, pitchM: example.pitchM + index / 10_000 } : example;
  });
  const sites = () => specs.reduce((sum, spec) => sum + standCounts(spec).sites, 0);
  console.log(`\nCounts of ${STANDS} stands (asked: under 10 ms)`);
  console.log(`  ${sites()} sites: ${leastMs(sites, TIMES).toFixed(1)} ms`);
}

/** A house of 400 lines, drawn, panned and zoomed in Chromium. */
export async function drawBench(url: string, { call, cookie }: Caller, growingAreaId: number) {
  const house = await call<number>(
    "saveHouse",
    {
      id: null,
      opened: null,
      name: "Large house",
      lengthM: 66,
      widthM: 24,
      heightM: 4,
      cover: "film",
      shadeShare: 0,
      xM: 0,
      yM: 40,
    },
    { path: "/place" },
  );
  if (!house.ok) throw new Error(house.reason.kind);
  const spec = { ...STAND_MODELS["channel-bank"].example, lines: LINES_OF_BANK };
  const stands = Array.from({ length: LINES / LINES_OF_BANK }, (_, index) => ({
    houseId: house.value,
    growingAreaId,
    loopId: null,
    name: `Bank ${index + 1}`,
    xM: 0.5 + (index % 5) * 6.6 * 2,
    yM: index < 5 ? 0.5 : 12.2,
    turned: false,
    spec,
  }));
  const added = await call<number[]>("addStands", { stands }, { path: "/place" });
  if (!added.ok) throw new Error(added.reason.kind);
  const browser = await chromium.launch({
    executablePath: "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking"],
  });
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  const [name, value] = cookie.split("=") as [string, string];
  await page.context().addCookies([{ name, value: decodeURIComponent(value), url }]);
  await page.goto(`${url}/place?house=${house.value}`);
  await page.locator("html[data-live=on]").waitFor({ state: "attached" });
  const sites = LINES * standCounts(spec).sitesPerLine;
  console.log(`\nPlan of a house of ${LINES} lines, ${sites} sites, in Chromium without a graphics card`);
  const drawn: number[] = [];
  // All stands are taken off and redrawn when the plan is opened for moving, and when it is closed again.
  for (let run = 0; run < 2 * TIMES; run++) drawn.push(await redraw(page, run % 2 === 0 ? "Edit plan" : "Done"));
  drawn.sort((a, b) => a - b);
  console.log(
    `  redrawn, from the press to the picture: median ${drawn[TIMES]!.toFixed(0)} ms, slowest ${drawn.at(-1)!.toFixed(0)} ms (asked: under 100 ms)`,
  );
  await page.goto(`${url}/place?house=${house.value}`);
  await page.locator("html[data-live=on]").waitFor({ state: "attached" });
  const box = (await page.getByRole("group", { name: /Plan of/ }).boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await report(page, "zoomed in", async () => {
    for (let step = 0; step < 40; step++) {
      await page.mouse.wheel(0, -40);
      await page.waitForTimeout(16);
    }
  });
  await report(page, "panned", async () => {
    await page.mouse.down();
    for (let step = 0; step < 40; step++) {
      await page.mouse.move(x - step * 6, y - step * 3);
      await page.waitForTimeout(16);
    }
    await page.mouse.up();
  });
  await report(page, "zoomed out", async () => {
    for (let step = 0; step < 40; step++) {
      await page.mouse.wheel(0, 40);
      await page.waitForTimeout(16);
    }
  });
  await browser.close();
}

function redraw(page: Page, button: string): Promise<number> {
  return page.evaluate(async (label) => {
    const press = [...document.querySelectorAll("button")].find((one) => one.textContent?.trim() === label)!;
    const start = performance.now();
    press.click();
    // The second picture begins when the first, with everything in it, is done.
    await new Promise(requestAnimationFrame);
    await new Promise(requestAnimationFrame);
    return performance.now() - start;
  }, button);
}

/** Pictures while something moves: how many came, and how many were left out. */
async function report(page: Page, what: string, move: () => Promise<void>) {
  // As text: what compiles this file would put names of its own into functions.
  await page.evaluate(
    "if (!window.pictures) (function look(time) { if (time) window.pictures.push(time); requestAnimationFrame(look); })(); window.pictures = []",
  );
  await move();
  const gaps = await page.evaluate(() => {
    const at = (window as unknown as { pictures: number[] }).pictures.slice();
    return at.slice(1).map((time, index) => time - at[index]!);
  });
  gaps.sort((a, b) => a - b);
  const dropped = gaps.filter((gap) => gap > DROPPED_MS).length;
  console.log(
    `  ${what}: ${gaps.length} pictures, ${dropped} of them late; median ${gaps[Math.floor(gaps.length / 2)]!.toFixed(1)} ms apart, longest ${gaps.at(-1)!.toFixed(0)} ms`,
  );
}
