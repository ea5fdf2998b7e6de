import { METRIC } from "@/core/units/dimensions";
import { clashWords, guideWords, narrowWayWords, placeRefusalWords, standFactWords, standFindingWords } from "./words";

const US = { ...METRIC, system: "us" as const };

test("findings about a stand are said in the garden's units", () => {
  const thin = { kind: "thin-plastic", part: "raft", plasticLeftMm: 10, leastMm: 25 } as const;
  expect(standFindingWords(thin, METRIC)).toBe(
    "Only 10 mm of raft is left between holes; 25 mm keeps it from tearing.",
  );
  expect(standFindingWords(thin, US)).toMatch(/^Only 0.394 in of raft/u);
  expect(standFindingWords({ kind: "open-water", openShare: 0.4 }, METRIC)).toMatch(/^40 % of the water/u);
  expect(
    standFindingWords({ kind: "tank-overflows", loopName: "Leaf", drainBackL: 198, headspaceL: 150 }, METRIC),
  ).toContain("198 L drain back and the tank of the leaf loop has 150 L of room: it overflows");
  expect(
    standFactWords({
      kind: "shade-darkest",
      value: 6,
      dimension: "count",
      noon: { month: 5, elevationDeg: 29.4 },
    }),
  ).toMatchObject({
    label: "Tiers shaded at noon, darkest month",
    how: expect.stringMatching(/^Sun 29° high in June/u),
  });
});

test("what is wrong where stands stand, and why a change is refused", () => {
  const outside = {
    kind: "outside",
    stands: [1],
    name: "Long bank",
    rect: { xM: 1, yM: 0, lengthM: 6, widthM: 2 },
    house: { lengthM: 6, widthM: 4 },
  } as const;
  expect(clashWords(outside, METRIC)).toBe(
    "Long bank reaches outside the house: it needs 1 m to 7 m along and 0 m to 2 m across, the house is 6 m by 4 m.",
  );
  expect(narrowWayWords({ names: ["A", "B"], wayM: 0.3, leastM: 0.6 }, METRIC)).toBe(
    "Between A and B 0.3 m is left: too narrow to walk, 0.6 m is the least.",
  );
  expect(guideWords({ kind: "aisle", aisleM: 0.9 }, METRIC)).toBe("aisle of 0.9 m");
  expect(
    placeRefusalWords({ room: "place", kind: "piece-too-long", lengthMm: 5000, longestMm: 4500, shelf: true }, US),
  ).toBe("A piece of 197 in is longer than any bar on sale or on the shelf gives (177 in).");
  const faults = [{ path: "stands[0]", finding: { ...outside, kind: "outside" as const } }];
  expect(placeRefusalWords({ room: "place", kind: "layout-faults", faults }, METRIC)).toMatch(
    /^stands\[0\]: Long bank/u,
  );
});
