import type { Page } from "@playwright/test";
import { expect, ready, test } from "./garden";

test.use({ template: "bare_template", as: "keeper" });

const drawer = (page: Page) => page.getByRole("dialog");
const save = async (page: Page, button = "Save") => {
  await drawer(page).getByRole("button", { name: button, exact: true }).click();
  await expect(drawer(page)).toBeHidden();
};

test("from an empty garden to a batch for an order, on today's round and in the log", async ({ page, garden }) => {
  await test.step("a house, its growing areas and a bank of channels that counts its sites", async () => {
    await page.goto("/place");
    await ready(page);
    await page.getByRole("button", { name: "Enter a house" }).click();
    await drawer(page).getByLabel("Name").fill("Back house");
    await drawer(page).getByLabel("Length").fill("39 ft 4");
    await save(page);
    for (const name of ["Seed trays", "Channels"]) {
      await page.getByRole("button", { name: "New growing area" }).click();
      await drawer(page).getByLabel("Name").fill(name);
      await save(page);
    }
    await page.getByRole("button", { name: "Add channels, beds, racks …" }).click();
    await drawer(page).getByLabel("Name").fill("Long bank");
    await drawer(page).getByLabel("Used for").selectOption("Channels");
    await expect(drawer(page).getByText("sites: 12 × 24")).toBeVisible();
    await drawer(page).getByLabel("Pitch, plant to plant").fill("20 cm");
    await expect(drawer(page).getByText("sites: 12 × 29")).toBeVisible();
    await save(page);
    await page.getByRole("button", { name: "Add channels, beds, racks …" }).click();
    await drawer(page).getByLabel("Kind").selectOption("Tray rack");
    await drawer(page).getByLabel("Name").fill("Rack");
    await drawer(page).getByLabel("Used for").selectOption("Seed trays");
    await drawer(page).getByText("Where it stands").click();
    await drawer(page).getByLabel("From the left of the house").fill("7 m");
    await save(page);
    await expect(page.getByRole("slider", { name: /Long bank: 12 lines, 348 sites/ })).toBeVisible();
    const [house] = await garden.rows<{ length_m: number }>("select length_m from house");
    expect(house!.length_m).toBeCloseTo(39 * 0.3048 + 4 * 0.0254, 9);
  });

  await test.step("a loop with its rung ladder", async () => {
    await page.goto("/water");
    await ready(page);
    await page.getByRole("button", { name: "Enter a loop" }).click();
    await drawer(page).getByLabel("Name").fill("Main");
    await save(page);
    await page.goto("/place");
    await page.getByRole("slider", { name: /Long bank/ }).focus();
    await page.getByRole("button", { name: "Change Long bank" }).click();
    await drawer(page).getByLabel("Watered by").selectOption("Main loop");
    await save(page);
    await page.goto("/water");
    const pump = page.locator("[data-rung=pump]");
    // 12 channels at 1.5 L/min.
    await expect(pump).toContainText("1080 L/h");
    await expect(pump).toContainText("ample");
  });

  await test.step("a variety, a customer and its weekly order", async () => {
    await page.goto("/growth");
    await ready(page);
    await page.getByRole("button", { name: "New variety" }).click();
    await drawer(page).getByLabel("Name").fill("Green lettuce");
    await drawer(page).getByLabel("Crop", { exact: true }).fill("lettuce");
    await save(page);
    await page.goto("/batches/orders");
    await ready(page);
    await page.getByRole("button", { name: "New customer" }).click();
    await drawer(page).getByLabel("Name").fill("Market");
    await save(page);
    await page.getByRole("button", { name: "New order" }).click();
    await drawer(page).getByLabel("Quantity each time").fill("24");
    await save(page);
    await expect(page.getByText(/days not met, first 4 Sep: 24 heads/)).toBeVisible();
  });

  await test.step("the season is planned from the order, looked at and taken; the plan was untouched until then", async () => {
    await page.getByRole("link", { name: "plan the season" }).click();
    await page.getByRole("button", { name: "Plan the season" }).click();
    const accept = page.getByRole("button", { name: "Accept the season" });
    await expect(accept).toBeVisible({ timeout: 60_000 });
    await expect(page.getByText(/from the best there can be|no plan can be worth more/)).toBeVisible();
    await expect(page.getByText(/No price is told of Green lettuce/)).toBeVisible();
    expect(await garden.rows("select 1 from batch")).toHaveLength(0);
    await accept.click();
    await expect(page.getByText("The season is in the plan").first()).toBeVisible();
    const planned = await garden.rows("select id from batch");
    expect(planned.length).toBeGreaterThan(10);
    expect((await garden.rows("select distinct batch_id from batch_place where how = 'plan'")).length).toBe(
      planned.length,
    );
    await page.goto("/batches");
    await expect(page.locator("button[data-batch]").first()).toBeVisible();
    await page.goto("/batches/balance");
    await expect(page.getByText(/of \d+ deliveries ahead are met/)).toBeVisible();
  });

  await test.step("one more batch, sown today, is on the round; ticked, it is in the log", async () => {
    await page.goto("/batches");
    await ready(page);
    await page.getByRole("button", { name: "Add batches" }).click();
    await drawer(page).getByRole("radio", { name: "One batch" }).click();
    await drawer(page).getByLabel("Count from").selectOption("sown");
    await drawer(page).getByLabel("Sown on").fill("2027-09-02");
    await drawer(page).getByLabel("Plants wanted at the end").fill("30");
    await drawer(page).getByRole("button", { name: "Add 1 batch" }).click();
    await expect(drawer(page)).toBeHidden();
    const [planned] = await garden.rows<{ cells: number }>("select cells from batch where target_plants = 30");
    // 30 plants at 0.9 × 0.97, at a 90 % chance: the binomial quantile, not 30/p.
    expect(planned!.cells).toBeGreaterThan(Math.ceil(30 / (0.9 * 0.97)));
    await page.goto("/round");
    await ready(page);
    const sow = page.getByRole("checkbox", { name: /Done: Sow Green lettuce/ }).last();
    await expect(page.getByText(`${planned!.cells} cells`).first()).toBeVisible();
    await sow.click();
    await expect(page.getByText(/^Done: Sow Green lettuce/)).toBeVisible();
    await page.goto("/round/log");
    await expect(page.getByRole("listitem").filter({ hasText: "Sow Green lettuce" }).first()).toContainText("cells");
    const begun = await garden.rows("select 1 from batch_stage");
    expect(begun.length).toBe(1);
  });
});
