import type { StockLetter } from "@/core/feed/salts";
import type { StockConflict } from "@/core/feed/stocks";

/** Why a recipe is not saved. */
export type FeedRefusal = {
  readonly room: "feed";
  readonly kind: "stock-conflict";
  readonly letter: StockLetter;
  readonly conflict: StockConflict;
};
