import { generate } from "otplib";
import { axe } from "./axe";
import { expect, ready, test } from "./garden";

test("a second factor is switched on with a phone, asked for at sign-in, and listed in the keepers' history", async ({
  page,
  context,
}) => {
  await page.goto("/people/you");
  await ready(page);
  await expect(page.getByText("This is the first time you signed in.")).toBeVisible();
  await page.getByRole("button", { name: "Switch it on" }).click();
  await expect(page.getByRole("img", { name: /to be read by a phone/ })).toBeVisible();
  const secret = (await page.locator("code.font-bold").textContent())!.replaceAll(" ", "");
  await page.getByLabel("Code").fill("000 000");
  await page.getByRole("button", { name: "Switch it on" }).click();
  await expect(page.getByText("This code is wrong, or was used already.").first()).toBeVisible();
  await page.getByLabel("Code").fill(await generate({ secret }));
  await page.getByRole("button", { name: "Switch it on" }).click();
  const codes = page.getByRole("list", { name: "Recovery codes" }).getByRole("listitem");
  await expect(codes).toHaveCount(10);
  const code = (await codes.first().textContent())!;
  expect((await axe(page).analyze()).violations.map(({ id, nodes }) => `${id} ${nodes[0]?.html}`)).toEqual([]);
  await page.getByRole("button", { name: "I have written them down" }).click();
  await expect(page.getByText(/On since .* 10 recovery codes are left/)).toBeVisible();

  await context.clearCookies();
  await page.goto("/sign-in");
  await ready(page);
  await page.getByLabel("Sign-in name").fill("ines");
  await page.getByLabel("Password").fill("saltcote-yard");
  await page.getByRole("button", { name: "Sign in" }).click();
  await expect(page.getByText("Now the six figures that your phone shows.").first()).toBeVisible();
  await expect(page.getByLabel("Password")).toHaveValue("saltcote-yard");
  await page.getByLabel("Code").fill(code);
  await page.getByRole("button", { name: "Sign in" }).click();
  await page.waitForURL(/\/round/u);
  await page.goto("/people/history");
  await ready(page);
  await page.getByRole("link", { name: "Access" }).click();
  for (const words of ["used a recovery code", "switched the second factor on"])
    await expect(page.getByText(words)).toBeVisible();
});

test("access wants the password again after an hour; an open link is seen and withdrawn; whoever left comes back", async ({
  page,
  browser,
  garden,
}) => {
  await garden.rows("update session set confirmed_at = now() - interval '2 hours'");
  await page.goto("/people");
  await ready(page);
  await page.getByRole("button", { name: "Change Priya Sen" }).click();
  await page.getByRole("button", { name: "Make a link for a new password" }).click();
  const again = page.getByRole("dialog", { name: "Your password, once more" });
  await again.getByLabel("Your password").fill("not it");
  await again.getByRole("button", { name: "Confirm" }).click();
  await expect(again.getByText("This password is wrong.").first()).toBeVisible();
  await again.getByLabel("Your password").fill("saltcote-yard");
  await again.getByRole("button", { name: "Confirm" }).click();
  // The same act goes on as if nothing had been asked.
  const link = await page.getByLabel(/Pass this link on/).inputValue();
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Withdraw the link for Priya Sen" }).click();
  await expect(page.getByText("Link withdrawn")).toBeVisible();

  const other = await browser.newContext({ baseURL: garden.url });
  const priya = await other.newPage();
  await priya.goto(link);
  await expect(priya.getByRole("heading", { name: "Link invalid" })).toBeVisible();
  await page.getByRole("button", { name: "Change Priya Sen" }).click();
  await page.getByRole("button", { name: "Remove", exact: true }).click();
  await page.getByRole("button", { name: "Remove Priya Sen?" }).click();
  await expect(page.getByText("Priya Sen removed")).toBeVisible();
  await page.getByRole("button", { name: "Invite somebody" }).click();
  await page.getByRole("button", { name: "Make the link" }).click();
  const invitation = await page.getByLabel(/Pass this link on/).inputValue();
  await priya.goto("/sign-in");
  await ready(priya);
  await priya.getByLabel("Sign-in name").fill("priya");
  await priya.getByLabel("Password").fill("saltcote-yard");
  await priya.getByRole("button", { name: "Sign in" }).click();
  await expect(priya.getByText("not a member of any garden")).toBeVisible();
  await priya.goto(invitation);
  await ready(priya);
  await priya.getByRole("button", { name: /Join as/ }).click();
  await priya.waitForURL(/\/round/u);
  expect(await garden.rows("select role from person where name = 'Priya Sen' and left_at is null")).toEqual([
    { role: "helper" },
  ]);
  await other.close();
});

test("an answer that is lost on the way: pressed again, it is written once", async ({ page, garden }) => {
  await page.goto("/batches/orders");
  await ready(page);
  await page.getByRole("button", { name: "New order" }).click();
  const drawer = page.getByRole("dialog");
  await drawer.getByLabel("Quantity each time").fill("17");
  await drawer.getByLabel("Every").selectOption("Friday");
  // The server does its work; the answer is lost.
  let lost = 0;
  await page.route("**/batches/orders", async (route) => {
    if (route.request().method() !== "POST" || lost++ > 0) return route.continue();
    await route.fetch();
    await route.abort("connectionreset");
  });
  await drawer.getByRole("button", { name: "Save" }).click();
  await expect(drawer.getByText(/No answer: it may not have been saved/)).toBeVisible();
  await drawer.getByRole("button", { name: "Save" }).click();
  await expect(page.getByText("Order saved")).toBeVisible();
  expect(await garden.rows("select quantity from order_line where weekday = 5")).toEqual([{ quantity: 17 }]);
});

test("a server with its hands full is asked again by the page itself", async ({ page, garden }) => {
  await page.goto("/round");
  await ready(page);
  let refused = 0;
  await page.route("**/round", (route) => {
    if (route.request().method() !== "POST" || refused++ > 0) return route.continue();
    return route.fulfill({ status: 503, headers: { "retry-after": "1" }, body: "busy" });
  });
  await page.getByRole("checkbox", { name: /Done: Sow Flat chives/ }).click();
  await expect(page.getByRole("link", { name: /Sow Flat chives.*done/ })).toBeVisible();
  expect(refused).toBe(2);
  expect(
    await garden.rows(
      "select 1 from log_entry where kind = 'sow' and day = '2027-09-02' and what #>> '{task,variety}' = 'Flat chives'",
    ),
  ).toHaveLength(1);
});

test("the round warns of a backup that failed, in words, and of one that is too old", async ({ page, garden }) => {
  const warning = page.getByRole("link", { name: /backup/i });
  await garden.rows("insert into backup_run (at, file, bytes) values (now() - interval '49 hours', 'x.dump', 1)");
  await page.goto("/round");
  await expect(warning).toContainText("No backup for more than two days");
  await garden.rows("insert into backup_run (problem) values ('The role may not read. As a superuser: create role …')");
  await page.reload();
  await expect(page.getByText("As a superuser: create role")).toBeVisible();
  await expect(warning).toContainText("Something is wrong with the backup");
});

test("a garden is removed with its name typed; its keeper makes another one", async ({ page }) => {
  await page.goto("/people/garden");
  await ready(page);
  await page.getByRole("button", { name: "Delete this garden …" }).click();
  const drawer = page.getByRole("dialog");
  await drawer.getByLabel("Name of the garden").fill("Saltcote");
  await drawer.getByRole("button", { name: "Delete it for good" }).click();
  await expect(drawer.getByText('This garden\'s name is "Saltcote Yard".').first()).toBeVisible();
  await drawer.getByLabel("Name of the garden").fill("Saltcote Yard");
  await drawer.getByRole("button", { name: "Delete it for good" }).click();
  await page.getByRole("link", { name: "Make a garden" }).click();
  await ready(page);
  await page.getByLabel("Garden", { exact: true }).fill("Back yard");
  await page.getByRole("button", { name: "Make the garden" }).click();
  await page.waitForURL(/\/round/u);
  await expect(page.getByText("Back yard")).toBeVisible();
});
