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
