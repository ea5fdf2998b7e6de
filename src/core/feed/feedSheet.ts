import { GREATEST, requireFigures, requireRange } from "../units/range";
import { byLabel } from "./byLabel";
import { ecOfIons } from "./ec";
import { elementsOfSalts } from "./elementsOfSalts";
import { ionsFromElements, mixIons, type IonAmounts } from "./nutrients";
import { recipeResult, type RecipeResult } from "./recipeResult";
import { atStrength, type RecipeWish } from "./recipeWish";
import { inStock, type Salt, type StockLetter, type StockPlace } from "./salts";
import { strengthForEc } from "./scaleToEc";
import {
  concentrationFactor,
  stockConflict,
  stockDaysLeft,
  stockSolubility,
  stockTankG,
  type RatioConvention,
  type StockConflict,
  type StockSolubility,
} from "./stocks";

/** A salt of a recipe and the stock it goes into. */
export interface RecipeSalt extends Salt {
  readonly id: number;
  readonly stock: StockPlace;
  readonly pricePerKg: number;
  readonly onHandG: number;
  /** In 1000 L of the recipe as written; null where it was never solved. */
  readonly gPer1000L: number | null;
}

export interface StockTank {
  readonly letter: StockLetter;
  readonly volumeL: number;
  readonly leftL: number;
}

export interface FeedSheetInput {
  /** What the recipe is to come to, as written. */
  readonly wish: Omit<RecipeWish, "salts">;
  /** Fed by labels: the salts are products at their labels' doses, and this is what the pack says of EC. */
  readonly byLabel?: { readonly labelEcMsPerCm: number | null } | null;
  /** EC the ready feed shall have; the recipe's ratios are kept and its strength follows. */
  readonly ecMsPerCm: number;
  readonly salts: readonly RecipeSalt[];
  readonly waterAlkalinityMgCaco3PerL: number;
  readonly ratioR: number;
  readonly convention: RatioConvention;
  readonly stocks: readonly StockTank[];
  /** Coldest temperature of the place where the stocks stand. */
  readonly coldestC: number;
  /** Litres of feed the loop takes a day. */
  readonly feedLpd: number;
}

export interface StockSheet {
  readonly tank: StockTank;
  readonly salts: readonly { readonly id: number; readonly name: string; readonly tankG: number }[];
  readonly conflict: StockConflict | null;
  readonly solubility: StockSolubility;
  readonly litresPerDay: number;
  readonly daysLeft: { readonly exact: number; readonly whole: number };
}

export interface FeedSheet {
  /** What it comes to at its strength; as written, where it has none. */
  readonly result: RecipeResult;
  /** Grams of each salt in 1000 L of the recipe as written, in the order of the salts. */
  readonly writtenGPer1000L: readonly number[];
  /** EC worked out for the ready feed; with a learned factor another one than is wanted of the meter. */
  readonly madeToMsPerCm: number;
  /** Factor on the recipe as written that gives the wanted EC; null when none does. */
  readonly strength: number | null;
  /** Why none does. */
  readonly noStrength: "water-too-strong" | "recipe-too-weak" | "label-ec-not-told" | null;
  /** Grams of each salt in 1000 L of feed at the wanted EC, in the order of the salts. */
  readonly gPer1000L: readonly number[];
  readonly waterEcMsPerCm: number;
  /** EC of the recipe as written, before it is scaled. */
  readonly recipeEcMsPerCm: number;
  readonly recipeIons: IonAmounts;
  /** Fed by a label that tells an EC and not what is in it: the ions only stand for that EC. */
  readonly ionsUntold: boolean;
  readonly waterIons: IonAmounts;
  readonly factor: number;
  readonly stocks: readonly StockSheet[];
}

/**
 * From a recipe to what is weighed: its salts scaled to the wanted EC, what they come to with the water, split over the
 * stocks, checked for what drops out, and how long each stock lasts.
 *
 * @source recipeResult.ts, scaleToEc.ts, stocks.ts
 */
export function feedSheet(input: FeedSheetInput): FeedSheet {
  requireRange("feedSheet", "feedLpd", input.feedLpd, 0);
  for (const stock of input.stocks)
    requireFigures("feedSheet", stock, { volumeL: [0, GREATEST], leftL: [0, GREATEST] });
  const writtenGPer1000L = input.salts.map(({ gPer1000L }) => gPer1000L ?? 0);
  const told = input.byLabel && byLabel(input.salts, writtenGPer1000L, input.byLabel.labelEcMsPerCm);
  const isUntold = told?.kind === "not-told";
  const recipeIons = isUntold ? {} : (told?.ions ?? ionsFromElements(elementsOfSalts(input.salts, writtenGPer1000L)));
  const waterIons = ionsFromElements(input.wish.waterMgPerL, input.waterAlkalinityMgCaco3PerL);
  const hasSalts = Object.keys(recipeIons).length > 0;
  const scaled = hasSalts ? strengthForEc(recipeIons, waterIons, input.ecMsPerCm) : "recipe-too-weak";
  const strength = typeof scaled === "number" ? scaled : null;
  const gPer1000L = writtenGPer1000L.map((grams) => grams * (strength ?? 0));
  const wish = atStrength({ ...input.wish, salts: input.salts }, strength ?? 1);
  const factor = concentrationFactor(input.ratioR, input.convention);
  const stocks = input.stocks.map((tank) => stockSheet(tank, input, gPer1000L, factor));
  return {
    result: recipeResult(wish, strength === null ? writtenGPer1000L : gPer1000L),
    writtenGPer1000L,
    madeToMsPerCm: input.ecMsPerCm,
    strength,
    noStrength: typeof scaled === "number" ? null : isUntold ? "label-ec-not-told" : scaled,
    gPer1000L,
    waterEcMsPerCm: ecOfIons(waterIons),
    recipeEcMsPerCm: ecOfIons(
      mixIons([
        [1, waterIons],
        [1, recipeIons],
      ]),
    ),
    recipeIons,
    ionsUntold: told?.kind === "told" && told.workedOutMsPerCm === null,
    waterIons,
    factor,
    stocks,
  };
}

function stockSheet(tank: StockTank, input: FeedSheetInput, gPer1000L: readonly number[], factor: number): StockSheet {
  const own = input.salts
    .map((salt, index) => ({ ...salt, gPer1000L: gPer1000L[index]! * inStock(salt.stock, tank.letter) }))
    .filter((salt) => salt.gPer1000L > 0);
  return {
    tank,
    salts: own.map((salt) => ({
      id: salt.id,
      name: salt.name,
      tankG: stockTankG(salt.gPer1000L, factor, tank.volumeL),
    })),
    conflict: stockConflict(own),
    solubility: stockSolubility(own, factor, input.coldestC),
    litresPerDay: input.feedLpd / factor,
    daysLeft: stockDaysLeft(tank.leftL, input.feedLpd, factor),
  };
}
