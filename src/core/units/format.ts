import { requireRange, requireWhole } from "./range";
import { DIMENSIONS, fromBase, preferredUnit, type Dimension, type Unit, type UnitPreferences } from "./dimensions";

/** A quantity ready to be shown: the figure and its unit apart, so that they can be set in different sizes. */
export interface FormattedQuantity {
  readonly figure: string;
  readonly unit: string;
}

/** Figures of any dimension in its inside unit: a million tonnes in grams is past all gardens. */
const GREATEST_SHOWN = 1e12;
const NOT_KNOWN = "–";
const THIN_SPACE = "\u202f";
/** Larger or smaller units that read better past a size, per preferred unit. */
type Steps = Readonly<Record<string, readonly { readonly from: number; readonly symbol: string }[]>>;
const STEPS: Steps = {
  g: [{ from: 1000, symbol: "kg" }],
  mL: [{ from: 1000, symbol: "L" }],
  L: [{ from: 20_000, symbol: "m³" }],
};
/** Smaller units under a size: a drink is told in fluid ounces, not in thousandths of a gallon. */
const US_SMALL: Readonly<Record<string, { readonly under: number; readonly symbol: string }>> = {
  gal: { under: 0.1, symbol: "fl oz" },
  "ft²": { under: 0.5, symbol: "in²" },
  ft: { under: 1, symbol: "in" },
};
/** Salts are weighed in grams there too; a sack is told in pounds. */
const US_STEPS: Steps = { g: [{ from: 453.59237, symbol: "lb" }], "fl oz": [{ from: 128, symbol: "gal" }] };
const DECIMALS: Partial<Record<Dimension, number>> = {
  ec: 2,
  ph: 1,
  temperature: 1,
  count: 0,
  days: 1,
  latitude: 1,
  pricePerVolume: 2,
  pricePerMass: 2,
};

/**
 * Writes a quantity in the garden's units with about three telling digits, no trailing zeros and thin spaces
 * between thousands.
 *
 * @param value in the dimension's inside unit (m, L, L/h, mS/cm, °C, g, share as a fraction …)
 * @example formatQuantity(11200, "volume", METRIC) // { figure: "11\u202f200", unit: "L" }
 */
export function formatQuantity(value: number, dimension: Dimension, preferences: UnitPreferences): FormattedQuantity {
  const preferred = preferredUnit(dimension, preferences);
  // What is not known is shown as a dash, never as a number.
  if (!Number.isFinite(value)) return { figure: NOT_KNOWN, unit: preferred.symbol };
  if (dimension === "clock") return { figure: clockText(value), unit: "" };
  if (dimension === "money") return { figure: sumOfMoney(value), unit: preferences.currency };
  const shown = stepUnit(value, dimension, preferred, preferences.system === "us" ? US_STEPS : STEPS);
  const figure = formatNumber(fromBase(value, shown), decimalsFor(fromBase(value, shown), dimension, shown));
  return { figure, unit: unitFor(figure, shown) };
}

/** Whole from a thousand on; below with both digits of its cents, where it has any. */
function sumOfMoney(value: number): string {
  const cents = Math.abs(value).toFixed(2);
  if (Math.abs(value) >= 1000 || cents.endsWith(".00")) return formatNumber(value);
  return value < 0 ? `−${cents}` : cents;
}

/** A quantity in one of its units, whatever the garden's are; in the first of its dimension where there is no such unit. */
export function formatIn(value: number, dimension: Dimension, symbol: string): FormattedQuantity {
  const unit = DIMENSIONS[dimension].find((one) => one.symbol === symbol) ?? DIMENSIONS[dimension][0]!;
  if (!Number.isFinite(value)) return { figure: NOT_KNOWN, unit: unit.symbol };
  const shown = fromBase(value, unit);
  const figure = formatNumber(shown, decimalsFor(shown, dimension, unit));
  return { figure, unit: unitFor(figure, unit) };
}

/** The one unit that is a word of its own: one day. */
const unitFor = (figure: string, { symbol }: Unit) => (symbol === "days" && figure === "1" ? "day" : symbol);

/**
 * As `formatQuantity`, in one string: the unit behind the figure, a currency in front.
 * @example quantityText(2.5, "money", METRIC) // "€ 2.50"
 */
export function quantityText(value: number, dimension: Dimension, preferences: UnitPreferences): string {
  const { figure, unit } = formatQuantity(value, dimension, preferences);
  if (!unit) return figure;
  if (dimension !== "money") return `${figure} ${unit}`;
  return figure.startsWith("−") ? `−${unit} ${figure.slice(1)}` : `${unit} ${figure}`;
}

/** A number with at most `decimals` decimals, thin spaces between thousands and a true minus sign. */
export function formatNumber(value: number, decimals = 0): string {
  if (!Number.isFinite(value)) return NOT_KNOWN;
  requireWhole("formatNumber", "decimals", decimals, 0, 20);
  const [whole, fraction] = Math.abs(value).toFixed(decimals).split(".");
  const grouped = whole!.length > 4 ? whole!.replaceAll(/\B(?=(\d{3})+$)/gu, THIN_SPACE) : whole!;
  const digits = fraction && /[1-9]/u.test(fraction) ? `${grouped}.${fraction.replace(/0+$/u, "")}` : grouped;
  return value < 0 && /[1-9]/u.test(digits) ? `−${digits}` : digits;
}

/** Digits of a number that somebody typed; one with more came from another unit. */
const MOST_TYPED_DIGITS = 6;

/**
 * Text for an input, in the garden's unit. What somebody could have typed in it stands as it is; what comes from another
 * unit (17.88057743 ft) is cut to four digits.
 */
export function editText(value: number, dimension: Dimension, preferences: UnitPreferences): string {
  requireRange("editText", "value", value, -GREATEST_SHOWN, GREATEST_SHOWN);
  if (dimension === "clock") return clockText(value);
  const unit = stepUnit(value, dimension, preferredUnit(dimension, preferences), {});
  const exact = fromBase(value, unit);
  const number = Number(exact.toPrecision(10));
  const isTyped =
    String(Math.abs(number))
      .replace(".", "")
      .replace(/^0+|0+$/gu, "").length <= MOST_TYPED_DIGITS;
  const shown = isTyped
    ? number
    : Number(exact.toPrecision(Math.max(Math.abs(exact) < 1 ? 3 : 4, Math.ceil(Math.log10(Math.abs(exact))))));
  return unit.symbol ? `${shown} ${unit.symbol}` : String(shown);
}

/** "07:05" from minutes of the day; 1440 is "24:00". @example clockText(425) // "07:05" */
export function clockText(minutes: number): string {
  requireRange("clockText", "minutes", minutes, 0, 1440);
  const whole = Math.round(minutes);
  return `${String(Math.floor(whole / 60)).padStart(2, "0")}:${String(whole % 60).padStart(2, "0")}`;
}

function stepUnit(value: number, dimension: Dimension, preferred: Unit, steps: Steps): Unit {
  if (dimension === "latitude" && value < 0) return DIMENSIONS.latitude[1]!;
  const small = US_SMALL[preferred.symbol];
  if (small && value !== 0 && Math.abs(fromBase(value, preferred)) < small.under)
    return DIMENSIONS[dimension].find((unit) => unit.symbol === small.symbol) ?? preferred;
  const step = steps[preferred.symbol]?.find(({ from }) => Math.abs(fromBase(value, preferred)) >= from);
  return DIMENSIONS[dimension].find((unit) => unit.symbol === step?.symbol) ?? preferred;
}

function decimalsFor(shown: number, dimension: Dimension, unit: Unit): number {
  if (dimension === "ec" && unit.symbol !== "mS/cm") return unit.symbol === "CF" ? 1 : 0;
  const fixed = DECIMALS[dimension];
  if (fixed !== undefined) return fixed;
  const size = Math.abs(shown);
  return size >= 100 ? 0 : size >= 10 ? 1 : size >= 1 ? 2 : 3;
}

/** So many of something, in the singular where it is one. @example counted(1, "house") // "1 house" */
export function counted(count: number, one: string, several = `${one}s`): string {
  requireWhole("counted", "count", count, 0, GREATEST_SHOWN);
  return `${formatNumber(count)} ${count === 1 ? one : several}`;
}

/** A share in whole percent, one under a tenth to a tenth of them: finer is never read. */
export function percentText(share: number): string {
  return `${formatNumber(share * 100, share > 0 && share < 0.1 ? 1 : 0)} %`;
}
