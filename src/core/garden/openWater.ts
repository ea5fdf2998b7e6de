import { vesselOf } from "../place/stillVessel";
import { dayOfYear, type Day } from "../units/day";
import { daysOfYearIn, et0ByHouse } from "./climate";
import type { Garden, Stand } from "./garden";

/** Water of a depth under 2 m loses this much more than grass. @source FAO-56, table 12 */
const OPEN_WATER_KC = 1.05;

/** What water that is open to the air loses in the house of a stand on a day, mm; null where its climate is not told. */
export function openWaterMm(garden: Garden, { houseId }: Pick<Stand, "houseId">, day: Day): number | null {
  const et0Mm = et0ByHouse(garden).get(houseId)?.[dayOfYear(day) - 1];
  return et0Mm === undefined ? null : OPEN_WATER_KC * et0Mm;
}

/**
 * What the air takes from the ponds of recirculating loops, litres a day by the ids of the loops; none where the climate of
 * a house is not told.
 * @param from, to first day, and the day after the last
 * @source 1 mm on 1 m² is 1 L; openWaterMm
 */
export function openWaterByLoop(garden: Garden, from: Day, to: Day): Record<number, Float64Array> {
  const byHouse = et0ByHouse(garden);
  const recirculating = new Set(garden.loops.filter(({ kind }) => kind === "recirculating").map(({ id }) => id));
  const found: Record<number, Float64Array> = {};
  const daysOfYear = daysOfYearIn(from, to);
  for (const { spec, houseId, loopId } of garden.stands) {
    const et0Mm = byHouse.get(houseId);
    if (spec.kind !== "raft-pond" || loopId === null || !recirculating.has(loopId) || !et0Mm) continue;
    const { vessels, openWaterM2 } = vesselOf(spec);
    const litresPerMm = vessels * openWaterM2 * OPEN_WATER_KC;
    const litres = (found[loopId] ??= new Float64Array(to - from));
    daysOfYear.forEach((day, at) => (litres[at]! += litresPerMm * et0Mm[day - 1]!));
  }
  return found;
}
