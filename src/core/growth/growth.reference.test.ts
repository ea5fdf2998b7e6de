import sowing from "../../../tests/reference/growth/sowing.json";
import stages from "../../../tests/reference/growth/stages.json";
import { dayFromIso, isoFromDay } from "../units/day";
import { cellsToSow } from "./cellsToSow";
import { countedGermination, daysToHalf } from "./germination";
import { sowDayFor, type SowDay } from "./sowDay";
import { monthlyValue } from "./monthly";
import { seedNeed, seedToOrder } from "./seedNeed";
import { seedWay } from "./severalOrOne";
import { stageBoundaries } from "./stageDays";

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- reference files hold many shapes
type Case = { name: string; given: any; expect: any };
const crops = stages.crops as unknown as Record<string, { stages: { school: string; daysByMonth: number[] }[] }>;
const isCalendar = (crop: string) => crops[crop]?.stages.every((stage) => stage.school === "calendar");
const daysOf = (crop: string) => crops[crop]!.stages;
const sownFor = (...wish: Parameters<typeof sowDayFor>) => sowDayFor(...wish) as SowDay;
// Crops by temperature and light: thermalLight.reference.test.ts.
const cases = (kind: string) =>
  (stages.cases as Case[]).filter(
    ({ given }) => given.kind === kind && (given.crop === undefined || isCalendar(given.crop)),
  );

test.each(cases("monthlyValue"))("$name", ({ given, expect: want }) =>
  expect(monthlyValue(given.byMonth, dayFromIso(given.date))).toBeCloseTo(want.value, 9),
);

test.each(cases("forward"))("forward: $name", ({ given, expect: want }) =>
  expect(stageBoundaries(dayFromIso(given.sowDate), daysOf(given.crop)).map(isoFromDay)).toEqual(want.boundaries),
);

test.each(cases("backward"))("backward: $name", ({ given, expect: want }) => {
  const names = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"];
  const weekdays = given.allowedSowWeekdays?.map((day: string | number) =>
    typeof day === "number" ? day : names.findIndex((name) => day.startsWith(name)) + 1,
  );
  const found = sownFor(dayFromIso(given.wantedDate), daysOf(given.crop), weekdays);
  expect([isoFromDay(found.sowDay), found.daysEarly]).toEqual([want.sowDate, want.daysEarly]);
});

test.each(cases("everyDay"))("every day agrees both ways: $name", ({ given, expect: want }) => {
  const from = dayFromIso(given.from);
  const length = want.daysFromSowToReady.length;
  const days = Array.from({ length }, (_, i) => from + i);
  expect(days.map((day) => stageBoundaries(day, daysOf(given.crop)).at(-1)! - day)).toEqual(want.daysFromSowToReady);
  expect(days.map((day) => day - sownFor(day, daysOf(given.crop)).sowDay)).toEqual(want.daysFromSowToWanted);
});

const cells = (sowing.cases as Case[]).filter(({ given }) => given.kind === "cells");
test.each(cells)("cells to sow: $name", ({ given, expect: want }) => {
  const found = cellsToSow({ ...given, confidence: given.confidencePercent / 100 });
  if ("kind" in found) return expect(want.cells).toBeNull();
  expect([found.expectedCells, found.cells, found.seeds]).toEqual([want.expectedCells, want.cells, want.seeds]);
  expect(found.cellToPlant).toBeCloseTo(want.cellToPlant, 9);
  if (want.probability !== undefined) expect(found.probability).toBeCloseTo(want.probability, 9);
  const { cellsPerTray = null, seedsPerGram, pricePerGram = null, seedOnHandG, seedsPerCell } = given;
  const need = seedNeed({
    ...{ cells: found.cells, cellsPerTray, seedsPerCell, seedsPerG: seedsPerGram ?? 100, pricePerG: pricePerGram },
  });
  if (want.trays !== undefined)
    expect([need.trays, need.cells, need.seeds]).toEqual([want.trays, want.cellsInWholeTrays, want.seedsInWholeTrays]);
  if (want.grams !== undefined) expect(need.grams).toBeCloseTo(want.grams, 9);
  if (want.seedCost !== undefined) expect(need.cost).toBeCloseTo(want.seedCost, 9);
  if (want.seedCostPerTray !== undefined) expect(need.costPerTray).toBeCloseTo(want.seedCostPerTray, 9);
  if (seedOnHandG !== undefined)
    expect(seedToOrder(need.grams, seedOnHandG, 20_000, 0).gramsToBuy).toBeCloseTo(want.gramsToBuy, 9);
});

const ofSowing = (kind: string) => (sowing.cases as Case[]).filter(({ given }) => given.kind === kind);
test.each(ofSowing("orderBy"))("seed to order: $name", ({ given, expect: want }) =>
  expect(
    seedToOrder(given.gramsNeeded, given.gramsOnHand, dayFromIso(given.firstSowDate), given.leadDays),
  ).toMatchObject({
    gramsToBuy: expect.closeTo(want.gramsToBuy, 9),
    orderBy: want.orderByDate === null ? null : dayFromIso(want.orderByDate),
  }),
);

test.each(ofSowing("compare"))("several and thin, or one: $name", ({ given, expect: want }) => {
  const wish = { ...given, confidence: given.confidencePercent / 100 };
  for (const way of ["severalAndThin", "onePelleted"] as const) {
    const found = seedWay(wish, given[way])!;
    expect([found.cells, found.seeds]).toEqual([want[way].cells, want[way].seeds]);
    expect(found.seedCost).toBeCloseTo(want[way].seedCost, 9);
    expect(found.emptyCells).toBeCloseTo(want[way].emptyCellsExpected, 9);
    expect(found.seedlingsPulled).toBeCloseTo(want[way].seedlingsThinnedExpected, 9);
  }
});

test.each(ofSowing("wilson"))("a germination count: $name", ({ given, expect: want }) => {
  const found = countedGermination(given.germinated, given.sown, given.confidencePercent);
  expect(found.estimate).toBeCloseTo(want.estimate, 9);
  expect(found.low).toBeCloseTo(want.low, 9);
  expect(found.high).toBeCloseTo(want.high, 9);
});

test.each(ofSowing("daysToHalf"))("days to half: $name", ({ given, expect: want }) => {
  const counts = (given.cumulativeByDay as [number, number][]).map(([day, up]) => ({ day, up }));
  const near = (wanted: number | null) => (wanted === null ? null : expect.closeTo(wanted, 9));
  expect(daysToHalf(counts, given.sown)).toEqual({
    ofGerminated: near(want.daysToHalfOfGerminated),
    ofSown: near(want.daysToHalfOfSown),
  });
});
