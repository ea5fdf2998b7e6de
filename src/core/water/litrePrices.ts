import { requireEach } from "../units/range";
import { requireSupply, type SupplyHorizon, type WaterSource, type WaterStore } from "./supply";

/** Less than this in a store is rounding. */
const NOTHING_L = 1e-6;

/**
 * What one litre more on a day costs in the end: the price of the first source in the order that has some left. Rain that
 * is stored costs what it spares later: nothing where the store runs over first, else what has to be drawn in its place on
 * the first day on which the store is empty.
 *
 * @param supply litres in store at the end of each day, and drawn on each day from each source, as `supplyHorizon` gives them
 * @param sources those that it was walked with, in the same order
 * @param store the one that it was walked with
 * @returns money per litre for each day; where nothing is left on a day, the price of the last source
 * @throws RangeError for a figure outside its range
 * @source marginal cost of the walk in supply.ts: its cost with a little more on one day less its cost as it is
 */
export function litrePrices(
  { storedL, drawnL }: Pick<SupplyHorizon, "storedL" | "drawnL">,
  sources: readonly WaterSource[],
  store: WaterStore,
): number[] {
  requireSupply("litrePrices", sources, store);
  requireEach("litrePrices", "storedL", storedL, 0);
  for (const drawn of drawnL) requireEach("litrePrices", "drawnL", drawn, 0);
  const order = sources.map((_, index) => index).sort((a, b) => sources[a]!.priority - sources[b]!.priority);
  const priceOf = (index: number | undefined) => (index === undefined ? 0 : sources[index]!.pricePerM3 / 1000);
  const rainPrice = priceOf(order.find((index) => sources[index]!.kind === "rain"));
  const prices = new Array<number>(storedL.length).fill(0);
  // What a litre in store at the beginning of the next day spares, more than its own price.
  let sparesNext = 0;
  for (let day = storedL.length - 1; day >= 0; day--) {
    const inStoreL = storedL[day]!;
    const spares = inStoreL >= store.capacityL - NOTHING_L ? 0 : sparesNext;
    const next = order.find((index) =>
      sources[index]!.kind === "rain"
        ? inStoreL > NOTHING_L
        : (drawnL[index]?.[day] ?? 0) < sources[index]!.limitLpd - NOTHING_L,
    );
    const isRain = next !== undefined && sources[next]!.kind === "rain";
    prices[day] = isRain ? rainPrice + spares : priceOf(next ?? order.at(-1));
    sparesNext = inStoreL > NOTHING_L ? spares : prices[day]! - rainPrice;
  }
  return prices;
}
