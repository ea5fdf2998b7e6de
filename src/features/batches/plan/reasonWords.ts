import type { NamedLimit } from "@/core/garden/season/namedLimit";
import type { ShortOrder } from "@/core/garden/season/reasons";
import type { Remedy, Tried } from "@/core/garden/season/remedy";
import { dayInWords, type Day } from "@/core/units/day";
import type { UnitPreferences } from "@/core/units/dimensions";
import { counted, formatNumber, quantityText } from "@/core/units/format";

const span = (from: Day, until: Day) =>
  from === until ? dayInWords(from) : `${dayInWords(from)} – ${dayInWords(until)}`;

/** A limit in words and dates: "Nursery bank, 12 May – 26 May: 40 sites wanted, 12 free". */
export function limitWords(limit: NamedLimit, units: UnitPreferences): string {
  const days = span(limit.from, limit.until);
  switch (limit.kind) {
    case "sites":
      return `${limit.name}, ${days}: ${formatNumber(Math.ceil(limit.needed), 0)} sites wanted, ${formatNumber(Math.floor(limit.free), 0)} free`;
    case "water":
      return `water, ${days}: ${quantityText(limit.needed, "volume", units)} wanted, ${quantityText(limit.free, "volume", units)} there`;
    case "hours":
      return `hours of the week of ${dayInWords(limit.from)}: ${formatNumber(limit.needed, 1)} wanted, ${formatNumber(limit.free, 1)} free`;
    case "salt":
      return `${limit.name} for the season: ${quantityText(limit.needed, "mass", units)} wanted, ${quantityText(limit.free, "mass", units)} left`;
  }
}

/** Why an order goes short, without its limits. */
export function whyWords({ why }: ShortOrder): string {
  switch (why.kind) {
    case "limits":
      return `One more sowing, on ${dayInWords(why.sowDay)}, would take more than there is:`;
    case "no-sowing":
      return "No sowing from now on is ready by then.";
    case "cost":
      return "There would be room; but what it takes costs more than it brings.";
    case "gap":
      return "There may be room for it: it lies within what the plan may still be from the best.";
    case "apart":
      return "There are sites enough, but not together on lines.";
  }
}

/** A remedy as something to do. */
export function remedyWords(remedy: Remedy, units: UnitPreferences, unit = ""): string {
  switch (remedy.kind) {
    case "fewer":
      return `${remedy.name}: ${formatNumber(remedy.quantity, 1)} ${unit} each time`.replace("  ", " ");
    case "later":
      return `${remedy.name}: begin on ${dayInWords(remedy.from, "weekday")}`;
    case "sites":
      return `${remedy.name}: ${counted(remedy.sites, "more site", "more sites")}`;
    case "water":
      return `${remedy.name}: ${quantityText(remedy.litresPerDay, "volume", units)} more a day`;
    case "hours":
      return `${counted(remedy.hours, "more hour", "more hours")} a week`;
    case "salt":
      return `${remedy.name}: ${quantityText(remedy.grams, "mass", units)} more`;
  }
}

/** An estimate in two figures. */
function roughly(value: number): number {
  const step = 10 ** Math.max(0, Math.floor(Math.log10(value)) - 1);
  return Math.round(value / step) * step;
}

/** What a remedy would bring, as an estimate: "about € 120 more; 55 more heads of Batavia lettuce, 3 Jun – 28 Jun". */
export function worthWords({ worth, gains }: Tried, units: UnitPreferences): string {
  const money =
    Math.abs(worth) < 0.5
      ? "about as much in all"
      : `about ${quantityText(roughly(Math.abs(worth)), "money", units)} ${worth > 0 ? "more" : "less"}`;
  return gains
    ? `${money}; ${formatNumber(gains.units, 0)} more ${gains.unit} of ${gains.variety}, ${span(gains.from, gains.until)}`
    : money;
}
