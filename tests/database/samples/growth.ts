import { BATCH, CUSTOMER, ORDER } from "../../../src/core/garden/entities/batches";
import { HARVEST_UNIT, SEED_LOT, VARIETY, VARIETY_STAGE, VARIETY_STEP } from "../../../src/core/garden/entities/growth";
import { formOf, idOf, made, type Samples, type Rows } from "./lib";

const ASKED = { ...BATCH, fields: BATCH.fields.filter(({ name }) => name !== "clearedDay") };
const FUTURE = "sow_day > '2027-11-01'";
const batch = async (rows: Rows) => ({
  ...(await formOf(rows, ASKED, FUTURE)),
  sowDay: "2028-01-10",
  cells: 50,
  targetPlants: 40,
  note: "",
});

export const GROWTH_SAMPLES: Samples = {
  "growth/actions": {
    saveVariety: {
      least: "grower",
      input: (rows) => formOf(rows, VARIETY, "true", { stages: VARIETY_STAGE, steps: VARIETY_STEP, lots: SEED_LOT }),
    },
    saveHarvestUnit: {
      least: "grower",
      input: async (rows) => ({ ...(await formOf(rows, HARVEST_UNIT)), name: `U${Math.random()}` }),
    },
    removeHarvestUnit: {
      least: "grower",
      input: made(
        "insert into harvest_unit (garden_id, name, divisible) values (1, 'U' || random(), false) returning id",
      ),
    },
    removeVariety: {
      least: "grower",
      input: made(
        "insert into variety (garden_id, name, crop, kind, unit_id, germination, pattern) select 1, 'V' || random(), crop, kind, unit_id, germination, pattern from variety where garden_id = 1 limit 1 returning id",
      ),
    },
  },
  "growth/importCrops": {
    importCrops: { least: "grower", input: async () => ({ text: "name,germination\nMizuna,0.88" }) },
  },
  "growth/learning": {
    setLearning: { least: "grower", input: async () => ({ varietyId: 1, learns: false }) },
  },
  "batches/actions": {
    saveCustomer: { least: "grower", input: (rows) => formOf(rows, CUSTOMER) },
    saveOrder: {
      least: "grower",
      input: async (rows) => ({
        ...(await formOf(rows, ORDER)),
        from: "2027-09-02",
        to: "2027-12-01",
      }),
    },
    removeOrder: {
      least: "grower",
      input: made(
        "insert into order_line (garden_id, customer_id, variety_id, weekday, quantity, from_day, to_day) select 1, customer_id, variety_id, 1, 1, '2027-01-01', '2027-01-02' from order_line where garden_id = 1 limit 1 returning id",
      ),
    },
    addBatches: {
      least: "grower",
      input: async () => ({ batches: [{ varietyId: 1, sowDay: "2027-10-01", cells: 9, targetPlants: 8 }] }),
    },
    saveBatch: { least: "grower", input: batch },
    moveBatch: {
      least: "grower",
      input: async (rows) => {
        const { id, sowDay } = await formOf(rows, ASKED, FUTURE);
        return { id, from: sowDay, sowDay: "2028-01-17" };
      },
    },
    removeBatches: {
      least: "grower",
      input: async (rows) => ({
        ids: [
          await idOf(
            rows,
            "insert into batch (garden_id, variety_id, sow_day, cells, target_plants) values (1, 1, '2027-12-01', 9, 8) returning id",
          ),
        ],
      }),
    },
  },
};
