import { chromium } from "@playwright/test";
import { setUp } from "../../src/core/garden/setup/setUp";
import { EXAMPLE_GARDENS } from "../../src/core/garden/examples/gardens";
import { solver } from "../../src/server/solver/highs";
import { warmSolver } from "../../src/server/solver/warm";
import { exampleChanges } from "../../src/core/garden/examples/exampleTables";

const STROKES = "13 12 11 10 15 20 24 36".split(" ");

/**
 * The first day: what a keystroke in each quick answer costs the browser (asked under 16 ms), and what telling a place and
 * laying an example costs (asked under a second, and under five with all that is saved).
 */
export async function firstDayBench(url: string, cookie: string, least: (work: () => unknown) => number, day: number) {
  const solvers = { solve: await solver(), open: await warmSolver() };
  for (const example of EXAMPLE_GARDENS)
    console.log(
      `  ${example.name}: told ${least(() => setUp({}, example.setup)).toFixed(1)} ms, laid ${least(() => exampleChanges({}, example, day, solvers)).toFixed(0)} ms`,
    );
  const browser = await chromium.launch({
    executablePath: "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking"],
  });
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, locale: "en-GB" });
  const [name, value] = cookie.split("=") as [string, string];
  await context.addCookies([{ name, value: decodeURIComponent(value), url }]);
  const page = await context.newPage();
  for (const [question, blank] of [
    ["fit", "Channels"],
    ["water", "Plants"],
    ["tank", "Tank"],
    ["sow", "Plants"],
    ["week", "Sites"],
    ["pump", "Elbows"],
  ] as const) {
    await page.goto(`${url}/round/answers?q=${question}`);
    await page.locator("html[data-live=on]").waitFor({ state: "attached" });
    const box = page.getByRole("textbox", { name: blank, exact: true });
    const times: number[] = [];
    for (const text of [...STROKES, ...STROKES])
      times.push(
        await box.evaluate((element, typed) => {
          const input = element as HTMLInputElement;
          const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value")!.set!;
          set.call(input, typed);
          const before = performance.now();
          // React answers a keystroke before the event returns.
          input.dispatchEvent(new Event("input", { bubbles: true }));
          return performance.now() - before;
        }, text),
      );
    const sorted = times.slice(2).sort((a, b) => a - b);
    console.log(
      `  a keystroke in "${question}": median ${sorted[Math.floor(sorted.length / 2)]!.toFixed(1)} ms, most ${sorted.at(-1)!.toFixed(1)} ms (asked < 16)`,
    );
  }
  await browser.close();
}
