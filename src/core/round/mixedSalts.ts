import { plannedFigure, type MixedSalt } from "./log";
import type { RoundItem } from "./types";

/**
 * What went into a stock, for as much as was really made of it, and out of which bags.
 *
 * @param actualL litres that were made, where it was not as planned
 * @param chosen the bags of salts that came from another one than the one in use
 */
export function mixedSalts(
  { task, amounts }: RoundItem,
  actualL: number | null,
  chosen: readonly { readonly saltId: number; readonly lot: string }[] = [],
): MixedSalt[] {
  const plannedL = task.kind === "mix" ? plannedFigure(task) : 0;
  const share = actualL === null || plannedL <= 0 ? 1 : actualL / plannedL;
  return amounts.flatMap(({ of, name, value, lots = [] }) => {
    if (of.kind !== "salt") return [];
    const asked = chosen.find(({ saltId }) => saltId === of.saltId)?.lot;
    const lot = asked !== undefined && lots.includes(asked) ? asked : (lots[0] ?? null);
    return [{ saltId: of.saltId, name, grams: value * share, lot }];
  });
}
