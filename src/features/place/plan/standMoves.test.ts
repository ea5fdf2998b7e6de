import { newRow } from "@/core/garden/edit";
import { HOUSE } from "@/core/garden/entities/place";
import { clashOf } from "@/core/place/houseChecks";
import { STAND_KINDS, STAND_MODELS, type StandSpec } from "@/core/place/kinds";
import { standFootprint } from "@/core/place/standLayout";
import type { House } from "@/core/garden/garden";
import type { Stand } from "@/core/garden/garden";
import { freeSpot, nextName, nudgedSize, sameSpot } from "./standMoves";

const house = newRow({}, HOUSE, 1, {
  name: "House",
  lengthM: 20,
  widthM: 10,
  heightM: 3,
  cover: "net",
}) as unknown as House;
const stand = (change: Partial<Stand> = {}): Stand => ({
  id: 1,
  groundM: 0,
  ...{ matC: null, lampsUmolPerM2S: null, lampHours: null, domed: false },
  position: 1,
  name: "Bank",
  houseId: 1,
  growingAreaId: 1,
  loopId: null,
  xM: 1,
  yM: 1,
  turned: false,
  spec: STAND_MODELS["channel-bank"].example,
  ...change,
});

test("a copy comes to stand an aisle below, beside when there is no room, else in the first free corner", () => {
  const { widthM, lengthM } = standFootprint(stand());
  expect(freeSpot(stand(), house, [stand()])).toEqual({ xM: 1, yM: Number((1 + widthM + 0.6).toFixed(3)) });
  const low = stand({ yM: 6 });
  expect(freeSpot(low, house, [low])).toEqual({ xM: 1 + lengthM + 0.6, yM: 6 });
  const corner = stand({ xM: 13.5, yM: 7 });
  const spot = freeSpot(corner, house, [corner]);
  expect(spot).toEqual({ xM: 0, yM: 0 });
  expect(clashOf(house, { ...corner, id: 2, ...spot }, [corner])).toBeNull();
});

test("with no room at all a copy is where the first is, and the server says why not", () => {
  const full = stand({ spec: { ...STAND_MODELS["drip-beds"].example, lines: 6, lineLengthM: 18 } });
  expect(freeSpot(full, house, [full])).toEqual({ xM: 1, yM: 1 });
});

test("a copy gets the next free number", () => {
  expect(nextName("Bank", [{ name: "Bank" }])).toBe("Bank 2");
  expect(nextName("Bank 2", [{ name: "Bank" }, { name: "Bank 2" }, { name: "Bank 3" }])).toBe("Bank 4");
});

test.each(STAND_KINDS)("an arrow key with Shift makes a %s one step larger and one smaller again", (kind) => {
  const spec = STAND_MODELS[kind].example as StandSpec;
  const one = stand({ spec });
  const size = standFootprint(one);
  const longer = standFootprint(stand({ spec: nudgedSize(one, 1, 0) }));
  const wider = standFootprint(stand({ spec: nudgedSize(one, 0, 1) }));
  expect(longer.lengthM).toBeGreaterThan(size.lengthM);
  expect(longer.widthM).toBeCloseTo(size.widthM, 9);
  expect(wider.widthM).toBeGreaterThan(size.widthM);
  expect(standFootprint(stand({ spec: nudgedSize({ ...one, spec: nudgedSize(one, 1, 0) }, -1, 0) }))).toEqual(size);
  expect(nudgedSize(one, 0, 0)).toBe(spec);
});

test("a stand put down where it was is not saved again", () => {
  expect(sameSpot(stand(), stand({ position: 9 }))).toBe(true);
  expect(sameSpot(stand(), stand({ xM: 1.05 }))).toBe(false);
  expect(sameSpot(stand(), stand({ spec: { ...STAND_MODELS["channel-bank"].example, lines: 3 } }))).toBe(false);
});
