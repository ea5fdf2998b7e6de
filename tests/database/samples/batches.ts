import { idOf, type Rows, type Samples } from "./lib";

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

export const BATCHES_SAMPLES: Samples = {
  "batches/places": {
    putBatch: { least: "grower", input: async (rows) => spot(rows, await planned(rows, "2028-10-02")) },
    swapBatches: {
      least: "grower",
      input: async (rows) => ({
        one: { batchId: await planned(rows), stage: 1 },
        other: { batchId: await planned(rows, "2028-09-04"), stage: 1 },
      }),
    },
    keepPlaces: { least: "grower", input: async (rows) => ({ stages: [{ batchId: await planned(rows), stage: 1 }] }) },
    letPlacesGo: {
      least: "grower",
      input: async (rows) => ({
        stages: [
          {
            batchId: await idOf(rows, "select batch_id as id from batch_place where garden_id = 1 order by id limit 1"),
            stage: 1,
          },
        ],
      }),
    },
    pinBatches: { least: "grower", input: async (rows) => ({ ids: [await planned(rows)], pinned: true }) },
    splitBatch: { least: "grower", input: async (rows) => ({ id: await planned(rows), plants: 3 }) },
    joinBatches: {
      least: "grower",
      input: async (rows) => ({ into: await planned(rows), from: await planned(rows, "2027-12-08") }),
    },
  },
};
