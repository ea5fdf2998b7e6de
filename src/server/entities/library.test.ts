import { RECIPE_LIBRARY } from "@/core/feed/library";
import { SALT_LIBRARY } from "@/core/feed/salts";
import { ionsFromElements } from "@/core/feed/nutrients";
import { solveRecipe } from "@/core/feed/solveRecipe";
import { solver } from "../solver/highs";
import { apply, type Changes, type Tables } from "@/core/garden/changes";
import { ENTITIES } from "@/core/garden/entities";
import { addCrop } from "@/core/garden/setup/addCrop";
import { addRecipe } from "@/core/garden/setup/addRecipe";
import { CROP_LIBRARY } from "@/core/growth/library/crops";
import { STRICT } from "../session/validation";
import { rowSchema } from "./joi";

/** Every row that changes add, through the check that a person's own would meet; new rows get ids as the database gives them. */
function problemsOf(changes: Changes): string[] {
  const real = (value: unknown) => (typeof value === "number" && value < 0 ? -value : value);
  return Object.entries(changes).flatMap(([table, { added }]) =>
    Object.values(added).flatMap((row) => {
      const references = ENTITIES[table]!.fields.filter(({ type }) => type === "reference").map(({ name }) => name);
      const settled = { ...row, ...Object.fromEntries(references.map((name) => [name, real(row[name])])) };
      const { error } = rowSchema(ENTITIES[table]!).validate(settled, STRICT);
      return error ? [`${table}: ${error.message}`] : [];
    }),
  );
}

test.each(CROP_LIBRARY.map((crop) => [crop.name, crop] as const))(
  "%s meets the checks of a crop of one's own",
  (_, crop) => {
    for (const latitudeDeg of [56, 0, -35]) expect(problemsOf(addCrop({}, crop, latitudeDeg))).toEqual([]);
  },
);

test.each(RECIPE_LIBRARY.map((recipe) => [recipe.name, recipe] as const))(
  "%s meets the checks of a recipe of one's own, is balanced, and can be made of its salts",
  async (_, recipe) => {
    const changes = addRecipe({}, recipe);
    expect(problemsOf(changes)).toEqual([]);
    const { K = 0, NH4 = 0, Ca = 0, Mg = 0, NO3 = 0, H2PO4 = 0, SO4 = 0 } = ionsFromElements(recipe.targetsMgPerL);
    const [cations, anions] = [K + NH4 + 2 * (Ca + Mg), NO3 + H2PO4 + 2 * SO4];
    expect(Math.abs(cations - anions) / ((cations + anions) / 2)).toBeLessThan(0.05);
    const salts = Object.values(apply({} as Tables, changes).salt!).map((row) =>
      SALT_LIBRARY.find(({ name }) => name === row.name)!,
    );
    const wish = {
      ...{ targetsMgPerL: recipe.targetsMgPerL, waterMgPerL: {} },
      salts: salts.map((salt) => ({ ...salt, pricePerKg: 0 })),
    };
    for (const { aim, miss } of solveRecipe(wish, await solver()).aims)
      if (["P", "K", "Ca", "Mg", "NO3-N"].includes(aim)) expect([aim, Math.abs(miss) < 0.08]).toEqual([aim, true]);
  },
);

test("salts that a garden has are taken, not made again", () => {
  const first = apply({} as Tables, addRecipe({}, RECIPE_LIBRARY[0]!));
  expect(Object.keys(addRecipe(first, RECIPE_LIBRARY[7]!).salt!.added)).toHaveLength(1);
});
