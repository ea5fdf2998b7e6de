import type { Told, ToldKindName } from "../../place/told/kinds";
import type { TimerProgram } from "../../water/timer";
import type { House } from "../garden";

/** Where stands may be put: a house, or a place without walls. */
export const PLACE_KINDS = {
  "film tunnel": { cover: "film", heightM: 2.5, shadeShare: 0 },
  glasshouse: { cover: "glass", heightM: 2.5, shadeShare: 0 },
  "net house": { cover: "net", heightM: 3, shadeShare: 0.3 },
  shed: { cover: "solid", heightM: 2.4, shadeShare: 0 },
  balcony: { cover: "open", heightM: 2.5, shadeShare: 0 },
  windowsill: { cover: "glass", heightM: 1.5, shadeShare: 0 },
  yard: { cover: "open", heightM: 2.5, shadeShare: 0 },
} as const satisfies Record<string, Pick<House, "cover" | "heightM" | "shadeShare">>;
export type PlaceKind = keyof typeof PLACE_KINDS;
export const PLACE_KIND_NAMES = Object.keys(PLACE_KINDS) as readonly PlaceKind[];

/** A new place; without its sides it is as large as what stands in it needs. */
export interface NewPlace {
  readonly kind: PlaceKind;
  readonly name: string;
  readonly lengthM: number | null;
  readonly widthM: number | null;
}

/** Stands of one kind, as they are told. */
export interface ToldStand {
  readonly told: ToldKindName;
  readonly figures: Told;
  /** For young plants: not where they finish. */
  readonly young: boolean;
}

/** What somebody has got. */
export interface Setup {
  readonly place: NewPlace | { readonly houseId: number };
  readonly stands: readonly ToldStand[];
  readonly tank: { readonly litres: number; readonly underOutletsM: number } | null;
  readonly pump: { readonly flowAtNoLiftLph: number; readonly greatestLiftM: number } | null;
  readonly timer: TimerProgram;
  /** Pipes are proposed as they are sold. */
  readonly system: "metric" | "us";
}
