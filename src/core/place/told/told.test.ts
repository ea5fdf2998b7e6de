import fc from "fast-check";
import { requireSpec } from "../kinds/requireSpec";
import { freePlace } from "../layout/freePlace";
import { standCounts } from "../standCounts";
import { TOLD_KIND_NAMES, toldKind, toldSpec } from "./kinds";

test.each(TOLD_KIND_NAMES)(
  "%s told in a few figures make a stand that holds plants, in both systems of units",
  (name) => {
    for (const told of Object.values(toldKind(name).first)) {
      const spec = toldSpec(name, told);
      requireSpec("told", spec);
      const counts = standCounts(spec);
      expect(counts.sites).toBeGreaterThan(0);
      expect(counts.warnings.map(({ kind }) => kind)).toEqual(
        expect.not.arrayContaining(["thin-plastic", "thin-end", "no-site", "wide-hole"]),
      );
    }
  },
);

test.each([
  ["channels", { lines: 12, lengthM: 6, spacingM: 0.2, endM: 0.1, pathEvery: 6 }, 12, 360],
  ["channels", { lines: 14, lengthM: 4, spacingM: 0.22 }, 14, 252],
  ["channels", { lines: 6, lengthM: 2, spacingM: 0.1 }, 6, 120],
  ["pipes", { lines: 2, lengthM: 3, pipeM: 0.1, spacingM: 0.25 }, 2, 24],
  ["buckets", { lines: 9, volumeL: 15, plants: 1, emitters: 2, emitterLph: 2 }, 1, 9],
  ["beds", { lines: 3, lengthM: 3.2, widthM: 1.1, spacingM: 0.3 }, 3, 90],
  ["towers", { lines: 1, tiers: 5, plants: 3 }, 1, 15],
  ["seedTrays", { lines: 4, trays: 6, cells: 84 }, 24, 2016],
  ["shootTrays", { lines: 4, trays: 3 }, 12, 12],
] as const)("%s %j: %d lines, %d plants", (name, told, lines, sites) => {
  expect(standCounts(toldSpec(name, told))).toMatchObject({ lines, sites });
});

test("a figure that is missing or out of its range is named", () => {
  expect(() => toldSpec("channels", { lines: 12, lengthM: 6 })).toThrow("toldSpec: spacingM is NaN; it must be from");
  expect(() => toldSpec("towers", { lines: 1.5, tiers: 5, plants: 3 })).toThrow(
    "lines is 1.5; it must be a whole number",
  );
});

test("a free place lies inside, touches nothing, and is missed only by what is said", () => {
  const side = fc.double({ min: 0.2, max: 8, noNaN: true });
  fc.assert(
    fc.property(
      fc.record({ lengthM: side, widthM: side }),
      fc.array(fc.tuple(side, side), { maxLength: 5 }),
      (house, sizes) => {
        const taken: { xM: number; yM: number; lengthM: number; widthM: number }[] = [];
        for (const [lengthM, widthM] of sizes) {
          const found = freePlace(house, taken, { lengthM, widthM });
          if (found.kind === "place") {
            const [alongX, alongY] = found.turned ? [widthM, lengthM] : [lengthM, widthM];
            const rect = { xM: found.xM, yM: found.yM, lengthM: alongX, widthM: alongY };
            expect(rect.xM + rect.lengthM).toBeLessThanOrEqual(house.lengthM + 0.003);
            expect(rect.yM + rect.widthM).toBeLessThanOrEqual(house.widthM + 0.003);
            for (const other of taken)
              expect(
                rect.xM + rect.lengthM <= other.xM + 0.003 ||
                  other.xM + other.lengthM <= rect.xM + 0.003 ||
                  rect.yM + rect.widthM <= other.yM + 0.003 ||
                  other.yM + other.widthM <= rect.yM + 0.003,
              ).toBe(true);
            taken.push(rect);
          } else if (found.missingLengthM !== null) {
            const longer = { ...house, lengthM: house.lengthM + found.missingLengthM };
            expect(freePlace(longer, taken, { lengthM, widthM }).kind).toBe("place");
          }
        }
      },
    ),
  );
});
