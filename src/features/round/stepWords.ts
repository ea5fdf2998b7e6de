import type { RoundTask } from "@/core/round/types";
import { dayInWords } from "@/core/units/day";
import { counted, formatNumber } from "@/core/units/format";

type StepTask = Extract<RoundTask, { readonly kind: "step" }>;

/** What is done in a step, before the name of the crop. */
export const STEP_WORDS: Readonly<Record<StepTask["step"], string>> = {
  soak: "Soak seed of",
  cover: "Cover",
  uncover: "Uncover",
  light: "Light on over",
  thin: "Thin",
  "first-feed": "First feed for",
  "pot-up": "Pot up",
  space: "Give more room to",
  harden: "Harden off",
  other: "See to",
};

/** What to look for, and where a hand can go wrong. */
export function stepCheck({ step, thinTo, daysLeft, fromZone, soak, sownOn }: StepTask): string {
  switch (step) {
    case "soak":
      return `for ${formatNumber(soak?.soakH ?? 0)} h in clean water, off the rack; drain it and sow it on ${dayInWords(sownOn, "weekday")}`;
    case "cover":
      return "moist, not wet; look under it every day";
    case "uncover":
      return "as soon as the first are up: a day late draws them out";
    case "light":
      return "close over them, and look that none is wilting";
    case "thin":
      return `leave ${counted(thinTo, "plant")} in a cell; cut the others at the ground, do not pull`;
    case "first-feed":
      return "when the first true leaves show; weak, and water only until then";
    case "pot-up":
      return "hold them by a leaf, never by the stem; water in";
    case "space":
      return fromZone === undefined
        ? "before leaves touch"
        : `from zone ${fromZone} to zone ${fromZone + 1} of the line, before leaves touch`;
    case "harden":
      return `shade and calm air first, then more light each day; ${counted(daysLeft, "day")} to planting out`;
    case "other":
      return "";
  }
}
