import { mkdirSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { chromium, type Page } from "@playwright/test";
import { DEMO_KEEPER } from "../demo/people";
import { backUp } from "./lib/backup";
import { caller } from "./lib/calls";
import { withDemo } from "./lib/withDemo";

const FOLDER = join(import.meta.dirname, "..", "docs", "screenshots");

interface Shot {
  readonly name: string;
  readonly path: string;
  readonly phone?: true;
  readonly light?: "night" | "sun";
  /** Before the door. */
  readonly outside?: true;
  readonly prepare?: (page: Page) => Promise<void>;
}

/** One current picture of each main view, from the demo garden on a fixed day. */
const SHOTS: readonly Shot[] = [
  { name: "round", path: "/round", prepare: readLeafTank },
  { name: "round-phone", path: "/round", phone: true },
  { name: "slip-phone", path: "/round?item=mix%3A2%3AB", phone: true, light: "night" },
  { name: "log", path: "/round/log" },
  {
    name: "place",
    path: "/place",
    prepare: (page) => page.getByRole("slider", { name: /Leaf bank/ }).press("ArrowDown"),
  },
  { name: "what-if", path: "/place/layouts", prepare: denserLeafBank },
  { name: "bench", path: "/place/bench", prepare: legsOfTheLeafBank },
  { name: "water", path: "/water?loop=2" },
  { name: "supply", path: "/water/supply" },
  { name: "feed", path: "/feed" },
  { name: "stocks", path: "/feed/stocks?loop=2" },
  { name: "growth", path: "/growth" },
  { name: "sowing", path: "/growth/sowing" },
  { name: "batches", path: "/batches", prepare: holdBatch },
  { name: "orders", path: "/batches/orders" },
  { name: "balance", path: "/batches/balance" },
  { name: "people", path: "/people" },
  { name: "history", path: "/people/history" },
  { name: "sign-in", path: "/sign-in", outside: true },
];

await withDemo(async ({ url, databaseUrl }) => {
  const folder = mkdtempSync(join(tmpdir(), "seed-round-pictures-"));
  await backUp(databaseUrl, folder);
  rmSync(folder, { recursive: true });
  const { cookie } = await caller(url, DEMO_KEEPER);
  mkdirSync(FOLDER, { recursive: true });
  const browser = await chromium.launch({
    executablePath: "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking"],
  });
  for (const shot of SHOTS) {
    const context = await browser.newContext({
      viewport: shot.phone ? { width: 390, height: 844 } : { width: 1280, height: 800 },
      locale: "en-GB",
    });
    const [name, value] = cookie.split("=") as [string, string];
    await context.addCookies([{ name: "light", value: shot.light ?? "paper", url }]);
    if (!shot.outside) await context.addCookies([{ name, value: decodeURIComponent(value), url }]);
    const page = await context.newPage();
    await page.goto(url + shot.path);
    if (shot.outside) await page.waitForLoadState("networkidle");
    else await page.locator("html[data-live=on]").waitFor({ state: "attached" });
    await shot.prepare?.(page);
    await page.waitForTimeout(500);
    await page.screenshot({ path: join(FOLDER, `${shot.name}.png`) });
    await context.close();
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

/** A copy with its channels' plants nearer to one another, beside the garden as it stands. */
async function denserLeafBank(page: Page) {
  await page.getByRole("button", { name: "Put by as it stands" }).click();
  await page.getByRole("button", { name: "Move and pull" }).click();
  await page.locator('[data-stand="Leaf bank"]').focus();
  await page.getByLabel("Pitch, plant to plant").fill("200 mm");
  await page.getByLabel("Pitch, plant to plant").press("Enter");
  await page.getByText("+180").first().waitFor();
  await page.locator('[data-stand="Leaf bank"]').focus();
}

/** The legs under the leaf bank, planned and proved. */
async function legsOfTheLeafBank(page: Page) {
  await page.getByRole("button", { name: "Leaf bank, legs" }).click();
  await page.getByRole("button", { name: "Save" }).click();
  await page.getByRole("button", { name: "Plan the cuts" }).click();
  await page.getByText(/^Proved best/).waitFor();
}
