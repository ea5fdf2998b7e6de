import type { Browser, Page } from "@playwright/test";
import { expect, ready, signIn, test, type Garden } from "./garden";

const drawer = (page: Page) => page.getByRole("dialog");
const save = async (page: Page) => {
  await drawer(page).getByRole("button", { name: "Save", exact: true }).click();
  await expect(drawer(page)).toBeHidden();
};
const openOn = async (page: Page, sheet: string) => {
  await page.goto(sheet);
  await ready(page);
};
/** Somebody else of the garden, on a screen of their own. */
const somebodyElse = async (browser: Browser, garden: Garden, name: string) => {
  const page = await (await browser.newContext({ baseURL: garden.url })).newPage();
  await signIn(page, name);
  return page;
};
const leaf = async (garden: Garden) =>
  (
    await garden.rows<{ x: number; pump: { highestOutletM: number; lowestWaterM: number } }>(
      "select x_m as x, pump from stand join loop on loop.id = loop_id where stand.name = 'Leaf bank'",
    )
  )[0]!;

test("a stand and a pump are changed in a what-if while somebody changes both in the garden; settled, adopted, undone", async ({
  page,
  garden,
  browser,
}) => {
  await openOn(page, "/place");
  await page.getByRole("button", { name: "Try it in a what-if" }).click();
  await page.getByLabel("New what-if").fill("Higher bank");
  await page.getByRole("button", { name: "Open this sheet in it" }).click();
  await page.waitForURL(/\/place\?.*whatif=/u);
  await ready(page);
  await expect(page.getByRole("region", { name: "What if" })).toContainText("Not yet real");
  const before = await leaf(garden);

  await test.step("both are changed on their own sheets, and the garden stays as it is", async () => {
    await page.getByRole("button", { name: "Change Leaf bank" }).click();
    await drawer(page).getByText("Where it stands").click();
    await drawer(page).getByLabel("From the left of the house").fill("1.4 m");
    await save(page);
    await expect(page.getByRole("slider", { name: /^Leaf bank, not yet real/ })).toBeVisible();
    await page.getByRole("link", { name: "Water" }).click();
    await page.waitForURL(/\/water\?whatif=/u);
    await page.getByRole("button", { name: "Change this loop" }).click();
    await drawer(page).getByLabel("Highest outlet, over the floor").fill("1.6 m");
    await drawer(page).getByText("More about its pipe").click();
    await drawer(page).getByLabel("Lowest water level, over the floor").fill("0.3 m");
    await save(page);
    expect(await leaf(garden)).toEqual(before);
  });

  await test.step("meanwhile somebody moves the bank and lowers the water", async () => {
    const oke = await somebodyElse(browser, garden, "oke");
    await openOn(oke, "/place");
    await oke.getByRole("button", { name: "Change Leaf bank" }).click();
    await drawer(oke).getByText("Where it stands").click();
    await drawer(oke).getByLabel("From the left of the house").fill("1.2 m");
    await save(oke);
    await openOn(oke, "/feed/stocks");
    await openOn(oke, "/water");
    await oke.getByRole("button", { name: "Change this loop" }).click();
    await drawer(oke).getByLabel("Read every").fill("2 days");
    await save(oke);
    await oke.context().close();
  });

  await test.step("what collided is said and settled; what did not, holds", async () => {
    await page.getByRole("link", { name: "Compare and adopt" }).click();
    const open = page.getByRole("region", { name: "Changed in the garden as well" });
    await expect(open).toContainText("from the left of the house 1.2 m 1.4 m");
    await expect(open.getByRole("listitem")).toHaveCount(1);
    await expect(page.getByRole("button", { name: "Adopt it" })).toBeDisabled();
    await open.getByRole("button", { name: "As the what-if has it" }).click();
    await expect(open).toBeHidden();
    await expect(page.getByText("highest outlet, over the floor 1.3 m 1.6 m")).toBeVisible();
  });

  await page.getByRole("button", { name: /^Adopt it/ }).click();
  await expect.poll(async () => (await leaf(garden)).x).toBe(1.4);
  expect(await leaf(garden)).toMatchObject({ x: 1.4, pump: { highestOutletM: 1.6, lowestWaterM: 0.3 } });
  expect(await garden.rows("select read_every_days as days from loop where name = 'Leaf'")).toEqual([{ days: 2 }]);
  await page
    .getByRole("listitem")
    .filter({ hasText: "Higher bank is adopted" })
    .getByRole("button", { name: "Undo" })
    .click();
  await expect.poll(async () => (await leaf(garden)).x).toBe(1.2);
  expect((await leaf(garden)).pump).toEqual(before.pump);
  await page.getByRole("link", { name: "Leave the what-if" }).click();
  await page.waitForURL((url) => url.pathname === "/batches/what-if" && url.search === "");
  await expect(page.getByRole("region", { name: "What if", exact: true })).toHaveCount(0);
});

test("a form that is saved after somebody else's tells which other fields were changed; the same field stands both ways", async ({
  page,
  garden,
  browser,
}) => {
  const other = await somebodyElse(browser, garden, "tomas");
  for (const one of [page, other]) {
    await openOn(one, "/place");
    await one.getByRole("button", { name: "change", exact: true }).click();
    await expect(drawer(one).getByLabel("Height")).toBeVisible();
  }
  await drawer(page).getByLabel("Shade").fill("40 %");
  await drawer(other).getByLabel("Height").fill("3.4 m");
  await save(other);
  await save(page);
  await expect(page.getByText("Tomas Lind changed Height meanwhile; that stays as Tomas Lind has it.")).toBeVisible();
  expect(
    await garden.rows("select height_m as height, shade_share as shade from house where name = 'Net house'"),
  ).toEqual([{ height: 3.4, shade: 0.4 }]);
  await other.context().close();
});

test("what was typed for a measure is seen again as it was typed, while the value stands", async ({ page }) => {
  await openOn(page, "/place");
  const open = async () => {
    await page.getByRole("button", { name: "Change Leaf bank" }).click();
    await drawer(page).getByText("Everything else").click();
  };
  const pitch = drawer(page).getByLabel("Hole", { exact: true });
  await open();
  await pitch.fill('1 7/8"');
  await pitch.press("Tab");
  await expect(pitch).toHaveValue('1 7/8"');
  await expect(drawer(page).getByText("= 47.625 mm")).toBeVisible();
  await save(page);
  await page.reload();
  await ready(page);
  await open();
  await expect(pitch).toHaveValue('1 7/8"');
  await pitch.fill("50 mm");
  await save(page);
  await open();
  await expect(pitch).toHaveValue("50 mm");
});

test("an address of a what-if that is gone leads to those that are left, from every sheet", async ({ page }) => {
  for (const sheet of ["/place", "/water/supply", "/feed/stocks", "/growth", "/batches/orders"]) {
    const answer = await page.goto(`${sheet}?whatif=999`);
    expect(answer?.status()).toBe(200);
    expect(new URL(page.url()).pathname).toBe("/batches/what-if");
    await expect(page.getByRole("heading", { name: "What if", level: 1 })).toBeVisible();
  }
});

test("a row that is deleted while its form is open says so, and what was typed stays", async ({ page, garden }) => {
  await openOn(page, "/batches/orders");
  await page
    .getByRole("button", { name: /^Change .* for / })
    .first()
    .click();
  await drawer(page).getByLabel("Quantity each time").fill("77");
  await garden.rows("delete from order_line");
  await drawer(page).getByRole("button", { name: "Save", exact: true }).click();
  await expect(drawer(page).getByRole("alert")).toContainText("no longer there");
  await expect(drawer(page).getByLabel("Quantity each time")).toHaveValue("77");
});
