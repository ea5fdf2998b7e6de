import reference from "../../../tests/reference/batches/occupancy.json";
import { dayFromIso, isoFromDay } from "../units/day";
import { harvestPlan } from "../growth/harvestPattern";
import { occupancy } from "./occupancy";

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- reference files hold many shapes
type Case = { name: string; given: any; expect: any };
// eslint-disable-next-line @typescript-eslint/no-explicit-any
type Stage = any;

/** The last day of a stage that is given by its harvests, by the product's own harvest plan. */
function endOf(stage: Stage): number {
  const from = dayFromIso(stage.from);
  if (stage.cuts !== undefined) {
    const pattern = {
      kind: "cut",
      unitsPerPlant: stage.firstCutKgPerPlant,
      cuts: stage.cuts,
      daysBetween: stage.daysBetweenCuts,
      factor: stage.cutFactor,
      keepsDays: 0,
    } as const;
    return harvestPlan(pattern, from + stage.daysToFirstCut, stage.plants).earliestFree;
  }
  if (stage.pickingWeeks !== undefined)
    return harvestPlan(
      { kind: "picking", unitsPerPlantWeek: 1, weeks: stage.pickingWeeks, keepsDays: 0 },
      from + stage.daysToFirstPick,
      stage.plants,
    ).earliestFree;
  return dayFromIso(stage.to) + (stage.heldDays ?? 0);
}

test.each(reference.cases as Case[])("$name", ({ given, expect: want }) => {
  const [from, to] = [dayFromIso(given.from), dayFromIso(given.to) + 1];
  const ids = given.pools.map(({ pool }: { pool: string }) => pool) as string[];
  const growingAreas = given.pools.map((growingArea: { sites: number; cleaningDays?: number }, id: number) => ({
    id,
    sites: growingArea.sites,
    cleaningDays: growingArea.cleaningDays ?? 0,
  }));
  const stays = given.batches.flatMap((batch: { stages: Stage[] }) =>
    batch.stages.map((stage) => ({
      growingAreaId: ids.indexOf(stage.pool),
      plants: stage.plants,
      from: dayFromIso(stage.from),
      to: endOf(stage),
    })),
  );
  for (const found of occupancy(growingAreas, stays, from, to)) {
    const growingArea = want.pools[ids[found.growingAreaId]!];
    expect(runs(found.plants, from)).toEqual(growingArea.plants);
    expect(runs(found.blocked, from)).toEqual(growingArea.blockedForCleaning);
    expect([found.peakUsed, found.leastFree, found.daysOver]).toEqual([
      growingArea.peakUsed,
      growingArea.leastFree,
      growingArea.daysOver,
    ]);
    expect(found.firstOver && isoFromDay(found.firstOver.day)).toBe(growingArea.firstDayOver);
  }
});

test.each((reference.cases as Case[]).filter((entry) => entry.expect.cuts))(
  "cuts: $name",
  ({ given, expect: want }) => {
    for (const batch of given.batches) {
      const [stage] = batch.stages;
      const pattern = {
        kind: "cut",
        unitsPerPlant: stage.firstCutKgPerPlant,
        cuts: stage.cuts,
        daysBetween: stage.daysBetweenCuts,
        factor: stage.cutFactor,
        keepsDays: 0,
      } as const;
      const { lots } = harvestPlan(pattern, dayFromIso(stage.from) + stage.daysToFirstCut, stage.plants);
      const cuts = want.cuts.filter((cut: { batch: string }) => cut.batch === batch.id);
      expect(lots.map((lot) => isoFromDay(lot.from))).toEqual(cuts.map((cut: { date: string }) => cut.date));
      lots.forEach((lot, i) => expect(lot.units).toBeCloseTo(cuts[i].kg, 9));
    }
  },
);

/** [from, toExclusive, value] for each run of equal days that are not 0. */
function runs(series: Int32Array, from: number): [string, string, number][] {
  const found: [string, string, number][] = [];
  let start = 0;
  for (let day = 1; day <= series.length; day++) {
    if (day < series.length && series[day] === series[start]) continue;
    if (series[start]) found.push([isoFromDay(from + start), isoFromDay(from + day), series[start]!]);
    start = day;
  }
  return found;
}
