import type { WeekAhead as Week } from "@/core/garden/houseCrops";
import { dayInWords } from "@/core/units/day";
import { counted, quantityText } from "@/core/units/format";
import { useUnits } from "@/ui/units";

/** The coming week in a house, and what it does to what stands there. It is no forecast, and says so. */
export function WeekAhead({ week, houseName }: { readonly week: Week; readonly houseName: string }) {
  const units = useUnits();
  const degrees = (value: number) => quantityText(Math.round(value), "temperature", units);
  const warned = week.days.some(({ isFrost, chills, tooHot }) => isFrost || chills.length + tooHot.length > 0);
  return (
    <section aria-label="The coming week">
      <h2 className="text-2xl">The coming week</h2>
      <p className="text-sm text-soft">
        {week.warmerByC
          ? `The months of the place, moved by what ${counted(week.warmerByC.days, "measured day")} differed from them.`
          : "By the months of the place alone: bring in measured days to follow the weather."}{" "}
        No forecast.
      </p>
      <ul className="mt-1">
        {week.days.map(({ day, lowestC, highestC, isFrost, chills, tooHot }) => (
          <li key={day} className="border-t border-rule py-1">
            <span className="inline-block w-24 font-bold">{dayInWords(day, "weekday")}</span>
            {degrees(lowestC)} to {degrees(highestC)}
            {isFrost && <Warning>frost: cover, heat, drain what can burst</Warning>}
            {!isFrost && chills.length > 0 && <Warning>chill harms {chills.join(", ")}</Warning>}
            {tooHot.length > 0 && <Warning>too hot for {named(tooHot)}: shade, vent, wet the paths</Warning>}
          </li>
        ))}
      </ul>
      {!warned && <p className="text-soft">Nothing that stands in the {houseName} is in danger by it.</p>}
    </section>
  );
}

const MOST_NAMED = 3;
const named = (names: readonly string[]) =>
  names.length > MOST_NAMED
    ? `${names.slice(0, MOST_NAMED).join(", ")} and ${names.length - MOST_NAMED} more`
    : names.join(", ");

function Warning({ children }: { readonly children: React.ReactNode }) {
  return <span className="block text-sm font-bold text-alarm">{children}</span>;
}
