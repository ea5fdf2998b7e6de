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
  return refusedBecause(error)?.message ?? `not refused: ${String(error)}`;
};

const house = { name: "House", length_m: 10, width_m: 6, height_m: 2.5, cover: "net", shade_share: 0.3 };
const channel = {
  kind: "channel-bank", lines: 4, lineLengthM: 6, channelWidthM: 0.1, channelDepthM: 0.05, endMarginM: 0.125, pitchM: 0.25, holeMm: 50, gapM: 0.1,
  linesPerBlock: 4, aisleM: 0.6, linesPerValve: 4, fallOneIn: 40, lineFlowLph: 90,
}; // prettier-ignore
const loop = {
  name: "Loop",
  kind: "recirculating",
  feeding: "stocks",
  tank_l: 600,
  working_l: 500,
  timer: { kind: "continuous" },
};

test("measures that cannot be are refused by the database, whatever the code above forgets", async () => {
  expect(await refusal(save("house", { ...house, length_m: -3 }))).toContain("house_length_m_check");
  expect(await refusal(save("house", { ...house, name: "   " }))).toContain("house_name_check");
  expect(await refusal(save("loop", { ...loop, working_l: 700 }))).toBe("The working volume is larger than the tank.");
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
  const poolId = await save("pool", { name: "Pool" });
  const stand = (spec: object) =>
    save("stand", { house_id: houseId, pool_id: poolId, name: "S", x_m: 0, y_m: 0, kind: "channel-bank", spec });
  const { pitchM: _pitchM, ...withoutPitch } = channel;
  expect(await refusal(stand(withoutPitch))).toContain("stand_channel_measures");
  expect(await refusal(stand({ ...channel, pitchM: "0.25" }))).toContain("stand_channel_measures");
  expect(await refusal(stand({ ...channel, lines: 0 }))).toContain("stand_channel_measures");
  expect(await refusal(stand({ ...channel, kind: "drip-beds" }))).toContain("stand_spec_kind");
  expect(typeof (await stand(channel))).toBe("number");
  expect(await refusal(stand(channel))).toBe("Another stand in this house has this name.");
  expect(await refusal(many(database.pool, "delete from house where id = $1", [houseId]))).toBe(
    "It is still used (stand): take it out there first.",
  );
});

test("nothing of one garden can point into another", async () => {
  const other = (await database.pool.query("insert into garden (name) values ('Other') returning id")).rows[0]
    .id as number;
  const foreignHouse = await transaction((db) => saveRow(db, "house", other, null, house), database.pool);
  const poolId = await save("pool", { name: "Own pool" });
  expect(
    await refusal(
      save("stand", {
        house_id: foreignHouse,
        pool_id: poolId,
        name: "Over the fence",
        x_m: 0,
        y_m: 0,
        kind: "channel-bank",
        spec: channel,
      }),
    ),
  ).toBe("It refers to something that is not in this garden.");
  await expect(
    transaction((db) => saveRow(db, "house", garden, foreignHouse, { name: "Mine now" }), database.pool),
  ).rejects.toThrow("not there any more");
});

test("a piece of work that fails half-way leaves nothing behind", async () => {
  const before = await many(database.pool, "select id from pool");
  const work = transaction(async (db) => {
    await saveRow(db, "pool", garden, null, { name: "Half" });
    await saveRow(db, "pool", garden, null, { name: "Half" });
  }, database.pool);
  expect(await refusal(work)).toBe("Another pool has this name.");
  expect(await many(database.pool, "select id from pool")).toEqual(before);
});

test("an item is done once a day, however often it is sent; a text that is no name never reaches the SQL", async () => {
  const person = (await database.pool.query("select id from person")).rows[0].id as number;
  const entry = { person_id: person, day: "2027-09-02", kind: "sow", item_key: "sow:1", title: "Sow" };
  await save("log_entry", entry);
  expect(await refusal(save("log_entry", entry))).toContain("has been done already");
  await many(database.pool, "update log_entry set undone_at = now(), undone_by = $1", [person]);
  await save("log_entry", entry);
  await expect(save("house; drop table house", house)).rejects.toThrow("not a table or column name");
});
