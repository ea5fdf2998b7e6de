import reference from "../../../tests/reference/water/lateral.json";
import type { Lateral } from "./lateral";
import { solveLateral } from "./lateral";
import { longestLateral } from "./longestLateral";
import { uniformity } from "./uniformity";

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- reference files hold many shapes
type Case = { name: string; given: any; expect: any; kind?: string; tolerance: any };
const cases = reference.cases as Case[];

function lateralOf({ given }: Case): Lateral {
  const isHazenWilliams = given.frictionLaw === "hazen-williams";
  return {
    pipe: {
      boreMm: given.innerDiameterMm,
      roughnessMm: given.roughnessMm,
      kinematicViscosityM2PerS: given.kinematicViscosityM2PerS,
      ...(isHazenWilliams && { hazenWilliamsC: given.hazenWilliamsC }),
    },
    emitter: {
      nominalFlowLph: given.nominalFlowLph,
      nominalHeadM: given.nominalHeadM ?? given.pcMinHeadM,
      exponent: given.emitterExponent ?? 0,
      leastHeadM: given.pcMinHeadM ?? null,
    },
    count: given.emitterCount ?? 1,
    spacingM: given.spacingM,
    firstSpacingM: given.firstSpacingM,
    slopeRise: given.slopeRiseMPerM,
    equivalentLengthM: given.equivalentLengthPerEmitterM,
  };
}

const within = (found: number, want: number, most: number) => expect(Math.abs(found - want)).toBeLessThanOrEqual(most);

test.each(cases.filter(({ kind }) => kind !== "longest"))("lateral: $name", (one) => {
  const { given, expect: want, tolerance } = one;
  const { headsM, flowsLph, totalLph } = solveLateral(lateralOf(one), given.inletHeadM);
  const found = uniformity(flowsLph, given.manufacturingCvFraction ?? 0, given.emittersPerPlant ?? 1);
  const flow = (value: number, wanted: number) =>
    within(value, wanted, Math.max(tolerance.flowRel * wanted, tolerance.flowAbsLph ?? 0));
  const points = (share: number, wanted: number, name: string) => within(share * 100, wanted, tolerance[name] + 1e-9);
  flow(totalLph, want.totalFlowLph);
  flow(found.leastLph, want.qminLph);
  flow(found.greatestLph, want.qmaxLph);
  flow(found.meanLph, want.qavgLph);
  points(found.flowVariation, want.flowVariationPct, "flowVariationPoints");
  points(found.cu!, want.cuPct, "cuPoints");
  points(found.duLowQuarter!, want.dulqPct, "dulqPoints");
  if (want.euPct !== undefined) points(found.eu!, want.euPct, "euPoints");
  within(headsM.at(-1)!, want.headLastM, tolerance.headM);
  if (want.headMinM !== undefined) within(Math.min(...headsM), want.headMinM, tolerance.headM);
  for (const { index, headM, flowLph } of want.emitters ?? []) {
    within(headsM[index - 1]!, headM, tolerance.headM);
    flow(flowsLph[index - 1]!, flowLph);
  }
  if (want.emittersBelowRange !== undefined)
    within(headsM.filter((head) => head < given.pcMinHeadM).length, want.emittersBelowRange, tolerance.count);
});

test.each(cases.filter(({ kind }) => kind === "longest"))("$name", (one) => {
  const { given, expect: want, tolerance } = one;
  const found = longestLateral(lateralOf(one), given.inletHeadM, given.permittedFlowVariationPct / 100);
  expect(found.count).toBeGreaterThanOrEqual(want.acceptCountFrom);
  expect(found.count).toBeLessThanOrEqual(want.acceptCountTo);
  expect(found).toMatchObject({ endless: false, nearlyLevel: false });
  for (const [count, percent] of Object.entries(want.flowVariationPctAt as Record<string, number>)) {
    const { flowsLph } = solveLateral({ ...lateralOf(one), count: Number(count) }, given.inletHeadM);
    within(uniformity(flowsLph, 0, 1).flowVariation * 100, percent, tolerance.flowVariationPoints);
  }
});
