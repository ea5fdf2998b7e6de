import type { PlanBatch } from "../batches/types";
import { seedOfBatchG, seedToOrder } from "../growth/seedNeed";
import type { Day } from "../units/day";
import { GREATEST } from "../units/range";
import type { Garden } from "./garden";
import { seedOnHandG } from "./seed";

/** Seed that planned sowings will miss. */
export interface SeedOrder {
  readonly varietyId: number;
  readonly variety: string;
  /** Missing for all that is planned. */
  readonly gramsToBuy: number;
  /** The first sowing that there is not enough for. */
  readonly shortOn: Day;
  readonly orderBy: Day;
}

/**
 * Seed to order for what is planned, of varieties whose lots are kept; the first to run short first.
 * @param today what is sown before it has left its lot already
 */
export function seedOrders({ varieties, batches }: Pick<Garden, "varieties" | "batches">, today: Day): SeedOrder[] {
  return varieties
    .filter(({ lots }) => lots.length > 0)
    .flatMap((variety) => {
      const toSow = batches.filter((batch) => batch.varietyId === variety.id && isToSow(batch));
      const onHandG = seedOnHandG(variety.lots);
      let neededG = 0;
      let shortOn: Day | null = null;
      for (const { sowDay, cells } of toSow.toSorted((a, b) => a.sowDay - b.sowDay)) {
        neededG = Math.min(GREATEST, neededG + seedOfBatchG(variety, cells));
        if (shortOn === null && neededG > onHandG + 1e-9) shortOn = Math.max(today, sowDay);
      }
      if (shortOn === null) return [];
      const { gramsToBuy, orderBy } = seedToOrder(neededG, onHandG, shortOn, variety.seedLeadDays);
      return [{ varietyId: variety.id, variety: variety.name, gramsToBuy, shortOn, orderBy: orderBy ?? shortOn }];
    })
    .sort((a, b) => a.shortOn - b.shortOn);
}

const isToSow = ({ begun, clearedDay }: PlanBatch) => begun.length === 0 && clearedDay === null;
