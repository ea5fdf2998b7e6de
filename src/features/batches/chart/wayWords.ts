import type { BatchView, SeasonView } from "@/core/garden/seasonView";
import { dayInWords } from "@/core/units/day";
import { counted, formatNumber } from "@/core/units/format";

/** The way of a batch in a sentence: "Batavia lettuce of 19 Apr: 49 in germination rack, 44 in nursery bank from 3 May, …". */
export function wayWords({ variety, sowDay, steps, serves, unit }: BatchView, { growingAreas }: SeasonView): string {
  const nameOf = (id: number) => growingAreas.find((area) => area.id === id)?.name.toLowerCase() ?? "";
  const stays = steps.map(
    ({ plants, growingAreaId, from }, at) =>
      `${plants} in ${nameOf(growingAreaId)}${at > 0 ? ` from ${dayInWords(from)}` : ""}`,
  );
  const days = [...new Set(serves.map(({ day }) => day))];
  const units = formatNumber(
    serves.reduce((sum, one) => sum + one.units, 0),
    1,
  );
  const delivered =
    days.length === 0
      ? "no order takes of it"
      : `${units} ${unit} delivered ${
          days.length === 1
            ? dayInWords(days[0]!, "weekday")
            : `on ${counted(days.length, "day")} from ${dayInWords(days[0]!, "weekday")}`
        }`;
  return `${variety} of ${dayInWords(sowDay)}: ${stays.join(", ")}; ${delivered}.`;
}
