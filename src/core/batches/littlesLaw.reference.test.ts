import law from "../../../tests/reference/batches/littles-law.json";
import quick from "../../../tests/reference/batches/quick.json";
import { wholeDown, wholeUp } from "../numeric/whole";
import { zonesForRate } from "../place/gradedLine";
import { batchesAtOnce, harvestFromSites, sitesForHarvest, WEEKLY, weeksForHarvest } from "./littlesLaw";
import { occupancy } from "./occupancy";
import { restOfArea, sharedAreas, stageChain } from "./stageChain";

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- reference files hold many shapes
type Case = { name: string; kind?: string; given: any; expect: any };
const ofKind = (kind: string) => (law.cases as Case[]).filter(({ given }) => given.kind === kind);
const ofQuick = (kind: string) => (quick.cases as Case[]).filter((entry) => entry.kind === kind);
/** Figures as close as the file says (1e-9); what is whole or null is exact. */
const meets = (found: Record<string, unknown>, want: Record<string, unknown>) => {
  for (const [key, value] of Object.entries(want))
    if (typeof value === "number" && !Number.isInteger(value)) expect(found[key]).toBeCloseTo(value, 8);
    else if (typeof value === "number") expect(found[key]).toBeCloseTo(value, 9);
    else expect(found[key]).toEqual(value);
};

test.each(ofKind("triple"))("of weekly harvest, weeks and sites the third: $name", ({ given, expect: want }) => {
  const { plantsPerWeek, weeksInPool, sites } = given;
  if (sites === undefined) {
    const { meanSites } = sitesForHarvest(plantsPerWeek, weeksInPool, WEEKLY);
    meets({ sitesExact: meanSites, sitesWhole: wholeUp(meanSites) }, want);
    expect(zonesForRate(plantsPerWeek, [weeksInPool])).toEqual([want.sitesWhole]);
  } else if (plantsPerWeek === undefined) {
    const rate = harvestFromSites(sites, weeksInPool, WEEKLY).meanHarvestPerWeek;
    meets({ plantsPerWeekExact: rate, plantsPerWeekWhole: wholeDown(rate) }, want);
  } else {
    const weeks = weeksForHarvest(plantsPerWeek, sites, WEEKLY).meanWeeks!;
    meets({ weeksExact: weeks, daysWhole: wholeDown(weeks * 7) }, want);
  }
});

test.each(ofKind("batches"))("batches that follow one another: $name", ({ given, expect: want }) => {
  const { everyDays, plantsPerBatch, daysInPool, cleaningDays } = given;
  expect(plantsPerBatch * batchesAtOnce(daysInPool, { everyDays, cleaningDays })).toBe(want.peakSites);
  const days = 2000;
  const stays = Array.from({ length: Math.ceil(days / everyDays) }, (_, index) => ({
    growingAreaId: 1,
    plants: plantsPerBatch,
    from: index * everyDays,
    to: index * everyDays + daysInPool,
  }));
  const [area] = occupancy([{ id: 1, sites: 10_000, cleaningDays }], stays, 0, days);
  // From when the first batch has left on, over whole intervals.
  const first = Math.ceil((daysInPool + cleaningDays) / everyDays) * everyDays;
  const length = Math.floor((days - first) / everyDays) * everyDays;
  const used = Array.from({ length }, (_, day) => area!.plants[first + day]! + area!.blocked[first + day]!);
  expect(Math.max(...used)).toBe(want.peakSites);
  expect(Math.min(...used)).toBe(want.leastSites);
  expect(used.reduce((sum, sites) => sum + sites, 0) / length).toBeCloseTo(want.meanSites, 9);
});

interface InPool {
  readonly pool: string;
  readonly weeks: number;
  readonly survival: number;
  readonly cleaningDays?: number;
}
const inWeeks = ({ pool, weeks, survival, cleaningDays = 0 }: InPool) => ({
  area: pool,
  days: weeks * 7,
  survival,
  cleaningDays,
});
test.each(ofKind("chain"))("$name", ({ given, expect: want }) => {
  const chain = stageChain({
    harvestPerWeek: given.finishedPerWeek,
    everyDays: 7,
    stages: given.pools.map(inWeeks),
  });
  expect(chain.sownPerWeek).toBeCloseTo(want.sownPerWeek, 9);
  chain.areas.forEach((area, index) =>
    meets(
      { ...area, pool: area.area, sitesExact: area.meanSites, sitesWhole: wholeUp(area.meanSites) },
      want.pools[index],
    ),
  );
});

test.each(ofKind("sharedPools"))("$name", ({ given, expect: want }) => {
  const crops = given.crops.map((crop: { finishedPerWeek: number; stages: InPool[] }) => ({
    harvestPerWeek: crop.finishedPerWeek,
    everyDays: 7,
    stages: crop.stages.map(inWeeks),
  }));
  const shared = sharedAreas(given.poolSites, crops);
  expect(shared.tightestArea).toBe(want.tightestPool);
  expect(shared.shareThatFitsOnTheMean).toBeCloseTo(want.shareOfPlanThatFits, 9);
  for (const [area, { meanSites, fitsOnTheMean }] of Object.entries(shared.areas))
    meets(
      { sites: meanSites, whole: wholeUp(meanSites), fits: fitsOnTheMean },
      { sites: want.sitesNeeded[area], whole: want.sitesWhole[area], fits: want.fits[area] },
    );
});

test.each(ofQuick("anyTwo"))("with batches and cleaning: $name", ({ given, expect: want }) => {
  const { find, harvestPerWeek, weeks, sites } = given;
  if (find === "sites") {
    const found = sitesForHarvest(harvestPerWeek, weeks, given);
    meets({ ...found, meanSitesWhole: wholeUp(found.meanSites) }, want);
  } else if (find === "harvest") meets({ ...harvestFromSites(sites, weeks, given) }, want);
  else {
    const found = weeksForHarvest(harvestPerWeek, sites, given);
    meets({ ...found, longestWeeks: found.longestDays && found.longestDays / 7 }, want);
  }
});

test.each(ofQuick("chain"))("$name", ({ given, expect: want }) => {
  const { areas, ...whole } = want;
  const chain = stageChain({ ...given, harvestPerWeek: given.finishedPerWeek });
  meets({ ...chain }, whole);
  chain.areas.forEach((area, index) => meets({ ...area }, areas[index]));
});

test.each(ofQuick("shared"))("$name", ({ given, expect: want }) => {
  const shared = sharedAreas(given.areas, given.crops);
  expect(shared.shareThatFitsOnTheMean).toBeCloseTo(want.shareOfHarvestThatFitsOnTheMean, 9);
  for (const [area, figures] of Object.entries(want.areas as Record<string, Record<string, unknown>>))
    meets({ ...shared.areas[area] }, figures);
});

test.each(ofQuick("restOfArea"))("$name", ({ given, expect: want }) => {
  const found = restOfArea(given.area, given.sites, given.first, given.second);
  expect([found.firstPeakSites <= given.sites, found.firstPeakSites]).toEqual([want.firstFits, want.firstAtThePeak]);
  meets(
    { ...found, plantsPerBatchOfSecond: found.plantsPerBatch, harvestPerWeekOfSecond: found.harvestPerWeek },
    {
      plantsPerBatchOfSecond: want.plantsPerBatchOfSecond,
      harvestPerWeekOfSecond: want.harvestPerWeekOfSecond,
      sitesLeft: want.sitesLeft,
    },
  );
});
