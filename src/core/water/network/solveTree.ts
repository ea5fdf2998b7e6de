import type { LinkLaw, OutletLaw } from "./laws";

/** Nodes in a row, each fed by the one before through a link like all others of the row. */
export interface Chain {
  /** Number of the node that feeds the first one, counted over all chains; −1: the source. It comes before this chain. */
  readonly from: number;
  readonly count: number;
  /** Of the first node. */
  readonly elevationM: number;
  /** From node to node. */
  readonly riseM: number;
  readonly link: LinkLaw;
  /** Water leaves at each of them; null: it only flows on. */
  readonly outlet: OutletLaw | null;
}

/** A tree of pipes solved, node by node. */
export interface TreeFlow {
  /** Pressure head, m; under 0 where the water does not reach. */
  readonly headsM: Float64Array;
  /** What leaves at the node, L/h. */
  readonly outletsLph: Float64Array;
  /** What comes in by its link, L/h. */
  readonly linksLph: Float64Array;
}

const MOST_ROUNDS = 200;
const HEAD_TOLERANCE_M = 1e-8;
const FIRST_SHARE = 0.8;
const LEAST_SLOPE = 1e-12;
const MOST_HALVINGS = 30;

/**
 * Heads and flows of a tree of pipes, by Newton's rule on the flows of its outlets: what leaves is chosen, the links carry
 * the sums, and each outlet must find the head that it asks for, or give nothing, or its greatest flow. The energy this
 * makes least is convex wherever losses grow with flow, so that there is one answer and a step that goes too far is seen
 * and shortened. One step takes two passes along the tree.
 *
 * @param sourceHeadM head of the source on the datum of the elevations, m
 * @param toleranceM head that may be left unexplained at an outlet, m
 * @throws Error when no answer is found
 * @source content minimisation: Collins et al. 1978, Management Science 24(7); projected Newton step: Bertsekas 1982, SIAM J. Control 20(2)
 */
export function solveTree(chains: readonly Chain[], sourceHeadM: number, toleranceM = HEAD_TOLERANCE_M): TreeFlow {
  const solver = solverOf(chains, sourceHeadM);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    if (solver.worstM() <= toleranceM) return solver.flow();
    solver.step();
  }
  throw new Error(`The pipes were not solved: ${solver.worstM()} m are left unexplained.`);
}

interface Placed extends Chain {
  readonly first: number;
  readonly end: number;
}

function solverOf(chains: readonly Chain[], sourceHeadM: number) {
  let n = 0;
  const placed = chains.map((chain): Placed => ({ ...chain, first: n, end: (n += chain.count) }));
  const array = () => new Float64Array(n);
  const [elevations, greatest] = [array(), array()];
  const [flows, links, losses, lossSlopes, heads] = [array(), array(), array(), array(), array()];
  /** How much more head each outlet asks for than there is, and how that grows with its flow; 0 where it takes no part in a step. */
  const [gaps, gapSlopes] = [array(), array()];
  const [draws, drawSlopes, steps, headSteps, start] = [array(), array(), array(), array(), array()];
  for (const { first, end, elevationM, riseM, outlet } of placed)
    for (let at = first; at < end; at++) {
      elevations[at] = elevationM + riseM * (at - first);
      greatest[at] = outlet?.greatestLph ?? 0;
    }
  evaluate();
  // From the heads at rest, some of which will be lost.
  for (const { first, end, outlet } of placed)
    for (let at = first; outlet && at < end; at++)
      flows[at] = FIRST_SHARE * Math.min(greatest[at]!, outlet.flowLph(heads[at]! - elevations[at]!));
  evaluate();

  function evaluate(): void {
    links.set(flows);
    sumUp(links);
    for (const { from, first, end, link, outlet } of placed) {
      link(links, first, end, losses, lossSlopes);
      let headM = from < 0 ? sourceHeadM : heads[from]!;
      for (let at = first; at < end; at++) heads[at] = headM -= losses[at]!;
      if (!outlet) continue;
      outlet.heads(flows, first, end, gaps, gapSlopes);
      for (let at = first; at < end; at++) {
        const gap = (gaps[at]! += elevations[at]! - heads[at]!);
        // One that stays shut, or fully open, takes no part in a step.
        const isHeld = gap >= 0 ? flows[at]! <= 0 : flows[at]! >= greatest[at]!;
        gapSlopes[at] = isHeld ? 0 : Math.max(LEAST_SLOPE, gapSlopes[at]!);
      }
    }
  }
  /** Adds what each node has to the one that feeds it, from the ends on. */
  function sumUp(values: Float64Array): void {
    for (let chain = placed.length - 1; chain >= 0; chain--) {
      const { from, first, end } = placed[chain]!;
      for (let at = end - 1; at > first; at--) values[at - 1]! += values[at]!;
      if (from >= 0) values[from]! += values[first]!;
    }
  }
  function worstM(): number {
    let worst = 0;
    for (let at = 0; at < n; at++) if (gapSlopes[at]! > 0) worst = Math.max(worst, Math.abs(gaps[at]!));
    return worst;
  }
  /** From rest an outlet would leap: it is judged where its head would bring it half-way. */
  function slopeAhead(at: number, outlet: OutletLaw): number {
    const aheadLph = 0.5 * Math.min(greatest[at]!, outlet.flowLph(heads[at]! - elevations[at]!));
    return aheadLph <= flows[at]! ? gapSlopes[at]! : Math.max(LEAST_SLOPE, outlet.headSlope(aheadLph));
  }
  /** Eliminates from the ends to the source, then substitutes back. */
  function direction(): void {
    draws.fill(0);
    drawSlopes.fill(0);
    for (let chain = placed.length - 1; chain >= 0; chain--) {
      const { from, first, end, outlet } = placed[chain]!;
      for (let at = end - 1; at >= first; at--) {
        let draw = draws[at]!;
        let drawSlope = drawSlopes[at]!;
        if (gapSlopes[at]! > 0) {
          if (-gaps[at]! > gapSlopes[at]! * flows[at]!) gapSlopes[at] = slopeAhead(at, outlet!);
          draw -= gaps[at]! / gapSlopes[at]!;
          drawSlope += 1 / gapSlopes[at]!;
        }
        const share = 1 / (1 + lossSlopes[at]! * drawSlope);
        draws[at] = draw *= share;
        drawSlopes[at] = drawSlope *= share;
        const before = at > first ? at - 1 : from;
        if (before < 0) continue;
        draws[before]! += draw;
        drawSlopes[before]! += drawSlope;
      }
    }
    for (const { from, first, end } of placed) {
      let above = from < 0 ? 0 : headSteps[from]!;
      for (let at = first; at < end; at++) {
        headSteps[at] = above -= lossSlopes[at]! * (draws[at]! + drawSlopes[at]! * above);
        steps[at] = gapSlopes[at]! > 0 ? (above - gaps[at]!) / gapSlopes[at]! : 0;
      }
    }
  }
  function step(): void {
    direction();
    start.set(flows);
    let downhill = 0;
    for (let at = 0; at < n; at++) downhill += gaps[at]! * steps[at]!;
    let share = 1;
    for (let halving = 0; halving < MOST_HALVINGS; halving++) {
      for (let at = 0; at < n; at++) flows[at] = Math.min(greatest[at]!, Math.max(0, start[at]! + share * steps[at]!));
      evaluate();
      let along = 0;
      for (let at = 0; at < n; at++) along += gaps[at]! * (flows[at]! - start[at]!);
      // Past the least of the energy by more than it fell before: the step was too long.
      if (along <= -0.9 * share * downhill + 1e-18) return;
      share /= 2;
    }
  }
  function flow(): TreeFlow {
    for (let at = 0; at < n; at++) heads[at]! -= elevations[at]!;
    return { headsM: heads, outletsLph: flows, linksLph: links };
  }
  return { worstM, step, flow };
}
