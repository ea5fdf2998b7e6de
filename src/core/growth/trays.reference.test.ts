import shoots from "../../../tests/reference/growth/shoots.json";
import trays from "../../../tests/reference/growth/trays.json";
import { daysInMonth } from "../units/day";
import { dailyTrays, marketTrays, rackCarries, type MarketNeed } from "./conveyor";
import { fodderNeed } from "./fodder";
import { trayYieldG } from "./trayYield";

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- reference files hold many shapes
type Case = { name: string; kind?: string; given: any; expect: any };
const cases = (file: { readonly cases: unknown }, kind: string) =>
  (file.cases as Case[]).filter((one) => (one.kind ?? one.given.kind) === kind);
const WEEKDAYS = ["mon", "tue", "wed", "thu", "fri", "sat", "sun"];

const trayOf = (given: Case["given"]) => ({
  seedGPerTray: given.seedGPerTray ?? given.drySeedKgPerTray * 1000,
  yieldRatio: given.yieldRatioToSeed ?? given.freshPerDryRatio,
  germination: given.germination ?? 1,
  germinationOfRatio: given.germinationOfTheRatio ?? 1,
});
const cropOf = (given: Case["given"]) => ({
  ...trayOf(given),
  soakH: given.soakHours,
  blackoutDays: given.blackoutDays,
  lightDays: given.lightDays,
  halfTrays: given.halfTraysAllowed,
});

test.each(cases(trays, "tray"))("a tray: $name", ({ given, expect: want }) => {
  const seedGPerTray = given.trayLengthM * given.trayWidthM * given.densityGPerM2;
  expect(seedGPerTray).toBeCloseTo(want.seedGPerTray, 9);
  expect(trayYieldG(trayOf({ ...given, seedGPerTray }))).toBeCloseTo(want.yieldGPerTray, 9);
});

test.each(cases(trays, "daily"))("every day: $name", ({ given, expect: want }) => {
  const found = dailyTrays(cropOf(given), given.dailyNeedG, given.cleaningDays);
  expect([found.traysPerDay, found.daysOnRack, found.traysOnRack, found.rackPlaces, found.traysInSoak]).toEqual([
    ...[want.traysPerDay, want.daysOnRack, want.traysOnRack, want.rackPlaces, want.traysInSoak],
  ]);
  for (const name of ["yieldGPerTray", "seedGPerDay", "cutGPerDay", "surplusGPerDay"] as const)
    expect(found[name]).toBeCloseTo(want[name], 9);
});

test.each(cases(shoots, "conveyor"))("a conveyor: $name", ({ given, expect: want }) => {
  const seedGPerTray = given.seedGPerTray ?? given.trayAreaM2 * given.seedDensityGPerM2;
  const found = dailyTrays(cropOf({ ...given, seedGPerTray }), given.dailyNeedG, given.cleaningDays ?? 0);
  expect([found.traysPerDay, found.traysOnRack, found.rackPlaces, found.onRackIfHalvesTakeOne]).toEqual([
    ...[want.traysPerDay, want.traysOnRack, want.trayPositions, want.positionsIfHalfTraysTakeOne],
  ]);
  expect(found.cutGPerDay).toBeCloseTo(want.yieldGPerDay, 9);
  expect(found.seedGPerDay).toBeCloseTo(want.seedGPerDay, 9);
  expect(found.surplusGPerDay).toBeCloseTo(want.surplusGPerDay, 9);
});

test.each(cases(trays, "marketDays"))("market days: $name", ({ given, expect: want }) => {
  const crops = Object.fromEntries(
    Object.entries(given.crops as Record<string, unknown>).map(([name, crop]) => [name, cropOf(crop)]),
  );
  const needs = Object.entries(given.ordersG as Record<string, Record<string, number>>).flatMap(([day, orders]) =>
    Object.entries(orders).map(([crop, needG]): MarketNeed<string> => ({
      crop,
      needG,
      weekday: WEEKDAYS.indexOf(day) + 1,
    })),
  );
  const found = marketTrays(crops, needs, given.cleaningDays);
  const toSow: Record<string, Record<string, number>> = {};
  for (const { crop, weekday, trays: count } of found.sowings)
    toSow[WEEKDAYS[weekday - 1]!] = { ...toSow[WEEKDAYS[weekday - 1]!], [crop]: count };
  expect(toSow).toEqual(want.traysToSow);
  expect(Object.fromEntries(found.onRack.map((count, day) => [WEEKDAYS[day], count]))).toEqual(want.traysOnRackByDay);
  expect([found.peakPlaces, found.peakPlaces <= given.rackPlaces]).toEqual([want.peakRackPlaces, want.fits]);
  expect(found.seedGPerWeek).toEqual(want.seedGPerWeek);
});

test.each(cases(trays, "rackCarries"))("what a rack carries: $name", ({ given, expect: want }) => {
  const found = rackCarries(given.rackPlaces, { ...given, halfTrays: given.halfTraysAllowed });
  expect([found.traysPerStart, found.peakPlaces]).toEqual([want.traysPerStart, want.peakRackPlaces]);
  expect(found.traysPerStart * trayYieldG(trayOf(given))).toBeCloseTo(want.cutGPerStart, 8);
});

test.each([...cases(shoots, "fodder"), ...cases(trays, "fodder")])("fodder: $name", ({ given, expect: want }) => {
  const month = given.daysInMonth ?? daysInMonth(given.year, given.month);
  const found = fodderNeed(
    given.animals,
    { ...trayOf(given), halfTrays: given.halfTraysAllowed ?? true, daysOnRack: given.daysOnRack },
    { bagKg: given.bagKg, seedOnHandKg: given.seedOnHandKg ?? 0, daysInMonth: month },
  );
  expect([found.traysPerDay, found.traysOnRack]).toEqual([want.traysPerDay, want.traysOnRack]);
  expect([found.bagsNeeded, found.bagsSown]).toEqual([
    want.bagsNeeded ?? want.bagsPerMonthNeeded,
    want.bagsSown ?? want.bagsPerMonthSown,
  ]);
  expect(found.freshKgPerDay).toBeCloseTo(want.freshKgPerDay, 9);
  expect(found.seedKgPerDayNeeded).toBeCloseTo(want.drySeedKgPerDayNeeded, 9);
  expect(found.seedKgPerDaySown).toBeCloseTo(want.drySeedKgPerDaySown, 9);
});
