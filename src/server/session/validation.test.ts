import Joi from "joi";
import { choice, day, fieldErrors, maybeRowId, measure, note, STRICT, text, whole } from "./validation";
import { houseSchema, standSchema } from "../place/schema";
import { loopSchema } from "../water/schema";
import { orderSchema } from "../batches/schema";
import { logFilterOf } from "../round/logFilter";
import { viewQuery } from "./query";

const errorsOf = (schema: Joi.ObjectSchema, value: unknown) => {
  const { error } = schema.validate(value, STRICT);
  return error ? fieldErrors(error) : {};
};

test("a message names the field, the value and the range", () => {
  const schema = Joi.object({
    lengthM: measure("Length", 0.5, 500, "m"),
    lines: whole("Lines", 1, 2000),
    name: text("Name", 5),
    kind: choice("Kind", "a", "b"),
    from: day("From"),
    id: maybeRowId("Row"),
    note: note("Note", 3),
  });
  const given = { lengthM: -2, lines: 2.5, name: "   ", kind: "c", from: "2027-02-30", id: 0, note: "four" };
  expect(errorsOf(schema, given)).toEqual({
    lengthM: "Length is -2 m; it must be from 0.5 to 500 m",
    lines: "Lines is 2.5; it must be a whole number",
    name: "Name is empty",
    kind: "Kind must be one of a, b",
    from: 'From "2027-02-30" is not a date (YYYY-MM-DD)',
    id: "Row is 0; it must be from 1 to 2147483647",
    note: "Note is longer than 3 characters",
  });
  expect(errorsOf(schema, { ...given, lengthM: Number.POSITIVE_INFINITY }).lengthM).toContain(
    "it must be from 0.5 to 500 m",
  );
  expect(errorsOf(schema, { ...given, lengthM: "wide" }).lengthM).toBe(
    "Length is not a number; it must be from 0.5 to 500 m",
  );
  expect(errorsOf(schema, { ...given, name: "a\u0000b" }).name).toContain("cannot be stored");
  expect(errorsOf(schema, { ...given, more: 1 }).more).toContain("not asked for");
  expect(errorsOf(schema, {}).lengthM).toBe("Length is missing; it must be from 0.5 to 500 m");
});

test.each([null, undefined, 7, "text", [], { __proto__: null }, { id: { $gt: 0 } }, "x".repeat(100_000)])(
  "no schema takes %p for a form",
  (value) => {
    for (const schema of [houseSchema, standSchema, loopSchema, orderSchema])
      expect(
        schema.validate(value, STRICT).value === value && !schema.validate(value, STRICT).error && value !== undefined,
      ).toBe(false);
  },
);

test("only the measures of a stand's own kind are asked for, and an unknown kind is said to be one", () => {
  const stand = {
    id: null,
    houseId: 1,
    growingAreaId: 1,
    loopId: null,
    name: "S",
    xM: 0,
    yM: 0,
    turned: false,
    groundM: 0,
    ...{ matC: null, lampsUmolPerM2S: null, lampHours: null, domed: false },
  };
  const rack = {
    kind: "tray-rack",
    racks: 1,
    shelvesPerRack: 4,
    shelfLengthM: 1.2,
    shelfWidthM: 0.6,
    trayLengthM: 0.54,
    trayWidthM: 0.28,
    cellsPerTray: 84,
    cellL: 0.025,
    aisleM: 0.8,
  };
  expect(errorsOf(standSchema, { ...stand, spec: rack })).toEqual({});
  expect(errorsOf(standSchema, { ...stand, spec: { ...rack, pitchM: 0.2 } })).toEqual({
    "spec.pitchM": expect.stringContaining("not asked for"),
  });
  expect(Object.keys(errorsOf(standSchema, { ...stand, spec: { kind: "balloon" } }))).toEqual([
    expect.stringContaining("spec"),
  ]);
});

test("a timer's parts follow its kind and fit together", () => {
  const loop = {
    id: null,
    name: "L",
    kind: "recirculating",
    feeding: "dry",
    stocks: 2,
    tankL: 100,
    normalFillL: 90,
    drainShare: 0,
    pump: null,
    changeRule: { kind: "never" },
    strength: { kind: "constant" },
    turns: 1,
    recipeId: null,
    sourceId: null,
    ratioR: 100,
    ratioConvention: "in",
    injectorLeastLph: null,
    injectorGreatestLph: null,
    injectorLeastR: null,
    injectorGreatestR: null,
    injectorLeastHeadM: null,
    injectorGreatestHeadM: null,
    injectorStrokeL: null,
    calibrateEveryDays: 90,
    acid: "citric",
    acidPercent: null,
    acidDensityKgPerL: null,
    acidInFeed: false,
    coldestC: 8,
    needFactor: 1,
    readEveryDays: 1,
  };
  const timer = (given: object) => errorsOf(loopSchema, { ...loop, timer: given });
  expect(timer({ kind: "continuous" })).toEqual({});
  expect(timer({ kind: "every", everyMin: 10, runMin: 11, fromMin: 0, toMin: 60 })).toEqual({
    "timer.runMin": "Run is 11 min; it must not be longer than the time between starts",
  });
  expect(timer({ kind: "every", everyMin: 10, runMin: 1, fromMin: 1260, toMin: 60 })).toEqual({});
  expect(timer({ kind: "times", runMin: 5, timesMin: [] })).toEqual({ "timer.timesMin": "Times: write at least one" });
  expect(errorsOf(loopSchema, { ...loop, timer: { kind: "continuous" }, normalFillL: 120 })).toEqual({
    normalFillL: "Normal fill level is 120 L; it must not be more than the tank holds",
  });
  const pump = {
    kind: "table",
    nonReturnValve: false,
    points: [
      { flowLph: 0, headM: 5 },
      { flowLph: 0, headM: 4 },
    ],
    highestOutletM: 1,
    lowestWaterM: 0,
    headWantedM: 0,
    pipeLengthM: 1,
    boreMm: 20,
    elbows: 0,
    valves: 0,
    fittingsK: 1,
  };
  expect(errorsOf(loopSchema, { ...loop, timer: { kind: "continuous" }, pump })).toEqual({
    "pump.points": "Pump curve: flow 2 is 0; it must rise from row to row",
  });
});

test("the log's filter takes what it can read and says what it cannot", () => {
  expect(logFilterOf({ from: "2027-08-01", to: "2027-08-31", kind: "pick", search: " Mizuna " }, 21_063)).toEqual({
    filter: { from: 21_031, to: 21_061, kind: "pick", search: "Mizuna", limit: 200 },
    problem: null,
  });
  expect(logFilterOf({ from: "2027-09-01", to: "2027-08-01" }, 21_063)).toMatchObject({
    problem: "Until lies before From",
    filter: { to: 21_063 },
  });
  expect(logFilterOf({ kind: "drop table", search: "x".repeat(81) }, 21_063).problem).toMatch(
    /Kind must be one of.*Search is longer than 80/u,
  );
  expect(logFilterOf({ search: "\u0000" }, 21_063)).toMatchObject({ filter: { search: null }, problem: null });
});

test("an address chooses the view with what can be read of it", () => {
  expect(viewQuery({ loop: "2", weeks: "17", from: "2027-09-02", item: "mix:2:B", more: "x" })).toEqual({
    loop: 2,
    weeks: 17,
    from: 21_063,
    item: "mix:2:B",
  });
  const wrong = {
    loop: "two",
    weeks: "5",
    from: "soon",
    house: ["1", "2"],
    entry: "-1",
    item: "x".repeat(81),
    cover: "1;drop",
  };
  expect(viewQuery(wrong)).toEqual({});
});
