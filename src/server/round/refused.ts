import type { MeterQuantity, SuspectedSlip } from "@/core/units/slips";

/** Why something of the round or the log is not saved. */
export type RoundRefusal = { readonly room: "round" } & (
  | { readonly kind: "not-on-round" }
  | { readonly kind: "enter-figures" }
  | { readonly kind: "follow-slip" }
  | { readonly kind: "no-slip" }
  | { readonly kind: "say-what-is-left"; readonly quantity: number; readonly unit: string }
  | { readonly kind: "whole-units"; readonly quantity: number; readonly unit: string }
  | { readonly kind: "asks"; readonly meter: MeterQuantity; readonly slip: SuspectedSlip }
  | { readonly kind: "asks-calibration"; readonly strength: number }
  | { readonly kind: "tank-gone" | "stand-gone" | "batch-gone" }
  | { readonly kind: "over-sown"; readonly of: number; readonly seeds: number }
  | { readonly kind: "over-counted"; readonly up: number; readonly of: number }
  | { readonly kind: "over-tank"; readonly levelL: number; readonly tankL: number }
  | { readonly kind: "over-store"; readonly storedL: number; readonly capacityL: number; readonly store: string }
  | { readonly kind: "no-such-figure"; readonly name: string }
);
