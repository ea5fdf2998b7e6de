import type { SeasonArea, SeasonProblem, Sowing } from "../../batches/season/problem";
import type { PlanInput } from "../../batches/types";
import { civilDate, daysInMonth, type Day } from "../../units/day";
import { meanRainInflowL } from "../../water/rainInflow";
import type { Garden, SeasonSettings } from "../garden";
import { sourceLimitLpd } from "../supply";

/** Sites by day: what there is, and never less than what stands there takes. */
export function withRoom({ growingAreas }: PlanInput, sowings: readonly Sowing[], days: number): SeasonArea[] {
  const within = (day: number) => Math.min(days, Math.max(0, day));
  return growingAreas.map(({ name, sites }, area) => {
    const used = new Float64Array(days + 1);
    for (const { fixed, stays } of sowings)
      for (const stay of fixed === null ? [] : stays) {
        if (stay.area !== area) continue;
        used[within(stay.from)]! += stay.plants;
        used[within(stay.to)]! -= stay.plants;
      }
    let there = 0;
    return { id: name, sites: Array.from({ length: days }, (_, day) => Math.max((there += used[day]!), sites)) };
  });
}

/** Minutes of each week; a day on which nobody works is a seventh less. */
export function labourOf(
  { hoursPerWeek }: SeasonSettings,
  off: ReadonlySet<Day>,
  today: Day,
  days: number,
): number[] | null {
  if (hoursPerWeek === null) return null;
  return Array.from({ length: Math.ceil(days / 7) }, (_, week) => {
    const closed = Array.from({ length: 7 }, (__, at) => today + 7 * week + at).filter((day) => off.has(day)).length;
    return (hoursPerWeek * 60 * (7 - closed)) / 7;
  });
}

/** What the sources give: wells and pipes day by day, rain through the store; less what open water loses. */
export function waterOf(garden: Garden, input: PlanInput, today: Day, days: number): SeasonProblem["water"] {
  if (garden.sources.length === 0) return null;
  const capacityL = garden.stores.reduce((sum, store) => sum + store.capacityL, 0);
  const storedL = garden.stores.reduce((sum, store) => sum + store.storedL, 0);
  const dailyL = garden.sources.reduce((sum, source) => sum + sourceLimitLpd(source), 0);
  const roofM2 = garden.sources.reduce((sum, { kind, roofAreaM2 }) => sum + (kind === "rain" ? roofAreaM2 : 0), 0);
  const open = (day: number) =>
    Object.values(input.openWaterLByLoop ?? {}).reduce(
      (sum, litres) => sum + (litres[today - input.from + day] ?? 0),
      0,
    );
  const net = Array.from({ length: days }, (_, day) => dailyL - open(day));
  const rain = (day: number) => {
    const { year, month } = civilDate(today + day);
    return roofM2 > 0 ? meanRainInflowL(garden.rain, month, daysInMonth(year, month), roofM2) : 0;
  };
  return {
    dailyL: net.map((litres) => Math.max(0, litres)),
    inflowL: net.map((litres, day) => rain(day) + Math.min(0, litres)),
    ...{ mostL: capacityL, startL: Math.min(storedL, capacityL) },
  };
}
