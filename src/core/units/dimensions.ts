import { requireRange } from "./range";
/** One way to write a quantity: `base = (x + offset) · factor`. */
export interface Unit {
  readonly symbol: string;
  /** Other spellings accepted when typed, in lower case. */
  readonly aliases: readonly string[];
  readonly factor: number;
  readonly offset?: number;
  /** The unit a bare number means after this one: the 6 of "3 ft 6" is inches. */
  readonly next?: string;
  /** A comma before three digits is a decimal comma: no meter shows thousands of it. */
  readonly neverThousands?: true;
}

export type Dimension =
  | "length"
  | "smallLength"
  | "bore"
  | "area"
  | "volume"
  | "dose"
  | "flow"
  | "lineFlow"
  | "ec"
  | "temperature"
  | "degrees"
  | "rain"
  | "wind"
  | "mass"
  | "concentration"
  | "share"
  | "days"
  | "minutes"
  | "count"
  | "ph"
  | "latitude"
  | "clock"
  | "density"
  | "pricePerVolume"
  | "pricePerMass"
  | "money"
  | "ratio";

/** How a garden likes its figures. */
export interface UnitPreferences {
  readonly system: "metric" | "us";
  readonly ec: "mS/cm" | "µS/cm" | "CF" | "ppm500" | "ppm700";
  readonly temperature: "°C" | "°F";
  readonly currency: string;
}

export const METRIC: UnitPreferences = { system: "metric", ec: "mS/cm", temperature: "°C", currency: "€" };

// Exact by definition: international inch 0.0254 m, US gallon 231 in³, avoirdupois pound 453.59237 g.
const M_PER_INCH = 0.0254;
const M_PER_FOOT = 12 * M_PER_INCH;
const L_PER_GALLON = 231 * (M_PER_INCH * 10) ** 3;
const G_PER_POUND = 453.59237;

const LENGTHS: readonly Unit[] = [
  { symbol: "m", aliases: ["metre", "metres", "meter", "meters"], factor: 1, next: "cm" },
  { symbol: "cm", aliases: [], factor: 0.01 },
  { symbol: "mm", aliases: [], factor: 0.001 },
  { symbol: "ft", aliases: ["'", "′", "’", "foot", "feet"], factor: M_PER_FOOT, next: "in" },
  { symbol: "in", aliases: ['"', "″", "”", "''", "inch", "inches"], factor: M_PER_INCH },
];
const VOLUMES: readonly Unit[] = [
  { symbol: "L", aliases: ["l", "litre", "litres", "liter", "liters"], factor: 1 },
  { symbol: "m³", aliases: ["m3"], factor: 1000 },
  { symbol: "mL", aliases: ["ml"], factor: 0.001 },
  { symbol: "gal", aliases: ["gallon", "gallons"], factor: L_PER_GALLON },
  { symbol: "qt", aliases: ["quart", "quarts"], factor: L_PER_GALLON / 4 },
  { symbol: "pt", aliases: ["pint", "pints"], factor: L_PER_GALLON / 8 },
  { symbol: "cup", aliases: ["cups"], factor: L_PER_GALLON / 16 },
  { symbol: "fl oz", aliases: ["floz", "fluid ounce", "fluid ounces"], factor: L_PER_GALLON / 128 },
  { symbol: "tbsp", aliases: ["tablespoon", "tablespoons"], factor: 0.015 },
  { symbol: "tsp", aliases: ["teaspoon", "teaspoons"], factor: 0.005 },
  { symbol: "imp gal", aliases: ["imperial gallon", "imperial gallons"], factor: 4.54609 },
];
const FLOWS: readonly Unit[] = [
  { symbol: "L/h", aliases: ["l/h", "lph"], factor: 1 },
  { symbol: "L/min", aliases: ["l/min", "lpm"], factor: 60 },
  { symbol: "gph", aliases: ["gal/h"], factor: L_PER_GALLON },
  { symbol: "gpm", aliases: ["gal/min"], factor: 60 * L_PER_GALLON },
];

/** Every dimension with its units; the first is the one used inside (see the name of the field that holds it). */
export const DIMENSIONS: Readonly<Record<Dimension, readonly Unit[]>> = {
  length: LENGTHS,
  smallLength: LENGTHS,
  bore: [
    { symbol: "mm", aliases: [], factor: 1 },
    { symbol: "cm", aliases: [], factor: 10 },
    { symbol: "m", aliases: ["metre", "metres", "meter", "meters"], factor: 1000 },
    { symbol: "ft", aliases: ["'", "′", "’", "foot", "feet"], factor: M_PER_FOOT * 1000, next: "in" },
    { symbol: "in", aliases: ['"', "″", "”", "''", "inch", "inches"], factor: M_PER_INCH * 1000 },
  ],
  area: [
    { symbol: "m²", aliases: ["m2", "sqm"], factor: 1 },
    { symbol: "ft²", aliases: ["ft2", "sqft"], factor: M_PER_FOOT ** 2 },
    { symbol: "in²", aliases: ["in2", "sqin"], factor: M_PER_INCH ** 2 },
  ],
  volume: VOLUMES,
  dose: VOLUMES,
  flow: FLOWS,
  lineFlow: FLOWS,
  ec: [
    { symbol: "mS/cm", aliases: ["ms", "ms/cm", "ds/m", "ec"], factor: 1, neverThousands: true },
    { symbol: "CF", aliases: ["cf"], factor: 0.1, neverThousands: true },
    { symbol: "ppm ×500", aliases: ["ppm500", "ppm×500", "ppmx500"], factor: 1 / 500 },
    { symbol: "ppm ×700", aliases: ["ppm700", "ppm×700", "ppmx700"], factor: 1 / 700 },
    { symbol: "µS/cm", aliases: ["us", "µs", "μs", "us/cm", "μs/cm", "µs/cm"], factor: 0.001 },
  ],
  temperature: [
    { symbol: "°C", aliases: ["c", "ºc"], factor: 1, neverThousands: true },
    { symbol: "°F", aliases: ["f", "ºf"], factor: 5 / 9, offset: -32, neverThousands: true },
  ],
  // A difference of temperatures: no zero to shift.
  degrees: [
    { symbol: "°C", aliases: ["c", "ºc", "k"], factor: 1, neverThousands: true },
    { symbol: "°F", aliases: ["f", "ºf"], factor: 5 / 9, neverThousands: true },
  ],
  // Depth of water on the ground, millimetres inside.
  rain: [
    { symbol: "mm", aliases: ["l/m²", "l/m2"], factor: 1 },
    { symbol: "in", aliases: ['"', "″", "”", "''", "inch", "inches"], factor: M_PER_INCH * 1000 },
  ],
  // Metres a second inside.
  wind: [
    { symbol: "m/s", aliases: ["mps"], factor: 1 },
    { symbol: "km/h", aliases: ["kmh", "kph"], factor: 1 / 3.6 },
    { symbol: "mph", aliases: ["miles/h"], factor: 1609.344 / 3600 },
    { symbol: "knots", aliases: ["kn", "kt", "knot"], factor: 1852 / 3600 },
  ],
  mass: [
    { symbol: "g", aliases: ["gram", "grams"], factor: 1 },
    { symbol: "kg", aliases: [], factor: 1000 },
    { symbol: "mg", aliases: [], factor: 0.001 },
    { symbol: "lb", aliases: ["lbs", "pound", "pounds"], factor: G_PER_POUND, next: "oz" },
    { symbol: "oz", aliases: ["ounce", "ounces"], factor: G_PER_POUND / 16 },
  ],
  concentration: [{ symbol: "mg/L", aliases: ["mg/l", "ppm"], factor: 1 }],
  share: [{ symbol: "%", aliases: ["percent"], factor: 0.01, neverThousands: true }],
  days: [
    { symbol: "days", aliases: ["d", "day"], factor: 1 },
    { symbol: "weeks", aliases: ["w", "week", "wk"], factor: 7 },
  ],
  minutes: [
    { symbol: "min", aliases: ["m", "minute", "minutes"], factor: 1 },
    { symbol: "h", aliases: ["hour", "hours"], factor: 60 },
    { symbol: "s", aliases: ["sec", "second", "seconds"], factor: 1 / 60 },
  ],
  count: [{ symbol: "", aliases: [], factor: 1 }],
  ratio: [{ symbol: "", aliases: [], factor: 1 }],
  ph: [{ symbol: "", aliases: ["ph"], factor: 1, neverThousands: true }],
  // Minutes of the day inside; 24:00 is its end.
  clock: [{ symbol: "", aliases: [], factor: 1 }],
  // Degrees north inside.
  latitude: [
    { symbol: "°N", aliases: ["n", "°", "° n", "north"], factor: 1 },
    { symbol: "°S", aliases: ["s", "° s", "south"], factor: -1 },
  ],
  // Plants on a square metre inside.
  density: [
    { symbol: "per m²", aliases: ["/m²"], factor: 1 },
    { symbol: "per ft²", aliases: ["/ft²"], factor: 1 / M_PER_FOOT ** 2 },
  ],
  // Money for a cubic metre, and for a kilogram, inside.
  pricePerVolume: [
    { symbol: "per m³", aliases: ["/m³", "/m3"], factor: 1 },
    { symbol: "per 1000 gal", aliases: ["/1000 gal"], factor: 1 / L_PER_GALLON },
  ],
  pricePerMass: [
    { symbol: "per kg", aliases: ["/kg"], factor: 1 },
    { symbol: "per lb", aliases: ["/lb"], factor: 1000 / G_PER_POUND },
  ],
  money: [{ symbol: "", aliases: ["€", "$", "£"], factor: 1 }],
};

const SYMBOLS: Partial<Record<Dimension, { metric: string; us: string }>> = {
  length: { metric: "m", us: "ft" },
  smallLength: { metric: "mm", us: "in" },
  bore: { metric: "mm", us: "in" },
  area: { metric: "m²", us: "ft²" },
  volume: { metric: "L", us: "gal" },
  dose: { metric: "mL", us: "mL" },
  flow: { metric: "L/h", us: "gph" },
  lineFlow: { metric: "L/min", us: "gpm" },
  mass: { metric: "g", us: "g" },
  rain: { metric: "mm", us: "in" },
  wind: { metric: "m/s", us: "mph" },
  density: { metric: "per m²", us: "per ft²" },
  pricePerVolume: { metric: "per m³", us: "per 1000 gal" },
  pricePerMass: { metric: "per kg", us: "per lb" },
};
const EC_SYMBOLS = { "mS/cm": "mS/cm", "µS/cm": "µS/cm", CF: "CF", ppm500: "ppm ×500", ppm700: "ppm ×700" } as const;

/** The unit in which a garden writes a dimension, and in which it means a bare number. */
export function preferredUnit(dimension: Dimension, preferences: UnitPreferences): Unit {
  const symbol =
    dimension === "ec"
      ? EC_SYMBOLS[preferences.ec]
      : dimension === "temperature" || dimension === "degrees"
        ? preferences.temperature
        : SYMBOLS[dimension]?.[preferences.system];
  const units = DIMENSIONS[dimension];
  return units.find((unit) => unit.symbol === symbol) ?? units[0]!;
}

/** From a unit to the inside value. */
export function toBase(value: number, unit: Unit): number {
  requireRange("toBase", "value", value, -1e12, 1e12);
  return (value + (unit.offset ?? 0)) * unit.factor;
}

/** From the inside value to a unit. */
export function fromBase(base: number, unit: Unit): number {
  requireRange("fromBase", "base", base, -1e12, 1e12);
  return base / unit.factor - (unit.offset ?? 0);
}

const US_UNITS = new Set(["ft", "in", "gal", "qt", "pt", "cup", "fl oz", "gph", "gpm", "ft²", "in²", "lb", "oz"]);
const METRIC_UNITS = new Set(["m", "cm", "mm", "L", "m³", "mL", "L/h", "L/min", "m²", "kg", "g"]);

/** The system that a unit belongs to; null for one that is used in both. @example systemOf("ft") // "us" */
export function systemOf(symbol: string): UnitPreferences["system"] | null {
  return US_UNITS.has(symbol) ? "us" : METRIC_UNITS.has(symbol) ? "metric" : null;
}
