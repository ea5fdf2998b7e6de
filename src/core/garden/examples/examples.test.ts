import { solver, warmSolver } from "../../../../tests/engines/highs";
import { COMMON_UNITS } from "../../growth/harvestUnit";
import { dayFromIso, isoFromDay, type Day } from "../../units/day";
import { apply, settle, type Changes, type Tables } from "../changes";
import { RULES } from "../entities";
import { NO_FACTS } from "../facts";
import { gardenOf } from "../gardenOf";
import { houseViews } from "../placeView";
import { remediesOf } from "../remedies";
import { ruleOf, type LoopChangeRule } from "../../feed/changeRule";
import type { StrengthSchool } from "../../feed/strengthSchool";
import { tankDays } from "../../feed/tankDays";
import { changeDue } from "../changeDue";
import { changeInput, CHANGE_SCHOOLS, USUAL_HABITS } from "../keepOrChange";
import { standFlows } from "../standFlows";
import { drawnBlend, loopRises } from "../waterQuality";
import { standingOn, standingOnLoop } from "../standing";
import { loopLadder } from "../tank";
import { workOut } from "../workOut";
import { EXAMPLE_GARDENS } from "./gardens";
import { exampleChanges, type ExampleSolvers } from "./exampleTables";

const UNITS: Tables = {
  harvest_unit: Object.fromEntries(
    COMMON_UNITS.map((unit, index) => [index + 1, { id: index + 1, ...unit, typed: {} }]),
  ),
};

function real(changes: Changes): Changes {
  const ids = new Map<number, number>();
  for (const { added } of Object.values(changes))
    for (const id of Object.keys(added)) ids.set(Number(id), 1000 - Number(id));
  return settle(changes, ids, RULES);
}

const DAYS = ["2027-01-04", "2027-05-30", "2027-11-05"].map(dayFromIso);
const CASES = EXAMPLE_GARDENS.flatMap((example) =>
  DAYS.map((day) => [example.name, isoFromDay(day), example, day] as const),
);

let solvers: ExampleSolvers;
beforeAll(async () => {
  solvers = { solve: await solver(), open: await warmSolver() };
});

/** An example, worked out. */
function opened(name: string, today: number, change: (tables: Tables) => Tables = (tables) => tables) {
  const example = EXAMPLE_GARDENS.find((one) => one.name === name)!;
  const tables = change(apply(UNITS, real(exampleChanges(UNITS, example, today, solvers))));
  return workOut(gardenOf(tables, { latitudeDeg: example.latitudeDeg }), NO_FACTS, today);
}

test.each(CASES)(
  "%s, opened on %s: fits its place, meets every order, nothing over capacity",
  (_, __, example, today) => {
    const tables = apply(UNITS, real(exampleChanges(UNITS, example, today, solvers)));
    const garden = gardenOf(tables, { latitudeDeg: example.latitudeDeg });
    const worked = workOut(garden, NO_FACTS, today);
    expect(garden.stands).toHaveLength(example.setup.stands.length);
    expect(houseViews(worked).flatMap(({ clashes }) => clashes)).toEqual([]);
    expect(worked.shortages).toEqual([]);
    for (const loop of garden.loops)
      expect(loopLadder(worked, loop).rungs.filter(({ verdict }) => verdict === "short")).toEqual([]);
    const ahead = worked.deliveries.filter(({ day }) => day >= today);
    expect(
      ahead
        .filter(({ state }) => state.kind !== "met")
        .map(({ day, state, wanted }) => [isoFromDay(day), wanted, state]),
    ).toEqual([]);
    expect(ahead.length > 0).toBe(example.orders.length > 0);
    // Something grows on the first day.
    expect(worked.plan.batches.some(({ batch }) => batch.begun.length > 0)).toBe(true);
  },
);

test("a timer that gives too little is found, and the remedy that is tried gives enough", () => {
  const worked = opened("Courtyard row", DAYS[0]!, (tables) => ({
    ...tables,
    loop: Object.fromEntries(
      Object.entries(tables.loop!).map(([id, loop]) => [
        id,
        { ...loop, timer: { ...(loop.timer as object), runMin: 1 } },
      ]),
    ),
  }));
  const [loop] = worked.garden.loops;
  const ladder = loopLadder(worked, loop!);
  const plantOf = ({ rungs }: typeof ladder) => rungs.find(({ kind }) => kind === "plant")!;
  expect(plantOf(ladder).verdict).toBe("short");
  const remedy = remediesOf(worked, loop!, ladder).find(({ ease }) => ease.kind === "longer-timer")!;
  expect(remedy.change.timer).toMatchObject({ kind: "times", timesMin: [480, 780, 1020] });
  expect(plantOf(remedy.ladder).verdict).not.toBe("short");
});

test("need is counted line by line from the plants that stand there, as the plan counts it, and rises with the summer", () => {
  const [winter, summer] = [opened("Friday house", DAYS[0]!), opened("Friday house", DAYS[2]!)];
  for (const worked of [winter, summer]) {
    const [loop] = worked.garden.loops;
    const { needLpd, byClimateLpd, plants } = standingOnLoop(worked, loop!.id, worked.today);
    expect(plants).toBeGreaterThan(50);
    expect(byClimateLpd).toBeCloseTo(needLpd, 9);
    // Of the plan all but what drains; plants above capacity stand on no line.
    expect(needLpd).toBeCloseTo(worked.plan.needLByLoop.get(loop!.id)![worked.today - worked.plan.from]!, 6);
    const lines = [...standingOn(worked, worked.today).values()].flat();
    expect(lines.every((line) => line.plants === 0 || line.needLpd > 0)).toBe(true);
  }
  const perPlant = (worked: typeof winter) => {
    const { needLpd, plants } = standingOnLoop(worked, worked.garden.loops[0]!.id, worked.today);
    return needLpd / plants;
  };
  expect(perPlant(summer)).toBeGreaterThan(1.5 * perPlant(winter));
});

test("line by line: channels in runs of two share one film; a tower tells what is left for its lowest tier", () => {
  const friday = opened("Friday house", DAYS[2]!);
  const flows = friday.garden.loops.flatMap((loop) => standFlows(friday, loop));
  const runs = flows.filter(({ linesPerRun }) => linesPerRun === 2).at(-1)!;
  expect(runs.of).toMatchObject({ kind: "film", runM: 8.4 });
  expect(runs.perPlantLph).toBeCloseTo(runs.lineLph / 36, 9);
  const sill = opened("Sill", DAYS[2]!);
  const [loop] = sill.garden.loops;
  const [tower] = standFlows(sill, loop!);
  const { plants, needLpd } = standingOnLoop(sill, loop!.id, sill.today);
  expect(plants).toBeGreaterThan(0);
  // Five runs of 20 minutes a day; four of five tiers drink before the last.
  const givenLpd = (tower!.lineLph * 5 * 20) / 60;
  expect(tower!.of).toEqual({ kind: "towers", bottomShare: 1 - (needLpd * 0.8) / givenLpd });
});

test("a garden of one source draws it unmixed; sodium that it does not tell gathers in no picture", () => {
  const friday = opened("Friday house", DAYS[2]!, (tables) => ({
    ...tables,
    source: Object.fromEntries(
      Object.entries(tables.source ?? {}).map(([id, row]) => [id, { ...row, ph: 7.2, analysisMgPerL: { Na: 30 } }]),
    ),
  }));
  expect(drawnBlend(friday)!.analysisMgPerL).toEqual({ Na: 30 });
  const [loop] = friday.garden.loops;
  const [alone] = loopRises(friday, loop!, "Na");
  const drunkL = friday.plan.needLByLoop.get(loop!.id)!.subarray(friday.plan.today - friday.plan.from);
  const sumL = drunkL.reduce((sum, litres) => sum + litres, 0);
  expect(alone!.mgPerL.at(-1)).toBeCloseTo(30 + (30 * sumL) / loop!.normalFillL, 6);
  expect(loopRises(friday, loop!, "Cl")).toEqual([]);
});

test("a tank is followed by its own plants, water and plan; no litre is lost in any school", () => {
  const friday = opened("Friday house", DAYS[2]!);
  const [loop] = friday.garden.loops;
  const input = changeInput(friday, loop!, USUAL_HABITS);
  if (typeof input === "string") throw new Error(input);
  const drunkL = Array.from(input.drunkL).reduce((sum, litres) => sum + litres, 0);
  const found = CHANGE_SCHOOLS.map((rule) => tankDays(input, ruleOf(rule)));
  for (const { waterL, changeDays, dischargedL } of found) {
    expect(waterL).toBeCloseTo(drunkL + (1 + changeDays.length) * loop!.normalFillL, 4);
    expect(dischargedL).toBe(changeDays.length * loop!.normalFillL);
  }
  // The oftener it is changed, the more water and the less salt.
  const [weekly, monthly] = found;
  expect(weekly!.waterL).toBeGreaterThan(monthly!.waterL);
  expect(Math.max(...weekly!.chlorideMmolPerL)).toBeLessThanOrEqual(Math.max(...monthly!.chlorideMmolPerL));
  expect(changeInput(friday, { ...loop!, kind: "run-to-waste" }, USUAL_HABITS)).toBe("runs-to-waste");
  expect(changeInput(friday, { ...loop!, id: 99 }, USUAL_HABITS)).toBe("no-recipe");
});

test("a change is due by the rule of its loop, counted from the last one in the log", () => {
  const friday = opened("Friday house", DAYS[2]!);
  const due = (changeRule: LoopChangeRule, since: number | null) => {
    const loop = { ...friday.garden.loops[0]!, changeRule };
    const solutionChanges = since === null ? [] : [{ loopId: loop.id, day: since }];
    return changeDue({ ...friday, facts: { ...NO_FACTS, solutionChanges } }, loop)?.due ?? null;
  };
  const { today } = friday;
  expect(due({ kind: "never" }, today - 400)).toBeNull();
  expect(due({ kind: "weeks", weeks: 4 }, null)).toBe(today);
  expect(due({ kind: "weeks", weeks: 4 }, today - 27)).toBeNull();
  expect(due({ kind: "weeks", weeks: 4 }, today - 30)).toBe(today - 2);
  expect(due({ kind: "topped-up", tanks: 50 }, today - 5)).toBeNull();
  // A thousandth of a tank is drunk on the first day on which anything is.
  expect(due({ kind: "topped-up", tanks: 0.001 }, today - 5)).toBeGreaterThan(today - 5);
});

test("a loop is fed by its school: by age between seedling and grown, by season between dark and bright, by bands who fits", () => {
  const ecOf = (today: Day, strength: StrengthSchool) => {
    const friday = opened("Friday house", today);
    const loops = friday.garden.loops.map((loop) => ({ ...loop, strength }));
    const worked = workOut({ ...friday.garden, loops }, NO_FACTS, today);
    const feed = worked.feeds.get(loops[0]!.id)!;
    expect(feed.sheet.strength).not.toBeNull();
    expect(feed.strength.ecLow).toBeLessThanOrEqual(feed.strength.ecMsPerCm);
    return feed.strength.ecMsPerCm;
  };
  const written = ecOf(DAYS[2]!, { kind: "constant" });
  const byAge = ecOf(DAYS[2]!, { kind: "age", ecAtStart: 0.5, ecAtMaturity: written, maturityDays: 300 });
  expect(byAge).toBeGreaterThan(0.5);
  expect(byAge).toBeLessThan(written);
  const season = { kind: "season", ecBright: 1.2, ecDark: 1.6 } as const;
  const [june, december] = [ecOf(dayFromIso("2027-06-21"), season), ecOf(dayFromIso("2027-12-21"), season)];
  expect(june).toBeCloseTo(1.2, 1);
  expect(december).toBeCloseTo(1.6, 1);
  const bands = ecOf(DAYS[2]!, { kind: "bands" });
  const crops = opened("Friday house", DAYS[2]!).garden.varieties;
  expect(crops.some(({ ecLow, ecHigh }) => bands >= ecLow! && bands <= ecHigh!)).toBe(true);
});
