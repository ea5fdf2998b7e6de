import type { RecipeSalt } from "./feedSheet";
import { inStock, STOCK_LETTERS, stockFor, type StockLetter, type StockPlace } from "./salts";
import { stockConflict, stockSolubility } from "./stocks";
import { requireRange, requireWhole } from "../units/range";

/** A salt with its amount in the ready feed. */
type Weighed = Pick<
  RecipeSalt,
  "id" | "name" | "percent" | "solubilityGPerL" | "chelate" | "acid" | "alone" | "stock"
> & {
  readonly gPer1000L: number;
};

/** Where each salt goes, and the highest ratio at which all of it dissolves. */
export interface StockSplit {
  readonly places: readonly StockPlace[];
  readonly highestRatioR: number;
  /** As it is placed now. */
  readonly nowRatioR: number;
}

/** Less than this in 1000 L is no load: micronutrients stay where they are. */
const MOVABLE_G = 20;
/** A gain smaller than this is not worth a change. */
const WORTH = 1.1;
const MOST_MOVABLE = 8;

/**
 * Salts put into two or three stocks so that the most of them dissolve: what belongs to neither side in A, in B or half in
 * each; with a third tank that nothing has to itself, salts of B in C. Nothing that drops out is put together.
 *
 * @param salts of a recipe, with grams in 1000 L of the ready feed
 * @param tanks 2 or 3
 * @param factor concentration factor of the stocks
 * @param coldestC coldest temperature of their place, °C
 * @returns null where no other way dissolves a tenth more
 * @throws RangeError when a figure is outside its range
 * @source all ways are tried, by stockSolubility and stockConflict
 */
export function stockSplit(
  salts: readonly Weighed[],
  tanks: 2 | 3,
  factor: number,
  coldestC: number,
): StockSplit | null {
  requireWhole("stockSplit", "tanks", tanks, 2, 3);
  requireRange("stockSplit", "factor", factor, 1, 4000);
  for (const { gPer1000L } of salts) requireRange("stockSplit", "gPer1000L", gPer1000L, 0, 1_000_000);
  const letters = STOCK_LETTERS.slice(0, tanks);
  const ratioOf = (places: readonly StockPlace[]) => {
    const stocks = letters.map((letter) => contents(salts, places, letter));
    if (stocks.some((own) => stockConflict(own) !== null)) return 0;
    return Math.min(...stocks.map((own) => stockSolubility(own, factor, coldestC).highestRatioR));
  };
  const now = salts.map(({ stock }) => stock);
  const nowRatioR = ratioOf(now);
  const hasFreeTank = tanks === 3 && !salts.some(({ alone, gPer1000L }) => alone && gPer1000L > 0);
  const movable = salts
    .map((salt, at) => ({ at, gPer1000L: salt.gPer1000L, options: optionsOf(salt, hasFreeTank) }))
    .filter(({ gPer1000L, options }) => gPer1000L >= MOVABLE_G && options.length > 1)
    .sort((one, other) => other.gPer1000L - one.gPer1000L)
    .slice(0, MOST_MOVABLE);
  let best = { places: now as readonly StockPlace[], ratioR: nowRatioR, moved: 0 };
  const tryFrom = (at: number, places: readonly StockPlace[]): void => {
    const one = movable[at];
    if (one) {
      for (const place of one.options) tryFrom(at + 1, places.with(one.at, place));
      return;
    }
    const ratioR = ratioOf(places);
    const moved = places.filter((place, index) => place !== now[index]).length;
    if (ratioR > best.ratioR || (ratioR === best.ratioR && moved < best.moved)) best = { places, ratioR, moved };
  };
  tryFrom(0, now);
  return Number.isFinite(best.ratioR) && best.ratioR >= nowRatioR * WORTH && best.moved > 0
    ? { places: best.places, highestRatioR: best.ratioR, nowRatioR }
    : null;
}

function optionsOf(salt: Weighed, hasFreeTank: boolean): StockPlace[] {
  const belongs = stockFor(salt);
  if (belongs === "either") return hasFreeTank ? ["A", "B", "A+B", "C"] : ["A", "B", "A+B"];
  return belongs === "B" && hasFreeTank ? ["B", "C"] : [belongs];
}

function contents(salts: readonly Weighed[], places: readonly StockPlace[], letter: StockLetter): Weighed[] {
  return salts.flatMap((salt, at) => {
    const gPer1000L = salt.gPer1000L * inStock(places[at]!, letter);
    return gPer1000L > 0 ? [{ ...salt, gPer1000L }] : [];
  });
}
