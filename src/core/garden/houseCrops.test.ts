import type { ClimateNormals } from "../place/climate/normals";
import { normalDay } from "../place/climate/normals";
import type { Garden, House, Variety } from "./garden";
import { houseHeat } from "./houseHeat";
import { cropBands, weatherAlerts, weekAhead } from "./houseCrops";
import type { Worked } from "./worked";

const normals: ClimateNormals = {
  ...{ latitudeDeg: 50, elevationM: 100, nearSea: false, humidityByMonth: null, windMPerSByMonth: null },
  highestCByMonth: [3, 5, 10, 15, 20, 23, 26, 25, 20, 14, 8, 4],
  lowestCByMonth: [-3, -2, 1, 4, 9, 12, 14, 13, 10, 6, 2, -1],
};
const outside = Array.from({ length: 366 }, (_, at) => normalDay(normals, at + 1));
const house = (more: Partial<House> = {}) =>
  ({
    ...{ id: 1, name: "Tunnel", cover: "film", lightThrough: null, shadeShare: 0, warmerByDayC: 5, warmerByNightC: 1 },
    ...{ heatedToC: null, ventedAtC: 30, lampsFromMin: null, lampsToMin: null, lampsUmolPerM2S: null },
    ...{ lengthM: 14, widthM: 6, heightM: 2, roof: "flat", ridgeM: null, uWPerM2K: null, airChangesPerHour: 1 },
    ...{ heaterKw: null, roofVentsM2: null, sideVentsM2: null, pricePerKwh: null },
    ...more,
  }) as House;
const variety = (id: number, name: string, more: Partial<Variety> = {}) =>
  ({
    ...{ id, name, airBaseC: 10, airOptimumC: 25, airCeilingC: 35, lightMolPerM2Day: 20, notModelled: [] },
    stages: [{ growingAreaId: 5 }],
    ...more,
  }) as unknown as Variety;

test("a house loses by its cover and its air; a set point asks for a heater and energy, most in January; net is not heated", () => {
  const bare = houseHeat(house(), outside, -10)!;
  // 80 m² of walls and 84 m² of roof at 6.5, and 168 m³ of air.
  expect(bare.lossWPerK).toBeCloseTo(164 * 6.5 + 0.33 * 168, 9);
  expect([bare.heaterW, bare.kwhByMonth, bare.vents]).toEqual([null, null, null]);
  const heated = houseHeat(house({ heatedToC: 8, heaterKw: 10, roofVentsM2: 10, sideVentsM2: 6.8 }), outside, -10)!;
  expect(heated.heaterW).toBeCloseTo(heated.lossWPerK * 18, 6);
  expect(heated.heldC).toBeCloseTo(-10 + 10_000 / heated.lossWPerK, 9);
  expect(heated.kwhByMonth![0]).toBe(Math.max(...heated.kwhByMonth!));
  expect(heated.kwhByMonth![6]).toBe(0);
  expect(heated.vents).toMatchObject({ isEnough: true });
  expect(houseHeat(house({ cover: "net" }), outside, -10)).toBeNull();
  expect(houseHeat(house({ uWPerM2K: 4 }), outside, 0)!.lossWPerK).toBeLessThan(bare.lossWPerK);
});

test("a crop is inside its bands in the weeks that are warm and bright enough, and not too hot", () => {
  const garden = {
    stands: [{ houseId: 1, growingAreaId: 5 }],
    varieties: [variety(1, "Basil"), variety(2, "Elsewhere", { stages: [{ growingAreaId: 9 }] as never })],
  } as unknown as Garden;
  const [basil, ...others] = cropBands(garden, house(), outside);
  expect(others).toEqual([]);
  expect([basil!.weeks[1], basil!.weeks[25]]).toEqual(["cold", "good"]);
  expect(cropBands(garden, house({ heatedToC: 18 }), outside)[0]!.weeks[1]).toBe("dark");
  expect(cropBands(garden, house({ warmerByDayC: 20, ventedAtC: null }), outside)[0]!.weeks[28]).toBe("hot");
});

test("the coming week follows the months, moved by what was measured lately; frost, chill and heat are told for what stands there", () => {
  const today = 20_850; // a day at the end of January
  const stay = { batchId: 7, from: today - 5, to: today + 60 };
  const worked = {
    garden: {
      stands: [{ houseId: 1, growingAreaId: 5 }],
      varieties: [variety(1, "Basil", { notModelled: ["chilling"] }), variety(2, "Lettuce", { airCeilingC: 9 })],
    },
    placed: new Map([[5, [{ stay }, { stay: { ...stay, batchId: 8 } }]]]),
    plan: { batches: [7, 8].map((id) => ({ batch: { id }, variety: { id: id - 6 } })) },
  } as unknown as Worked;
  const plain = weekAhead(worked, normals, house(), [], today);
  expect(plain.warmerByC).toBeNull();
  expect(plain.days).toHaveLength(7);
  expect(plain.days[0]).toMatchObject({ isFrost: true, chills: ["Basil"] });
  const measured = [1, 2, 3].map((ago) => ({ day: today - ago, lowestC: 6, highestC: 12 }));
  const mild = weekAhead(
    worked,
    normals,
    house(),
    [...measured, { day: today - 40, lowestC: -20, highestC: -10 }],
    today,
  );
  expect(mild.warmerByC).toMatchObject({ days: 3 });
  expect(mild.days[0]).toMatchObject({ isFrost: false, tooHot: ["Lettuce"] });
  const plan = { ...worked, garden: { ...worked.garden, houses: [house()] } } as unknown as Worked;
  const alerts = (days: typeof measured) =>
    weatherAlerts(plan, normals, days, today).map(({ kind, crops }) => [kind, ...crops]);
  expect(alerts([])).toEqual([["frost"]]);
  const shed = { ...plan, garden: { ...plan.garden, houses: [house({ cover: "solid", warmerByNightC: 0 })] } };
  expect(weatherAlerts(shed as Worked, normals, [], today)).toEqual([]);
  expect(alerts(measured)).toEqual([
    ["chill", "Basil"],
    ["heat", "Lettuce"],
  ]);
  expect(weekAhead({ ...worked, placed: new Map() }, normals, house(), [], today).days[0]!.isFrost).toBe(false);
});
