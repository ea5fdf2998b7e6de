import { requireRange } from "../units/range";

export interface StorageDay {
  readonly endL: number;
  readonly shortL: number;
  readonly spillL: number;
}

/**
 * One day of a store: a = S + inflow − draw; short = max(0, −a); S = clamp(a, 0, capacity); spill = max(0, a − capacity).
 * The draw is served from yesterday's store and the day's inflow before anything spills.
 *
 * @param storedL in store at the start of the day
 * @source tests/reference/water/storage.json, balance
 */
export function storageDay(storedL: number, capacityL: number, inflowL: number, drawL: number): StorageDay {
  requireRange("storageDay", "capacityL", capacityL, 0);
  requireRange("storageDay", "storedL", storedL, 0);
  requireRange("storageDay", "inflowL", inflowL, 0);
  requireRange("storageDay", "drawL", drawL, 0);
  const afterL = storedL + inflowL - drawL;
  return {
    endL: Math.min(capacityL, Math.max(0, afterL)),
    shortL: Math.max(0, -afterL),
    spillL: Math.max(0, afterL - capacityL),
  };
}
