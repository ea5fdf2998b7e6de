import { requireRange } from "./range";
/** What a meter reading probably was meant to be, when the number typed cannot be right. */
export interface SuspectedSlip {
  /** The likely value in the inside unit (mS/cm, pH, °C). */
  readonly likely: number;
  /** As typed, in the same unit. */
  readonly value: number;
  /** What was probably typed instead: µS/cm, CF, a pH without its point, °C where °F is read, or °F where °C is. */
  readonly kind: "micro-siemens" | "cf" | "ph-point" | "celsius" | "fahrenheit" | "ppm500" | "ppm700";
}

export type MeterQuantity = "ec" | "ph" | "waterC";

/** No feed or source water in a garden reaches this; sea water is about 50 mS/cm. */
const GREATEST_LIKELY_EC_MS_PER_CM = 8;
const GREATEST_LIKELY_WATER_C = 40;
const LEAST_LIKELY_WATER_C = 5;

/**
 * Notices the usual slips of unit in a reading: µS/cm or CF typed as mS/cm, °F as °C and °C as °F, a lost decimal point in pH.
 *
 * @param quantity which meter quantity
 * @param value as typed, taken in mS/cm, pH or °C
 * @returns the likely meaning to ask about, or undefined when the value is plausible
 * @example suspectSlip("ec", 1420) // { kind: "micro-siemens", value: 1420, likely: 1.42 }
 */
export function suspectSlip(quantity: MeterQuantity, value: number): SuspectedSlip | undefined {
  requireRange("suspectSlip", "value", value, -1000, 1_000_000);
  switch (quantity) {
    case "ec":
      if (value > 100) return { kind: "micro-siemens", value, likely: value / 1000 };
      if (value > GREATEST_LIKELY_EC_MS_PER_CM) return { kind: "cf", value, likely: value / 10 };
      return undefined;
    case "ph":
      return value > 14 && value <= 140 ? { kind: "ph-point", value, likely: value / 10 } : undefined;
    case "waterC": {
      const asF = Math.round(((value * 9) / 5 + 32) * 10) / 10;
      // Typed in a garden that reads °F: ice would not flow, and the figure is right for °C.
      if (value < 0 && asF >= LEAST_LIKELY_WATER_C) return { kind: "celsius", value, likely: asF };
      return value > GREATEST_LIKELY_WATER_C && value <= 120
        ? { kind: "fahrenheit", value, likely: Number((((value - 32) * 5) / 9).toFixed(1)) }
        : undefined;
    }
  }
}

const PPM_PER_MS = { ppm500: 500, ppm700: 700 } as const;

/**
 * Notices a reading in ppm on the other scale: as taken it is outside the band, on the other scale inside it.
 *
 * @param ecMsPerCm as taken, by the scale that is set
 * @param scale what the meter is said to show
 * @param band of the tank, mS/cm
 * @returns the likely meaning to ask about; its kind is the scale that it was probably read on
 * @example suspectScale(2.1, "ppm500", { ecLow: 1.3, ecHigh: 1.7 })?.likely // 1.5
 */
export function suspectScale(
  ecMsPerCm: number,
  scale: string,
  { ecLow, ecHigh }: { readonly ecLow: number; readonly ecHigh: number },
): SuspectedSlip | undefined {
  requireRange("suspectScale", "ecMsPerCm", ecMsPerCm, -1000, 1_000_000);
  requireRange("suspectScale", "ecLow", ecLow, 0, 100);
  requireRange("suspectScale", "ecHigh", ecHigh, 0, 100);
  if (scale !== "ppm500" && scale !== "ppm700") return undefined;
  const other = scale === "ppm500" ? "ppm700" : "ppm500";
  const likely = Number(((ecMsPerCm * PPM_PER_MS[scale]) / PPM_PER_MS[other]).toFixed(3));
  const isIn = (ec: number) => ec >= ecLow && ec <= ecHigh;
  return !isIn(ecMsPerCm) && isIn(likely) ? { kind: other, value: ecMsPerCm, likely } : undefined;
}
