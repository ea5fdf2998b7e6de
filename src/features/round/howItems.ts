import type { RoundKind } from "@/core/round/types";

/** How the figure of an item was worked out, by its kind. */
export const HOW_FIGURE: Readonly<Partial<Record<RoundKind, string>>> = {
  sow: "The fewest cells that give the batch a 90 % chance of reaching its plants: a binomial count of cells in which a seed comes up and the plant survives every later stage.",
  move: "Plants begun in the stage before × the share that survive it; a real count takes the place of the plan.",
  pick: "The order of this market day, met from the batches that are ready then, the oldest first.",
  mix: "The volume of the stock tank, less what is left in it at strength.",
  "top-up":
    "Normal fill level less the level expected today: the last level read, less what the plants in the plan have drunk on each day since.",
  order: "What the plan takes of this salt, less what is on the shelf and in the stock tanks.",
};

/** How the amounts under it were worked out. */
export const HOW_AMOUNT =
  "Grams for 1000 L of feed from the recipe, brought to its EC with this water, × the volume ÷ 1000; for a stock tank × its concentration factor.";
