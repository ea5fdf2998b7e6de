import type { NoSeason } from "@/core/garden/season/planSeason";
import type { Day } from "@/core/units/day";

/** Why a batch is not changed, or not put somewhere. */
export type BatchesRefusal = { readonly room: "batches" } & (
  | { readonly kind: "batch-gone" | "sown-already" | "places-meet" | "no-stay" | "other-area" }
  | { readonly kind: "too-few-sites"; readonly plants: number; readonly sites: number }
  | { readonly kind: "taken"; readonly variety: string; readonly sowDay: Day }
  | { readonly kind: "split-all"; readonly plants: number }
  | { readonly kind: "join-apart" }
  | { readonly kind: "no-season"; readonly why: NoSeason["kind"] }
);
