import { AnalysisStatistic, InitHydOption, LinkProperty, NodeProperty, Project, Workspace } from "epanet-js";
import type { LoopNetwork } from "../../src/core/water/network/loopNetwork";
import { curveOf, type KnownPump } from "../../src/core/water/pumpCurve";

/** A loop in the EPANET engine, which knows nothing of ours: written as its text file, opened, solved as often as asked. */
export interface EpanetModel {
  /** @returns whether the engine found a balance */
  solve(): boolean;
  /** L/h from the source, and from each outlet, bank by bank, in the order of ours. */
  flows(): { readonly flowLph: number; readonly outletsLph: readonly number[] };
  close(): void;
}

const LPM_PER_LPH = 1 / 60;
const CURVE_PIECES = 400;

/** @throws Error when the banks have different exponents: the engine knows one for all */
export async function epanetModel(network: LoopNetwork): Promise<EpanetModel> {
  const { text, outlets, first } = inputOf(network);
  const workspace = new Workspace();
  await workspace.loadModule();
  workspace.writeFile("loop.inp", text);
  const model = new Project(workspace);
  model.open("loop.inp", "loop.rpt", "loop.out");
  model.openH();
  const firstLink = model.getLinkIndex(first);
  const nodes = outlets.map((name) => model.getNodeIndex(name));
  return {
    solve() {
      model.initH(InitHydOption.InitFlow);
      model.runH();
      return model.getStatistic(AnalysisStatistic.RelativeError) < 1e-6;
    },
    flows: () => ({
      flowLph: model.getLinkValue(firstLink, LinkProperty.Flow) / LPM_PER_LPH,
      outletsLph: nodes.map((node) => model.getNodeValue(node, NodeProperty.Demand) / LPM_PER_LPH),
    }),
    close() {
      model.closeH();
      model.close();
    },
  };
}

function inputOf(network: LoopNetwork) {
  const junctions: string[] = [];
  const pipes: string[] = [];
  const emitters: string[] = [];
  const openEnds: string[] = [];
  const outlets: string[] = [];
  let count = 0;
  const junction = (elevationM: number) => {
    const name = `n${++count}`;
    junctions.push(`${name} ${elevationM} 0`);
    return name;
  };
  const pipe = (from: string, to: string, lengthM: number, boreMm: number, fittingsK = 0, is = "Open") => {
    pipes.push(`p${pipes.length} ${from} ${to} ${Math.max(1e-6, lengthM)} ${boreMm} 0.0015 ${fittingsK} ${is}`);
    return `p${pipes.length - 1}`;
  };
  const source = network.pump ? junction(0) : "tank";
  let at = source;
  const ends = network.main.map((run) => {
    const next = junction(0);
    pipe(at, next, run.lengthM, run.boreMm, run.fittingsK);
    return (at = next);
  });
  for (const { atMain, open, elevationM, connection, manifold, lateral, outlet } of network.banks) {
    if (!open) continue;
    const isOutlet = (node: string) => {
      if (!("lengthM" in outlet)) {
        const coefficient = (outlet.nominalFlowLph * LPM_PER_LPH) / outlet.nominalHeadM ** outlet.exponent;
        emitters.push(`${node} ${coefficient}`);
        outlets.push(node);
        return;
      }
      // A tube ends in the open: water that stands as high as its end, with a valve against running back.
      const end = `end${openEnds.length}`;
      openEnds.push(`${end} ${elevationM}`);
      pipe(node, end, outlet.lengthM, outlet.boreMm, outlet.fittingsK, "CV");
      outlets.push(end);
    };
    let on = junction(elevationM);
    pipe(ends[atMain] ?? source, on, connection.lengthM, connection.boreMm, connection.fittingsK);
    for (let offtake = 0; offtake < manifold.offtakes; offtake++) {
      const next = junction(elevationM);
      pipe(on, next, offtake === 0 ? manifold.firstOfftakeM : manifold.offtakeSpacingM, manifold.pipe.boreMm);
      on = next;
      if (!lateral) isOutlet(on);
      let end = on;
      for (let emitter = 0; lateral && emitter < lateral.count; emitter++) {
        const alongM = lateral.firstSpacingM + emitter * lateral.spacingM;
        const node = junction(elevationM + lateral.slopeRise * alongM);
        const lengthM = (emitter === 0 ? lateral.firstSpacingM : lateral.spacingM) + lateral.equivalentLengthM;
        pipe(end, node, lengthM, lateral.pipe.boreMm);
        isOutlet(node);
        end = node;
      }
    }
  }
  const exponents = new Set(network.banks.flatMap(({ outlet }) => ("lengthM" in outlet ? [] : [outlet.exponent])));
  if (exponents.size > 1) throw new Error(`The engine knows one exponent, not ${[...exponents].join(" and ")}.`);
  const text = [
    ...["[JUNCTIONS]", ...junctions],
    ...["[RESERVOIRS]", `tank ${network.surfaceM}`, ...openEnds],
    ...["[PIPES]", ...pipes],
    ...(network.pump ? ["[PUMPS]", `pump tank ${source} HEAD curve`, "[CURVES]", ...curvePoints(network.pump)] : []),
    ...["[EMITTERS]", ...emitters],
    "[OPTIONS]",
    ...["UNITS LPM", "HEADLOSS D-W", "VISCOSITY 1.004e-6", "ACCURACY 1e-8", "TRIALS 400"],
    ...[`EMITTER EXPONENT ${[...exponents][0] ?? 0.5}`, "BACKFLOW ALLOWED NO"],
    ...["[TIMES]", "DURATION 0", "[REPORT]", "[END]", ""],
  ].join("\n");
  return { text, outlets, first: network.pump ? "pump" : "p0" };
}

/** Strictly falling straight pieces: a curve that is level at no flow is taken as falling a little. */
function curvePoints(pump: KnownPump): string[] {
  const { firstFlowLph, lastFlowLph, headM } = curveOf(pump);
  return Array.from({ length: CURVE_PIECES + 1 }, (_, piece) => {
    const flowLph = Math.min(lastFlowLph, firstFlowLph + ((lastFlowLph - firstFlowLph) * piece) / CURVE_PIECES);
    return `curve ${flowLph * LPM_PER_LPH} ${headM(flowLph) + 1e-7 * (CURVE_PIECES - piece)}`;
  });
}
