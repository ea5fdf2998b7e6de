import type { CropsProblem } from "@/core/garden/cropsFile";

/** Why something of the crops is not saved. */
export type GrowthRefusal = { readonly room: "growth" } & {
  readonly kind: "crops-faults";
  readonly problems: readonly CropsProblem[];
};
