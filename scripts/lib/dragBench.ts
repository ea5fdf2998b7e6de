import { chromium, type CDPSession } from "@playwright/test";

const PRESSES = 40;
/** Asked: the script of a frame or two. */
const ASKED_MS = 32;

/** The demo's longest drip line while a slider moves: what its script takes for each step, with what follows it a moment later. */
export async function dragBench(url: string, cookie: string) {
  const browser = await chromium.launch({
    executablePath: "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking"],
  });
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  const [name, value] = cookie.split("=") as [string, string];
  await page.context().addCookies([{ name, value: decodeURIComponent(value), url }]);
  await page.goto(`${url}/water/lines`);
  await page.locator("html[data-live=on]").waitFor({ state: "attached" });
  const session = await page.context().newCDPSession(page);
  await session.send("Performance.enable");
  console.log(`\nA drip line while a slider moves, ${PRESSES} steps each (asked: under ${ASKED_MS} ms of script)`);
  for (const slider of ["Spacing", "Bore", "Fall", "Head"]) {
    const thumb = page.getByRole("slider", { name: slider });
    await thumb.focus();
    const times: number[] = [];
    for (let press = 0; press < PRESSES; press++) {
      const before = await scriptMs(session);
      await page.keyboard.press(press < PRESSES / 2 ? "ArrowRight" : "ArrowLeft");
      // The picture, and then what is put off until after it.
      await page.evaluate(
        "new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done, 60))))",
      );
      times.push((await scriptMs(session)) - before);
    }
    times.sort((a, b) => a - b);
    console.log(
      `  ${slider.toLowerCase()}: median ${times[PRESSES / 2]!.toFixed(0)} ms, 9 of 10 under ${times[Math.floor(PRESSES * 0.9)]!.toFixed(0)} ms, most ${times.at(-1)!.toFixed(0)} ms`,
    );
  }
  await browser.close();
}

/** Script run by the page so far, ms. */
async function scriptMs(session: CDPSession): Promise<number> {
  const { metrics } = await session.send("Performance.getMetrics");
  return metrics.find(({ name }) => name === "ScriptDuration")!.value * 1000;
}
