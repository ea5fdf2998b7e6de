import counts from "../../../tests/reference/place/counts.json";
import heldWater from "../../../tests/reference/place/held-water.json";
import { bedPlants } from "./bedPlants";
import { densities } from "./density";
import { gradedLine } from "./gradedLine";
import { rectangularChannelL } from "./rectangularChannel";
import { segmentAreaM2 } from "./segmentArea";
import { dammedLineL } from "./dammedLine";
import { supportHeights } from "./supportHeights";
import { tankAfterStop } from "./tankAfterStop";
import { floodBench } from "./floodBench";
import { turnoverPerHour } from "./turnoverPerHour";
import { runsInSeries } from "./runsInSeries";
import { bucketSites } from "./kinds/buckets";
import { linesIntoHouse } from "./linesIntoHouse";
import { raftSites } from "./raft";
import { towerShade, towerSites } from "./towers";
import { lineSites, plasticBetweenHoles } from "./lineSites";
import { trayRack } from "./trayRack";

/* eslint-disable @typescript-eslint/no-explicit-any -- reference files hold many shapes */
type Case = { name: string; given: any; expect: any; kind?: string };
const all = counts.cases as Case[];
const ofKind = (kind: string) => all.filter((entry) => entry.given.kind === kind);

test.each(ofKind("line"))("sites on a line: $name", ({ given, expect: want }) => {
  const line = lineSites(given.lengthM, given.endMarginM, given.pitchM);
  expect(line.sites).toBe(want.sites);
  near(line.slackM, want.slackM);
  near(line.evenedPitchM, want.evenedPitchM);
  if (given.holeMm !== undefined && want.webMm !== undefined) {
    const plastic = plasticBetweenHoles(given.pitchM, given.holeMm);
    expect(plastic.plasticLeftMm).toBeCloseTo(want.webMm, 6);
    expect(plastic.tooThin).toBe(want.webTooThin);
  }
});

test.each(ofKind("bed"))("plants in a bed: $name", ({ given, expect: want }) => {
  const bed = bedPlants(given);
  expect(bed.plants).toBe(want.plants);
  expect(bed.plantsByRow).toEqual(want.plantsByRow);
  near(bed.rowGapM, want.rowGapM);
  near(bed.nearestNeighbourM, want.nearestNeighbourM);
});

test.each(ofKind("trayRack"))("trays on racks: $name", ({ given, expect: want }) => {
  const rack = trayRack(given);
  expect([rack.traysPerShelf, rack.traysLengthwise, rack.traysCrosswise, rack.trays, rack.cells]).toEqual([
    want.traysPerShelf,
    want.trayLengthAlongShelfLength,
    want.trayLengthAcrossShelf,
    want.trays,
    want.cells,
  ]);
});

test.each(ofKind("density"))("density: $name", ({ given, expect: want }) => {
  const found = densities(
    given.plantsPerLine * given.lines,
    given.lines * given.lineLengthM * given.lineWidthM,
    given.standWithAislesLengthM * given.standWithAislesWidthM,
    given.houseLengthM * given.houseWidthM,
  );
  near(found.perM2OfLine, want.perM2OfLine);
  near(found.perM2OfStand, want.perM2OfStandWithAisles);
  near(found.perM2OfHouse, want.perM2OfHouse);
});

test.each((heldWater.cases as Case[]).filter((entry) => entry.kind === "rectangularChannel"))(
  "water held: $name",
  ({ given, expect: want }) =>
    near(rectangularChannelL(given.widthMm, given.waterDepthMm, given.lengthM, given.lines), want.volumeL),
);

test.each(ofKind("gradedLine"))("graded line: $name", ({ given, expect: want }) => {
  const line = gradedLine(given.lengthM, given.endMarginM, given.zones);
  expect([line.sitesByZone, line.sites]).toEqual([want.sitesByZone, want.sites]);
  near(line.siteAtM.at(-1) ?? null, want.lastSiteAtM ?? null);
});

test.each(ofKind("raft"))("raft: $name", ({ given, expect: want }) => {
  expect(raftSites(given)).toMatchObject(want);
});

test.each(ofKind("linesIntoHouse"))("lines into a house: $name", ({ given, expect: want }) => {
  const found = linesIntoHouse(given);
  near(found.usedWidthM, want.usedWidthM);
  near(found.leftOverM, want.leftOverM);
  const { usedWidthM: _used, leftOverM: _left, ...exact } = want;
  expect(found).toMatchObject(exact);
});

test.each(ofKind("towers"))("towers: $name", ({ given, expect: want }) => {
  const found = towerSites(given);
  expect(found.sites).toBe(want.sites);
  near(found.heightM, want.heightM);
});

test.each(ofKind("buckets"))("buckets: $name", ({ given, expect: want }) =>
  expect(bucketSites(given.buckets, given.plantsPerBucket)).toBe(want.sites),
);

test.each(ofKind("towerShade"))("shade of towers: $name", ({ given, expect: want }) =>
  expect(towerShade(given)).toEqual(want),
);

const waterOf = (kind: string) =>
  (heldWater.cases as (Case & { tolerance: { rel?: number; drainRel?: number } })[]).filter(
    (entry) => entry.kind === kind,
  );
const within = (found: number, want: number, relative: number) =>
  expect(Math.abs(found - want)).toBeLessThanOrEqual(relative * Math.abs(want) + 1e-6);

test.each(waterOf("partFullPipe"))("part-full pipe: $name", ({ given, expect: want, tolerance }) => {
  const areaM2 = segmentAreaM2(given.innerDiameterMm, given.waterDepthMm);
  within(areaM2 * given.lengthM * given.lines * 1000, want.volumeL, tolerance.rel!);
  expect(areaM2).toBeCloseTo(want.areaM2, 7);
});

test.each(waterOf("slopedChannelWithDam"))("dammed line: $name", ({ given, expect: want, tolerance }) => {
  const held = dammedLineL(given);
  within(held.volumeL, want.volumeL, tolerance.rel!);
  within(held.wettedLengthM, want.wettedLengthM, tolerance.rel!);
});

test.each(waterOf("supportHeights"))("supports: $name", ({ given, expect: want }) => {
  const found = supportHeights(given.lengthM, given.supportSpacingM, given.fallOneIn, given.outletEndHeightM);
  expect(found).toHaveLength(want.supports.length);
  for (const [index, support] of found.entries()) {
    expect(support.distanceFromInletM).toBeCloseTo(want.supports[index].distanceFromInletM, 6);
    // The file writes its heights to a thousandth of a millimetre.
    expect(Math.abs(support.heightM - want.supports[index].heightM)).toBeLessThanOrEqual(1e-6);
  }
});

test.each(waterOf("drainBack"))("drain-back: $name", ({ given, expect: want, tolerance }) => {
  const filmsL = given.lines.reduce(
    (sum: number, line: any) => sum + rectangularChannelL(line.widthMm, line.filmDepthMm, line.lengthM, line.count),
    0,
  );
  const pipesL = given.pipesThatEmptyToTank.reduce(
    (sum: number, pipe: any) => sum + segmentAreaM2(pipe.innerDiameterMm, pipe.innerDiameterMm) * pipe.lengthM * 1000,
    0,
  );
  const drainBackL = filmsL + pipesL + given.otherWaterInFlightL;
  const after = tankAfterStop({ ...given, drainBackL, normalFillLevelM: given.workingLevelM });
  within(drainBackL, want.drainBackL, tolerance.rel!);
  within(after.levelRiseM, want.levelRiseM, tolerance.rel!);
  within(after.headspaceL, want.headspaceL, tolerance.rel!);
  expect(after.overflows).toBe(want.overflows);
  within(after.overflowL, want.overflowL, tolerance.rel!);
});

test.each(waterOf("turnover"))("turnover: $name", ({ given, expect: want, tolerance }) =>
  within(turnoverPerHour(given.flowLph, given.workingVolumeL), want.turnoverPerHour, tolerance.rel!),
);

test.each(waterOf("channelFlow"))("flow of channels: $name", ({ given, expect: want, tolerance }) => {
  const flow = runsInSeries({
    ...{ lines: given.channelsOpen, linesPerRun: 1, flowPerRunLph: 60 * given.flowPerChannelLPerMin },
    ...{ lineLengthM: 6, joinLengthM: 0, plantsPerLine: given.plantsPerChannel },
  });
  within(flow.flowWantedLph, want.neededLph, tolerance.rel!);
  within(flow.perPlantLph[0]!, want.flowPerPlantLph, tolerance.rel!);
});

test("no case of the files is left out", () => {
  const walked = [
    "line",
    "bed",
    "trayRack",
    "density",
    "gradedLine",
    "raft",
    "linesIntoHouse",
    "towers",
    "buckets",
    "towerShade",
  ];
  expect(new Set(all.map(({ given }) => given.kind))).toEqual(new Set(walked));
  const water = [
    "rectangularChannel",
    "partFullPipe",
    "slopedChannelWithDam",
    "supportHeights",
    "drainBack",
    "turnover",
    "channelFlow",
    "floodBench",
  ];
  expect(new Set((heldWater.cases as Case[]).map(({ kind }) => kind))).toEqual(new Set(water));
});

test.each(waterOf("floodBench"))("flood bench: $name", ({ given, expect: want, tolerance }) => {
  const bench = floodBench(given);
  within(bench.floodVolumeL, want.floodVolumeL, tolerance.rel!);
  within(bench.fillTimeMin, want.fillTimeMin, tolerance.rel!);
  within(bench.drainTimeMin, want.drainTimeMin, tolerance.drainRel!);
});

function near(found: number | null, want: number | null) {
  if (want === null) expect(found).toBeNull();
  else expect(found).toBeCloseTo(want, 8);
}
