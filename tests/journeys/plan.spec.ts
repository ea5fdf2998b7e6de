import type { Locator, Page } from "@playwright/test";
import { expect, putDown, ready, test, type Garden } from "./garden";

test.setTimeout(600_000);

const count = async (garden: Garden, sql: string) =>
  Number((await garden.rows<{ n: string }>(`select count(*) as n from ${sql}`))[0]!.n);

/** Presses to plan, and waits for what it comes to. */
async function plan(page: Page) {
  await page.goto("/batches/plan");
  await ready(page);
  await page.getByRole("button", { name: /^(Plan the season|Plan it again)$/ }).click();
  await expect(page.getByRole("button", { name: "Plan it again" })).toBeVisible({ timeout: 240_000 });
  await expect(page.getByRole("region", { name: "The planned season" })).toBeVisible();
}

/** Goes along the lines of a stand until something is shown of one. */
async function walkTo(stand: Locator, what: Locator) {
  await stand.press("Home");
  for (let line = 1; line <= 36; line++) {
    await expect(stand).toHaveAttribute("aria-valuenow", String(line));
    if (await what.isVisible()) return;
    await stand.press("ArrowDown");
  }
  await expect(what).toBeVisible();
}

test("from an empty plan and five standing orders to a season: some of it is taken and undone, the rest dropped; then all of it is taken", async ({
  page,
  garden,
}) => {
  await garden.rows("delete from batch");
  await garden.rows("delete from order_line where id > 5");
  await garden.rows("update season set horizon_days = 120");
  await plan(page);
  const answer = page.getByRole("region", { name: "The planned season" });
  await expect(answer.getByText(/from the best there can be|no plan can be worth more/)).toBeVisible();
  expect(await count(garden, "batch")).toBe(0);
  await page.getByRole("button", { name: "Choose none" }).click();
  const boxes = page.getByRole("checkbox", { name: /^Take/ });
  for (const at of [0, 1, 2]) await boxes.nth(at).check();
  await page.getByRole("button", { name: "Accept 3 batches" }).click();
  await expect(page.getByText("The season is in the plan").first()).toBeVisible();
  expect(await count(garden, "batch")).toBe(3);
  expect(await count(garden, "(select distinct batch_id from batch_place where how = 'plan') kept")).toBe(3);
  await page.getByRole("button", { name: "Drop the rest" }).click();
  await expect(page.getByText("The planned season is dropped").first()).toBeVisible();
  // What was taken is one act, and undone as one.
  await page.goto("/people/history");
  await ready(page);
  await expect(page.getByRole("button", { name: /^Undo: deleted What-if Season planned/ })).toBeVisible();
  await page
    .getByRole("button", { name: /^Undo: added/ })
    .first()
    .click();
  await expect(page.getByText("Undone").first()).toBeVisible();
  expect(await count(garden, "batch")).toBe(0);
  expect(await count(garden, "batch_place")).toBe(0);
  await plan(page);
  await page.getByRole("button", { name: "Accept the season" }).click();
  await expect(page.getByText("The season is in the plan").first()).toBeVisible();
  const batches = await count(garden, "batch");
  expect(batches).toBeGreaterThan(20);
  expect(await count(garden, "(select distinct batch_id from batch_place) kept")).toBe(batches);
  await page.goto("/batches");
  await ready(page);
  await expect(page.locator("button[data-batch]").first()).toBeVisible();
  await expect(page.getByRole("region", { name: "No room" })).toHaveCount(0);
});

test("an order too large: the reason with its days, a remedy that is planned with, and the order is met", async ({
  page,
  garden,
}) => {
  await garden.rows("update season set horizon_days = 90");
  await garden.rows(
    "update order_line set quantity = 6 where variety_id = (select id from variety where name = 'Radish shoots')",
  );
  await page.goto("/batches/plan");
  await ready(page);
  await page.getByRole("button", { name: "Plan the season" }).click();
  // There is no closing the gap soon: the best so far will do.
  await expect(page.getByText(/so far, worth .*from the best there can be/)).toBeVisible({ timeout: 60_000 });
  await page.getByRole("button", { name: "Stop and keep this one" }).click();
  const short = page.getByRole("region", { name: "Orders that go short" }).getByRole("listitem");
  const radish = short.filter({ hasText: /Radish shoots:/ }).first();
  await expect(radish).toContainText(/half trays missing/, { timeout: 60_000 });
  await expect(radish).toContainText(/Shoots rack, \d+ \w+ – \d+ \w+: \d+ sites wanted, \d+ free/);
  await radish
    .getByText(/^Shoots rack: \d+ more sites/)
    .locator("..")
    .getByRole("button", { name: "Plan it with this" })
    .click();
  await expect(page.getByText(/^With Shoots rack: \d+ more sites: that comes along/)).toBeVisible({ timeout: 120_000 });
  // What is left of it is wanted within the next days: no sowing is ready by then.
  await expect(short.filter({ hasText: /Radish shoots:/ }).filter({ hasText: "Shoots rack," })).toHaveCount(0);
  const racks = async () =>
    (
      await garden.rows<{ racks: number }>(
        "select (spec->>'racks')::integer as racks from stand where name = 'Shoots rack'",
      )
    )[0]!.racks;
  expect(await racks()).toBe(1);
  await page.getByRole("button", { name: "Accept the season" }).click();
  await expect(page.getByText("The season is in the plan").first()).toBeVisible();
  expect(await racks()).toBe(2);
});

test("a batch dragged to another line is kept there over a new solve", async ({ page, garden }) => {
  await garden.rows("update season set horizon_days = 90");
  await page.goto("/batches");
  await ready(page);
  const [batch] = await garden.rows<{ id: number }>(
    `select batch.id from batch join variety on variety.id = variety_id
      where variety.name = 'Batavia lettuce' and sow_day between '2027-09-20' and '2027-10-05' order by sow_day limit 1`,
  );
  const places = () =>
    garden.rows(
      "select line, first_site, sites, how from batch_place where batch_id = $1 and stage = 2 order by line",
      [batch!.id],
    );
  const before = await places();
  const block = page.locator(`button[data-batch="${batch!.id}"]`).last();
  await block.scrollIntoViewIfNeeded();
  const box = (await block.boundingBox())!;
  const card = page.getByRole("region", { name: /^Batavia lettuce of/ });
  // Up or down until a line is found that nothing is kept on.
  for (const lines of [-4, -8, -12, 4, 8, 12, -16, 16]) {
    await page.mouse.move(box.x + 30, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + 30, box.y + box.height / 2 + lines * 15, { steps: 8 });
    await putDown(page);
    if (await card.getByRole("button", { name: /^(Put it there|Change places)$/ }).isVisible()) break;
    await card.getByRole("button", { name: "Close" }).click();
  }
  await expect(card).toContainText("Leaf bank, channel");
  await card.getByRole("button", { name: /^(Put it there|Change places)$/ }).click();
  await expect(page.getByText(/stands in Leaf bank|changed places/).first()).toBeVisible();
  const put = await places();
  expect(put.every(({ how }) => how === "hand")).toBe(true);
  expect(put).not.toEqual(before);
  await garden.rows("update batch set pinned = true where id = $1", [batch!.id]);
  await garden.rows("update order_line set quantity = quantity * 1.5 where id = 5");
  await plan(page);
  const accept = page.getByRole("button", { name: "Accept the season" });
  if (await accept.isVisible()) {
    await accept.click();
    await expect(page.getByText("The season is in the plan").first()).toBeVisible();
  }
  expect(await places()).toEqual(put);
});

test("the season is walked with the keyboard at night: from area to area, to another line, and let go again", async ({
  page,
  garden,
}) => {
  await page.context().addCookies([{ name: "light", value: "night", url: garden.url }]);
  await page.goto("/batches");
  await ready(page);
  await expect(page.getByRole("button", { name: /^Leaf bank/ })).toHaveAttribute("aria-expanded", "true");
  await page.locator("button[data-batch][tabindex='0']").focus();
  await page.keyboard.press("ArrowRight");
  const focused = () => page.evaluate(() => (document.activeElement as HTMLElement).dataset.batch);
  const batch = await focused();
  expect(batch).toBeTruthy();
  await page.keyboard.press("PageUp");
  await expect(page.getByRole("button", { name: /^Nursery bank/ })).toHaveAttribute("aria-expanded", "true");
  await expect.poll(focused).toBe(batch);
  await expect(page.locator(`svg[data-way="${batch}"]`)).toBeVisible();
  await page.keyboard.press("Enter");
  await page.keyboard.press("ArrowUp");
  const card = page.getByRole("region", { name: / of / });
  await expect(card).toContainText(/Nursery bank, channel/);
  await page.keyboard.press("Escape");
  await expect(card).not.toContainText(/In Nursery bank, channel/);
  await page.getByRole("button", { name: /^Germination rack/ }).click();
  await expect(page.getByRole("button", { name: /^Germination rack/ })).toHaveAttribute("aria-expanded", "true");
  expect(await page.locator("main *").count()).toBeLessThan(3000);
});

test.describe("on a phone", () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test("the season is a list of weeks with what is done, what is short and how full it is", async ({ page }) => {
    await page.goto("/batches");
    await ready(page);
    const weeks = page.getByRole("list", { name: "Season, week by week" });
    await expect(weeks.getByText("this week")).toBeVisible();
    await expect(weeks.getByText(/Sow .* cells of/).first()).toBeVisible();
    await expect(weeks.getByText(/\d+ of 360/).first()).toBeVisible();
  });
});

test("the weeks are printed on one sheet; what is eaten at home shows its gaps", async ({ page, garden }) => {
  await garden.rows("update variety set eaten_per_week = 50 where name = 'Watercress'");
  await page.goto("/batches/weeks?weeks=1");
  await ready(page);
  await expect(page.getByRole("columnheader", { name: "Sow" })).toBeVisible();
  await expect(page.getByRole("region", { name: "Eaten at home" })).toContainText(/A gap: .* missing/);
  const pages = (await page.pdf({ preferCSSPageSize: true })).toString("latin1").match(/\/Type\s*\/Page[^s]/g) ?? [];
  expect(pages.length).toBeLessThanOrEqual(2);
  await garden.rows("update variety set eaten_per_week = null");
  await page.reload();
  expect(
    ((await page.pdf({ preferCSSPageSize: true })).toString("latin1").match(/\/Type\s*\/Page[^s]/g) ?? []).length,
  ).toBe(1);
});

test("plants are dragged from a line of the plan onto another one; what stands ready is offered for free sites", async ({
  page,
  garden,
}) => {
  await page.setViewportSize({ width: 1280, height: 900 });
  await page.goto("/place");
  await ready(page);
  const bank = page.getByRole("slider", { name: /Leaf bank/ });
  const chip = page.getByRole("button", { name: /^(Batavia lettuce|Mizuna|Genoa-type basil) of / }).first();
  await walkTo(bank, chip);
  const [from, to] = [(await chip.boundingBox())!, (await bank.locator("rect[data-stand]").boundingBox())!];
  const hands = () => garden.rows("select batch_id, line from batch_place where how = 'hand'");
  expect(await hands()).toEqual([]);
  // Down the bank until a line is met that is wide enough and nothing is kept on.
  for (const share of [0.97, 0.03, 0.5, 0.9, 0.25, 0.75]) {
    await page.mouse.move(from.x + 20, from.y + from.height / 2);
    await page.mouse.down();
    await page.mouse.move(from.x + 30, from.y - 20, { steps: 3 });
    await page.mouse.move(to.x + to.width / 2, to.y + to.height * share, { steps: 6 });
    // Between two lines nothing is asked, and nothing answers.
    const answered = page.waitForResponse((answer) => answer.request().method() === "POST", { timeout: 5000 });
    await putDown(page);
    await answered.catch(() => null);
    if ((await hands()).length > 0) break;
  }
  expect((await hands()).length).toBeGreaterThan(0);
  await expect(page.getByText("They stand there from now on").first()).toBeVisible();
  const next = page.getByText("What comes next on the free sites?");
  await walkTo(bank, next);
  await expect(page.getByRole("button", { name: /from nursery bank/ }).first()).toBeVisible();
});

test("a batch is pinned, split and joined again from its card; nonsense is told beside its field", async ({
  page,
  garden,
}) => {
  const [batch] = await garden.rows<{ id: number; plants: number }>(
    `select batch.id, target_plants as plants from batch join variety on variety.id = variety_id
      where variety.name = 'Batavia lettuce' and sow_day between '2027-09-20' and '2027-10-05' order by sow_day limit 1`,
  );
  const { id, plants } = batch!;
  const card = page.getByRole("region", { name: /^Batavia lettuce of/ });
  const open = async () => {
    await page.goto("/batches");
    await ready(page);
    await page.locator(`button[data-batch="${id}"]`).last().click();
  };
  const plantsOf = async () =>
    (await garden.rows<{ plants: number }>("select target_plants as plants from batch where id = $1", [id]))[0]!.plants;
  await open();
  await card.getByRole("button", { name: "Pin", exact: true }).click();
  await expect(card.getByRole("button", { name: "Pinned" })).toHaveAttribute("aria-pressed", "true");
  await card.getByRole("button", { name: "Split" }).click();
  const field = card.getByRole("textbox");
  await field.fill(String(plants));
  await card.getByRole("button", { name: "Split" }).click();
  await expect(card.getByRole("alert")).toHaveText(`A whole number from 1 to ${plants - 1}`);
  await field.fill("5");
  await card.getByRole("button", { name: "Split" }).click();
  await expect(page.getByText("Batavia lettuce split").first()).toBeVisible();
  expect(await plantsOf()).toBe(plants - 5);
  await open();
  await card.getByRole("button", { name: "Join" }).click();
  await card.getByRole("button", { name: /, 5 plants$/ }).click();
  await expect(page.getByText("Batavia lettuce joined").first()).toBeVisible();
  expect(await plantsOf()).toBe(plants);
});
