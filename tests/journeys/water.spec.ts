import { expect, ready, test } from "./garden";

test("a pump that cannot lift is found out, and one that can is put in; a closed bank gives the rest more", async ({
  page,
  garden,
}) => {
  await page.goto("/water/pump");
  await ready(page);
  const gives = page.getByRole("region", { name: "What the pump gives" });
  const flow = async () => Number((await gives.locator("p").first().innerText()).replaceAll(/[^\d.]/gu, ""));
  await expect(gives).toContainText("It fits");

  await test.step("a bank is closed: each of the others gets more", async () => {
    const bank = page.getByRole("listitem").filter({ hasText: "Leaf bank, valve 1" });
    const share = async () => Number(/(\d+) %$/u.exec((await bank.innerText()).trim())![1]);
    const before = await share();
    const all = await flow();
    await page.getByRole("switch", { name: "Nursery bank, valve 1: open" }).click();
    await page.getByRole("switch", { name: "Leaf bank, valve 2: open" }).click();
    await expect(page.getByText("closed", { exact: true })).toHaveCount(2);
    expect(await flow()).toBeLessThan(all);
    expect(await share()).toBeGreaterThan(before);
    await page.getByRole("switch", { name: "Nursery bank, valve 1: open" }).click();
    await page.getByRole("switch", { name: "Leaf bank, valve 2: open" }).click();
  });

  await test.step("one by its label cannot lift, and what would is said", async () => {
    await page.getByRole("textbox", { name: "Flow at no lift" }).fill("4000 L/h");
    await page.getByRole("textbox", { name: "Greatest lift" }).fill("0.5 m");
    await page.getByRole("button", { name: "Try it", exact: true }).click();
    await expect(gives).toContainText("It cannot lift the water to");
    await expect(gives).toContainText(/Wanted is a pump that gives .* at .* of head/u);
    await expect(page.getByText("the Leaf loop keeps its own until you put this one in")).toBeVisible();
  });

  await test.step("one that does is chosen from the sizes that are sold, put in, and taken out again", async () => {
    const sizes = page.getByRole("list", { name: "Sizes that are sold" });
    await sizes.getByRole("button", { name: /fits/ }).first().click();
    await expect(gives).toContainText("It fits");
    await page.getByRole("button", { name: "Put it into the Leaf loop" }).click();
    await expect(page.getByText("The pump is changed")).toBeVisible();
    const [loop] = await garden.rows<{ pump: Record<string, unknown> }>("select pump from loop where name = 'Leaf'");
    expect(loop!.pump).toMatchObject({ kind: "label", boreMm: 33.2, pipeLengthM: 14 });
    await page.getByRole("button", { name: "Undo" }).click();
    await expect
      .poll(
        async () =>
          (await garden.rows<{ kind: string }>("select pump ->> 'kind' as kind from loop where name = 'Leaf'"))[0]!
            .kind,
      )
      .toBe("table");
  });
});

test("emitter spacings are compared and one is kept; a catch-can test puts the flush on the round", async ({
  page,
  garden,
}) => {
  await page.goto("/water/lines");
  await ready(page);

  await test.step("a close spacing leaves fewer plants dry, and is kept with its line", async () => {
    const row = (spacing: string) =>
      page.getByRole("row").filter({ has: page.getByRole("rowheader", { name: spacing }) });
    await page.getByRole("combobox", { name: /of the emitters are blocked/ }).selectOption("0.1");
    const dry = async (spacing: string) => parseFloat(await row(spacing).getByRole("cell").nth(4).innerText());
    expect(await dry("100 mm")).toBeLessThan(await dry("400 mm"));
    await page.getByRole("textbox", { name: "Emitter spacing" }).fill("20 cm");
    await expect(page.getByText("50 emitters").first()).toBeVisible();
    await page.getByRole("textbox", { name: "Emitter spacing" }).fill("0");
    await expect(page.getByRole("alert").filter({ hasText: "Emitter spacing" })).toContainText("must be from");
    await page.getByRole("textbox", { name: "Emitter spacing" }).fill("20 cm");
    await page.getByRole("button", { name: "Keep this line" }).click();
    await expect(page.getByText("Saved")).toBeVisible();
    const [stand] = await garden.rows<{ spec: Record<string, number> }>("select spec from stand where name = 'Beds'");
    expect(stand!.spec).toMatchObject({ emitterSpacingM: 0.2, lateralBoreMm: 13.6 });
  });

  await test.step("cans are written down, wrong ones are named, and what they find comes onto the round", async () => {
    const cans = page.getByRole("textbox", { name: /Caught, mL/ });
    await cans.fill("81 79 eighty 78");
    await page.getByRole("button", { name: "Keep this test" }).click();
    await expect(page.getByText("Can 3: “eighty” is not a number")).toBeVisible();
    await cans.fill("81 79 80 12 78 80 82 81 150 79");
    await expect(page.getByRole("img", { name: "10 cans along the line. blocked: 4; blown: 9" })).toBeVisible();
    await page.getByRole("combobox", { name: "Line", exact: true }).selectOption("3");
    await page.getByRole("button", { name: "Keep this test" }).click();
    await expect(page.getByText("Test kept")).toBeVisible();
    await expect(cans).toHaveValue("");
    await page.goto("/round");
    await ready(page);
    await page.getByRole("link", { name: /Beds, line 3: flush or replace emitters/ }).click();
    const panel = page.getByRole("region", { name: /Beds, line 3/ });
    await expect(panel).toContainText("blocked: 4; blown: 9");
    await panel.getByRole("button", { name: "Done as planned" }).click();
    await expect
      .poll(async () => {
        const [flushed] = await garden.rows<{ count: number }>(
          "select count(*)::integer from log_entry where kind = 'flush' and (what ->> 'done')::integer = 2",
        );
        return flushed!.count;
      })
      .toBe(1);
  });
});

test("when sources are lost a first short day comes into sight; a thousand years of weather are tried", async ({
  page,
}) => {
  await page.goto("/water/supply");
  await ready(page);
  const horizon = page.getByRole("img", { name: /^Stored water and daily draw/ });
  await expect(horizon).toHaveAccessibleName(/never short/);
  const weather = page.getByRole("region", { name: "Store and weather" });

  await test.step("with all sources the plan is carried in every simulated year", async () => {
    await weather.getByRole("button", { name: "Try a thousand years" }).click();
    await expect(weather.getByText(/100 % of 1.?000 simulated years/)).toBeVisible();
  });

  await test.step("the well and the standpipe are lost", async () => {
    for (const [name, field] of [
      ["Salty well", "Hours a day"],
      ["Standpipe", "Allowance a day"],
    ] as const) {
      const row = page.getByRole("listitem").filter({ hasText: name });
      await row.getByRole("button", { name: /^Change/ }).click();
      const dialog = page.getByRole("dialog");
      await dialog.getByLabel(field).fill("0");
      await dialog.getByRole("button", { name: "Save" }).click();
      await expect(dialog).toBeHidden();
    }
    await expect(horizon).toHaveAccessibleName(/first short on \d+ \w+ 2028/);
  });

  await test.step("asked again, fewer years are carried, and what store would do is said", async () => {
    await weather.getByRole("button", { name: "Try the years again" }).click();
    await expect(weather.getByText(/No store up to .* carries 90 %|would carry 90 % of them/)).toBeVisible();
  });
});

test("daily weather is brought in: what is wrong is told by its line, mended, taken whole, and becomes the months", async ({
  page,
  garden,
}) => {
  const days = Array.from({ length: 365 }, (_, at) => {
    const date = new Date(Date.UTC(2026, 0, 1 + at)).toISOString().slice(0, 10);
    const swing = -Math.cos((2 * Math.PI * at) / 365);
    return `${date},${(22 + 8 * swing).toFixed(1)},${(12 + 6 * swing).toFixed(1)},${at % 9 === 0 ? 6 : 0}`;
  });
  const broken = ["date,tmax,tmin,rain", ...days.toSpliced(40, 1)];
  broken[4] = broken[4]!.replace(/,[\d.]+,/u, ",warm,");
  await page.goto("/growth/climate");
  await ready(page);
  await page.getByRole("button", { name: "Bring in daily weather" }).click();
  await page
    .getByLabel("File of daily weather")
    .setInputFiles({ name: "station.csv", mimeType: "text/csv", buffer: Buffer.from(broken.join("\n")) });
  const wrong = page.getByRole("dialog").getByRole("alert");
  await expect(wrong).toContainText("2 things are wrong; nothing is brought in");
  await expect(wrong).toContainText("Line 5: the warmest of the day is “warm”, which is no number.");
  await expect(wrong).toContainText("Before line 42: 10 Feb 2026 is missing.");
  await expect(page.getByRole("button", { name: "Bring in", exact: true })).toBeDisabled();
  expect(await garden.rows("select 1 from weather_day")).toEqual([]);
  await page.getByLabel("Or paste it here").fill(["date,tmax,tmin,rain", ...days].join("\n"));
  await expect(page.getByRole("dialog").getByRole("status")).toContainText("365 days, 1 Jan 2026 to 31 Dec 2026");
  await page.getByRole("button", { name: "Bring in 365 days" }).click();
  await expect(page.getByText("365 days of weather were brought in, 1 Jan 2026 to 31 Dec 2026.")).toBeVisible();

  await page.getByRole("button", { name: "Change the months" }).click();
  await page.getByRole("button", { name: "Fill in the means of the imported days" }).click();
  await expect(page.getByRole("textbox", { name: "Warmest of the day, July" })).toHaveValue("29.7");
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByText("Climate saved")).toBeVisible();
  const [climate] = await garden.rows<{ july: number }>("select highest_c_by_month[7] as july from climate");
  expect(climate!.july).toBe(29.7);
});

test("an analysis that does not balance is refused with the likely slip, and kept when somebody says so; two waters are mixed", async ({
  page,
  garden,
}) => {
  await page.goto("/water/supply");
  await ready(page);
  const kept = async () =>
    (
      await garden.rows<{ sulfur: number; doubted: boolean }>(
        "select (analysis_mg_per_l ->> 'S')::float as sulfur, balance_doubted as doubted from source where name = 'Standpipe'",
      )
    )[0]!;
  await page.getByRole("button", { name: "Change 2. Standpipe" }).click();
  const form = page.getByRole("dialog");
  await form.getByText("What is in it").click();
  await form.getByRole("textbox", { name: "S", exact: true }).fill("36");
  await form.getByRole("textbox", { name: "K", exact: true }).fill("3");
  await form.getByRole("button", { name: "Save" }).click();
  await expect(form.getByText(/Its ions do not balance.*sulfate as SO₄/u)).toBeVisible();
  await expect(form.getByRole("textbox", { name: "S", exact: true })).toHaveValue("36");
  expect(await kept()).toEqual({ sulfur: 12, doubted: false });
  await form.getByRole("checkbox", { name: /Keep the analysis/ }).check();
  await form.getByRole("button", { name: "Save" }).click();
  await expect(page.getByText("Source saved")).toBeVisible();
  expect(await kept()).toEqual({ sulfur: 36, doubted: true });

  await page.getByRole("link", { name: "Quality" }).click();
  await expect(page.getByText(/Standpipe: Its ions do not balance.*It was kept so/u)).toBeVisible();
  const blend = page.locator("section").filter({ has: page.getByRole("heading", { name: "A blend" }) });
  await blend.getByRole("combobox", { name: "Other water" }).selectOption("Salty well");
  await blend.getByRole("textbox", { name: "Parts of the first water" }).fill("3");
  // A quarter of 140 mg/L, and three quarters of 2.
  await expect(blend).toContainText("36.5 mg/L");
  await page.getByRole("textbox", { name: "Bear up to" }).fill("10");
  await expect(page.getByText("over from today").first()).toBeVisible();
});
