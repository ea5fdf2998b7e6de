import { expect, ready, test } from "./garden";

test("a crop is taken over from the library, and its profile shows its year and what suits it", async ({ page }) => {
  await page.goto("/growth");
  await ready(page);
  await page.getByRole("button", { name: "From the library" }).click();
  await page.getByRole("button", { name: "Add Spinach" }).click();
  await expect(page.getByText("Added").first()).toBeVisible();
  await page.keyboard.press("Escape");
  await page.getByRole("link", { name: "Spinach" }).click();
  await expect(page.getByRole("heading", { name: "Spinach", level: 1 })).toBeVisible();
  await expect(page.getByRole("img", { name: /Spinach: ready \d+ days to \d+ days after sowing/u })).toBeVisible();
  await expect(page.getByText("Bolts in heat or long days: not worked out.")).toBeVisible();
  const suits = page.getByRole("region", { name: "What suits it" });
  await expect(suits).toContainText("mS/cm");
  await expect(page.getByRole("heading", { name: "Days by the table of months, day by day" })).toBeVisible();
});

test("a crop by warmth and light: more shade moves the ready days, and a dark house says where it stands still", async ({
  page,
  garden,
}) => {
  await garden.rows("update variety set clock = 'warmth' where name = 'Batavia lettuce'");
  const id = (await garden.rows<{ id: number }>("select id from variety where name = 'Batavia lettuce'"))[0]!.id;
  const house = (await garden.rows<{ id: number }>("select id from house where name = 'Net house'"))[0]!.id;
  const daysNow = async () => {
    await page.goto(`/growth/crop?variety=${id}`);
    await ready(page);
    const words = await page.getByText(/sown today: \d+ days/u).textContent();
    return Number(/\d+/u.exec(words!)![0]);
  };
  const before = await daysNow();
  const shade = async (percent: string) => {
    await page.goto(`/growth/climate?house=${house}`);
    await ready(page);
    await page.getByRole("button", { name: "Change its air and light" }).click();
    await page.getByRole("dialog").getByRole("textbox", { name: "Shade" }).fill(percent);
    await page.getByRole("dialog").getByRole("button", { name: "Save" }).click();
    await expect(page.getByText("House saved")).toBeVisible();
  };
  await shade("80 %");
  expect(await daysNow()).toBeGreaterThan(before + 5);
  await shade("100 %");
  await page.goto(`/growth/crop?variety=${id}`);
  await expect(page.getByRole("alert").filter({ hasText: "is never ready" })).toContainText(
    /in “grow” it stands still in September. It is too dark there./u,
  );
});

test("a hundred plants by a day: sow day, cells, grams, and what has to be ordered by when", async ({
  page,
  garden,
}) => {
  await garden.rows("update seed_lot set on_hand_g = 0.2 where name = 'B 31'");
  await page.goto("/growth/sowing");
  await ready(page);
  await page.getByLabel("Variety").selectOption("Genoa-type basil");
  await page.getByLabel("Plants wanted at the end").fill("100");
  await page.getByLabel("Wanted on").fill("2027-12-10");
  const answer = page.getByRole("region", { name: "When and how many" });
  await expect(answer).toContainText(/sow onMon \d+ Oct|sow onThu \d+ Oct|sow on\w+ \d+ (?:Sep|Oct)/u);
  const cells = async () => Number(await answer.getByRole("button", { name: /Cells to sow/u }).textContent());
  const byChance = await cells();
  expect(byChance).toBeGreaterThan(100);
  await expect(answer).toContainText(/buy .* order by \d+ (?:Sep|Oct)/u);
  await page.getByLabel("Sowings differ").selectOption("as usual: ±6 in 100");
  expect(await cells()).toBeGreaterThanOrEqual(byChance);
  await page.getByLabel("Whole trays of 84 cells").check();
  expect((await cells()) % 84).toBe(0);
  await page.getByText("Several seeds and thin, or one pelleted?").click();
  await page.getByLabel("Price of a raw seed").fill("0.01");
  await expect(page.getByRole("row", { name: /several, thinned to one/u })).toContainText("€");
});

test("fodder for six animals: trays a day, bags, room on the rack, and the sowings of two weeks planned and undone", async ({
  page,
  garden,
}) => {
  const planned = async () =>
    Number(
      (
        await garden.rows<{ count: string }>(
          "select count(*) from batch where variety_id = (select id from variety where name = 'Maize fodder')",
        )
      )[0]!.count,
    );
  const before = await planned();
  await page.goto("/growth/shoots");
  await ready(page);
  const fodder = page.getByRole("region", { name: "Fodder for animals" });
  await fodder.getByRole("textbox", { name: "Animals" }).fill("6");
  await fodder.getByRole("textbox", { name: "Fresh fodder for each a day" }).fill("300 g");
  await expect(fodder).toContainText("fed a day1.8 kg");
  await expect(fodder).toContainText(/start each day1/u);
  await expect(page.getByText("Mouldy fodder can kill animals")).toBeVisible();
  await fodder.getByRole("textbox", { name: "Animals" }).fill("60");
  await expect(fodder.getByRole("alert")).toContainText("It carries");
  await fodder.getByRole("textbox", { name: "Animals" }).fill("-6");
  await expect(fodder.getByRole("button", { name: /^Plan / })).toBeDisabled();
  await fodder.getByRole("textbox", { name: "Animals" }).fill("6");
  await fodder.getByRole("button", { name: "Plan 1 tray a day from Fri 3 Sep" }).click();
  await expect(page.getByText("14 sowings of Maize fodder planned")).toBeVisible();
  expect(await planned()).toBe(before + 14);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect.poll(planned).toBe(before);
});

test("a rack moves day by day: what is sown today stands there tomorrow", async ({ page }) => {
  await page.goto("/growth/propagation");
  await ready(page);
  const due = page.getByRole("region", { name: "Due on this day" });
  await expect(due).toContainText(/Sow Batavia lettuce: \d+ cells/u);
  await page.getByRole("button", { name: "A day later" }).click();
  await expect(due).toContainText("Fri 3 Sep as planned");
  await expect(page.getByRole("listitem", { name: /Batavia lettuce, \d+ cells, day 2 of 4/u }).first()).toBeVisible();
  await page.getByRole("link", { name: "Shoots rack" }).click();
  await expect(page.getByText("Shoots carry a food-safety risk")).toBeVisible();
});

test.describe("on a phone", () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test("seedlings are counted with big buttons on the round, and the next sowing grows", async ({ page, garden }) => {
    await garden.rows("update variety set up_within_days = 3 where name = 'Batavia lettuce'");
    const cells = async () => {
      await page.goto("/growth/sowing");
      await ready(page);
      await page.getByLabel("Variety").selectOption("Batavia lettuce");
      return Number(await page.getByRole("button", { name: /Cells to sow/u }).textContent());
    };
    const before = await cells();
    await page.goto("/round");
    await ready(page);
    await page
      .getByRole("link", { name: /Count what is up: Batavia lettuce/u })
      .first()
      .click();
    await page.getByRole("button", { name: "+10" }).click();
    await page.getByRole("button", { name: "+5" }).click();
    await page.getByRole("button", { name: "−1", exact: true }).click();
    await page.getByLabel("Of so many seeds").fill("900");
    await expect(page.getByText(/as many as were sown/u)).toBeVisible();
    await page.getByLabel("Of so many seeds").fill("20");
    await expect(page.getByText(/70 in 100 came up; of many such sowings 4\d to 8\d/u)).toBeVisible();
    await page.getByRole("button", { name: "Save the count" }).click();
    await expect(page.getByText("Counted: Batavia lettuce")).toBeVisible();
    const [count] = await garden.rows<{ of: number; up: number }>(
      'select counted_of as "of", counted_up as up from batch_stage where counted_of is not null',
    );
    expect(count).toEqual({ of: 20, up: 14 });
    expect(await cells()).toBeGreaterThan(before);
    const id = (await garden.rows<{ id: number }>("select id from variety where name = 'Batavia lettuce'"))[0]!.id;
    await page.goto(`/growth/crop?variety=${id}`);
    await expect(page.getByText(/14 of 20 counted on 1 sowing/u)).toBeVisible();
    await page.getByRole("button", { name: "Do not learn from my batches" }).click();
    await expect(page.getByText("It is not used: learning is off.")).toBeVisible();
    expect(await cells()).toBe(before);
  });
});

test("a file of crops with faults is told line by line; mended, it changes one crop and adds another", async ({
  page,
  garden,
}) => {
  await page.goto("/growth");
  await ready(page);
  await page.getByRole("button", { name: "From a file" }).click();
  const days = new Array(12).fill(40).join(" ");
  const file = (germination: string, area: string) =>
    [
      "name,kind,unit,germination,pattern.kind,pattern.unitsPerPlant,pattern.keepsDays,stage1.growingArea,stage1.daysByMonth",
      `Mizuna,,,${germination},,,,,`,
      `Endive,leaf,heads,0.9,once,1,5,${area},${days}`,
    ].join("\n");
  await page.getByLabel("Or paste it here").fill(file("88", "Leaf banks"));
  const wrong = page.getByRole("dialog").getByRole("alert");
  await expect(wrong).toContainText(
    "Line 2: germination is 88; it must be from 0.01 to 1. Is it percent? Then it is 0.88.",
  );
  await expect(wrong).toContainText("Line 3: stage1.growingArea is “Leaf banks”, which is not there.");
  await expect(page.getByRole("button", { name: "Bring in", exact: true })).toBeDisabled();
  await page.getByLabel("Or paste it here").fill(file("0.88", "Leaf bank"));
  await expect(page.getByRole("list", { name: "What the file brings" })).toContainText("Endive is new, with 1 stage");
  await page.getByRole("button", { name: "Bring in 2 crops" }).click();
  await expect(page.getByText("Crops brought in")).toBeVisible();
  await expect(page.getByRole("link", { name: "Endive" })).toBeVisible();
  const [mizuna] = await garden.rows<{ germination: number }>("select germination from variety where name = 'Mizuna'");
  expect(mizuna!.germination).toBe(0.88);
});

test("the usual steps are taken over in the profile, come onto the round and stay done; a lot of seed is added", async ({
  page,
  garden,
}) => {
  // Of what was entered as it stood, only today's work is asked for: here it was all logged.
  await garden.rows("update batch_stage set log_id = (select min(id) from log_entry)");
  await page.goto("/growth");
  await ready(page);
  await page.getByRole("button", { name: "Change Batavia lettuce" }).click();
  const form = page.getByRole("dialog");
  await form.getByText("Steps of raising it").click();
  await form.getByRole("button", { name: "Begin with the usual steps" }).click();
  await expect(form.getByRole("group", { name: "Step 1" })).toBeVisible();
  await form.getByText("Seed on the shelf").click();
  await form.getByRole("button", { name: "A new lot came" }).click();
  await form.getByLabel("Lot, as on the packet").fill("L 44");
  await form.getByLabel("Tested germination").fill("130 %");
  await form.getByRole("button", { name: "Save" }).click();
  await expect(form.getByText("Tested germination is 130 %; it must be at most 100 %")).toBeVisible();
  await form.getByLabel("Tested germination").fill("96 %");
  await form.getByRole("button", { name: "Save" }).click();
  await expect(page.getByText("Variety saved")).toBeVisible();
  await page.getByRole("link", { name: "Batavia lettuce" }).click();
  await expect(page.getByRole("region", { name: "Its seed" })).toContainText("96 in 100");
  await page.goto("/round");
  await ready(page);
  const step = page.getByRole("link", { name: /First feed for Batavia lettuce/u }).first();
  await step.click();
  await expect(page.getByText(/when the first true leaves show; weak/u)).toBeVisible();
  await page.getByRole("button", { name: "Done as planned" }).click();
  await expect(page.getByText(/Done: First feed for Batavia lettuce/u)).toBeVisible();
  const logged = await garden.rows("select 1 from log_entry where kind = 'step' and undone_at is null");
  expect(logged).toHaveLength(1);
});

test("a trial of two lots says whether it was chance, what would show it, and asks about figures that were swapped", async ({
  page,
}) => {
  await page.goto("/growth/trials");
  await ready(page);
  const counts = page.getByRole("region", { name: "Two counts" });
  await expect(counts).toContainText("No difference is shown.");
  await expect(counts).toContainText("Chance alone gives a difference as large in 5 of 100 such trials.");
  await counts.getByRole("textbox", { name: "Of B came up" }).fill("25");
  await expect(counts).toContainText("Lot A is better: chance hardly does that.");
  await counts.getByRole("textbox", { name: "Of B came up" }).fill("60");
  await expect(counts.getByRole("alert")).toContainText("Were the two figures of a lot swapped?");
  await page.getByLabel("What is compared").selectOption({ label: "weights or days, one for each plant" });
  const weights = page.getByRole("region", { name: "Two groups of figures" });
  await expect(weights).toContainText("A is likely greater, by 16");
  await weights.getByLabel("Group B").fill("168 heavy 171");
  await expect(weights).toContainText("“heavy” is no figure");
});

test("plants that are found ready teach how long they take; the correction is shown, and off with one press", async ({
  page,
  garden,
}) => {
  const move = async () => {
    await page.goto("/round");
    await ready(page);
    const link = page.getByRole("link", { name: /^.*Move Mizuna of/u }).first();
    await link.click();
    await page.getByLabel("Found ready on").fill("2027-09-02");
    await page.getByRole("button", { name: "Done as planned" }).click();
    await expect(page.getByText(/Done: Move Mizuna/u)).toBeVisible();
  };
  await move();
  const [stage] = await garden.rows<{ days: number }>(
    "select ready_on - begun_on as days from batch_stage where ready_on is not null",
  );
  expect(stage!.days).toBeGreaterThan(0);
  const id = (await garden.rows<{ id: number }>("select id from variety where name = 'Mizuna'"))[0]!.id;
  await page.goto(`/growth/crop?variety=${id}`);
  await ready(page);
  const taught = page.getByRole("region", { name: "What your batches have taught" });
  await expect(taught).toContainText(
    /Your Mizuna takes [\d.]+ times as long in “germinate”, Germination rack: 1 batch/u,
  );
  await taught.getByRole("button", { name: "Do not learn from my batches" }).click();
  await expect(page.getByText("Learning is off")).toBeVisible();
  expect(await garden.rows("select learns from variety where name = 'Mizuna'")).toEqual([{ learns: false }]);
});

test("soaking comes onto the round before a sowing, and is not asked for again once it is done", async ({
  page,
  garden,
}) => {
  await garden.rows(
    "insert into batch (garden_id, variety_id, sow_day, cells, target_plants) select garden_id, id, date '2027-09-03', 2, 2 from variety where name = 'Sunflower shoots'",
  );
  await page.goto("/round");
  await ready(page);
  const soak = page.getByRole("link", { name: /Soak seed of Sunflower shoots of 3 Sep/u });
  const before = await soak.count();
  expect(before).toBeGreaterThan(0);
  await soak.first().click();
  await expect(page.getByText(/for 8 h in clean water, off the rack; drain it and sow it on Fri 3 Sep/u)).toBeVisible();
  await expect(page.getByText("Shoots carry a food-safety risk").first()).toBeVisible();
  await page.getByRole("button", { name: "Done as planned" }).click();
  await expect(page.getByText(/Done: Soak seed of Sunflower shoots/u)).toBeVisible();
  expect(await garden.rows("select 1 from log_entry where kind = 'step' and item_key like 'soak:%'")).toHaveLength(1);
});
