import { requireRange } from "../units/range";
import type { UnitPreferences } from "../units/dimensions";

/** What a meter shows strength in. */
export const METER_SCALES = [
  "mS/cm",
  "µS/cm",
  "CF",
  "ppm500",
  "ppm700",
] as const satisfies readonly UnitPreferences["ec"][];
export type MeterScale = (typeof METER_SCALES)[number];

/** A meter as it reads. */
export interface Meter {
  readonly name: string;
  readonly ecScale: MeterScale;
  /** It shows what the water would read at 25 °C, whatever its temperature. */
  readonly compensated: boolean;
}

/** Change of conductivity with temperature, a share of that at 25 °C for each degree. */
const COEFFICIENT_PER_C = 0.0191;
/** Below this the rule is several percent too high. */
export const RULE_HOLDS_FROM_C = 10;

/**
 * Conductivity at 25 °C from what a meter without compensation shows: EC25 = ECt ÷ (1 + 0.0191·(t − 25)). Good within
 * 0.3 % from 15 to 30 °C, 5 % too high at 0 °C.
 *
 * @param ecMsPerCm as shown, mS/cm, 0 to 200
 * @param waterC temperature of the water, −5 to 60 °C
 * @returns EC at 25 °C, mS/cm
 * @throws RangeError when a figure is outside its range
 * @source linear rule, common practice; tests/reference/feed/units.json
 * @example ecAt25C(2.25, 30) // 2.0538567
 */
export function ecAt25C(ecMsPerCm: number, waterC: number): number {
  requireRange("ecAt25C", "ecMsPerCm", ecMsPerCm, 0, 200);
  requireRange("ecAt25C", "waterC", waterC, -5, 60);
  return ecMsPerCm / (1 + COEFFICIENT_PER_C * (waterC - 25));
}

/**
 * Meters as they are commonly sold, by what they show; none of one maker.
 * @source common practice; the scale stands on the meter, the rest in its leaflet
 */
export const COMMON_METERS: readonly (Meter & { readonly about: string })[] = [
  { name: "EC pen, mS/cm", ecScale: "mS/cm", compensated: true, about: "shows 0.0 to 20 mS/cm, often in steps of 0.1" },
  {
    name: "EC pen, µS/cm",
    ecScale: "µS/cm",
    compensated: true,
    about: "shows 0 to 3999 or 9999 µS/cm; for rain and tap water too",
  },
  {
    name: "EC pen in CF",
    ecScale: "CF",
    compensated: true,
    about: "shows tenths of mS/cm as whole numbers: 18 is 1.8 mS/cm",
  },
  {
    name: "TDS pen, ppm ×500",
    ecScale: "ppm500",
    compensated: true,
    about: "shows mS/cm × 500 as ppm; the scale of most small pens",
  },
  {
    name: "TDS pen, ppm ×700",
    ecScale: "ppm700",
    compensated: true,
    about: "shows mS/cm × 700 as ppm; look on the pen or in its leaflet",
  },
  {
    name: "EC and pH meter, combined",
    ecScale: "mS/cm",
    compensated: true,
    about: "EC, pH and temperature from one probe",
  },
  {
    name: "Meter on the wall, read all day",
    ecScale: "mS/cm",
    compensated: true,
    about: "stays in the tank; wants its probes cleaned as often as calibrated",
  },
  {
    name: "Old EC pen, not compensated",
    ecScale: "mS/cm",
    compensated: false,
    about: "shows less in cold water and more in warm: a thermometer goes with it",
  },
];
