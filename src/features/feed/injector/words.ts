import type { Calibration } from "@/core/feed/calibration";
import { percentText } from "@/core/units/format";

/** How strong an injector doses: "9 % too weak". */
export function strengthWords({ strength, verdict }: Pick<Calibration, "strength" | "verdict">): string {
  switch (verdict) {
    case "not-dosing":
      return "it does not dose";
    case "right":
      return "right";
    case "too-strong":
      return `${percentText(strength - 1)} too strong`;
    case "too-weak":
      return `${percentText(1 - strength)} too weak`;
  }
}

/** Whether an injector doses at a flow. */
export const VERDICT_WORDS = {
  "in-range": "doses",
  below: "stops dosing: under the minimum flow",
  above: "doses too little: over the maximum flow",
} as const;
