/** What is wrong or doubtful about a stand as measured. Figures are in metres, millimetres, litres and minutes. */
export type StandFinding =
  | { readonly kind: "narrow-aisle"; readonly leastM: number; readonly accessibleM: number }
  | { readonly kind: "past-reach"; readonly blockM: number; readonly twoSidesM: number; readonly oneSideM: number }
  | {
      readonly kind: "thin-plastic";
      readonly part: "channel" | "raft";
      readonly plasticLeftMm: number;
      readonly leastMm: number;
    }
  | { readonly kind: "thin-end"; readonly endMm: number; readonly leastMm: number }
  | { readonly kind: "no-site"; readonly part: "bed" | "channel" | "raft" | "bench" }
  | { readonly kind: "wide-hole" }
  | { readonly kind: "wide-buckets" }
  | { readonly kind: "wide-pots" }
  | { readonly kind: "near-rows"; readonly acrossM: number; readonly pitchM: number }
  | { readonly kind: "dry-top"; readonly riseM: number; readonly mediumDepthM: number }
  | { readonly kind: "wet-top" }
  | { readonly kind: "flat-fall" }
  | { readonly kind: "steep-fall" }
  | { readonly kind: "high-inlet"; readonly inletM: number }
  | { readonly kind: "long-channel"; readonly lengthM: number; readonly mostM: number }
  | { readonly kind: "zones-length"; readonly zonesM: number; readonly lineM: number }
  | {
      readonly kind: "zone-overrun";
      /** Counted from 1 at the inlet. */
      readonly zone: number;
      readonly takesPerWeek: number;
      readonly passedOnPerWeek: number;
    }
  | { readonly kind: "slow-fill"; readonly minutes: number }
  | { readonly kind: "slow-drain"; readonly minutes: number }
  | { readonly kind: "no-raft" }
  | { readonly kind: "open-water"; readonly openShare: number }
  | { readonly kind: "shallow-pond"; readonly leastM: number }
  | { readonly kind: "no-tray" }
  | { readonly kind: "rare-rinse"; readonly usualPerDay: number }
  | { readonly kind: "high-tier"; readonly topM: number }
  | { readonly kind: "root-crops"; readonly crops: readonly string[] }
  | {
      readonly kind: "tank-overflows";
      readonly loopName: string;
      readonly drainBackL: number;
      readonly headspaceL: number;
    };

/** Figures that a kind of stand has besides its plants. */
export type StandFactKind =
  | "row-gap"
  | "nearest-neighbour"
  | "plastic-left"
  | "raft-plastic-left"
  | "drop"
  | "flow-per-plant"
  | "medium-per-plant"
  | "medium-per-bed"
  | "flood"
  | "fill-time"
  | "drain-time"
  | "rafts"
  | "raft-rows"
  | "turnover"
  | "trays-on-shelf"
  | "trays"
  | "rinse-water"
  | "tower-height"
  | "shade-darkest"
  | "shade-brightest";

/** How the water that a stand holds and gives back comes about. */
export type StandWaterHow =
  | "drip"
  | "wicking"
  | "channels"
  | "buckets"
  | "benches"
  | "media-full"
  | "media-drains"
  | "ponds"
  | "trays"
  | "rinsed"
  | "towers";
