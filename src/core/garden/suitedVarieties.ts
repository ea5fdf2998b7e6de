import { modelOf } from "../place/kinds";
import { bandsMiss } from "./cropProfile";
import { clockedVarieties } from "./clocks";
import type { Garden, Variety } from "./garden";
import { memo } from "./memo";

/** Varieties with their clocks, and with the loops and stands of the garden that are not for them. */
export function suitedVarieties(garden: Garden): readonly Variety[] {
  const varieties = clockedVarieties(garden);
  const { loops, recipes, stands } = garden;
  return memo("suited", [varieties, loops, recipes, stands], () =>
    varieties.map((variety) => {
      const unsuited = { loopIds: unsuitedLoops(garden, variety), standIds: unsuitedStands(garden, variety) };
      return unsuited.loopIds.length + unsuited.standIds.length > 0 ? { ...variety, unsuited } : variety;
    }),
  );
}

/** Loops whose recipe has a band of EC or pH that the crop's own does not meet. */
function unsuitedLoops({ loops, recipes }: Garden, { ecLow, ecHigh, phLow, phHigh }: Variety): number[] {
  return loops
    .filter(({ recipeId }) => {
      const recipe = recipes.find(({ id }) => id === recipeId);
      if (!recipe) return false;
      return (
        bandsMiss([ecLow, ecHigh], [recipe.ecLow, recipe.ecHigh]) ||
        bandsMiss([phLow, phHigh], [recipe.phLow, recipe.phHigh])
      );
    })
    .map(({ id }) => id);
}

function unsuitedStands({ stands }: Garden, { kind }: Variety): number[] {
  return kind === "root" ? stands.filter(({ spec }) => modelOf(spec).noRootCrops).map(({ id }) => id) : [];
}
