import { requireFigures } from "../units/range";
import { lawOfEmitter } from "./network/outletLaw";
import { lateralChains } from "./network/pipeLink";
import { solveTree, type Chain } from "./network/solveTree";
import { pipeHeadLossM, type Pipe, type PipeRun } from "./pipeFriction";
import { requireLateral, type Lateral, type LateralFlow } from "./lateral";

/**
 * Head that one flow loses on its way through the lines of a run and the tubes that join them.
 *
 * @param line one line, full of water
 * @param join one tube between two lines, with its fittings
 * @returns metres of head
 * @throws RangeError when a figure is outside its range
 * @source pipeHeadLossM; tests/reference/water/series.json, "friction"
 */
export function runLossM(flowLph: number, lines: number, line: PipeRun, join: PipeRun): number {
  requireFigures("runLossM", { lines }, { lines: [1, 100_000, "whole"] });
  return lines * pipeHeadLossM(flowLph, line) + (lines - 1) * pipeHeadLossM(flowLph, join);
}

/** Drip tubes one after another. */
export interface DripRun {
  readonly tube: Lateral;
  readonly tubes: number;
  readonly joinLengthM: number;
  /** What joins them; null: the pipe of the tube itself. */
  readonly join: Pipe | null;
}

/**
 * Heads and flows of drip tubes in series, emitter by emitter. The first emitter of each further tube stands a join and its
 * first spacing behind the last one of the tube before; the joins lie level.
 *
 * @throws RangeError when a figure is outside its range
 * @source solveTree; tests/reference/water/series.json, "dripRun"
 */
export function solveDripRun({ tube, tubes, joinLengthM, join }: DripRun, inletHeadM: number): LateralFlow {
  requireLateral("solveDripRun", tube);
  requireFigures(
    "solveDripRun",
    { tubes, joinLengthM, inletHeadM },
    { tubes: [1, 1000, "whole"], joinLengthM: [0, 100], inletHeadM: [-100, 500] },
  );
  const outlet = lawOfEmitter(tube.emitter);
  const chains: Chain[] = [];
  let [from, elevationM] = [-1, 0];
  for (let at = 0; at < tubes; at++) {
    if (at > 0) {
      const [joinChain] = lateralChains(
        { ...tube, pipe: join ?? tube.pipe, count: 1, firstSpacingM: joinLengthM, equivalentLengthM: 0, slopeRise: 0 },
        outlet,
        ...[from, 0, elevationM],
      );
      chains.push({ ...joinChain!, outlet: null });
      from += 1;
    }
    chains.push(...lateralChains(tube, outlet, from, from + 1, elevationM));
    from += tube.count;
    elevationM += tube.slopeRise * (tube.firstSpacingM + (tube.count - 1) * tube.spacingM);
  }
  const { headsM, outletsLph, linksLph } = solveTree(chains, inletHeadM);
  const isEmitter = (_: number, node: number) => (node + 1) % (tube.count + 1) !== 0;
  return { headsM: headsM.filter(isEmitter), flowsLph: outletsLph.filter(isEmitter), totalLph: linksLph[0]! };
}
