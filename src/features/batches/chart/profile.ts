import { area, curveStepAfter } from "d3";
import type { GrowingAreaView } from "@/core/garden/seasonAreas";
import type { Day } from "@/core/units/day";

/** How full a growing area is, day by day, as paths. */
export interface Profile {
  readonly used: string;
  /** What is over its sites. */
  readonly over: string;
}

export function profileOf(
  { used, sites }: Pick<GrowingAreaView, "used" | "sites">,
  from: Day,
  x: (day: Day) => number,
  y: (sites: number) => number,
): Profile {
  // The last day is drawn to its end.
  const days = [...used, used.at(-1) ?? 0].map((count, at) => ({ day: from + at, count }));
  const path = (low: (count: number) => number, high: (count: number) => number) =>
    area<(typeof days)[number]>()
      .curve(curveStepAfter)
      .x(({ day }) => x(day))
      .y0(({ count }) => y(low(count)))
      .y1(({ count }) => y(high(count)))(days) ?? "";
  return {
    used: path(
      () => 0,
      (count) => Math.min(count, sites),
    ),
    over: used.some((count) => count > sites)
      ? path(
          () => sites,
          (count) => Math.max(count, sites),
        )
      : "",
  };
}
