import type { Plan } from "../batches/plan";

/** The need of a loop is taken over so many days from today: one hot or empty day does not decide over a stock. */
const NEED_DAYS = 7;

/** Litres a day that a loop wants, the mean of the days from today. */
export function loopNeedLpd(plan: Plan, loopId: number | "hand"): number {
  const need = plan.needLByLoop.get(loopId);
  if (!need) return 0;
  const ahead = need.subarray(plan.today - plan.from, plan.today - plan.from + NEED_DAYS);
  return ahead.reduce((sum, litres) => sum + litres, 0) / Math.max(1, ahead.length);
}
