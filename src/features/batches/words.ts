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
    case "join-apart":
      return "Only batches of one variety that are not sown yet can be joined.";
  }
}
