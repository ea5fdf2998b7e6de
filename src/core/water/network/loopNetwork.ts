import { GREATEST, requireFigures } from "../../units/range";
import type { Emitter } from "../emitter";
import { requireLateral, type Lateral } from "../lateral";
import type { Pipe, PipeRun } from "../pipeFriction";
import type { KnownPump } from "../pumpCurve";
import { lawOfEmitter, lawOfOpenPipe } from "./outletLaw";
import { lateralChains, pipeLink } from "./pipeLink";
import { pumpLink } from "./pumpLink";
import type { LinkLaw } from "./laws";
import { solveTree, type Chain } from "./solveTree";

/** Lines that a valve opens together, side by side on a manifold. */
export interface NetworkBank {
  /** Which pipe of the main it leaves at the end of, counted from 0. */
  readonly atMain: number;
  readonly open: boolean;
  readonly elevationM: number;
  /** From the main to the manifold, its valve among the fittings. */
  readonly connection: PipeRun;
  readonly manifold: {
    readonly pipe: Pipe;
    readonly firstOfftakeM: number;
    readonly offtakeSpacingM: number;
    readonly offtakes: number;
  };
  /** What starts at each take-off; null: one outlet sits right at it. */
  readonly lateral: Omit<Lateral, "emitter"> | null;
  /** A thin tube that ends open at the height of the bank, in place of an emitter. */
  readonly outlet: Emitter | PipeRun;
}

/** A whole loop as pipes: water surface, pump, main, banks, and perhaps a pipe back into the tank. */
export interface LoopNetwork {
  /** Head of the water surface, or of the mains behind its regulator, on the datum of the elevations, m. */
  readonly surfaceM: number;
  readonly pump: KnownPump | null;
  /** What lies before the main and takes head: suction pipe, filter, regulator. */
  readonly before: readonly LinkLaw[];
  /** Pipes one after another. */
  readonly main: readonly PipeRun[];
  readonly banks: readonly NetworkBank[];
  readonly bypass: { readonly atMain: number; readonly pipe: PipeRun; readonly dischargeHeadM: number } | null;
}

export interface BankFlow {
  readonly flowLph: number;
  /** Pressure head at the start of the manifold, m; null while it is closed. */
  readonly inletHeadM: number | null;
  /** Of each outlet, take-off by take-off, L/h. */
  readonly outletsLph: Float64Array;
  /** Pressure head of each outlet, m. */
  readonly headsM: Float64Array;
  readonly leastLph: number;
  readonly greatestLph: number;
}

export interface LoopFlow {
  readonly flowLph: number;
  /** What the pump adds; 0 without one. */
  readonly pumpHeadM: number;
  readonly bypassLph: number;
  /** The pump would give more than its curve tells of: the flows are the least to be expected. */
  readonly isPastCurve: boolean;
  /** The pump works where its curve is humped or begins: the flows are a guess. */
  readonly isBeforeCurve: boolean;
  readonly banks: readonly BankFlow[];
}

/** Nothing is lost. */
const STILL: LinkLaw = (_, first, end, lossesM, slopes) => {
  lossesM.fill(0, first, end);
  slopes.fill(0, first, end);
};
/** A micrometre of head: flows are found to a ten-millionth. */
const TOLERANCE_M = 1e-6;
/** A pump is past its curve when it is so near to its last flow. */
const AT_LAST = 1 - 1e-9;

/**
 * Solves a whole loop as one network: what each bank, line and outlet gets with the banks that are open.
 *
 * @throws RangeError when a figure is outside its range
 * @throws Error when no answer is found
 * @source solveTree; cases in tests/reference/water/network.json
 */
export function solveLoop(network: LoopNetwork): LoopFlow {
  requireNetwork(network);
  const { chains, pump, bankNodes, bypassAt } = treeOf(network);
  const { outletsLph, headsM, linksLph } = solveTree(chains, network.surfaceM, TOLERANCE_M);
  const banks = bankNodes.map((bank): BankFlow => {
    if (!bank) return { ...CLOSED, outletsLph: new Float64Array(0), headsM: new Float64Array(0) };
    const flows = outletsLph.subarray(bank.first, bank.end);
    return {
      flowLph: linksLph[bank.inlet]!,
      inletHeadM: headsM[bank.inlet]!,
      outletsLph: flows,
      headsM: headsM.subarray(bank.first, bank.end),
      leastLph: flows.reduce((least, flow) => Math.min(least, flow), Infinity),
      greatestLph: flows.reduce((most, flow) => Math.max(most, flow), 0),
    };
  });
  const flowLph = linksLph[0]!;
  return {
    flowLph,
    pumpHeadM: pump ? pump.headM(flowLph) : 0,
    bypassLph: bypassAt === null ? 0 : outletsLph[bypassAt]!,
    isPastCurve: pump !== null && flowLph >= AT_LAST * pump.curve.lastFlowLph,
    isBeforeCurve: pump !== null && flowLph > 0 && flowLph < Math.max(pump.steadyFromLph, pump.curve.firstFlowLph),
    banks,
  };
}

/** Where a bank's outlets stand among the nodes. */
interface BankNodes {
  readonly inlet: number;
  readonly first: number;
  readonly end: number;
}

const CLOSED = { flowLph: 0, inletHeadM: null, leastLph: 0, greatestLph: 0 };

function treeOf(network: LoopNetwork) {
  const chains: Chain[] = [];
  let nodes = 0;
  /** @returns number of its first node */
  const add = (from: number, link: LinkLaw, own: Partial<Chain> & { readonly elevationM: number }) => {
    const chain = { from, link, count: 1, riseM: 0, outlet: null, ...own };
    chains.push(chain);
    nodes += chain.count;
    return nodes - chain.count;
  };
  const level = { elevationM: network.surfaceM };
  let at = -1;
  for (const link of network.before) at = add(at, link, level);
  const pump = network.pump && pumpLink(network.pump);
  if (pump || at < 0) at = add(at, pump ? pump.link : STILL, level);
  const mainEnds = network.main.map((run) => (at = add(at, linkOf(run), level)));
  const endOf = (main: number) => mainEnds[main] ?? at;
  const bankNodes = network.banks.map((bank): BankNodes | null => {
    if (!bank.open) return null;
    const { manifold, lateral, elevationM } = bank;
    const outlet = "lengthM" in bank.outlet ? lawOfOpenPipe(linkOf(bank.outlet)) : lawOfEmitter(bank.outlet);
    const atOfftake = lateral ? null : outlet;
    const inlet = add(endOf(bank.atMain), linkOf(bank.connection), { elevationM });
    const firstOfftake = add(inlet, pipeLink(manifold.pipe, manifold.firstOfftakeM), { elevationM, outlet: atOfftake });
    if (manifold.offtakes > 1)
      add(firstOfftake, pipeLink(manifold.pipe, manifold.offtakeSpacingM), {
        ...{ elevationM, outlet: atOfftake, count: manifold.offtakes - 1 },
      });
    if (!lateral) return { inlet, first: firstOfftake, end: nodes };
    const first = nodes;
    for (let offtake = 0; offtake < manifold.offtakes; offtake++)
      for (const chain of lateralChains(lateral, outlet, firstOfftake + offtake, nodes, elevationM))
        add(chain.from, chain.link, chain);
    return { inlet, first, end: nodes };
  });
  const bypass = network.bypass;
  const bypassAt = bypass
    ? add(endOf(bypass.atMain), STILL, {
        elevationM: bypass.dischargeHeadM,
        outlet: lawOfOpenPipe(linkOf(bypass.pipe)),
      })
    : null;
  return { chains, pump, bankNodes, bypassAt };
}

function linkOf({ lengthM, fittingsK, ...pipe }: PipeRun): LinkLaw {
  return pipeLink(pipe, lengthM, fittingsK);
}

function requireNetwork({ surfaceM, main, banks }: LoopNetwork): void {
  requireFigures("solveLoop", { surfaceM }, { surfaceM: [-1000, 1000] });
  for (const run of main) requireRun(run);
  for (const bank of banks) {
    requireFigures("solveLoop", bank, {
      atMain: [0, Math.max(0, main.length - 1), "whole"],
      elevationM: [-1000, 1000],
    });
    requireRun(bank.connection);
    if ("lengthM" in bank.outlet) requireRun(bank.outlet);
    requireFigures("solveLoop", bank.manifold, {
      firstOfftakeM: [0, 1000],
      offtakeSpacingM: [0, 1000],
      offtakes: [1, 100_000, "whole"],
    });
    if (bank.lateral) requireLateral("solveLoop", bank.lateral);
  }
}

function requireRun(run: PipeRun): void {
  requireFigures("solveLoop", run, { lengthM: [0, 100_000], fittingsK: [0, GREATEST] });
}
