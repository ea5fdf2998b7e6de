import { newRate } from "../numeric/rate";
import { requireFigures } from "../units/range";
import { outletOf, type Emitter, type Outlet } from "./emitter";
import { lawOfEmitter } from "./network/outletLaw";
import { lateralChains } from "./network/pipeLink";
import { solveTree } from "./network/solveTree";
import { frictionOf, type Friction, type Pipe } from "./pipeFriction";

/** A line with emitters along it, fed at one end and closed at the other. */
export interface Lateral {
  readonly pipe: Pipe;
  readonly emitter: Emitter;
  readonly count: number;
  readonly spacingM: number;
  /** From the inlet to the first emitter. */
  readonly firstSpacingM: number;
  /** Rise of the ground along the line, m for each metre; downhill is negative. */
  readonly slopeRise: number;
  /** What an emitter in the flow adds to the length of each segment, in friction alone. */
  readonly equivalentLengthM: number;
}

/** A lateral solved: head and flow at each emitter, from the inlet on. */
export interface LateralFlow {
  readonly headsM: Float64Array;
  readonly flowsLph: Float64Array;
  readonly totalLph: number;
}

const MOST_ROUNDS = 60;
const HEAD_TOLERANCE_M = 1e-9;
/** Of a line with many even outlets: 1 ÷ (1 + 1.75). */
const LOSS_SHARE = 0.364;

/**
 * Heads and flows of a lateral, emitter by emitter. The head at its end is sought from which the line, followed upstream,
 * arrives at the inlet with the head that is there: with a higher end the inlet is higher, so that there is one answer.
 * Where the line runs dry somewhere, the end tells too little, and it is solved as a tree of pipes.
 *
 * @param inletHeadM pressure head at the inlet, m, −100 to 500; velocity head is left out
 * @returns heads (m; under 0 where the line runs dry) and flows (L/h) of all emitters, in order
 * @throws RangeError when a figure is outside its range
 * @source continuity and energy along the line; tests/reference/water/lateral.json
 */
export function solveLateral(lateral: Lateral, inletHeadM: number): LateralFlow {
  requireLateral("solveLateral", lateral);
  requireFigures("solveLateral", { inletHeadM }, { inletHeadM: [-100, 500] });
  const line = fromItsEnd(lateral, inletHeadM);
  if (line) return line;
  const tree = solveTree(lateralChains(lateral, lawOfEmitter(lateral.emitter), -1, 0, 0), inletHeadM);
  return { headsM: tree.headsM, flowsLph: tree.outletsLph, totalLph: tree.linksLph[0]! };
}

/** @returns null where no head at the end is found: some of the line is dry, or nearly */
function fromItsEnd(lateral: Lateral, inletHeadM: number): LateralFlow | null {
  const { count, pipe, emitter, spacingM, firstSpacingM, slopeRise, equivalentLengthM } = lateral;
  const headsM = new Float64Array(count);
  const flowsLph = new Float64Array(count);
  const outlet = outletOf(emitter);
  const friction = frictionOf(pipe);
  const loss = newRate();
  /** Follows the line to its inlet; heads and flows are written on the way. */
  const walk = (endM: number) => {
    let [headM, slope, lineLph, lineSlope] = [endM, 1, 0, 0];
    for (let at = count - 1; at >= 0; at--) {
      const out = outlet(headM);
      headsM[at] = headM;
      flowsLph[at] = out.flowLph;
      lineLph += out.flowLph;
      lineSlope += out.slope * slope;
      const lengthM = at === 0 ? firstSpacingM : spacingM;
      friction(lineLph, loss);
      headM += (lengthM + equivalentLengthM) * loss.value + slopeRise * lengthM;
      slope += (lengthM + equivalentLengthM) * loss.slope * lineSlope;
    }
    return { overM: headM - inletHeadM, slope, totalLph: lineLph };
  };
  // Without friction the end is higher than it can be.
  let [low, high] = [0, inletHeadM - slopeRise * (firstSpacingM + (count - 1) * spacingM)];
  let endM = firstGuessM(lateral, inletHeadM, high, friction, outlet);
  for (let round = 0; high > low && round < MOST_ROUNDS; round++) {
    const { overM, slope, totalLph } = walk(endM);
    if (Math.abs(overM) <= HEAD_TOLERANCE_M) return { headsM, flowsLph, totalLph };
    if (overM > 0) high = endM;
    else low = endM;
    const next = endM - overM / slope;
    const closer = next > low && next < high ? next : (low + high) / 2;
    if (closer === low || closer === high) return null;
    endM = closer;
  }
  return null;
}

/** The end of a line loses a little more than a third of what it would if all its water went to the end. */
function firstGuessM(
  { count, spacingM, equivalentLengthM }: Lateral,
  inletHeadM: number,
  highestM: number,
  friction: Friction,
  outlet: (headM: number) => Outlet,
): number {
  const meanM = Math.max(0, (inletHeadM + highestM) / 2);
  const perM = newRate();
  friction(count * outlet(meanM).flowLph, perM);
  return Math.max(0.1 * highestM, highestM - LOSS_SHARE * count * (spacingM + equivalentLengthM) * perM.value);
}

/** Refuses a lateral by the first of its figures that is outside its range. */
export function requireLateral(where: string, lateral: Omit<Lateral, "emitter">): void {
  requireFigures(where, lateral, {
    count: [1, 100_000, "whole"],
    spacingM: [0.005, 100],
    firstSpacingM: [0, 100],
    slopeRise: [-1, 1],
    equivalentLengthM: [0, 10],
  });
}
