import type { RoundKind } from "@/core/round/types";

/** How the figure of an item came about, by its kind. */
export const HOW_FIGURE: Readonly<Partial<Record<RoundKind, string>>> = {
  sow: "The least number of cells with which the batch reaches its plants nine times in ten: a binomial count of cells in which a seed comes up and the plant comes through every later stage.",
  move: "What was begun in the stage before, times the share that comes through it; what was really counted there takes the place of the plan.",
  pick: "The order of this market day, met from the batches that are ready then, the oldest first.",
  mix: "The volume of the stock tank: it is mixed full.",
  "top-up":
    "Working volume less the level expected today: the last level read, less what the plants in the plan have drunk on each day since.",
  order: "What the plan takes of this salt, less what is on the shelf and in the stock tanks.",
};

/** How the amounts under it came about. */
export const HOW_AMOUNT =
  "Grams for 1000 L of feed from the recipe, brought to its EC with this water, × the volume ÷ 1000; for a stock tank × its concentration factor.";
