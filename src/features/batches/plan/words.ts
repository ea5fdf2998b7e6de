import type { SeasonTold } from "@/core/garden/season/told";
import type { UnitPreferences } from "@/core/units/dimensions";
import { counted, quantityText } from "@/core/units/format";

/** How far a plan may be from the best there can be: "at most € 40 from the best there can be (0.4 %)". */
export function gapWords(value: number, bound: number, units: UnitPreferences): string {
  const gap = Math.max(0, bound - value);
  if (gap < 0.005) return "no plan can be worth more";
  const percent = bound > 0 ? ` (${((100 * gap) / bound).toFixed(gap / bound < 0.01 ? 1 : 0)} %)` : "";
  return `at most ${quantityText(gap, "money", units)} from the best there can be${percent}`;
}

/** How far the planning is. */
export function toldWords({ value, bound, batches }: SeasonTold, units: UnitPreferences): string {
  if (value === null) return bound === null ? "looking at what is possible" : "making a first plan";
  const first = `${counted(batches.length, "batch", "batches")} so far, worth ${quantityText(value, "money", units)}`;
  return bound === null ? first : `${first}; ${gapWords(value, bound, units)}`;
}
