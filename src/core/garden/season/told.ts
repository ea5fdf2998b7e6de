import type { Day } from "../../units/day";

/** How far it is: money, and the batches of the best plan so far, short enough to be told to every screen. */
export interface SeasonTold {
  readonly value: number | null;
  readonly bound: number | null;
  readonly batches: readonly (readonly [varietyId: number, sowDay: Day, plants: number])[];
}
