import et0 from "../../../tests/reference/water/et0.json";
import pump from "../../../tests/reference/water/pump.json";
import series from "../../../tests/reference/water/series.json";
import storage from "../../../tests/reference/water/storage.json";
import { plantNeedLpd } from "./plantNeed";
import { pumpAnswer } from "./pumpAnswer";
import { pumpDuty } from "./pumpDuty";
import { rainInflowL } from "./rainInflow";
import { storageDay } from "./storageBalance";

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- reference files hold many shapes
type Case = { name: string; given: any; expect: any; kind?: string; tolerance?: any };

const pumpCases = (pump.cases as Case[]).flatMap((entry) =>
  (["Lowest", "Highest"] as const).map((level) => ({
    ...entry,
    level,
    name: `${entry.name}, ${level} level`,
  })),
);

test.each(pumpCases)("duty point: $name", ({ given, expect: wants, tolerance, level }) => {
  const want = wants[`at${level}Level`];
  const duty = pumpDuty({
    pump: { kind: "table", points: given.pumpCurve },
    staticLiftM: given.highestOutletM - given[`${level.toLowerCase()}WaterLevelM`],
    headWantedM: given.headWantedAtOutletM,
    pipe: {
      lengthM: given.pipeLengthM,
      boreMm: given.pipeInnerDiameterMm,
      fittingsK: given.minorLossKSum,
      roughnessMm: given.roughnessMm,
      kinematicViscosityM2PerS: given.kinematicViscosityM2PerS,
      hazenWilliamsC: given.frictionLaw === "hazen-williams" ? given.hazenWilliamsC : undefined,
    },
  });
  expect(duty.kind).toBe(want.cannotLift ? "cannot-lift" : want.pastEndOfCurve ? "past-end" : "works");
  const flowTolerance = (tolerance?.flowRel ?? 1e-9) * Math.max(1, want.dutyFlowLph);
  expect(Math.abs(duty.flowLph - want.dutyFlowLph)).toBeLessThanOrEqual(flowTolerance);
  if (duty.kind === "works") {
    expect(Math.abs(duty.headM - want.dutyHeadM)).toBeLessThanOrEqual(tolerance.headM);
    expect(Math.abs(duty.hydraulicW / want.hydraulicPowerW - 1)).toBeLessThanOrEqual(tolerance.powerRel);
  }
});

const byLabel = (series.cases as Case[]).filter((entry) => entry.kind === "labelPump");
const VERDICTS = { cannotLift: "cannot-lift", pastEndOfCurve: "past-end" } as Record<string, string>;
test.each(byLabel)("pump by its label: $name", ({ given, expect: want }) => {
  const answer = pumpAnswer(
    {
      pump: { kind: "label", flowAtNoLiftLph: given.flowAtNoLiftLph, greatestLiftM: given.greatestLiftM },
      staticLiftM: given.staticLiftM,
      headWantedM: given.headWantedAtOutletM,
      pipe: {
        lengthM: given.pipeLengthM,
        boreMm: given.pipeInnerDiameterMm,
        fittingsK: given.minorLossKSum,
        roughnessMm: given.roughnessMm,
        kinematicViscosityM2PerS: given.kinematicViscosityM2PerS,
      },
    },
    given.flowWantedLph,
  );
  expect(answer.verdict).toBe(VERDICTS[want.verdict] ?? want.verdict);
  expect(answer.measureIt).toBe(want.measureIt);
  expect(answer.shareOfGreatestLift).toBeCloseTo(want.shareOfShutOffHead, 6);
  // The file allows 1e-5 of the flow.
  expect(Math.abs(answer.shareOfFlowWanted - want.shareOfFlowWanted)).toBeLessThanOrEqual(
    1e-5 * want.shareOfFlowWanted + 1e-9,
  );
  expect(Math.abs(answer.duty.flowLph - want.dutyFlowLph)).toBeLessThanOrEqual(1e-5 * want.dutyFlowLph);
  if (answer.duty.kind === "works") expect(answer.duty.headM / want.dutyHeadM).toBeCloseTo(1, 5);
});

const balances = (storage.cases as Case[]).filter((entry) => entry.kind === "balance");
test.each(balances)("storage day by day: $name", ({ given, expect: want }) => {
  let storedL: number = given.startStorageL;
  const totals = { shortageL: 0, spillL: 0, shortDays: 0, firstShortDay: null as number | null };
  (given.drawL as number[]).forEach((drawL, index) => {
    const day = storageDay(storedL, given.capacityL, given.inflowL[index], drawL);
    storedL = day.endL;
    totals.shortageL += day.shortL;
    totals.spillL += day.spillL;
    if (day.shortL > 1e-9) totals.shortDays += 1;
    if (day.shortL > 1e-9) totals.firstShortDay ??= index + 1;
  });
  expect(storedL).toBeCloseTo(want.endStorageL, 3);
  expect(totals.shortageL).toBeCloseTo(want.shortageL, 3);
  expect(totals.spillL).toBeCloseTo(want.spillL, 3);
  expect([totals.shortDays, totals.firstShortDay]).toEqual([want.shortDays, want.firstShortDay]);
});

test.each((storage.cases as Case[]).filter((entry) => entry.kind === "rainInflow"))(
  "$name",
  ({ given, expect: want }) => expect(rainInflowL(given.rainMm, given.roofAreaM2)).toBeCloseTo(want.inflowL, 6),
);

test.each((et0.cases as Case[]).filter(({ kind }) => kind === "et0UnderCover"))(
  "need of a plant: $name",
  ({ given, expect: want, tolerance }) => {
    const found = plantNeedLpd(want.et0InsideMmPerDay, given.kc, given.groundAreaPerPlantM2, given.calibrationFactor);
    expect(Math.abs(found - want.plantNeedLPerDay)).toBeLessThanOrEqual(tolerance.needRel * want.plantNeedLPerDay);
  },
);
