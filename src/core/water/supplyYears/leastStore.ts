import { leastWhole } from "../../numeric/leastWhole";
import { requireRange, requireWhole } from "../../units/range";

/** A season of a store: what flows in, what is drawn from it, and what else may be drawn on a day that it lacks. */
export interface Season {
  readonly inflowL: ArrayLike<number>;
  readonly drawL: ArrayLike<number>;
  readonly othersLpd: number;
}

/** Less than a millilitre is rounding, not a shortage. */
const NO_SHORTAGE_L = 0.001;

/**
 * The first day on which a store and what else there is do not give what is drawn.
 *
 * @param capacityL 0–1e9
 * @param startL in it on the first day, at most its capacity
 * @returns counted from 0; null where no day is short
 * @throws RangeError when a figure is outside its range
 * @source daily storage balance, as storageDay
 */
export function firstShortDay({ inflowL, drawL, othersLpd }: Season, capacityL: number, startL: number): number | null {
  requireRange("firstShortDay", "capacityL", capacityL, 0, 1e9);
  requireRange("firstShortDay", "startL", startL, 0, capacityL);
  requireRange("firstShortDay", "othersLpd", othersLpd, 0, 1e9);
  let storedL = startL;
  for (let day = 0; day < drawL.length; day++) {
    const thereL = storedL + inflowL[day]!;
    if (drawL[day]! > thereL + othersLpd + NO_SHORTAGE_L) return day;
    storedL = Math.min(capacityL, Math.max(0, thereL - drawL[day]!));
  }
  return null;
}

/**
 * The least store, in steps, that carries enough seasons. A larger one never carries fewer, so that it is sought by halving.
 *
 * @param carried how many seasons a store of so many litres carries
 * @param wanted seasons that must be carried
 * @param stepL 1–100 000 L
 * @param mostL largest that is looked at
 * @param watch told the share of the work that is done
 * @returns L; null where none carries enough
 * @throws RangeError when a figure is outside its range
 * @source halving; tests/reference/water/storage.json, size
 */
export function leastStoreL(
  carried: (capacityL: number) => number,
  wanted: number,
  stepL: number,
  mostL: number,
  watch: (share: number) => void = () => undefined,
): number | null {
  requireWhole("leastStoreL", "wanted", wanted, 0, 10_000);
  requireRange("leastStoreL", "stepL", stepL, 1, 100_000);
  requireRange("leastStoreL", "mostL", mostL, stepL, 1e9);
  const most = Math.floor(mostL / stepL + 1e-9);
  if (carried(most * stepL) < wanted) return null;
  const rounds = Math.ceil(Math.log2(most + 1));
  let round = 0;
  const least = leastWhole(-1, most, (steps) => {
    watch(Math.min(1, ++round / rounds));
    return carried(steps * stepL) >= wanted;
  });
  return least * stepL;
}
