import type { OpenProgram } from "../../numeric/warmProgram";
import type { SeasonProblem } from "./problem";
import { Relaxation } from "./relaxation";

export interface SharedBest {
  readonly value: number;
  /** Units given to the orders of each variety. */
  readonly given: readonly number[];
}

/** The best there could be if plants could be shared: no plan is worth more. Null where what stands is more than the limits allow. */
export function sharedBest(problem: SeasonProblem, open: OpenProgram): SharedBest | null {
  const relaxation = new Relaxation(problem, open);
  try {
    const found = relaxation.tighten();
    if (!found) return null;
    const given = problem.varieties.map(() => 0);
    for (const { column, order } of relaxation.columns.gifts)
      given[problem.orders[order]!.variety]! += found.columns[column]!;
    return { value: found.value, given };
  } finally {
    relaxation.free();
  }
}
