import { mkdirSync } from "node:fs";
import { join } from "node:path";
import { chromium, type Page } from "@playwright/test";
import { withDemo } from "./lib/withDemo";

const FOLDER = join(import.meta.dirname, "..", "docs", "screenshots");

interface Shot {
  readonly name: string;
  readonly path: string;
  readonly phone?: true;
  readonly night?: true;
  readonly prepare?: (page: Page) => Promise<void>;
}

/** One current picture of each main view, from the demo garden on a fixed day. */
const SHOTS: readonly Shot[] = [
  { name: "round", path: "/round", prepare: readLeafTank },
  { name: "round-phone", path: "/round", phone: true },
  { name: "slip-phone", path: "/round?item=mix%3A2%3AB", phone: true, night: true },
  { name: "log", path: "/round/log" },
  {
    name: "place",
    path: "/place",
    prepare: (page) => page.getByRole("slider", { name: /Leaf bank/ }).press("ArrowDown"),
  },
  { name: "water", path: "/water?loop=2" },
  { name: "supply", path: "/water/supply" },
  { name: "feed", path: "/feed" },
  { name: "stocks", path: "/feed/stocks?loop=2" },
  { name: "growth", path: "/growth" },
  { name: "sowing", path: "/growth/sowing" },
  { name: "batches", path: "/batches", prepare: holdBatch },
  { name: "batches-night", path: "/batches?weeks=9", night: true },
  { name: "orders", path: "/batches/orders" },
  { name: "balance", path: "/batches/balance" },
  { name: "people", path: "/people" },
];

await withDemo(async ({ url }) => {
  mkdirSync(FOLDER, { recursive: true });
  const browser = await chromium.launch({
    executablePath: "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking"],
  });
  for (const shot of SHOTS) {
    const page = await browser.newPage({
      viewport: shot.phone ? { width: 390, height: 844 } : { width: 1280, height: 800 },
      colorScheme: shot.night ? "dark" : "light",
      locale: "en-GB",
    });
    await page.goto(url + shot.path);
    await page.waitForLoadState("networkidle");
    await shot.prepare?.(page);
    await page.waitForTimeout(500);
    await page.screenshot({ path: join(FOLDER, `${shot.name}.png`) });
    await page.close();
    console.log(shot.name);
  }
  await browser.close();
});

async function readLeafTank(page: Page) {
  await page.getByRole("link", { name: /Leaf tank: read/ }).click();
  const panel = page.getByRole("region", { name: "Leaf tank" });
  for (const [label, text] of [["EC", "1.92"], ["pH", "6.7"], ["Water", "21.4"], ["Level", "548"]] as const) await panel.getByRole("textbox", { name: label }).fill(text); // prettier-ignore
  await panel.getByRole("button", { name: "Save and work out" }).click();
  await panel.getByText("Too strong").waitFor();
  await page.mouse.move(0, 0);
}

async function holdBatch(page: Page) {
  await page.locator("button[data-batch]").filter({ hasText: "Batavia 8" }).last().click();
  await page.getByRole("button", { name: "A week later" }).click();
}
