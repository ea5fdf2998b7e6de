import { STAND_MODELS } from "../place/kinds";
import { stageBoundaries, stallOf } from "../growth/stageDays";
import { dayFromIso } from "../units/day";
import { et0ByHouse } from "./climate";
import { clockedVarieties, clockFault, inEachHouse } from "./clocks";
import { cropProfile } from "./cropProfile";
import type { Garden, House, Stand, Variety } from "./garden";

const house = (id: number, more: Partial<House> = {}) =>
  ({
    ...{
      id,
      name: `House ${id}`,
      cover: "film",
      lightThrough: null,
      shadeShare: 0,
      warmerByDayC: 4,
      warmerByNightC: 1,
    },
    ...{ heatedToC: null, ventedAtC: 28, lampsFromMin: null, lampsToMin: null, lampsUmolPerM2S: null },
    ...more,
  }) as House;
const stand = (id: number, houseId: number, growingAreaId: number, more: Partial<Stand> = {}) =>
  ({
    ...{ id, houseId, growingAreaId, spec: STAND_MODELS["tray-rack"].example },
    ...{ matC: null, lampsUmolPerM2S: null, lampHours: null },
    ...more,
  }) as Stand;
const stage = (growingAreaId: number, referenceDays: number, usesLight: boolean) => ({
  ...{ growingAreaId, referenceDays, usesLight, name: "grow" },
  daysByMonth: new Array<number>(12).fill(40),
});
const lettuce = {
  ...{ id: 1, name: "Lettuce", clock: "warmth", airBaseC: 4, airOptimumC: 20, airCeilingC: 30, halfLightMol: 8 },
  ...{ lots: [], learns: true, lightMolPerM2Day: 14, ecLow: 1, ecHigh: 1.6 },
  stages: [stage(1, 4, false), stage(2, 24, true)],
} as unknown as Variety;
const garden = (more: Partial<Garden> = {}): Garden =>
  ({
    latitudeDeg: 45,
    climate: {
      ...{ id: 1, elevationM: 100, nearSea: false, humidityByMonth: null, windMPerSByMonth: null },
      highestCByMonth: [4, 6, 11, 16, 21, 25, 28, 27, 22, 16, 9, 5],
      lowestCByMonth: [-3, -2, 2, 5, 10, 13, 16, 15, 11, 7, 2, -1],
    },
    houses: [house(1), house(2, { heatedToC: 8 })],
    stands: [stand(1, 1, 1, { matC: 22 }), stand(2, 1, 2)],
    varieties: [lettuce],
    batches: [],
    ...more,
  }) as Garden;
const readyAfter = (varieties: readonly Variety[], iso: string) => {
  const days = stageBoundaries(dayFromIso(iso), varieties[0]!.stages);
  return days.at(-1)! - days[0]!;
};

test("days follow the air and light of the house: shade and cold make them more, heat and lamps fewer, seasons turn in the south", () => {
  const plain = clockedVarieties(garden());
  const [winter, summer] = [readyAfter(plain, "2027-11-01"), readyAfter(plain, "2027-05-01")];
  expect(winter).toBeGreaterThan(2 * summer);
  const shaded = clockedVarieties(garden({ houses: [house(1, { shadeShare: 0.6 }), house(2)] }));
  expect(readyAfter(shaded, "2027-11-01")).toBeGreaterThan(winter);
  const heated = clockedVarieties(garden({ houses: [house(1, { heatedToC: 12 }), house(2)] }));
  expect(readyAfter(heated, "2027-11-01")).toBeLessThan(winter);
  const lamps = clockedVarieties(
    garden({ stands: [stand(1, 1, 1, { matC: 22 }), stand(2, 1, 2, { lampsUmolPerM2S: 150, lampHours: 14 })] }),
  );
  expect(readyAfter(lamps, "2027-11-01")).toBeLessThan(winter);
  const south = clockedVarieties(garden({ latitudeDeg: -45 }));
  expect(readyAfter(south, "2027-11-01")).not.toBe(winter);
  // The mat keeps the seed at its best: germination takes its reference days and little more.
  const boundaries = stageBoundaries(dayFromIso("2027-01-10"), plain[0]!.stages);
  expect(boundaries[1]! - boundaries[0]!).toBeLessThanOrEqual(6);
});

test("where something for it is not told, the table stands and the fault says what is missing", () => {
  const bare = garden({ climate: null });
  expect(clockFault(bare, lettuce)).toEqual({ kind: "no-climate" });
  expect(clockedVarieties(bare)[0]).toBe(lettuce);
  expect(clockFault(garden(), { ...lettuce, airBaseC: null })).toEqual({ kind: "no-temperatures" });
  expect(clockFault(garden({ stands: [] }), lettuce)).toEqual({ kind: "no-stand", growingAreaId: 1 });
  const dark = garden({ houses: [house(1, { lampsFromMin: 300, lampsToMin: 1200 })] });
  expect(clockFault(dark, lettuce)).toEqual({ kind: "no-lamp-strength", houseName: "House 1" });
  expect(clockFault(garden(), lettuce)).toBeNull();
  expect(clockedVarieties(garden({ varieties: [{ ...lettuce, clock: "calendar" }] }))[0]!.stages[0]).toBe(
    lettuce.stages[0],
  );
});

test("a crop that is never ready says where, in which month and why; another house shows what it would do", () => {
  const solid = garden({ houses: [house(1, { cover: "solid" }), house(2, { heatedToC: 8 })] });
  const profile = cropProfile(solid, 1, dayFromIso("2027-06-01"))!;
  expect(profile.stall).toMatchObject({ stage: 1, month: 6, cause: "dark" });
  const [elsewhere] = inEachHouse(solid, profile.variety);
  expect(elsewhere!.name).toBe("House 2");
  expect(stallOf(stageBoundaries(dayFromIso("2027-06-01"), elsewhere!.stages), elsewhere!.stages)).toBeNull();
});

test("crops whose bands do not meet are named as bad neighbours of one tank", () => {
  const melon = { ...lettuce, id: 2, name: "Melon", ecLow: 2, ecHigh: 3 } as Variety;
  const untold = { ...lettuce, id: 3, name: "Untold", ecLow: null, ecHigh: null } as Variety;
  const found = cropProfile(garden({ varieties: [lettuce, melon, untold] }), 1, 20_000)!;
  expect(found.badNeighbours).toEqual([{ name: "Melon", why: "ec" }]);
});

test("whatever a form takes for a crop, a house and a stand gives days, and no garden that cannot be worked out", () => {
  const outside = { highestCByMonth: new Array<number>(12).fill(60), lowestCByMonth: new Array<number>(12).fill(-70) };
  const crops = [
    { airBaseC: 30, airOptimumC: 30, airCeilingC: 30, lightMolPerM2Day: 0.01, halfLightMol: null },
    { airBaseC: -10, airOptimumC: -10, airCeilingC: -10, lightMolPerM2Day: 100, halfLightMol: 100 },
    { airBaseC: 10, airOptimumC: 45, airCeilingC: 60, lightMolPerM2Day: 0.05, halfLightMol: 100 },
  ];
  const houses = [
    house(1, {
      warmerByDayC: 40,
      warmerByNightC: 40,
      ventedAtC: null,
      lampsFromMin: 0,
      lampsToMin: 1440,
      lampsUmolPerM2S: 3000,
    }),
    house(1, { warmerByDayC: -20, warmerByNightC: -20, ventedAtC: 0, heatedToC: -10, shadeShare: 1 }),
  ];
  for (const crop of crops)
    for (const one of houses) {
      const stage0 = { ...stage(2, 0.5, true), daysByMonth: new Array<number>(12).fill(0.5) };
      const stages = [stage0, { ...stage0, referenceDays: null }] as unknown as Variety["stages"];
      const variety = { ...lettuce, ...crop, stages };
      const all = garden({
        climate: { ...garden().climate!, ...outside },
        houses: [one],
        stands: [stand(1, 1, 2, { matC: 45, lampsUmolPerM2S: 3000, lampHours: 24 })],
        varieties: [variety],
      });
      const [clocked] = clockedVarieties(all);
      expect(et0ByHouse(all).get(1)!.every(Number.isFinite)).toBe(true);
      expect(clockFault(all, variety)).toBeNull();
      const days = stageBoundaries(dayFromIso("2027-06-01"), clocked!.stages);
      expect(days.every(Number.isInteger)).toBe(true);
      expect(days).toEqual([...days].sort((a, b) => a - b));
    }
});
