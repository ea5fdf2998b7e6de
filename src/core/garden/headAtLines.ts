import type { Loop } from "./garden";

/** The head that lines of a loop are looked at with, before what the pipe to them takes, and what says so. */
export interface HeadAtLines {
  readonly headM: number;
  readonly from: "pump" | "regulator" | "tank";
}

/** Null where nothing says what head there is. */
export function headAtLines({ pump }: Pick<Loop, "pump">): HeadAtLines | null {
  if (!pump) return null;
  if (pump.kind === "mains") {
    const headM = Math.min(pump.setHeadM, pump.supplyHeadM - pump.regulatorLossM) - pump.highestOutletM;
    return headM > 0 ? { headM, from: "regulator" } : null;
  }
  if (pump.kind === "gravity") {
    const headM = pump.lowestWaterM + pump.waterSinksM / 2 - pump.highestOutletM;
    return headM > 0 ? { headM, from: "tank" } : null;
  }
  return pump.headWantedM > 0 ? { headM: pump.headWantedM, from: "pump" } : null;
}
