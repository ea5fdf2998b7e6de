import type { Source } from "./garden";
import type { LoopFeed } from "./fed";

/** What an acid may bring to a loop's feed of each nutrient, mg/L: the target at its strength less what the water has. */
export function acidRoom(
  { recipe, sheet }: LoopFeed,
  source: Pick<Source, "analysisMgPerL"> | null,
): Readonly<Record<"NO3-N" | "P" | "S", number>> {
  const room = (nutrient: "NO3-N" | "P" | "S") =>
    Math.max(
      0,
      (recipe.targetsMgPerL[nutrient] ?? 0) * (sheet.strength ?? 1) - (source?.analysisMgPerL[nutrient] ?? 0),
    );
  return { "NO3-N": room("NO3-N"), P: room("P"), S: room("S") };
}
