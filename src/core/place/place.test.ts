import fc from "fast-check";
import { houseClashes } from "./houseChecks";
import { STAND_MODELS } from "./kinds";
import { drainBackL } from "./standWater";
import { lineSites } from "./lineSites";
import { lineWords, growingAreaSitesPerLine } from "./lineWords";
import type { ChannelBank, DripBeds, PlacedStand, StandSpec, TrayRack } from "./stand";
import { standCounts } from "./standCounts";
import { standFlow } from "./standFlow";
import { lineSitePoints, standFootprint, standLayout, toHouse } from "./standLayout";

const bank: ChannelBank = {
  ...STAND_MODELS["channel-bank"].example,
  kind: "channel-bank",
  lines: 36,
  lineLengthM: 6,
  channelWidthM: 0.1,
  channelDepthM: 0.05,
  endMarginM: 0.125,
  pitchM: 0.25,
  holeMm: 50,
  gapM: 0.1,
  linesPerBlock: 6,
  aisleM: 0.6,
  linesPerValve: 6,
  fallOneIn: 40,
  lineFlowLph: 90,
};
const beds: DripBeds = {
  ...STAND_MODELS["drip-beds"].example,
  kind: "drip-beds",
  lines: 6,
  lineLengthM: 10,
  bedWidthM: 1,
  endMarginM: 0.15,
  edgeMarginM: 0.2,
  rows: 3,
  pitchM: 0.3,
  pattern: "staggered",
  aisleM: 0.6,
  linesPerValve: 2,
  lateralsPerBed: 2,
  emitterSpacingM: 0.3,
  emitterFlowLph: 1.6,
};
const buckets: StandSpec = {
  ...STAND_MODELS["bucket-line"].example,
  kind: "bucket-line",
  lines: 2,
  bucketsPerLine: 16,
  bucketSpacingM: 0.5,
  bucketDiameterM: 0.3,
  bucketVolumeL: 15,
  plantsPerBucket: 1,
  aisleM: 0.9,
  linesPerValve: 2,
  emittersPerBucket: 2,
  emitterFlowLph: 2,
};
const rack: TrayRack = {
  ...STAND_MODELS["tray-rack"].example,
  kind: "tray-rack",
  racks: 1,
  shelvesPerRack: 4,
  shelfLengthM: 1.7,
  shelfWidthM: 0.6,
  trayLengthM: 0.54,
  trayWidthM: 0.28,
  cellsPerTray: 84,
  aisleM: 0.8,
};
const all: StandSpec[] = [bank, beds, buckets, rack];

test("a measure that cannot be is named with its value and range", () => {
  expect(() => lineSites(6, 0.1, 0)).toThrow("lineSites: pitchM is 0; it must be from 0.005 to 50");
  expect(() => lineSites(Number.NaN, 0.1, 0.2)).toThrow("lengthM is NaN");
  expect(() => standCounts({ ...rack, cellsPerTray: 2.5 })).toThrow("cellsPerTray is 2.5; it must be a whole number");
});

test("counts and flows of the kinds of stand", () => {
  expect(all.map((spec) => [standCounts(spec).lines, standCounts(spec).sitesPerLine, standCounts(spec).sites])).toEqual(
    [
      [36, 24, 864],
      [6, 98, 588],
      [2, 16, 32],
      [24, 84, 2016],
    ],
  );
  expect(all.map((spec) => standFlow(spec).lineFlowLph)).toEqual([90, 33 * 2 * 1.6, 64, 0]);
  expect(drainBackL(bank)).toBeCloseTo(36 * 6 * 0.1 * 0.004 * 1000, 9);
});

test("what is doubtful is found, and a sound stand is without doubts", () => {
  expect(standCounts(bank).warnings).toEqual([]);
  const doubtful = { ...bank, pitchM: 0.07, fallOneIn: 200, aisleM: 0.4, linesPerBlock: 12, lineLengthM: 18 };
  expect(standCounts(doubtful).warnings).toEqual([
    { kind: "thin-plastic", part: "channel", plasticLeftMm: expect.closeTo(20, 9), leastMm: 25 },
    { kind: "flat-fall" },
    { kind: "long-channel", lengthM: 18, mostM: 15 },
    { kind: "narrow-aisle", leastM: 0.6, accessibleM: 0.9 },
    { kind: "past-reach", blockM: expect.closeTo(2.3, 9), twoSidesM: 1.2, oneSideM: 0.6 },
  ]);
  const kinds = standCounts({ ...bank, holeMm: 120, fallOneIn: 20 }).warnings.map(({ kind }) => kind);
  expect(kinds).toEqual(expect.arrayContaining(["wide-hole", "steep-fall"]));
});

test("never more sites than the line has room for, and one more would not fit (seed 3)", () => {
  const measures = fc.tuple(
    fc.double({ min: 0.1, max: 40, noNaN: true }),
    fc.double({ min: 0, max: 1, noNaN: true }),
    fc.double({ min: 0.02, max: 2, noNaN: true }),
  );
  fc.assert(
    fc.property(measures, ([lengthM, marginM, pitchM]) => {
      const { sites } = lineSites(lengthM, marginM, pitchM);
      if (sites > 0) expect((sites - 1) * pitchM).toBeLessThanOrEqual(lengthM - 2 * marginM + 0.0011);
      expect(sites * pitchM).toBeGreaterThan(lengthM - 2 * marginM - 1e-6);
    }),
    { seed: 3 },
  );
});

test.each(all)("every line of a $kind lies in its stand, every site on its line, turned or not", (spec) => {
  const layout = standLayout(spec);
  const counts = standCounts(spec);
  expect(layout.lines).toHaveLength(counts.lines);
  expect(lineSitePoints(spec)).toHaveLength(counts.sitesPerLine);
  for (const turned of [false, true]) {
    const stand: PlacedStand = { id: 1, name: "s", xM: 2, yM: 3, turned, spec };
    const foot = standFootprint(stand);
    for (const rect of layout.lines.map((line) => toHouse(line, stand))) {
      expect(rect.xM).toBeGreaterThanOrEqual(foot.xM - 1e-9);
      expect(rect.yM).toBeGreaterThanOrEqual(foot.yM - 1e-9);
      expect(rect.xM + rect.lengthM).toBeLessThanOrEqual(foot.xM + foot.lengthM + 1e-9);
      expect(rect.yM + rect.widthM).toBeLessThanOrEqual(foot.yM + foot.widthM + 1e-9);
    }
  }
  const [line] = layout.lines;
  for (const point of lineSitePoints(spec)) {
    expect(point.xM).toBeGreaterThan(0);
    expect(point.xM).toBeLessThan(line!.lengthM);
    expect(point.yM).toBeGreaterThanOrEqual(0);
    expect(point.yM).toBeLessThanOrEqual(line!.widthM);
  }
});

test("stands that reach out of their house or lie over one another are named", () => {
  const at = (name: string, xM: number, yM: number, spec: StandSpec = rack): PlacedStand => ({
    id: 1,
    name,
    xM,
    yM,
    turned: false,
    spec,
  });
  const house = { lengthM: 6, widthM: 4 };
  expect(houseClashes(house, [at("A", 0, 0), at("B", 1.7, 0)])).toEqual([]);
  expect(houseClashes(house, [at("A", 0, 0), at("B", 1.69, 0.59)])).toMatchObject([
    { kind: "overlap", names: ["A", "B"] },
  ]);
  expect(houseClashes(house, [at("Long", 1, 0, bank)])).toMatchObject([
    { kind: "outside", name: "Long", rect: { xM: 1, lengthM: 6 }, house },
  ]);
});

test("lines in words, as one walks them", () => {
  const stands = [{ id: 1, name: "Leaf bank", spec: bank }];
  expect(lineWords(stands, [6, 7, 8, 10])).toBe("channels 7–9 and 11");
  expect(lineWords(stands, [0])).toBe("channel 1");
  expect(lineWords(stands, [])).toBe("above capacity");
  expect(lineWords([{ id: 2, name: "Rack", spec: rack }], [0, 1, 6])).toBe("shelf 1, trays 1–2; shelf 2, tray 1");
  const two = [...stands, { id: 3, name: "Beds", spec: beds }];
  expect(lineWords(two, [35, 36, 37])).toBe("channel 36 of Leaf bank; beds 1–2 of Beds");
  expect(growingAreaSitesPerLine(two)).toHaveLength(42);
});
