import { actionId } from "../../scripts/lib/calls";
import { axe } from "./axe";
import { expect, ready, signIn, test } from "./garden";

test.describe("before there is anybody", () => {
  test.use({ template: "empty_template", as: null });

  test("the first start makes an account and a garden in one go, and is closed then", async ({ page, garden }) => {
    await page.goto("/round");
    await ready(page);
    await expect(page.getByRole("heading", { name: "A garden of your own" })).toBeVisible();
    await expect(page.getByText("demo garden’s people")).toBeHidden();
    expect((await axe(page).analyze()).violations).toEqual([]);
    await page.getByLabel("Your name").fill("Ada");
    await page.getByLabel("Password").fill("short");
    await page.getByLabel("Garden", { exact: true }).fill("Back yard");
    await page.getByLabel("Place").fill("Nowhere on any list");
    await expect(page.getByText("Not in the list")).toBeVisible();
    await page.getByLabel("Latitude").fill("52,1 S");
    await expect(page.getByLabel("Sign-in name")).toHaveValue("ada");
    await page.getByRole("button", { name: "Make the garden" }).click();
    await expect(page.getByText("Password is shorter than 10 characters")).toBeVisible();
    await page.getByLabel("Password").fill("four words in a row");
    await page.getByRole("button", { name: "Make the garden" }).click();
    await page.waitForURL(/\/round/u);
    await expect(page.getByText("Back yard")).toBeVisible();
    expect(await garden.rows("select name, latitude_deg from garden")).toEqual([
      { name: "Back yard", latitude_deg: -52.1 },
    ]);
    await page.goto("/start");
    await page.waitForURL(/\/round/u);
  });
});

test("a helper is invited by a link, walks the round, and cannot do a keeper's work", async ({
  page,
  browser,
  garden,
}) => {
  await page.goto("/people");
  await ready(page);
  await page.keyboard.press("n");
  const drawer = page.getByRole("dialog");
  await drawer.getByRole("radio", { name: /helper/ }).check();
  await drawer.getByRole("button", { name: "Make the link" }).click();
  const link = await drawer.getByLabel(/Pass this link on/).inputValue();
  expect(link).toMatch(/\/join\?key=[\w-]{43}$/u);

  const other = await browser.newContext({ baseURL: garden.url });
  const helper = await other.newPage();
  await helper.goto(link);
  await ready(helper);
  await expect(helper.getByText("Ines Varela invites you as helper")).toBeVisible();
  await helper.getByLabel("Your name").fill("Noor");
  await helper.getByLabel("Sign-in name").fill("noor");
  await helper.getByLabel("Password").fill("four words in a row");
  await helper.getByRole("button", { name: "Join" }).click();
  await helper.waitForURL(/\/round/u);
  await helper.getByRole("checkbox", { name: /Done: Sow Flat chives/ }).click();
  await expect(helper.getByText(/Done: Sow Flat chives/)).toBeVisible();
  await expect(helper.getByRole("checkbox", { name: /Done: Drip stock A/ })).toBeDisabled();
  for (const [sheet, button] of [
    ["/people", "Invite somebody"],
    ["/batches", "Add batches"],
    ["/place", "Add channels, beds, racks …"],
    ["/place", "Edit plan"],
    ["/batches/what-if", "New what-if"],
    ["/place/bench", "New cut list"],
    ["/feed", "Change this recipe"],
  ] as const) {
    await helper.goto(sheet);
    await ready(helper);
    await expect(helper.getByRole("button", { name: button })).toHaveCount(0);
  }
  // The link is used up, and the keeper's page has heard of the new member meanwhile.
  await helper.goto(link);
  await expect(helper.getByRole("heading", { name: "Link invalid" })).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page.getByText("Noor")).toBeVisible();
  // Whoever leaves is out: the helper's open page goes to sign-in.
  await page.getByRole("button", { name: "Change Noor" }).click();
  await drawer.getByRole("button", { name: "Remove" }).click();
  await drawer.getByRole("button", { name: "Remove Noor?" }).click();
  await expect(page.getByText("Noor removed")).toBeVisible();
  await helper.goto("/round");
  await expect(helper.getByText("not a member of any garden")).toBeVisible();
  await other.close();
});

test("two change one batch: the change of one appears on the other's screen, and the later save shows both versions", async ({
  page,
  browser,
  garden,
}) => {
  const [batch] = await garden.rows<{ id: number; cells: number }>(
    "select id, cells from batch where sow_day > '2027-09-20' order by sow_day limit 1",
  );
  const other = await browser.newContext({ baseURL: garden.url });
  const second = await other.newPage();
  await signIn(second, "tomas");
  for (const screen of [page, second]) {
    await screen.goto(`/batches?batch=${batch!.id}`);
    await ready(screen);
    await screen.getByRole("button", { name: "Edit or delete" }).click();
    await expect(screen.getByRole("dialog")).toBeVisible();
  }
  const [mine, theirs] = [page.getByRole("dialog"), second.getByRole("dialog")];
  await mine.getByLabel("Note").fill("Mine: for the school");
  await mine.getByLabel("Cells").fill(String(batch!.cells + 1));
  await theirs.getByLabel("Cells").fill(String(batch!.cells + 10));
  await theirs.getByRole("button", { name: "Save" }).click();
  await expect(second.getByText("Batch saved")).toBeVisible();

  await mine.getByRole("button", { name: "Save" }).click();
  const both = mine.getByRole("region", { name: "Both versions" });
  await expect(both.getByRole("row", { name: /Cells/ })).toContainText(String(batch!.cells + 1));
  await expect(both.getByRole("row", { name: /Cells/ })).toContainText(String(batch!.cells + 10));
  await expect(both.getByRole("columnheader", { name: "Tomas Lind" })).toBeVisible();
  await expect(mine.getByLabel("Note")).toHaveValue("Mine: for the school");
  expect((await garden.rows("select cells, note from batch where id = $1", [batch!.id]))[0]).toEqual({
    cells: batch!.cells + 10,
    note: "",
  });
  await both.getByRole("row", { name: /Cells/ }).getByRole("button", { name: "take this" }).click();
  await mine.getByRole("button", { name: "Save as chosen" }).click();
  await expect(page.getByText("Batch saved")).toBeVisible();
  expect((await garden.rows("select cells, note from batch where id = $1", [batch!.id]))[0]).toEqual({
    cells: batch!.cells + 10,
    note: "Mine: for the school",
  });

  // Without a press of a key: what one does appears where the other looks.
  await second.goto("/round");
  await ready(second);
  await page.goto("/round");
  await ready(page);
  await page.getByRole("checkbox", { name: /Done: Sow Flat chives/ }).click();
  await expect(second.getByRole("link", { name: /Sow Flat chives.*done/ })).toBeVisible();
  // What happened while a screen had no connection is there when it has one again.
  await other.setOffline(true);
  await page.getByRole("checkbox", { name: /Done: Sow Batavia/ }).click();
  await expect(page.getByRole("link", { name: /Sow Batavia.*done/ })).toBeVisible();
  await expect(second.getByRole("link", { name: /Sow Batavia.*done/ })).toBeHidden();
  await other.setOffline(false);
  await expect(second.getByRole("link", { name: /Sow Batavia.*done/ })).toBeVisible();
  await other.close();
});

test("what is typed survives a reload and a lost connection, and is saved when it is back", async ({
  page,
  context,
  garden,
}) => {
  await page.goto("/batches/orders");
  await ready(page);
  await page.getByRole("button", { name: "New order" }).click();
  const drawer = page.getByRole("dialog");
  await drawer.getByLabel("Quantity each time").fill("17");
  await drawer.getByLabel("Every").selectOption("Friday");
  await page.reload();
  await expect(drawer.getByText("Your unsaved changes were restored.")).toBeVisible();
  await expect(drawer.getByLabel("Quantity each time")).toHaveValue("17");
  await expect(drawer.getByLabel("Every")).toHaveValue("5");
  await ready(page);
  await context.setOffline(true);
  await drawer.getByLabel("Quantity each time").fill("18");
  await drawer.getByRole("button", { name: "Save" }).click();
  await expect(drawer.getByText(/No connection: nothing was saved/)).toBeVisible();
  await expect(drawer.getByLabel("Quantity each time")).toHaveValue("18");
  await context.setOffline(false);
  await drawer.getByRole("button", { name: "Save" }).click();
  await expect(page.getByText("Order saved")).toBeVisible();
  expect(await garden.rows("select quantity from order_line where weekday = 5")).toEqual([{ quantity: 18 }]);
  await page.getByRole("button", { name: "New order" }).click();
  await expect(drawer.getByLabel("Quantity each time")).toHaveValue("20");

  // A reading half typed on the round is there again too, even what cannot be read.
  await page.goto("/round?item=reading%3A1");
  await ready(page);
  await page.getByRole("textbox", { name: "EC" }).fill("1.8");
  await page.getByRole("textbox", { name: "pH" }).fill("six");
  await page.reload();
  await expect(page.getByRole("textbox", { name: "EC" })).toHaveValue(/^1\.8/u);
  await expect(page.getByRole("textbox", { name: "pH" })).toHaveValue("six");
});

test("anything is found and done from the palette; keys go to stations and list themselves", async ({
  page,
  garden,
}) => {
  await page.goto("/round");
  await ready(page);
  await page.keyboard.press("Control+k");
  const palette = page.getByRole("dialog", { name: "Find or do" });
  await expect(palette.getByRole("combobox")).toBeFocused();
  await page.keyboard.type("leaf bank");
  await expect(palette.getByRole("option", { name: /Leaf bank/ }).first()).toBeVisible();
  expect((await axe(page).analyze()).violations.map(({ id, nodes }) => `${id} ${nodes[0]?.html}`)).toEqual([]);
  await page.keyboard.press("Enter");
  await page.waitForURL(/\/place\?house=\d+&stand=\d+/u);
  await page.keyboard.press("/");
  await page.keyboard.type("new order");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("dialog", { name: "New order" })).toBeVisible();
  await page.keyboard.press("Escape");
  await page.keyboard.press("/");
  await page.keyboard.type("light: sun");
  await page.keyboard.press("Enter");
  await expect(page.locator("html")).toHaveAttribute("data-light", "sun");
  await page.keyboard.press("?");
  await expect(page.getByRole("dialog", { name: "Keys" })).toContainText("find anything, do anything");
  await page.keyboard.press("Escape");
  await page.keyboard.press("g");
  await page.keyboard.press("w");
  await page.waitForURL(/\/water$/u);
  await page.keyboard.press("/");
  await page.keyboard.type("sunflower sown");
  await page
    .getByRole("option", { name: /Sunflower shoots, sown/ })
    .first()
    .click();
  await expect(page.getByRole("region", { name: /^Sunflower shoots of/ })).toBeVisible();
  expect(await garden.rows("select 1 from change where at > '2027-09-02T11:00Z'")).toEqual([]);
});

test("a change is undone from its toast and from the history, which shows both", async ({ page, garden }) => {
  const pitch = async () =>
    (await garden.rows<{ pitch: number }>("select spec -> 'pitchM' as pitch from stand where name = 'Leaf bank'"))[0]!
      .pitch;
  await page.goto("/place");
  await ready(page);
  for (const from of ["toast", "history"]) {
    await page.getByRole("button", { name: "Change Leaf bank" }).click();
    await page.getByRole("dialog").getByLabel("Pitch, plant to plant").fill("20 cm");
    await page.getByRole("dialog").getByRole("button", { name: "Save" }).click();
    await expect(page.getByText("Channel bank saved").last()).toBeVisible();
    expect(await pitch()).toBe(0.2);
    if (from === "toast") {
      await page.getByRole("button", { name: "Undo" }).click();
      await expect(page.getByText("Undone.")).toBeVisible();
      expect(await pitch()).toBe(0.25);
      await expect(page.getByRole("slider", { name: /Leaf bank: 36 lines, 864 sites/ })).toBeVisible();
    } else await expect(page.getByRole("slider", { name: /Leaf bank: 36 lines, 1044 sites/ })).toBeVisible();
  }
  await page.goto("/people/history");
  await ready(page);
  const row = page.getByRole("listitem").filter({ hasText: "Channel bank Leaf bank" });
  await expect(row.first()).toContainText("pitch, plant to plant 250 mm 200 mm");
  await page.getByRole("button", { name: "Undo: changed Channel bank Leaf bank" }).first().click();
  await expect.poll(pitch).toBe(0.25);
  await expect(page.getByText("undid a change")).toHaveCount(2);
});

test("cookies are sealed and closed to scripts, pages cannot be framed, and a script without the nonce does not run", async ({
  page,
  context,
  garden,
}) => {
  await context.clearCookies();
  await signIn(page, "ines");
  const cookie = (await context.cookies()).find(({ name }) => name === "seed_round")!;
  expect(cookie).toMatchObject({ httpOnly: true, sameSite: "Lax" });
  const answer = await page.goto("/round");
  const policy = answer!.headers()["content-security-policy"]!;
  expect(policy).toMatch(/script-src 'self' 'nonce-[\w=]+' 'strict-dynamic'/u);
  expect(policy).toContain("frame-ancestors 'none'");
  await ready(page);
  await page.evaluate(
    () =>
      new Promise((refused) => {
        document.addEventListener("securitypolicyviolation", () => refused(true), { once: true });
        const script = document.createElement("div");
        script.innerHTML = `<img src="x:" onerror="document.title='taken over'">`;
        document.body.append(script);
      }),
  );
  expect(await page.title()).toContain("Round");
  // An action called from another site, or from nowhere, is not carried out, cookie or not; nor is one that makes no sense.
  const post = (headers: object, data: string) =>
    page.request.post("/round", {
      headers: { "next-action": actionId("addNote"), "content-type": "text/plain;charset=UTF-8", ...headers },
      data,
    });
  const note = JSON.stringify([{ title: "From elsewhere", place: "", day: "2027-09-02", note: "" }]);
  expect((await post({ origin: "https://elsewhere.example" }, note)).status()).toBe(403);
  expect((await post({ origin: "null" }, note)).status()).toBe(403);
  expect((await post({ origin: garden.url }, "nonsense")).status()).toBeLessThan(500);
  expect(await garden.rows("select 1 from log_entry where what ->> 'title' = 'From elsewhere'")).toEqual([]);
  expect((await post({ origin: garden.url }, note)).status()).toBe(200);
  expect(await garden.rows("select 1 from log_entry where what ->> 'title' = 'From elsewhere'")).toHaveLength(1);
});

test("one person makes a second garden and goes from one to the other", async ({ page }) => {
  await page.goto("/people/you");
  await ready(page);
  await page.getByRole("button", { name: "A new garden of your own" }).click();
  await page.getByRole("dialog").getByLabel("Garden", { exact: true }).fill("Hill side");
  await page.getByRole("dialog").getByRole("button", { name: "Make the garden" }).click();
  await expect(page.getByText("Garden made; you are in it now")).toBeVisible();
  await page.goto("/place");
  await ready(page);
  await expect(page.getByText("No house yet")).toBeVisible();
  await page
    .getByRole("button", { name: /^You: Ines Varela, keeper/ })
    .first()
    .click();
  await page.getByRole("button", { name: "To Saltcote Yard" }).click();
  await page.waitForURL(/\/round/u);
  await expect(page.getByText("Saltcote Yard")).toBeVisible();
});
