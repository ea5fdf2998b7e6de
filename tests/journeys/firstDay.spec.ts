import type { Locator, Page } from "@playwright/test";
import { expect, ready, test } from "./garden";

/** Counts what a newcomer has to do: fields that get a value, and presses and strokes beyond those values. */
class Hand {
  fields = 0;
  presses = 0;

  constructor(readonly page: Page) {}

  async fill(label: string | RegExp, value: string, at = 0) {
    this.fields += 1;
    const field = this.page.getByRole("textbox", { name: label, exact: typeof label === "string" }).nth(at);
    await field.fill(value);
    // On to the next one.
    this.presses += 1;
    await field.press("Tab");
  }

  async press(target: Locator) {
    this.presses += 1;
    await target.click();
  }

  button(name: string | RegExp) {
    return this.press(this.page.getByRole("button", { name, exact: typeof name === "string" }));
  }

  link(name: string) {
    return this.press(this.page.getByRole("link", { name, exact: true }).first());
  }

  async choose(label: string, option: string) {
    this.presses += 2;
    await this.page.getByRole("combobox", { name: label, exact: true }).selectOption({ label: option });
  }
}

async function signUp(hand: Hand, place = "Porto") {
  const { page } = hand;
  await page.goto("/start");
  await ready(page);
  await hand.fill("Your name", "Ada May");
  hand.fields += 1;
  hand.presses += 1;
  await page.getByLabel("Password").fill("four words in a row");
  await hand.fill("Garden", "Back yard");
  hand.fields += 1;
  hand.presses += 1;
  await page.getByLabel("Place").fill(place);
  await expect(page.getByText(`Taken from ${place}`)).toBeVisible();
  await hand.button("Make the garden");
  await page.waitForURL(/\/round/u);
}

const SIZES = [
  ["1280 px", { width: 1280, height: 800 }],
  ["390 px", { width: 390, height: 844 }],
] as const;

for (const [size, viewport] of SIZES)
  test.describe(`the first day at ${size}`, () => {
    test.use({ template: "empty_template", as: null, viewport, locale: "en-GB" });

    test("from the sign-up page to 28 plants that get 1.2 L a day, kept, and on to a first sow day", async ({
      page,
      garden,
    }) => {
      const hand = new Hand(page);
      await signUp(hand);
      await expect(page.getByText("Nothing to do today")).toBeHidden();
      await hand.link("Tell what I have");
      await ready(page);
      await hand.button("Add buckets");
      await hand.fill("Buckets", "28");
      await hand.fill("Tank", "200");
      await hand.choose("It runs", "a few times a day");
      await hand.fill("Run", "6 min");
      const answers = page.getByRole("definition");
      await expect(answers.filter({ hasText: "28 plants" })).toBeVisible();
      await expect(answers.filter({ hasText: "1.2 L" })).toBeVisible();
      await hand.button("Make this place");
      await page.waitForURL(/\/place\?house=/u);
      expect(await garden.rows("select spec ->> 'kind' as kind, loop_id is not null as watered from stand")).toEqual([
        { kind: "bucket-line", watered: true },
      ]);
      expect(await garden.rows("select tank_l, timer ->> 'kind' as timer, latitude_deg from loop, garden")).toEqual([
        { tank_l: 200, timer: "times", latitude_deg: 41.2 },
      ]);
      expect([hand.fields <= 12, hand.presses <= 60, `${hand.fields} fields, ${hand.presses} presses`]).toEqual([
        true,
        true,
        expect.any(String),
      ]);
      test
        .info()
        .annotations.push({ type: "first answer", description: `${hand.fields} fields, ${hand.presses} presses` });

      await page.goto("/round");
      await ready(page);
      await hand.link("Choose a crop");
      await hand.button("From the library");
      await page.getByRole("searchbox", { name: "Search" }).fill("tomato");
      hand.fields += 1;
      await hand.button("Add Cherry tomato");
      await expect(page.getByText("Added")).toBeVisible();
      await page.goto("/round/answers?q=sow");
      await ready(page);
      await hand.choose("Crop", "cherry tomato");
      await hand.fill("Plants", "28");
      await hand.button("Keep in the garden");
      await page.waitForURL(/\/batches/u);
      const [batch] = await garden.rows<{ target: number; cells: number }>(
        "select target_plants as target, cells from batch",
      );
      expect(batch!.target).toBe(28);
      expect(batch!.cells).toBeGreaterThan(28);
      expect(hand.fields).toBeLessThanOrEqual(16);
      test
        .info()
        .annotations.push({ type: "first sow day", description: `${hand.fields} fields, ${hand.presses} presses` });
      await page.goto("/round");
      await expect(page.getByRole("region", { name: "Next step" })).toContainText("cherry tomato");
    });

    test("a quick answer before signing up waits until there is a garden to keep it in", async ({ page, garden }) => {
      await page.goto("/answers");
      await ready(page);
      const hand = new Hand(page);
      await hand.fill("Channels", "2");
      await hand.fill("Length", "3 m");
      await hand.fill("A plant every", "20 cm");
      await expect(page.getByRole("region", { name: "Answer" })).toContainText("30 plants");
      await hand.fill("Length", "3 elephants");
      await expect(page.getByText(/"elephants" is not a unit known here/u)).toBeVisible();
      await expect(page.getByRole("region", { name: "Answer" })).toContainText("30 plants");
      await hand.fill("Length", "300 cm");
      await hand.link("Keep it in a garden of your own");
      await page.waitForURL(/\/start/u);
      await signUp(new Hand(page));
      await page.goto("/round/answers");
      await ready(page);
      await expect(page.getByRole("textbox", { name: "Length", exact: true })).toHaveValue("300 cm");
      await hand.button("Keep in the garden");
      await page.waitForURL(/\/place/u);
      expect(await garden.rows("select spec ->> 'lines' as lines from stand")).toEqual([{ lines: "2" }]);
      // Into a house without room: by how much is said, and nothing is made.
      await page.goto("/round/answers");
      await ready(page);
      await page.getByLabel("Keep it in").selectOption({ label: "Film tunnel" });
      await hand.fill("Channels", "40");
      await hand.button("Keep in the garden");
      await expect(page.getByText(/No room for channels 2: the place would have to be .*wider/u).first()).toBeVisible();
      expect(await garden.rows("select count(*)::int from stand")).toEqual([{ count: 1 }]);
    });
  });

for (const [size, viewport] of SIZES)
  test.describe(`a garden in feet and gallons at ${size}`, () => {
    test.use({ template: "empty_template", as: null, viewport, locale: "en-US" });

    /** A figure in a metric unit; grams and millilitres are on kitchen scales and cups there too. */
    const METRIC =
      /(?:^|[\s(±~])[−-]?\d[\d\s.,\u202f]*(?:[ \u202f\u00a0](?:m|cm|mm|L|m²|m³|kg|L\/h|L\/min)|°C)(?=$|[\s.,;:)])/u;
    /** What no tape shows. */
    const LONG = /\d\.\d{4,}/u;

    test("is set up from end to end without one metric figure", async ({ page }) => {
      const hand = new Hand(page);
      await signUp(hand, "Portland");
      const seen: string[] = [];
      const read = async () => {
        const text = await page.evaluate(() =>
          [
            document.body.innerText,
            ...[...document.querySelectorAll("input,textarea")].map(
              (field) => `${(field as HTMLInputElement).value}\n${(field as HTMLInputElement).placeholder}`,
            ),
            ...[...document.querySelectorAll("[aria-label]")].map((element) => element.getAttribute("aria-label")),
            ...[...document.querySelectorAll("option")].map((option) => option.textContent),
          ].join("\n"),
        );
        for (const line of text.split("\n"))
          if (METRIC.test(line) || LONG.test(line)) seen.push(`${new URL(page.url()).pathname}: ${line.slice(0, 120)}`);
      };
      const open = async (path: string) => {
        await page.goto(path);
        await ready(page);
        await read();
      };
      for (const question of ["fit", "water", "tank", "sow", "week", "pump"]) {
        await page.goto(`/round/answers?q=${question}`);
        await ready(page);
        for (const more of await page.locator("summary").all()) await more.click();
        await read();
      }
      await open("/place/setup");
      for (const kind of ["channels", "pipes", "buckets", "beds", "raft ponds", "towers", "seed trays", "wicking beds"])
        await hand.button(`Add ${kind}`);
      await hand.fill("Tank", "100");
      await hand.fill("Flow at no lift", "900");
      await hand.fill("Greatest lift", "10");
      await read();
      await hand.button("Make this place");
      await page.waitForURL(/\/place\?house=/u);
      await read();
      await open("/growth");
      await hand.button("From the library");
      await page.getByRole("button", { name: "Add Lettuce, heads" }).click();
      await expect(page.getByText("Added")).toBeVisible();
      await read();
      await page.keyboard.press("Escape");
      await page.getByRole("button", { name: "Change Lettuce, heads" }).click();
      await page.getByRole("dialog").getByRole("button", { name: "Save" }).waitFor();
      for (const more of await page.getByRole("dialog").locator("summary").all()) await more.click();
      await read();
      await open("/feed");
      await hand.button("Take one from the library");
      await page.getByRole("button", { name: "Add Steiner 1961" }).click();
      await expect(page.getByText("Added").first()).toBeVisible();
      for (const path of [
        "/round",
        "/round/log",
        "/place",
        "/place/bench",
        "/water",
        "/water/lines",
        "/water/pump",
        "/water/supply",
        "/water/quality",
        "/feed",
        "/feed/stocks",
        "/feed/injector",
        "/feed/acid",
        "/feed/strength",
        "/feed/change",
        "/feed/solve",
      ])
        await open(path);
      for (const path of [
        "/feed/shelf",
        "/growth",
        "/growth/sowing",
        "/growth/propagation",
        "/growth/shoots",
        "/growth/climate",
        "/growth/trials",
        "/batches",
        "/batches/weeks",
        "/batches/orders",
        "/batches/plan",
        "/batches/balance",
      ])
        await open(path);
      for (const path of ["/batches/what-if", "/people", "/people/garden", "/people/history", "/people/you"])
        await open(path);
      for (const [path, name] of [
        ["/water", "New loop"],
        ["/water/supply", "New source"],
        ["/feed", "New recipe"],
        ["/feed/shelf", "New salt"],
        ["/place/bench", "New cut list"],
      ] as const) {
        await page.goto(path);
        await ready(page);
        await page.getByRole("button", { name }).first().click();
        await page.getByRole("dialog").getByRole("button", { name: "Save" }).waitFor();
        await read();
      }
      expect([...new Set(seen)]).toEqual([]);
    });
  });

for (const [size, viewport] of SIZES)
  test.describe(`examples at ${size}`, () => {
    test.use({ template: "empty_template", as: null, viewport });

    test("each of the six opens, its round can be walked, and it is left without a trace", async ({ page, garden }) => {
      await signUp(new Hand(page));
      for (const name of ["Sill", "Courtyard row", "Back beds", "Friday house", "Tray room", "Net field"]) {
        await page.goto("/people/examples");
        await ready(page);
        const began = Date.now();
        await page.getByRole("button", { name: `Open ${name}` }).click();
        await page.waitForURL(/\/round/u);
        await expect(page.getByRole("region", { name: "Example garden" })).toBeVisible();
        test.info().annotations.push({ type: `opened ${name}`, description: `${Date.now() - began} ms` });
        const links = page.locator("a[href^='/round?item=']");
        const count = await links.count();
        for (let at = 0; at < Math.min(count, 6); at++) {
          const href = (await links.nth(at).getAttribute("href")) ?? "";
          await links.nth(at).click();
          // Only when the address has changed does "back" lead to the walk.
          await page.waitForURL((url) => url.pathname + url.search === href);
          await expect(page.getByRole("heading", { level: 2 }).first()).toBeVisible();
          // There an item takes the place of the walk.
          if (viewport.width === 390) {
            await page.goBack();
            await page.waitForURL((url) => !url.searchParams.has("item"));
          }
        }
        for (const path of [
          "/place",
          "/water",
          "/water/lines",
          "/water/pump",
          "/water/supply",
          "/batches",
          "/round/log",
        ]) {
          await page.goto(path);
          await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
        }
        await page.getByRole("button", { name: "Leave and delete it" }).click();
        await page.waitForURL(/\/round/u);
        await expect(page.getByRole("region", { name: "Example garden" })).toBeHidden();
        // A phone has no room for the garden's name.
        if (viewport.width > 390) await expect(page.getByText("Back yard").first()).toBeVisible();
        expect(await garden.rows("select name from garden")).toEqual([{ name: "Back yard" }]);
      }
    });
  });

test.describe("examples", () => {
  test.use({ template: "empty_template", as: null });

  test("opened twice it has a name of its own; a part is copied through a what-if", async ({ page, garden }) => {
    await signUp(new Hand(page));
    for (let time = 0; time < 2; time++) {
      await page.goto("/people/examples");
      await ready(page);
      await page.getByRole("button", { name: "Open Sill" }).click();
      await page.waitForURL(/\/round/u);
    }
    expect(await garden.rows("select name from garden order by id")).toEqual([
      { name: "Back yard" },
      { name: "Sill" },
      { name: "Sill 2" },
    ]);
    await page.goto("/people/examples");
    await ready(page);
    await page.getByRole("button", { name: "Copy into a what-if here" }).first().click();
    await page.waitForURL(/what-if/u);
    await expect(page.getByText("Like Sill").first()).toBeVisible();
  });
});

for (const [size, viewport] of SIZES)
  test.describe(`an order of 2000 at ${size}`, () => {
    test.use({ viewport });

    test("it is answered with what does not fit, before anything is added", async ({ page, garden }) => {
      const before = await garden.rows("select count(*)::int from batch");
      const [{ variety }] = (await garden.rows<{ variety: number }>(
        "select variety_id as variety from order_line where id = (select min(id) from order_line)",
      )) as [{ variety: number }];
      await page.goto("/batches");
      await ready(page);
      await page.getByRole("button", { name: "Add batches" }).click();
      await page.getByLabel("Variety").selectOption(String(variety));
      await page.getByLabel("Plants wanted at the end").fill("2000");
      const alarm = page.getByRole("alert").filter({ hasText: "Not all of it fits" });
      await expect(alarm).toBeVisible();
      await expect(alarm).toContainText(/site[s]? too few on/u);
      await expect(page.getByRole("button", { name: /all the same/u })).toBeVisible();
      expect(await garden.rows("select count(*)::int from batch")).toEqual(before);
    });
  });
