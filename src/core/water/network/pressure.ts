import { requireFigures, requireRange } from "../../units/range";
import type { LinkLaw } from "./laws";

/** What loses head by the square of the flow: a filter, a meter, a valve. */
export interface SquareLoss {
  readonly lossM: number;
  /** At this flow. */
  readonly atLph: number;
}

/** A regulator: behind it the head that it is set to, as long as the flow is in its range and there is more before it. */
export interface Regulator extends SquareLoss {
  readonly setHeadM: number;
  readonly leastLph: number;
  readonly greatestLph: number;
}

/**
 * A filter or meter as a link: h = K·Q², with K from its loss at a flow.
 * @throws RangeError when a figure is outside its range
 * @source turbulent loss
 */
export function squareLink(loss: SquareLoss): LinkLaw {
  requireFigures("squareLink", loss, { lossM: [0, 500], atLph: [0.01, 1_000_000] });
  const k = loss.lossM / loss.atLph ** 2;
  return (flowsLph, first, end, lossesM, slopes) => {
    for (let at = first; at < end; at++) {
      const flow = flowsLph[at]!;
      lossesM[at] = k * flow * flow;
      slopes[at] = 2 * k * flow;
    }
  };
}

/**
 * A regulator as a link, for flows at which it regulates: it takes what is too much, never less than it loses itself.
 * @param supplyHeadM head before it, over the head of its outlet's datum
 * @throws RangeError when a figure is outside its range
 * @source outlet head = least of the set head and the supply less its loss
 */
export function regulatorLink(regulator: Regulator, supplyHeadM: number): LinkLaw {
  requireRegulator("regulatorLink", regulator, supplyHeadM);
  const own = squareLink(regulator);
  const takesM = Math.max(0, supplyHeadM - regulator.setHeadM);
  return (flowsLph, first, end, lossesM, slopes) => {
    own(flowsLph, first, end, lossesM, slopes);
    for (let at = first; at < end; at++) {
      if (lossesM[at]! >= takesM) continue;
      lossesM[at] = takesM;
      slopes[at] = 0;
    }
  };
}

/** Whether a regulator holds its head at a flow. */
export type Regulation = "regulates" | "too-little-flow" | "too-much-flow" | "too-little-head";

export function regulationAt(regulator: Regulator, supplyHeadM: number, flowLph: number): Regulation {
  requireRange("regulationAt", "flowLph", flowLph, 0, 1_000_000);
  requireRegulator("regulationAt", regulator, supplyHeadM);
  if (flowLph < regulator.leastLph) return "too-little-flow";
  if (flowLph > regulator.greatestLph) return "too-much-flow";
  const ownM = regulator.lossM * (flowLph / regulator.atLph) ** 2;
  return supplyHeadM - ownM < regulator.setHeadM - 1e-9 ? "too-little-head" : "regulates";
}

function requireRegulator(where: string, regulator: Regulator, supplyHeadM: number): void {
  requireFigures(where, regulator, {
    lossM: [0, 500],
    atLph: [0.01, 1_000_000],
    setHeadM: [0.1, 200],
    leastLph: [0, 1_000_000],
    greatestLph: [0.01, 1_000_000],
  });
  requireRange(where, "supplyHeadM", supplyHeadM, 0, 500);
}
