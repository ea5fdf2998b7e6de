import type { Dimension, UnitPreferences } from "./dimensions";
import { quantityText } from "./format";

/**
 * A quantity inside a sentence that core makes. Core does not know the garden's units: it leaves value and dimension in
 * the text, and whoever shows it writes them out with `inUnits`.
 *
 * @example told(548, "volume") // "⟦548|volume⟧"
 */
export function told(value: number, dimension: Dimension): string {
  return `⟦${Number(value.toPrecision(6))}|${dimension}⟧`;
}

const TOLD = /⟦([^|⟧]*)\|(\w+)⟧/gu;

/**
 * Writes out the quantities of a sentence, or of all sentences in plain data, in the garden's units.
 *
 * @example inUnits("The tank is ⟦52|volume⟧ low.", METRIC) // "The tank is 52 L low."
 */
export function inUnits<T>(data: T, preferences: UnitPreferences): T {
  if (typeof data === "string")
    return data.replaceAll(TOLD, (_, value: string, dimension: string) =>
      quantityText(Number(value), dimension as Dimension, preferences),
    ) as T;
  if (Array.isArray(data)) return data.map((part: unknown) => inUnits(part, preferences)) as T;
  if (typeof data !== "object" || data === null || Object.getPrototypeOf(data) !== Object.prototype) return data;
  return Object.fromEntries(Object.entries(data).map(([key, part]) => [key, inUnits(part, preferences)])) as T;
}
