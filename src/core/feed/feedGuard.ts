import type { FeedSheet, RecipeSalt } from "./feedSheet";
import { mixIons } from "./nutrients";
import { chelateHoldsToPh, clearToPh, clearToTimes, saturation, type Precipitate } from "./saturation";
import { requireRange } from "../units/range";

/** What keeps a ready feed clear and its iron in solution. */
export interface FeedGuard {
  /** Over this pH calcium phosphate drops out; 9 where it does not. */
  readonly clearToPh: number;
  readonly gypsumDrops: boolean;
  /** In one tank, at the top of the pH band. */
  readonly oneTank: { readonly times: number; readonly first: Precipitate | null };
  /** Chelates that let go of their metal within the pH band; null where the name does not tell the agent. */
  readonly chelates: readonly { readonly name: string; readonly holdsToPh: number | null }[];
}

/**
 * Whether a ready feed stays clear over its pH band.
 *
 * @param phHigh top of its pH band, 3–9
 * @returns null where its ions are not known, or it has no strength
 * @source saturation, chelateHoldsToPh
 */
export function feedGuard(
  sheet: FeedSheet,
  salts: readonly Pick<RecipeSalt, "name" | "chelate">[],
  phHigh: number,
): FeedGuard | null {
  requireRange("feedGuard", "phHigh", phHigh, 3, 10);
  if (sheet.strength === null || sheet.ionsUntold) return null;
  const ph = Math.min(9, phHigh);
  const feed = mixIons([[sheet.strength, sheet.recipeIons]]);
  const ready = mixIons([
    [1, sheet.waterIons],
    [1, feed],
  ]);
  return {
    clearToPh: clearToPh(ready),
    gypsumDrops: saturation(ready, ph).gypsum > 0,
    oneTank: clearToTimes(feed, sheet.waterIons, ph),
    chelates: salts.flatMap(({ name, chelate }, at) =>
      chelate && sheet.gPer1000L[at]! > 0 ? [{ name, holdsToPh: chelateHoldsToPh(name) }] : [],
    ),
  };
}
