/** What a meter reading probably was meant to be, when the number typed cannot be right as it stands. */
export interface SuspectedSlip {
  /** The likely value in the inside unit (mS/cm, pH, °C). */
  readonly likely: number;
  /** Why, in words, for the question put to the person. */
  readonly question: string;
}

export type MeterQuantity = "ec" | "ph" | "waterC";

/** No feed or source water in a garden reaches this; sea water is about 50 mS/cm. */
const GREATEST_LIKELY_EC_MS_PER_CM = 8;
const GREATEST_LIKELY_WATER_C = 40;

/**
 * Notices the usual slips of unit in a reading: µS/cm or CF typed as mS/cm, °F as °C, a lost decimal point in pH.
 *
 * @param quantity which meter quantity
 * @param value as typed, taken in mS/cm, pH or °C
 * @returns the likely meaning to ask about, or undefined when the value is plausible
 * @example suspectSlip("ec", 1420) // { likely: 1.42, question: "…" }
 */
export function suspectSlip(quantity: MeterQuantity, value: number): SuspectedSlip | undefined {
  switch (quantity) {
    case "ec":
      if (value > 100)
        return { likely: value / 1000, question: `${value} mS/cm is past sea water. Was it ${value} µS/cm?` };
      if (value > GREATEST_LIKELY_EC_MS_PER_CM)
        return { likely: value / 10, question: `${value} mS/cm would kill any crop. Was it CF ${value}?` };
      return undefined;
    case "ph":
      return value > 14 && value <= 140
        ? { likely: value / 10, question: `pH ends at 14. Was it ${value / 10}?` }
        : undefined;
    case "waterC":
      return value > GREATEST_LIKELY_WATER_C && value <= 120
        ? {
            likely: Number((((value - 32) * 5) / 9).toFixed(1)),
            question: `${value} °C would scald roots. Was it ${value} °F?`,
          }
        : undefined;
  }
}
