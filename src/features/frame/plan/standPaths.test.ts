import { STAND_KINDS, STAND_MODELS, type StandSpec } from "@/core/place/kinds";
import { standCounts } from "@/core/place/standCounts";
import { isInSight, standFootprint, standLayout, toHouse } from "@/core/place/standLayout";
import type { GrowingRun } from "@/core/garden/placeView";
import { lineUnder, standPaths } from "./standPaths";

const run = (start: number, end: number, change: Partial<GrowingRun> = {}): GrowingRun => ({
  start,
  end,
  batchId: 1,
  stage: 0,
  variety: "Mizuna",
  mark: { tone: 0, hatch: "plain", initials: "Mi" },
  sownOn: 0,
  dayOfStage: 4,
  daysOfStage: 10,
  ...change,
});
const at = (spec: StandSpec, turned = false) => ({ spec, xM: 2, yM: 3, turned });
const discs = (path: string) => path.split("h0").length - 1;
const spots = (path: string) =>
  path
    .split("h0")
    .filter(Boolean)
    .map((spot) => spot.slice(1).split(" ").map(Number) as [number, number]);

test.each(STAND_KINDS)("every site of a %s in sight is drawn once, free or taken, inside the stand", (kind) => {
  const spec = STAND_MODELS[kind].example as StandSpec;
  const { lines, sitesPerLine, sites } = standCounts(spec);
  const seen = Array.from({ length: lines }, (_, line) => line).filter((line) => isInSight(spec, line)).length;
  const half = Math.floor(sites / 2);
  for (const turned of [false, true]) {
    const paths = standPaths(at(spec, turned), [run(0, half)]);
    const taken = paths.discs.reduce((sum, { d }) => sum + discs(d), 0);
    expect(discs(paths.free) + taken).toBe(seen * sitesPerLine);
    const foot = standFootprint(at(spec, turned));
    for (const [x, y] of spots(paths.free + paths.discs.map(({ d }) => d).join(""))) {
      expect(x).toBeGreaterThanOrEqual(foot.xM - 1e-3);
      expect(y).toBeGreaterThanOrEqual(foot.yM - 1e-3);
      expect(x).toBeLessThanOrEqual(foot.xM + foot.lengthM + 1e-3);
      expect(y).toBeLessThanOrEqual(foot.yM + foot.widthM + 1e-3);
    }
  }
});

test("plants are drawn in the tone of their variety, the older the larger, and from afar as stripes of their share", () => {
  const spec = STAND_MODELS["channel-bank"].example;
  const paths = standPaths(at(spec), [
    run(0, 24, { dayOfStage: 0 }),
    run(24, 36, { mark: { tone: 1, hatch: "dots", initials: "Ba" }, dayOfStage: 9 }),
  ]);
  const [young, old] = paths.discs;
  expect([discs(young!.d), discs(old!.d)]).toEqual([24, 12]);
  expect(young!.strokeM).toBeLessThan(old!.strokeM);
  expect(young!.tone).not.toBe(old!.tone);
  // A dot in each of the old ones: told apart without colour.
  expect([young!.over, discs(old!.over!.d)]).toEqual([null, 12]);
  // A whole line, and half of the next: 6 m and 3 m.
  const lengths = paths.stripes.map(({ d }) => d.match(/[\d.]+/gu)!.map(Number)).map(([x0, , x1]) => x1! - x0!);
  expect(lengths).toEqual([6, 3]);
});

test("the line under a point is found in any direction, and none between lines", () => {
  for (const kind of STAND_KINDS)
    for (const turned of [false, true]) {
      const stand = at(STAND_MODELS[kind].example as StandSpec, turned);
      const { lines } = standLayout(stand.spec);
      for (const [index, line] of lines.entries()) {
        if (!isInSight(stand.spec, index)) continue;
        const rect = toHouse(line, stand);
        expect(lineUnder(stand, { xM: rect.xM + rect.lengthM / 2, yM: rect.yM + rect.widthM / 2 })).toBe(index);
      }
    }
  const bank = at(STAND_MODELS["channel-bank"].example);
  expect(lineUnder(bank, { xM: 3, yM: 3.15 })).toBeNull();
  expect(lineUnder(bank, { xM: 1.9, yM: 3.05 })).toBeNull();
});
