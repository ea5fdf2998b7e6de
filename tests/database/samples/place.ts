import { CLIMATE, GROWING_AREA, HOUSE, STAND } from "../../../src/core/garden/entities/place";
import { formOf, idOf, made, type Samples, type Rows } from "./lib";

const bareStand = async (rows: Rows) => {
  const { id: _id, opened: _opened, typed: _typed, ...stand } = await formOf(rows, STAND);
  return {
    ...stand,
    name: `S${Math.random()}`,
    houseId: await idOf(
      rows,
      "insert into house (garden_id, name, length_m, width_m, height_m, cover) values (1, 'H' || random(), 30, 30, 2, 'net') returning id",
    ),
    loopId: null,
  };
};

/** A what-if that makes a house of its own higher and adds another one. */
const whatIf = async (rows: Rows) => {
  const id = await idOf(rows, "insert into change_set (garden_id, name) values (1, 'W' || random()) returning id");
  const house = await idOf(
    rows,
    "insert into house (garden_id, name, length_m, width_m, height_m, cover, y_m) values (1, 'H' || random(), 5, 5, 2, 'net', 900) returning id",
  );
  await rows(
    `insert into change_set_row (garden_id, set_id, entity, row_id, op, patch) values (1, $1, 'house', $2, 'update', '{"heightM": [2, 2.5]}')`,
    [id, house],
  );
  return { id, house };
};
/** A layout that was saved before there were what-ifs. */
const layout = async (rows: Rows) => {
  const { gardenRows } = await import("../../../src/server/garden/gardenRows");
  const { liveLayout } = await import("../../../src/core/garden/layoutTables");
  const db = { query: async (text: string, values: unknown[]) => ({ rows: await rows(text, values) }) };
  const document = liveLayout(await gardenRows(db as never, 1), "Copy");
  const [row] = await rows<{ id: number }>(
    "insert into layout (garden_id, name, document) values (1, 'L' || random(), $1) returning id",
    [JSON.stringify(document)],
  );
  const { id } = row!;
  return { id, document };
};
const cutList = {
  name: "Frame",
  material: "tube",
  sawCutMm: 3,
  trimMm: 0,
  leastOffcutMm: 100,
  objective: "bars",
  usesOffcuts: true,
  stocks: [{ lengthMm: 3000, price: 0 }],
  pieces: [{ lengthMm: 500, count: 2, label: "" }],
};
const cutPlan = {
  kind: "plan",
  bars: [{ stockMm: 3000, onHand: false, cuts: [{ lengthMm: 500, label: "" }], offcutMm: 2000 }],
  boughtBars: 1,
  boughtMm: 3000,
  cost: 0,
  least: { bars: 1, lengthMm: 3000 },
  proved: true,
  uncut: [],
};
const assembly = {
  name: "Rail",
  pieces: [{ lengthMm: 500, count: 1 }],
  fittings: [],
  otherMm: 490,
  way: "takes-a-piece",
};
const keptList = async (rows: Rows) =>
  (
    await rows<{ id: number; version: number }>(
      `insert into cut_list (garden_id, name, material, saw_cut_mm, trim_mm, least_offcut_mm, objective, uses_offcuts, stocks, pieces, assemblies, plan)
     values (1, 'C' || random(), 'tube', 3, 0, 100, 'bars', true, $1, $2, $3, $4) returning id, version`,
      [
        JSON.stringify(cutList.stocks),
        JSON.stringify(cutList.pieces),
        JSON.stringify([assembly]),
        JSON.stringify(cutPlan),
      ],
    )
  )[0]!;

export const PLACE_SAMPLES: Samples = {
  "place/climateActions": {
    saveClimate: { least: "grower", input: (rows) => formOf(rows, CLIMATE) },
    importWeather: {
      least: "grower",
      own: true,
      input: async () => ({ text: "date,tmax,tmin,rain\n2026-03-01,14,6,0\n2026-03-02,15,7,3.5" }),
    },
    removeWeather: { least: "grower", own: true, input: async () => ({}) },
  },
  "place/actions": {
    saveHouse: { least: "grower", input: (rows) => formOf(rows, HOUSE) },
    saveStand: { least: "grower", input: (rows) => formOf(rows, STAND) },
    addStands: { least: "grower", input: async (rows) => ({ stands: [await bareStand(rows)] }) },
    saveGrowingArea: {
      least: "grower",
      input: (rows) => formOf(rows, GROWING_AREA),
    },
    removeHouse: {
      least: "grower",
      input: made(
        "insert into house (garden_id, name, length_m, width_m, height_m, cover) values (1, 'H' || random(), 5, 5, 2, 'net') returning id",
      ),
    },
    removeStand: {
      least: "grower",
      input: made(
        `with own as (insert into house (garden_id, name, length_m, width_m, height_m, cover, y_m)
                       values (1, 'H' || random(), 40, 40, 2, 'net', 2000) returning id)
         insert into stand (garden_id, house_id, growing_area_id, name, x_m, y_m, kind, spec)
         select 1, own.id, growing_area_id, 'S' || random(), 0, 0, kind, spec from stand, own where garden_id = 1 limit 1 returning id`,
      ),
    },
    removeGrowingArea: {
      least: "grower",
      input: made("insert into growing_area (garden_id, name) values (1, 'P' || random()) returning id"),
    },
  },
  "garden/whatIf/actions": {
    addWhatIf: { least: "grower", own: true, input: async () => ({ name: `W${Math.random()}`, purpose: "" }) },
    renameWhatIf: {
      least: "grower",
      input: async (rows) => ({ id: (await whatIf(rows)).id, name: `W${Math.random()}`, purpose: "why" }),
    },
    copyWhatIf: {
      least: "grower",
      input: async (rows) => ({ id: (await whatIf(rows)).id, name: `W${Math.random()}` }),
    },
    removeWhatIf: { least: "grower", input: async (rows) => ({ id: (await whatIf(rows)).id }) },
    settleWhatIf: {
      least: "grower",
      input: async (rows) => {
        const { id, house } = await whatIf(rows);
        return { id, entity: "house", rowId: house, field: "heightM", as: "mine" };
      },
    },
    adoptWhatIf: { least: "grower", input: async (rows) => ({ id: (await whatIf(rows)).id, rows: null }) },
    importLayout: {
      least: "grower",
      own: true,
      input: async (rows) => ({ name: `In ${Math.random()}`, text: JSON.stringify((await layout(rows)).document) }),
    },
    openLayout: { least: "grower", input: async (rows) => ({ id: (await layout(rows)).id }) },
  },
  "jobs/actions": {
    endJob: {
      least: "grower",
      input: async (rows) => ({
        id: await idOf(
          rows,
          `insert into job (garden_id, person_id, kind, subject, state, worker, lease_until)
           values (1, 1, 'season', jsonb_build_object('day', (select count(*) from job)), 'running', gen_random_uuid(), now() + interval '1 hour') returning id`,
        ),
      }),
    },
    stopJob: {
      least: "grower",
      input: async (rows) => {
        const { id } = await keptList(rows);
        return {
          id: await idOf(
            rows,
            `insert into job (garden_id, person_id, kind, subject) values (1, 1, 'cut-list', jsonb_build_object('id', ${id}, 'version', 1)) returning id`,
          ),
        };
      },
    },
  },
  "place/benchActions": {
    saveCutList: {
      least: "grower",
      input: async (rows) => ({ ...cutList, ...(await keptList(rows)), name: `C${Math.random()}` }),
    },
    removeCutList: { least: "grower", input: async (rows) => ({ id: (await keptList(rows)).id }) },
    saveAssembly: {
      least: "grower",
      input: async (rows) => {
        const { id, version } = await keptList(rows);
        return { listId: id, version, index: null, assembly };
      },
    },
    removeAssembly: {
      least: "grower",
      input: async (rows) => {
        const { id, version } = await keptList(rows);
        return { listId: id, version, index: 0 };
      },
    },
    cutDone: { least: "grower", input: keptList },
    planCuts: { least: "grower", input: keptList },
    saveOffcut: {
      least: "grower",
      input: async (rows) => ({
        ...(
          await rows(
            "insert into offcut (garden_id, material, length_mm, count) values (1, 'M' || random(), 800, 2) returning id, version",
          )
        )[0],
        material: `M${Math.random()}`,
        lengthMm: 700,
        count: 1,
      }),
    },
    removeOffcut: {
      least: "grower",
      input: made(
        "insert into offcut (garden_id, material, length_mm, count) values (1, 'M' || random(), 800, 2) returning id",
      ),
    },
    saveMaterial: { least: "grower", own: true, input: async () => ({ id: "net-cup:50", onHand: 40, priceEach: 0.1 }) },
    saveSpare: { least: "grower", own: true, input: async () => ({ spareShare: 0.1 }) },
  },
};
