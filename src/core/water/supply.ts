import { GREATEST, requireEach, requireFigures } from "../units/range";
import { civilDate, daysInMonth, requireDay, type Day } from "../units/day";
import { meanRainInflowL, type RainNormals } from "./rainInflow";
import { storageDay } from "./storageBalance";

/** A source of water. Sources are drawn on in the order of their priority, 1 first. */
export interface WaterSource {
  readonly id: number;
  readonly name: string;
  readonly kind: "rain" | "well" | "mains" | "carried";
  readonly priority: number;
  /** Litres a day it can give; for rain the roof and the store decide. */
  readonly limitLpd: number;
  readonly roofAreaM2: number;
  readonly pricePerM3: number;
}

export interface WaterStore {
  readonly capacityL: number;
  readonly storedL: number;
}

export interface SupplyHorizon {
  readonly from: Day;
  readonly needL: readonly number[];
  readonly storedL: readonly number[];
  readonly shortL: readonly number[];
  /** Litres drawn from each source on each day, in the order of `sources`. */
  readonly drawnL: readonly (readonly number[])[];
  readonly firstShort: { readonly day: Day; readonly litres: number } | null;
  readonly cost: number;
}

/**
 * Walks the days of a plan and asks each source in turn: rain through its store, the others up to their daily limit.
 *
 * @param from first day
 * @param needL litres wanted on each day
 * @param sources any order; priority decides
 * @param store what rain collects in
 * @param rain monthly normals of the place
 * @returns store, shortage and draw by day, the first day short and by how much, and what the water costs
 * @source day-by-day storage balance (storageBalance.ts), rain by rainInflow.ts
 */
export function supplyHorizon(
  from: Day,
  needL: readonly number[],
  sources: readonly WaterSource[],
  store: WaterStore,
  rain: RainNormals,
): SupplyHorizon {
  requireDay("supplyHorizon", "from", from);
  requireEach("supplyHorizon", "needL", needL, 0);
  requireSupply("supplyHorizon", sources, store);
  const order = sources.map((_, index) => index).sort((a, b) => sources[a]!.priority - sources[b]!.priority);
  const drawnL = sources.map(() => new Array<number>(needL.length).fill(0));
  const storedL = new Array<number>(needL.length).fill(0);
  const shortL = new Array<number>(needL.length).fill(0);
  const roofAreaM2 = sources.reduce((sum, source) => sum + (source.kind === "rain" ? source.roofAreaM2 : 0), 0);
  const hasRain = sources.some((source) => source.kind === "rain");
  let inStoreL = Math.min(store.storedL, store.capacityL);
  let firstShort: SupplyHorizon["firstShort"] = null;
  let cost = 0;
  needL.forEach((wantedL, offset) => {
    const { year, month } = civilDate(from + offset);
    const inflowL = meanRainInflowL(rain, month, daysInMonth(year, month), roofAreaM2);
    let leftL = wantedL;
    let fromStoreL = 0;
    for (const index of order) {
      const source = sources[index]!;
      const availableL = source.kind === "rain" ? inStoreL + inflowL - fromStoreL : source.limitLpd;
      const takenL = Math.min(leftL, availableL);
      drawnL[index]![offset] = takenL;
      cost += (takenL / 1000) * source.pricePerM3;
      if (source.kind === "rain") fromStoreL += takenL;
      leftL -= takenL;
    }
    inStoreL = storageDay(
      inStoreL,
      store.capacityL,
      hasRain ? inflowL : 0,
      Math.min(fromStoreL, inStoreL + inflowL),
    ).endL;
    storedL[offset] = inStoreL;
    // Less than a millilitre is rounding, not a shortage.
    shortL[offset] = leftL > 0.001 ? leftL : 0;
    if (leftL > 0.001 && !firstShort) firstShort = { day: from + offset, litres: leftL };
  });
  return { from, needL, storedL, shortL, drawnL, firstShort, cost };
}

/** Refuses sources and a store by the first of their figures that is outside its range. */
export function requireSupply(where: string, sources: readonly WaterSource[], store: WaterStore): void {
  for (const source of sources)
    requireFigures(where, source, {
      priority: [0, 1000, "whole"],
      limitLpd: [0, GREATEST],
      roofAreaM2: [0, 1_000_000],
      pricePerM3: [0, 1_000_000],
    });
  requireFigures(where, store, { capacityL: [0, GREATEST], storedL: [0, GREATEST] });
}
