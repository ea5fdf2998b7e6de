import { DIMENSIONS, fromBase, preferredUnit, type Dimension, type Unit, type UnitPreferences } from "./dimensions";

/** A quantity ready to be shown: the figure and its unit apart, so that they can be set in different sizes. */
export interface FormattedQuantity {
  readonly figure: string;
  readonly unit: string;
}

const THIN_SPACE = "\u202f";
/** Larger or smaller units that read better past a size, per preferred unit. */
const STEPS: Readonly<Record<string, readonly { readonly from: number; readonly symbol: string }[]>> = {
  g: [{ from: 1000, symbol: "kg" }],
  mL: [{ from: 1000, symbol: "L" }],
  L: [{ from: 20_000, symbol: "m³" }],
};
const DECIMALS: Partial<Record<Dimension, number>> = {
  ec: 2,
  ph: 1,
  temperature: 1,
  count: 0,
  days: 1,
  money: 2,
};

/**
 * Writes a quantity in the garden's units with about three telling digits, no trailing zeros and thin spaces
 * between thousands.
 *
 * @param value in the dimension's inside unit (m, L, L/h, mS/cm, °C, g, share as a fraction …)
 * @example formatQuantity(11200, "volume", METRIC) // { figure: "11 200", unit: "L" } (thin space)
 */
export function formatQuantity(value: number, dimension: Dimension, preferences: UnitPreferences): FormattedQuantity {
  const preferred = preferredUnit(dimension, preferences);
  const shown = stepUnit(value, dimension, preferred);
  const figure = formatNumber(fromBase(value, shown), decimalsFor(fromBase(value, shown), dimension, shown));
  return { figure, unit: dimension === "money" ? preferences.currency : shown.symbol };
}

/** As `formatQuantity`, in one string. */
export function quantityText(value: number, dimension: Dimension, preferences: UnitPreferences): string {
  const { figure, unit } = formatQuantity(value, dimension, preferences);
  return unit ? `${figure} ${unit}` : figure;
}

/** A number with at most `decimals` decimals, thin spaces between thousands and a true minus sign. */
export function formatNumber(value: number, decimals = 0): string {
  if (!Number.isFinite(value)) return "–";
  const [whole, fraction] = Math.abs(value).toFixed(decimals).split(".");
  const grouped = whole!.length > 4 ? whole!.replaceAll(/\B(?=(\d{3})+$)/gu, THIN_SPACE) : whole!;
  const digits = fraction && /[1-9]/u.test(fraction) ? `${grouped}.${fraction.replace(/0+$/u, "")}` : grouped;
  return value < 0 && /[1-9]/u.test(digits) ? `−${digits}` : digits;
}

/** Text for an input: the value in the garden's unit, not rounded further than a person would type. */
export function editText(value: number, dimension: Dimension, preferences: UnitPreferences): string {
  const unit = preferredUnit(dimension, preferences);
  const number = String(Number(fromBase(value, unit).toPrecision(10)));
  return unit.symbol ? `${number} ${unit.symbol}` : number;
}

function stepUnit(value: number, dimension: Dimension, preferred: Unit): Unit {
  const step = STEPS[preferred.symbol]?.find(({ from }) => Math.abs(fromBase(value, preferred)) >= from);
  return DIMENSIONS[dimension].find((unit) => unit.symbol === step?.symbol) ?? preferred;
}

function decimalsFor(shown: number, dimension: Dimension, unit: Unit): number {
  if (dimension === "ec" && unit.symbol !== "mS/cm") return unit.symbol === "CF" ? 1 : 0;
  const fixed = DECIMALS[dimension];
  if (fixed !== undefined) return fixed;
  const size = Math.abs(shown);
  return size >= 100 ? 0 : size >= 10 ? 1 : size >= 1 ? 2 : 3;
}
