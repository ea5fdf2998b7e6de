import { STAND_MODELS } from "../place/kinds";
import { dayOfYear } from "../units/day";
import { et0ByHouse } from "./climate";
import type { Garden } from "./garden";
import { openWaterByLoop } from "./openWater";

test("the air takes its share from what rafts leave open, on recirculating loops, where the climate is told", () => {
  const pond = { ...STAND_MODELS["raft-pond"].example, ponds: 2, pondLengthM: 4, pondWidthM: 1.5 };
  const rafts = { ...pond, raftLengthM: 1, raftWidthM: 1 };
  const house = { id: 1, cover: "net", lightThrough: null, shadeShare: 0.3, warmerByDayC: 0, warmerByNightC: 0 };
  const garden = {
    latitudeDeg: 37.2,
    climate: {
      ...{ elevationM: 18, nearSea: true, humidityByMonth: null, windMPerSByMonth: null },
      highestCByMonth: [16, 17, 19, 20, 23, 27, 30, 30, 27, 23, 19, 17],
      lowestCByMonth: [7, 8, 9, 11, 13, 16, 18, 18, 17, 14, 11, 8],
    },
    houses: [{ ...house, heatedToC: null, ventedAtC: null }],
    loops: [
      { id: 4, kind: "recirculating" },
      { id: 5, kind: "run-to-waste" },
    ],
    stands: [4, 5, null].map((loopId, id) => ({ id, houseId: 1, loopId, spec: rafts })),
  } as unknown as Garden;
  const from = 21_000;
  const found = openWaterByLoop(garden, from, from + 400);
  expect(Object.keys(found)).toEqual(["4"]);
  // Four rafts of 1 m² lie on 6 m² of water; two ponds.
  const at = (day: number) => 2 * 2 * 1.05 * et0ByHouse(garden).get(1)![dayOfYear(from + day) - 1]!;
  for (const day of [0, 200, 399]) expect(found[4]![day]).toBeCloseTo(at(day), 9);
  expect(Math.max(...found[4]!)).toBeGreaterThan(10);
  expect(openWaterByLoop({ ...garden, climate: null } as Garden, from, from + 400)).toEqual({});
});
