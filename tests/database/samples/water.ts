import { METER, RECIPE, RECIPE_SALT, SALT, SALT_LOT } from "../../../src/core/garden/entities/feed";
import { LOOP, SOURCE, STOCK_TANK, STORE } from "../../../src/core/garden/entities/water";
import { formOf, made, type Samples } from "./lib";

export const WATER_SAMPLES: Samples = {
  "feed/takeAmounts": {
    takeAmounts: {
      least: "grower",
      input: async (rows) => {
        const [part] = await rows<{ recipeId: number; saltId: number; stock: string }>(
          'select recipe_id as "recipeId", salt_id as "saltId", stock from recipe_salt order by id limit 1',
        );
        const { recipeId, saltId, stock } = part!;
        return { recipeId, salts: [{ saltId, stock, gPer1000L: 300 + Math.round(Math.random() * 1000) }] };
      },
    },
  },
  "water/actions": {
    saveLoop: { least: "grower", input: (rows) => formOf(rows, LOOP) },
    setTurns: {
      least: "grower",
      input: async (rows) => ({ ...(await rows('select id, turns as "from" from loop where id = 2'))[0], turns: 2 }),
    },
    setNeedFactor: {
      least: "grower",
      input: async (rows) => ({
        ...(await rows('select id, need_factor as "from" from loop where id = 2'))[0],
        factor: 1.2,
      }),
    },
    askStoreYears: { least: "grower", own: true, input: async () => ({}) },
    saveSource: { least: "grower", input: (rows) => formOf(rows, SOURCE) },
    saveStore: { least: "grower", input: async (rows) => ({ ...(await formOf(rows, STORE)), readOn: "2027-09-02" }) },
  },
  "feed/importSalts": {
    importSalts: {
      least: "grower",
      own: true,
      input: async () => ({ text: `name,K_percent,on_hand_g\nash ${Math.random()},12,500` }),
    },
  },
  "feed/actions": {
    saveRecipe: { least: "grower", input: (rows) => formOf(rows, RECIPE, "true", { salts: RECIPE_SALT }) },
    saveSalt: { least: "grower", input: (rows) => formOf(rows, SALT, "true", { lots: SALT_LOT }) },
    saveMeter: { least: "grower", input: (rows) => formOf(rows, METER) },
    removeMeter: {
      least: "grower",
      input: made("insert into meter (garden_id, name, ec_scale) values (1, 'M' || random(), 'CF') returning id"),
    },
    saveStockTank: {
      least: "grower",
      input: async (rows) => ({ ...(await formOf(rows, STOCK_TANK)), readOn: "2027-09-02" }),
    },
  },
};
