import { DIMENSIONS, preferredUnit, toBase, type Dimension, type Unit, type UnitPreferences } from "./dimensions";

/** What a typed quantity means: a number in the inside unit, nothing at all, or a reason why it cannot be read. */
export type ParsedQuantity =
  | {
      readonly kind: "value";
      readonly value: number;
      /** As written; of two parts the first. */ readonly unit?: string;
    }
  | { readonly kind: "empty" }
  | { readonly kind: "unreadable"; readonly message: string };

// A number and what follows it; the units that hold a digit of their own are named first.
const PART =
  /([-+−]?(?:[\d.,\s\u00a0\u202f]*\d|\d+))(k(?![a-z]))?\s*(ppm\s*[×x]?\s*[57]00|(?:m|ft)[23](?!\d)|[^\d\s.,+−-][^\d]*)?/giu;

/**
 * Reads a quantity as a person types it: with or without a unit, with a decimal point or comma, in one or two
 * parts ("3 ft 6", "1.2 mS", "12 CF", "0,25", "1 7/8 in", "2,000", "1.5k"). A bare number is in the garden's own unit.
 *
 * @param text what was typed
 * @param dimension what kind of quantity is asked for
 * @param preferences the garden's units
 * @returns the value in the dimension's first unit, or why it cannot be read
 * @example parseQuantity("3 ft 6", "length", METRIC) // { kind: "value", value: 1.0668, unit: "ft" }
 */
export function parseQuantity(text: string, dimension: Dimension, preferences: UnitPreferences): ParsedQuantity {
  const trimmed = text.trim();
  if (trimmed === "") return { kind: "empty" };
  if (dimension === "clock") return parseClock(trimmed);
  const written = withoutFractions(trimmed);
  const units = DIMENSIONS[dimension];
  let total = 0;
  let previous: Unit | undefined;
  let firstUnit: string | undefined;
  let consumed = "";
  for (const part of written.matchAll(PART)) {
    const symbol = (part[3] ?? "").trim();
    const unit = symbol
      ? findUnit(units, symbol)
      : previous
        ? units.find((candidate) => candidate.symbol === previous!.next)
        : preferredUnit(dimension, preferences);
    if (!unit) return { kind: "unreadable", message: unknownUnit(symbol || trimmed, units) };
    const number = parseNumber(part[1]!, unit);
    if (typeof number === "string") return { kind: "unreadable", message: number };
    if (previous && unit.factor >= previous.factor)
      return { kind: "unreadable", message: `"${trimmed}" has two parts that do not belong together.` };
    if (!previous && symbol) firstUnit = unit.symbol;
    total += toBase(part[2] ? number * 1000 : number, unit);
    previous = unit;
    consumed += part[0];
  }
  if (!previous || consumed.replaceAll(/\s/gu, "") !== written.replaceAll(/\s/gu, ""))
    return { kind: "unreadable", message: `"${trimmed}" is not a number${example(units)}.` };
  // Decimal factors leave binary rounding (0.1 + 0.2); twelve digits are more than any tape or meter has.
  return { kind: "value", value: Number(total.toPrecision(12)), ...(firstUnit !== undefined && { unit: firstUnit }) };
}

const CLOCK = /^(\d{1,2})(?:[:.h]?(\d{2}))?\s*(am|pm)?$/iu;

/** A time of the day: "6:00", "18.30", "6 pm", "24:00". */
function parseClock(text: string): ParsedQuantity {
  const [, hours, minutes = "0", half] = CLOCK.exec(text) ?? [];
  const hour = half ? (Number(hours) % 12) + (half.toLowerCase() === "pm" ? 12 : 0) : Number(hours);
  const value = hour * 60 + Number(minutes);
  return hours === undefined || Number(minutes) > 59 || value > 1440 || (half && Number(hours) > 12)
    ? { kind: "unreadable", message: `"${text}" is not a time of the day; write for instance 6:00, 18:30 or 24:00` }
    : { kind: "value", value };
}

// "1 7/8", "3/4", "1½": whole inches and their parts, as on a tape.
const GLYPH = /(\d?)([¼-¾⅐-⅞])/gu;
const FRACTION = /(?:(\d+)\s+)?(\d+)\s*[/⁄]\s*([1-9]\d*)/gu;

function withoutFractions(text: string): string {
  return text
    .replaceAll(GLYPH, (_, before: string, glyph: string) => `${before && `${before} `}${glyph.normalize("NFKC")}`)
    .replaceAll(FRACTION, (_, whole: string | undefined, part: string, of: string) =>
      String(Number(whole ?? 0) + Number(part) / Number(of)),
    );
}

// "2,000" and "12,500.5": thousands. "0,250" and what no meter shows thousands of has a decimal comma.
const THOUSANDS = /^[-+]?[1-9]\d{0,2}(?:,\d{3})+(?:\.\d+)?$/u;

function parseNumber(raw: string, unit: Unit): number | string {
  const text = raw.replaceAll(/[\s\u00a0\u202f]/gu, "").replace("−", "-");
  const isThousands = THOUSANDS.test(text) && !unit.neverThousands;
  const number = Number(isThousands || text.includes(".") ? text.replaceAll(",", "") : text.replace(",", "."));
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
