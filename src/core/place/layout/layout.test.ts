import fc from "fast-check";
import { zonesForRate } from "../gradedLine";
import { clashOf, houseClashes, houseOverlaps, narrowWays } from "../houseChecks";
import { STAND_KINDS, STAND_MODELS, modelOf, type StandSpec } from "../kinds";
import type { RectM } from "../kinds/model";
import { linesIntoHouse } from "../linesIntoHouse";
import { standCounts } from "../standCounts";
import { standFootprint } from "../standLayout";
import { layoutFigures } from "./compare";
import { layoutFaults, type LayoutDocument } from "./document";
import { fillHouse, largestFree, USUAL_RULES } from "./fillHouse";
import { exampleIn, houseOptions } from "./houseOptions";
import { materialList } from "./materials";
import { snapped } from "./snap";
import { standsTable } from "./standsTable";
import { stretched } from "./stretch";
import { layoutSvg, layoutTextInSvg } from "./svg";

const bank = STAND_MODELS["channel-bank"].example;
const example = (kind: (typeof STAND_KINDS)[number]) => STAND_MODELS[kind].example as StandSpec;
const metres = (min: number, max: number) => fc.integer({ min: min * 100, max: max * 100 }).map((cm) => cm / 100);
const room = fc.record({ xM: metres(0, 3), yM: metres(0, 3), lengthM: metres(0.5, 30), widthM: metres(0.5, 15) });

test("a house filled with a kind keeps inside it, nothing over another, whatever the kind and the house (seed 5)", () => {
  fc.assert(
    fc.property(room, fc.constantFrom(...STAND_KINDS), (free, kind) => {
      const { stands, sites } = fillHouse(free, example(kind), USUAL_RULES);
      const placed = stands.map((stand, index) => ({ ...stand, id: index, name: `${index}` }));
      const shifted = placed.map((stand) => ({ ...stand, xM: stand.xM - free.xM, yM: stand.yM - free.yM }));
      expect(houseClashes({ lengthM: free.lengthM + 0.002, widthM: free.widthM + 0.002 }, shifted)).toEqual([]);
      expect(sites).toBe(stands.reduce((sum, { spec }) => sum + standCounts(spec).sites, 0));
    }),
    { seed: 5, numRuns: 150 },
  );
});

test("lines across a filled house are as many as the count of lines into a house says (seed 6)", () => {
  fc.assert(
    fc.property(metres(1, 12), metres(0, 1.2), fc.integer({ min: 1, max: 8 }), (widthM, aisleM, linesPerBlock) => {
      const spec = { ...bank, lineLengthM: 14, aisleM, linesPerBlock };
      // So long that turning the lines does not pay.
      const { stands } = fillHouse({ xM: 0, yM: 0, lengthM: 14, widthM }, spec, USUAL_RULES);
      const across = linesIntoHouse({
        houseWidthM: widthM,
        lineWidthM: 0.1,
        gapM: 0.1,
        aisleM,
        linesPerBlock,
        sideClearanceM: 0,
        aisleInsisted: false,
      });
      const along = stands.filter(({ turned }) => !turned);
      if (along.length > 0) expect(along.map(({ spec: own }) => standCounts(own).lines)).toEqual([across.linesAcross]);
    }),
    { seed: 6, numRuns: 100 },
  );
});

test("the largest free ground touches nothing, and an empty house is free but for its walls (seed 7)", () => {
  expect(largestFree({ lengthM: 12, widthM: 6 }, [], 0.3)).toEqual({
    xM: 0.3,
    yM: 0.3,
    lengthM: expect.closeTo(11.4, 9),
    widthM: expect.closeTo(5.4, 9),
  });
  const rect = fc.record({ xM: metres(0, 10), yM: metres(0, 5), lengthM: metres(0.2, 4), widthM: metres(0.2, 3) });
  const apart = (a: RectM, b: RectM, byM: number) =>
    a.xM + a.lengthM + byM <= b.xM + 1e-9 ||
    b.xM + b.lengthM + byM <= a.xM + 1e-9 ||
    a.yM + a.widthM + byM <= b.yM + 1e-9 ||
    b.yM + b.widthM + byM <= a.yM + 1e-9;
  fc.assert(
    fc.property(fc.array(rect, { maxLength: 6 }), (taken) => {
      const free = largestFree({ lengthM: 12, widthM: 6 }, taken, 0.3);
      if (free) for (const one of taken) expect(apart(free, one, 0.3)).toBe(true);
    }),
    { seed: 7, numRuns: 150 },
  );
});

test("pulled to a size, a stand is never larger than that and as large as its steps allow", () => {
  expect(stretched(bank, { alongM: 7.52 }).lineLengthM).toBe(7.5);
  expect(stretched(bank, { acrossM: 1.1 }).lines).toBe(6);
  expect(stretched(bank, { acrossM: 1.8 }).lines).toBe(7);
  expect(stretched(bank, { alongM: 0, acrossM: 0 })).toMatchObject({ lineLengthM: 0.1, lines: 1 });
  expect(stretched(STAND_MODELS["bucket-line"].example, { alongM: 3.2 }).bucketsPerLine).toBe(6);
  for (const kind of STAND_KINDS) {
    const size = modelOf(example(kind)).layout(example(kind));
    const same = stretched(example(kind), { alongM: size.lengthM, acrossM: size.widthM });
    expect([kind, modelOf(same).layout(same)]).toEqual([kind, size]);
  }
});

test("an edge let go near something comes to rest on it, else on the step of a tape", () => {
  const house = { lengthM: 12, widthM: 6 };
  const neighbour = { xM: 2, yM: 1, lengthM: 3, widthM: 1 };
  const at = (xM: number, yM: number) => snapped({ xM, yM, lengthM: 2, widthM: 1 }, house, [neighbour], 0.12);
  expect(at(0.06, 4.93)).toMatchObject({
    xM: 0,
    yM: 5,
    guides: [
      { axis: "x", kind: "wall" },
      { axis: "y", atM: 6 },
    ],
  });
  expect(at(5.55, 1.07)).toMatchObject({ xM: 5.6, yM: 1 });
  expect(at(8.237, 3.61)).toMatchObject({ xM: 8.25, yM: 3.6, guides: [] });
  expect(at(5.88, 3.6).guides[0]).toMatchObject({ kind: "aisle", aisleM: 0.9 });
});

test("the kinds compared for an empty house, the most plants first, racks last; an example is made to fit", () => {
  const free = { xM: 0, yM: 0, lengthM: 12, widthM: 6 };
  const options = houseOptions(free, 72, USUAL_RULES);
  expect(
    options
      .map(({ kind }) => kind)
      .slice(-2)
      .sort(),
  ).toEqual(["shoots-rack", "tray-rack"]);
  const plants = options.slice(0, -2).map(({ filling }) => filling.sites);
  expect(plants).toEqual([...plants].sort((a, b) => b - a));
  expect(options.find(({ kind }) => kind === "raft-pond")!.heldL).toBeGreaterThan(1000);
  expect(houseOptions({ ...free, lengthM: 0.2, widthM: 0.2 }, 0.04, USUAL_RULES).map(({ kind }) => kind)).not.toContain(
    "raft-pond",
  );
  expect(exampleIn(free, "channel-bank")).toMatchObject({ spec: bank });
  expect(exampleIn({ ...free, lengthM: 3 }, "channel-bank")!.spec).toMatchObject({ lineLengthM: 3 });
  expect(exampleIn({ ...free, widthM: 0.05 }, "drip-beds")).toBeNull();
});

const layout: LayoutDocument = {
  format: "seed-round-layout",
  version: 2,
  name: "A & <b>",
  houses: [{ name: "House", lengthM: 12, widthM: 6, heightM: 2.5, cover: "net", shadeShare: 0.3, xM: 0, yM: 0 }],
  growingAreas: [{ name: "Leaf", cleaningDays: 1 }],
  stands: [{ name: "Bank", house: "House", growingArea: "Leaf", loop: null, xM: 1, yM: 1, turned: false, spec: bank }],
};

test("a drawing carries its layout, whatever the names hold", () => {
  const svg = layoutSvg({ ...layout, stands: [{ ...layout.stands[0]!, name: `"Bank" </metadata> & co` }] });
  expect(JSON.parse(layoutTextInSvg(svg)!).stands[0].name).toBe(`"Bank" </metadata> & co`);
  expect(svg.match(/<circle/gu)).toHaveLength(288);
  expect(layoutTextInSvg("<svg></svg>")).toBeNull();
});

test("faults of a layout are found with their place", () => {
  expect(layoutFaults(layout, [])).toEqual([]);
  const stand = layout.stands[0]!;
  const paths = (change: Partial<LayoutDocument>) =>
    layoutFaults({ ...layout, ...change }, ["Leaf"]).map(({ path }) => path);
  expect(paths({ houses: [] })).toEqual(["stands[0].house"]);
  expect(paths({ growingAreas: [], houses: [...layout.houses, ...layout.houses] })).toEqual([
    "houses[1].name",
    "stands[0].growingArea",
  ]);
  expect(paths({ stands: [{ ...stand, xM: 7 }] })).toEqual(["stands[0]"]);
  expect(paths({ stands: [{ ...stand, spec: { ...bank, endMarginM: 4 } }] })).toEqual(["stands[0].spec"]);
  expect(
    paths({
      stands: [
        { ...stand, loop: "Drip" },
        { ...stand, name: "Two" },
      ],
    }),
  ).toEqual(["stands[0].loop", "stands[1]"]);
});

test("houses over one another are told", () => {
  const [house] = layout.houses;
  const shed = { ...house!, name: "Shed" };
  expect(houseOverlaps([house!, { ...shed, xM: house!.xM + house!.lengthM }])).toEqual([]);
  expect(houseOverlaps([house!, shed])).toEqual([[house!.name, "Shed"]]);
});

test("the table of stands gives a row each, a turned one by the ground that it takes", () => {
  const [row] = standsTable({
    ...layout,
    houses: [{ ...layout.houses[0]!, lengthM: 10, widthM: 8 }],
    stands: [{ ...layout.stands[0]!, turned: true }],
  });
  expect(row).toMatchObject({
    kind: "Channel bank",
    loop: "",
    turned: "yes",
    length_m: 2.8,
    width_m: 6,
    lines: 12,
    sites: 288,
    per_m2_of_line: 40,
    per_m2_of_stand: 17.14,
    per_m2_of_house: 3.6,
    held_l: 0,
    drain_back_l: 28.8,
  });
});

test("zones hold what comes a week times the weeks that it stays", () => {
  expect(zonesForRate(10, [2, 3])).toEqual([20, 30]);
  expect(zonesForRate(7, [1.5])).toEqual([11]);
  expect(() => zonesForRate(7, [60])).toThrow("weeks is 60");
});

test("a layout in figures, and its materials with a spare less what is on hand", () => {
  const shelf = [{ id: "net-cup:50", onHand: 100, priceEach: 0.2 }];
  const figures = layoutFigures(layout, shelf);
  expect(figures).toMatchObject({ lines: 12, sites: 288, pieces: 12 * 2 + 12 + 12 + 2 + 2 * 288 + 12 * 6, heldL: 0 });
  expect(figures.densities.perM2OfLine).toBeCloseTo(288 / 7.2, 9);
  expect(figures.cost).toBeCloseTo(288 * 0.2, 9);
  const strips = layoutFigures({ ...layout, stands: [{ ...layout.stands[0]!, spec: { ...bank, accessM: 0.6 } }] }, []);
  // 6 m by 2.8 m, and a strip of 0.6 m on both sides.
  expect(figures.densities.perM2OfStand).toBeCloseTo(288 / (6 * 2.8), 9);
  expect(strips.densities.perM2OfStand).toBeCloseTo(288 / (6 * 4), 9);
  const lines = materialList([bank, bank], 0.05, shelf);
  const line = (id: string) => lines.find((one) => one.id === id)!;
  expect(line("net-cup:50")).toMatchObject({ quantity: 576, withSpare: 605, onHand: 100, toBuy: 505, cost: 101 });
  expect(line("channel:100x50")).toMatchObject({ quantity: 144, withSpare: 151.2, unit: "m" });
  expect(() => materialList([], 2, [])).toThrow("spareShare is 2");
});

test("medium comes in litres by the parts of its mix", () => {
  const buckets = { ...STAND_MODELS["bucket-line"].example, lines: 2, bucketsPerLine: 16 };
  const lines = materialList([buckets], 0, []);
  expect(lines.find(({ id }) => id === "coir")).toMatchObject({ quantity: 336, unit: "L" });
  expect(lines.find(({ id }) => id === "perlite")).toMatchObject({ quantity: 144, unit: "L" });
});

test("a stand is checked where it would stand, and ways too narrow to walk are told", () => {
  const house = { lengthM: 12, widthM: 6 };
  const at = (id: number, xM: number, yM: number) => ({
    id,
    name: `S${id}`,
    xM,
    yM,
    turned: false,
    spec: { ...bank, lines: 6, lineLengthM: 3 },
  });
  const { lengthM, widthM } = standFootprint(at(1, 0, 0));
  expect([lengthM, Number(widthM.toFixed(6))]).toEqual([3, 1.1]);
  expect(clashOf(house, at(1, 0, 0), [at(1, 0, 0), at(2, 3, 0)])).toBeNull();
  expect(clashOf(house, at(1, 2, 0), [at(2, 3, 0)])).toMatchObject({ kind: "overlap", stands: [1, 2] });
  expect(clashOf(house, at(1, 10, 0), [])).toMatchObject({ kind: "outside" });
  const narrow = narrowWays([at(1, 0, 0), at(2, 0, 1.4), at(3, 0, 3.1), at(4, 3.02, 0)]);
  expect(narrow).toEqual([{ names: ["S1", "S2"], wayM: expect.closeTo(0.3, 9), leastM: 0.6 }]);
});
