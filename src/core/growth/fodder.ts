import { wholeUp } from "../numeric/whole";
import { GREATEST, requireFigures } from "../units/range";
import { traysFor, trayYieldG, type TraySown } from "./trayYield";

/** Animals that eat so much fresh fodder a day. */
export interface Animals {
  readonly heads: number;
  readonly freshKgPerHeadPerDay: number;
}

/** What fodder for some animals takes. */
export interface FodderNeed {
  readonly freshKgPerDay: number;
  /** By the yield alone. */
  readonly seedKgPerDayNeeded: number;
  readonly traysPerDay: number;
  /** In the trays that are really started. */
  readonly seedKgPerDaySown: number;
  readonly cutKgPerDay: number;
  readonly traysOnRack: number;
  /** Bags opened in a month beyond the seed on hand, by what is needed and by what is sown. */
  readonly bagsNeeded: number;
  readonly bagsSown: number;
}

/**
 * Fodder for animals, day after day: trays to start, seed, and bags of it in a month.
 *
 * @param tray what a tray gives
 * @param store a bag of seed, what is on hand, and the days of the month
 * @throws RangeError when a figure is outside its range
 * @source ration × heads; tests/reference/growth/shoots.json and trays.json, fodder
 */
export function fodderNeed(
  animals: readonly Animals[],
  tray: TraySown & { readonly halfTrays: boolean; readonly daysOnRack: number },
  store: { readonly bagKg: number; readonly seedOnHandKg: number; readonly daysInMonth: number },
): FodderNeed {
  const { daysOnRack } = tray;
  const { bagKg, seedOnHandKg, daysInMonth } = store;
  requireFigures(
    "fodderNeed",
    { daysOnRack, bagKg, seedOnHandKg, daysInMonth },
    {
      daysOnRack: [1, 120, "whole"],
      bagKg: [0.001, 10_000],
      seedOnHandKg: [0, GREATEST],
      daysInMonth: [1, 31, "whole"],
    },
  );
  for (const group of animals)
    requireFigures("fodderNeed", group, { heads: [0, 1_000_000, "whole"], freshKgPerHeadPerDay: [0, 200] });
  const yieldG = trayYieldG(tray);
  const freshKgPerDay = animals.reduce((sum, { heads, freshKgPerHeadPerDay }) => sum + heads * freshKgPerHeadPerDay, 0);
  const seedKgPerDayNeeded = (freshKgPerDay * tray.seedGPerTray) / yieldG;
  const traysPerDay = traysFor(freshKgPerDay * 1000, yieldG, tray.halfTrays);
  const seedKgPerDaySown = (traysPerDay * tray.seedGPerTray) / 1000;
  const bags = (kgPerDay: number) => Math.max(0, wholeUp((kgPerDay * daysInMonth - seedOnHandKg) / bagKg));
  return {
    ...{ freshKgPerDay, seedKgPerDayNeeded, traysPerDay, seedKgPerDaySown },
    cutKgPerDay: (traysPerDay * yieldG) / 1000,
    traysOnRack: traysPerDay * daysOnRack,
    bagsNeeded: bags(seedKgPerDayNeeded),
    bagsSown: bags(seedKgPerDaySown),
  };
}
