import { expect, ready, test } from "./garden";

test("a recipe is solved from the shelf with the salty well: what misses, what would close it, taken and undone", async ({
  page,
  garden,
}) => {
  await garden.rows(
    "update loop set source_id = (select id from source where name = 'Salty well') where name = 'Drip'",
  );
  await garden.rows("update salt set on_hand_g = 0 where name = 'potassium sulfate'");
  await garden.rows("delete from recipe_salt where salt_id in (select id from salt where name like 'magnesium %')");
  await garden.rows("delete from salt where name like 'magnesium %'");
  const loop = (await garden.rows<{ id: string }>("select id from loop where name = 'Drip'"))[0]!.id;
  const amounts = () =>
    garden.rows(
      "select salt.name, round(g_per_1000l::numeric, 3) as g from recipe_salt join salt on salt.id = salt_id where recipe_id = (select recipe_id from loop where name = 'Drip') order by 1",
    );
  await page.goto(`/feed?loop=${loop}`);
  await ready(page);

  await test.step("the shelf changed: nothing changes by itself", async () => {
    await expect(page.getByText("The shelf changed: potassium sulfate is used up.")).toBeVisible();
    await page.getByRole("link", { name: "Solve again?" }).click();
    await expect(page.getByRole("heading", { name: "Solve" })).toBeVisible();
  });

  const before = await amounts();
  await test.step("the salts of the recipe: what limits it", async () => {
    await page.getByLabel("Made from").selectOption("the salts of the recipe");
    await expect(page).not.toHaveURL(/salts=shelf/u);
    await expect(page.getByRole("heading", { name: "What limits it" })).toBeVisible();
    const comesTo = page.getByRole("region", { name: "What it comes to" });
    await expect(comesTo).toContainText(/Ca: too much comes with|Ca: salty well alone brings more/iu);
    await expect(comesTo).toContainText("With magnesium nitrate hexahydrate the worst miss would be");
  });

  await test.step("the amounts are taken, and taken back", async () => {
    await page.getByRole("button", { name: "Take these amounts" }).click();
    await page.getByRole("button", { name: "Undo" }).click();
    await expect.poll(amounts).toEqual(before);
    await page.getByRole("button", { name: "Take these amounts" }).click();
    await expect(page.getByText("These are the amounts that are in use.")).toBeVisible();
    expect(await amounts()).not.toEqual(before);
  });
});

test("a larger injector would not dose at one bank; the one that is there is calibrated", async ({ page, garden }) => {
  const loop = (await garden.rows<{ id: string }>("select id from loop where name = 'Drip'"))[0]!.id;
  await page.goto(`/feed/injector?loop=${loop}`);
  await ready(page);
  const flows = page.getByRole("region", { name: "Flow through the injector" });
  await expect(flows).toContainText("Every bank runs within that");

  await test.step("its least flow is typed as that of a larger one: the bucket line is under it", async () => {
    await page.goto(`/water?loop=${loop}`);
    await ready(page);
    await page.getByRole("button", { name: "Change this loop" }).click();
    await page.getByRole("dialog").getByText("Everything else").click();
    await page.getByLabel("Injector, minimum flow").fill("300");
    await page.getByRole("button", { name: "Save" }).click();
    await expect(page.getByText("Loop saved")).toBeVisible();
    await page.goto(`/feed/injector?loop=${loop}`);
    await ready(page);
    const rows = flows.getByRole("listitem");
    await expect(rows.filter({ hasText: "stops dosing: under the minimum flow" })).toHaveCount(1);
    await expect(rows.filter({ hasText: "Bucket line" }).first()).toContainText("stops dosing");
  });

  await test.step("stock and water are measured: a slip is asked about, and the right figures are kept", async () => {
    const calibration = page.getByRole("region", { name: "Calibration" });
    await calibration.getByLabel("Stock drawn").fill("4.55 L");
    await calibration.getByLabel("Water metered").fill("50 L");
    await calibration.getByLabel("Set to, 1 to").fill("100");
    await expect(calibration.getByRole("alert")).toContainText("Was it mL or litres");
    await calibration.getByLabel("Stock drawn").fill("455 mL");
    await expect(calibration).toContainText("1:109.9, 9 % too weak");
    await expect(calibration).toContainText("Set it to 1:91 (1.1 on a dial");
    await calibration.getByRole("button", { name: "Keep this calibration" }).click();
    await expect(calibration.getByRole("listitem").first()).toContainText("2 Sep 2027");
    await expect
      .poll(() =>
        garden.rows("select what ->> 'wantedR' as r from log_entry where kind = 'calibration' and day = '2027-09-02'"),
      )
      .toEqual([{ r: "100" }]);
  });
});

test("schools are chosen for a loop: of its strength, which the next reading is held against; of keeping the solution, which comes onto the round", async ({
  page,
  garden,
}) => {
  const loop = (await garden.rows<{ id: string }>("select id from loop where name = 'Leaf'"))[0]!.id;
  await page.goto(`/feed/strength?loop=${loop}`);
  await ready(page);
  const byBands = page.getByRole("listitem").filter({ hasText: "what suits most of the crops" });
  await byBands.getByRole("button", { name: "Choose" }).click();
  await expect(byBands.getByText("this loop")).toBeVisible();
  const today = await byBands.locator(".figure").innerText();
  await page.goto(`/feed?loop=${loop}`);
  await expect(page.getByText("strength by the bands of its crops")).toBeVisible();
  await expect(page.getByRole("button", { name: "EC of the ready feed" })).toContainText(today.split(" ")[0]!);

  await page.goto(`/feed/change?loop=${loop}`);
  await ready(page);
  const weekly = page.getByRole("row", { name: /changed every week/u });
  await weekly.getByRole("button", { name: "Choose" }).click();
  await expect(weekly.getByText("this loop")).toBeVisible();
  await page.goto("/round?item=change-solution%3A1");
  await expect(page.getByRole("heading", { name: "Leaf tank: change the solution" }).last()).toBeVisible();
  await expect(page.getByText(/changed every week; the log knows of no change yet/u)).toBeVisible();
  await expect(page.getByText(/Feed of .*strength by the bands of its crops/u)).toBeVisible();
});

test("two salts that drop out together are refused in one stock; mixed apart, the batch is in the record with its lot", async ({
  page,
  garden,
}) => {
  const loop = (await garden.rows<{ id: string }>("select id from loop where name = 'Drip'"))[0]!.id;
  await garden.rows(
    "insert into salt_lot (garden_id, salt_id, name, received_on, opened_on) select garden_id, id, 'KN 7', date '2027-08-01', date '2027-08-20' from salt where name = 'potassium nitrate'",
  );
  await garden.rows(
    "update stock_tank set left_l = 3 where letter = 'A' and loop_id = (select id from loop where name = 'Drip')",
  );
  await page.goto(`/feed?loop=${loop}`);
  await ready(page);
  await page.getByRole("button", { name: "Change this recipe" }).click();
  const form = page.getByRole("dialog");
  await form.getByLabel("Stock of magnesium sulfate heptahydrate").selectOption("A");
  await expect(form.getByRole("alert")).toContainText("in one stock drop gypsum: calcium with sulfate");
  await form.getByRole("button", { name: "Save" }).click();
  await expect(form.getByText(/Stock A is refused: .* drop gypsum/u).first()).toBeVisible();
  await form.getByLabel("Stock of magnesium sulfate heptahydrate").selectOption("B");
  await expect(form.getByRole("alert")).toHaveCount(0);

  await page.goto(`/round?item=mix%3A${loop}%3AA`);
  await ready(page);
  await expect(page.getByText("lot KN 7")).toBeVisible();
  await page.getByRole("button", { name: "Done as planned" }).click();
  await expect(page.getByText("Done: Drip stock A: mix fresh stock")).toBeVisible();
  await page.goto(`/feed/stocks?loop=${loop}`);
  const stock = page.getByRole("region", { name: "Stock A" });
  await stock.getByText(/Last mixed on 2 Sep 2027/u).click();
  await expect(stock.getByText(/potassium nitrate .*lot KN 7/u)).toBeVisible();
  await expect(stock).toContainText("50 L of 50 L left");
});

test("two bottles are kept by their label and feed the pond, in millilitres and changed every week", async ({
  page,
  garden,
}) => {
  const loop = (await garden.rows<{ id: string }>("select id from loop where name = 'Pond'"))[0]!.id;
  await page.goto(`/feed?loop=${loop}`);
  await ready(page);
  await page.getByRole("button", { name: "By the label" }).click();
  const box = (name: string, at = 0) => page.getByRole("textbox", { name, exact: true }).nth(at);
  await box("Name of the feed").fill("Bottles");
  await box("Name on the pack").fill("Part A");
  await box("The label’s dose").fill("4");
  await page.getByRole("button", { name: "Another part, B" }).click();
  await box("Name on the pack", 1).fill("Part B");
  await box("The label’s dose", 1).fill("4");
  await box("Strength, of the label").fill("50 %");
  await box("The whole dose adds EC").fill("18");
  await page.getByRole("button", { name: "Keep this feed" }).click();
  await expect(page.getByText(/EC is 18/u)).toBeVisible();
  await box("The whole dose adds EC").fill("1.8");
  await page.getByRole("checkbox", { name: /Feed Pond with it/u }).check();
  await page.getByRole("checkbox", { name: /Weaker for seedlings/u }).uncheck();
  await page.getByRole("button", { name: "Keep this feed" }).click();
  await expect(page.getByText("50 % of the label")).toBeVisible();
  await expect(page.getByRole("row", { name: /Part A/u })).toContainText("2 L");

  await page.goto(`/feed/stocks?loop=${loop}`);
  await expect(page.getByRole("region", { name: "Fill", exact: true })).toContainText(/Part A\s*440\s*mL/u);

  await page.goto("/round");
  await ready(page);
  // Changed every week by the plan that came with it: due today, with what is poured.
  await page.getByRole("link", { name: /Pond tank: change the solution/u }).click();
  const panel = page.getByRole("region", { name: /Pond tank: change the solution/u });
  await expect(panel).toContainText(/Part A\s*440\s*mL/u);
  await expect(panel).toContainText(/Part B\s*440\s*mL/u);
  await panel.getByRole("button", { name: "Done as planned" }).click();
  const logged =
    "select count(*)::integer as times from log_entry where kind = 'change-solution' and undone_at is null";
  await expect.poll(() => garden.rows(logged)).toEqual([{ times: 1 }]);
});
