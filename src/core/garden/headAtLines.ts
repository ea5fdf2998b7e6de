import type { Loop } from "./garden";
import type { PumpOnPipes } from "./ladderPump";

/** The head that the lines of a stand are looked at with, and what says so. */
export interface HeadAtLines {
  readonly headM: number;
  readonly from: "network" | "wanted";
}

/** What most drip wants, where nothing tells the head of a loop, m. */
export const USUAL_HEAD_M = 10;

/**
 * The head where water goes into the lines of a stand, at the bank that has least; where the network brings none there, the
 * head that is wanted. Null where nothing says what head there is.
 *
 * @source pumpOnPipes
 */
export function headAtLines(
  { pump }: Pick<Loop, "pump">,
  standId: number,
  pumped: PumpOnPipes | null,
): HeadAtLines | null {
  const heads = pumped?.banks.flatMap(({ bank, inletHeadM }) => (bank.standId === standId ? [inletHeadM] : [])) ?? [];
  const headM = Math.min(...heads);
  if (heads.length > 0 && headM > 0) return { headM, from: "network" };
  return pump && pump.headWantedM > 0 ? { headM: pump.headWantedM, from: "wanted" } : null;
}
