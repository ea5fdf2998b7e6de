/**
 * The problem of a season, as it is solved: which sowings to make, and which of their harvest goes to which order. Days are
 * whole numbers; 0 is the first day that is looked at, and a stay is [from, to). Everything of a sowing is told for one unit
 * of it (a tray, or a plant), and grows with the units sown.
 */
export interface SeasonProblem {
  readonly days: number;
  readonly areas: readonly SeasonArea[];
  /**
   * One store with what flows in each day; what is over runs off. What comes daily without being stored, as from a well, is
   * drunk first.
   */
  readonly water: {
    readonly dailyL?: readonly number[];
    readonly inflowL: readonly number[];
    readonly mostL: number;
    readonly startL: number;
  } | null;
  /** Minutes that there are in each week, days 7w to 7w + 6. */
  readonly labourMinutes: readonly number[] | null;
  /** What is on hand for the whole season and cannot be bought, like a salt. */
  readonly stocks?: readonly { readonly id: string; readonly amount: number }[];
  readonly waterPricePerL: number;
  readonly varieties: readonly SeasonVariety[];
  readonly sowings: readonly Sowing[];
  readonly orders: readonly SeasonOrder[];
}

export interface SeasonArea {
  readonly id: string;
  /** Sites that there are, the same on all days or day by day. */
  readonly sites: number | readonly number[];
}

export interface SeasonVariety {
  readonly id: string;
  /** Lost on each finished unit that no order takes. */
  readonly wastePerUnit: number;
}

export interface SowingStay {
  readonly area: number;
  readonly from: number;
  /** The day on which its sites are free again, their cleaning included. */
  readonly to: number;
  /** The day on which the plants leave; without it the day on which the sites are free. */
  readonly leave?: number;
  readonly plants: number;
  /** All its plants together, a day. */
  readonly litres: number;
  /** Of each stock, a day. */
  readonly stocks?: readonly number[];
}

/** Units that can be given to orders of any day from one to another, both included. */
export interface SowingLot {
  readonly from: number;
  readonly until: number;
  readonly units: number;
}

export interface Sowing {
  readonly variety: number;
  readonly day: number;
  /** In the ground or pinned: its units stand, and only its harvest is decided. */
  readonly fixed: number | null;
  /** If it is made at all, it has at least and at most so many units. */
  readonly least: number;
  readonly most: number;
  readonly cost: number;
  readonly stays: readonly SowingStay[];
  readonly lots: readonly SowingLot[];
  /** Work by day. */
  readonly work: readonly { readonly day: number; readonly minutes: number }[];
  readonly pickMinutesPerUnit: number;
  /** Each unit that is not taken at once stays where it is until it is; null: what is kept takes no sites. */
  readonly held: { readonly area: number; readonly plants: number; readonly litres: number } | null;
}

export interface SeasonOrder {
  readonly variety: number;
  readonly day: number;
  readonly units: number;
  readonly valueEach: number;
  readonly weight: number;
}

/** What is sown, and what of it goes where. */
export interface SeasonPlan {
  /** Units of each sowing, in their order; those in the ground have what they have. */
  readonly units: readonly number[];
  readonly given: readonly Given[];
}

export interface Given {
  readonly sowing: number;
  readonly lot: number;
  readonly order: number;
  readonly units: number;
}
