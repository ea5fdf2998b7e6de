import { AMMONIUM_SALT, LIBRARY_SALTS, type LibraryRecipe } from "../../feed/library";
import { SALT_LIBRARY, type Salt } from "../../feed/salts";
import type { Changes, Row, Tables } from "../changes";
import { newRow } from "../edit";
import { RECIPE, RECIPE_SALT, SALT } from "../entities/feed";
import { freeName } from "./setUp";

/** The id of the new recipe; its salts count down from there. */
export const RECIPE_ID = -1;
/** The id of a new salt that comes alone. */
export const SALT_ID = -1;

/**
 * A recipe of the library as rows of a garden, with the salts that make it; those that the garden does not have come too.
 */
export function addRecipe(tables: Tables, recipe: LibraryRecipe): Changes {
  const names = new Set(Object.values(tables.recipe ?? {}).map(({ name }) => String(name)));
  const { name, ecLow, ecMsPerCm, ecHigh, phLow, phHigh, targetsMgPerL } = recipe;
  const row = { name: freeName(name, names), ecLow, ecMsPerCm, ecHigh, phLow, phHigh, targetsMgPerL };
  const wantsAmmonium = (targetsMgPerL["NH4-N"] ?? 0) > 0;
  const salts: Record<number, Row> = {};
  const parts: Record<number, Row> = {};
  [...LIBRARY_SALTS, ...(wantsAmmonium ? [AMMONIUM_SALT] : [])].forEach(([salt, stock], index) => {
    const there = Object.values(tables.salt ?? {}).find((one) => one.name === salt);
    const saltId = there ? Number(there.id) : RECIPE_ID - 100 - index;
    if (!there)
      salts[saltId] = saltRow(
        tables,
        saltId,
        SALT_LIBRARY.find((one) => one.name === salt)!,
      );
    const id = RECIPE_ID - 1 - index;
    parts[id] = newRow(tables, RECIPE_SALT, id, { recipeId: RECIPE_ID, saltId, stock });
  });
  const added = (rows: Record<number, Row>) => ({ added: rows, removed: {}, updated: {} });
  return {
    ...(Object.keys(salts).length > 0 && { salt: added(salts) }),
    recipe: added({ [RECIPE_ID]: newRow(tables, RECIPE, RECIPE_ID, row as unknown as Row) }),
    recipe_salt: added(parts),
  };
}

/** A salt of the library as a row of a garden. */
export function addSalt(tables: Tables, salt: Salt): Changes {
  return { salt: { added: { [SALT_ID]: saltRow(tables, SALT_ID, salt) }, removed: {}, updated: {} } };
}

function saltRow(
  tables: Tables,
  id: number,
  {
    name,
    percent,
    solubilityGPerL,
    chelate = false,
    alone = false,
    caution = "",
    form = "solid",
    densityKgPerL = null,
  }: Salt,
): Row {
  const row = { name, percent, solubilityGPerL, chelate, alone, caution, form, densityKgPerL };
  return newRow(tables, SALT, id, row as unknown as Row);
}
