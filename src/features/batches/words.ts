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
export function batchesRefusalWords({ kind }: BatchesRefusal): string {
  return kind === "batch-gone" ? "This batch is no longer there." : "This batch has been sown: its dates are fixed.";
}
