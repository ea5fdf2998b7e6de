"use client";
import { RECIPE_LIBRARY, type LibraryRecipe } from "@/core/feed/library";
import type { UnitPreferences } from "@/core/units/dimensions";
import { formatNumber, quantityText } from "@/core/units/format";
import { LibraryList } from "@/features/frame/LibraryList";
import { addLibraryRecipe } from "@/server/feed/library";
import { useUnits } from "@/ui/units";

/** Recipes that ship with Seed Round. */
export function RecipeLibrary({ there }: { readonly there: readonly string[] }) {
  const units = useUnits();
  return (
    <LibraryList
      items={RECIPE_LIBRARY.map((recipe) => ({
        name: recipe.name,
        about: aboutWords(recipe, units),
        from: recipe.source,
      }))}
      there={there}
      action={addLibraryRecipe}
    />
  );
}

const SHOWN = ["P", "K", "Ca", "Mg", "S"] as const;

function aboutWords({ targetsMgPerL, ecLow, ecHigh }: LibraryRecipe, units: UnitPreferences): string {
  const nitrogen = (targetsMgPerL["NO3-N"] ?? 0) + (targetsMgPerL["NH4-N"] ?? 0);
  const amounts = SHOWN.map((name) => `${name} ${formatNumber(targetsMgPerL[name] ?? 0)}`);
  return `N ${formatNumber(nitrogen)}, ${amounts.join(", ")} mg/L; EC ${quantityText(ecLow, "ec", units)} to ${quantityText(ecHigh, "ec", units)}`;
}
