import type { Action } from "@/server/session/result";

/** Where the stands of a plan are kept: the garden as it stands, or a layout put by. */
export interface PlanStore {
  /** Tells what is typed for one place from what is typed for another. */
  readonly name: string;
  readonly saveStand: Action<number>;
  readonly addStands: Action<number[]>;
  /** Takes `{ id, version }`. */
  readonly removeStand: Action<unknown>;
  /** Houses of a layout put by are changed in the garden, not there. */
  readonly saveHouse?: Action<number>;
  /** For whoever fills a house before any pool is named. */
  readonly savePool: Action<number>;
  /** All stands are kept in one row and share its version. */
  readonly oneVersion?: true;
}
