import type { CautionKey } from "../feed/cautions";
import type { FeedSheet } from "../feed/feedSheet";
import type { Plan } from "../batches/plan";
import type { PlacedStay } from "../batches/lanes";
import type { Shortage } from "../batches/shortages";
import type { PoolStand } from "../place/lineWords";
import type { Dimension } from "../units/dimensions";
import type { Day } from "../units/day";

export type RoundKind = "store" | "reading" | "top-up" | "mix" | "sow" | "move" | "pick" | "wash" | "order";

/** A stop of the walk. */
export interface Stop {
  readonly key: string;
  readonly name: string;
  /** Place in the walk, small first. */
  readonly order: number;
}

export interface Amount {
  readonly name: string;
  readonly value: number;
  readonly dimension: Dimension;
}

/** What the item is about, for the log and for what ticking it changes. */
export interface RoundRefs {
  readonly batchId?: number;
  readonly stage?: number;
  readonly loopId?: number;
  readonly stock?: "A" | "B";
  readonly storeId?: number;
  readonly orderId?: number;
  readonly units?: number;
  readonly plants?: number;
  /** The day it was due. */
  readonly due: Day;
}

export interface RoundItem {
  /** The same for the same piece of work on every day until it is done. */
  readonly key: string;
  readonly kind: RoundKind;
  readonly stop: Stop;
  readonly title: string;
  /** The figure to read at arm's length, and what it counts. */
  readonly figure: { readonly value: number; readonly dimension: Dimension; readonly word: string } | null;
  readonly detail: string;
  readonly amounts: readonly Amount[];
  readonly cautions: readonly CautionKey[];
  /** Days since it was due; 0 is today. */
  readonly ageDays: number;
  readonly refs: RoundRefs;
}

export interface RoundPool {
  readonly id: number;
  readonly name: string;
  readonly houseName: string;
  readonly houseOrder: number;
  readonly order: number;
  readonly cleaningDays: number;
  readonly stands: readonly PoolStand[];
  readonly sitesPerLine: readonly number[];
  readonly placed: readonly PlacedStay[];
}

export interface RoundLoop {
  readonly id: number;
  readonly name: string;
  readonly kind: "recirculating" | "run-to-waste";
  readonly feeding: "injector" | "stocks" | "dry";
  readonly workingL: number;
  readonly readEveryDays: number;
  readonly needLpd: number;
  readonly lastReading: { readonly day: Day; readonly levelL: number | null } | null;
  readonly feed: FeedSheet | null;
  readonly saltNames: readonly string[];
}

export interface RoundInput {
  readonly today: Day;
  readonly plan: Plan;
  readonly pools: readonly RoundPool[];
  readonly loops: readonly RoundLoop[];
  readonly store: { readonly id: number; readonly name: string; readonly readOn: Day } | null;
  readonly shortages: readonly Shortage[];
  /** Keys of what was done or skipped today, and of picks and washes done before. */
  readonly settledKeys: ReadonlySet<string>;
}
