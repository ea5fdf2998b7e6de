import { SHEETS } from "../../scripts/lib/sheets";
import { axe } from "./axe";
import { expect, ready, test } from "./garden";

/** The plan and the season draw some thousand marks each; looking at every one takes its time. */
const SLOW_MS = 600_000;

/** Contrast is all that a light changes. */
const CONTRAST = ["color-contrast"];

// In parts, which run beside one another.
const PARTS = 3;
for (let part = 0; part < PARTS; part++)
  test(`axe finds nothing on any sheet in any light, part ${part + 1} of ${PARTS}`, async ({ page }) => {
    test.setTimeout(SLOW_MS);
    for (const sheet of SHEETS.filter((_, index) => index % PARTS === part)) {
      await page.goto(sheet);
      await ready(page);
      for (const light of ["paper", "night", "sun"]) {
        await page.evaluate((name) => (document.documentElement.dataset.light = name), light);
        const { violations } = await (light === "paper" ? axe(page) : axe(page).withRules(CONTRAST)).analyze();
        expect(violations.map(({ id, nodes }) => `${sheet} ${light}: ${id} ${nodes[0]?.html}`)).toEqual([]);
      }
    }
  });

test("axe finds nothing in forms, cards and answers", async ({ page }) => {
  test.setTimeout(SLOW_MS);
  const clean = async (where: string, part?: string) => {
    const { violations } = await (part ? axe(page).include(part) : axe(page)).analyze();
    expect(violations.map(({ id, nodes }) => `${where}: ${id} ${nodes[0]?.html}`)).toEqual([]);
  };
  for (const [sheet, button] of [
    ["/place", "Change Leaf bank"],
    ["/batches/what-if", "Import a layout"],
    ["/place/bench", "New cut list"],
    ["/water", "Change this loop"],
    ["/feed", "Change this recipe"],
    ["/feed/shelf", "Common meters"],
    ["/growth", "Change Mizuna"],
    ["/batches", "Add batches"],
    ["/batches/orders", "New order"],
    ["/people", "Invite somebody"],
  ] as const) {
    await page.goto(sheet);
    await ready(page);
    await page.getByRole("button", { name: button }).click();
    await expect(page.getByRole("dialog")).toBeVisible();
    await clean(`${sheet}, ${button}`, "[role=dialog]");
  }
  await page.goto("/batches");
  await ready(page);
  await page.locator('button[data-batch][aria-label^="Batavia"]').last().click();
  await clean("batch card");
  await page.goto("/place");
  await ready(page);
  await page.getByRole("button", { name: "Edit plan" }).click();
  await page.locator('[data-stand="Leaf bank"]').focus();
  await clean("plan being worked on");
  await page.getByRole("button", { name: "Fill …" }).click();
  await clean("kinds compared", "[role=dialog]");
});

test.describe("on a phone", () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test("nothing is wider than the screen, and the walk is done with a thumb", async ({ page, garden }) => {
    for (const sheet of SHEETS) {
      await page.goto(sheet);
      const over = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect(`${sheet} ${over}`).toBe(`${sheet} 0`);
    }
    await page.goto("/round");
    await ready(page);
    const item = page.getByRole("link", { name: /Pick Sunflower shoots for Household crates/ });
    expect((await item.boundingBox())!.height).toBeGreaterThanOrEqual(44);
    await item.tap();
    await expect(page.getByRole("region", { name: /Pick Sunflower/ }).getByText("3 half trays")).toBeVisible();
    await page.getByRole("button", { name: "Done as planned" }).tap();
    await expect(page.getByRole("link", { name: /Pick Sunflower shoots.*done/ })).toBeVisible();
    expect(await garden.rows("select 1 from log_entry where kind = 'pick' and day = '2027-09-02'")).toHaveLength(1);
  });
});

test("bad input: each error is shown beside its field with value and range, and what was typed stays", async ({
  page,
  garden,
}) => {
  await page.goto("/place");
  await ready(page);
  await page.getByRole("button", { name: "Change Leaf bank" }).click();
  const dialog = page.getByRole("dialog");
  await dialog.getByLabel("Pitch, plant to plant").fill("7 m");
  await dialog.getByText("Everything else").click();
  await dialog.getByLabel("Channel width").fill("wide");
  await dialog.getByLabel("Channels", { exact: true }).fill("2.5");
  await dialog.getByRole("button", { name: "Save" }).click();
  await expect(
    dialog.getByText("Pitch, plant to plant is 7000 mm; it must not be wider than the line is long"),
  ).toBeVisible();
  await expect(dialog.getByText('"wide" is not a number')).toBeVisible();
  await expect(dialog.getByText("Channels is 2.5; it must be a whole number")).toBeVisible();
  await expect(dialog.getByLabel("Channel width")).toHaveValue("wide");
  await expect(dialog.getByLabel("Pitch, plant to plant")).toHaveValue(/7/);
  expect(await garden.rows("select spec -> 'pitchM' as pitch from stand where name = 'Leaf bank'")).toEqual([
    { pitch: 0.25 },
  ]);

  await page.goto("/feed");
  await ready(page);
  await page.getByRole("button", { name: "Change this recipe" }).click();
  await dialog.getByLabel("Stock of magnesium sulfate heptahydrate").selectOption("A");
  await expect(dialog.getByText(/in one stock drop gypsum: calcium with sulfate/)).toBeVisible();
  await dialog.getByRole("button", { name: "Save" }).click();
  await expect(dialog.getByText(/Stock A is refused/).first()).toBeVisible();
  expect(
    await garden.rows(
      "select stock from recipe_salt join salt on salt.id = salt_id where salt.name like 'magnesium sulf%' limit 1",
    ),
  ).toEqual([{ stock: "B" }]);

  expect((await page.request.get("/round/log.csv?from=yesterday")).status()).toBe(400);
  await page.goto("/round/log?from=2027-13-01&kind=%3Cscript%3E");
  await expect(page.getByText(/From "2027-13-01" is not a date/)).toBeVisible();
  for (const path of [
    "/batches?from=nonsense&weeks=-4",
    "/round?item=%00",
    "/water?loop=999999",
    "/place?house=x&stand=y",
  ])
    expect(`${path} ${(await page.request.get(path)).status()}`).toBe(`${path} 200`);
});

test("a growing area over capacity and a pump too weak are shown, and do not block entering them", async ({ page }) => {
  await page.goto("/water");
  await ready(page);
  await page.getByRole("button", { name: "Change this loop" }).click();
  const dialog = page.getByRole("dialog");
  await dialog.getByLabel("Highest outlet, over the floor").fill("3.1 m");
  await dialog.getByRole("button", { name: "Save" }).click();
  await expect(dialog).toBeHidden();
  const pump = page.locator("[data-rung=pump]");
  await expect(pump).toContainText("short");
  await expect(page.getByText(/Run the banks in 2 turns/)).toBeVisible();
  await page.getByRole("button", { name: "Pump: can give: how it is worked out" }).click();
  await expect(page.getByText(/The whole loop solved as one network/)).toBeVisible();
  await expect(page.getByRole("link", { name: /Water.*Leaf loop falls short/ })).toBeVisible();
});

test("the plan is walked with the keyboard, zoomed, and a change of units reaches every sheet", async ({ page }) => {
  await page.goto("/place");
  await ready(page);
  const bank = page.getByRole("slider", { name: /Leaf bank/ });
  await bank.focus();
  for (let line = 0; line < 6; line++) await page.keyboard.press("ArrowDown");
  await expect(bank).toHaveAttribute("aria-valuetext", /^channel 7: /);
  await expect(page.getByText("Leaf bank, channel 7", { exact: true })).toBeVisible();
  const drawing = page.getByRole("group", { name: /Plan of Net house/ }).locator("> g");
  await expect(drawing).toHaveAttribute("transform", /scale\(1\)/);
  await page.getByRole("button", { name: "Zoom in" }).click();
  await expect(drawing).toHaveAttribute("transform", /scale\(1\.6/);
  await page.goto("/people/garden");
  await ready(page);
  await page.getByLabel("Lengths and volumes").selectOption("ft, US gal");
  await page.getByLabel("Strength").selectOption("CF");
  await page.getByRole("button", { name: "Save" }).click();
  await expect(page.getByText("Garden saved")).toBeVisible();
  await page.goto("/feed");
  await expect(page.getByText("15 CF")).toBeVisible();
  await page.goto("/place");
  await expect(page.getByText(/78\.7 ft × 39\.4 ft/)).toBeVisible();
});
