import pg from "pg";
import { isoFromDay } from "../src/core/units/day";
import { type Db, many, maybeOne, run, transaction } from "../src/server/db/pool";
import { saveRow } from "../src/server/db/save";
import { firstAmounts } from "../src/core/garden/recipeAmounts";
import { tablesOf } from "../src/server/garden/tables";
import { solver } from "../src/server/solver/highs";
import { createAccount } from "../src/server/people/accounts";
import { createGarden } from "../src/server/people/newGarden";
import { actAs } from "../src/server/session/onBehalf";
import { today } from "../src/server/session/clock";
import place from "./place.json" with { type: "json" };
import water from "./water.json" with { type: "json" };
import { loadCrops } from "./crops";
import { writeHistory } from "./history";
import { idsOf, type Save } from "./idsOf";
import { loadOrders, loadSeason } from "./orders";
import { DEMO_PASSWORD, demoSignInName } from "./people";
import { addCutList } from "./bench";
import { planDemo } from "./season";
import { addWhatIfs } from "./whatIfs";

export interface Ids {
  readonly garden: number;
  readonly person: ReadonlyMap<string, number>;
  readonly growingArea: ReadonlyMap<string, number>;
  readonly loop: ReadonlyMap<string, number>;
  readonly variety: ReadonlyMap<string, number>;
}

/**
 * Lays the demo garden, relative to today, into a database that has none yet: places and recipes from the files beside
 * this one, a season worked out by the product's own planner, and ten weeks of history.
 *
 * @param options.reset removes the demo garden first; gardens of one's own stay
 */
export async function loadDemo(databaseUrl: string, options: { reset: boolean }): Promise<void> {
  const pool = new pg.Pool({ connectionString: databaseUrl, max: 1 });
  try {
    await transaction(async (db) => {
      if (options.reset) await removeDemo(db);
      if (await maybeOne(db, "select 1 from installation where demo_garden is not null")) return;
      const day = today(place.garden.timeZone);
      const ids = await loadPlaces(db);
      await loadOrders(db, ids, day);
      await loadSeason(db, ids.garden, day);
      const plan = await planDemo(db, ids, day);
      await writeHistory(db, ids, day, plan);
      await addWhatIfs(db, ids.garden);
      await addCutList(db, ids.garden);
      await datePastChanges(db, ids.garden);
      await run(db, "update installation set demo_garden = $1", [ids.garden]);
    }, pool);
  } finally {
    await pool.end();
  }
}

async function removeDemo(db: Db) {
  const row = await maybeOne<{ id: number | null }>(db, "select demo_garden as id from installation");
  if (!row?.id) return;
  await actAs(db, { gardenId: row.id });
  await run(db, "delete from garden where id = $1", [row.id]);
  await run(db, "delete from account where is_demo");
}

/**
 * The memory as it would be had the season really been planned and walked: what the log did stands at its time under its
 * name, a batch was planned by the keeper three weeks before it was sown or in the last days. How the demo was set up is
 * no change that anybody made.
 */
async function datePastChanges(db: Db, gardenId: number) {
  const keeper = `(select id from person where garden_id = $1 and role = 'keeper' order by id limit 1)`;
  await run(db, "delete from change where garden_id = $1 and table_name not in ('batch', 'log_entry')", [gardenId]);
  await run(
    db,
    `update change set act = gen_random_uuid(), person_id = (after ->> 'person_id')::integer, at = (after ->> 'at')::timestamptz
      where garden_id = $1 and table_name = 'log_entry'`,
    [gardenId],
  );
  await run(db, "delete from change where garden_id = $1 and table_name = 'batch' and before is not null", [gardenId]);
  await run(
    db,
    `update change set person_id = ${keeper}, act = md5(after ->> 'variety_id' || least(date_trunc('week', (after ->> 'sow_day')::date)::date - 21, $2::date))::uuid,
            at = least(date_trunc('week', (after ->> 'sow_day')::date)::date - 21, $2::date) + interval '18 hours'
      where garden_id = $1 and table_name = 'batch'`,
    [gardenId, isoFromDay(today(place.garden.timeZone) - 1)],
  );
  // Numbered in the order of their time, as they would have come.
  const columns = "garden_id, person_id, at, act, undoes, table_name, row_key, before, after";
  await run(
    db,
    `with old as (delete from change where garden_id = $1 returning *)
     insert into change (${columns}) select ${columns} from old order by at, id`,
    [gardenId],
  );
}

async function loadPlaces(db: Db): Promise<Ids> {
  const keeper = place.people.find((person) => person.role === "keeper")!;
  const { gardenId: id, salts, units } = await createGarden(db, { ...place.garden, isDemo: true }, keeper.name);
  const save = (table: string, row: Record<string, unknown>) => saveRow(db, table, id, null, row);
  for (const helper of place.people.filter((one) => one !== keeper)) await save("person", helper);
  // A kitchen is one account for whoever stands in it.
  for (const member of place.people) {
    const account = { name: member.name, signInName: demoSignInName(member.name), password: DEMO_PASSWORD };
    const accountId = await createAccount(db, account, true);
    await run(db, "update person set account_id = $3 where garden_id = $1 and name = $2", [id, member.name, accountId]);
  }
  const people = await many<{ id: number; name: string }>(db, "select id, name from person where garden_id = $1", [id]);
  const person = new Map(people.map((one) => [one.name, one.id]));
  const { climate } = place;
  await save("climate", {
    elevation_m: climate.elevationM,
    near_sea: climate.nearSea,
    highest_c_by_month: climate.highestCByMonth,
    lowest_c_by_month: climate.lowestCByMonth,
    humidity_by_month: climate.humidityByMonth,
    wind_m_per_s_by_month: climate.windMPerSByMonth,
    rain_mm_by_month: climate.rainMmByMonth,
    wet_days_by_month: climate.wetDaysByMonth,
  });
  const house = await idsOf(place.houses, (entry, position) =>
    save("house", {
      name: entry.name,
      position,
      length_m: entry.lengthM,
      width_m: entry.widthM,
      height_m: entry.heightM,
      cover: entry.cover,
      shade_share: entry.shadeShare,
      warmer_by_day_c: entry.warmerByDayC ?? 0,
      warmer_by_night_c: entry.warmerByNightC ?? 0,
      heated_to_c: entry.heatedToC ?? null,
      vented_at_c: entry.ventedAtC ?? null,
      x_m: entry.xM,
      y_m: entry.yM,
    }),
  );
  const growingArea = await idsOf(place.growingAreas, (entry, position) =>
    save("growing_area", { name: entry.name, position, cleaning_days: entry.cleaningDays }),
  );
  const loop = await loadWater(db, id, save, salts);
  await idsOf(place.stands, (entry, position) =>
    save("stand", {
      house_id: house.get(entry.house),
      growing_area_id: growingArea.get(entry.growingArea),
      loop_id: entry.loop ? loop.get(entry.loop) : null,
      name: entry.name,
      position,
      x_m: entry.xM,
      y_m: entry.yM,
      turned: entry.turned,
      mat_c: "matC" in entry ? entry.matC : null,
      spec: entry.spec,
    }),
  );
  const variety = await loadCrops(db, id, { save, units, growingArea });
  await takeAmounts(db, id);
  return { garden: id, person, growingArea, loop, variety };
}

/** What its recipes were solved to, and accepted. */
async function takeAmounts(db: Db, gardenId: number): Promise<void> {
  const { recipe_salt: parts } = firstAmounts(await tablesOf(db, gardenId), await solver());
  for (const [id, { gPer1000L }] of Object.entries(parts?.updated ?? {}))
    await run(db, "update recipe_salt set g_per_1000l = $2 where id = $1", [id, gPer1000L![1]]);
}

async function loadWater(
  db: Db,
  gardenId: number,
  save: Save,
  salt: ReadonlyMap<string, number>,
): Promise<Map<string, number>> {
  const day = isoFromDay(today(place.garden.timeZone) - 1);
  for (const store of water.stores)
    await save("store", {
      name: store.name,
      capacity_l: store.capacityL,
      stored_l: store.storedL,
      read_on: day,
    });
  for (const { name, ecScale, compensated } of water.meters)
    await save("meter", { name, ec_scale: ecScale, compensated });
  const source = await idsOf(water.sources, (entry) =>
    save("source", {
      name: entry.name,
      kind: entry.kind,
      priority: entry.priority,
      flow_lph: entry.flowLph ?? 0,
      hours_per_day: entry.hoursPerDay ?? 0,
      allowance_lpd: entry.allowanceLpd ?? 0,
      roof_area_m2: entry.roofAreaM2 ?? 0,
      price_per_m3: entry.pricePerM3 ?? 0,
      ec_ms_per_cm: entry.ecMsPerCm,
      ph: entry.ph,
      analysis_mg_per_l: entry.analysisMgPerL,
      alkalinity_mg_caco3_per_l: entry.alkalinityMgCaco3PerL,
    }),
  );
  for (const [name, grams] of Object.entries(water.onHandG))
    await run(db, "update salt set on_hand_g = $3 where garden_id = $1 and name = $2", [gardenId, name, grams]);
  const before = (days: number | null) => (days === null ? null : isoFromDay(today(place.garden.timeZone) - days));
  for (const lot of water.lots)
    await save("salt_lot", {
      salt_id: salt.get(lot.salt),
      name: lot.name,
      received_on: before(lot.receivedDaysAgo),
      opened_on: before(lot.openedDaysAgo),
      used_up_on: before(lot.usedUpDaysAgo),
    });
  const recipe = await idsOf(water.recipes, async (entry) => {
    const recipeId = await save("recipe", {
      name: entry.name,
      targets_mg_per_l: entry.targetsMgPerL,
      ec_ms_per_cm: entry.ecMsPerCm,
      ec_low: entry.ecLow,
      ec_high: entry.ecHigh,
      ph_low: entry.phLow,
      ph_high: entry.phHigh,
    });
    for (const [stock, names] of Object.entries(water.recipeSalts))
      for (const name of names)
        await run(db, "insert into recipe_salt (garden_id, recipe_id, salt_id, stock) values ($1, $2, $3, $4)", [
          gardenId,
          recipeId,
          salt.get(name),
          stock,
        ]);
    return recipeId;
  });
  return idsOf(water.loops, async (entry, position) => {
    const loopId = await save("loop", {
      name: entry.name,
      position,
      kind: entry.kind,
      feeding: entry.feeding,
      tank_l: entry.tankL,
      normal_fill_l: entry.normalFillL,
      drain_share: entry.drainShare,
      pump: entry.pump,
      timer: entry.timer,
      turns: entry.turns,
      recipe_id: recipe.get(entry.recipe),
      source_id: source.get(entry.source),
      ratio_r: entry.ratioR,
      injector_least_lph: entry.injectorLeastLph ?? null,
      injector_greatest_lph: entry.injectorGreatestLph ?? null,
      acid: entry.acid,
      coldest_c: entry.coldestC,
      read_every_days: entry.readEveryDays,
    });
    for (const [letter, [volume, left]] of Object.entries(entry.stocks ?? {}))
      await run(
        db,
        "insert into stock_tank (garden_id, loop_id, letter, volume_l, left_l, read_on) values ($1, $2, $3, $4, $5, $6::date)",
        [gardenId, loopId, letter, volume, left, day],
      );
    return loopId;
  });
}
