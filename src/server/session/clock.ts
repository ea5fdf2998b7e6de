import { dayAt } from "@/core/units/clockText";
import { dayFromIso, type Day } from "@/core/units/day";

/**
 * The one clock. `SEED_ROUND_TODAY` (YYYY-MM-DD) sets the day for the demo's pictures and for tests.
 * @param timeZone of the garden; a day begins there, not where the server stands
 */
export function today(timeZone: string): Day {
  const fixed = process.env.SEED_ROUND_TODAY;
  if (fixed) return dayFromIso(fixed);
  return dayAt(new Date(), timeZone);
}

/** The present instant; on a fixed day its noon, so that readings fall on that day. */
export function now(): Date {
  const fixed = process.env.SEED_ROUND_TODAY;
  return fixed ? new Date(`${fixed}T12:00:00Z`) : new Date();
}
