import type { TankFigure, TankFigures } from "./tankFigures";
import type { CautionKey } from "./cautions";
import type { FeedSheet } from "./feedSheet";
import type { LearnedResponse } from "./learnedResponse";
import type { TankAcid } from "./phDose";
import type { Salt, StockLetter, StockPlace } from "./salts";

/** One thing to do by hand. Amounts are in litres or grams; screens write them in the units of the jug that is there. */
export type SlipStep =
  | {
      readonly do: "drain";
      readonly litres: number;
      readonly why: "makes-room" | "would-overflow";
      /** So much out and in again does the same at the level that it has. */
      readonly sameVolumeL?: number;
    }
  | { readonly do: "water"; readonly litres: number; readonly why: "before-stock" }
  | {
      readonly do: "water";
      readonly litres: number;
      readonly why: "dilutes";
      readonly fromMsPerCm: number;
      readonly toMsPerCm: number;
      /** By the straight rule, a few percent short: a check. */
      readonly linearL?: number;
    }
  | { readonly do: "stock"; readonly letter: StockLetter; readonly litres: number }
  | {
      readonly do: "salt";
      readonly saltId: number;
      readonly name: string;
      readonly grams: number;
      /** Of a liquid. */
      readonly liquidL?: number;
    }
  | {
      readonly do: "acid";
      readonly acid: TankAcid;
      readonly amount: number;
      readonly unit: "mL" | "g";
      readonly halfwayPh: number;
      /** Percent by mass; slips of before were of the usual bottle. */
      readonly massPercent?: number;
      /** Told by the tank's own log; beside it what the charge balance would give. */
      readonly learned?: {
        readonly pairs: number;
        readonly least: number;
        readonly greatest: number;
        readonly workedOut: number;
      };
    }
  | { readonly do: "base"; readonly grams: number; readonly halfwayPh: number }
  | { readonly do: "wait"; readonly minutes: number; readonly before: "stock-b" | "reading-again" };

/** What a reading says. */
export type SlipFinding =
  | { readonly kind: "eats-faster" | "drinks-faster" | "too-weak" | "too-strong" | "ph-high" | "ph-low" | "in-band" }
  /** With the oxygen that water of that temperature holds at most; slips of before do not tell it. */
  | { readonly kind: "warm-water"; readonly overC: number; readonly holdsMgPerL?: number }
  /** By a meter; what the water could hold where its temperature was read. */
  | { readonly kind: "low-oxygen"; readonly oxygenMgPerL: number; readonly holdsMgPerL: number | null }
  | { readonly kind: "low-level"; readonly missingL: number }
  /** This water alone is over the target: another source could bring the tank down, or none here. */
  | { readonly kind: "water-too-strong"; readonly waterEcMsPerCm: number; readonly sourceId: number | null }
  | { readonly kind: "no-recipe" | "recipe-too-weak" }
  /** What makes it too strong is sodium and chloride: it is changed, not diluted. */
  | { readonly kind: "gathered"; readonly ecMsPerCm: number }
  /** Only half of the stock is put in: what an old solution lacks may not be what the recipe has. */
  | { readonly kind: "old-solution"; readonly ageDays: number }
  /** Over this pH calcium phosphate drops out of the feed. */
  | { readonly kind: "drops-out"; readonly clearToPh: number }
  /** pH past what the charge balance is for. */
  | { readonly kind: "ph-past-range"; readonly least: number; readonly greatest: number }
  | { readonly kind: "not-read"; readonly figures: readonly TankFigure[] };

export interface DoseSlip {
  /** "unknown": what was read does not decide it. */
  readonly verdict: "in-band" | "correct" | "cannot" | "unknown";
  readonly says: readonly SlipFinding[];
  readonly steps: readonly SlipStep[];
  readonly cautions: readonly CautionKey[];
}

export interface SlipBands {
  readonly ecLow: number;
  readonly ecHigh: number;
  readonly ecTarget: number;
  readonly phLow: number;
  readonly phHigh: number;
}

/** What a tank without a recipe cannot have: its strength is not known, its pH is. */
export interface SlipRecipe {
  readonly feed: FeedSheet;
  /** In the order of the feed sheet. */
  readonly salts: readonly ({ readonly id: number; readonly name: string } & Partial<
    Pick<Salt, "form" | "densityKgPerL">
  > & { readonly stock?: StockPlace })[];
  /** Parts of a bought product, which may not meet undiluted. */
  readonly inParts?: boolean;
  readonly bands: SlipBands;
}

export interface DoseSlipInput {
  readonly recipe: SlipRecipe | null;
  readonly feeding: "injector" | "stocks" | "dry";
  readonly reading: TankFigures;
  /** The reading before, if there is one, for what changed. */
  readonly before: Pick<TankFigures, "ecMsPerCm" | "levelL"> | null;
  readonly normalFillL: number;
  /** Level that must not be passed: the rim less what drains back and freeboard. */
  readonly greatestL: number;
  readonly acid: TankAcid;
  /** Of another bottle than the usual one. */
  readonly acidStrength?: { readonly massPercent: number; readonly densityGPerMl: number } | null;
  /** How the tank has answered to this acid; null while its log tells too little. */
  readonly response?: LearnedResponse | null;
  /** Over the sea; 0 where it is not told. */
  readonly heightM?: number;
  /** Of a tank that goes round: how old its solution is, and what has gathered in it. */
  readonly solution?: { readonly ageDays: number | null; readonly gatheredShare: number };
  /** How the tank's meter has read fresh feed, against what is worked out; 1 while the log tells too little. */
  readonly ecFactor?: number;
  /** Over this pH calcium phosphate drops out of the feed; not told where its ions are not known. */
  readonly clearToPh?: number | null;
  /** A source weaker than the target, where there is one. */
  readonly weakerSourceId: number | null;
}
