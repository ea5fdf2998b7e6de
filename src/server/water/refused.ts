/** Why something of the water is not worked out. */
export type WaterRefusal = { readonly room: "water" } & { readonly kind: "no-rain-store" | "nothing-drawn" };
