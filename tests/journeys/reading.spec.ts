import { expect, ready, test } from "./garden";

test("a reading is asked about, kept, answered with a slip that brings the tank back, and can be undone", async ({
  page,
  garden,
}) => {
  await page.goto("/round");
  await ready(page);
  await page.getByRole("link", { name: /Leaf tank: read/ }).click();
  const panel = page.getByRole("region", { name: "Leaf tank" });
  await panel.getByRole("textbox", { name: "EC" }).fill("1050");
  await expect(panel.getByText(/Was it 1050 µS\/cm/)).toBeVisible();
  await panel.getByRole("button", { name: "Save and work out" }).click();
  // Nothing is kept while the question stands; what was typed stays.
  expect(await garden.rows("select 1 from reading where at::date = '2027-09-02'")).toHaveLength(0);
  await panel.getByRole("button", { name: "Yes: 1.05 mS/cm" }).click();
  await panel.getByRole("textbox", { name: "pH" }).fill("6.7");
  await panel.getByRole("textbox", { name: "Temperature" }).fill("70.5 °F");
  await panel.getByRole("textbox", { name: "Level" }).fill("520");
  await panel.getByRole("button", { name: "Save and work out" }).click();

  await expect(panel.getByText("Too weak: strength is under its band.")).toBeVisible();
  await expect(panel.getByText("The tank is 80 L below its normal fill level.")).toBeVisible();
  const steps = panel.getByRole("listitem");
  await expect(steps.filter({ hasText: "Fill with water" })).toContainText("L");
  await expect(steps.filter({ hasText: "Stock A" })).toContainText(/\d L|mL/);
  await expect(steps.filter({ hasText: "Stock B" })).toBeVisible();
  await expect(steps.filter({ hasText: "phosphoric acid 75 %" })).toContainText("mL");
  await expect(panel.getByText(/acid into water, never the other way/)).toBeVisible();
  const [kept] = await garden.rows<{ ec_ms_per_cm: number; water_c: number }>(
    "select ec_ms_per_cm, water_c from reading where origin = 'hand' order by at desc limit 1",
  );
  expect(kept!.ec_ms_per_cm).toBe(1.05);
  expect(kept!.water_c).toBeCloseTo(21.39, 1);

  const left = async () =>
    (
      await garden.rows<{ left_l: number }>(
        "select left_l from stock_tank join loop on loop.id = loop_id where loop.name = 'Leaf' and letter = 'A'",
      )
    )[0]!.left_l;
  const before = await left();
  await panel.getByRole("button", { name: "Done as planned" }).click();
  await expect(page.getByText("Dose logged, stocks reduced")).toBeVisible();
  expect(await left()).toBeLessThan(before);
  await page.getByRole("listitem").filter({ hasText: "Dose logged" }).getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText("Undone.")).toBeVisible();
  expect(await left()).toBeCloseTo(before, 9);

  // After the wait it is read again: another entry, in the band now.
  await page.getByRole("link", { name: /Leaf tank: read.*done/ }).click();
  await page.getByRole("link", { name: "Read again", exact: true }).click();
  for (const [label, text] of [
    ["EC", "1.5"],
    ["pH", "6"],
    ["Temperature", "21"],
    ["Level", "600"],
  ] as const)
    await panel.getByRole("textbox", { name: label }).fill(text);
  await panel.getByRole("button", { name: "Save and work out" }).click();
  await expect(panel.getByText("Strength, pH and level are where they should be.")).toBeVisible();
  await panel.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("link", { name: /Leaf tank: read.*done/ })).toHaveCount(1);

  await page.getByRole("link", { name: /Leaf tank: read.*done/ }).click();
  await panel.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("checkbox", { name: /Leaf tank: read/ })).toBeVisible();
  expect(await garden.rows("select 1 from reading where origin = 'hand' and at::date = '2027-09-02'")).toHaveLength(0);
});

test("too strong with no room: drain and refill; the water too strong: said so, with a source that could", async ({
  page,
  garden,
}) => {
  const read = async (ec: string) => {
    await page.goto("/round");
    await ready(page);
    await page
      .getByRole("link", { name: /Leaf tank: read/ })
      .first()
      .click();
    const panel = page.getByRole("region", { name: "Leaf tank" });
    for (const [label, text] of [
      ["EC", ec],
      ["pH", "6"],
      ["Temperature", "20"],
      ["Level", "610"],
    ] as const)
      await panel.getByRole("textbox", { name: label }).fill(text);
    await panel.getByRole("button", { name: "Save and work out" }).click();
    return panel;
  };
  const panel = await read("2.6");
  await expect(panel.getByText("Too strong: strength is over its band.")).toBeVisible();
  await expect(panel.getByRole("listitem").filter({ hasText: "Drain" })).toContainText("L");
  await expect(panel.getByText(/onto a bed that needs it, never a drain/)).toBeVisible();
  await panel.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("checkbox", { name: /Leaf tank: read/ })).toBeVisible();
  await garden.rows("update loop set source_id = (select id from source where kind = 'well') where name = 'Leaf'");
  await garden.rows("update recipe set ec_ms_per_cm = 1.1, ec_low = 0.9 where name like 'Leafy, rec%'");
  await expect((await read("2.6")).getByText(/it cannot bring the tank down. Rain could./)).toBeVisible();
});

test("an item done differently is logged as it was; skipped it comes back; the log corrects and keeps the first value", async ({
  page,
  garden,
}) => {
  await page.goto("/round");
  await ready(page);
  await page.getByRole("link", { name: /Sow Batavia lettuce/ }).click();
  const panel = page.getByRole("region", { name: /Sow Batavia lettuce/ });
  await panel.getByRole("button", { name: "Done differently" }).click();
  await panel.getByLabel(/Actually done/).fill("many");
  await panel.getByRole("button", { name: "Log it" }).click();
  await expect(panel.getByText('"many" is not a number')).toBeVisible();
  await panel.getByLabel(/Actually done/).fill("44");
  await panel.getByLabel("Note").fill("one tray cracked");
  await panel.getByRole("button", { name: "Log it" }).click();
  await expect(page.getByText(/^Done: Sow Batavia/)).toBeVisible();
  expect(await garden.rows("select plants from batch_stage where begun_on = '2027-09-02'")).toEqual([{ plants: 44 }]);

  await page.getByRole("link", { name: /Sow Flat chives/ }).click();
  // Until it is there, the panel of the first item of the walk is shown.
  const mizuna = page.getByRole("region", { name: /Sow Flat chives/ });
  await mizuna.getByRole("button", { name: "Skip until tomorrow" }).click();
  await mizuna.getByLabel("Why not today?").fill("no trays clean");
  await mizuna.getByRole("button", { name: "Skip", exact: true }).click();
  await expect(page.getByRole("link", { name: /Sow Flat chives.*skipped/ })).toBeVisible();

  await page.goto("/round/log");
  await ready(page);
  const entry = page.getByRole("listitem").filter({ hasText: "Sow Batavia lettuce" }).first();
  await expect(entry).toContainText("one tray cracked");
  await entry.getByRole("button", { name: /Correct/ }).click();
  await page.getByRole("dialog").getByLabel("cells").fill("46");
  await page.getByRole("dialog").getByLabel("Why").fill("counted again");
  await page.getByRole("dialog").getByRole("button", { name: "Correct" }).click();
  await expect(page.getByRole("dialog")).toBeHidden();
  await expect(entry).toContainText("46 cells");
  await expect(entry.locator("s")).toHaveText("44");
  const csv = await (await page.request.get("/round/log.csv?from=2027-09-02&to=2027-09-02")).text();
  expect(csv).toContain("one tray cracked");
  expect(csv.split("\n")[0]).toContain("ec_ms_per_cm");
});

test("paper: the walk prints without the way round, and a slip by itself when it is asked for", async ({ page }) => {
  await page.goto("/round?item=mix%3A2%3AB");
  await ready(page);
  // Printing is looked at while the dialog would be open: the page says then what it would put on paper.
  await page.evaluate(() => {
    window.print = () => {
      document.body.dataset.asked = document.documentElement.dataset.print ?? "walk";
    };
  });
  await page.emulateMedia({ media: "print" });
  await expect(page.getByRole("heading", { name: "Tanks" })).toBeVisible();
  await expect(page.getByRole("navigation", { name: "Stations" })).toBeHidden();
  await expect(page.getByRole("region", { name: "Drip stock B: mix fresh stock" })).toBeHidden();
  await page.emulateMedia({ media: "screen" });
  await page.getByRole("button", { name: "Print slip" }).click();
  await expect(page.locator("body")).toHaveAttribute("data-asked", "slip");
  await page.evaluate(() => (document.documentElement.dataset.print = "slip"));
  await page.emulateMedia({ media: "print" });
  await expect(page.getByRole("heading", { name: "Tanks" })).toBeHidden();
  await expect(page.getByText("magnesium sulfate heptahydrate")).toBeVisible();
});
