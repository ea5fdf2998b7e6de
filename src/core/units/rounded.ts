import { DIMENSIONS, fromBase, preferredUnit, toBase, type Dimension, type UnitPreferences } from "./dimensions";
import { quantityText } from "./format";
import { GREATEST, requireRange } from "./range";

/** Steps of round figures by unit: from a size on, what a figure is rounded to. */
const ROUND_STEPS: Readonly<Record<string, readonly (readonly [from: number, step: number])[]>> = {
  ft: [
    [10, 1],
    [2, 0.5],
    [0.5, 0.25],
    [0, 0.1],
  ],
  in: [
    [12, 1],
    [4, 0.5],
    [1, 0.25],
    [0, 0.125],
  ],
  gal: [
    [100, 10],
    [20, 5],
    [5, 1],
    [1, 0.5],
    [0, 0.1],
  ],
  gph: [
    [100, 10],
    [10, 1],
    [1, 0.5],
    [0, 0.1],
  ],
  gpm: [
    [10, 1],
    [1, 0.5],
    [0, 0.05],
  ],
  "ft²": [
    [100, 10],
    [10, 1],
    [0, 0.5],
  ],
};

/**
 * A default made round in the garden's own units: 6 m is 20 ft, not 19.69 ft. Metric figures are round as they are.
 * @param value in the dimension's inside unit
 * @param way "down" where it has to fit into what is there
 */
export function roundIn(
  value: number,
  dimension: Dimension,
  units: UnitPreferences,
  way: "near" | "down" = "near",
): number {
  const unit = preferredUnit(dimension, units);
  const steps = units.system === "us" ? ROUND_STEPS[unit.symbol] : undefined;
  if (!steps || value === 0) return value;
  const shown = fromBase(value, unit);
  const [, step] = steps.find(([from]) => Math.abs(shown) >= from)!;
  const count = way === "down" ? Math.floor(shown / step + 1e-9) : Math.round(shown / step);
  const rounded = count * step || step;
  return Number(toBase(rounded, unit).toPrecision(12));
}

const QUANTITY = /\{([\d.]+) ([^}]+)\}/gu;
const DIMENSION_OF: Readonly<Record<string, Dimension>> = {
  m: "length",
  cm: "smallLength",
  mm: "bore",
  "m²": "area",
  "m³": "volume",
  L: "volume",
  "L/h": "flow",
  "L/min": "lineFlow",
  kg: "mass",
  "°C": "temperature",
};

/**
 * A text with its quantities in the garden's units. They are written in braces.
 * @example inText("0 for open spigots, {10 m} for most drip", METRIC) // "0 for open spigots, 10 m for most drip"
 */
export function inText(text: string, units: UnitPreferences): string {
  return text.replaceAll(QUANTITY, (whole, figure: string, symbol: string) => {
    const dimension = DIMENSION_OF[symbol];
    const unit = dimension && DIMENSIONS[dimension].find((one) => one.symbol === symbol);
    if (!unit) return whole;
    // As it was written where that is the garden's way to write it.
    if (units.system === "metric" && symbol !== "°C") return `${figure} ${symbol}`;
    return quantityText(roundIn(toBase(Number(figure), unit), dimension, units), dimension, units);
  });
}

/**
 * A length to the millimetre, as it is drawn and kept; written without noughts behind.
 * @param metres any length or place, m
 * @throws RangeError when it is no number
 */
export function inMm(metres: number): number {
  return Math.round(requireRange("inMm", "metres", metres, -GREATEST) * 1000) / 1000;
}
