import { dayFromIso, type Day } from "./day";

/** Making a formatter costs a hundred times more than using it. */
const kept = new Map<string, { readonly day: Intl.DateTimeFormat; readonly time: Intl.DateTimeFormat }>();

function formatters(timeZone: string) {
  const known = kept.get(timeZone);
  if (known) return known;
  const made = {
    day: new Intl.DateTimeFormat("en-CA", { timeZone, dateStyle: "short" }),
    time: new Intl.DateTimeFormat("en-GB", { timeZone, hour: "2-digit", minute: "2-digit" }),
  };
  kept.set(timeZone, made);
  return made;
}

/**
 * The civil day of an instant where a garden lies.
 *
 * @param at the instant
 * @param timeZone an IANA name
 * @throws RangeError for a time zone that is not known
 * @example dayAt(new Date("2027-09-02T23:30:00Z"), "Europe/Lisbon") // dayFromIso("2027-09-03")
 */
export function dayAt(at: Date, timeZone: string): Day {
  return dayFromIso(formatters(timeZone).day.format(at));
}

/** Hours and minutes of an instant by a garden's clock. @example timeAt(new Date("2027-09-02T12:00:00Z"), "UTC") // "12:00" */
export function timeAt(at: Date, timeZone: string): string {
  return formatters(timeZone).time.format(at);
}
