import type { IonBalance } from "@/core/feed/ionBalance";

/** Why something of the water is not worked out, or not saved. */
export type WaterRefusal = { readonly room: "water" } & (
  | { readonly kind: "no-rain-store" | "nothing-drawn" }
  | { readonly kind: "pump-rises"; /** Counted from 1. */ readonly point: number }
  | { readonly kind: "ions-out"; readonly balance: IonBalance }
);
