import { STAND_MODELS } from "../../src/core/place/kinds";
import { METRIC } from "../../src/core/units/dimensions";
import { refusalWords } from "../../src/features/frame/refusalWords";
import { many, transaction } from "../../src/server/db/pool";
import { refusedBecause } from "../../src/server/db/errors";
import { saveRow } from "../../src/server/db/save";
import { freshDatabase, type TestDatabase } from "./database";

let database: TestDatabase;
let garden: number;

beforeAll(async () => {
  database = await freshDatabase("bare_template");
  garden = (await database.pool.query("select id from garden")).rows[0].id;
});
afterAll(() => database.close());

const save = (table: string, row: Record<string, unknown>) =>
  transaction((db) => saveRow(db, table, garden, null, row), database.pool);
const refusal = async (work: Promise<unknown>) => {
  const error = await work.then(
    () => undefined,
    (reason: unknown) => reason,
  );
  const refused = refusedBecause(error);
  return refused ? refusalWords(refused.reason, METRIC) : `not refused: ${String(error)}`;
};

/** Which constraint refused, behind the words that say no more than what is wrong. */
const constraint = (work: Promise<unknown>) =>
  work.then(
    () => "none",
    (reason: { constraint?: string }) => reason.constraint,
  );

const house = { name: "House", length_m: 10, width_m: 6, height_m: 2.5, cover: "net", shade_share: 0.3 };
const channel = STAND_MODELS["channel-bank"].example;
const loop = {
  name: "Loop",
  kind: "recirculating",
  feeding: "stocks",
  tank_l: 600,
  normal_fill_l: 500,
  timer: { kind: "continuous" },
};

test("measures that cannot be are refused by the database, whatever the code above forgets", async () => {
  expect(await constraint(save("house", { ...house, length_m: -3 }))).toBe("house_length_m_check");
  // Names of constraints are for developers.
  expect(await refusal(save("house", { ...house, length_m: -3 }))).toBe(
    "Not saved: one of the figures is outside what can be worked out. What you typed is still here.",
  );
  expect(await constraint(save("house", { ...house, name: "   " }))).toBe("house_name_check");
  expect(await refusal(save("loop", { ...loop, normal_fill_l: 700 }))).toBe(
    "The normal fill level is more than the tank holds.",
  );
  expect(await refusal(save("loop", { ...loop, feeding: "injector" }))).toBe("An injector needs its flow range.");
  expect(await refusal(save("store", { name: "Butt", capacity_l: 200, stored_l: 300, read_on: "2027-09-02" }))).toBe(
    "The store cannot hold more than its capacity.",
  );
  expect(
    await refusal(
      save("recipe", {
        name: "R",
        targets_mg_per_l: { K: 200 },
        ec_ms_per_cm: 2,
        ec_low: 2.2,
        ec_high: 2.4,
        ph_low: 5,
        ph_high: 6,
      }),
    ),
  ).toContain("outside its own band");
});

test("a stand's specification holds the measures of its kind, as numbers and in range", async () => {
  const houseId = await save("house", house);
  const growingAreaId = await save("growing_area", { name: "Growing area" });
  const stand = (spec: object) =>
    save("stand", {
      house_id: houseId,
      growing_area_id: growingAreaId,
      name: "S",
      x_m: 0,
      y_m: 0,
      kind: "channel-bank",
      spec,
    });
  const { pitchM: _pitchM, ...withoutPitch } = channel;
  expect(await constraint(stand(withoutPitch))).toBe("stand_measures");
  expect(await constraint(stand({ ...channel, pitchM: "0.25" }))).toBe("stand_measures");
  expect(await constraint(stand({ ...channel, lines: 0 }))).toBe("stand_measures");
  expect(await constraint(stand({ ...channel, kind: "drip-beds" }))).toBe("stand_measures");
  expect(typeof (await stand(channel))).toBe("number");
  expect(await refusal(stand(channel))).toBe("Another stand in this house has this name.");
  expect(await refusal(many(database.pool, "delete from house where id = $1", [houseId]))).toBe(
    "It is still used (stands): take it out there first.",
  );
});

test("nothing of one garden can point into another", async () => {
  const other = (await database.pool.query("insert into garden (name) values ('Other') returning id")).rows[0]
    .id as number;
  const foreignHouse = await transaction((db) => saveRow(db, "house", other, null, house), database.pool);
  const growingAreaId = await save("growing_area", { name: "Own growing area" });
  expect(
    await refusal(
      save("stand", {
        house_id: foreignHouse,
        growing_area_id: growingAreaId,
        name: "Of another garden",
        x_m: 0,
        y_m: 0,
        kind: "channel-bank",
        spec: channel,
      }),
    ),
  ).toBe("It refers to something that is not in this garden.");
  await expect(
    transaction((db) => saveRow(db, "house", garden, foreignHouse, { name: "Mine now" }), database.pool),
  ).rejects.toThrow("not found");
});

test("a piece of work that fails half-way leaves nothing behind", async () => {
  const before = await many(database.pool, "select id from growing_area");
  const work = transaction(async (db) => {
    await saveRow(db, "growing_area", garden, null, { name: "Half" });
    await saveRow(db, "growing_area", garden, null, { name: "Half" });
  }, database.pool);
  expect(await refusal(work)).toBe("Another growing area has this name.");
  expect(await many(database.pool, "select id from growing_area")).toEqual(before);
});

test("an item is done once a day, however often it is sent; a text that is no name never reaches the SQL", async () => {
  const person = (await database.pool.query("select id from person")).rows[0].id as number;
  const entry = { person_id: person, day: "2027-09-02", kind: "sow", item_key: "sow:1", what: { kind: "task" } };
  await save("log_entry", entry);
  expect(await refusal(save("log_entry", entry))).toContain("was done already");
  await many(database.pool, "update log_entry set undone_at = now(), undone_by = $1", [person]);
  await save("log_entry", entry);
  await expect(save("house; drop table house", house)).rejects.toThrow("not a table or column name");
});
