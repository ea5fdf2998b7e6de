import type { OpenProgram } from "../../numeric/warmProgram";
import type { SeasonPlan, SeasonProblem } from "./problem";
import { Relaxation } from "./relaxation";

/**
 * What sowings of so many units are worth, given to orders as well as can be. Limits are not asked again: whether there is
 * room for them was found otherwise.
 *
 * @returns the value, and the plan with what orders are given of it
 * @param units whole ones of each sowing, in their order
 */
export function worthOf(
  problem: SeasonProblem,
  units: readonly number[],
  open: OpenProgram,
): { value: number; plan: SeasonPlan } {
  const { stocks: _, ...rest } = problem;
  const areas = problem.areas.map(({ id }) => ({ id, sites: Infinity }));
  const relaxation = new Relaxation({ ...rest, areas, water: null, labourMinutes: null }, open);
  try {
    const all = problem.sowings.map((_sowing, index) => index);
    relaxation.setUnits(all, units, units);
    const found = relaxation.solve()!;
    return { value: found.value, plan: relaxation.planOf(found) };
  } finally {
    relaxation.free();
  }
}
