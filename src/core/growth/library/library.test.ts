import { dayFromIso } from "../../units/day";
import { CROP_LIBRARY } from "./crops";
import { daysByMonthAt, daysToReady } from "./crop";
import { librarySowing } from "./sowing";

test("the library holds 30 crops, each once", () => {
  expect(new Set(CROP_LIBRARY.map(({ name }) => name)).size).toBe(30);
});

test.each(CROP_LIBRARY.map((crop) => [crop.name, crop] as const))(
  "%s has every field, and they go together",
  (_, crop) => {
    for (const [name, value] of Object.entries(crop))
      expect([name, value]).not.toEqual([name, name === "tray" ? undefined : null]);
    expect(crop.tray !== null).toBe(["shoots", "fodder"].includes(crop.kind));
    expect(crop.suits.length).toBeGreaterThan(0);
    expect(crop.suits.filter((kind) => crop.suitsNot.includes(kind))).toEqual([]);
    expect(crop.thinTo).toBeLessThanOrEqual(crop.seedsPerCell);
    for (const [from, to] of [crop.comesUp, crop.ecMsPerCm, crop.ph, crop.solutionC, daysToReady(crop)])
      expect(from).toBeLessThan(to);
    // What is sold of a tray is what its seed makes.
    if (crop.tray && crop.pattern.kind === "once")
      expect(crop.pattern.unitsPerPlant / ((crop.tray.seedGPerTray * crop.tray.yieldRatio) / 1000)).toBeCloseTo(1, 1);
  },
);

test("days are least at midsummer; south of the equator the year turns; at the equator it is the same all year", () => {
  const north = daysByMonthAt([22, 44], 45);
  expect([north[0], north[6]]).toEqual([44, 22]);
  expect(daysByMonthAt([22, 44], -45)).toEqual([...north.slice(6), ...north.slice(0, 6)]);
  expect(new Set(daysByMonthAt([22, 44], 0))).toEqual(new Set([33]));
  expect(() => daysByMonthAt([22, 44], 100)).toThrow("latitudeDeg is 100; it must be from -90 to 90");
});

test("when to sow, and how many cells, for a day and a number of plants", () => {
  const wanted = dayFromIso("2027-01-21");
  const found = librarySowing(CROP_LIBRARY[0]!, wanted, 20, 40);
  expect(found.boundaries).toHaveLength(4);
  expect(found.readyDay).toBeLessThanOrEqual(wanted);
  expect(found.readyDay + found.daysEarly).toBe(wanted);
  expect(found.sowing.cells).toBeGreaterThan(found.sowing.expectedCells);
  // The other half of the world has its summer then.
  expect(librarySowing(CROP_LIBRARY[0]!, wanted, 20, -40).sowDay).toBeGreaterThan(found.sowDay + 20);
});
