import { screen, within } from "@testing-library/react";
import type { Recipe } from "@/core/garden/garden";
import { shown } from "../../../tests/component/shown";
import { inMeasure } from "./OwnMeasure";
import { RecipeCompare } from "./RecipeCompare";

const recipe = (id: number, name: string, targetsMgPerL: Recipe["targetsMgPerL"]) =>
  ({ id, name, targetsMgPerL }) as unknown as Recipe;
const cells = (name: string) =>
  within(screen.getByRole("row", { name: new RegExp(`^${name}`, "u") }))
    .getAllByRole("cell")
    .map((cell) => cell.textContent);

test("two recipes side by side: as they are written, and both at one EC, where ratios stay", async () => {
  const one = { "NO3-N": 140, K: 391 };
  const recipes = [recipe(1, "Weak", one), recipe(2, "Twice", { "NO3-N": 280, K: 782, P: 30 })];
  const { user } = shown(<RecipeCompare recipes={recipes} firstId={1} />);
  await user.selectOptions(screen.getByRole("combobox", { name: "Compared" }), "as written");
  expect(cells("NO3-N")).toEqual(["140", "280", "2"]);
  expect(cells("P ")).toEqual(["–", "30", "–"]);
  expect(cells("K for each N")).toEqual(["2.79", "2.79", ""]);
  await user.selectOptions(screen.getByRole("combobox", { name: "Compared" }), "both at EC");
  expect(Number(cells("NO3-N")[2])).toBeGreaterThan(0.9);
  expect(Number(cells("NO3-N")[2])).toBeLessThan(1.05);
});

test("a dose in what stands beside the tank: spoons, caps and jugs of one's own, never less than a quarter", () => {
  const own = { capMl: 12, jugMl: 200 };
  expect(inMeasure(0.03, { kind: "mL", ...own })).toBeNull();
  expect(inMeasure(0.03, { kind: "teaspoons", ...own })).toBe("6 teaspoons");
  expect(inMeasure(0.015, { kind: "tablespoons", ...own })).toBe("1 tablespoon");
  expect(inMeasure(0.03, { kind: "caps", ...own })).toBe("2.5 caps");
  expect(inMeasure(0.5, { kind: "jugs", ...own })).toBe("2.5 jugs");
  expect(inMeasure(0.0005, { kind: "teaspoons", ...own })).toBe("under a quarter of a teaspoon: use a syringe");
});
