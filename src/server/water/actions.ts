"use server";
import { isoFromDay } from "@/core/units/day";
import { many } from "../db/pool";
import { placeLast, saveRow } from "../db/save";
import { command } from "../session/command";
import { loopSchema, sourceSchema, storeSchema, turnsSchema } from "./schema";

export const saveLoop = command("plan", loopSchema, async (db, loop, who) => {
  const id = await saveRow(
    db,
    "loop",
    who.gardenId,
    loop.id,
    {
      ...(await placeLast(db, "loop", who.gardenId, loop.id)),
      name: loop.name,
      kind: loop.kind,
      feeding: loop.feeding,
      tank_l: loop.tankL,
      working_l: loop.workingL,
      drain_share: loop.kind === "recirculating" ? 0 : loop.drainShare,
      pump: loop.pump,
      timer: loop.timer,
      turns: loop.turns,
      recipe_id: loop.recipeId,
      source_id: loop.sourceId,
      ratio_r: loop.ratioR,
      ratio_convention: loop.ratioConvention,
      injector_least_lph: loop.feeding === "injector" ? loop.injectorLeastLph : null,
      injector_greatest_lph: loop.feeding === "injector" ? loop.injectorGreatestLph : null,
      acid: loop.acid,
      coldest_c: loop.coldestC,
      read_every_days: loop.readEveryDays,
    },
    loop.version,
  );
  // A loop fed from stocks has its two tanks from the start; 50 L is a size that two hands can mix.
  if (loop.feeding !== "dry")
    await many(
      db,
      `insert into stock_tank (garden_id, loop_id, letter, volume_l, left_l, read_on)
       select $1::integer, $2::integer, letter, 50, 0, $3::date from unnest(array['A', 'B']) as letter on conflict do nothing`,
      [who.gardenId, id, isoFromDay(who.today)],
    );
  return id;
});

export const setTurns = command("plan", turnsSchema, (db, { id, version, turns }, who) =>
  saveRow(db, "loop", who.gardenId, id, { turns }, version),
);

export const saveSource = command("plan", sourceSchema, (db, source, who) =>
  saveRow(
    db,
    "source",
    who.gardenId,
    source.id,
    {
      name: source.name,
      kind: source.kind,
      priority: source.priority,
      flow_lph: source.flowLph,
      hours_per_day: source.hoursPerDay,
      allowance_lpd: source.allowanceLpd,
      roof_area_m2: source.roofAreaM2,
      price_per_m3: source.pricePerM3,
      analysis_mg_per_l: source.analysisMgPerL,
      alkalinity_mg_caco3_per_l: source.alkalinityMgCaco3PerL,
    },
    source.version,
  ),
);

export const saveStore = command("plan", storeSchema, (db, store, who) =>
  saveRow(
    db,
    "store",
    who.gardenId,
    store.id,
    {
      name: store.name,
      capacity_l: store.capacityL,
      stored_l: store.storedL,
      read_on: isoFromDay(store.readOn),
    },
    store.version,
  ),
);
