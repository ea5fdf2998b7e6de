import { DIMENSIONS, preferredUnit, toBase, type Dimension, type Unit, type UnitPreferences } from "./dimensions";

/** What a typed quantity means: a number in the inside unit, nothing at all, or a reason why it cannot be read. */
export type ParsedQuantity =
  | { readonly kind: "value"; readonly value: number }
  | { readonly kind: "empty" }
  | { readonly kind: "unreadable"; readonly message: string };

// A number and what follows it; the units that hold a digit of their own are named first.
const PART = /([-+−]?[\d.,\s\u00a0\u202f]*\d)\s*(ppm\s*[×x]?\s*[57]00|(?:m|ft)[23](?!\d)|[^\d\s.,+−-][^\d]*)?/giu;

/**
 * Reads a quantity as a person types it: with or without a unit, with a decimal point or comma, in one or two
 * parts ("3 ft 6", "1.2 mS", "12 CF", "0,25"). A bare number is in the garden's own unit.
 *
 * @param text what was typed
 * @param dimension what kind of quantity is asked for
 * @param preferences the garden's units
 * @returns the value in the dimension's first unit, or why it cannot be read
 * @example parseQuantity("3 ft 6", "length", METRIC) // { kind: "value", value: 1.0668 }
 */
export function parseQuantity(text: string, dimension: Dimension, preferences: UnitPreferences): ParsedQuantity {
  const trimmed = text.trim();
  if (trimmed === "") return { kind: "empty" };
  const units = DIMENSIONS[dimension];
  let total = 0;
  let previous: Unit | undefined;
  let consumed = "";
  for (const part of trimmed.matchAll(PART)) {
    const number = parseNumber(part[1]!);
    if (typeof number === "string") return { kind: "unreadable", message: number };
    const symbol = (part[2] ?? "").trim();
    const unit = symbol
      ? findUnit(units, symbol)
      : previous
        ? units.find((candidate) => candidate.symbol === previous!.next)
        : preferredUnit(dimension, preferences);
    if (!unit) return { kind: "unreadable", message: unknownUnit(symbol || trimmed, units) };
    if (previous && unit.factor >= previous.factor)
      return { kind: "unreadable", message: `"${trimmed}" has two parts that do not belong together.` };
    total += toBase(number, unit);
    previous = unit;
    consumed += part[0];
  }
  if (!previous || consumed.replaceAll(/\s/gu, "") !== trimmed.replaceAll(/\s/gu, ""))
    return { kind: "unreadable", message: `"${trimmed}" is not a number${example(units)}.` };
  // Decimal factors leave binary dust (0.1 + 0.2); twelve digits are more than any tape or meter has.
  return { kind: "value", value: Number(total.toPrecision(12)) };
}

function parseNumber(raw: string): number | string {
  const text = raw.replaceAll(/[\s\u00a0\u202f]/gu, "").replace("−", "-");
  if (/^[-+]?\d{1,3},\d{3}$/u.test(text) && !/^[-+]?0,/u.test(text))
    return `"${text}" can mean ${text.replace(",", "")} or ${text.replace(",", ".")}: write it without the comma.`;
  const number = Number(text.includes(".") ? text.replaceAll(",", "") : text.replace(",", "."));
  return Number.isFinite(number) ? number : `"${raw.trim()}" is not a number.`;
}

function findUnit(units: readonly Unit[], symbol: string): Unit | undefined {
  const exact = units.find((unit) => unit.symbol === symbol);
  const lower = symbol
    .toLowerCase()
    .replaceAll(/\s+/gu, " ")
    .replace(/^ppm ?[x×]? ?/u, "ppm");
  return exact ?? units.find((unit) => unit.symbol.toLowerCase() === lower || unit.aliases.includes(lower));
}

function unknownUnit(symbol: string, units: readonly Unit[]): string {
  return `"${symbol}" is not a unit known here${example(units)}.`;
}

function example(units: readonly Unit[]): string {
  const symbols = units.map((unit) => unit.symbol).filter(Boolean);
  return symbols.length
    ? `; write for instance ${symbols
        .slice(0, 5)
        .map((symbol) => `2 ${symbol}`)
        .join(", ")}`
    : "";
}
