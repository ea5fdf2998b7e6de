import { requireRange } from "../units/range";

export interface Densities {
  readonly perM2OfLine: number;
  readonly perM2OfStand: number;
  readonly perM2OfHouse: number;
}

/**
 * Plants per square metre three ways. They answer different questions: how close plants stand, how well the
 * stand uses its ground with its aisles, and how well the house is filled.
 *
 * @param plants plants in all
 * @param lineAreaM2 ground of all lines together
 * @param standAreaM2 rectangle of the stand with gaps and inner aisles
 * @param houseAreaM2 footprint of the house
 * @throws RangeError when an area is not positive
 * @source plants ÷ area; cases in tests/reference/place/counts.json
 * @example densities(360, 7.2, 27.72, 72).perM2OfLine // 50
 */
export function densities(plants: number, lineAreaM2: number, standAreaM2: number, houseAreaM2: number): Densities {
  requireRange("densities", "plants", plants, 0);
  requireRange("densities", "lineAreaM2", lineAreaM2, Number.MIN_VALUE);
  requireRange("densities", "standAreaM2", standAreaM2, Number.MIN_VALUE);
  requireRange("densities", "houseAreaM2", houseAreaM2, Number.MIN_VALUE);
  return {
    perM2OfLine: plants / lineAreaM2,
    perM2OfStand: plants / standAreaM2,
    perM2OfHouse: plants / houseAreaM2,
  };
}
