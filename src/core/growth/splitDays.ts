import { requireRange } from "../units/range";

/** The shortest a stage may be. */
const LEAST_DAYS = 0.5;

/**
 * Days from sowing to ready, shared out over the stages: the last takes what the earlier ones leave, as a seedling takes as
 * long whatever it grows into; where they leave nothing, all are shortened alike.
 *
 * @param stageDays what the stages take now, from the first; at least one, each 0.5 to 400 days
 * @param total days from sowing to ready, 0.5 for each stage to 400
 * @returns days of each stage; together they are the total
 * @throws RangeError when a figure is outside its range
 */
export function splitDays(stageDays: readonly number[], total: number): number[] {
  requireRange("splitDays", "stages", stageDays.length, 1, 20);
  for (const days of stageDays) requireRange("splitDays", "stageDays", days, LEAST_DAYS, 400);
  requireRange("splitDays", "total", total, LEAST_DAYS * stageDays.length, 400);
  const earlier = stageDays.slice(0, -1);
  const rest = total - earlier.reduce((sum, days) => sum + days, 0);
  if (rest >= LEAST_DAYS) return [...earlier, rest];
  const spare = total - LEAST_DAYS * stageDays.length;
  const over = stageDays.map((days) => days - LEAST_DAYS);
  const sum = over.reduce((all, days) => all + days, 0);
  return over.map((days) => LEAST_DAYS + (sum > 0 ? (spare * days) / sum : spare / over.length));
}
