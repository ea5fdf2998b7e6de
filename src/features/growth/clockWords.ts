import type { ClockFault, StallCause } from "@/core/garden/clocks";
import type { Variety } from "@/core/garden/garden";
import type { Stall } from "@/core/growth/stageDays";
import { MONTHS } from "@/core/units/day";

/** How the days of a variety go by, in words. */
export const CLOCK_HOW: Readonly<Record<Variety["clock"], string>> = {
  calendar:
    "From the sow day through the stages: each day counts as a share of its stage, by the length that the stage has in the month of that day. What is sown later is never ready earlier.",
  start:
    "Each stage takes the days that its table has on the day it begins, rounded to whole days. Simple to follow; around the turn of a season a later sowing can come out earlier.",
  warmth:
    "Each day brings a share of the stage: by how near the air is to the best for the crop, hour by hour between the coldest and the warmest, and by the light of the day. Air and light are those of the house in a normal year.",
};

export const CLOCK_NAME: Readonly<Record<Variety["clock"], string>> = {
  calendar: "the table of months, day by day",
  start: "the table of months, read at the start",
  warmth: "warmth and light",
};

/** What each school costs. */
export const CLOCK_COST: Readonly<Record<Variety["clock"], string>> = {
  calendar: "It needs a table of your own years; it knows nothing of a warm autumn, of shade or of a heated house.",
  start: "It needs the same table. It steps where the daily one flows, and is wrong most where months differ most.",
  warmth:
    "It needs temperatures and light of the house and the crop's own figures; it follows shade, heating and lamps, and is no better than those.",
};

/** What a profile warns of that no days tell. */
export const LEFT_OUT: Readonly<Record<Variety["notModelled"][number], string>> = {
  bolting: "Bolts in heat or long days: not worked out. Watch it and sow bolt-resistant seed for the warm months.",
  chilling: "Harmed by chill well over freezing: not worked out. Keep it over what its label says.",
  "cold-to-flower": "Flowers only after cold: not worked out.",
  "day-length": "Flowers or bulbs by day length: not worked out. Sow by what is known for your latitude.",
};

/** Why a crop is never ready, and where it stands still. */
export function stallWords({ name, stages }: Variety, stall: Stall | null, cause?: StallCause): string {
  if (!stall) return `${name} is not ready by then, however early it is sown.`;
  const why = cause ? ` It is too ${cause} there.` : "";
  return `${name} is never ready: in “${stages[stall.stage]!.name}” it stands still in ${MONTHS[stall.month - 1]!}.${why}`;
}

/** What is missing for days by warmth and light. */
export function clockFaultWords(fault: ClockFault, areaName: (id: number) => string): string {
  switch (fault.kind) {
    case "no-climate":
      return "The temperatures of your months are not told: enter them under Climate.";
    case "no-temperatures":
      return "Where its growth begins, is best and ends in the air is not told: enter it in its profile.";
    case "no-light-wanted":
      return "The light that it wants is not told: enter it in its profile.";
    case "no-stand":
      return `Nothing stands in ${areaName(fault.growingAreaId)}: its air and light are not known.`;
    case "no-lamp-strength":
      return `The lamps of the ${fault.houseName} are on, but how strong they are is not told: enter it under Climate.`;
  }
}
