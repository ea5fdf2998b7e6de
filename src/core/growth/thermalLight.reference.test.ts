import stages from "../../../tests/reference/growth/stages.json";
import { clearSkyRadiation, dailyLightMol, radiationFromTemperatures, sunOfDay } from "../place/climate/sun";
import { civilDate, dayFromIso, isoFromDay, weekdayOf, type Day } from "../units/day";
import { monthlyValue } from "./monthly";
import { endByProgress } from "./stageDays";
import { dailyProgress, learnedRatio, temperatureFactor, type ThermalLightStage } from "./thermalLight";

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- reference files hold many shapes
type Case = { name: string; given: any; expect: any };
type ByMonth = readonly number[];
interface House {
  readonly tempC: ByMonth;
  readonly dliMol?: ByMonth;
  readonly latitudeDeg: number;
  readonly skyMethod: "clearSky" | "hargreaves";
  readonly elevationM: number;
  readonly kRs: number;
  readonly tMinC: ByMonth;
  readonly tMaxC: ByMonth;
  readonly coverTransmissivity: number;
  readonly shadeShare: number | ByMonth;
  readonly lamps?: { readonly umolPerM2S: number; readonly hoursPerDay: number };
}
type Stage = ThermalLightStage & { readonly school: string; readonly climate: string };
interface Crop {
  readonly stages: readonly Stage[];
  readonly climates: Readonly<Record<string, House>>;
}
const crops = stages.crops as unknown as Record<string, Crop>;
const cases = (kind: string) =>
  (stages.cases as Case[]).filter(
    ({ given }) => given.kind === kind && crops[given.crop]?.stages.every(({ school }) => school === "thermalLight"),
  );

function lightOf(house: House, day: Day): number {
  if (house.dliMol) return monthlyValue(house.dliMol, day);
  const dayOfYear = day - dayFromIso(`${civilDate(day).year}-01-01`) + 1;
  const sun = sunOfDay(house.latitudeDeg, dayOfYear);
  const outside =
    house.skyMethod === "clearSky"
      ? clearSkyRadiation(sun, house.elevationM)
      : radiationFromTemperatures(sun, monthlyValue(house.tMaxC, day), monthlyValue(house.tMinC, day), house.kRs);
  const shade = typeof house.shadeShare === "number" ? house.shadeShare : monthlyValue(house.shadeShare, day);
  const lamps = house.lamps ? house.lamps.umolPerM2S * house.lamps.hoursPerDay * 0.0036 : 0;
  return dailyLightMol(outside * house.coverTransmissivity * (1 - shade)) + lamps;
}

function endOf(crop: Crop, stage: Stage, start: Day): Day {
  const house = crop.climates[stage.climate]!;
  const own = { ...stage, usesLight: stage.usesLight ?? true };
  const end = endByProgress(start, (day) => {
    const meanC = monthlyValue(house.tempC, day);
    return dailyProgress(own, { lowestC: meanC, highestC: meanC, dliMol: lightOf(house, day) });
  });
  if (end === "never") throw new Error("never ready");
  return end;
}

/** Ends of stages are found once for each day that one begins on. */
const known = new Map<string, Day>();
function boundaries(name: string, sowDay: Day): Day[] {
  return crops[name]!.stages.reduce<Day[]>(
    (days, stage, at) => {
      const start = days.at(-1)!;
      const key = `${name} ${at} ${start}`;
      if (!known.has(key)) known.set(key, endOf(crops[name]!, stage, start));
      return [...days, known.get(key)!];
    },
    [sowDay],
  );
}

test.each(cases("forward"))("forward: $name", ({ given, expect: want }) =>
  expect(boundaries(given.crop, dayFromIso(given.sowDate)).map(isoFromDay)).toEqual(want.boundaries),
);

test.each(cases("backward"))("backward: $name", ({ given, expect: want }) => {
  const names = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"];
  const wanted = dayFromIso(given.wantedDate);
  const isAllowed = (day: Day) =>
    !given.allowedSowWeekdays || given.allowedSowWeekdays.includes(names[weekdayOf(day) - 1]);
  let sowDay = wanted;
  while (!isAllowed(sowDay) || boundaries(given.crop, sowDay).at(-1)! > wanted) sowDay -= 1;
  expect([isoFromDay(sowDay), wanted - boundaries(given.crop, sowDay).at(-1)!]).toEqual([want.sowDate, want.daysEarly]);
});

test.each(cases("everyDay"))("every day of two years: $name", ({ given, expect: want }) => {
  const from = dayFromIso(given.from);
  const days = (want.daysFromSowToReady as number[]).map((_, at) => from + at);
  expect(days.map((day) => boundaries(given.crop, day).at(-1)! - day)).toEqual(want.daysFromSowToReady);
});

test.each((stages.cases as Case[]).filter(({ given }) => given.kind === "learnedRatio" && given.switchedOn))(
  "what the log has taught: $name",
  ({ given, expect: want }) => {
    const ratio = learnedRatio(given.actualOverPredicted);
    expect(ratio).toBeCloseTo(want.ratio, 12);
    expect(ratio * given.plainPredictionDays).toBeCloseTo(want.predictionDays, 9);
  },
);

test("a day that swings around the optimum grows slower than its mean says; around the base, faster", () => {
  const stage = {
    ...{ referenceDays: 20, baseC: 4, optimumC: 20, maxC: 30, halfLightMol: 8, referenceDliMol: 15 },
    usesLight: false,
  };
  const at = (lowestC: number, highestC: number) => dailyProgress(stage, { lowestC, highestC, dliMol: 0 }) * 20;
  expect(at(20, 20)).toBe(1);
  expect(at(12, 28)).toBeLessThan(0.85);
  expect(at(-4, 12)).toBeGreaterThan(temperatureFactor(stage, 4));
  expect(endByProgress(20_000, () => 0)).toBe("never");
});
