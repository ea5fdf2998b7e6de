import reference from "../../../../tests/reference/water/network.json";
import type { Emitter } from "../emitter";
import { solveLoop, type LoopNetwork } from "./loopNetwork";

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- reference files hold many shapes
type Case = { name: string; given: any; expect: any; tolerance: any };
const cases = reference.cases as Case[];
type Run = { lengthM: number; innerDiameterMm: number; minorLossK: number };
type Outlet = { nominalFlowLph: number; nominalHeadM?: number; exponent: number; pcMinHeadM?: number };

const emitterOf = ({ nominalFlowLph, nominalHeadM, exponent, pcMinHeadM }: Outlet): Emitter => ({
  nominalFlowLph,
  nominalHeadM: nominalHeadM ?? 10,
  exponent,
  leastHeadM: pcMinHeadM ?? null,
});

function networkOf({ given }: Case): LoopNetwork {
  const own = { roughnessMm: given.roughnessMm, kinematicViscosityM2PerS: given.kinematicViscosityM2PerS };
  const run = (pipe: Run) => ({
    ...own,
    lengthM: pipe.lengthM,
    boreMm: pipe.innerDiameterMm,
    fittingsK: pipe.minorLossK,
  });
  return {
    surfaceM: given.tank.waterLevelM,
    pump: given.pump
      ? { kind: "table", points: given.pump.curve.map(([flowLph, headM]: [number, number]) => ({ flowLph, headM })) }
      : null,
    before: [],
    main: given.main.map(run),
    banks: given.banks.map((bank: Case["given"]) => ({
      atMain: given.main.findIndex(({ toNode }: { toNode: string }) => toNode === bank.atNode),
      open: bank.valve === "open",
      elevationM: bank.elevationM,
      connection: run(bank.connection),
      manifold: { ...bank.manifold, pipe: { ...own, boreMm: bank.manifold.innerDiameterMm } },
      lateral: bank.lateral
        ? {
            pipe: { ...own, boreMm: bank.lateral.innerDiameterMm },
            count: bank.lateral.emitterCount,
            spacingM: bank.lateral.spacingM,
            firstSpacingM: bank.lateral.firstSpacingM,
            slopeRise: bank.lateral.slopeRiseMPerM,
            equivalentLengthM: bank.lateral.equivalentLengthPerEmitterM,
          }
        : null,
      outlet: emitterOf(bank.outlet),
    })),
    bypass: null,
  };
}

test.each(cases)("network: $name", (one) => {
  const flow = solveLoop(networkOf(one));
  const { flowRel, headM, flowVariationPoints } = one.tolerance;
  const near = (is: number, wanted: number, tolerance: number) =>
    expect(Math.abs(is - wanted)).toBeLessThanOrEqual(tolerance);
  near(flow.flowLph, one.expect.dutyFlowLph, flowRel * one.expect.dutyFlowLph);
  if (one.expect.dutyHeadM !== undefined) near(flow.pumpHeadM, one.expect.dutyHeadM, headM);
  one.given.banks.forEach(({ name }: { name: string }, index: number) => {
    const bank = flow.banks[index]!;
    const wanted = one.expect.banks[name];
    near(bank.flowLph, wanted.flowLph, flowRel * wanted.flowLph);
    near(bank.leastLph, wanted.qminLph, flowRel * wanted.qminLph);
    near(bank.greatestLph, wanted.qmaxLph, flowRel * wanted.qmaxLph);
    if (wanted.inletHeadM === undefined) return;
    near(bank.inletHeadM!, wanted.inletHeadM, headM);
    near((1 - bank.leastLph / bank.greatestLph) * 100, wanted.flowVariationPct, flowVariationPoints);
  });
});
