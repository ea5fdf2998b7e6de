import reference from "../../../tests/reference/water/series.json";
import { STAND_MODELS } from "../place/kinds";
import { dripLine, withPorousHose } from "./dripLine";
import { outletOf } from "./emitter";
import { solveLateral, type Lateral, type LateralFlow } from "./lateral";
import { porousHose, porousLine } from "./porousHose";
import { runsInSeries } from "../place/runsInSeries";
import { runLossM, solveDripRun } from "./dripRun";
import { stillTank } from "./stillTank";

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- reference files hold many shapes
type Case = { name: string; kind: string; given: any; expect: any };
const cases = (kind: string) => (reference.cases as Case[]).filter((one) => one.kind === kind);
const near = (is: number, wanted: number, rel = reference.tolerance.rel) =>
  expect(Math.abs(is - wanted)).toBeLessThanOrEqual(rel * Math.max(Math.abs(wanted), 1e-9));

test.each(cases("runs"))("runs in series: $name", ({ given, expect: want }) => {
  const flowPerRunLph = given.flowPerRunLPerMin * 60;
  const runs = runsInSeries({ ...given, flowPerRunLph });
  expect(runs.linesOfRuns).toEqual(want.linesInEachRun);
  expect(runs.isTooLong).toBe(want.warnsTooLong);
  near(runs.flowWantedLph, want.flowWantedLph);
  near(runs.longestM, want.longestRunM);
  expect(runs.lengthsM).toHaveLength(want.runs);
  runs.lengthsM.forEach((lengthM, run) => near(lengthM, want.runLengthsM[run]));
  runs.perPlantLph.forEach((flow, run) => near(flow, want.flowPerPlantLph[run]));
});

test.each(cases("friction"))("friction along a run: $name", ({ given, expect: want }) => {
  const law = { roughnessMm: given.roughnessMm, kinematicViscosityM2PerS: given.kinematicViscosityM2PerS };
  const line = { ...law, lengthM: given.lineLengthM, boreMm: given.lineInnerDiameterMm, fittingsK: 0 };
  const join = {
    ...law,
    lengthM: given.joinLengthM,
    boreMm: given.joinInnerDiameterMm,
    fittingsK: given.joinMinorLossK,
  };
  const flowLph = given.flowPerRunLPerMin * 60;
  near(runLossM(flowLph, given.linesPerRun, line, join), want.frictionOfRunM, reference.tolerance.frictionRel);
});

test.each(cases("porousTest"))("porous hose from a test: $name", ({ given, expect: want }) => {
  const hose = porousHose({
    ...given,
    firstLitres: given.firstLitresPerMetre,
    secondLitres: given.secondLitresPerMetre,
  });
  expect(typeof hose === "object").toBe(want.possible);
  if (typeof hose !== "object") return;
  near(hose.exponent, want.exponent);
  near(outletOf(hose)(1).flowLph, want.kLphPerM);
  near(outletOf(hose)(given.headM).flowLph, want.flowAtHeadLphPerM);
});

const pipeOf = (given: Case["given"]) => ({
  boreMm: given.innerDiameterMm,
  roughnessMm: given.roughnessMm,
  kinematicViscosityM2PerS: given.kinematicViscosityM2PerS,
});

function judge({ totalLph, headsM, flowsLph }: LateralFlow, want: Case["expect"]) {
  const rel = reference.tolerance.frictionRel;
  near(totalLph, want.totalFlowLph, rel);
  near(headsM.at(-1)!, want.lastHeadM, rel);
  const [least, greatest] = [Math.min(...flowsLph), Math.max(...flowsLph)];
  near((1 - least / greatest) * 100, want.flowVariationPct, 1e-3);
}

test.each(cases("porousLine"))("porous hose as a line: $name", ({ given, expect: want }) => {
  const emitter = { nominalFlowLph: given.kLphPerM, nominalHeadM: 1, exponent: given.exponent, leastHeadM: null };
  const solved = solveLateral(porousLine(emitter, pipeOf(given), given.metres, 0), given.inletHeadM);
  judge(solved, want);
  near(solved.flowsLph[0]!, want.firstMetreLph, reference.tolerance.frictionRel);
});

test("beds with a porous hose give what its metres give", () => {
  const { given, expect: want } = cases("porousLine")[0]!;
  const hose = { nominalFlowLph: given.kLphPerM, nominalHeadM: 1, exponent: given.exponent, leastHeadM: null };
  const beds = {
    ...STAND_MODELS["drip-beds"].example,
    ...{ lineLengthM: given.metres, lateralBoreMm: given.innerDiameterMm, wettedRadiusM: 0.25 },
  };
  const { flow } = dripLine(withPorousHose(beds, hose), given.inletHeadM)!;
  near(flow.totalLph, want.totalFlowLph, 0.002);
});

test.each(cases("dripRun"))("drip tubes in series: $name", ({ given, expect: want }) => {
  const tube: Lateral = {
    pipe: pipeOf(given),
    emitter: { ...given, exponent: given.emitterExponent, leastHeadM: null },
    count: given.emittersPerTube,
    spacingM: given.spacingM,
    firstSpacingM: given.firstSpacingM,
    slopeRise: given.slopeRiseMPerM,
    equivalentLengthM: given.equivalentLengthPerEmitterM,
  };
  const tubes = given.tubesInSeries;
  const solved = solveDripRun({ tube, tubes, joinLengthM: given.joinLengthM, join: null }, given.inletHeadM);
  judge(solved, want);
  (want.flowOfEachTubeLph as number[]).forEach((flow, at) => {
    const own = solved.flowsLph.subarray(at * tube.count, (at + 1) * tube.count);
    near(
      own.reduce((sum, one) => sum + one, 0),
      flow,
      reference.tolerance.frictionRel,
    );
  });
});

test.each(cases("stillTank"))("still water with a float: $name", ({ given, expect: want }) => {
  const answer = stillTank({
    ...given,
    needLpd: given.plants * given.needLPerPlantDay,
    depthM: given.waterDepthMm / 1000,
    leastDepthM: given.leastDepthMm / 1000,
    floatRatedLph: given.floatRatedFlowLph,
    floatRatedHeadM: given.floatRatedHeadM,
  });
  near(answer.dailyDrawL, want.dailyDrawL);
  near(answer.aboveLeastL, want.waterAboveLeastL);
  near(answer.floatLph, want.floatFlowLph);
  near(answer.peakHourL, want.peakHourL);
  expect(answer.floatKeepsUp).toBe(want.floatKeepsUp);
  if (want.daysWithoutSupply === null) expect(answer.daysInHand).toBeNull();
  else near(answer.daysInHand!, want.daysWithoutSupply);
});
