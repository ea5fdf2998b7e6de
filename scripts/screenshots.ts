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
  readonly prepare?: (page: Page) => Promise<void>;
}

/** One current picture of each main view, from the demo garden on a fixed day. */
const SHOTS: readonly Shot[] = [
  { name: "round", path: "/round", prepare: readLeafTank },
  { name: "slip-phone", path: "/round?item=mix%3A2%3AB", phone: true, light: "night" },
  { name: "answers", path: "/round/answers" },
  {
    name: "place",
    path: "/place",
    prepare: (page) => page.getByRole("slider", { name: /Leaf bank/ }).press("ArrowDown"),
  },
  { name: "what-if", path: "/batches/what-if?set=2" },
  { name: "setup", path: "/place/setup", prepare: tellFridayHouse },
  { name: "bench", path: "/place/bench" },
  { name: "water", path: "/water?loop=2" },
  { name: "lines", path: "/water/lines" },
  { name: "supply", path: "/water/supply" },
  { name: "feed", path: "/feed" },
  { name: "solve", path: "/feed/solve?loop=2&salts=shelf" },
  { name: "stocks", path: "/feed/stocks?loop=2" },
  { name: "injector", path: "/feed/injector?loop=2" },
  { name: "growth", path: "/growth" },
  { name: "climate", path: "/growth/climate" },
  { name: "batches", path: "/batches", prepare: holdBatch },
  { name: "plan", path: "/batches/plan", prepare: planSeason },
  // Last: it changes how the days of a crop go by.
  { name: "crop", path: "/growth/crop?variety=1", prepare: goByWarmth },
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
    await context.addCookies([{ name, value: decodeURIComponent(value), url }]);
    const page = await context.newPage();
    await page.goto(url + shot.path);
    await page.locator("html[data-live=on]").waitFor({ state: "attached" });
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
  for (const [label, text] of [
    ["EC", "1.92"],
    ["pH", "6.7"],
    ["Temperature", "21.4"],
    ["Level", "548"],
  ] as const)
    await panel.getByRole("textbox", { name: label }).fill(text);
  await panel.getByRole("button", { name: "Save and work out" }).click();
  await panel.getByText("Too strong").waitFor();
  await page.mouse.move(0, 0);
}

async function holdBatch(page: Page) {
  const batches = page.locator('button[data-batch][aria-label^="Batavia"]');
  await batches.first().waitFor();
  await batches.nth(Math.round(0.6 * (await batches.count()))).click();
  await page.getByRole("button", { name: "A week later" }).click();
}

async function planSeason(page: Page) {
  await page.getByRole("button", { name: "Plan the season" }).click();
  await page.getByRole("heading", { name: "Orders that go short in it" }).waitFor({ timeout: 120_000 });
}

/** The tunnel of an example, told by hand. */
async function tellFridayHouse(page: Page) {
  const box = (name: string, at = 0) => page.getByRole("textbox", { name, exact: true }).nth(at);
  for (const kind of ["channels", "channels"])
    await page.getByRole("button", { name: `Add ${kind}`, exact: true }).click();
  for (const [name, at, text] of [
    ["Length", 0, "9 m"],
    ["Width", 0, "5 m"],
    ["Name of the place", 0, "Friday house"],
    ["Channels", 0, "6"],
    ["Length", 1, "2 m"],
    ["A plant every", 0, "10 cm"],
    ["Channels", 1, "14"],
    ["Length", 2, "4 m"],
    ["A plant every", 1, "22 cm"],
    ["Tank", 0, "400 L"],
    ["Flow at no lift", 0, "3000 L/h"],
    ["Greatest lift", 0, "3 m"],
  ] as const)
    await box(name, at).fill(text);
  await page.getByRole("combobox", { name: "Used", exact: true }).first().selectOption("young");
  await page.mouse.move(0, 0);
}

/** The first crop goes by warmth and light, so that its year in each house is seen. */
async function goByWarmth(page: Page) {
  await page.getByRole("button", { name: "Change its profile" }).click();
  await page.getByText("How its days go by").click();
  await page.getByLabel("Its days go by").selectOption({ label: "warmth and light of its place" });
  await page.getByRole("button", { name: "Save" }).click();
  await page.getByRole("heading", { name: "Days by warmth and light" }).waitFor();
  await page.getByRole("dialog").waitFor({ state: "detached" });
  await page.getByText("Variety saved").waitFor({ state: "detached" });
}
