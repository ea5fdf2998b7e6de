import { inStock } from "../feed/salts";
import type { Plan } from "../batches/plan";
import type { SaltStore } from "../batches/shortages";
import { supplyHorizon, type SupplyHorizon } from "../water/supply";
import type { Garden, Source } from "./garden";
import type { LoopFeed } from "./fed";

/** Litres a day that a source without a store can give. */
export function sourceLimitLpd(source: Pick<Source, "kind" | "flowLph" | "hoursPerDay" | "allowanceLpd">): number {
  return source.kind === "well"
    ? source.flowLph * source.hoursPerDay
    : source.kind === "rain"
      ? 0
      : source.allowanceLpd;
}

/** A garden's sources with what each can give a day, and its stores as one. */
export function suppliedBy({ sources, stores }: Pick<Garden, "sources" | "stores">) {
  const store = stores.reduce(
    (sum, one) => ({ capacityL: sum.capacityL + one.capacityL, storedL: sum.storedL + one.storedL }),
    { capacityL: 0, storedL: 0 },
  );
  return { sources: sources.map((source) => ({ ...source, limitLpd: sourceLimitLpd(source) })), store };
}

/** The days ahead of the garden's water. */
export function waterSupply(rows: Garden, plan: Plan): SupplyHorizon {
  const { sources, store } = suppliedBy(rows);
  const need = [...plan.needL.subarray(plan.today - plan.from)];
  return supplyHorizon(plan.today, need, sources, store, rows.rain);
}

/** What is on the shelf and, dissolved, in the stock tanks. */
export function saltStores(rows: Garden, feeds: ReadonlyMap<number, LoopFeed>): SaltStore[] {
  return rows.salts.map((salt) => {
    const gPerLByLoop = new Map<number, number>();
    let inStocksG = 0;
    for (const [loopId, feed] of feeds) {
      const index = feed.salts.findIndex((candidate) => candidate.id === salt.id);
      const gPerL = (feed.sheet.gPer1000L[index] ?? 0) / 1000;
      if (gPerL <= 0) continue;
      gPerLByLoop.set(loopId, gPerL);
      for (const { tank } of feed.sheet.stocks)
        inStocksG += tank.leftL * gPerL * feed.sheet.factor * inStock(feed.salts[index]!.stock, tank.letter);
    }
    return { id: salt.id, name: salt.name, onHandG: salt.onHandG + inStocksG, leadDays: salt.leadDays, gPerLByLoop };
  });
}
