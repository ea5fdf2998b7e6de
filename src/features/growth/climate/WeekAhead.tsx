import type { DayAhead, WeekAhead as Week } from "@/core/garden/houseCrops";
import { dayInWords, type Day } from "@/core/units/day";
import { counted, quantityText } from "@/core/units/format";
import { useUnits } from "@/ui/units";
import { fewNamed } from "../words";

/** The coming week in a house, and what it does to what stands there. It is no forecast, and says so. */
export function WeekAhead({ week, houseName }: { readonly week: Week; readonly houseName: string }) {
  const units = useUnits();
  const degrees = (value: number) => quantityText(Math.round(value), "temperature", units);
  const warnings = warningsOf(week.days);
  return (
    <section aria-label="The coming week">
      <h2 className="text-2xl">The coming week</h2>
      {warnings.length === 0 ? (
        <p>Nothing that stands in the {houseName} is in danger by it.</p>
      ) : (
        <ul>
          {warnings.map(({ words, days }) => (
            <li key={words} className="font-bold text-alarm">
              {daysInWords(days)}: {words}
            </li>
          ))}
        </ul>
      )}
      <dl className="mt-1 grid grid-cols-[auto_1fr]">
        {week.days.map(({ day, lowestC, highestC }) => (
          <div key={day} className="contents">
            <dt className="border-t border-rule pr-4 text-soft">{dayInWords(day, "weekday")}</dt>
            <dd className="border-t border-rule text-right font-bold">
              {degrees(lowestC)} to {degrees(highestC)}
            </dd>
          </div>
        ))}
      </dl>
      <p className="text-sm text-soft">
        {week.warmerByC
          ? `The months of the place, moved by what ${counted(week.warmerByC.days, "measured day")} differed from them.`
          : "By the months of the place alone: bring in measured days to follow the weather."}{" "}
        No forecast.
      </p>
    </section>
  );
}

interface Warning {
  readonly words: string;
  readonly days: readonly Day[];
}

/** Each warning once, with its days. */
function warningsOf(days: readonly DayAhead[]): Warning[] {
  const found = new Map<string, Day[]>();
  for (const { day, isFrost, chills, tooHot } of days) {
    const words = [
      ...(isFrost ? ["frost: cover, heat, drain what can burst"] : []),
      ...(!isFrost && chills.length > 0 ? [`chill harms ${fewNamed(chills)}`] : []),
      ...(tooHot.length > 0 ? [`too hot for ${fewNamed(tooHot)}: shade, vent, wet the paths`] : []),
    ];
    for (const one of words) found.set(one, [...(found.get(one) ?? []), day]);
  }
  return [...found].map(([words, own]) => ({ words, days: own }));
}

function daysInWords(days: readonly Day[]): string {
  const [first, last] = [days[0]!, days.at(-1)!];
  if (first === last) return dayInWords(first, "weekday");
  const isRun = last - first === days.length - 1;
  return isRun
    ? `${dayInWords(first, "weekday")} to ${dayInWords(last, "weekday")}`
    : days.map((day) => dayInWords(day, "weekday").split(" ")[0]).join(", ");
}
