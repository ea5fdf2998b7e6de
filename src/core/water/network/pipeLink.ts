import { newRate } from "../../numeric/rate";
import { fittingsLoss, frictionOf, type Pipe } from "../pipeFriction";
import type { LinkLaw, OutletLaw } from "./laws";
import type { Chain } from "./solveTree";

/**
 * The loss of a run of pipe and its fittings as a link of a tree: friction × length + ΣK·v²/2g.
 *
 * @param lengthM for the friction; equivalent lengths are counted in by the caller
 * @param fittingsK on the velocity in this bore
 * @throws RangeError when a figure of the pipe is outside its range
 * @source as frictionOf
 */
export function pipeLink(pipe: Pipe, lengthM: number, fittingsK = 0): LinkLaw {
  const friction = frictionOf(pipe);
  const fittings = fittingsLoss({ boreMm: pipe.boreMm, fittingsK });
  const perM = newRate();
  return (flowsLph, first, end, lossesM, slopes) => {
    for (let at = first; at < end; at++) {
      const flow = flowsLph[at]!;
      friction(flow, perM);
      lossesM[at] = lengthM * perM.value + fittings * flow * flow;
      slopes[at] = lengthM * perM.slope + 2 * fittings * flow;
    }
  };
}

interface LineOfPipe {
  readonly pipe: Pipe;
  readonly count: number;
  readonly spacingM: number;
  readonly firstSpacingM: number;
  readonly slopeRise: number;
  readonly equivalentLengthM: number;
}

/**
 * A line of outlets as chains of a tree: the first one, and all others.
 * @param from node that feeds it
 * @param next number that its own first node gets
 * @param elevationM of its inlet
 */
export function lateralChains(
  { pipe, count, spacingM, firstSpacingM, slopeRise, equivalentLengthM }: LineOfPipe,
  outlet: OutletLaw,
  from: number,
  next: number,
  elevationM: number,
): Chain[] {
  const firstM = elevationM + slopeRise * firstSpacingM;
  const riseM = slopeRise * spacingM;
  const first = pipeLink(pipe, firstSpacingM + equivalentLengthM);
  const others = pipeLink(pipe, spacingM + equivalentLengthM);
  return [
    { from, count: 1, elevationM: firstM, riseM, link: first, outlet },
    { from: next, count: count - 1, elevationM: firstM + riseM, riseM, link: others, outlet },
  ].filter((chain) => chain.count > 0);
}
