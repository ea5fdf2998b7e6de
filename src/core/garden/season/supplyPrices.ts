import { litrePrices } from "../../water/litrePrices";
import type { Day } from "../../units/day";
import { saltStores, suppliedBy } from "../supply";
import type { Worked } from "../worked";

/** What a litre costs that a plant takes. */
export interface SupplyPrices {
  /** Of water, on a day. */
  readonly waterOn: (day: Day) => number;
  /** Of the salts in the feed, by loop. */
  readonly saltsByLoop: ReadonlyMap<number, number>;
}

const YEAR_DAYS = 365;

/**
 * What a litre more costs beside the plan as it is: water by the source that it would come from, salts at the prices on the
 * shelf. Behind the days that the supply is walked, water costs what it does a year earlier.
 */
export function supplyPrices({ garden, feeds, supply }: Pick<Worked, "garden" | "feeds" | "supply">): SupplyPrices {
  const { sources, store } = suppliedBy(garden);
  const water = litrePrices(supply, sources, store);
  const known = water.length;
  const pricePerG = new Map(garden.salts.map(({ id, pricePerKg }) => [id, pricePerKg / 1000]));
  const saltsByLoop = new Map<number, number>();
  for (const { id, gPerLByLoop } of saltStores(garden, feeds))
    for (const [loopId, gPerL] of gPerLByLoop)
      saltsByLoop.set(loopId, (saltsByLoop.get(loopId) ?? 0) + gPerL * (pricePerG.get(id) ?? 0));
  return {
    saltsByLoop,
    waterOn: (day) => {
      const at = day - supply.from;
      const within = at < known || known < YEAR_DAYS ? at : known - YEAR_DAYS + ((at - known) % YEAR_DAYS);
      return water[Math.min(known - 1, Math.max(0, within))] ?? 0;
    },
  };
}
