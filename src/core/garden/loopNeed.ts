import type { Plan } from "../batches/plan";
import type { PlanInput } from "../batches/types";
import { drunkByDay, needFactor, type NeedFactor, type TankChange, type TankLevel } from "../water/needFactor";
import type { Loop } from "./garden";

/** The need of a loop is taken over so many days from today: one hot or empty day does not decide over a stock. */
const NEED_DAYS = 7;
const NONE = new Float64Array(0);

/** Litres a day that a loop wants, the mean of the days from today. */
export function loopNeedLpd(plan: Plan, loopId: number | "hand"): number {
  return meanAhead(plan, plan.needLByLoop.get(loopId));
}

/** Of that, what the air takes from open water. */
export function openWaterLpd(plan: Plan, input: PlanInput, loop: Loop): number {
  return loop.needFactor * meanAhead(plan, input.openWaterLByLoop?.[loop.id]);
}

function meanAhead(plan: Plan, byDayL: Float64Array | undefined): number {
  const ahead = (byDayL ?? NONE).subarray(plan.today - plan.from, plan.today - plan.from + NEED_DAYS);
  return ahead.reduce((sum, litres) => sum + litres, 0) / Math.max(1, ahead.length);
}

/**
 * What the log of a recirculating loop says of its need: its tank sinks by what is drunk. Null for a loop that runs to waste,
 * whose tank sinks by what drains, too.
 * @param levels of its tank, in the order of their time
 */
export function learnedNeed(
  plan: Plan,
  loop: Loop,
  levels: readonly TankLevel[],
  changes: readonly TankChange[],
): NeedFactor | null {
  if (loop.kind !== "recirculating") return null;
  const need = plan.needLByLoop.get(loop.id);
  return needFactor(drunkByDay(levels, changes, loop.tankL), (day) => (need?.[day - plan.from] ?? 0) / loop.needFactor);
}
