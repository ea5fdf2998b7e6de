import { requireFigures } from "../units/range";

/** What is known of a stock since it was mixed, L. */
export interface StockSinceMixed {
  /** In the tank before, at strength. */
  readonly beforeL: number;
  readonly madeL: number;
  /** Drawn since. */
  readonly usedL: number;
  /** Found in it when it was last looked at. */
  readonly leftL: number;
}

export interface StockStrength {
  readonly expectedL: number;
  /** How many times as strong as it was mixed, taken that what is missing dried up; null where nothing is left. */
  readonly factor: number | null;
  readonly verdict: "as-mixed" | "stronger" | "more-left";
}

/** What no eye can tell on the side of a stock tank, as a share of what was in it. */
const UNSEEN = 0.03;

/**
 * Strength of a stock by what is left of it: salts stay when water dries up. The same gap is there when an injector draws more
 * than it is set to; a calibration tells which it is.
 *
 * @throws RangeError when a figure is outside its range
 * @source conservation of mass: factor = (before + made − used) ÷ left
 * @example stockStrength({ beforeL: 0, madeL: 50, usedL: 20, leftL: 28 }).factor // 1.071
 */
export function stockStrength(since: StockSinceMixed): StockStrength {
  const litres = [0, 1_000_000] as const;
  requireFigures("stockStrength", since, { beforeL: litres, madeL: litres, usedL: litres, leftL: litres });
  const { beforeL, madeL, usedL, leftL } = since;
  const expectedL = Math.max(0, beforeL + madeL - usedL);
  const gapL = expectedL - leftL;
  const isSeen = Math.abs(gapL) > UNSEEN * (beforeL + madeL);
  return {
    expectedL,
    factor: leftL > 0 ? expectedL / leftL : null,
    verdict: !isSeen ? "as-mixed" : gapL > 0 ? "stronger" : "more-left",
  };
}
