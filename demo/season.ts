import { coverOrders } from "../src/core/batches/coverOrders";
import { workOutPlan, type Plan } from "../src/core/batches/plan";
import type { PlanBatch, PlanInput } from "../src/core/batches/types";
import { NO_FACTS } from "../src/core/garden/facts";
import { placeRows } from "../src/core/garden/keepPlaces";
import { workOut } from "../src/core/garden/workOut";
import { isoFromDay, type Day } from "../src/core/units/day";
import { gardenRows } from "../src/server/garden/gardenRows";
import { type Db, run } from "../src/server/db/pool";
import { saveRow } from "../src/server/db/save";
import place from "./place.json" with { type: "json" };
import type { Ids } from "./load";

/** Long enough ago that everything picked in the ten weeks of history was sown after it. */
const PLANNED_FROM = -300;
const CONFIDENCE = 0.9;

/** A batch of Batavia sown about so long ago came up badly. */
const FAILED_SOWN_DAYS_AGO = [60, 66] as const;
const FAILED_SHARE = 0.45;

/**
 * Plans the demo's season with the planner that the product offers, as if it had been planned long ago, and writes down
 * what began and ended before today.
 */
export async function planDemo(db: Db, ids: Ids, today: Day): Promise<Plan> {
  const rows = await gardenRows(db, ids.garden);
  const longAgo = today + PLANNED_FROM;
  for (const variety of rows.varieties) {
    const cover = coverOrders({
      variety,
      orders: rows.orders,
      batches: [],
      today: longAgo,
      from: today - 84,
      to: today + 426,
      sowWeekdays: place.garden.sowWeekdays,
      confidence: CONFIDENCE,
    });
    if (cover.kind === "never") throw new Error(`the demo cannot grow ${variety.name}: ${cover.why}`);
    for (const { sowDay, cells, targetPlants } of cover.batches)
      await saveRow(db, "batch", ids.garden, null, {
        variety_id: variety.id,
        sow_day: isoFromDay(sowDay),
        cells,
        target_plants: targetPlants,
      });
  }
  const planned = (await gardenRows(db, ids.garden)).batches;
  const input = (batches: readonly PlanBatch[]): PlanInput => ({
    today: longAgo,
    from: longAgo,
    to: today + 426,
    growingAreas: [],
    varieties: rows.varieties,
    batches,
    orders: rows.orders,
    drainShareByLoop: {},
  });
  const plan = workOutPlan(input(planned));
  const asPlanned = plan.batches;
  const failed = asPlanned.find(
    ({ batch, variety }) =>
      variety.name === "Batavia lettuce" &&
      today - batch.sowDay >= FAILED_SOWN_DAYS_AGO[0] &&
      today - batch.sowDay <= FAILED_SOWN_DAYS_AGO[1],
  );
  for (const worked of asPlanned) {
    const shrink = worked === failed ? FAILED_SHARE : 1;
    for (const stay of worked.stays.filter((candidate) => candidate.from < today)) {
      const plants = stay.stage === 0 ? stay.plants : Math.max(1, Math.round(stay.plants * shrink));
      await run(
        db,
        "insert into batch_stage (garden_id, batch_id, position, begun_on, plants) values ($1, $2, $3, $4::date, $5)",
        [ids.garden, worked.batch.id, stay.stage, isoFromDay(stay.from), plants],
      );
    }
    const end = worked.stays.at(-1)!.to;
    if (end < today)
      await run(db, "update batch set cleared_day = $3::date where garden_id = $1 and id = $2", [
        ids.garden,
        worked.batch.id,
        isoFromDay(end),
      ]);
  }
  await keepStanding(db, ids.garden, today);
  return plan;
}

/** What is in the ground keeps the sites that it stands on. */
async function keepStanding(db: Db, gardenId: number, today: Day): Promise<void> {
  const worked = workOut(await gardenRows(db, gardenId), NO_FACTS, today);
  for (const placed of worked.placed.values())
    for (const { stay, runs, over } of placed) {
      if (!stay.begun || stay.to <= today || over > 0) continue;
      for (const row of placeRows(worked, stay, runs))
        await saveRow(db, "batch_place", gardenId, null, {
          batch_id: row.batchId,
          stage: row.stage,
          stand_id: row.standId,
          line: row.line,
          first_site: row.firstSite,
          sites: row.sites,
          from_day: isoFromDay(row.from),
          to_day: isoFromDay(row.to),
          how: "stood",
        });
    }
}
