import type { SeasonView } from "@/core/garden/seasonView";
import { civilDate, MONTHS, type Day } from "@/core/units/day";

export interface Ticks {
  readonly months: readonly { readonly x: number; readonly name: string }[];
  /** Mondays. */
  readonly weeks: readonly number[];
}

/** Room for the name of a month. */
const MONTH_NAME_PX = 70;

export function monthTicks({ from, to }: Pick<SeasonView, "from" | "to">, x: (day: Day) => number): Ticks {
  const months: { x: number; name: string }[] = [];
  const weeks: number[] = [];
  for (let day = from; day < to; day++) {
    const { dayOfMonth, weekday, month } = civilDate(day);
    if (dayOfMonth === 1 || day === from) months.push({ x: x(day), name: MONTHS[month - 1]! });
    if (weekday === 1) weeks.push(x(day));
  }
  // A month that begins right behind the left edge would be written over the one before.
  const [first, second] = months;
  if (first && second && second.x - first.x < MONTH_NAME_PX) months.shift();
  // Nor is there room for the name of one that begins right before the right edge.
  const end = x(to);
  return { months: months.map((month) => (end - month.x < MONTH_NAME_PX ? { ...month, name: "" } : month)), weeks };
}
