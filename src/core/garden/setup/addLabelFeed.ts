import type { ByLabel } from "../../feed/byLabel";
import { ecOfIons } from "../../feed/ec";
import type { KeptProduct, LabelProduct } from "../../feed/labelFeed";
import { mixIons, type IonAmounts } from "../../feed/nutrients";
import { STOCK_LETTERS } from "../../feed/salts";
import { requireRange } from "../../units/range";
import type { Changes, Row, Tables } from "../changes";
import { newRow } from "../edit";
import { RECIPE, RECIPE_SALT, SALT } from "../entities/feed";
import { RECIPE_ID } from "./addRecipe";
import { freeName } from "./setUp";

/** Around what is wanted, where nobody has told a band. */
const EC_BAND = 0.15;
const PH_BAND = { phLow: 5.6, phHigh: 6.5 };

/** The EC of a share of the labels' doses in a water. @param share 1 is the label's dose @source ecOfIons */
export function ecOfShare(ions: IonAmounts, water: IonAmounts, share: number): number {
  requireRange("ecOfShare", "share", share, 0, 10);
  return ecOfIons(
    mixIons([
      [1, water],
      [share, ions],
    ]),
  );
}

/** A feed by labels, as it is kept. */
export interface LabelFeed {
  readonly name: string;
  readonly products: readonly (KeptProduct & Pick<LabelProduct, "name" | "form">)[];
  readonly found: Exclude<ByLabel, { readonly kind: "not-told" }>;
  /** EC wanted of the ready feed, its water counted in, mS/cm. */
  readonly ecMsPerCm: number;
}

/**
 * Bought products and a feed of them by their labels as rows of a garden: the parts keep the letters of their bottles. A
 * product of the same name that is on the shelf already is another one: it may be of another strength.
 */
export function addLabelFeed(tables: Tables, { name, products, found, ecMsPerCm }: LabelFeed): Changes {
  const taken = (table: string) => new Set(Object.values(tables[table] ?? {}).map((row) => String(row.name)));
  const saltNames = taken("salt");
  const salts: Record<number, Row> = {};
  const parts: Record<number, Row> = {};
  products.forEach(({ name: own, form, percent, densityKgPerL, gPer1000L }, at) => {
    const [saltId, partId] = [RECIPE_ID - 1 - at, RECIPE_ID - 11 - at];
    const salt = freeName(own, saltNames);
    saltNames.add(salt);
    salts[saltId] = newRow(tables, SALT, saltId, { name: salt, form, percent: percent as Row, densityKgPerL });
    const stock = STOCK_LETTERS[at]!;
    parts[partId] = newRow(tables, RECIPE_SALT, partId, { recipeId: RECIPE_ID, saltId, stock, gPer1000L });
  });
  const recipe = newRow(tables, RECIPE, RECIPE_ID, {
    ...{ name: freeName(name, taken("recipe")), ecMsPerCm, ...PH_BAND },
    ...{ ecLow: ecMsPerCm * (1 - EC_BAND), ecHigh: ecMsPerCm * (1 + EC_BAND), targetsMgPerL: {} },
    ...{ byLabel: true, labelEcMsPerCm: found.kind === "told" ? found.ecMsPerCm : null },
  });
  const added = (rows: Record<number, Row>) => ({ added: rows, removed: {}, updated: {} });
  return { salt: added(salts), recipe: added({ [RECIPE_ID]: recipe }), recipe_salt: added(parts) };
}
