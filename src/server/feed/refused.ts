import type { LabelEcMissing } from "@/core/feed/byLabel";
import type { LabelFeedDoubt, ProductProblem } from "@/core/feed/labelFeed";
import type { StockLetter } from "@/core/feed/salts";
import type { SaltsProblem } from "@/core/feed/saltsFile";
import type { StockConflict } from "@/core/feed/stocks";

/** Why a recipe or a file of salts is not taken. */
export type FeedRefusal = { readonly room: "feed" } & (
  | { readonly kind: "stock-conflict"; readonly letter: StockLetter; readonly conflict: StockConflict }
  | { readonly kind: "product-wrong"; readonly product: string; readonly problem: ProductProblem }
  | { readonly kind: "label-ec-not-told"; readonly why: LabelEcMissing }
  | { readonly kind: "asks-label"; readonly doubts: readonly LabelFeedDoubt[] }
  | { readonly kind: "salts-faults"; readonly problems: readonly SaltsProblem[] }
);
