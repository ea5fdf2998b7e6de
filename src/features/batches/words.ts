import type { DeliveryState } from "@/core/batches/deliveryStates";
import { dayInWords } from "@/core/units/day";
import { counted, formatNumber } from "@/core/units/format";
import type { BatchesRefusal } from "@/server/batches/refused";

/** What the sentences about a delivery name. */
export interface DeliveryNames {
  readonly unit: string;
  /** Left out where it is the heading already. */
  readonly variety?: string;
  readonly area: (areaId: number) => string;
}

/** Why a market day is not met: "3 heads missing", "12 plants have no site in the leaf bank". */
export function unmetWords(state: Exclude<DeliveryState, { kind: "met" }>, names: DeliveryNames): string {
  const ofVariety = names.variety ? ` of ${names.variety}` : "";
  switch (state.kind) {
    case "short":
      return `${formatNumber(state.missing, 1)} ${names.unit}${ofVariety} missing`;
    case "not-picked":
      return `${formatNumber(state.missing, 1)} ${names.unit}${ofVariety} not picked`;
    case "no-sites":
      return `${names.variety ? `${names.variety}: ` : ""}no site in ${names.area(state.growingAreaId)} for ${counted(state.plants, "plant")}`;
    case "not-sown":
      return `${names.variety ? `${names.variety} ` : ""}should have been sown on ${dayInWords(state.due)}`;
  }
}

const NO_SEASON = {
  "no-orders": "There is no order ahead: enter under Orders what is wanted on which days, then plan.",
  "no-sites": "No growing area has a site: draw a stand under Place and say what it is used for.",
  "no-way": "None of the orders can be reached by a sowing: look at their days, and at the stages of the crops.",
  "no-room": "What stands in the ground alone takes more than there is: see where it is over capacity.",
} as const;

/** Why a batch was not moved. */
export function batchesRefusalWords(refusal: BatchesRefusal): string {
  switch (refusal.kind) {
    case "batch-gone":
      return "This batch is no longer there.";
    case "sown-already":
      return "This batch has been sown: its dates are fixed.";
    case "places-meet":
      return "Two batches would stand on the same sites at the same time. The plan has moved on: look again.";
    case "no-stay":
      return "This batch is not there any more, or has left this stage.";
    case "other-area":
      return "This stand serves another growing area.";
    case "too-few-sites":
      return `${counted(refusal.plants, "plant")} need a site, and from there on the stand has ${refusal.sites}.`;
    case "taken":
      return `${refusal.variety} of ${dayInWords(refusal.sowDay)} has these sites then.`;
    case "split-all":
      return `Split off at least one plant, and leave at least one of the ${refusal.plants}.`;
    case "no-season":
      return NO_SEASON[refusal.why];
    case "join-apart":
      return "Only batches of one variety that are not sown yet can be joined.";
  }
}
