import type { Changes, Row } from "../src/core/garden/changes";
import { apply, settle } from "../src/core/garden/changes";
import { RULES } from "../src/core/garden/entities";
import { NO_FACTS } from "../src/core/garden/facts";
import { gardenOf } from "../src/core/garden/gardenOf";
import { seasonAsPlanned } from "../src/core/garden/season/asPlanned";
import { workOut } from "../src/core/garden/workOut";
import type { Plan } from "../src/core/batches/plan";
import type { Day } from "../src/core/units/day";
import { columnChanges } from "../src/server/garden/change";
import { gardenSite, tablesOf } from "../src/server/garden/tables";
import { reserveIds, writeRows } from "../src/server/garden/write";
import type { Db } from "../src/server/db/pool";
import { warmSolver } from "../src/server/solver/warm";
import place from "./place.json" with { type: "json" };
import type { Ids } from "./load";

/** Long enough ago that everything picked in the ten weeks of history was sown after it. */
const PLANNED_DAYS_AGO = 240;
const PLANNED_DAYS_AHEAD = 426;

/** A batch of Batavia sown about so long ago came up badly. */
const FAILED_SOWN_DAYS_AGO = [60, 66] as const;
const FAILED_SHARE = 0.45;

/**
 * The demo's season: solved as if it had been planned long ago by the solver that the product has, with what has begun and
 * ended since, and the places that it stands on.
 *
 * @returns the plan as it was, for the history that is told of it
 */
export async function planDemo(db: Db, ids: Ids, today: Day): Promise<Plan> {
  const tables = await tablesOf(db, ids.garden);
  const site = await gardenSite(db, ids.garden);
  const plannedOn = today - PLANNED_DAYS_AGO;
  const planned = seasonAsPlanned(tables, site, {
    ...{ plannedOn, today, days: PLANNED_DAYS_AGO + PLANNED_DAYS_AHEAD },
    ...{ sowWeekdays: place.garden.sowWeekdays, open: await warmSolver() },
  });
  const failed = withFailure(planned, ids.variety.get("Batavia lettuce")!, today);
  const real = new Map<number, number>();
  for (const [table, { added }] of Object.entries(failed)) {
    const fresh = Object.keys(added).map(Number);
    const reserved = await reserveIds(db, table, fresh.length);
    fresh.forEach((id, at) => real.set(id, reserved[at]!));
  }
  const changes = onlyStanding(settle(failed, real, RULES));
  await writeRows(db, ids.garden, columnChanges(changes));
  const before = settle({ batch: planned.batch! }, real, RULES);
  return workOut(gardenOf(apply(tables, before), site), NO_FACTS, plannedOn).plan;
}

/** Since a batch failed the plan has slipped a little: only what is in the ground keeps the place that it was planned for. */
function onlyStanding(changes: Changes): Changes {
  const places = changes.batch_place!;
  const added = Object.fromEntries(Object.entries(places.added).filter(([, { how }]) => how === "stood"));
  return { ...changes, batch_place: { ...places, added } };
}

/** One batch came up badly: fewer plants than planned were ever moved. */
function withFailure(changes: Changes, varietyId: number, today: Day): Changes {
  const failed = Object.values(changes.batch!.added).find(
    ({ varietyId: own, sowDay }) =>
      own === varietyId &&
      today - Number(sowDay) >= FAILED_SOWN_DAYS_AGO[0] &&
      today - Number(sowDay) <= FAILED_SOWN_DAYS_AGO[1],
  );
  const fewer = (row: Row): Row =>
    row.batchId === failed?.id && Number(row.position) > 0
      ? { ...row, plants: Math.max(1, Math.round(Number(row.plants) * FAILED_SHARE)) }
      : row;
  const stages = changes.batch_stage!;
  const added = Object.fromEntries(Object.entries(stages.added).map(([id, row]) => [id, fewer(row)]));
  return { ...changes, batch_stage: { ...stages, added } };
}
