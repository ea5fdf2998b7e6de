import { requireRange, requireEach, requireWhole } from "../units/range";
import { liquidL, type Salt } from "./salts";

/** "1:100" means one part in 100 parts of outflow, or one part to 100 parts of water. */
export type RatioConvention = "in" | "to";

/** How many times stronger than the feed a stock is: R, or R + 1 when the ratio is "to" parts of water. */
export function concentrationFactor(ratioR: number, convention: RatioConvention = "in"): number {
  requireRange("concentrationFactor", "ratioR", ratioR, 1, 2000);
  return convention === "in" ? ratioR : ratioR + 1;
}

/** Grams of a salt for one stock tank. @example stockTankG(300, 100, 100) // 3000 */
export function stockTankG(gPer1000L: number, factor: number, tankL: number): number {
  requireRange("stockTankG", "gPer1000L", gPer1000L, 0);
  requireRange("stockTankG", "factor", factor, 1, 4000);
  requireRange("stockTankG", "tankL", tankL, 0);
  return (gPer1000L / 1000) * factor * tankL;
}

/** mL of A, and again of B, for a volume of finished feed at a strength. @example stockMl(25, 200) // 125 */
export function stockMl(feedL: number, factor: number, strength = 1): number {
  requireRange("stockMl", "feedL", feedL, 0);
  requireRange("stockMl", "factor", factor, 1, 4000);
  requireRange("stockMl", "strength", strength, 0, 100);
  return (1000 * feedL * strength) / factor;
}

export interface StockConflict {
  readonly salts: readonly [string, string];
  readonly ions:
    | readonly ["Ca", "SO4"]
    | readonly ["Ca", "PO4"]
    | readonly ["chelate", "H"]
    /** One of them stands alone. */
    | readonly ["alone", "other"];
}

/**
 * Why salts may not be in one stock at strength: calcium with sulfate (gypsum) or phosphate (calcium phosphate),
 * acid with a chelate, silicates and carbonates with anything.
 * @returns the first conflict, or null
 * @source tests/reference/feed/stocks.json, "sameStockTank"
 */
export function stockConflict(
  salts: readonly Pick<Salt, "name" | "percent" | "chelate" | "acid" | "alone">[],
): StockConflict | null {
  for (const { percent } of salts) requireEach("stockConflict", "percent", percent, 0, 100);
  const calcium = salts.find((salt) => (salt.percent.Ca ?? 0) > 0);
  const sulfate = salts.find((salt) => (salt.percent.S ?? 0) > 0);
  const phosphate = salts.find((salt) => (salt.percent.P ?? 0) > 0);
  const chelate = salts.find((salt) => salt.chelate);
  const acid = salts.find((salt) => salt.acid);
  const alone = salts.find((salt) => salt.alone);
  const other = salts.find((salt) => salt !== alone);
  if (alone && other) return { salts: [alone.name, other.name], ions: ["alone", "other"] };
  if (calcium && sulfate)
    return {
      salts: [calcium.name, sulfate.name],
      ions: ["Ca", "SO4"],
    };
  if (calcium && phosphate)
    return {
      salts: [calcium.name, phosphate.name],
      ions: ["Ca", "PO4"],
    };
  if (chelate && acid)
    return {
      salts: [chelate.name, acid.name],
      ions: ["chelate", "H"],
    };
  return null;
}

/** The temperatures that solubilities are told at, °C. */
export const SOLUBILITY_AT_C = [0, 10, 20, 30] as const;
/** Share of the solubility that a stock is planned to, and of two salts with an ion in common. */
export const PLANNED_SHARE = 0.8;
export const COMMON_ION_SHARE = 0.9;

/** Solubility at a temperature, linear between the tabled ones, held at the ends. g/L of finished stock. */
export function solubilityAtGPerL(table: readonly number[], temperatureC: number): number {
  requireWhole("solubilityAtGPerL", "temperatures of table", table.length, 4, 4);
  requireEach("solubilityAtGPerL", "table", table, 0, 100_000);
  requireRange("solubilityAtGPerL", "temperatureC", temperatureC, -60, 80);
  const t = Math.min(30, Math.max(0, temperatureC));
  const index = Math.min(2, Math.floor(t / 10));
  const part = (t - SOLUBILITY_AT_C[index]!) / 10;
  return table[index]! * (1 - part) + table[index + 1]! * part;
}

export interface StockSolubility {
  /** Fraction of its limit for each salt that has one. */
  readonly fractions: readonly {
    readonly name: string;
    readonly gPerL: number;
    readonly limitGPerL: number;
    readonly fraction: number;
  }[];
  readonly verdict: "clear" | "close" | "does-not-dissolve";
  /** What comes nearest to its limit: a salt by name, or the sulfates together. */
  readonly nearest:
    | { readonly kind: "salt"; readonly name: string }
    | { readonly kind: "sulfates" }
    /** The liquids alone fill the stock. */
    | { readonly kind: "volume" };
  /** Share of the limit that it takes. */
  readonly load: number;
  readonly coldestC: number;
  /** Highest whole ratio at which everything still dissolves. */
  readonly highestRatioR: number;
}

/**
 * Does a stock dissolve at the store's coldest temperature? Each salt against its own limit; potassium and magnesium
 * sulfate, which share an ion, by the sum of their fractions; liquids by the litres that they take up.
 *
 * @param salts with their grams per 1000 L of feed
 * @param factor concentration factor of the stock
 * @param coldestC coldest temperature of the store, °C
 * @source tests/reference/feed/stocks.json
 */
export function stockSolubility(
  salts: readonly (Pick<Salt, "name" | "percent" | "solubilityGPerL" | "form" | "densityKgPerL"> & {
    readonly gPer1000L: number;
  })[],
  factor: number,
  coldestC: number,
): StockSolubility {
  requireRange("stockSolubility", "factor", factor, 1, 4000);
  requireRange("stockSolubility", "coldestC", coldestC, -60, 80);
  for (const salt of salts) {
    requireRange("stockSolubility", "gPer1000L", salt.gPer1000L, 0);
    requireEach("stockSolubility", "percent", salt.percent, 0, 100);
    requireEach("stockSolubility", "solubilityGPerL", salt.solubilityGPerL ?? [], 0, 100_000);
  }
  const fractions = salts
    .filter((salt) => salt.solubilityGPerL !== null && salt.gPer1000L > 0)
    .map((salt) => {
      const gPerL = (salt.gPer1000L / 1000) * factor;
      const limitGPerL = solubilityAtGPerL(salt.solubilityGPerL!, coldestC);
      return {
        name: salt.name,
        gPerL,
        limitGPerL,
        fraction: gPerL / limitGPerL,
        sulfate: isMacroSulfate(salt),
      };
    });
  const sulfates = fractions.filter((entry) => entry.sulfate);
  const sulfateSum = sulfates.length > 1 ? sulfates.reduce((sum, entry) => sum + entry.fraction, 0) : 0;
  const worst = fractions.reduce((a, b) => (b.fraction > a.fraction ? b : a), {
    name: "",
    fraction: 0,
    gPerL: 0,
    limitGPerL: 0,
    sulfate: false,
  });
  const liquids = salts.reduce((sum, salt) => sum + (liquidL(salt, salt.gPer1000L) ?? 0), 0) * (factor / 1000);
  const load = Math.max(worst.fraction, sulfateSum, liquids);
  const verdict =
    load > 1
      ? "does-not-dissolve"
      : worst.fraction > PLANNED_SHARE || sulfateSum > COMMON_ION_SHARE
        ? "close"
        : "clear";
  // A hair is added so that an exact whole ratio is not lost to rounding.
  const highestRatioR = load > 0 ? Math.floor(factor / load + 1e-9) : Infinity;
  const nearest: StockSolubility["nearest"] =
    liquids === load && load > 0
      ? { kind: "volume" }
      : sulfateSum > worst.fraction
        ? { kind: "sulfates" }
        : { kind: "salt", name: worst.name };
  return { fractions, verdict, nearest, load, coldestC, highestRatioR };
}

function isMacroSulfate(salt: Pick<Salt, "percent">): boolean {
  return (salt.percent.S ?? 0) > 0 && ((salt.percent.K ?? 0) > 0 || (salt.percent.Mg ?? 0) > 0);
}

/** Whole and exact days that a stock tank lasts. @example stockDaysLeft(80, 2400, 100).whole // 3 */
export function stockDaysLeft(leftL: number, feedLpd: number, factor: number): { exact: number; whole: number } {
  requireRange("stockDaysLeft", "leftL", leftL, 0);
  requireRange("stockDaysLeft", "feedLpd", feedLpd, 0);
  requireRange("stockDaysLeft", "factor", factor, 1, 4000);
  const exact = feedLpd > 0 ? leftL / (feedLpd / factor) : Infinity;
  return { exact, whole: Math.floor(exact + 1e-9) };
}
