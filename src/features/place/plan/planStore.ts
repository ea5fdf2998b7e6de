import type { Action } from "@/server/session/result";

/** Where the parts of a plan are kept: the garden as it stands, or a layout put by. */
export interface PlanStore {
  /** Tells what is typed for one place from what is typed for another. */
  readonly name: string;
  readonly saveStand: Action<number>;
  readonly addStands: Action<number[]>;
  /** Takes `{ id, version }`, as the removal of a house does. */
  readonly removeStand: Action<unknown>;
  readonly saveHouse: Action<number>;
  readonly removeHouse: Action<unknown>;
  /** Gives back the pool's id. */
  readonly savePool: Action<number>;
  /** All parts are kept in one row and share its version. */
  readonly oneVersion?: true;
}
