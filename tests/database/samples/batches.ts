import { CLOSED_DAY, SEASON } from "../../../src/core/garden/entities/batches";
import { formOf, idOf, made, type Rows, type Samples } from "./lib";

/** A batch that is not sown yet, with cells and plants of its own. */
const planned = (rows: Rows, sowDay = "2027-12-01") =>
  idOf(
    rows,
    `insert into batch (garden_id, variety_id, sow_day, cells, target_plants) values (1, 1, '${sowDay}', 9, 8) returning id`,
  );

/** A line of a stand that its first stage can be on. */
const spot = async (rows: Rows, batchId: number) => ({
  batchId,
  stage: 0,
  standId: await idOf(
    rows,
    `select stand.id from batch join variety_stage stage on stage.variety_id = batch.variety_id and stage.position = 0
         join stand on stand.growing_area_id = stage.growing_area_id where batch.id = ${batchId} limit 1`,
  ),
  line: 1,
  firstSite: 1,
});

/** A season that was planned: one batch more. */
const plannedSeason = async (rows: Rows) => {
  const setId = await idOf(
    rows,
    "insert into change_set (garden_id, name) values (1, 'Season planned on a day ' || (select count(*) from change_set)) returning id",
  );
  const batchId = await idOf(rows, "select nextval(pg_get_serial_sequence('batch', 'id')) as id");
  const batch = {
    id: batchId,
    varietyId: 1,
    sowDay: 21500,
    cells: 9,
    targetPlants: 8,
    note: "",
    pinned: false,
    clearedDay: null,
    typed: {},
  };
  await rows(
    "insert into change_set_row (garden_id, set_id, entity, row_id, op, patch) values (1, $1, 'batch', $2, 'add', $3)",
    [setId, batchId, JSON.stringify(batch)],
  );
  return { setId, batchId };
};

export const BATCHES_SAMPLES: Samples = {
  "batches/season": {
    saveSeason: { least: "grower", input: (rows) => formOf(rows, SEASON) },
    saveClosedDay: { least: "grower", input: (rows) => formOf(rows, CLOSED_DAY) },
    removeClosedDay: {
      least: "grower",
      input: made("insert into closed_day (garden_id, day, kind) values (1, '2028-06-01', 'off') returning id"),
    },
    askSeason: { least: "grower", input: async () => ({}), own: true },
    acceptSeason: {
      least: "grower",
      input: async (rows) => {
        const { setId, batchId } = await plannedSeason(rows);
        return { setId, batchIds: [batchId] };
      },
    },
  },
  "batches/places": {
    putBatch: { least: "grower", input: async (rows) => spot(rows, await planned(rows, "2028-10-02")) },
    swapBatches: {
      least: "grower",
      input: async (rows) => {
        // Nothing is kept that could be in their way.
        await rows("delete from batch_place where garden_id = 1");
        return {
          one: { batchId: await planned(rows), stage: 1 },
          other: { batchId: await planned(rows, "2028-09-04"), stage: 1 },
        };
      },
    },
    keepPlaces: { least: "grower", input: async (rows) => ({ stages: [{ batchId: await planned(rows), stage: 1 }] }) },
    letPlacesGo: { least: "grower", input: async (rows) => ({ stages: [{ batchId: await planned(rows), stage: 1 }] }) },
    pinBatches: { least: "grower", input: async (rows) => ({ ids: [await planned(rows)], pinned: true }) },
    splitBatch: { least: "grower", input: async (rows) => ({ id: await planned(rows), plants: 3 }) },
    joinBatches: {
      least: "grower",
      input: async (rows) => ({ into: await planned(rows), from: await planned(rows, "2027-12-08") }),
    },
  },
};
