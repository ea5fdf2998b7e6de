import { readFileSync } from "node:fs";
import type { Locator, Page } from "@playwright/test";
import { expect, putDown, ready, test, type Garden } from "./garden";

const drawer = (page: Page) => page.getByRole("dialog");
const save = async (page: Page, button = "Save") => {
  await drawer(page).getByRole("button", { name: button, exact: true }).click();
  await expect(drawer(page)).toBeHidden();
};
const PX_PER_MM = 96 / 25.4;
/** Sheets of paper that a page would take. */
const sheetsOf = async (page: Page) =>
  (await page.pdf({ preferCSSPageSize: true })).toString("latin1").match(/\/Type\s*\/Page\b(?!s)/gu)!.length;
const standAt = async (garden: Garden, name: string) =>
  (
    await garden.rows<{ x: number; y: number; turned: boolean; spec: Record<string, number> }>(
      "select x_m as x, y_m as y, turned, spec from stand where name = $1",
      [name],
    )
  )[0]!;
/** Presses Tab until something of this name has the focus; on and on while the page is on its way. */
const tabTo = (page: Page, name: RegExp) =>
  expect(async () => {
    for (let press = 0; press < 120; press++) {
      await page.keyboard.press("Tab");
      const at = await page.evaluate(
        () =>
          document.activeElement?.getAttribute("aria-label") ??
          (document.activeElement as HTMLInputElement | null)?.labels?.[0]?.textContent ??
          document.activeElement?.textContent ??
          "",
      );
      if (name.test(at.trim())) return;
    }
    throw new Error(`No way with Tab to ${name}`);
  }).toPass();

test.describe("in a new garden", () => {
  test.use({ template: "bare_template", as: "keeper" });

  test("an empty house becomes a counted, drawn plan, true to scale on paper, with a cut list that is proved", async ({
    page,
    garden,
  }) => {
    await page.goto("/place");
    await ready(page);
    await page.getByRole("button", { name: "Enter a house" }).click();
    await drawer(page).getByLabel("Name").fill("New house");
    await save(page);
    await page.getByRole("button", { name: "New growing area" }).click();
    await drawer(page).getByLabel("Name").fill("Leaf");
    await save(page);

    await test.step("how many plants could I grow here, kind by kind, and filled on request", async () => {
      await page.getByRole("button", { name: "How many plants could I grow here?" }).click();
      const table = drawer(page).getByRole("table", { name: /How many plants/ });
      for (const kind of [
        "Channel bank",
        "Raft pond",
        "Towers",
        "Flood bench",
        "Media bed",
        "Wicking beds",
        "Drip beds",
        "Bucket line",
        "Tray rack",
        "Shoots or fodder rack",
      ])
        await expect(table.getByRole("button", { name: kind })).toBeVisible();
      await table.getByRole("button", { name: "Channel bank" }).click();
      await drawer(page).getByLabel("Aisle", { exact: true }).fill("40 cm");
      await expect(drawer(page).getByText("the aisle is made 0.6 m")).toBeVisible();
      await drawer(page).getByLabel("Keep the aisle that narrow").check();
      await expect(drawer(page).getByText("the aisle is made 0.6 m")).toBeHidden();
      await drawer(page).getByLabel("Aisle", { exact: true }).fill("60 cm");
      await drawer(page)
        .getByRole("button", { name: /^Fill with \d+ channels$/ })
        .click();
      await expect(drawer(page)).toBeHidden();
    });
    const bank = page.getByRole("slider", { name: /Channel bank: \d+ lines, \d+ sites/ });
    await expect(bank).toBeVisible();
    // Turned, the channels are cut to the 5.4 m that are free: 21 sites instead of 24, and far more of them.
    const perLine = 21;
    const [counted] = await garden.rows<{ lines: number; metres: number }>(
      "select (spec ->> 'lines')::int as lines, (spec ->> 'lineLengthM')::float8 as metres from stand",
    );
    expect(counted!.metres).toBe(5.4);
    await expect(bank).toHaveAccessibleName(new RegExp(`: ${counted!.lines} lines, ${counted!.lines * perLine} sites`));
    await expect(
      page
        .getByRole("region", { name: "Channel bank", exact: true })
        .getByText(`${counted!.lines} channels, ${perLine} sites on each`),
    ).toBeVisible();

    await test.step("on paper at a true scale", async () => {
      await page.getByRole("link", { name: "print", exact: true }).click();
      await page.getByRole("link", { name: "1:50", exact: true }).click();
      await page.waitForURL(/scale=50/u);
      await page.emulateMedia({ media: "print" });
      const wall = await page.locator("[data-house]").boundingBox();
      // 12 m at 1:50 are 240 mm, 6 m are 120 mm; the wall is drawn 2 px wide.
      expect(Math.abs(wall!.width - 240 * PX_PER_MM)).toBeLessThan(2.5);
      expect(Math.abs(wall!.height - 120 * PX_PER_MM)).toBeLessThan(2.5);
      // Nothing is wider than the sheet: a printer that has to shrink a page leaves the scale.
      await page.setViewportSize({ width: Math.floor(277 * PX_PER_MM) + 1, height: 720 });
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(
        Math.floor(277 * PX_PER_MM) + 1,
      );
      expect(await sheetsOf(page)).toBe(1);
      await page.emulateMedia({ media: null });
      await page.getByRole("link", { name: "1:25", exact: true }).click();
      await expect(page.getByRole("img", { name: /at 1:25, sheet \d of 4/ })).toHaveCount(4);
      expect(await sheetsOf(page)).toBe(4);
    });

    await test.step("its legs as a cut list, planned and proved, on one or two sheets", async () => {
      await page.goto("/place/bench");
      await ready(page);
      await page.getByRole("button", { name: "Channel bank, legs" }).click();
      await drawer(page).getByLabel("Saw cut").fill("-2 mm");
      await drawer(page).getByRole("button", { name: "Save" }).click();
      await expect(drawer(page).getByText("Saw cut is -2 mm; it must be from 0 to 50 mm")).toBeVisible();
      await drawer(page).getByLabel("Saw cut").fill("3 mm");
      await drawer(page).getByLabel("Length 1", { exact: true }).first().fill("7 m");
      await drawer(page).getByRole("button", { name: "Save" }).click();
      await expect(drawer(page).getByRole("alert")).toHaveText(
        "A piece of 7000 mm is longer than any bar on sale gives (6000 mm).",
      );
      await drawer(page).getByLabel("Length 1", { exact: true }).first().fill("935 mm");
      await save(page);
      await page.getByRole("button", { name: "Plan the cuts" }).click();
      await expect(page.getByText(/^Proved best: at least \d+ bars/)).toBeVisible();
      expect(await page.getByRole("img", { name: /^Bar of 6000 mm/ }).count()).toBeGreaterThan(0);
      expect(await sheetsOf(page)).toBeLessThanOrEqual(2);
      await page.getByRole("button", { name: "Mark as cut" }).click();
      await expect(page.getByText("; cut on")).toBeVisible();
      await page.getByRole("button", { name: "Will it fit together?" }).click();
      await drawer(page).getByLabel("The other's length").fill("558 mm");
      await save(page);
      await expect(page.getByText("of play: exactly as long: nothing is left for the saw")).toBeVisible();
    });

    await test.step("what to buy, with a spare and less what is on hand", async () => {
      await page.getByRole("link", { name: "Materials" }).click();
      const cups = page.getByRole("row", { name: /net cup, 50 mm/ });
      const plants = counted!.lines * perLine;
      const withSpare = Math.ceil(plants * 1.05 - 1e-6);
      await expect(cups).toContainText(String(withSpare));
      await page.getByLabel("net cup, 50 mm, on hand").fill("100");
      await page.getByLabel("net cup, 50 mm, on hand").press("Enter");
      await expect(cups.getByRole("button", { name: /To buy/ })).toHaveText(String(withSpare - 100));
      await page.getByRole("link", { name: "Supports" }).click();
      await expect(page.getByRole("row", { name: "1, inlet" })).toContainText("935 mm");
    });
  });
});

test.describe("in a new garden, kind by kind", () => {
  test.use({ template: "bare_template", as: "keeper" });

  test("every kind of stand is entered from its worked example, counted and drawn; what does not fit stays typed", async ({
    page,
    garden,
  }) => {
    await page.goto("/place");
    await ready(page);
    await page.getByRole("button", { name: "Enter a house" }).click();
    await drawer(page).getByLabel("Name").fill("Hall");
    await drawer(page).getByLabel("Length").fill("20 m");
    await drawer(page).getByLabel("Width").fill("0.8 m");
    await save(page);
    await test.step("filled before any growing area is named", async () => {
      await page.getByRole("button", { name: "How many plants could I grow here?" }).click();
      await drawer(page).getByLabel("Clearance along the walls").fill("0.4 m");
      await expect(drawer(page).getByText("Nothing fits")).toBeVisible();
      await drawer(page).getByLabel("Clearance along the walls").fill("0.1 m");
      await drawer(page).getByRole("button", { name: "Tray rack" }).click();
      await expect(drawer(page).getByRole("button", { name: /^Fill with/ })).toBeDisabled();
      await drawer(page).getByLabel("Used for a new growing area").fill("Everything");
      await drawer(page)
        .getByRole("button", { name: /^Fill with \d+ trays$/ })
        .click();
      await expect(drawer(page)).toBeHidden();
    });
    await page.getByRole("button", { name: "change", exact: true }).click();
    await drawer(page).getByLabel("Width").fill("40 m");
    await drawer(page).getByLabel("Length").fill("30 m");
    await save(page);
    const kinds = [
      "Channel bank",
      "Drip beds",
      "Raft pond",
      "Bucket line",
      "Towers",
      "Flood bench",
      "Media bed",
      "Wicking beds",
      "Tray rack",
      "Shoots or fodder rack",
    ];
    for (const kind of kinds) {
      await page.getByRole("button", { name: "Add channels, beds, racks …" }).click();
      await drawer(page).getByLabel("Kind").selectOption(kind);
      await drawer(page).getByLabel("Name", { exact: true }).fill(`My ${kind}`);
      const sites = await drawer(page).locator(".figure").first().innerText();
      await save(page);
      await expect(
        page.getByRole("slider", { name: new RegExp(`^My ${kind}: \\d+ lines?, ${sites} sites`) }),
      ).toBeVisible();
    }
    const stored = await garden.rows<{ kind: string }>("select distinct kind from stand");
    expect(stored).toHaveLength(10);
    await test.step("a raft longer than its pond, and a stand put outside, are told and keep what was typed", async () => {
      await page.getByRole("slider", { name: /My Raft pond/ }).focus();
      await page.getByRole("button", { name: "Change My Raft pond" }).click();
      await drawer(page).getByText("Everything else").click();
      await drawer(page).getByLabel("Raft length").fill("9 m");
      await drawer(page).getByRole("button", { name: "Save" }).click();
      await expect(drawer(page).getByText("Raft length is 9 m; it must not be longer than the pond")).toBeVisible();
      await drawer(page).getByLabel("Raft length").fill("1.2 m");
      await drawer(page).getByText("Where it stands").click();
      await drawer(page).getByLabel("From the left of the house").fill("29 m");
      await drawer(page).getByRole("button", { name: "Save" }).click();
      await expect(
        drawer(page)
          .getByText(/My Raft pond reaches outside the house/)
          .first(),
      ).toBeVisible();
      await expect(drawer(page).getByLabel("From the left of the house")).toHaveValue("29 m");
    });
  });
});

test.describe("in a new garden, with the keyboard alone", () => {
  test.use({ template: "bare_template", as: "keeper" });

  test("a house is entered, filled and counted, and its legs are planned", async ({ page, garden }) => {
    const press = async (name: RegExp) => {
      await tabTo(page, name);
      await page.keyboard.press("Enter");
    };
    const type = async (label: RegExp, text: string) => {
      await tabTo(page, label);
      await page.keyboard.press("Control+a");
      await page.keyboard.type(text);
    };
    await page.goto("/place");
    await ready(page);
    await press(/^Enter a house$/);
    await type(/^Name$/, "Hoop house");
    await press(/^Save$/);
    await expect(drawer(page)).toBeHidden();
    await press(/^New growing area$/);
    await type(/^Name$/, "Leaf");
    await press(/^Save$/);
    await expect(drawer(page)).toBeHidden();
    await press(/^How many plants could I grow here\?$/);
    await press(/^Raft pond$/);
    await expect(drawer(page).getByRole("status")).toContainText("rafts in");
    await press(/^Channel bank$/);
    await press(/^Fill with \d+ channels$/);
    await expect(drawer(page)).toBeHidden();
    await tabTo(page, /^Channel bank: \d+ lines, \d+ sites/);
    await page.keyboard.press("ArrowDown");
    await expect(page.getByText("Channel bank, channel 2")).toBeVisible();
    const scale = page.locator("[aria-hidden]").filter({ hasText: /^\d+(\.\d+)? m$/ });
    const far = await scale.textContent();
    for (let times = 0; times < 8; times++) await page.keyboard.press("+");
    await expect(scale).not.toHaveText(far!);

    await page.goto("/place/bench");
    await ready(page);
    await press(/^Channel bank, legs$/);
    await press(/^Save$/);
    await expect(drawer(page)).toBeHidden();
    await press(/^Plan the cuts$/);
    await expect(page.getByText(/^Proved best/)).toBeVisible();
    expect(await garden.rows("select plan ->> 'proved' as proved from cut_list")).toEqual([{ proved: "true" }]);
  });
});

test("on the drawing a stand is moved, pulled and turned by mouse; what would not fit is not moved; all is undone", async ({
  page,
  garden,
}) => {
  await page.goto("/place");
  await ready(page);
  await page.getByRole("button", { name: "Edit plan" }).click();
  const buckets = page.locator('[data-stand="Bucket line"]');
  const before = await standAt(garden, "Bucket line");
  const middle = async (one: Locator) => {
    const box = (await one.boundingBox())!;
    return [box.x + box.width / 2, box.y + box.height / 2] as const;
  };
  const drag = async (from: readonly [number, number], dx: number, dy: number) => {
    await page.mouse.move(...from);
    await page.mouse.down();
    await page.mouse.move(from[0] + dx / 2, from[1] + dy / 2, { steps: 4 });
    await page.mouse.move(from[0] + dx, from[1] + dy, { steps: 4 });
    await putDown(page);
  };
  const whole = buckets.locator("rect").first();

  await drag(await middle(whole), 24, 0);
  await expect.poll(async () => (await standAt(garden, "Bucket line")).x).toBeGreaterThan(before.x + 0.3);
  await test.step("over the beds it is not put down", async () => {
    const here = await standAt(garden, "Bucket line");
    await drag(await middle(whole), -120, 0);
    await expect(page.getByText(/Not moved: .*overlap/)).toBeVisible();
    expect(await standAt(garden, "Bucket line")).toEqual(here);
  });
  await test.step("its square pulls it: two buckets less in each row", async () => {
    await drag(await middle(buckets.locator("[data-grip=long]")), 0, -30);
    await expect.poll(async () => (await standAt(garden, "Bucket line")).spec.bucketsPerLine).toBeLessThan(16);
  });
  await test.step("numbers typed beside do the same, and a wrong one stays as typed with its reason", async () => {
    await page.getByRole("textbox", { name: "From the top" }).fill("1.5");
    await page.getByRole("textbox", { name: "From the top" }).press("Enter");
    await expect.poll(async () => (await standAt(garden, "Bucket line")).y).toBe(1.5);
    await page.getByLabel("Buckets in a row").fill("60");
    await page.getByLabel("Buckets in a row").press("Enter");
    await expect(page.getByText(/Bucket line reaches outside the house/).first()).toBeVisible();
    await expect(page.getByLabel("Buckets in a row")).toHaveValue("60");
    await page.getByLabel("Buckets in a row").press("Escape");
  });
  for (let times = 1; times <= 3; times++) {
    await page.getByRole("button", { name: "Undo", exact: true }).first().click();
    await expect
      .poll(
        async () =>
          (await garden.rows("select 1 from change where undoes is not null and at > '2027-09-02' group by undoes"))
            .length,
      )
      .toBe(times);
  }
  await expect.poll(() => standAt(garden, "Bucket line")).toEqual(before);
});

test.describe("with a finger", () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test("a stand is moved with one finger, the plan with it beside", async ({ page, garden }) => {
    await page.goto("/place");
    await ready(page);
    await page.getByRole("button", { name: "Edit plan" }).tap();
    const before = await standAt(garden, "Bucket line");
    const box = (await page.locator('[data-stand="Bucket line"] rect').first().boundingBox())!;
    const touch = await page.context().newCDPSession(page);
    const at = (type: "touchStart" | "touchMove" | "touchEnd", dx: number) =>
      touch.send("Input.dispatchTouchEvent", {
        type,
        touchPoints: type === "touchEnd" ? [] : [{ x: box.x + box.width / 2 + dx, y: box.y + box.height / 2 }],
      });
    await at("touchStart", 0);
    for (const dx of [4, 8, 12]) await at("touchMove", dx);
    await at("touchEnd", 12);
    await expect.poll(async () => (await standAt(garden, "Bucket line")).x).toBeGreaterThan(before.x + 0.3);
  });
});

test("with the keyboard alone: a stand is moved and put down, another made denser in a what-if and adopted", async ({
  page,
  garden,
}) => {
  await page.goto("/place");
  await ready(page);
  await tabTo(page, /^Edit plan$/);
  await page.keyboard.press("Enter");
  await tabTo(page, /^Bucket line, 32 sites/);
  const before = await standAt(garden, "Bucket line");
  await page.keyboard.press("Enter");
  for (let press = 0; press < 4; press++) await page.keyboard.press("ArrowRight");
  await page.keyboard.press("Shift+ArrowUp");
  await page.keyboard.press("Enter");
  await expect
    .poll(() => standAt(garden, "Bucket line"))
    .toMatchObject({ x: Math.round((before.x + 0.2) * 1000) / 1000, spec: { bucketsPerLine: 15 } });
  await page.keyboard.press("Escape");
  await page.keyboard.press("Control+z");
  await expect.poll(() => standAt(garden, "Bucket line")).toEqual(before);

  await page.goto("/batches/what-if");
  await ready(page);
  await page.keyboard.press("n");
  await tabTo(page, /^Name$/);
  await page.keyboard.type("Denser");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Denser" })).toBeVisible();
  await tabTo(page, /^Place$/);
  await tabTo(page, /^Place$/);
  await page.keyboard.press("Enter");
  await page.waitForURL(/\/place\?whatif=/u);
  await ready(page);
  await tabTo(page, /^Edit plan$/);
  await page.keyboard.press("Enter");
  await tabTo(page, /^Leaf bank, 864 sites/);
  await page.keyboard.press("e");
  await tabTo(page, /^Pitch, plant to plant$/);
  await page.keyboard.press("Control+a");
  await page.keyboard.type("200 mm");
  await page.keyboard.press("Enter");
  await expect(page.locator('[data-stand="Leaf bank"]')).toHaveAccessibleName(/1044 sites/);
  expect((await standAt(garden, "Leaf bank")).spec.pitchM).toBe(0.25);
  await tabTo(page, /^Compare and adopt$/);
  await page.keyboard.press("Enter");
  await tabTo(page, /^Adopt it$/);
  await page.keyboard.press("Enter");
  await expect.poll(async () => (await standAt(garden, "Leaf bank")).spec.pitchM).toBe(0.2);
});

test("a layout with an error is not imported; corrected in place, it is", async ({ page, garden }, info) => {
  await page.goto("/place");
  await ready(page);
  const [file] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("link", { name: "JSON", exact: true }).click(),
  ]);
  expect(file.suggestedFilename()).toBe("saltcote-yard.layout.json");
  const path = info.outputPath("layout.json");
  await file.saveAs(path);
  const broken = readFileSync(path, "utf8").replace('"house": "Net house"', '"house": "Nett house"');
  await page.goto("/batches/what-if");
  await ready(page);
  await page.getByRole("button", { name: "Import a layout" }).click();
  await drawer(page)
    .getByLabel("File")
    .setInputFiles({ name: "spring.layout.json", mimeType: "application/json", buffer: Buffer.from(broken) });
  await expect(drawer(page).getByLabel("Name")).toHaveValue("spring");
  await drawer(page).getByRole("button", { name: "Import" }).click();
  await expect(drawer(page).getByRole("alert")).toContainText(
    "stands[3].house: Leaf bank is in “Nett house”, which is not a house of this layout.",
  );
  expect(await garden.rows("select 1 from change_set where name = 'spring'")).toEqual([]);
  // What was given stays, and is mended here.
  const text = drawer(page).getByLabel("Its text");
  await text.fill((await text.inputValue()).replace("Nett house", "Net house"));
  await drawer(page).getByRole("button", { name: "Import" }).click();
  await expect(drawer(page)).toBeHidden();
  await expect(page.getByRole("link", { name: "spring" })).toBeVisible();
  expect(await garden.rows("select 1 from change_set where name = 'spring'")).toHaveLength(1);
});

test("houses are moved and pulled with the keys; one that would leave its stands outside is not", async ({
  page,
  garden,
}) => {
  const houseAt = async (name: string) =>
    (
      await garden.rows<{ x: number; y: number; length: number; width: number }>(
        "select x_m as x, y_m as y, length_m as length, width_m as width from house where name = $1",
        [name],
      )
    )[0]!;
  await page.goto("/place?view=garden");
  await ready(page);
  await page.getByRole("button", { name: "Edit plan" }).click();
  const leanTo = page.getByRole("button", { name: /^House Lean-to/ });
  await leanTo.focus();
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("Shift+ArrowRight");
  await expect(leanTo).toHaveAccessibleName(/8.5 m by 3 m, 16.5 m from the left/);
  await page.keyboard.press("Enter");
  await expect.poll(() => houseAt("Lean-to")).toEqual({ x: 16.5, y: 0, length: 8.5, width: 3 });
  await page.keyboard.press("t");
  await page.keyboard.press("Enter");
  await expect(page.getByText(/reaches outside the house/).first()).toBeVisible();
  expect(await houseAt("Lean-to")).toEqual({ x: 16.5, y: 0, length: 8.5, width: 3 });
  await page.keyboard.press("Control+z");
  await expect.poll(() => houseAt("Lean-to")).toEqual({ x: 16, y: 0, length: 8, width: 3 });
});

test("a graded line is measured by its zones, which are made as long as the weekly plants want", async ({
  page,
  garden,
}) => {
  await page.goto("/place");
  await ready(page);
  await page.getByRole("slider", { name: /Leaf bank/ }).focus();
  await page.getByRole("button", { name: "Change Leaf bank" }).click();
  const form = drawer(page);
  await form.getByText("Everything else").click();
  for (const [zone, length, pitch, weeks] of [
    [1, "2 m", "10 cm", "2"],
    [2, "4 m", "20 cm", "3"],
  ] as const) {
    await form.getByRole("button", { name: "Add a zone" }).click();
    await form.getByLabel(`Zone length ${zone}`).fill(length);
    await form.getByLabel(`Zone pitch ${zone}`).fill(pitch);
    await form.getByLabel(`Weeks in it ${zone}`).fill(weeks);
  }
  // 19 sites at 10 cm, 19 at 20 cm: the wide part takes less a week than the close part passes on.
  await expect(form.getByText("sites: 36 × 38")).toBeVisible();
  await expect(form.getByText(/Zone 2 takes 228 plants a week, zone 1 passes on 342/)).toBeVisible();
  await form.getByLabel("Plants a week to the head of the lines").fill("180");
  await expect(form.getByText(/Zone 1 needs 360 sites and has 684/)).toBeVisible();
  await expect(form.getByText(/Zone 2 needs 540 sites and has 684/)).toBeVisible();
  await form.getByRole("button", { name: "Set the zones to these lengths" }).click();
  await save(page);
  const { spec } = await standAt(garden, "Leaf bank");
  expect(spec).toMatchObject({
    lineLengthM: 4.25,
    zones: [
      { lengthM: 1.125, weeks: 2 },
      { lengthM: 3.125, weeks: 3 },
    ],
  });
  await expect(page.getByRole("slider", { name: /Leaf bank: 36 lines/ })).toBeVisible();
});
