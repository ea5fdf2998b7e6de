import type { Effect, SeedlingCount } from "@/core/garden/effects";
import { isoFromDay, type Day } from "@/core/units/day";
import { many, maybeOne, run, type Db } from "../db/pool";
import type { Session } from "../session/session";
import { keepEffects } from "./writeEntry";

/** Carries out what an entry changes, and keeps it with the entry. */
export async function carryOut(db: Db, who: Session, entryId: number, effects: readonly Effect[]): Promise<void> {
  const done: Effect[] = [];
  for (const effect of effects) done.push(await apply(db, who.gardenId, entryId, effect));
  if (done.length > 0) await keepEffects(db, who, entryId, done);
}

/** Carries an effect out. @returns what really changed: a stock cannot go below empty or above full */
async function apply(db: Db, gardenId: number, logId: number, effect: Effect): Promise<Effect> {
  switch (effect.kind) {
    case "stage":
      await run(
        db,
        `insert into batch_stage (garden_id, batch_id, position, begun_on, plants, log_id) values ($1, $2, $3, $4::date, $5, $6)`,
        [gardenId, effect.batchId, effect.position, isoFromDay(effect.day), effect.plants, logId],
      );
      return effect;
    case "place":
      return { ...effect, sites: await standOn(db, gardenId, effect) };
    case "stock":
      return { ...effect, changeL: await changeStock(db, gardenId, effect) };
    case "stock-level":
      await setStock(db, gardenId, effect, effect.leftL, effect.day);
      return effect;
    case "salt":
      return { ...effect, changeG: await changeSalt(db, gardenId, effect) };
    case "seed":
      return { ...effect, changeG: await changeSeed(db, gardenId, effect) };
    case "germination":
      await setCount(db, gardenId, effect.batchId, effect.counted);
      return effect;
    case "ready":
      await setReady(db, gardenId, effect, effect.day);
      return effect;
    case "cleared":
      await run(db, `update batch set cleared_day = $3::date where garden_id = $1 and id = $2`, [
        gardenId,
        effect.batchId,
        isoFromDay(effect.day),
      ]);
      return effect;
    case "store":
      await setStore(db, gardenId, effect.storeId, effect.storedL, effect.day);
      return effect;
  }
}

/** Takes an effect back. */
export async function revert(db: Db, gardenId: number, effect: Effect): Promise<void> {
  switch (effect.kind) {
    case "stage":
      await run(db, `delete from batch_stage where garden_id = $1 and batch_id = $2 and position = $3`, [
        gardenId,
        effect.batchId,
        effect.position,
      ]);
      return;
    case "place":
      await run(db, `delete from batch_place where garden_id = $1 and batch_id = $2 and stage = $3 and how = 'stood'`, [
        gardenId,
        effect.batchId,
        effect.stage,
      ]);
      return;
    case "stock":
      await changeStock(db, gardenId, { ...effect, changeL: -effect.changeL });
      return;
    case "stock-level":
      await setStock(db, gardenId, effect, effect.beforeL, effect.beforeDay);
      return;
    case "salt":
      await changeSalt(db, gardenId, { ...effect, changeG: -effect.changeG });
      return;
    case "seed":
      await changeSeed(db, gardenId, { ...effect, changeG: -effect.changeG });
      return;
    case "germination":
      await setCount(db, gardenId, effect.batchId, effect.before);
      return;
    case "ready":
      await setReady(db, gardenId, effect, null);
      return;
    case "cleared":
      await run(db, `update batch set cleared_day = null where garden_id = $1 and id = $2`, [gardenId, effect.batchId]);
      return;
    case "store":
      await setStore(db, gardenId, effect.storeId, effect.beforeL, effect.beforeDay);
  }
}

type PlaceEffect = Extract<Effect, { readonly kind: "place" }>;

/**
 * Keeps the sites that plants were put on. Where another place is kept on some of them for days that the plan has left, the
 * plants still stand there; it is not written down then, so that nothing keeps the work from being logged.
 */
async function standOn(
  db: Db,
  gardenId: number,
  { batchId, stage, from, to, sites }: PlaceEffect,
): Promise<PlaceEffect["sites"]> {
  const kept = await many<PlaceEffect["sites"][number]>(
    db,
    `insert into batch_place (garden_id, batch_id, stage, stand_id, line, first_site, sites, from_day, to_day, how)
     select $1, $2, $3, "standId", line, "firstSite", sites, $4::date, $5::date, 'stood'
       from jsonb_to_recordset($6::jsonb) as asked ("standId" integer, line integer, "firstSite" integer, sites integer)
      where not exists (
        select from batch_place held, jsonb_to_recordset($6::jsonb) as other ("standId" integer, line integer, "firstSite" integer, sites integer)
         where held.garden_id = $1 and held.stand_id = other."standId" and held.line = other.line
           and held.first_site < other."firstSite" + other.sites and other."firstSite" < held.first_site + held.sites
           and held.from_day < $5::date and $4::date < held.to_day)
     returning stand_id as "standId", line, first_site as "firstSite", sites`,
    [gardenId, batchId, stage, isoFromDay(from), isoFromDay(to), JSON.stringify(sites)],
  );
  return kept;
}

async function changeStock(
  db: Db,
  gardenId: number,
  effect: { loopId: number; letter: string; changeL: number },
): Promise<number> {
  const changed = await maybeOne<{ change: number }>(
    db,
    `update stock_tank new set left_l = least(new.volume_l, greatest(0, new.left_l + $4))
       from stock_tank old
      where new.garden_id = $1 and new.loop_id = $2 and new.letter = $3 and old.loop_id = new.loop_id and old.letter = new.letter
      returning new.left_l - old.left_l as change`,
    [gardenId, effect.loopId, effect.letter, effect.changeL],
  );
  return changed?.change ?? 0;
}

async function changeSalt(db: Db, gardenId: number, effect: { saltId: number; changeG: number }): Promise<number> {
  const changed = await maybeOne<{ change: number }>(
    db,
    `update salt new set on_hand_g = greatest(0, new.on_hand_g + $3)
       from salt old where new.garden_id = $1 and new.id = $2 and old.id = new.id
      returning new.on_hand_g - old.on_hand_g as change`,
    [gardenId, effect.saltId, effect.changeG],
  );
  return changed?.change ?? 0;
}

async function changeSeed(db: Db, gardenId: number, effect: { lotId: number; changeG: number }): Promise<number> {
  const changed = await maybeOne<{ change: number }>(
    db,
    `update seed_lot new set on_hand_g = greatest(0, new.on_hand_g + $3)
       from seed_lot old where new.garden_id = $1 and new.id = $2 and old.id = new.id
      returning new.on_hand_g - old.on_hand_g as change`,
    [gardenId, effect.lotId, effect.changeG],
  );
  return changed?.change ?? 0;
}

async function setCount(db: Db, gardenId: number, batchId: number, count: SeedlingCount | null): Promise<void> {
  await run(
    db,
    `update batch_stage set counted_of = $3, counted_up = $4, counted_on = $5::date
      where garden_id = $1 and batch_id = $2 and position = 0`,
    [gardenId, batchId, count?.of ?? null, count?.up ?? null, count && isoFromDay(count.on)],
  );
}

async function setReady(
  db: Db,
  gardenId: number,
  { batchId, position }: { readonly batchId: number; readonly position: number },
  day: Day | null,
): Promise<void> {
  await run(db, `update batch_stage set ready_on = $4::date where garden_id = $1 and batch_id = $2 and position = $3`, [
    gardenId,
    batchId,
    position,
    day === null ? null : isoFromDay(day),
  ]);
}

async function setStore(db: Db, gardenId: number, storeId: number, storedL: number, day: Day): Promise<void> {
  await run(db, `update store set stored_l = $3, read_on = $4::date where garden_id = $1 and id = $2`, [
    gardenId,
    storeId,
    storedL,
    isoFromDay(day),
  ]);
}

async function setStock(
  db: Db,
  gardenId: number,
  { loopId, letter }: { readonly loopId: number; readonly letter: string },
  leftL: number,
  day: Day,
): Promise<void> {
  await run(
    db,
    `update stock_tank set left_l = least(volume_l, $4), read_on = $5::date where garden_id = $1 and loop_id = $2 and letter = $3`,
    [gardenId, loopId, letter, leftL, isoFromDay(day)],
  );
}
