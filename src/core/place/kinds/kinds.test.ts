import type { StandFactKind, StandFinding } from "../findings";
import { standChecks, headspaceWarning } from "../standChecks";
import { standCounts } from "../standCounts";
import { isInSight, lineLabel, lineSitePoints, standFootprint, standLayout } from "../standLayout";
import { loopTankRoom, standWater } from "../standWater";
import { modelOf, STAND_KINDS, STAND_MODELS, type StandSpec } from ".";
import type { ChannelBank } from "./channelBank";

const examples = STAND_KINDS.map((kind) => STAND_MODELS[kind].example as StandSpec);
const bank = STAND_MODELS["channel-bank"].example;
const examplesByKind = {
  "raft-pond": STAND_MODELS["raft-pond"].example,
  "shoots-rack": STAND_MODELS["shoots-rack"].example,
  "flood-bench": STAND_MODELS["flood-bench"].example,
  towers: STAND_MODELS.towers.example,
  "media-bed": STAND_MODELS["media-bed"].example,
  "wicking-bed": STAND_MODELS["wicking-bed"].example,
  "drip-beds": STAND_MODELS["drip-beds"].example,
  "bucket-line": STAND_MODELS["bucket-line"].example,
};
const doubts = (spec: StandSpec) => standCounts(spec).warnings;

test.each(examples)("the example of a $kind counts, draws and is sound", (spec) => {
  const counts = standCounts(spec);
  const layout = standLayout(spec);
  const sites = lineSitePoints(spec);
  expect(counts.warnings).toEqual([]);
  expect([layout.lines.length, sites.length]).toEqual([counts.lines, counts.sitesPerLine]);
  expect(counts.sites).toBe(counts.lines * counts.sitesPerLine);
  for (const line of layout.lines) {
    expect(line.xM + line.lengthM).toBeLessThanOrEqual(layout.lengthM + 1e-9);
    expect(line.yM + line.widthM).toBeLessThanOrEqual(layout.widthM + 1e-9);
  }
  for (const { xM, yM } of sites) {
    expect(xM).toBeGreaterThanOrEqual(0);
    expect(yM).toBeGreaterThanOrEqual(0);
    expect(xM).toBeLessThanOrEqual(layout.lines[0]!.lengthM);
    expect(yM).toBeLessThanOrEqual(layout.lines[0]!.widthM);
  }
  for (const { quantity, id } of modelOf(spec).materials(spec)) expect([id, quantity > 0]).toEqual([id, true]);
  const names = layout.lines.map((_, line) => lineLabel(spec, line));
  expect(new Set(names).size).toBe(names.length);
});

test.each(examples)("every measure of a $kind is there in its example, and in its range", (spec) => {
  const values = spec as unknown as Record<string, unknown>;
  const { measures } = modelOf(spec);
  expect(Object.keys(values).sort()).toEqual(["kind", ...measures.map(({ name }) => name)].sort());
  for (const measure of measures)
    if (measure.type === "number") {
      expect(values[measure.name]).toBeGreaterThanOrEqual(measure.least);
      expect(values[measure.name]).toBeLessThanOrEqual(measure.greatest);
    } else if (measure.type === "choice") expect(measure.options).toContain(values[measure.name]);
});

test("a graded line holds its zones, and says when a zone cannot take what the one before hands on", () => {
  const graded: ChannelBank = {
    ...bank,
    lineLengthM: 6,
    endMarginM: 0.1,
    zones: [
      { lengthM: 2.1, pitchM: 0.1, weeks: 2 },
      { lengthM: 3.9, pitchM: 0.2, weeks: 2 },
    ],
  };
  expect(standCounts(graded)).toMatchObject({ sitesPerLine: 40, slackM: null });
  // 12 lines: 21 sites for two weeks give on 126 a week, 19 sites take 114.
  expect(doubts(graded)).toEqual([{ kind: "zone-overrun", zone: 2, takesPerWeek: 114, passedOnPerWeek: 126 }]);
  const even = graded.zones.map((zone, index) => ({ ...zone, weeks: index === 0 ? 2.3 : 2 }));
  expect(doubts({ ...graded, zones: even })).toEqual([]);
  expect(doubts({ ...graded, zones: [{ lengthM: 5, pitchM: 0.2, weeks: 1 }] })).toContainEqual({
    kind: "zones-length",
    zonesM: 5,
    lineM: 6,
  });
  expect(doubts({ ...graded, zones: [{ lengthM: 6, pitchM: 0.07, weeks: 1 }] })).toContainEqual(
    expect.objectContaining({ kind: "thin-plastic", plasticLeftMm: expect.closeTo(20, 9) }),
  );
});

test("water that is held and water that drains back, kind by kind", () => {
  const held = (spec: StandSpec) => standWater(spec);
  expect(held({ ...bank, damMm: 25, fallOneIn: 100, lineLengthM: 4, lines: 8 }).heldL).toBeCloseTo(25, 3);
  expect(held({ ...bank, section: "round", channelWidthM: 0.0692, lineLengthM: 12, lines: 1 }).drainBackL).toBeCloseTo(
    1.046128,
    5,
  );
  expect(
    held({ ...STAND_MODELS["raft-pond"].example, ponds: 2, pondLengthM: 2, pondWidthM: 1, waterDepthM: 0.3 }).heldL,
  ).toBeCloseTo(1200, 9);
  expect(held(STAND_MODELS["flood-bench"].example).drainBackL).toBeCloseTo(92.16, 9);
  expect(held(STAND_MODELS.towers.example).drainBackL).toBeCloseTo(6, 9);
  const media = STAND_MODELS["media-bed"].example;
  const waterL = 3 * 0.9 * 0.22 * 0.4 * 1000;
  expect(held(media).drainBackL).toBeCloseTo(waterL, 9);
  expect(held({ ...media, drains: "stays-full" })).toMatchObject({ heldL: 2 * waterL, drainBackL: 0 });
  expect(held(STAND_MODELS["wicking-bed"].example).heldL).toBeCloseTo(4 * 2.4 * 1.2 * 0.2 * 0.4 * 1000, 9);
});

test("flow per plant and turns of the water per hour", () => {
  const fact = (spec: StandSpec, kind: StandFactKind) =>
    standCounts(spec).facts.find((one) => one.kind === kind)!.value;
  expect(fact(bank, "flow-per-plant")).toBeCloseTo(90 / 24, 9);
  expect(fact(STAND_MODELS["raft-pond"].example, "turnover")).toBeCloseTo(600 / 1440, 9);
});

test("what is doubtful about each kind is found, with its figures", () => {
  const { "raft-pond": pond, "shoots-rack": shoots, "flood-bench": bench, towers } = examplesByKind;
  const found: readonly (readonly [StandSpec, StandFinding])[] = [
    [
      { ...pond, waterDepthM: 0.1 },
      { kind: "shallow-pond", leastM: 0.15 },
    ],
    [
      { ...pond, raftLengthM: 1.7 },
      { kind: "open-water", openShare: expect.closeTo(0.2917, 4) },
    ],
    [
      { ...pond, pitchM: 0.05 },
      { kind: "thin-plastic", part: "raft", plasticLeftMm: 10, leastMm: 25 },
    ],
    [
      { ...towers, tiers: 12 },
      { kind: "high-tier", topM: expect.closeTo(2.28, 9) },
    ],
    [
      { ...bench, fillFlowLph: 100 },
      { kind: "slow-fill", minutes: expect.closeTo(55.296, 6) },
    ],
    [{ ...bench, potMm: 200 }, { kind: "wide-pots" }],
    [{ ...examplesByKind["media-bed"], waterDepthM: 0.29 }, { kind: "wet-top" }],
    [
      { ...examplesByKind["wicking-bed"], mediumDepthM: 0.5 },
      { kind: "dry-top", riseM: 0.3, mediumDepthM: 0.5 },
    ],
    [{ ...examplesByKind["drip-beds"], rows: 8 }, expect.objectContaining({ kind: "near-rows", pitchM: 0.3 })],
    [{ ...examplesByKind["bucket-line"], bucketDiameterM: 0.6 }, { kind: "wide-buckets" }],
    [
      { ...shoots, rinsesPerDay: 0.5 },
      { kind: "rare-rinse", usualPerDay: 2 },
    ],
    [
      { ...bank, outletHeightM: 1.7 },
      { kind: "high-inlet", inletM: expect.closeTo(1.85, 9) },
    ],
    [
      { ...bank, endMarginM: 0.04 },
      { kind: "thin-end", endMm: expect.closeTo(15, 9), leastMm: 25 },
    ],
  ];
  for (const [spec, finding] of found) expect(doubts(spec)).toContainEqual(finding);
});

test("what is round a stand: root crops on film, shade at noon, a tank too small for what comes back", () => {
  const around = { latitudeDeg: 37.2, rootCrops: ["Carrots"] };
  const leaf = { ...bank, lines: 36 };
  expect(standChecks(bank, around).warnings).toEqual([{ kind: "root-crops", crops: ["Carrots"] }]);
  expect(standChecks(STAND_MODELS["drip-beds"].example, around).warnings).toEqual([]);
  const [dark, bright] = standChecks(STAND_MODELS.towers.example, around).facts;
  expect([dark!.kind, bright!.kind]).toEqual(["shade-darkest", "shade-brightest"]);
  // At 29° in December the shadow of a 1.56 m top tier, 0.6 m away, reaches down to 1.23 m: six tiers are under it.
  expect([dark!.value, bright!.value]).toEqual([6, 0]);
  // South of the equator the dark month is June.
  expect(standChecks(STAND_MODELS.towers.example, { ...around, latitudeDeg: -37.2 }).facts[0]!.noon).toMatchObject({
    month: 5,
  });
  expect(
    headspaceWarning({
      loopName: "Leaf",
      ...loopTankRoom({ kind: "recirculating", tankL: 600, normalFillL: 550, pump: null }, [leaf]),
    }),
  ).toEqual([
    {
      kind: "tank-overflows",
      loopName: "Leaf",
      drainBackL: expect.closeTo(86.4, 9),
      headspaceL: expect.closeTo(50, 9),
    },
  ]);
  // Ten metres of pipe of 33.2 mm hold 8.66 L, which come back too unless a valve keeps them.
  const pump = { pipeLengthM: 10, boreMm: 33.2, nonReturnValve: true };
  expect(
    loopTankRoom({ kind: "recirculating", tankL: 640, normalFillL: 550, pump: { ...pump, nonReturnValve: false } }, [
      leaf,
    ]),
  ).toMatchObject({
    pipeL: expect.closeTo(8.657, 3),
    drainBackL: expect.closeTo(95.057, 3),
    overflowL: expect.closeTo(5.057, 3),
  });
  expect(
    headspaceWarning({
      loopName: "Leaf",
      ...loopTankRoom({ kind: "recirculating", tankL: 640, normalFillL: 550, pump }, [leaf]),
    }),
  ).toEqual([]);
  expect(loopTankRoom({ kind: "run-to-waste", tankL: 600, normalFillL: 600, pump }, [leaf])).toMatchObject({
    drainBackL: 0,
    overflowL: 0,
  });
});

test("of racks the top shelf is seen from above, rack by rack", () => {
  const rack: StandSpec = { ...STAND_MODELS["tray-rack"].example, racks: 2, shelvesPerRack: 3 };
  const perShelf = standCounts(rack).facts[0]!.value;
  const seen = standLayout(rack).lines.filter((_, line) => isInSight(rack, line));
  expect(seen).toHaveLength(2 * perShelf);
  expect(new Set(seen.map(({ xM, yM }) => `${xM} ${yM}`)).size).toBe(2 * perShelf);
  expect(standFootprint({ spec: rack, turned: true, xM: 1, yM: 2 })).toMatchObject({ lengthM: 2, widthM: 1.2 });
});
