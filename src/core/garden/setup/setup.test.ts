import { CROP_LIBRARY } from "../../growth/library/crops";
import { apply, type Tables } from "../changes";
import { NO_FACTS } from "../facts";
import { gardenOf } from "../gardenOf";
import { houseViews } from "../placeView";
import { standFootprint } from "../../place/standLayout";
import { workOut } from "../workOut";
import { addCrop, LIBRARY_ID } from "./addCrop";
import { harvestOverYear, setUpFigures } from "./figures";
import { setUp } from "./setUp";
import { tankSpot } from "./tankSpot";
import type { Setup } from "./told";

const FRIDAY: Setup = {
  place: { kind: "film tunnel", name: "Friday house", lengthM: 9, widthM: 5 },
  stands: [
    { told: "seedTrays", figures: { lines: 1, trays: 2, cells: 84 }, young: true },
    { told: "channels", figures: { lines: 6, lengthM: 2, spacingM: 0.1 }, young: true },
    { told: "channels", figures: { lines: 14, lengthM: 4, spacingM: 0.22 }, young: false },
  ],
  tank: { litres: 400, underOutletsM: 0.6 },
  pump: { flowAtNoLiftLph: 3000, greatestLiftM: 3 },
  timer: { kind: "continuous" },
  system: "metric",
};
const SITE = { latitudeDeg: 40 };
const made = (setup: Setup, tables: Tables = {}) => {
  const result = setUp(tables, setup);
  return { ...result, tables: apply(tables, result.changes) };
};

test("one press makes house, growing areas, stands, tank, pump and timer, and nothing touches", () => {
  const { tables, noRoom } = made(FRIDAY);
  expect(noRoom).toEqual([]);
  const garden = gardenOf(tables, SITE);
  const worked = workOut(garden, NO_FACTS, 20_000);
  const [house] = houseViews(worked);
  expect(house!.clashes).toEqual([]);
  expect(
    house!.stands.map(({ counts, growingAreaName, loopName }) => [growingAreaName, counts.sites, loopName]),
  ).toEqual([
    ["Seed trays", 168, null],
    ["Nursery channels", 120, "Tank"],
    ["Channels", 252, "Tank"],
  ]);
  expect(garden.loops[0]).toMatchObject({
    kind: "recirculating",
    tankL: 400,
    pump: { kind: "label", greatestLiftM: 3 },
  });
  expect(garden.loops[0]!.normalFillL).toBeLessThan(388);
});

test("the first answers: plants, what a line gets, what runs back, heads a week by season", () => {
  const result = made(FRIDAY);
  const figures = setUpFigures(result, FRIDAY.timer);
  expect([figures.young, figures.toFinish, figures.trays]).toEqual([288, 252, 0]);
  expect(figures.pump!.verdict).toBe("fits");
  const [, finishing] = figures.lines;
  expect(finishing!.getsLph / 60).toBeGreaterThan(1);
  expect(finishing!.perPlantLpd).toBeCloseTo((finishing!.getsLph / 18) * 24, 9);
  // Under the rim less a freeboard of 3 %, all that runs back finds room.
  expect(result.runsBackL).toBeGreaterThan(25);
  expect(result.fillToL).toBe(Math.floor(388 - result.runsBackL));
  const lettuce = CROP_LIBRARY[0]!;
  expect(harvestOverYear(252, lettuce, 40)).toEqual({ brightest: 60, darkest: 34 });
  // South of the equator the bright and the dark months change places, not their harvests.
  expect(harvestOverYear(252, lettuce, -40)).toEqual(harvestOverYear(252, lettuce, 40));
});

test("what has no room says by how much, and a place told without its sides is made large enough", () => {
  const tight = setUp({}, { ...FRIDAY, place: { kind: "film tunnel", name: "Short", lengthM: 5, widthM: 3 } });
  expect(tight.noRoom.map(({ stand }) => stand)).toEqual(["Channels"]);
  const { missingLengthM, missingWidthM } = tight.noRoom[0]!;
  // Neither way turned do the channels fit across 3 m.
  expect(missingLengthM).toBeNull();
  const wider = { kind: "film tunnel", name: "Wide", lengthM: 5, widthM: 3 + missingWidthM! } as const;
  expect(setUp({}, { ...FRIDAY, place: wider }).noRoom).toEqual([]);
  for (const kind of ["yard", "windowsill"] as const)
    expect(setUp({}, { ...FRIDAY, place: { kind, name: "", lengthM: null, widthM: null } }).noRoom).toEqual([]);
});

test("into a house that is there, under names that are free; one that is gone is refused", () => {
  const first = made(FRIDAY).tables;
  const [id] = Object.keys(first.house!).map(Number);
  const setup: Setup = { ...FRIDAY, place: { houseId: id! }, stands: [FRIDAY.stands[0]!], tank: null, pump: null };
  // The rows of the first have ids under 0, as those of the second: as the database gives them, they are apart.
  const moved = apply(first, {});
  const second = setUp(moved, setup);
  expect(second.stands.map(({ name }) => name)).toEqual(["Seed trays 2"]);
  expect(Object.keys(second.changes)).toEqual(["growing_area", "stand"]);
  expect(() => setUp({}, setup)).toThrow(`houseId is ${id}; it must be a house of the garden`);
});

test("a crop of the library takes the growing areas that suit its stages, and goes without those that are missing", () => {
  const { tables } = made(FRIDAY);
  const areaName = (id: unknown, all: Tables) => all.growing_area![Number(id)]!.name;
  const stagesIn = (name: string, all: Tables) => {
    const added = apply(
      all,
      addCrop(
        all,
        CROP_LIBRARY.find((crop) => crop.name === name)!,
        40,
      ),
    );
    expect(added.variety![LIBRARY_ID]).toMatchObject({ name, ecLow: expect.any(Number) });
    return Object.values(added.variety_stage!)
      .sort((a, b) => Number(a.position) - Number(b.position))
      .map(({ name: stage, growingAreaId }) => [stage, areaName(growingAreaId, added)]);
  };
  expect(stagesIn("Lettuce, heads", tables)).toEqual([
    ["germinate", "Seed trays"],
    ["nursery", "Nursery channels"],
    ["grow", "Channels"],
  ]);
  const onlyBuckets = made({
    ...FRIDAY,
    stands: [
      { told: "buckets", figures: { lines: 9, volumeL: 15, plants: 1, emitters: 2, emitterLph: 2 }, young: false },
    ],
  });
  expect(stagesIn("Cherry tomato", onlyBuckets.tables)).toEqual([["grow", "Buckets"]]);
  expect(stagesIn("Radish", {})).toEqual([["grow", "Growing area"]]);
});

test("the tank is drawn where there is room, as a box of its volume; outside a windowsill", () => {
  const friday = made(FRIDAY);
  const spot = tankSpot(friday, 400);
  expect(spot.lengthM ** 3).toBeCloseTo(0.4, 9);
  for (const stand of friday.stands) {
    const foot = standFootprint({ ...stand });
    const apart =
      foot.xM >= spot.xM + spot.lengthM ||
      foot.xM + foot.lengthM <= spot.xM ||
      foot.yM >= spot.yM + spot.widthM ||
      foot.yM + foot.widthM <= spot.yM;
    expect([stand.name, apart]).toEqual([stand.name, true]);
  }
  const sill = made({ ...FRIDAY, place: { kind: "windowsill", name: "Sill", lengthM: 0.9, widthM: 0.3 }, stands: [] });
  expect(tankSpot(sill, 400).yM).toBeGreaterThan(0.3);
});
