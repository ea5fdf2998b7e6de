import type pg from "pg";
import type { Role } from "../../src/core/people/rights";

/** How an action is called in tests: who may at least, and an input that is taken in the demo garden. */
export interface Sample {
  readonly least: Role | "nobody in particular";
  readonly input: (rows: Rows) => Promise<unknown>;
  /** Touches nothing but what is the caller's own: there is no other garden to reach for. */
  readonly own?: true;
  /** Ends the caller's session, or wants none. */
  readonly ends?: true;
}

export type Rows = <Row = Record<string, unknown>>(sql: string, values?: unknown[]) => Promise<Row[]>;

export const rowsOf =
  (pool: pg.Pool): Rows =>
  async <Row>(sql: string, values: unknown[] = []) =>
    (await pool.query(sql, values)).rows as Row[];

/** A row of the demo garden as the room's own query reads it, for a form to send back. */
const first = async (rows: Rows, room: string, query: string): Promise<Record<string, unknown>> => {
  const queries = (await import(`../../src/server/${room}/queries`)) as Record<string, (db: unknown, garden: number) => Promise<Record<string, unknown>[]>>; // prettier-ignore
  const db = { query: async (text: string, values: unknown[]) => ({ rows: await rows(text, values) }) };
  return (await queries[query]!(db, 1))[0]!;
};
const without = (row: Record<string, unknown>, ...names: string[]) =>
  Object.fromEntries(Object.entries(row).filter(([name]) => !names.includes(name)));
const idOf = async (rows: Rows, sql: string) => Number((await rows<{ id: unknown }>(sql))[0]!.id);
const made = (sql: string) => async (rows: Rows) => ({ id: await idOf(rows, sql) });
const item = async (rows: Rows, kinds: readonly string[]) => {
  const { season } = await import("../../src/server/batches/season");
  const { roundOf } = await import("../../src/server/round/today");
  const db = { query: async (text: string, values: unknown[]) => ({ rows: await rows(text, values) }) };
  const { items } = await roundOf(db as never, await season());
  return items.find(({ kind }) => kinds.includes(kind))!.key;
};
const batch = async (rows: Rows) => {
  const [row] = await rows<{ id: number; version: number; variety_id: number }>("select id, version, variety_id from batch where garden_id = 1 and sow_day > '2027-11-01' order by id limit 1"); // prettier-ignore
  return { id: row!.id, version: row!.version, varietyId: row!.variety_id, sowDay: "2028-01-10", cells: 50, targetPlants: 40, note: "" }; // prettier-ignore
};
/** A copy of the garden's layout that has just been put by, with an empty house at the end when asked for. */
const layout = async (rows: Rows, emptyHouse = false) => {
  const { gardenRows } = await import("../../src/server/batches/season");
  const { liveLayout } = await import("../../src/server/place/layoutViews");
  const db = { query: async (text: string, values: unknown[]) => ({ rows: await rows(text, values) }) };
  const live = liveLayout(await gardenRows(db as never, 1), "Copy");
  const document = emptyHouse ? { ...live, houses: [...live.houses, { ...live.houses[0]!, name: "Empty" }] } : live;
  const [row] = await rows<{ id: number; version: number; name: string }>("insert into layout (garden_id, name, document) values (1, 'L' || random(), $1) returning id, version, name", [JSON.stringify(document)]); // prettier-ignore
  return { ...row!, document };
};
const bareStand = async (rows: Rows) => {
  const stand = without(await first(rows, "place", "stands"), "position", "id", "version");
  return { ...stand, name: `S${Math.random()}`, houseId: await idOf(rows, "insert into house (garden_id, name, length_m, width_m, height_m, cover) values (1, 'H' || random(), 30, 30, 2, 'net') returning id"), loopId: null }; // prettier-ignore
};
const cutList = { name: "Frame", material: "tube", kerfMm: 3, trimMm: 0, leastOffcutMm: 100, objective: "bars", usesOffcuts: true, stocks: [{ lengthMm: 3000, price: 0 }], pieces: [{ lengthMm: 500, count: 2, label: "" }] }; // prettier-ignore
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
const assembly = { name: "Rail", pieces: [{ lengthMm: 500, count: 1 }], fittings: [], otherMm: 490, way: "a thing goes into it" }; // prettier-ignore
const keptList = async (rows: Rows) =>
  (await rows<{ id: number; version: number }>(`insert into cut_list (garden_id, name, material, kerf_mm, trim_mm, least_offcut_mm, objective, uses_offcuts, stocks, pieces, assemblies, plan)
     values (1, 'C' || random(), 'tube', 3, 0, 100, 'bars', true, $1, $2, $3, $4) returning id, version`, [JSON.stringify(cutList.stocks), JSON.stringify(cutList.pieces), JSON.stringify([assembly]), JSON.stringify(cutPlan)]))[0]!; // prettier-ignore
const key = "a".repeat(43);
const account = { name: "Somebody", signInName: "somebody", password: "a long enough word" };
const garden = { gardenName: "Another", place: "", latitudeDeg: 10, timeZone: "UTC", currency: "€", unitSystem: "metric" }; // prettier-ignore

/** Every action of the application; a test compares this with the file system, so that a new one cannot be forgotten. */
export const SAMPLES: Readonly<Record<string, Readonly<Record<string, Sample>>>> = {
  "people/doorActions": {
    signIn: { least: "nobody in particular", ends: true, input: async () => ({ signInName: "nobody-here", password: "x" }) }, // prettier-ignore
    signOut: { least: "nobody in particular", ends: true, input: async () => ({}) },
    join: { least: "nobody in particular", ends: true, input: async () => ({ key, ...account }) },
    joinSignedIn: { least: "nobody in particular", ends: true, input: async () => ({ key }) },
    resetPassword: { least: "nobody in particular", ends: true, input: async () => ({ key, password: account.password }) }, // prettier-ignore
    makeFirstGarden: { least: "nobody in particular", ends: true, input: async () => garden },
    firstStart: { least: "nobody in particular", ends: true, input: async () => ({ ...account, ...garden }) },
  },
  "people/accountActions": {
    changePassword: {
      least: "viewer",
      own: true,
      ends: true,
      input: async () => ({ old: "saltcote-yard", password: "a long enough word" }),
    },
    confirmPassword: { least: "viewer", own: true, input: async () => ({ password: "saltcote-yard" }) },
    beginFactor: { least: "viewer", own: true, input: async () => ({}) },
    switchFactorOn: { least: "viewer", own: true, input: async () => ({ code: "123456" }) },
    switchFactorOff: { least: "viewer", own: true, input: async () => ({ code: "123456" }) },
    renewRecoveryCodes: { least: "viewer", own: true, input: async () => ({ code: "123456" }) },
    removeGarden: { least: "keeper", own: true, ends: true, input: async () => ({ name: "Another name" }) },
    endSession: { least: "viewer", input: made("insert into session (token_hash, account_id, expires_at) select sha256(random()::text::bytea), id, now() + interval '1 day' from account where sign_in_name = 'ines' returning id") }, // prettier-ignore
    endAllSessions: { least: "viewer", own: true, ends: true, input: async () => ({}) },
    switchGarden: { least: "viewer", input: async () => ({ gardenId: 1 }) },
    makeGarden: { least: "viewer", own: true, ends: true, input: async () => garden },
  },
  "people/memberActions": {
    invite: { least: "keeper", own: true, input: async () => ({ role: "helper", days: 3 }) },
    withdrawInvitation: { least: "keeper", input: made("insert into invitation (garden_id, token_hash, role, made_by, expires_at) values (1, sha256(random()::text::bytea), 'viewer', 1, now() + interval '1 day') returning id") }, // prettier-ignore
    setRole: { least: "keeper", input: async (rows) => ({ ...(await rows("select id, version from person where name = 'Oke Adeyi'"))[0], role: "grower" }) }, // prettier-ignore
    endMembership: { least: "keeper", input: made("insert into person (garden_id, name, role) values (1, 'Leaves ' || random(), 'viewer') returning id") }, // prettier-ignore
    withdrawResetLink: {
      least: "keeper",
      input: made(
        "insert into reset_link (garden_id, account_id, token_hash, made_by, expires_at) select 1, account_id, sha256(random()::text::bytea), 1, now() + interval '1 day' from person where name = 'Priya Sen' returning id",
      ),
    },
    makeResetLink: { least: "keeper", input: made("select id from person where name = 'Priya Sen'") },
  },
  "people/actions": {
    saveGarden: {
      least: "keeper",
      own: true,
      input: async (rows) => ({ ...(await rows("select version from garden where id = 1"))[0], name: "Saltcote Yard", place: "", latitudeDeg: 37.2, unitSystem: "metric", ecUnit: "mS/cm", temperatureUnit: "°C", currency: "€", sowWeekdays: [1, 4] }), // prettier-ignore
    },
  },
  "history/actions": {
    undoAct: {
      least: "grower",
      input: async (rows) => {
        await rows("update store set stored_l = stored_l - 1 where garden_id = 1");
        return {
          act: (await rows("select act from change where table_name = 'store' order by id desc limit 1"))[0]!.act,
        };
      },
    },
  },
  "place/actions": {
    saveHouse: { least: "grower", input: async (rows) => without(await first(rows, "place", "houses"), "position") },
    saveStand: { least: "grower", input: async (rows) => without(await first(rows, "place", "stands"), "position") },
    addStands: { least: "grower", input: async (rows) => ({ stands: [await bareStand(rows)] }) },
    savePool: { least: "grower", input: async (rows) => without(await first(rows, "place", "pools"), "position") },
    removeHouse: { least: "grower", input: made("insert into house (garden_id, name, length_m, width_m, height_m, cover) values (1, 'H' || random(), 5, 5, 2, 'net') returning id") }, // prettier-ignore
    removeStand: { least: "grower", input: made(`insert into stand (garden_id, house_id, pool_id, name, x_m, y_m, kind, spec) select 1, house_id, pool_id, 'S' || random(), 0, 0, kind, spec from stand where garden_id = 1 limit 1 returning id`) }, // prettier-ignore
    removePool: { least: "grower", input: made("insert into pool (garden_id, name) values (1, 'P' || random()) returning id") }, // prettier-ignore
  },
  "place/layoutActions": {
    copyLayout: { least: "grower", input: async (rows) => ({ from: (await layout(rows)).id, name: `Copy ${Math.random()}` }) }, // prettier-ignore
    renameLayout: { least: "grower", input: async (rows) => { const { id, version } = await layout(rows); return { id, version, name: `Other ${Math.random()}` }; } }, // prettier-ignore
    removeLayout: { least: "grower", input: async (rows) => ({ id: (await layout(rows)).id }) },
    importLayout: { least: "grower", own: true, input: async (rows) => ({ name: `In ${Math.random()}`, text: JSON.stringify((await layout(rows)).document) }) }, // prettier-ignore
    saveLayoutStand: { least: "grower", input: async (rows) => { const { id, version, document } = await layout(rows); const { house: _h, pool: _p, loop: _l, ...stand } = document.stands[0]!; return { layoutId: id, stand: { ...stand, id: 1, version, houseId: 1, poolId: 1, loopId: null } }; } }, // prettier-ignore
    addLayoutStands: { least: "grower", input: async (rows) => { const { id, document } = await layout(rows); const { house: _h, pool: _p, loop: _l, ...stand } = document.stands[0]!; return { layoutId: id, stands: [{ ...stand, name: "One more", xM: 11, yM: 4.5, houseId: 1, poolId: 1, loopId: null }] }; } }, // prettier-ignore
    removeLayoutStand: { least: "grower", input: async (rows) => { const { id, version } = await layout(rows); return { layoutId: id, version, id: 1 }; } }, // prettier-ignore
    saveLayoutHouse: { least: "grower", input: async (rows) => { const { id, version, document } = await layout(rows); return { layoutId: id, house: { ...document.houses[0]!, id: 1, version } }; } }, // prettier-ignore
    removeLayoutHouse: { least: "grower", input: async (rows) => { const { id, version, document } = await layout(rows, true); return { layoutId: id, version, id: document.houses.length }; } }, // prettier-ignore
    addLayoutPool: { least: "grower", input: async (rows) => ({ layoutId: (await layout(rows)).id, pool: { id: null, version: null, name: `Pool ${Math.random()}`, cleaningDays: 1 } }) }, // prettier-ignore
    adoptLayout: { least: "grower", input: async (rows) => { const { id, version } = await layout(rows); return { id, version }; } }, // prettier-ignore
  },
  "place/benchActions": {
    saveCutList: { least: "grower", input: async (rows) => ({ ...cutList, ...(await keptList(rows)), name: `C${Math.random()}` }) }, // prettier-ignore
    removeCutList: { least: "grower", input: async (rows) => ({ id: (await keptList(rows)).id }) },
    saveAssembly: { least: "grower", input: async (rows) => { const { id, version } = await keptList(rows); return { listId: id, version, index: null, assembly }; } }, // prettier-ignore
    removeAssembly: { least: "grower", input: async (rows) => { const { id, version } = await keptList(rows); return { listId: id, version, index: 0 }; } }, // prettier-ignore
    cutDone: { least: "grower", input: keptList },
    saveOffcut: { least: "grower", input: async (rows) => ({ ...(await rows("insert into offcut (garden_id, material, length_mm, count) values (1, 'M' || random(), 800, 2) returning id, version"))[0], material: `M${Math.random()}`, lengthMm: 700, count: 1 }) }, // prettier-ignore
    removeOffcut: { least: "grower", input: made("insert into offcut (garden_id, material, length_mm, count) values (1, 'M' || random(), 800, 2) returning id") }, // prettier-ignore
    saveMaterial: { least: "grower", own: true, input: async () => ({ item: "net cup, 50 mm", onHand: 40, priceEach: 0.1 }) }, // prettier-ignore
    saveSpare: { least: "grower", own: true, input: async () => ({ spareShare: 0.1 }) },
  },
  "water/actions": {
    saveLoop: { least: "grower", input: async (rows) => without(await first(rows, "water", "loops"), "position") },
    setTurns: { least: "grower", input: async (rows) => ({ ...(await rows("select id, version from loop where id = 2"))[0], turns: 2 }) }, // prettier-ignore
    saveSource: { least: "grower", input: (rows) => first(rows, "water", "sources") },
    saveStore: { least: "grower", input: async (rows) => ({ ...(await first(rows, "water", "stores")), readOn: "2027-09-02" }) }, // prettier-ignore
  },
  "feed/actions": {
    saveRecipe: { least: "grower", input: (rows) => first(rows, "feed", "recipes") },
    saveSalt: { least: "grower", input: async (rows) => without(await first(rows, "feed", "salts"), "solubilityGPerL", "chelate") }, // prettier-ignore
    saveStockTank: { least: "grower", input: async (rows) => ({ ...(await first(rows, "feed", "stockTanks")), readOn: "2027-09-02" }) }, // prettier-ignore
  },
  "growth/actions": {
    saveVariety: { least: "grower", input: (rows) => first(rows, "growth", "varieties") },
    removeVariety: { least: "grower", input: made("insert into variety (garden_id, name, crop, kind, unit, germination, pattern) select 1, 'V' || random(), crop, kind, unit, germination, pattern from variety where garden_id = 1 limit 1 returning id") }, // prettier-ignore
  },
  "batches/actions": {
    saveOutlet: { least: "grower", input: (rows) => first(rows, "batches", "outlets") },
    saveOrder: { least: "grower", input: async (rows) => ({ ...without(await first(rows, "batches", "orders"), "outletName"), from: "2027-09-02", to: "2027-12-01" }) }, // prettier-ignore
    removeOrder: { least: "grower", input: made("insert into order_line (garden_id, outlet_id, variety_id, weekday, quantity, from_day, to_day) select 1, outlet_id, variety_id, 1, 1, '2027-01-01', '2027-01-02' from order_line where garden_id = 1 limit 1 returning id") }, // prettier-ignore
    addBatches: { least: "grower", input: async () => ({ batches: [{ varietyId: 1, sowDay: "2027-10-01", cells: 9, targetPlants: 8 }] }) }, // prettier-ignore
    saveBatch: { least: "grower", input: batch },
    moveBatch: { least: "grower", input: async (rows) => { const { id, version } = await batch(rows); return { id, version, sowDay: "2028-01-17" }; } }, // prettier-ignore
    removeBatches: { least: "grower", input: async (rows) => ({ ids: [await idOf(rows, "insert into batch (garden_id, variety_id, sow_day, cells, target_plants) values (1, 1, '2027-12-01', 9, 8) returning id")] }) }, // prettier-ignore
  },
  "round/actions": {
    tickItem: { least: "helper", input: async (rows) => ({ key: await item(rows, ["wash", "sow", "move", "pick"]), actual: null, note: "" }) }, // prettier-ignore
    skipItem: { least: "helper", input: async (rows) => ({ key: await item(rows, ["wash", "sow", "move", "pick"]), reason: "rain" }) }, // prettier-ignore
    undoEntry: { least: "helper", input: async (rows) => ({ entryId: await idOf(rows, "insert into log_entry (garden_id, person_id, day, kind, title) values (1, 1, '2027-09-02', 'note', 'to be taken back') returning id") }) }, // prettier-ignore
    enterReading: { least: "helper", input: async () => ({ loopId: 1, ecMsPerCm: 1.9, ph: 6.5, waterC: 20, levelL: 500, sure: true }) }, // prettier-ignore
    doseDone: { least: "grower", input: async (rows) => ({ entryId: await idOf(rows, "select max(log_id) as id from reading where loop_id = 1 and log_id is not null") }) }, // prettier-ignore
    enterStore: { least: "helper", input: async () => ({ storeId: 1, storedL: 9000 }) },
    addNote: { least: "helper", own: true, input: async () => ({ title: "Seen", place: "", day: "2027-09-02", note: "" }) }, // prettier-ignore
    correctEntry: { least: "helper", input: async (rows) => ({ entryId: await idOf(rows, "select max(id) as id from log_entry entry where kind = 'reading' and loop_id = 2 and corrects_id is null and not exists (select from log_entry right_one where right_one.corrects_id = entry.id)"), values: { ph: 5.8 }, note: "read again" }) }, // prettier-ignore
  },
};

/** Route handlers, and whether they answer without a session; those that change something are posted to by growers. */
export const ROUTES: Readonly<Record<string, "open" | "viewer" | "posted by growers">> = {
  "healthz": "open",
  "readyz": "open",
  "find": "viewer",
  "live": "viewer",
  "(garden)/round/log.csv": "viewer",
  "(garden)/batches/plan.json": "viewer",
  "(garden)/place/layout.json": "viewer",
  "(garden)/place/layout.svg": "viewer",
  "(garden)/place/stands.csv": "viewer",
  "(garden)/place/bench/plan": "posted by growers",
}; // prettier-ignore
