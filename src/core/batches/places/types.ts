import type { Day } from "../../units/day";

/** A line of a growing area: the smallest place that is washed at once. */
export interface PlaceLine {
  readonly id: string;
  readonly sites: number;
  /** Lines of one bank stand beside one another and are washed together. */
  readonly bank?: string;
  /** Plants of one family must not follow one another here, as in a bed. */
  readonly rotates?: boolean;
}

/** Neighbouring sites of a line, counted from 1. */
export interface SiteRange {
  readonly line: string;
  readonly first: number;
  readonly count: number;
}

/** What wants a place: so many plants on [from, to), and the cleaning after that. */
export interface PlaceStay {
  readonly id: string;
  readonly plants: number;
  readonly from: Day;
  readonly to: Day;
  /** Where it may stand; anywhere where nothing is told. */
  readonly allowedLines?: readonly string[];
  /** Where it stands, whatever else comes. */
  readonly pinned?: readonly SiteRange[];
  /** What rotates looks at. */
  readonly family?: string;
}

export interface PlacingProblem {
  readonly lines: readonly PlaceLine[];
  readonly cleaningDays: number;
  readonly stays: readonly PlaceStay[];
  /** How long it is tried to mend what is out of place; 1 where nothing is told. */
  readonly effort?: number;
}

/** How sure it is that nothing better can be had: by the counts alone, by looking through everything, or not. */
export type PlacingProof = "by-count" | "by-search" | "none";

export interface Placing {
  /** A stay is placed whole or not at all. */
  readonly placed: ReadonlyMap<string, readonly SiteRange[]>;
  readonly leftOut: readonly string[];
  readonly plantsLeftOut: number;
  /** Lines of all placed stays, summed. */
  readonly linesTouched: number;
  readonly proof: PlacingProof;
}

/** Sites of a line that are kept for a stage of a batch. */
export interface KeptPlace {
  readonly batchId: number;
  readonly stage: number;
  readonly standId: number;
  /** Of the stand, counted from 1; and its sites, from 1. */
  readonly line: number;
  readonly firstSite: number;
  readonly sites: number;
  readonly how: "hand" | "plan" | "stood";
}
